/*
 * What comes next for a student, one new thing at a time.
 *   npm run -s path -- ask.json
 */
import { parseJson, readPathAsk } from '../src/contract/read';
import { pathFor } from '../src/core/path';
import { pathAnswer } from '../src/wording/path';
import { guardOutput, readAsked, readText, understood } from './lib/door';
import * as commandsText from '../src/wording/rooms/commands';

guardOutput();
const { file } = readAsked(process.argv.slice(2), [], commandsText.pathNameAQuestion);
const ask = understood(() => readPathAsk(parseJson(readText(file, commandsText.pathNameAQuestion))));
process.stdout.write(`${JSON.stringify(pathAnswer(pathFor(ask)))}\n`);
