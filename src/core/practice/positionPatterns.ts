import type { PositionNumber } from '../hand/hold';
import { instrumentData, type InstrumentKind } from '../instrument/instruments';
import type { OpenString, Setup } from '../instrument/setup';
import { spellInKey } from '../pitch/inkey';
import type { Key } from '../pitch/key';
import { pitchName } from '../pitch/pitch';
import { plan } from '../planner/plan';
import type { Finger } from '../hand/finger';
import type { PlanRequest } from '../planner/request';
import { readKey } from './drills';
import { drillRequest, type DrillNote } from './notes';
import { oneAfterAnother } from './series';

/*
 * Every finger pattern of a position, string by string: the first thing that is learned of it.
 */

interface TaughtPattern {
  readonly fingers: readonly Finger[];
  /** Semitones from the first finger. */
  readonly places: readonly number[];
}

/** Patterns as they are taught first: by which fingers touch on violin and viola, closed and open on the large instruments. */
const PATTERNS: Readonly<Record<InstrumentKind, readonly TaughtPattern[]>> = {
  violin: lettered(),
  viola: lettered(),
  cello: [
    { fingers: [1, 2, 3, 4], places: [0, 1, 2, 3] },
    { fingers: [1, 2, 3, 4], places: [0, 2, 3, 4] },
  ],
  bass: [{ fingers: [1, 2, 4], places: [0, 1, 2] }],
};

function lettered(): readonly TaughtPattern[] {
  const fingers: readonly Finger[] = [1, 2, 3, 4];
  return [
    { fingers, places: [0, 2, 3, 5] },
    { fingers, places: [0, 1, 3, 5] },
    { fingers, places: [0, 2, 4, 5] },
    { fingers, places: [0, 2, 4, 6] },
  ];
}

/** Semitones above the open string in which the first finger of a position is looked for. */
const FARTHEST = 16;

/**
 * Each pattern up and down on each string, in a position.
 * @returns null where the position has none
 */
export function patternsInPosition(
  request: PlanRequest,
  setup: Setup,
  key: string,
  position: PositionNumber,
): PlanRequest | null {
  const read = readKey(key);
  const drills = setup.strings.flatMap((string) => {
    const first = firstFinger(request, read, key, string, position);
    if (first === null) return [];
    return PATTERNS[setup.kind].flatMap(({ fingers, places }): PlanRequest[] => {
      const up = places.map((place, n): DrillNote => ({
        ...{ pitches: [pitchName(spellInKey(read, string.midi + first + place))], finger: fingers[n] },
        ...{ string: string.name, position, ...(n === 0 ? { bar: true } : {}) },
      }));
      const down = up.slice(0, -1).reverse();
      const held = down.map((note, n): DrillNote => ({
        ...note,
        bar: false,
        beats: n === down.length - 1 ? 2 : 1,
      }));
      const drill = drillRequest(request, key, [...up, ...held]);
      return playable(drill) ? [drill] : [];
    });
  });
  return drills.length > 0 ? oneAfterAnother(drills) : null;
}

/** Where the first finger lies in a position, in semitones above the open string: on a note of the key, the lowest. */
function firstFinger(
  request: PlanRequest,
  read: Key,
  key: string,
  string: OpenString,
  position: PositionNumber,
): number | null {
  for (
    let semitones = 1;
    semitones <= Math.min(FARTHEST, instrumentData(request.instrument).reachSemitones);
    semitones++
  ) {
    const pitch = pitchName(spellInKey(read, string.midi + semitones));
    const one: DrillNote = { pitches: [pitch], finger: 1, string: string.name, position };
    if (playable(drillRequest(request, key, [one]))) return semitones;
  }
  return null;
}

const playable = (request: PlanRequest) =>
  plan({ ...request, alternatives: 1, explain: 'nothing' }).plans.length > 0;
