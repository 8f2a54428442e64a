/*
 * What a plan asks of a player, one thing at a time.
 *   npm run -s skills -- request.json [--way 0]
 */
import { skillsOf } from '../src/core/path';
import { skillsAnswer } from '../src/wording/path';
import { chosenWay } from './lib/chosenWay';
import { guardOutput, readAsked } from './lib/door';
import * as commandsText from '../src/wording/rooms/commands';

guardOutput();
const { file, options } = readAsked(process.argv.slice(2), ['way'], commandsText.skillsNameARequest);
const { request, response, plan } = chosenWay(file, options, commandsText.skillsNameARequest);
process.stdout.write(`${JSON.stringify(skillsAnswer(request, skillsOf(request, response, plan)))}\n`);
