import type { Findings } from '../findings/findings';
import type { Played } from '../findings/played';
import { positionOrder } from '../hand/positions';
import type { Setup } from '../instrument/setup';
import type { Shift } from '../vocabulary';

/*
 * Kinds of place: what trends are told by. They are fixed before anything is counted, forty in all, so that a finding can be held against chance.
 */

const FINGERED = ['1', '2', '3', '4'] as const;
/** First position stands for half position too; the last is fifth and all above. */
const PLACES = ['1', '2', '3', '4', '5'] as const;
const TEMPI = [60, 80, 100, 120] as const;

/** A finger in a position, thumb position, a string from the top, a shift by direction and distance or by fingers, a trap, an extension, a tempo and above. */
export const KINDS = [
  ...FINGERED.flatMap((finger) => PLACES.map((place) => `finger-${finger}-${place}` as const)),
  'thumb',
  'string-1',
  'string-2',
  'string-3',
  'string-4',
  'up-1',
  'up-2',
  'up-3',
  'down-1',
  'down-2',
  'down-3',
  'shift-same',
  'shift-other',
  'shift-over',
  'trap',
  'extension',
  ...TEMPI.map((tempo) => `tempo-${tempo}` as const),
] as const;
export type Kind = (typeof KINDS)[number];

const KNOWN: ReadonlySet<string> = new Set(KINDS);

export function isKind(name: string): name is Kind {
  return KNOWN.has(name);
}

/** Distance of a shift in positions: one, two, three and more. */
const MOST_DISTANCE = 3;
const LOWEST_STRING = 4;
const HIGHEST_PLACE = 5;

/** The kinds of each note of a plan, by event; the tempo comes with the repetition. */
export function kindsOfNotes(
  notes: readonly Played[],
  { shifts, traps, setup }: Pick<Findings, 'shifts' | 'traps' | 'setup'>,
): ReadonlyMap<number, Kind[]> {
  const landings = new Map(shifts.map(({ shift, up }) => [shift.to, { shift, up }]));
  const trapped = new Set(traps.map(({ to }) => to.at));
  const kinds = new Map<number, Set<Kind>>();
  for (const note of notes) {
    const own = kinds.get(note.at) ?? new Set<Kind>();
    const landing = landings.get(note.at);
    const found: readonly (Kind | null)[] = [
      fingerKind(note),
      stringKind(note, setup),
      ...(landing ? shiftKinds(landing.shift, landing.up) : []),
      trapped.has(note.at) ? 'trap' : null,
      note.step.extended ? 'extension' : null,
    ];
    for (const kind of found) if (kind) own.add(kind);
    kinds.set(note.at, own);
  }
  return new Map([...kinds].map(([at, own]) => [at, [...own]]));
}

function fingerKind({ finger, step: { position } }: Played): Kind | null {
  if (finger === 0) return null;
  if (position === 'thumb' || finger === 'T') return 'thumb';
  const place = Math.min(HIGHEST_PLACE, Math.max(1, Math.floor(position)));
  return named(`finger-${finger}-${place}`);
}

/** Strings are counted from the top; what lies below the fourth counts with it. */
function stringKind({ string }: Played, { strings }: Setup): Kind | null {
  return named(`string-${Math.min(LOWEST_STRING, strings.length - string)}`);
}

function shiftKinds({ fromPosition, toPosition, kind }: Shift, up: boolean): (Kind | null)[] {
  const [from, to] = [positionOrder(fromPosition), positionOrder(toPosition)];
  const away = Math.abs(to - from);
  // Into, out of and within thumb position the hand goes far, whatever the numbers say.
  const distance = Number.isFinite(away) ? Math.max(1, Math.min(MOST_DISTANCE, Math.round(away))) : MOST_DISTANCE;
  return [named(`${up ? 'up' : 'down'}-${distance}`), SHIFT_KIND[kind]];
}

const SHIFT_KIND: Readonly<Record<Shift['kind'], Kind>> = {
  'same-finger': 'shift-same',
  'old-finger': 'shift-other',
  'new-finger': 'shift-other',
  'open-string': 'shift-over',
  'across-strings': 'shift-over',
  'to-thumb': 'shift-other',
  'from-thumb': 'shift-other',
};

function named(name: string): Kind | null {
  return isKind(name) ? name : null;
}

/** The tempi that a repetition counts for: each that it reaches. */
export function tempoKinds(bpm: number): Kind[] {
  return TEMPI.filter((tempo) => bpm >= tempo).map((tempo) => `tempo-${tempo}` as const);
}
