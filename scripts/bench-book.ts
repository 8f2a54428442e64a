import { startServer } from './server.mjs';
import * as measuringText from '../src/wording/rooms/measuring';

const KEYS = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'Ab', 'A', 'Bb', 'B'];
const SCALES = [
  'major',
  'natural-minor',
  'harmonic-minor',
  'melodic-minor',
  'dorian',
  'mixolydian',
  'whole-tone',
  'chromatic',
];
/** Each key twice, from its lowest tonic and an octave higher: with the scales and octaves the usual book of 24 × 8 × 3 pages. */
const STARTS = KEYS.flatMap((key) => {
  const low = ['G', 'Ab', 'A', 'Bb', 'B'].includes(key) ? 3 : 4;
  return [`${key}${low}`, `${key}${low + 1}`];
});

/** A full violin book over HTTP, on as many threads as the machine has cores. */
export async function benchBook() {
  const { address, stop } = await startServer();
  const pages = STARTS.flatMap((tonic) =>
    SCALES.flatMap((scale) =>
      [1, 2, 3].map((octaves) => ({
        instrument: 'violin',
        explain: 'nothing',
        alternatives: 3,
        material: { type: 'scale', tonic, scale, octaves, direction: 'updown' },
      })),
    ),
  );
  try {
    const start = performance.now();
    const response = await fetch(`${address}/api/book`, { method: 'POST', body: JSON.stringify(pages) });
    const text = await response.text();
    const seconds = (performance.now() - start) / 1000;
    const answers = text
      .trimEnd()
      .split('\n')
      .map((line) => JSON.parse(line));
    const planned = answers.filter((answer) => answer.plans?.length > 0).length;
    const megabytes = (text.length / 1e6).toFixed(0);
    console.log(measuringText.aFullViolinBook(pages.length, planned, seconds.toFixed(1), megabytes));
  } finally {
    stop();
  }
}
