/*
 * npm run bench -- trends: what the trends tell of made-up students over real plans, with a seed that can be given.
 */
import { seeded } from '../src/app/practice/seeded';
import * as measuringText from '../src/wording/rooms/measuring';
import { firstTold, oftenTold, sideTold, STEADY } from '../tests/support/students';

const STUDENTS = 60;

/** Share of made-up students for whom something comes true. */
function share(students: number, seed: number, comesTrue: (student: number) => boolean): number {
  let count = 0;
  for (let student = 0; student < students; student++) if (comesTrue(seed + 31 * student)) count++;
  return count / students;
}

export function benchTrends(seed: number) {
  console.log(measuringText.trendsSeed(seed));
  const percent = (part: number) => `${Math.round(100 * part)} %`;
  console.table(
    Object.entries(STEADY).map(([name, habit]) => ({
      'no weakness, half a year of looks': name,
      'told anything': percent(share(STUDENTS, seed, (student) => firstTold(seeded(student), habit) !== undefined)),
      limit: measuringText.fiveForEither,
    })),
  );
  console.table(
    [40, 60, 80].map((off) => ({
      'low in four of five, tries off': off,
      told: percent(share(400, seed, (student) => sideTold(seeded(student), off))),
      wanted: { 40: '50 %', 60: '83 %', 80: '95 %' }[off],
    })),
  );
  console.table(
    [2000, 500].map((others) => ({
      'a fifth off beside a tenth, 250 tries; tries elsewhere': others,
      told: percent(share(300, seed, (student) => oftenTold(seeded(student), { tries: 250, others }))),
      wanted: { 2000: '70 %' }[others] ?? '',
    })),
  );
}
