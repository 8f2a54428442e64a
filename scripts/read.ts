/*
 * A file of notes as a planning request, as it sounds.
 *   npm run -s read -- FILE [--instrument viola] [--part N|NAME] [--bars 5-12] [--voice N] [--octave -1] [--keep fingerings]
 * What was left out is listed on standard error, one object a line. What cannot be read: the error object and exit 2.
 */
import { readPassage } from './lib/passage';
import { guardOutput, readAsked } from './lib/door';
import * as commandsText from '../src/wording/rooms/commands';

const USAGE = commandsText.nameOneFileOf;

guardOutput();
const asked = readAsked(process.argv.slice(2), ['instrument', 'part', 'bars', 'voice', 'octave', 'keep'], USAGE);
const { request, written } = readPassage(asked, USAGE);
const keeps = asked.options.get('keep') === 'fingerings' && written.length > 0;
process.stdout.write(`${JSON.stringify(keeps ? { ...request, rules: { locks: written } } : request)}\n`);
