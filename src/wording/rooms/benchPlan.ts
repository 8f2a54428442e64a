export const alternativesText = {
  ways: 'Ways',
  oneWay: 'One way',
  theEasiestForThis: 'the easiest for this hand and brief',
  compareWayWithThe: (value: number) => `Compare way ${value} with the one chosen`,
  close: 'close',
  compare: 'compare',
  noOtherWayIs: 'No other way is worth showing: each would be harder and better in nothing.',
  allWays: (count: number) => `all ${count} ways`,
  putIntoTheBrief: (planName: string) => `put “${planName}” into the brief`,
  first: (count: string, plan: string) => `${count}; first: ${plan}.`,
  theSavedFingering: 'the saved fingering',
  difficultyOf100: (round: number) => `difficulty ${round} of 100`,
  difficultyBesideTheHardest: 'Difficulty beside the hardest way shown',
};

export const asWrittenText = {
  asWrittenBesideOurs: 'As written, beside ours',
  keepAllOfTheirs: 'Keep all of theirs',
  takeOursEverywhere: 'Take ours everywhere',
  whatIsWrittenIs: 'What is written is being judged …',
  whatIsWrittenCannot: 'What is written cannot be played as a whole; see below.',
  theWrittenFingeringIs: (value: string, value2: string, count: number, count2: number) =>
    `The written fingering is harder than ours by ${value} (ours: ${value2}), with ${count} shifts to our ${count2}.`,
  theWrittenFingeringIsAs: 'The written fingering is as easy for this hand as ours.',
  oursEasierBy: (value: string) => `ours easier by ${value}`,
  theirsEasierHere: 'theirs easier here',
  equalHere: 'equal here',
  bar: (bar: number) => `Bar ${bar}`,
  written: 'written',
  ours: '· ours',
  takeOurs: 'Take ours',
  keepTheirs: 'Keep theirs',
  inBar: (theirs: string, bar: number) => `${theirs} in bar ${bar}`,
};

export const benchText = {
  saving: 'Saving …',
  howToBegin: 'How to begin',
  theListOfCommands: 'The list of commands',
  whatStandsInThe: 'What stands in the way',
  notSavedYet: 'Not saved yet',
  notSaved: 'Not saved',
  deletedOnAnotherPage: 'Deleted on another page',
  benchDovePath: (title: string) => `${title} · Bench · Dove Path`,
  nameOfThisPlan: 'Name of this plan',
  commands: 'Commands …',
  bench: 'Bench',
  theBrief: 'The brief',
  thePictureOfThe: 'The picture of the plan',
  theListOfWays: 'The list of ways',
  theFindings: 'The findings',
  theListOfPlans: 'The list of plans',
  theListOfBriefs: 'The list of briefs',
};

export const compareWithText = {
  school: (name: string) => `school ${name}`,
  withIt: (words: string) => `with ${words}`,
  anotherSchool: 'Another school',
  student: (id: string) => `student ${id}`,
  noNameYet: 'no name yet',
  forIt: (yet: string) => `for ${yet}`,
  anotherStudent: 'Another student',
  plan: (id: string) => `plan ${id}`,
  anotherPlan: 'Another plan',
  compareThisPlanWith: 'Compare this plan with',
  compareWith: 'Compare with …',
};

export const comparisonPanelText = {
  sideBySideWith: (words: string) => `Side by side with ${words}`,
  closeTheComparison: 'Close the comparison',
  costOf: 'Cost of',
  thisPlan: 'this plan',
  inAll: 'in all',
  theyDoNotDiffer: 'They do not differ',
  theyDifferInOne: 'They differ in one place',
  theyDifferInPlaces: (count: string) => `They differ in ${count} places`,
  costsTheOther: (s: string, toFixed: string, s2: string, toFixed2: string) =>
    `: ${s} costs ${toFixed}; the other ${s2} ${toFixed2}`,
};

export const drillForText = {
  madeFor: 'Made for',
  notSavedYet: '. Not saved yet.',
  keepItWithThis: 'Keep it with this plan',
};

