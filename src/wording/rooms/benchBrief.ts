export const aboutPlanText = {
  whatWasWritten: 'What was written',
  whatDiffersForThis: 'What differs for this student',
  theSavedFingering: 'The saved fingering',
};

export const briefSentenceText = {
  theBoxForNotes: 'The box for notes',
  theBrief: 'The brief',
  forIt: 'for',
  on: 'on',
  inIt: ', in',
  positions: 'Positions',
  student: 'Student',
  newStudent: 'new student …',
  aStudent: 'a student',
  octaves: 'Octaves',
  key: 'Key',
  chord: 'Chord',
  scale: 'Scale',
  kind: 'Kind',
  scaleAsNotesTo: 'scale as notes to change',
  notesOfMyOwn: 'notes of my own',
  from: 'from',
  start: 'Start',
  direction: 'Direction',
  notesOfMyOwnLabel: 'Notes of my own',
  inWord: 'in',
  mode: 'Mode',
  size: 'Size',
  instrument: 'Instrument',
};

export const briefsText = {
  savedBriefs: 'Saved briefs',
  newPlanFromThe: 'New plan from the brief',
  deleteTheBrief: (name: string) => `Delete the brief ${name}`,
  noBriefIsSaved: 'No brief is saved yet.',
  nameForThisBrief: 'Name for this brief',
  saveThisBrief: 'Save this brief',
  theBrief: (name: string) => `The brief “${name}”`,
  wasDeleted: (words: string) => `${words} was deleted.`,
};

export const firstMinuteText = {
  firstPosition: 'first position',
  theFirstShifts: 'the first shifts',
  allOverTheFingerboard: 'all over the fingerboard',
  howToBegin: 'How to begin',
  dovePathWorksOut:
    'Dove Path works out which finger plays which note, for one student’s hand on one instrument, and says why. What you make stays in this browser.',
  planAScale: 'Plan a scale',
  lookAtTheExample: 'Look at the example studio',
  aFirstScale: 'A first scale',
  n1WhoPlaysAnd: '1. Who plays, and on what?',
  nameMayStayEmpty: 'Name (may stay empty)',
  instrument: 'Instrument',
  size: 'Size',
  n2TheLeftHand: '2. The left hand, for this size?',
  hand: 'Hand',
  notMeasuredReachUnknown: 'not measured: reach unknown',
  smallMediumAndLarge:
    'Small, medium and large are meant for players of this size of instrument. Measure the hand in the Studio when you can.',
  n3HowFarHave: '3. How far have they come?',
  asFarAs: 'As far as',
  notNow: 'Not now',
  planIt: 'Plan it',
};

export const giveToText = { giveThisPlanTo: 'Give this plan to', giveTo: 'Give to …', noNameYet: 'no name yet' };

export const givenText = {
  another: 'another',
  copiedFromPlanWhats: (another: string) => `Copied from ${another} plan: what’s different`,
  close: 'Close',
};

export const moreWishesText = {
  earlyMusic: 'early music',
  addAWish: 'Add a wish',
  addAWishLabel: 'add a wish',
  removeThisChoice: (words: string) => `Remove this choice: ${words}`,
};

export const sayItText = {
  typedBriefsCouldNot: 'Typed briefs could not be fetched. Reload the page and try again.',
  typeTheBrief: 'Type the brief',
  orTypeItG: 'or type it: G minor arpeggio, cello, no open strings',
  enterPlansThis: 'Enter plans this.',
  theseNotes: 'These notes',
  notesOfMyOwn: 'Notes of my own',
  enterPlansThem: 'Enter plans them.',
  enterOpensABox: 'Enter opens a box to type them into.',
};

export const studentMatchText = {
  thisBriefHasAnother: (name: string) => `This brief has another instrument or hand than ${name} has now.`,
  takeS: (name: string) => `Take ${name}’s`,
};

export const tasteLineText = {
  yourTasteDecidedHere: (named: string) => `Your taste decided here: ${named}.`,
  aRuleOfThe: (named: string) => ` A rule of the brief wins over your taste: ${named}.`,
  planWithoutIt: 'Plan without it',
};

export const typedNotesText = {
  notes: 'Notes',
  asWrittenAnOctave: 'As written, an octave above the sound. ',
  aNote: 'a note,',
  twoBeats: 'two beats,',
  together: 'together,',
  aRest: 'a rest,',
  aBarLine: 'a bar line.',
  howToTypeNotes: 'How to type notes',
  show: 'Show',
  andMore: (mostShown: number) => `… and ${mostShown} more.`,
  belowIsWhatCould: 'Below is what could be read last.',
};
