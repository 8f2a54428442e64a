/*
 * What a plan asks of a player, one thing at a time.
 *   npm run -s skills -- request.json [--way 0]
 */
import { parseRequest } from '../src/contract/read';
import { plan } from '../src/core';
import { skillsOf } from '../src/core/path';
import { answerText, isError } from '../src/work/answering';
import { skillsAnswer } from '../src/wording/path';
import { guardOutput, readAsked, readText, refuse, understood } from './lib/door';
import * as commandsText from '../src/wording/rooms/commands';

guardOutput();
const { file, options } = readAsked(process.argv.slice(2), ['way'], commandsText.skillsNameARequest);
const way = Number(options.get('way') ?? 0);
if (!Number.isInteger(way) || way < 0) refuse(commandsText.aWayIsCounted);
const request = understood(() => parseRequest(readText(file, commandsText.skillsNameARequest)));
const response = plan({ ...request, alternatives: Math.max(request.alternatives ?? 3, way + 1) });
const one = response.plans[way];
if (!one && response.plans.length > 0) refuse(commandsText.thereIsNoWay(way, response.plans.length));
if (!one) {
  const answer = answerText(JSON.stringify(request));
  const why = isError(answer) ? '' : answer.problems.map(({ message }) => message).join(' ');
  refuse(commandsText.noFingeringFitsThis(why).trim());
}
process.stdout.write(`${JSON.stringify(skillsAnswer(request, skillsOf(request, response, one)))}\n`);
