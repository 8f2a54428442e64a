import type { SignatureChange } from '../core';

/*
 * How wide signature and time are where they change, in staff spaces; known without the signs themselves.
 */

/** A sign of a signature, and a time, each with the room after it. */
export const KEY_SIGN = 1.05;
export const TIME = 2.6;
/** From a bar line to what is written anew after it. */
export const AFTER_BAR = 0.9;

/** Room of what is written anew where a bar begins; nothing where that is nothing. */
export function signatureChangeWidth({ signature, time }: SignatureChange): number {
  return (signature ? changedKeyWidth(signature) : 0) + (time ? TIME : 0);
}

/** Room of a signature that changes: of the signs that are taken back where none is left. */
export function changedKeyWidth({ fifths, before }: NonNullable<SignatureChange['signature']>): number {
  return Math.abs(fifths === 0 ? before : fifths) * KEY_SIGN + 1;
}
