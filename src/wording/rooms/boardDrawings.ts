export const noFingerHasBeen = 'No finger has been judged yet.';
export const byPositionHowMany = 'by position: how many were off; low leans left, high leans right';
export const fingerPositionLowHigh = (
  finger: string,
  place: number,
  low: number,
  high: number,
  missed: number,
  tries: number,
) => `${finger} finger, position ${place}: ${low} low, ${high} high, ${missed} missed of ${tries}`;
export const whichWayEachFinger = (join: string) => `Which way each finger leans. ${join}`;
export const rings = 'rings';
export const atSemitones = (finger: string | number, semitones: number) => `${finger} at ${semitones} semitones`;
export const neckToScaleFingertips = (placeName: string, join: string, tipMm: number) =>
  `Neck to scale, ${placeName}: ${join}; fingertips ${tipMm} mm`;
export const oneAndAHalf = 'one and a half';
export const twoAndAHalf = 'two and a half';
export const and = (value: string | number, finger: string | number, value2: string) =>
  `${value} and ${finger}: ${value2}`;
export const fingerAlone = (value: string | number) => `finger ${value} alone`;
export const tonesBetweenFingers = (join: string) => `tones between fingers ${join}`;
export const targetsOnTheStrings = 'Targets on the strings, to scale';
export const fingerFromTheNut = (name: string, finger: string | number, mmFine: string, mmFine2: string) =>
  `${name}, finger ${finger}, ${mmFine} from the nut, within ${mmFine2}`;
export const theLineIsThe =
  'The line is the target, the band how far the finger may be from it. Two marks over a note: its two true places, a comma apart.';
export const nut = 'nut';
export const finger = (finger: number) => `finger ${finger}`;
export const of = (ordinal: string, off: number, tries: number) => `${ordinal}: ${off} of ${tries}`;
