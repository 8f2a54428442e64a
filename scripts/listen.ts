/*
 * What was heard of a take: which notes, how far from their targets in cents and mm, and why.
 *   npm run -s listen -- TAKE.wav request.json [--way 0] [--a4 440] [--intonation equal|pythagorean|just] [--level middle]
 */
import { listen } from '../src/core/listening';
import { listenAnswer, WAV_TROUBLE_WORDS } from '../src/wording/listening';
import * as commandsText from '../src/wording/rooms/commands';
import { readWav } from '../src/work/wav';
import { guardOutput, readBytes, readTwo, refuse } from './lib/door';
import { plannedTake } from './lib/plannedTake';

const USAGE = commandsText.nameATakeAnd;

function a4Asked(text: string | undefined): { a4?: number } {
  if (text === undefined) return {};
  const a4 = Number(text);
  return a4 >= 400 && a4 <= 480 ? { a4 } : refuse(commandsText.aIsGivenIn);
}

guardOutput();
const { files, options } = readTwo(process.argv.slice(2), ['way', 'a4', 'intonation', 'level'], USAGE);
const [take, request] = files;
const given = a4Asked(options.get('a4'));
const { plan, expected, listener } = plannedTake(request, options, USAGE);
const sound = readWav(readBytes(take, USAGE));
if (typeof sound === 'string') refuse(WAV_TROUBLE_WORDS[sound]);
else {
  const report = listen(expected, plan, sound.samples, sound.rate, given);
  process.stdout.write(`${JSON.stringify(listenAnswer(report, listener))}\n`);
}
