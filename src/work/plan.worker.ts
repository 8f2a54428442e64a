import { expose } from 'comlink';
import { answerValue } from './answer';

/** What the worker offers to the page. */
const planner = { plan: answerValue };
export type Planner = typeof planner;

expose(planner);
