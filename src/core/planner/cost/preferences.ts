import {
  LEAST_FACTOR,
  PREFERENCES,
  type PlanRequest,
  type Preference,
  type Rules,
  type Weights,
} from '../../vocabulary';

/*
 * A teacher's taste: a few named prices, nudged within bounds. A factor below 1 makes a thing cheaper, above 1 dearer; what costs nearly nothing to
 * begin with is nudged by a share of a shift's bare price.
 */

/** What liking or disliking a thing is worth at most, in a shift's bare price. */
const LIKED = 0.6;
const DISLIKED = 0.3;

/** 0 at a factor of 1, up to 1 at the least factor. */
const liking = (factor: number) => Math.max(0, 1 - factor) / (1 - LEAST_FACTOR);
/** 0 at a factor of 1, 1 at twice the price, 3 at the most. */
const disliking = (factor: number) => Math.max(0, factor - 1);

/** What each preference does to the prices. */
const NUDGES: Readonly<Record<Preference, (weights: Weights, factor: number) => Partial<Weights>>> = {
  // Who likes open strings misses them where a finger stops the same note; who does not pays for each.
  'open-string': ({ open, openMissed }, factor) => ({
    open: open * factor + DISLIKED * disliking(factor),
    openMissed: openMissed + LIKED * liking(factor),
  }),
  'little-finger': ({ fourth, fourthMissed }, factor) => ({
    fourth: fourth * factor + DISLIKED * disliking(factor),
    fourthMissed: fourthMissed + LIKED * liking(factor),
  }),
  shift: ({ shiftBase }, factor) => ({ shiftBase: shiftBase * factor }),
  crossing: ({ crossing, colour }, factor) => ({
    crossing: crossing * factor,
    colour: colour * factor + DISLIKED * disliking(factor),
  }),
  extension: ({ extensionTaken, extensionHeld }, factor) => ({
    extensionTaken: extensionTaken * factor,
    extensionHeld: extensionHeld * factor,
  }),
  height: ({ height, lowString }, factor) => ({ height: height * factor, lowString: lowString * factor }),
};

/** The rule that says the same thing outright, where it is set: then the rule wins. */
const RULED_BY: Readonly<Partial<Record<Preference, (rules: Rules) => unknown>>> = {
  'open-string': ({ openStrings = 'free' }) => openStrings !== 'free',
  'little-finger': ({ fourthFinger = 'free' }) => fourthFinger !== 'free',
  shift: ({ mostShifts }) => mostShifts !== undefined,
  extension: ({ extensions = 'free' }) => extensions !== 'free',
  crossing: ({ strings }) => strings,
  height: ({ positions }) => positions,
};

/** The preferences of a request that nothing overrules, and those that a rule does. */
export function preferencesOf({ preferences = {}, rules = {} }: Pick<PlanRequest, 'preferences' | 'rules'>): {
  readonly inForce: readonly Preference[];
  readonly overruled: readonly Preference[];
} {
  const named = PREFERENCES.filter((name) => (preferences[name] ?? 1) !== 1);
  const ruled = (name: Preference) => Boolean(RULED_BY[name]?.(rules));
  return { inForce: named.filter((name) => !ruled(name)), overruled: named.filter(ruled) };
}

/** The prices with the taste of a request laid on. */
export function withTaste(weights: Weights, request: Pick<PlanRequest, 'preferences' | 'rules'>): Weights {
  return preferencesOf(request).inForce.reduce(
    (prices, name) => ({ ...prices, ...NUDGES[name](prices, request.preferences?.[name] ?? 1) }),
    weights,
  );
}
