export const fromTheNut = 'from the nut';
export const handTrailOfNotes = (count: number, count2: number) => `Hand trail of ${count} notes with ${count2} shifts`;
export const keptAsYouPut = 'Kept as you put it';
export const somethingIsForbiddenHere = 'Something is forbidden here';

export const shiftTo = (placeName: string, placeName2: string, mm: string) =>
  `Shift ${placeName} to ${placeName2}, ${mm}`;

export const changeThisNote = 'Change this note';
export const finger = 'Finger';
export const stringHere = 'String here';
export const anyString = 'any string';
export const positionHere = 'Position here';
export const anyPosition = 'any position';
export const shiftHere = 'shift here';
export const harmonicHere = 'harmonic';
export const neverHere = 'Never here';
export const neverHereMenu = 'never here …';
export const neverShiftToThis = 'never shift to this note';
export const neverDemand = (demand: string) => `never ${demand} here`;
export const aRestNothingTo = 'A rest: nothing to hold here.';
export const keptHere = (demand: string) => `kept here: ${demand}`;
export const noShiftToHere = 'no shift to here';
export const never = (demand: string) => `never ${demand}`;
export const setFree = 'Set free';
export const openString = 'open string';
export const fingerNumber = (finger: number) => `finger ${finger}`;
export const playedNow = ', played now';
export const nothingHadToChange = 'Nothing had to change.';
export const changed = (where: string) => `Changed: ${where}.`;
export const lockKept = (what: string) => `Kept: ${what} here. The rest stays.`;

export const theMusicInLines = 'The music in lines';
export const staffStringsAndHand =
  'Staff, strings and hand trail; left and right arrows move the cursor, 0 to 4 put a finger, up and down another string, Delete sets free';

export const thePlanAsA = 'The plan as a table';

export const thePlan = 'The plan';

export const listen = 'Listen';
export const stop = 'Stop';
export const loop = 'loop';
export const countIn = 'count in';
export const drone = 'Drone';
export const noDrone = 'no drone';
export const beatsAMinute = 'Beats a minute';
export const droneOnTheTonic = (value: string) => `drone on ${value}, the tonic`;
export const droneOnTheString = (printed: string) => `drone on the ${printed} string`;
export const marking = 'Marking …';
export const markNotes = 'Mark notes';
export const markedNotes = 'Marked notes';
export const repeatThisFingering = 'Repeat this fingering';
export const practiseThem = 'Practise them';
export const unmark = 'Unmark';
export const howItIsShown = 'How it is shown';
export const moreOfTheMusic = 'More of the music';
export const closerPicture = 'Closer picture';
export const lines = 'Lines';
export const fingersWritten = 'Fingers on the staff';
export const noteNames = 'Note names';
export const neck = 'Neck';

export const string = (letters: string, sentence: string) => `${letters} string: ${sentence}`;

export const name = 'name';
export const stripString = 'string';
export const theOther = 'the other';
export const staffNotesWithFingerings = (count: number) => `Staff: ${count} notes with fingerings`;

export const theNeck = 'The neck';
export const theReason = 'The reason';
export const theComparison = 'The comparison';
export const rest = (place: string) => `Rest, ${place}`;
export const notPlanned = (noteCount: string, place: string, listed: string) =>
  `${noteCount}, ${place}: ${listed}, not planned`;
