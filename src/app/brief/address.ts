import type { PlanRequest } from '../../core';

/*
 * A brief in the page address, so that a plan can be linked: "#brief=" and the request as JSON in base64 that addresses can carry.
 */

export const MARK = '#brief=';
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
