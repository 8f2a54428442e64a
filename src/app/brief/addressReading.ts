import { BadRequest, parseRequest } from '../../contract/read';
import type { PlanRequest } from '../../core';
import { issueWords } from '../../wording/issues';
import { MARK } from './address';
import * as typedBriefText from '../../wording/rooms/typedBrief';

/*
 * A brief read out of the page address. Loaded only where there is one: most visits have none, and the validators are large.
 */

export type AddressReading =
  | { readonly kind: 'none' }
  | { readonly kind: 'brief'; readonly request: PlanRequest }
  | { readonly kind: 'trouble'; readonly message: string };

/** Reads the part of an address from "#" on. */
export function readAddress(hash: string): AddressReading {
  if (!hash.startsWith(MARK)) return { kind: 'none' };
  try {
    const packed = hash.slice(MARK.length).replaceAll('-', '+').replaceAll('_', '/');
    const bytes = Uint8Array.from(atob(packed), (letter) => letter.charCodeAt(0));
    return { kind: 'brief', request: parseRequest(new TextDecoder().decode(bytes)) };
  } catch (error) {
    const why = error instanceof BadRequest ? ` (${firstTrouble(error)})` : '';
    return { kind: 'trouble', message: typedBriefText.theBriefInThis(why) };
  }
}

/** The first thing wrong, with its place in the brief where it has one. */
function firstTrouble({ issues: [issue] }: BadRequest): string {
  return [issue.path, issueWords(issue)].filter(Boolean).join(': ');
}
