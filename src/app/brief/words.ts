import { LEVELS, type Level, type PlanRequest, type Rules } from '../../core';
import { stringChoices, STYLE_CHOICES, TEMPO_CHOICES, tempoWords, wishesFor } from '../../wording/brief';
import type { WordChoice } from '../../wording/choice';
import { listed } from '../../wording/grammar';
import { HAND_CHOICES, LEVEL_WORDS, schoolChoices } from '../../wording/instruments';
import { printed } from '../../wording/notes';
import { tempoOf, tuningChoices, tuningOf, withTuning } from './choices';
import * as briefWordsText from '../../wording/rooms/briefWords';

/*
 * Words of the brief that are said only where they are not as usual: each is added from one list, and taken out again.
 */

export interface OptionalWord {
  readonly label: string;
  /** What the list calls such choices. */
  readonly group: string;
  readonly value: string;
  /** The value that is not said. */
  readonly usual: string;
  readonly choices: readonly WordChoice[];
  /** Words for a value that is none of the choices. */
  readonly other?: string;
  readonly put: (value: string) => PlanRequest;
}

/** The words that a brief can have beyond its music, its player and its positions. */
export function optionalWords(request: PlanRequest): OptionalWord[] {
  const { rules = {} } = request;
  const withRules = (part: Rules) => ({ ...request, rules: { ...rules, ...part } });
  const schools = schoolChoices(request.instrument);
  const tunings = tuningChoices(request);
  return [
    {
      label: briefWordsText.hand,
      group: briefWordsText.thePlayer,
      value: typeof request.hand === 'object' ? 'measured' : (request.hand ?? 'medium'),
      usual: 'medium',
      choices: HAND_CHOICES,
      other: briefWordsText.aMeasuredHand,
      put: (hand) => ({ ...request, hand: hand as PlanRequest['hand'] }),
    },
    {
      label: briefWordsText.level,
      group: briefWordsText.thePlayer,
      value: request.meaning?.level ?? '',
      usual: '',
      choices: [['', briefWordsText.ownLevel], ...LEVELS.map((level): WordChoice => [level, LEVEL_WORDS[level]])],
      put: (level: string) => withLevel(request, level === '' ? undefined : (level as Level)),
    },
    ...(schools.length === 0
      ? []
      : [
          {
            label: briefWordsText.school,
            group: briefWordsText.thePlayer,
            value: request.school ?? schools[0][0],
            usual: schools[0][0],
            choices: schools,
            put: (school: string) => ({ ...request, school: school as PlanRequest['school'] }),
          },
        ]),
    ...(tunings.length < 2
      ? []
      : [
          {
            label: briefWordsText.tuning,
            group: briefWordsText.strings,
            value: tuningOf(request),
            usual: tunings[0][0],
            choices: tunings,
            other: (request.tuning ?? []).map((name) => printed(name)).join(' '),
            put: (tuning: string) => withTuning(request, tuning),
          },
        ]),
    {
      label: briefWordsText.strings,
      group: briefWordsText.strings,
      value: JSON.stringify(rules.strings ?? null),
      usual: 'null',
      choices: stringChoices(request),
      other: briefWordsText.theStrings(listed((rules.strings ?? []).map((name) => printed(name)))),
      put: (strings) => withRules({ strings: (JSON.parse(strings) as string[] | null) ?? undefined }),
    },
    ...wishesFor(request).map(({ rule, label, choices }) => ({
      label,
      group: briefWordsText.fingers,
      value: rules[rule] ?? choices[0][0],
      usual: choices[0][0],
      choices,
      put: (value: string) => withRules({ [rule]: value }),
    })),
    {
      label: briefWordsText.style,
      group: briefWordsText.styleAndTempo,
      value: request.style ?? 'secure',
      usual: 'secure',
      choices: STYLE_CHOICES,
      put: (style) => ({ ...request, style: style as PlanRequest['style'] }),
    },
    {
      label: briefWordsText.tempo,
      group: briefWordsText.styleAndTempo,
      value: tempoOf(request),
      usual: '',
      choices: TEMPO_CHOICES,
      other: tempoWords(tempoOf(request)),
      put: (bpm) => withTempo(request, bpm ? Number(bpm) : undefined),
    },
  ];
}

/** The request at so many notes of one beat a minute; undefined for any tempo. */
export function withTempo(request: PlanRequest, bpm: number | undefined): PlanRequest {
  return { ...request, tempo: bpm === undefined ? undefined : { bpm } };
}

/** How far a player has come of whom nothing is said. */
const USUAL_LEVEL: Level = 'middle';

function withLevel({ meaning, ...request }: PlanRequest, level: Level | undefined): PlanRequest {
  const left = { ...meaning, level };
  return Object.values(left).some((one) => one !== undefined) ? { ...request, meaning: left } : request;
}

/** How far the player of a plan has come: what its brief says, or else the student. */
export function levelOf(request: PlanRequest, student: { readonly level: Level } | undefined): Level {
  return request.meaning?.level ?? student?.level ?? USUAL_LEVEL;
}
