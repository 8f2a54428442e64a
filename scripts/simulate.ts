/*
 * A made-up player plays a plan with faults: a WAV file, and the truth beside it.
 *   npm run -s simulate -- request.json faults.json --out take.wav [--truth truth.json] [--seed 7] [--voice bowed|partials|plucked|sawtooth] [--way 0]
 */
import { parseFaults } from '../src/contract/read';
import {
  bowedTake,
  chances,
  drawnPartials,
  faultIssues,
  performed,
  plucked,
  sawtooth,
  type Voice,
} from '../src/core/listening';
import { errorAnswer } from '../src/wording/issues';
import * as commandsText from '../src/wording/rooms/commands';
import { truthOf } from '../src/wording/listening';
import { writeWav } from '../src/work/wav';
import { fail, guardOutput, readText, readTwo, refuse, understood, writeOut } from './lib/door';
import { plannedTake, wholeOption } from './lib/plannedTake';

const RATE = 44_100;
const VOICES: ReadonlyMap<string, Voice> = new Map([
  ['bowed', bowedTake],
  ['partials', drawnPartials],
  ['plucked', plucked],
  ['sawtooth', sawtooth],
]);
const NAMES = [...VOICES.keys()];
const USAGE = commandsText.nameARequestAnd(NAMES.join('|'));

guardOutput();
const { files, options } = readTwo(process.argv.slice(2), ['out', 'truth', 'seed', 'voice', 'way'], USAGE);
const [requestFile, faultsFile] = files;
const out = options.get('out') ?? refuse(USAGE);
const named = options.get('voice') ?? 'bowed';
const voice = VOICES.get(named) ?? refuse(commandsText.thereIsNoVoice(named, NAMES.join(', ')));
const seed = wholeOption(options, 'seed', commandsText.aSeedIsA);
const { expected } = plannedTake(requestFile, options, USAGE);
const faults = understood(() => parseFaults(readText(faultsFile, USAGE)));
const issues = faultIssues(expected, faults);
if (issues.length > 0) fail(errorAnswer(issues));
const notes = performed(expected, faults, chances(seed));
const samples = voice(notes, { rate: RATE, faults, chance: chances(seed + 1) });
await writeOut(writeWav({ samples, rate: RATE }), out);
const truth = options.get('truth');
if (truth !== undefined) await writeOut(`${JSON.stringify(truthOf(notes, expected))}\n`, truth);
