import type { Setup } from '../../instrument/setup';
import { slotOf } from '../../hand/finger';
import type { HandModel, Hold } from '../../hand/hold';
import type { HandFrame, PositionNumber, Lock, PositionRule, Rules } from '../../vocabulary';
import { positionOrder } from '../../hand/positions';

export function positionAllowed(rule: PositionRule | undefined, position: PositionNumber): boolean {
  if (!rule) return true;
  if ('only' in rule) return rule.only.includes(position);
  const order = positionOrder(position);
  return order >= rule.from && order <= positionOrder(rule.to);
}

/** Says of a hold whether the teacher's demands let it stand; locks come on top, by event. */
export function holdAllowed(setup: Setup, model: HandModel, rules: Rules, hold: Hold): boolean {
  if (!positionAllowed(rules.positions, model.label(hold.position))) return false;
  if (!opensAsWanted(rules.extensions, hold)) return false;
  const spared = rules.fingers?.never ?? [];
  return hold.stops.every(
    (stop) =>
      !spared.some((finger) => finger === stop.finger) &&
      (rules.harmonics !== 'never' || !stop.harmonic) &&
      (rules.strings === undefined || rules.strings.includes(setup.strings[stop.string].name)) &&
      (rules.openStrings !== 'never' || stop.finger !== 0) &&
      (rules.fourthFinger !== 'never' || stop.finger !== 4),
  );
}

/** The first finger alone reaches back; any other goes forward. */
function opensAsWanted(extensions: Rules['extensions'], { extended }: Hold): boolean {
  if (extended === 0) return true;
  if (extensions === 'forward' || extensions === 'back') return (extended === 1) === (extensions === 'back');
  return extensions !== 'never';
}

const SIDES: Readonly<Record<HandFrame, number>> = { closed: 0, forward: 1, back: -1 };

/**
 * True where a hold keeps the patterns asked for: no finger of a pair presses its string while the other, where the music wants it, lies more or less than a
 * semitone away.
 * @param wanted midi of every pitch of the music
 */
export function patternsKept(
  { strings }: Setup,
  patterns: Rules['patterns'] = [],
  hold: Hold,
  wanted: ReadonlySet<number>,
): boolean {
  return patterns.every(({ string, touch }) =>
    hold.stops.every((stop) => {
      if (strings[stop.string].name !== string || !touch.some((finger) => finger === stop.finger)) return true;
      const [low, high] = [Math.min(...touch), Math.max(...touch)].map((finger) => hold.frame[finger]);
      const other = stop.finger === Math.max(...touch) ? low : high;
      return high - low === 1 || !wanted.has(strings[stop.string].midi + other);
    }),
  );
}

/** True where a hold has a stop with the locked finger on the locked string, in the locked position. */
export function lockHeld(setup: Setup, model: HandModel, lock: Lock, hold: Hold): boolean {
  if (lock.position !== undefined && model.label(hold.position) !== lock.position) return false;
  if (lock.frame !== undefined && hold.side !== SIDES[lock.frame]) return false;
  return hold.stops.some(
    (stop) =>
      (lock.finger === undefined || stop.finger === slotOf(lock.finger)) &&
      (lock.harmonic === undefined || stop.harmonic) &&
      (lock.string === undefined || setup.strings[stop.string].name === lock.string),
  );
}
