export const balanceText = {
  noFingerHasBeen: 'No finger has been judged yet.',
  nut: 'nut',
  byPositionHowMany: 'by position: how many were off; low leans left, high leans right',
  finger: (finger: number) => `finger ${finger}`,
  of: (ordinal: string, off: number, tries: number) => `${ordinal}: ${off} of ${tries}`,
  fingerPositionLowHigh: (finger: string, place: number, low: number, high: number, missed: number, tries: number) =>
    `${finger} finger, position ${place}: ${low} low, ${high} high, ${missed} missed of ${tries}`,
  whichWayEachFinger: (join: string) => `Which way each finger leans. ${join}`,
};

export const fieldText = {
  open: (value: string) => `open, ${value}`,
  upThe: (semitone: string, value: string) => `${semitone} up the ${value}`,
};

export const neckText = {
  rings: 'rings',
  nut: 'nut',
  mm: (mark: number) => `${mark} mm`,
  atSemitones: (finger: string | number, semitones: number) => `${finger} at ${semitones} semitones`,
  neckToScaleFingertips: (placeName: string, join: string, tipMm: number) =>
    `Neck to scale, ${placeName}: ${join}; fingertips ${tipMm} mm`,
};

export const patternText = {
  oneAndAHalf: 'one and a half',
  twoAndAHalf: 'two and a half',
  and: (value: string | number, finger: string | number, value2: string) => `${value} and ${finger}: ${value2}`,
  fingerAlone: (value: string | number) => `finger ${value} alone`,
  tonesBetweenFingers: (join: string) => `tones between fingers ${join}`,
};

export const targetBoardText = {
  targetsOnTheStrings: 'Targets on the strings, to scale',
  nut: 'nut',
  mm: (mark: number) => `${mark} mm`,
  fingerFromTheNut: (name: string, finger: string | number, mmFine: string, mmFine2: string) =>
    `${name}, finger ${finger}, ${mmFine} from the nut, within ${mmFine2}`,
  theLineIsThe:
    'The line is the target, the band how far the finger may be from it. Two marks over a note: its two true places, a comma apart.',
};

export const staffText = {
  time: (time: string) => `, ${time} time`,
  clefKeyOf: (clef: string, printedKey: string, time: string) => `${clef} clef, key of ${printedKey}${time}`,
};

export const overText = { ext: 'ext.' };

export const svgText = { literataVariableLiterataSerif: "'Literata Variable',Literata,serif" };

export const blocksText = { of: (page: number, of: number) => `${page} of ${of}` };

export const bookText = { contents: 'Contents' };

export const sheetNeckText = { mm: (mm: number) => `${mm} mm` };

export const patternsText = {
  position: (title: string) => `${title} position`,
  smallerThanItIs: (title: string) => `${title} (smaller than it is)`,
  is20MmWhere: 'is 20 mm where the print is true to size; joined fingers touch',
};

export const picturesText = { theFirstBars: 'The first bars' };

export const sheetText = {
  stepsWithABox: 'Steps, with a box for each clean time',
  howItWentAnd: 'How it went, and what to ask',
  fingerPatternsInTrue: 'Finger patterns, in true size',
  hardPlaces: 'Hard places',
  smallNoteGuideNote: 'small note: guide note, not heard',
  circleRingingNote: 'circle: ringing note',
  tickCheckItAgainst: 'tick: check it against an open string',
  numeralsStringsIThe: 'numerals: strings, I the highest',
};

export const trailText = { mm: (mm: number) => `${mm} mm`, millimetres: (round: number) => `${round} mm` };

export const writingText = { ext: 'ext.' };
