/*
 * A written fingering judged: what it costs, where it is beyond this hand or cannot be played, and what would be better.
 *   npm run -s check -- FILE|request.json [--instrument viola] [--part N|NAME] [--bars 5-12] [--voice N] [--octave -1]
 * Of a request its locks are what is written. Missing fingers are completed.
 */
import { asWritten, type Plan, type PlanResponse } from '../src/core';
import { wordedAnswer } from '../src/wording/answer';
import { speechOf } from '../src/wording/plans';
import { beyondWords, differenceWords, unplayableWords } from '../src/wording/written';
import { guardOutput, readAsked } from './lib/door';
import { readPassage } from './lib/passage';
import * as commandsText from '../src/wording/rooms/commands';

const USAGE = commandsText.checkNameOneFileOf;

guardOutput();
const asked = readAsked(process.argv.slice(2), ['instrument', 'part', 'bars', 'voice', 'octave'], USAGE);
const { request, written } = readPassage(asked, USAGE);
const { response, plan, unplayable, differences, beyond } = asWritten({ ...request, alternatives: 1 }, written);
const speech = speechOf(request.instrument, response);
const worded = (one: Plan | null | undefined) =>
  one ? wordedAnswer(request, { ...response, plans: [one] } satisfies PlanResponse).plans[0] : null;
const answer = {
  asWritten: worded(plan),
  best: worded(response.plans[0]),
  differences: differences.map((one) => ({ ...one, message: differenceWords(one, plan, response.plans[0], speech) })),
  beyond: beyond.map((reach) => ({ ...reach, message: beyondWords(reach, speech) })),
  unplayable: unplayable.map((one) => ({ ...one, message: unplayableWords(one, speech) })),
  problems: wordedAnswer(request, response).problems,
};
process.stdout.write(`${JSON.stringify(answer)}\n`);
