/*
 * npm run sweep: every instrument, tonic, scale, chord and one to three octaves; each must give a sound plan or name the note that cannot
 * be played. With -- --craft: what makes a teacher wince, each kind with how often it comes and how often it may; up to three examples of each, or of
 * those whose name has a word given after it. Exits 1 where something is wrong.
 */
import { craftKinds, fingersOf, sweep } from '../tests/support/craft';
import { soundness, sweepCases } from '../tests/support/sweep';
import { requestWords } from '../src/wording/material';
import * as measuringText from '../src/wording/rooms/measuring';

process.exit(process.argv.includes('--craft') ? craft(process.argv[process.argv.indexOf('--craft') + 1]) : sound());

function sound(): number {
  const cases = sweepCases();
  const unsound = cases.flatMap((one) => {
    const trouble = soundness(one);
    return trouble ? [`${trouble}: ${JSON.stringify(one)}`] : [];
  });
  console.log(measuringText.ofAnswersAreSound(cases.length - unsound.length, cases.length));
  for (const line of unsound.slice(0, 20)) console.log(line);
  return unsound.length > 0 ? 1 : 0;
}

function craft(word = ''): number {
  let over = 0;
  for (const kind of craftKinds()) {
    if (!kind.name.includes(word)) continue;
    const { found, planned } = sweep(kind);
    const may = Math.floor(kind.ceiling * planned);
    if (found.length > may) over++;
    console.log(measuringText.ofMayBe(found.length > may ? 'OVER ' : '     ', found.length, planned, may, kind.name));
    if (found.length > may || word !== '')
      for (const { one, where } of found.slice(0, word === '' ? 3 : 12)) {
        const { material } = one.request;
        const direction = 'direction' in material ? material.direction : '';
        console.log(`       ${requestWords(one.request)} ${direction}, ${where}: ${fingersOf(one.plan)}`);
      }
  }
  console.log(over === 0 ? measuringText.everyKindWithinIts : measuringText.kindsOverTheirCeiling(over));
  return over > 0 ? 1 : 0;
}
