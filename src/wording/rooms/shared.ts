export const inThePictureOf = 'In the picture of the Bench';
export const inASessionOf = 'In a session of practice';
export const backToTheBench = 'Back to the Bench';
export const keys = 'Keys';
export const everythingOnTheScreen =
  'Everything on the screen works by keyboard: Tab goes from one control to the next, and the keys below are short cuts. Those of the picture work once it has the focus; the others anywhere except where you type.';
export const theFullStopOpens =
  'The full stop opens the commands. Switch it off if you press it by accident or dictate.';
export const byTouchTapA =
  'By touch: tap a note to put the cursor on it, then a finger, string or position below the picture. “Mark notes” makes the next taps mark from there.';
export const licences = 'Licences';
export const ofWhatThisProgram = 'of what this program is built with.';

export const notes = (count: number) => `${count} notes`;

export const theMenu = 'The menu';

export const thisPartOfThe =
  'This part of the program could not be fetched: is the server still running? Nothing was changed.';
export const saveABackup = 'Save a backup';
export const restore = 'Restore';
export const backupFileToRestore = 'Backup file to restore';

export const bringInAPiece = 'Bring in a piece';
export const close = 'Close';
export const bars = (from: string, to: string) => `, bars ${from}–${to}`;

export const bringingInAPiece = 'Bringing in a piece';

export const warmUpKeepThe =
  'Warm up, keep the thumb soft, stop at pain, numbness or tingling, and rest. The teacher in the room decides; lasting pain belongs with a doctor or physiotherapist.';

export const dovePath = 'Dove Path';
export const views = 'Views';
export const studio = 'Studio';

export const whatIsMeantBy = (word: string) => `What is meant by “${word}”?`;

export const couldNotBeShown = (name: string) =>
  `${name} could not be shown. Your plans are safe; the rest of the page works.`;
export const viewFailed = (name: string) => `${name} could not be shown.`;
export const noMoreLetters = (most: number) =>
  `At most ${most.toLocaleString('en')} letters fit here; the rest was left out.`;
export const tryAgain = 'Try again';
export const reloadThePage = 'Reload the page';

export const undoEdit = 'Undo edit';
export const redoEdit = 'Redo edit';

export const whyShift = 'Why shift';
export const whyHere = 'Why here';

export const giveANumberOf = (unit: string) => `Give a number of ${unit}.`;
export const betweenAnd = (least: number, most: number, unit: string) => `Between ${least} and ${most} ${unit}.`;
export const notTakenUntilIt = (words: string) => `${words} Not taken until it is put right.`;

export const whatToDoNow =
  'What you made is still in this browser. Reload the page first. If this comes again, save a backup, then look at the damaged entries in the Studio.';
export const toTheDamagedEntries = 'Damaged entries';
export const toTheBenchAnew = 'To the Bench';
/** The views, as they are named where one fails. */
export const viewNames = {
  Bench: 'The Bench',
  Book: 'The book',
  Cards: 'The cards',
  ClassPage: 'The page for a class',
  Ear: 'Ear',
  Hand: 'Hand',
  Lesson: 'The lesson',
  Practice: 'Practice',
  Progress: 'Progress',
  Sheet: 'The sheet',
  Shifts: 'Shifts',
  Studio: 'The Studio',
  Students: 'Before lessons',
  Week: 'The week on paper',
} as const;
