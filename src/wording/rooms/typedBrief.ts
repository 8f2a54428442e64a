export const addressReadingText = {
  theBriefInThis: (why: string) =>
    `The brief in this address cannot be read${why}. Ask for the link again; it may have been cut off. Your own plans are as they were.`,
};

export const choicesText = { fourStrings: 'four strings', usualTuning: 'usual tuning' };

export const patternText = {
  markTwoOrMore: 'Mark two or more single notes with no rest between: they are the pattern.',
  theNotesAfterThese: (length: number) =>
    `The ${length} notes after these do not go the same way, so there is nothing to repeat the fingering on.`,
};

export const typedText = {
  nameAKeyAs: 'Name a key, as in “E flat major, two octaves” or “G minor arpeggio, cello”.',
  isReadAs: (word: string, read: string) => `“${word}” is read as “${read}”.`,
  inOctaves: 'in octaves',
  slurredInPairs: 'slurred in pairs',
  octaves: (word: string) => `${word} octaves`,
  shifts: (word: string) => `${word} shifts`,
  position: (word: string) => `position ${word}`,
  ofWhat: (word: string) => `${word} of what?`,
  aloneSaysTooLittle: (word: string) => `“${word}” alone says too little.`,
  meansNothingHere: (word: string) => `“${word}” means nothing here.`,
  orTakeOneOf: (piece: string, piece2: string) => `${piece}, or ${piece2}? Take one of the two out.`,
  melodicMinor: 'melodic minor',
  harmonicMinor: 'harmonic minor',
  naturalMinor: 'natural minor',
  majorPentatonic: 'major pentatonic',
  minorPentatonic: 'minor pentatonic',
  which: (scale: string | number) => `Which ${scale}?`,
  playsTheTakeThe: (name: string, instrument: string) =>
    `${name} plays the ${instrument}. Take the student or the instrument out.`,
  noOfThatSize: (name: string) => `No ${name} of that size is known.`,
  schoolsOfFingeringAre: 'Schools of fingering are told apart on the double bass only.',
  thumbPositionBelongsTo: (instrument: string) =>
    `Thumb position belongs to cello and double bass, not to the ${instrument}.`,
  theHasNoString: (instrument: string, join: string) => `The ${instrument} has no ${join} string.`,
  theString: (printed: string) => `the ${printed} string`,
  forIt: (name: string) => `, for ${name}`,
};

export const typedMusicText = {
  isAChordAn: (capital: string, kind: string) => `${capital} is a chord: an arpeggio, not a ${kind}.`,
  isAScaleNot: (capital: string) => `${capital} is a scale, not an arpeggio.`,
  thatKeyIsNot: 'That key is not known.',
  theHasNoTo: (name: string, printed: string) => `The ${name} has no ${printed} to begin on.`,
  from: (count: number, octaves: string, note: string) => `${count} ${octaves} from ${note}`,
  theHasNoRoom: (name: string, octaves: number, printed: string) =>
    `The ${name} has no room for ${octaves} octaves from ${printed}.`,
  theCannotBeginOctave: (name: string, octaves: number, s: string, note: string) =>
    `The ${name} cannot begin ${octaves} octave${s} on ${note}.`,
  fromNote: (note: string) => `from ${note}`,
  whichHigh: (printed: string) => `Which high ${printed}?`,
  thereIsButOne: (printed: string) => `There is but one ${printed} to begin on.`,
  theHasNoLow: (name: string, printed: string, note: string) =>
    `The ${name} has no low ${printed}: its lowest is ${note}.`,
  thereIsNoWith: (printed: string, names: string) => `There is no ${printed} with an octave above it on ${names}.`,
  theStringHasNo: (names: string, octaves: number, printed: string) =>
    `The ${names} string has no room for ${octaves} octaves from ${printed}.`,
  octaveFrom: (most: number, s: string, note: string) => `${most} octave${s} from ${note}`,
};

export const wordsText = {
  hand: 'Hand',
  thePlayer: 'The player',
  aMeasuredHand: 'a measured hand',
  school: 'School',
  tuning: 'Tuning',
  strings: 'Strings',
  theStrings: (listed: string) => `the strings ${listed}`,
  fingers: 'Fingers',
  style: 'Style',
  styleAndTempo: 'Style and tempo',
  tempo: 'Tempo',
};
