export const theBriefInThis = (why: string) =>
  `The brief in this address cannot be read${why}. Ask for the link again; it may have been cut off. Your own plans are as they were.`;

export const nameAKeyAs = 'Name a key, as in “E flat major, two octaves” or “G minor arpeggio, cello”.';
export const isReadAs = (word: string, read: string) => `“${word}” is read as “${read}”.`;
export const inOctaves = 'in octaves';
export const slurredInPairs = 'slurred in pairs';
export const octaves = (word: string) => `${word} octaves`;
export const shifts = (word: string) => `${word} shifts`;
export const position = (word: string) => `position ${word}`;
export const ofWhat = (word: string) => `${word} of what?`;
export const aloneSaysTooLittle = (word: string) => `“${word}” alone says too little.`;
export const meansNothingHere = (word: string) => `“${word}” means nothing here.`;
export const orTakeOneOf = (piece: string, piece2: string) => `${piece}, or ${piece2}? Take one of the two out.`;
export const melodicMinor = 'melodic minor';
export const harmonicMinor = 'harmonic minor';
export const naturalMinor = 'natural minor';
export const majorPentatonic = 'major pentatonic';
export const minorPentatonic = 'minor pentatonic';
export const which = (scale: string | number) => `Which ${scale}?`;
export const playsTheTakeThe = (name: string, instrument: string) =>
  `${name} plays the ${instrument}. Take the student or the instrument out.`;
export const noOfThatSize = (name: string) => `No ${name} of that size is known.`;
export const schoolsOfFingeringAre = 'Schools of fingering are told apart on the double bass only.';
export const thumbPositionBelongsTo = (instrument: string) =>
  `Thumb position belongs to cello and double bass, not to the ${instrument}.`;
export const theHasNoString = (instrument: string, join: string) => `The ${instrument} has no ${join} string.`;
export const theString = (printed: string) => `the ${printed} string`;
export const forIt = (name: string) => `, for ${name}`;

export const isAChordAn = (capital: string, kind: string) => `${capital} is a chord: an arpeggio, not a ${kind}.`;
export const isAScaleNot = (capital: string) => `${capital} is a scale, not an arpeggio.`;
export const thatKeyIsNot = 'That key is not known.';
export const theHasNoTo = (name: string, printed: string) => `The ${name} has no ${printed} to begin on.`;
export const from = (count: number, octaves: string, note: string) => `${count} ${octaves} from ${note}`;
export const theHasNoRoom = (name: string, octaves: number, printed: string) =>
  `The ${name} has no room for ${octaves} octaves from ${printed}.`;
export const theCannotBeginOctave = (name: string, octaves: number, s: string, note: string) =>
  `The ${name} cannot begin ${octaves} octave${s} on ${note}.`;
export const fromNote = (note: string) => `from ${note}`;
export const whichHigh = (printed: string) => `Which high ${printed}?`;
export const thereIsButOne = (printed: string) => `There is but one ${printed} to begin on.`;
export const theHasNoLow = (name: string, printed: string, note: string) =>
  `The ${name} has no low ${printed}: its lowest is ${note}.`;
export const thereIsNoWith = (printed: string, names: string) =>
  `There is no ${printed} with an octave above it on ${names}.`;
export const theStringHasNo = (names: string, octaves: number, printed: string) =>
  `The ${names} string has no room for ${octaves} octaves from ${printed}.`;
export const octaveFrom = (most: number, s: string, note: string) => `${most} octave${s} from ${note}`;
export const noSuchNoteToShiftTo = (note: string, bar?: number) =>
  `After the first note there is no ${note}${bar === undefined ? '' : ` in bar ${bar}`} to shift to. Name a note of the music.`;
export const thereIsNoBar = (bar: number) => `There is no bar ${bar} in this music. Name a bar that it has.`;
export const whichBarsSameAs = (bar: number) =>
  `Which bars are to have the fingers of bar ${bar}? Say it like “bars 9 to 12 same as bar ${bar}”.`;
export const whichSize = 'Which size does the child play? The hand is scaled with it.';
