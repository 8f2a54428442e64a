import { expose } from 'comlink';
import type { Fault, Plan } from '../core';
import {
  bowedTake,
  chances,
  listen,
  performed,
  startListening,
  startTuning,
  type Expected,
  type Listening,
  type LiveMoment,
  type Report,
  type Tuning,
} from '../core/listening';

let push: ((block: Float32Array) => LiveMoment | undefined) | undefined;

let tune: ((block: Float32Array) => Tuning | undefined) | undefined;

/** What listens in the background. */
const listener = {
  /** Begins a take. @param rate samples a second */
  begin(expected: Expected, rate: number) {
    push = startListening(expected, rate);
  },
  /** The next samples of the take. @returns where the player is */
  hear(block: Float32Array): LiveMoment | undefined {
    return push?.(block);
  },
  /** Begins to tune. @param a4 hertz @param rate samples a second */
  beginTuning(strings: Pick<Expected, 'setup' | 'openCents'>, a4: number, rate: number) {
    tune = startTuning(strings, a4, rate);
  },
  /** The next samples of a string. */
  hearString(block: Float32Array): Tuning | undefined {
    return tune?.(block);
  },
  /** What was heard of a whole take. */
  report(expected: Expected, plan: Plan, samples: Float32Array, rate: number, given: Listening): Report {
    return listen(expected, plan, samples, rate, given);
  },
  /** A take of the made-up player. */
  simulate(expected: Expected, faults: readonly Fault[], rate: number, seed: number): Float32Array {
    const notes = performed(expected, faults, chances(seed));
    return bowedTake(notes, { rate, faults, chance: chances(seed + 1) });
  },
};

expose(listener);
export type Listener = typeof listener;
