import type { Setup } from '../../instrument/setup';
import { slotOf } from '../../hand/finger';
import type { HandModel, Hold } from '../../hand/hold';
import type { PositionNumber, Lock, PositionRule, Rules } from '../../vocabulary';
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
  if (rules.extensions === 'never' && hold.extended > 0) return false;
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

/** True where a hold has a stop with the locked finger on the locked string, in the locked position. */
export function lockHeld(setup: Setup, model: HandModel, lock: Lock, hold: Hold): boolean {
  if (lock.position !== undefined && model.label(hold.position) !== lock.position) return false;
  return hold.stops.some(
    (stop) =>
      (lock.finger === undefined || stop.finger === slotOf(lock.finger)) &&
      (lock.harmonic === undefined || stop.harmonic) &&
      (lock.string === undefined || setup.strings[stop.string].name === lock.string),
  );
}

type PlaceTest = (setup: Setup, model: HandModel, hold: Hold) => boolean;

/** What the demands say of where a hold lies, whatever the fingers; null where they say nothing of it. */
export function placeDemands(
  { positions, strings }: Rules,
  locks: readonly Lock[],
  never: readonly Lock[],
): PlaceTest | null {
  const placed = (all: readonly Lock[]) =>
    all.filter(({ string, position }) => string !== undefined || position !== undefined);
  const wanted = placed(locks).map(({ at, string, position }) => ({ at, string, position }));
  const shunned = placed(never).filter(({ finger }) => finger === undefined);
  if (!positions && !strings && wanted.length + shunned.length === 0) return null;
  return (setup, model, hold) =>
    holdAllowed(setup, model, { positions, strings }, hold) &&
    wanted.every((lock) => lockHeld(setup, model, lock, hold)) &&
    !shunned.some((one) => lockHeld(setup, model, one, hold));
}
