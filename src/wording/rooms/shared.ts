export const keysText = {
  inThePictureOf: 'In the picture of the Bench',
  inASessionOf: 'In a session of practice',
  backToTheBench: 'Back to the Bench',
  keys: 'Keys',
  everythingOnTheScreen:
    'Everything on the screen works by keyboard: Tab goes from one control to the next, and the keys below are short cuts. Those of the picture work once it has the focus; the others anywhere except where you type.',
  theFullStopOpens: 'The full stop opens the commands. Switch it off if you press it by accident or dictate.',
  byTouchTapA:
    'By touch: tap a note to put the cursor on it, then a finger, string or position below the picture. “Mark notes” makes the next taps mark from there.',
  licences: 'Licences',
  ofWhatThisProgram: 'of what this program is built with.',
};

export const galleryText = {
  aVeryLongName: 'A very long name, as somebody will give it one day, with more words in it than any row has room for',
  gallery: 'Gallery',
  byLamplightSetThe: 'By lamplight, set the machine to its dark look.',
  head: 'Head',
  notices: 'Notices',
  done: 'done',
  twoPlansRestored: 'Two plans restored.',
  doneWithAnOffer: 'done, with an offer',
  wasDeleted: (long: string) => `“${long}” was deleted.`,
  undo: 'Undo',
  trouble: 'trouble',
  theStorageIsFull: 'The storage is full.',
  undoAndRedo: 'Undo and redo',
  choicesBackupCaution: 'Choices, backup, caution',
  aPartThatFails: 'A part that fails',
  theNeck: 'The neck',
  aViewOfA: 'A view of a plan: loading, nothing there',
  hand: 'Hand',
  ear: 'Ear',
  thereIsNoPlan: 'There is no plan yet.',
  staffAndNeck: 'Staff and neck',
  fingerPatterns: 'Finger patterns',
  spans: 'Spans',
  twoSpans: 'two spans',
  n72MmEasy: '72 mm, easy',
  beyondThisHand: 'beyond this hand',
  aChoice: 'A choice',
  notes: (count: number) => `${count} notes`,
};

export const actMenuText = { theMenu: 'The menu' };

export const backupButtonsText = {
  thisPartOfThe: 'This part of the program could not be fetched: is the server still running? Nothing was changed.',
  saveABackup: 'Save a backup',
  restore: 'Restore',
  backupFileToRestore: 'Backup file to restore',
};

export const bringInText = {
  bringInAPiece: 'Bring in a piece',
  cancel: 'Cancel',
  close: 'Close',
  isBeingRead: (name: string) => `${name} is being read …`,
  chooseAFile: 'Choose a file …',
  musicxmlMusicxmlXmlMxl:
    'MusicXML (.musicxml, .xml, .mxl), MIDI (.mid), notes typed as text, or a plan that was sent to you. It can also be dropped on this page. Nothing leaves this computer.',
  fileOfNotes: 'File of notes',
  bars: (from: string, to: string) => `, bars ${from}–${to}`,
  part: 'Part',
  noBowedString: ' (no bowed string)',
  fromBar: 'From bar',
  toBar: 'To bar',
  voice: 'Voice',
  forIt: 'For',
  nobodyInParticular: 'nobody in particular',
  noNameYet: 'no name yet',
  theFirstBarsAre: 'The first bars are being drawn …',
  bringItIn: 'Bring it in',
  withAWrittenFinger: (counted: string) =>
    `; ${counted} with a written finger or string. At first they are shown as written, beside ours.`,
  noFingersAreWritten: '; no fingers are written.',
  notesFor: (counted: string, instrument: string, written: string) => `${counted} for ${instrument}${written}`,
  whatWasLeftOut: 'What was left out',
  ofBarsTo: (value: string, value2: string) => `of bars ${value} to ${value2}`,
};

export const bringInHereText = { bringingInAPiece: 'Bringing in a piece', bringInAPiece: 'Bring in a piece' };

export const cautionText = {
  warmUpKeepThe:
    'Warm up, keep the thumb soft, stop at pain, numbness or tingling, and rest. The teacher in the room decides; lasting pain belongs with a doctor or physiotherapist.',
};

export const goalFieldText = { oneGoalInWords: 'One goal, in words', goalsProposed: 'Goals proposed' };

export const headText = { dovePath: 'Dove Path', views: 'Views', studio: 'Studio' };

export const helpText = { whatIsMeantBy: (word: string) => `What is meant by “${word}”?` };

export const meaningPageText = {
  dovePath: (title: string, heading: string) => `${title} · ${heading} · Dove Path`,
  thePlanIsBeing: 'The plan is being worked out …',
  toTheBench: 'To the Bench',
  theMusic: 'The music',
};

export const musicLineText = {
  theMusicLeftAnd: 'The music: left and right arrows move the cursor',
  staffNotes: (count: number) => `Staff: ${count} notes`,
};

export const noticeBarText = { close: 'Close' };

export const placeTableText = {
  noPlaceHasBeen: 'No place has been judged yet.',
  kindOfPlace: 'Kind of place',
  tries: 'tries',
  low: 'low',
  high: 'high',
  missed: 'missed',
  offAndTheRange: 'off, and the range it lies in with 95 %',
};

export const playerPickText = {
  student: 'Student',
  noNameYet: 'no name yet',
  lessonPage: 'Lesson page',
  nobodyIsInThe: 'Nobody is in the Studio yet.',
  addAStudentThere: 'Add a student there',
  orBringInThe: ', or bring in the practice file that your teacher gave you.',
};

export const practiceFileButtonsText = { practiceFile: 'Practice file', bringOneIn: 'Bring one in' };

export const sectionText = {
  couldNotBeShown: (name: string) => `${name} could not be shown. Your plans are safe; the rest of the page works.`,
  tryAgain: 'Try again',
  reloadThePage: 'Reload the page',
};

export const sheetChoicesText = {
  noteNames: 'note names',
  fingerPatterns: 'finger patterns',
  hardPlacesAndDrills: 'hard places and drills',
  stepsWithBoxes: 'steps with boxes',
  largePrint: 'large print',
  whatIsOnThe: 'What is on the paper',
  fingers: 'Fingers',
  atEveryNote: 'at every note',
  whereNeeded: 'where needed',
  emptyStaves: 'Empty staves',
  paper: 'Paper',
};

export const trendListText = {
  nothingToReportYet:
    'Nothing to report yet: a pattern is named here once enough tries were judged to tell it from chance.',
  workAtSuchA: 'Work at such a place',
  intoNextWeek: 'Into next week',
};

export const undoButtonsText = { undoEdit: 'Undo edit', redoEdit: 'Redo edit' };

export const whyLinesText = { whyShift: 'Why shift', whyHere: 'Why here' };

export const fieldsText = {
  giveANumberOf: (unit: string) => `Give a number of ${unit}.`,
  betweenAnd: (least: number, most: number, unit: string) => `Between ${least} and ${most} ${unit}.`,
  notTakenUntilIt: (words: string) => `${words} Not taken until it is put right.`,
};

export const usePageKeysText = { inputTextareaSelectContenteditable: 'input, textarea, select, [contenteditable]' };
