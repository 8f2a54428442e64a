import { closed, either, oneOf, tagged, Type, type Described } from '../schema';

/*
 * What is wrong with how a made-up player plays a plan. Cents are against the target; mm are along the string, positive towards the bridge.
 */

const Cents = Type.Number({ minimum: -1200, maximum: 1200 });
const Mm = Type.Number({ minimum: -100, maximum: 100 });
const Event = Type.Integer({ minimum: 0 });
const Place = either({ type: 'string' }, oneOf(['thumb']), Type.Number({ minimum: 0, maximum: 30 }));

export const Fault = tagged('fault', [
  closed({ fault: oneOf(['hand']), position: Place, mm: Mm }),
  closed({
    fault: oneOf(['finger']),
    finger: either({ type: 'string' }, oneOf(['T']), Type.Integer({ minimum: 1, maximum: 4 })),
    mm: Mm,
  }),
  // Too wide, in mm between the first finger and the last.
  closed({ fault: oneOf(['frame']), position: Place, mm: Mm }),
  closed({ fault: oneOf(['string']), string: Type.String(), cents: Cents }),
  // Slid to its place after it has landed, or left where it is.
  closed({ fault: oneOf(['shift']), at: Event, cents: Cents, slid: Type.Optional(Type.Boolean()) }),
  // The pitch gives way within the note as the bow presses.
  closed({ fault: oneOf(['contact']), string: Type.String(), cents: Cents }),
  closed({ fault: oneOf(['voice']), at: Event, stop: Event, cents: Cents }),
  closed({ fault: oneOf(['wrong']), at: Event, semitones: Type.Number({ minimum: -12, maximum: 12 }) }),
  closed({ fault: oneOf(['skip']), at: Event }),
  closed({ fault: oneOf(['repeat']), at: Event }),
  closed({ fault: oneOf(['stop']), after: Event }),
  closed({ fault: oneOf(['restart']), after: Event, from: Event }),
  closed({ fault: oneOf(['scatter']), cents: Type.Number({ minimum: 0, maximum: 100 }) }),
  // Beats a minute by which the tempo has changed at the end.
  closed({ fault: oneOf(['drift']), bpm: Type.Number({ minimum: -30, maximum: 60 }) }),
  closed({
    fault: oneOf(['vibrato']),
    hz: Type.Number({ minimum: 1, maximum: 12 }),
    cents: Type.Number({ minimum: 0, maximum: 200 }),
  }),
  // Signal to noise.
  closed({ fault: oneOf(['noise']), db: Type.Number({ minimum: -20, maximum: 120 }) }),
  closed({ fault: oneOf(['room']) }),
]);
export type Fault = Described<typeof Fault>;

/** What one made-up player does wrong. */
export const Faults = Type.Array(Fault, { maxItems: 200 });
export type Faults = Described<typeof Faults>;
