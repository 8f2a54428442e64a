import { LEVELS, placesIn } from '../../src/core';
import { expectedOf } from '../../src/core/listening';
import type { Listener } from '../../src/wording/listening';
import { aimOf } from '../../src/wording/meaning';
import * as commandsText from '../../src/wording/rooms/commands';
import { chosenWay } from './chosenWay';
import { refuse } from './door';

/*
 * The plan that a take is played from, and what is expected of its player.
 */

const SYSTEMS = ['equal', 'pythagorean', 'just'] as const;

/** A whole number of an option; what is left out is 0. */
export function wholeOption(options: ReadonlyMap<string, string>, name: string, problem: string): number {
  const value = Number(options.get(name) ?? 0);
  return Number.isInteger(value) && value >= 0 ? value : refuse(problem);
}

function chosen<Name extends string>(options: ReadonlyMap<string, string>, name: string, list: readonly Name[]) {
  const asked = options.get(name);
  if (asked === undefined) return undefined;
  return list.find((one) => one === asked) ?? refuse(commandsText.thereIsNoSuch(name, asked, list.join(', ')));
}

/** What is expected of the player of a request's way, by the options of the command. Equal, where nothing is asked. */
export function plannedTake(file: string, options: ReadonlyMap<string, string>, usage: string) {
  const { request, response, plan } = chosenWay(file, options, usage);
  const [system, level] = [chosen(options, 'intonation', SYSTEMS), chosen(options, 'level', LEVELS)];
  const meaning = aimOf({ ...request, meaning: { intonation: 'equal', ...request.meaning } });
  const aim = { ...meaning, ...(system ? { system } : {}), ...(level ? { level } : {}) };
  const expected = expectedOf(request, response, plan, aim);
  const listener: Listener = { instrument: request.instrument, expected, place: placesIn(response) };
  return { plan, expected, listener };
}
