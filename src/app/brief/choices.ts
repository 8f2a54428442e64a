import { instrumentRecord, type PlanRequest, type Stringing, type RunSpec } from '../../core';
import { OCTAVE_WORDS } from '../../wording/brief';
import type { WordChoice } from '../../wording/choice';
import { stringingWords } from '../../wording/instruments';
import { hasRoom, tonicClass, withTonic } from './briefMaterial';
import * as briefWordsText from '../../wording/rooms/briefWords';

/*
 * What the words of the brief can be changed to, and what follows from it.
 */

/** The numbers of octaves that the instrument has in this key, and the one that is asked for. */
export function octaveChoices(request: PlanRequest, material: RunSpec): WordChoice[] {
  return OCTAVE_WORDS.map((words, at): WordChoice => [String(at + 1), words]).filter(
    ([octaves]) => Number(octaves) === material.octaves || hasRoom(request, material, Number(octaves)),
  );
}

/** Beats a minute as the brief counts them; "" where none are named. */
export function tempoOf({ tempo }: PlanRequest): string {
  return tempo ? String(Math.round(tempo.bpm / (tempo.beatsPerNote ?? 1))) : '';
}

type Strung = Pick<Stringing, 'tuning' | 'extensionTo'>;

const strungValue = ({ tuning, extensionTo }: Strung) => JSON.stringify({ tuning, extensionTo });

/** Ways to string the instrument: the usual one and those that are in use beside it. */
export function tuningChoices({ instrument }: PlanRequest): WordChoice[] {
  const { stringings, tuning } = instrumentRecord(instrument);
  const usual: WordChoice = [
    strungValue({}),
    tuning.length === 4 ? briefWordsText.fourStrings : briefWordsText.usualTuning,
  ];
  return [usual, ...stringings.map((one): WordChoice => [strungValue(one), stringingWords(one.code)])];
}

export function tuningOf(request: PlanRequest): string {
  return strungValue(request);
}

/** The request on other strings; demands on the old ones fall away, and the start stays in range. */
export function withTuning(request: PlanRequest, value: string): PlanRequest {
  const { tuning, extensionTo } = JSON.parse(value) as Strung;
  const rules = request.rules && { ...request.rules, strings: undefined, locks: undefined, never: undefined };
  const moved = { ...request, tuning, extensionTo, rules };
  const { material } = moved;
  return material.type === 'notes' ? moved : withTonic(moved, material, tonicClass(material));
}
