/*
 * npm run sweep: every instrument, tonic, scale, chord and one to three octaves; each must give a sound plan or name the note that cannot
 * be played. Exits 1 where one does not.
 */
import { soundness, sweepCases } from '../tests/support/sweep';

const cases = sweepCases();
const unsound = cases.flatMap((one) => {
  const trouble = soundness(one);
  return trouble ? [`${trouble}: ${JSON.stringify(one)}`] : [];
});
console.log(`${cases.length - unsound.length} of ${cases.length} answers are sound`);
for (const line of unsound.slice(0, 20)) console.log(line);
process.exit(unsound.length > 0 ? 1 : 0);
