/*
 * npm run bench -- listening: what is heard of made-up takes, with a seed that can be given, and how fast.
 */
import { bowedTake, chances, listen, startListening, type Report } from '../src/core/listening';
import { resolveSetup, type Fault, type InstrumentName } from '../src/core';
import * as measuringText from '../src/wording/rooms/measuring';
import { found, names, PLANTS, within, type Planted } from '../tests/support/plants';
import { heardOf, INSTRUMENTS, RATE, someTake, usual, type Take } from '../tests/support/takes';

const TAKES = 6;
const CAUSES = 20;

const percent = (part: number) => `${(100 * part).toFixed(1)} %`;
const share = (count: number, all: number) => `${count} / ${all}`;

/** Notes that were found, and middles within some cents, over several takes. */
function notesRow(seed: number, instrument: InstrumentName, seconds: number, vibrato: number, cents: number) {
  let [notes, heard] = [0, 0];
  const errors: number[] = [];
  for (let n = 0; n < TAKES; n++) {
    const faults: readonly Fault[] = [
      { fault: 'scatter', cents: 4 },
      { fault: 'noise', db: 20 },
      { fault: 'room' },
      ...(vibrato > 0 ? [{ fault: 'vibrato' as const, hz: 5.4, cents: vibrato }] : []),
    ];
    const take = someTake(seed * 1000 + n, seconds, () => faults, instrument);
    const { share: part, errors: own } = found(take, heardOf(take, n));
    notes += take.notes.length;
    heard += Math.round(part * take.notes.length);
    errors.push(...own);
  }
  return {
    instrument,
    'seconds a note': seconds,
    'vibrato, cents': vibrato,
    found: percent(heard / notes),
    [measuringText.middleWithin]: `${percent(within(errors, cents))} (±${cents})`,
  };
}

/** Planted causes that were named, by the sound of the take. */
function causesRow(seed: number, kind: Planted['fault']) {
  let [tried, right, others] = [0, 0, 0];
  for (let n = 0; tried < CAUSES && n < 200; n++) {
    let planted: Planted | null = null;
    const take = someTake(seed * 5000 + n, 0.55, (expected, chance) => {
      planted = PLANTS[kind](expected, chance);
      return [...(planted ? [planted] : []), ...usual(chance)];
    });
    const wanted = planted as Planted | null;
    if (!wanted) continue;
    tried++;
    const isIt = (cause: Report['causes'][number]) =>
      [cause.cause, ...cause.or].some((one) => names(one, wanted, take.expected));
    const { causes } = heardOf(take, n);
    if (causes.some(isIt)) right++;
    if (causes.some((cause) => !isIt(cause))) others++;
  }
  return { planted: kind, named: share(right, tried), 'something else said': share(others, tried) };
}

function trueRow(seed: number) {
  let others = 0;
  for (let n = 0; n < CAUSES; n++) {
    const take = someTake(seed * 9000 + n, 0.55, (_, chance) => usual(chance));
    if (heardOf(take, n).causes.length > 0) others++;
  }
  return { planted: measuringText.nothingPlanted, named: '', 'something else said': share(others, CAUSES) };
}

/** Times faster than the take, and the share of one core that following live takes. */
function speedRow(take: Take) {
  const samples = bowedTake(take.notes, { rate: RATE, faults: [], chance: chances(1) });
  const seconds = samples.length / RATE;
  listen(take.expected, take.plan, samples, RATE);
  const begun = performance.now();
  listen(take.expected, take.plan, samples, RATE);
  const whole = performance.now() - begun;
  const push = startListening(take.expected, RATE);
  const live = performance.now();
  for (let at = 0; at + 1024 <= samples.length; at += 1024) push(samples.slice(at, at + 1024));
  const liveMs = performance.now() - live;
  return {
    instrument: take.request.instrument,
    'seconds of sound': seconds.toFixed(1),
    'times faster': (seconds / (whole / 1000)).toFixed(0),
    'live, of one core': percent(liveMs / 1000 / seconds),
  };
}

/** From here up notes may be shorter, and from here down pitch is less sure. */
const [C3, C2] = [48, 36];

export function benchListening(seed: number) {
  console.log(measuringText.trendsSeed(seed));
  console.table(
    INSTRUMENTS.flatMap((instrument) => {
      const lowest = resolveSetup({ instrument }).strings[0].midi;
      const [short, quick] = lowest >= C3 ? [0.25, 0.125] : [0.4, 0.2];
      return [
        notesRow(seed, instrument, 0.5, 20, lowest >= C2 ? 2 : 3),
        notesRow(seed, instrument, short, 15, 3),
        notesRow(seed, instrument, quick, 0, 3),
      ];
    }),
  );
  const kinds = Object.keys(PLANTS) as Planted['fault'][];
  console.table([...kinds.map((kind) => causesRow(seed, kind)), trueRow(seed)]);
  console.table(INSTRUMENTS.map((instrument) => speedRow(someTake(seed, 0.5, () => [], instrument))));
}
