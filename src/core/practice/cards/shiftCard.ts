import type { ShiftDetail } from '../../findings/shifts';
import type { Setup } from '../../instrument/setup';
import { parsePitch, pitchClassName, pitchName } from '../../pitch/pitch';
import type { Quiz } from '../../vocabulary';

/* How far is this shift, and what is its guide note: answered by a choice, and by a letter. */

const MOST_SEMITONES = 7;

/** Of a shift along one string: how far the hand goes, and over which note it is guided. */
export function shiftCards({ shift, from, to }: ShiftDetail, setup: Setup): Quiz[] {
  if (from.string !== to.string || shift.kind === 'open-string') return [];
  const ask = {
    from: pitchName(from.pitch),
    to: pitchName(to.pitch),
    string: setup.strings[to.string].name,
    fromFinger: shift.fromFinger,
    toFinger: shift.toFinger,
    fromPosition: shift.fromPosition,
    toPosition: shift.toPosition,
  };
  const most = Math.max(MOST_SEMITONES, shift.semitones + 2);
  const options = Array.from({ length: most }, (_, at) => String(at + 1));
  const guide = shift.guide && parsePitch(shift.guide.pitch);
  return [
    { ask: { kind: 'shift-far', ...ask }, right: [String(shift.semitones)], options },
    ...(guide ? [{ ask: { kind: 'shift-guide' as const, ...ask }, right: [pitchClassName(guide)] }] : []),
  ];
}
