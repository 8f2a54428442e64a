import { BadRequest, parseRequest } from '../../contract/read';
import { issueWords } from '../../wording/issues';
import type { PlanRequest } from '../../core';

/*
 * A brief in the page address, so that a plan can be linked: "#brief=" and the request as JSON in base64 that addresses can carry.
 */

const MARK = '#brief=';
/** Longer addresses are cut off by mail programs and the like; a long list of typed notes goes by backup file. */
const MOST_LETTERS = 6000;

/** @returns the address part for a brief, or "" where it would be too long to be passed on. */
export function briefAddress(request: PlanRequest): string {
  const bytes = new TextEncoder().encode(JSON.stringify(request));
  const packed = btoa(String.fromCharCode(...bytes.slice(0, MOST_LETTERS)))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');
  return bytes.length > MOST_LETTERS || packed.length > MOST_LETTERS ? '' : MARK + packed;
}

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
    const why =
      error instanceof BadRequest ? ` (${error.issues[0].path}: ${issueWords(error.issues[0])})` : '';
    return {
      kind: 'trouble',
      message: `The brief in this address cannot be read${why}. Ask for the link again; it may have been cut off. Your own plans are as they were.`,
    };
  }
}
