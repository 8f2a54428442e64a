export const handTrailText = {
  fromTheNut: 'from the nut',
  nut: 'nut',
  mm: (mm: number) => `${mm} mm`,
  handTrailOfNotes: (count: number, count2: number) => `Hand trail of ${count} notes with ${count2} shifts`,
  keptAsYouPut: 'Kept as you put it',
  somethingIsForbiddenHere: 'Something is forbidden here',
  millimetres: (up: string, round: number) => `${up} ${round} mm`,
  shiftTo: (placeName: string, placeName2: string, mm: string) => `Shift ${placeName} to ${placeName2}, ${mm}`,
};

export const neckFigureText = {
  theNeckAtThis: 'The neck at this note',
  check: (note: string, shortCheck: string) => `Check ${note}: ${shortCheck}.`,
  aStretchWarmUp: 'A stretch: warm up, keep the thumb soft, stop at any pain or tingling.',
  toScaleFingertipsMm: (fingertipMm: number, round: number) =>
    `To scale; fingertips ${fingertipMm} mm wide, string ${round} mm.`,
  guideNoteOnUnheard: (finger: string, note: string) => `Guide note: ${finger} on ${note}, unheard (dotted).`,
};

export const noteEditorText = {
  changeThisNote: 'Change this note',
  finger: 'Finger',
  stringHere: 'String here',
  anyString: 'any string',
  positionHere: 'Position here',
  anyPosition: 'any position',
  shiftHere: 'shift here',
  neverHere: 'Never here',
  neverHereMenu: 'never here …',
  neverShiftToThis: 'never shift to this note',
  neverDemand: (demand: string) => `never ${demand} here`,
  aRestNothingTo: 'A rest: nothing to hold here.',
  keptHere: (demand: string) => `kept here: ${demand}`,
  noShiftToHere: 'no shift to here',
  never: (demand: string) => `never ${demand}`,
  setFree: 'Set free',
  openString: 'open string',
  fingerNumber: (finger: number) => `finger ${finger}`,
  playedNow: ', played now',
  nothingHadToChange: 'Nothing had to change.',
};

export const planPictureText = {
  theMusicInLines: 'The music in lines',
  staffStringsAndHand:
    'Staff, strings and hand trail; left and right arrows move the cursor, 0 to 4 put a finger, up and down another string, Delete sets free',
};

export const planTableText = {
  thePlanAsA: 'The plan as a table',
  theTableWasCopied: 'The table was copied.',
  markTheTableAnd: 'Mark the table and copy it by hand.',
  copyTheTable: 'Copy the table',
  thePlanNoteBy: 'The plan, note by note',
};

export const stageText = { thePlan: 'The plan' };

export const stageToolsText = {
  listen: 'Listen',
  stop: 'Stop',
  loop: 'loop',
  countIn: 'count in',
  drone: 'Drone',
  noDrone: 'no drone',
  beatsAMinute: 'Beats a minute',
  droneOnTheTonic: (value: string) => `drone on ${value}, the tonic`,
  droneOnTheString: (printed: string) => `drone on the ${printed} string`,
  marking: 'Marking …',
  markNotes: 'Mark notes',
  markedNotes: 'Marked notes',
  repeatThisFingering: 'Repeat this fingering',
  practiseThem: 'Practise them',
  unmark: 'Unmark',
  howItIsShown: 'How it is shown',
  moreOfTheMusic: 'More of the music',
  closerPicture: 'Closer picture',
  lines: 'Lines',
  noteNames: 'Note names',
  neck: 'Neck',
};

export const stringRowText = { string: (letters: string, sentence: string) => `${letters} string: ${sentence}` };

export const stripText = {
  name: 'name',
  string: 'string',
  theOther: 'the other',
  staffNotesWithFingerings: (count: number) => `Staff: ${count} notes with fingerings`,
};

export const underPictureText = {
  theNeck: 'The neck',
  thePlanAsA: 'The plan as a table',
  theReason: 'The reason',
  theComparison: 'The comparison',
  rest: (place: string) => `Rest, ${place}`,
  notPlanned: (noteCount: string, place: string, listed: string) => `${noteCount}, ${place}: ${listed}, not planned`,
};
