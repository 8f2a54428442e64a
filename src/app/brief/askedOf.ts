import {
  buildMusic,
  phraseMarks,
  positionsOf,
  resolveSetup,
  type NoteSpec,
  type PlaceRule,
  type PlanRequest,
  type PlanResponse,
  type Rules,
} from '../../core';
import { stringsFor } from './demands';
import { placeRuleWords, preparedWords, sameWords } from '../../wording/stretches';
import type { PlaceOf } from '../../wording/places';
import * as stretchText from '../../wording/rooms/stretches';

/*
 * What a teacher can ask of the marked notes: rules of their own, the fingers of another stretch, being there beforehand, a phrase.
 */

export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** One thing that can be asked, with the request that has it. */
interface Ask {
  readonly id: string;
  readonly group: string;
  readonly words: string;
  readonly request: PlanRequest;
}

type Demands = Omit<PlaceRule, 'from' | 'to'>;

/** Highest position that is asked for by name. */
const TAUGHT_TO = 7;
/** Stretches offered to take the fingers of. */
const MOST_MODELS = 6;

/** The request with more demanded of a stretch: what the same stretch has already is kept beside it. */
export function withPlace(request: PlanRequest, { from, to }: Stretch, demands: Demands): PlanRequest {
  const places = request.rules?.places ?? [];
  const known = places.find((place) => place.from === from && place.to === to);
  const one = { ...known, ...demands, from, to };
  return withRules(request, { places: [...places.filter((place) => place !== known), one] });
}

const withRules = (request: PlanRequest, part: Rules): PlanRequest => ({
  ...request,
  rules: { ...request.rules, ...part },
});

/** All that can be asked of some marked notes. */
export function asksOf(request: PlanRequest, stretch: Stretch, response: PlanResponse, place: PlaceOf): Ask[] {
  return [
    ...demandsOf(request, stretch, response).map(({ id, group, demands }) => ({
      id,
      group,
      words: placeRuleWords(demands, request.instrument),
      request: withPlace(request, stretch, demands),
    })),
    ...modelsOf(response, stretch).map((as) => ({
      id: `same-${as}`,
      group: stretchText.fingersOfAnother,
      words: sameWords(as, place),
      request: withRules(request, { same: [...(request.rules?.same ?? []), { ...stretch, as }] }),
    })),
    ...preparedOf(request, stretch, response).map((one) => ({
      id: 'prepare',
      group: stretchText.beforehand,
      words: preparedWords(one, place),
      request: withRules(request, { prepare: [...(request.rules?.prepare ?? []), one] }),
    })),
    ...phrasesOf(request, stretch.from),
  ];
}

/** The demands that a stretch can have, by what they are about. */
function demandsOf(
  request: PlanRequest,
  { from, to }: Stretch,
  { events }: PlanResponse,
): { readonly id: string; readonly group: string; readonly demands: Demands }[] {
  const setup = resolveSetup(request);
  const positions = positionsOf(setup, request.school).filter(
    (position) => position === 'thumb' || (Number.isInteger(position) && position <= TAUGHT_TO),
  );
  const pitches = events.slice(from, to + 1).flatMap((event) => ('pitches' in event ? event.pitches : []));
  // From the highest down, those that have all the notes.
  const strings = setup.strings
    .map(({ name }) => name)
    .filter((name) => pitches.every((pitch) => stringsFor(setup, pitch).includes(name)))
    .reverse();
  const style = request.style ?? 'secure';
  return [
    ...strings.map((name) => ({ id: `string-${name}`, group: stretchText.strings, demands: { strings: [name] } })),
    ...positions.map((position) => ({
      id: `position-${position}`,
      group: stretchText.positions,
      demands: { positions: { only: [position] } },
    })),
    { id: 'no-open', group: stretchText.fingers, demands: { openStrings: 'never' } },
    { id: 'open', group: stretchText.fingers, demands: { openStrings: 'prefer' } },
    { id: 'no-fourth', group: stretchText.fingers, demands: { fourthFinger: 'never' } },
    { id: 'no-extension', group: stretchText.fingers, demands: { extensions: 'never' } },
    ...(['secure', 'singing', 'early'] as const)
      .filter((other) => other !== style)
      .map((other) => ({ id: `style-${other}`, group: stretchText.style, demands: { style: other } })),
  ];
}

/** Where the same notes stand elsewhere. */
function modelsOf({ events }: PlanResponse, { from, to }: Stretch): number[] {
  const sound = events.map((event) => ('midi' in event ? event.midi.join() : 'rest'));
  const own = sound.slice(from, to + 1).join(' ');
  const length = to - from + 1;
  return sound
    .flatMap((_, as) => (Math.abs(as - from) >= length && sound.slice(as, as + length).join(' ') === own ? [as] : []))
    .slice(0, MOST_MODELS);
}

/** The hand is there for the last of the marked notes from the first of them on. */
function preparedOf({ rules }: PlanRequest, { from, to }: Stretch, { events }: PlanResponse) {
  const known = rules?.prepare?.some((one) => one.from === from && one.for === to);
  return from < to && !known && 'midi' in events[to] ? [{ from, for: to }] : [];
}

/** A phrase begins at a note, or does not, or the one near it is moved there. */
function phrasesOf(request: PlanRequest, at: number): Ask[] {
  const { material } = request;
  if (material.type !== 'notes' || at === 0 || 'rest' in (material.notes[at] ?? { rest: true })) return [];
  const begins = phraseMarks(buildMusic(material), request.tempo);
  const near = [...begins].filter((other) => Math.abs(other - at) <= NEAR && other !== at);
  const marked = (marks: Readonly<Record<number, boolean>>): PlanRequest => ({
    ...request,
    material: {
      ...material,
      notes: material.notes.map((note, n): NoteSpec => (n in marks ? { ...note, phrase: marks[n] } : note)),
    },
  });
  const ask = (id: string, words: string, marks: Readonly<Record<number, boolean>>): Ask => ({
    id,
    group: stretchText.phrases,
    words,
    request: marked(marks),
  });
  if (begins.has(at)) return [ask('no-phrase', stretchText.noPhraseHere, { [at]: false })];
  const [moved] = near.sort((a, b) => Math.abs(a - at) - Math.abs(b - at));
  return [
    ask('phrase', stretchText.aPhraseHere, { [at]: true }),
    ...(moved === undefined ? [] : [ask('move-phrase', stretchText.movePhraseHere, { [moved]: false, [at]: true })]),
  ];
}

/** Notes from which a phrase's beginning is moved. */
const NEAR = 12;