export const findingsListText = {
  takeItApart: 'take it apart',
  seeTheHand: 'see the hand',
  hearIt: 'hear it',
  theDrillCouldNot: 'The drill could not be made: the planner stopped. Try again; your plan is safe.',
  findings: 'Findings',
  nothingHereNeedsSpecial: 'Nothing here needs special attention.',
  drillIt: 'drill it',
  practiseIt: 'practise it',
  onlyTheWeightiest: 'only the weightiest',
  theFirstOf: (most: number, count: number) => `the first ${most} of ${count}`,
  all: (count: number) => `all ${count}`,
};

export const paletteText = {
  plan: (brief: string, typed: string) => `Plan: ${brief} (${typed})`,
  commands: 'Commands',
  findACommand: 'Find a command',
  whatWouldYouLike: 'What would you like to do? Or type a brief: D minor arpeggio',
  allCommands: 'All commands',
  noCommandHasThese: 'No command has these words.',
};

export const planShelfText = {
  savedPlans: 'Saved plans',
  deleteIt: (words: string) => `Delete ${words}`,
  nothingIsSavedYet: 'Nothing is saved yet.',
  newPlan: 'New plan',
  aStudentWithoutA: 'a student without a name',
  forIt: (name: string) => `for ${name}`,
  forNobodyInParticular: 'for nobody in particular',
  newPlanMenu: 'New plan …',
};

export const plannerTroubleText = {
  thePlannerStoppedBefore: 'The planner stopped before it had an answer.',
  thePlannerHasNot: 'The planner has not answered for a minute and was stopped.',
  thePlannerFailedOn: 'The planner failed on this brief; that is its own fault.',
  thePlanner: 'The planner',
  yourBriefIsSafe: (why: string) =>
    `${why} Your brief is safe; what is shown below is the last answer. Try again, or undo the last change.`,
  tryAgain: 'Try again',
};

export const problemsText = {
  noPlanYet: 'No plan yet',
  thisCantBePlayed: 'This can’t be played under these rules',
  undoTheLastChange: 'Undo the last change',
  goTo: (bar: string) => `go to ${bar}`,
};

export const saveAsText = {
  notesWithFingersMusicxml: 'Notes with fingers (MusicXML)',
  theSamePackedMxl: 'The same, packed (.mxl)',
  soundOfTheNotes: 'Sound of the notes (MIDI)',
  tableOfNotesAnd: 'Table of notes and fingers (CSV)',
  pictureOfTheStaff: 'Picture of the staff',
  pictureOfStaffAnd: 'Picture of staff and hand trail',
  pictureOfTheNeck: 'Picture of the neck',
  toTheClipboard: 'to the clipboard',
  saveThisPlanAs: 'Save this plan as',
  saveAs: 'Save as …',
  sheetToPrintOr: 'Sheet, to print or as PDF …',
  notes: (format: string) => `notes ${format}`,
  picture: (name: string, kind: string) => `picture ${name} ${kind}`,
  fileToSendWithout: 'File to send, without the student',
  sendStudent: 'send student',
  fileToSendWith: 'File to send, with the student',
};

export const savedFingeringText = {
  closeTheComparison: 'Close the comparison',
  compareTheTwo: 'Compare the two',
  useTheNewFingering: 'Use the new fingering',
  keepThisOne: 'Keep this one',
  theSavedFingeringIs: 'The saved fingering is shown',
  theSavedFingeringCannot: 'The saved fingering cannot be played here any more',
  thisPlanComesFrom: 'This plan comes from an old backup',
  thisPlanWasSaved:
    'This plan was saved when the planner chose another fingering. Yours stays as it was learned. What would be new:',
  theBriefNoLonger:
    'The brief no longer allows it. The best fingering is shown; the saved one is not lost until you keep another.',
  itHoldsOnlyThe:
    'It holds only the number of its fingering, and nobody can tell which one that was. The best fingering is shown: check that it is the one that was learned.',
};

export const shareLinkText = {
  thisPlanIsToo: 'This plan is too long for a link. Save it as a file instead: “Save as …”.',
  theLinkWasCopied:
    'The link was copied. It holds the brief: the music, instrument, size and hand, wishes, and what you put at single notes. It does not hold the student, the name of the plan or any practice.',
  copyTheAddressOf: 'Copy the address of this page instead.',
  copyALink: 'Copy a link',
};

export const thisPlanText = { thisPlan: 'This plan', tags: 'Tags', withCommasBetween: 'with commas between' };
