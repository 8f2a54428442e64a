import type { Clef, SignatureChange } from '../../core';
import { changedKeyWidth, KEY_SIGN } from '../signatureWidths';
import type { GlyphName, Ink } from './ink';
import { glyphOf, glyphWidth } from './words';

/*
 * Clefs, signatures and times.
 */

const CLEFS: Readonly<Record<Clef, readonly [GlyphName, GlyphName, number]>> = {
  treble: ['gClef', 'gClefChange', 3],
  alto: ['cClef', 'cClefChange', 2],
  tenor: ['cClef', 'cClefChange', 1],
  bass: ['fClef', 'fClefChange', 1],
};

/** How wide the small clef of a change is. */
export const changeWidth = (clef: Clef) => glyphWidth(CLEFS[clef][1]);

export function drawClef(inks: Ink[], clef: Clef, x: number, small: boolean) {
  const [glyph, change, y] = CLEFS[clef];
  inks.push({ kind: 'glyph', glyph: small ? change : glyph, x, y, size: 1 });
}

/** Lines of the signs of a signature in the treble clef: sharps F C G D A E B, flats B E A D G C F. */
const SHARP_YS = [0, 1.5, -0.5, 1, 2.5, 0.5, 2];
const FLAT_YS = [2, 0.5, 2.5, 1, 3, 1.5, 3.5];
/** How much lower they stand in the other clefs; the tenor clef has its sharps otherwise. */
const CLEF_DOWN: Readonly<Record<Clef, number>> = { treble: 0, alto: 0.5, tenor: -0.5, bass: 1 };
const TENOR_SHARPS = [3, 1, 2.5, 0.5, 2, 0, 1.5];

/** Draws a signature. @param before the signature before, which is taken back where nothing is left of it */
export function drawKey(inks: Ink[], fifths: number, before: number, clef: Clef, x: number) {
  const signs = fifths === 0 ? before : fifths;
  const glyph = fifths === 0 ? 'accidentalNatural' : fifths > 0 ? 'accidentalSharp' : 'accidentalFlat';
  for (let n = 0; n < Math.abs(signs); n++) {
    const y =
      signs > 0 ? (clef === 'tenor' ? TENOR_SHARPS[n] : SHARP_YS[n] + CLEF_DOWN[clef]) : FLAT_YS[n] + CLEF_DOWN[clef];
    inks.push({ kind: 'glyph', glyph, x: x + n * KEY_SIGN, y, size: 1 });
  }
}

/** Draws what is written anew where a bar begins, from a place on. */
export function drawSignatureChange(inks: Ink[], { signature, time }: SignatureChange, clef: Clef, x: number) {
  if (signature) drawKey(inks, signature.fifths, signature.before, clef, x);
  if (time) drawTime(inks, time, x + (signature ? changedKeyWidth(signature) : 0));
}

export function drawTime(inks: Ink[], time: string, x: number) {
  const [above, below] = time.split('/');
  const widthOf = (digits: string) =>
    [...digits].reduce((sum, digit) => sum + glyphOf(`time${digit}` as GlyphName).advance, 0);
  const widest = Math.max(widthOf(above), widthOf(below));
  for (const [digits, y] of [
    [above, 1],
    [below, 3],
  ] as const) {
    let at = x + (widest - widthOf(digits)) / 2;
    for (const digit of digits) {
      const glyph = `time${digit}` as GlyphName;
      inks.push({ kind: 'glyph', glyph, x: at, y, size: 1 });
      at += glyphOf(glyph).advance;
    }
  }
}
