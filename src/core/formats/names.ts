import type { InstrumentKind } from '../instrument/instruments';
import { PROGRAMS } from './programs';

/*
 * What parts are called, in the languages that scores are printed in.
 */

/** Whole words first: "violoncello" has "viol" in it, and "contrabbasso" has "basso". */
const NAMES: readonly (readonly [RegExp, InstrumentKind])[] = [
  [
    /contrabass|contrabb|contrebasse|kontrabass|double bass|string bass|contrabajo|kontrabas|\bbass\b|\bcb\.?\b|\bd\.? ?b\.?\b/,
    'bass',
  ],
  [/cello|celli|violonchelo|violoncel|\bvlc\.?\b|\bvc\.?\b/, 'cello'],
  [/\bviola|bratsche|\balto\b|\baltos\b|\bvla\.?\b|\bva\.?\b|alt-?viool|altfiol|altviolin/, 'viola'],
  [/violin|violon|geige|viool|fiol|skrzypce|housle|viulu|fiddle|\bvln\.?\b|\bvl\.?\b|\bvn\.?\b/, 'violin'],
];

/** The bowed string that a part's name means; null where it means none. */
export function instrumentNamed(name: string): InstrumentKind | null {
  const plain = name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '');
  // Instruments that only sound like one.
  if (/guitar|clarinet|drum|voice|vocal|flute|tuba|trombone|sax|gamba|d'amore/.test(plain)) return null;
  return NAMES.find(([pattern]) => pattern.test(plain))?.[1] ?? null;
}

/** The bowed string of a General MIDI sound, counted from 0. */
export function instrumentSounding(program: number | undefined): InstrumentKind | null {
  const found = Object.entries(PROGRAMS).find(([, own]) => own === program);
  return found ? (found[0] as InstrumentKind) : null;
}
