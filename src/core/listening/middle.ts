/*
 * The middle of a note: a straight line and one sine, the vibrato, that grows after the note has begun, fitted by least squares. A plain mean is off where no whole
 * swing is left.
 */

/** A note's pitch over time. */
export interface Track {
  /** Seconds from the beginning of the note. */
  readonly times: readonly number[];
  /** Cents against the target. */
  readonly cents: readonly number[];
}

export interface Middle {
  readonly cents: number;
  /** Cents a second by which it moves. */
  readonly slope: number;
  /** Half the swing, and its rate; the swing 0 where there is none. */
  readonly swing: number;
  readonly hz: number;
  /** What is left of each frame when middle and vibrato are taken out. */
  readonly rest: readonly number[];
  /** Spread of what is left, in cents. */
  readonly spread: number;
}

/** Rates of a vibrato, in hertz. */
const RATES = Array.from({ length: 13 }, (_, n) => 4 + 0.25 * n);
/** When it may begin, in seconds after the note, and how long it takes to grow. */
const ONSETS = [-0.2, -0.1, -0.05, 0, 0.05, 0.1, 0.15];
const GROWS = 0.12;
/** Keeps the sine small where there is little to fit it to. */
const RIDGE = 0.6;
/** Further from the median a frame is a slip of the detector, or a slide. */
const WILD = 70;
/** A swing smaller than this is none. */
const LEAST_SWING = 3;

/** The median of some numbers; 0 of none. */
export function median(values: readonly number[]): number {
  if (values.length === 0) return 0;
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
}

/**
 * The middle of a note.
 * @param hz the rate of the vibrato where it is known from longer notes; else it is looked for
 */
export function middleOf({ times, cents }: Track, hz?: number): Middle {
  const around = median(cents);
  const kept = times.flatMap((time, n) => (Math.abs(cents[n] - around) <= WILD ? [{ time, value: cents[n] }] : []));
  const mean = kept.reduce((sum, { value }) => sum + value, 0) / Math.max(1, kept.length);
  const plain = kept.reduce((sum, { value }) => sum + (value - mean) ** 2, 0);
  let best = { error: plain * PLAIN, parts: [mean, 0, 0] as Parts, hz: 0, onset: 0 };
  if (kept.length >= LEAST_FRAMES)
    for (const rate of hz === undefined ? RATES : [hz])
      for (const onset of ONSETS) {
        const parts = solved(kept, rate, onset);
        const error = kept.reduce((sum, { time, value }) => sum + (value - at(parts, rate, onset, time)) ** 2, 0);
        if (error < best.error) best = { error, parts, hz: rate, onset };
      }
  const swing = Math.hypot(best.parts[1], best.parts[2]);
  const rest = times.map((time, n) => cents[n] - sineAt(best.parts, best.hz, best.onset, time));
  const sure = kept.length > 0 ? Math.sqrt(best.error / kept.length) : Infinity;
  return {
    cents: best.parts[0],
    slope: slopeOf(kept.map(({ time, value }) => [time, value - sineAt(best.parts, best.hz, best.onset, time)])),
    swing: swing >= LEAST_SWING ? swing : 0,
    hz: swing >= LEAST_SWING ? best.hz : 0,
    rest,
    spread: sure,
  };
}

/** A sine is only fitted where it explains so much more than none. */
const PLAIN = 0.9;
const LEAST_FRAMES = 12;

type Parts = readonly [middle: number, sine: number, cosine: number];
interface Point {
  readonly time: number;
  readonly value: number;
}

const rampAt = (onset: number, time: number) => Math.min(1, Math.max(0, (time - onset) / GROWS));

function sineAt([, sine, cosine]: Parts, hz: number, onset: number, time: number): number {
  const angle = 2 * Math.PI * hz * time;
  return rampAt(onset, time) * (sine * Math.sin(angle) + cosine * Math.cos(angle));
}

const at = (parts: Parts, hz: number, onset: number, time: number) => parts[0] + sineAt(parts, hz, onset, time);

/** Least squares of a middle and a sine: three equations. */
function solved(points: readonly Point[], hz: number, onset: number): Parts {
  let [n, s, c, ss, cc, sc, y, ys, yc] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (const { time, value } of points) {
    const [ramp, angle] = [rampAt(onset, time), 2 * Math.PI * hz * time];
    const [sine, cosine] = [ramp * Math.sin(angle), ramp * Math.cos(angle)];
    n++;
    s += sine;
    c += cosine;
    ss += sine * sine;
    cc += cosine * cosine;
    sc += sine * cosine;
    y += value;
    ys += value * sine;
    yc += value * cosine;
  }
  ss += RIDGE;
  cc += RIDGE;
  const det = n * (ss * cc - sc * sc) - s * (s * cc - sc * c) + c * (s * sc - ss * c);
  if (Math.abs(det) < 1e-9) return [y / Math.max(1, n), 0, 0];
  const middle = (y * (ss * cc - sc * sc) - s * (ys * cc - sc * yc) + c * (ys * sc - ss * yc)) / det;
  const sine = (n * (ys * cc - yc * sc) - y * (s * cc - c * sc) + c * (s * yc - c * ys)) / det;
  const cosine = (n * (ss * yc - sc * ys) - s * (s * yc - c * ys) + y * (s * sc - c * ss)) / det;
  return [middle, sine, cosine];
}

/** How steeply some points rise, by least squares. */
function slopeOf(points: readonly (readonly [number, number])[]): number {
  const n = points.length;
  if (n < 3) return 0;
  const [x, y] = [0, 1].map((side) => points.reduce((sum, one) => sum + one[side], 0) / n);
  const over = points.reduce((sum, [a, b]) => sum + (a - x) * (b - y), 0);
  const under = points.reduce((sum, [a]) => sum + (a - x) ** 2, 0);
  return under > 0 ? over / under : 0;
}
