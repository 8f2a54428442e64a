export const everyFingerPatternOn = 'Every finger pattern on every string';

export const nothingOfThisCan = 'Nothing of this can be played in that position; choose another key or position.';
export const wasDeletedPagesThat = (name: string) => `“${name}” was deleted. Pages that were opened are still plans.`;
export const theFileCouldNot = 'The file could not be made. Try again; the book is safe.';

export const bringInTheFileCouldNot =
  'The file could not be read to its end. Try it again, or save it again from the program that made it.';
export const atLetter = (value: number, textIssue: string) => ` At letter ${value}: ${textIssue}`;
export const thisIsNoScore = (found: string) => `This is no score, and no notes typed as text either.${found}`;
export const thisFileCannotBe = (path: string, issue: string) => `This file cannot be read as a plan: ${path} ${issue}`;
export const thisIsABackup = 'This is a backup. Use “Restore” in the Studio for it.';
export const thisIsAPractice = 'This is a practice file. Bring it in on the Practice page.';

export const cannotPlayThisIn = (instrument: string) =>
  `${instrument} cannot play this in the positions chosen; choose others, or fewer octaves.`;
export const forTheClass = 'For the class';
export const theTypedNotesCannot = 'The typed notes cannot be read; see “How to type notes”.';
export const haveNoOctaveFor = (instrument: string) => `${instrument} have no octave for these notes.`;

export const pageOf = (title: string, value: number, count: number) => `${title}, page ${value} of ${count}`;

export const thisCantBePlayed =
  'This can’t be played under these rules, so there is nothing to save. Change the brief first.';
export const savingTheFileCouldNot = 'The file could not be made. Try again, or reload the page; your plans are safe.';
export const noPicture = 'no picture';
export const thePictureIsOn = 'The picture is on the clipboard.';
export const thisBrowserDoesNot = 'This browser does not let the picture be copied. Save it as PNG instead.';
export const itsStudent = 'its student';
export const theFileHasThis = (student: string) => `The file has this plan and ${student}.`;
export const theFileHasThisPlan = 'The file has this plan and nobody’s name.';

export const thisPlanComesFrom = (value: string, version: number) =>
  `This plan comes from a later version of Dove Path (${value}; this one reads up to ${version}). Update the app, then open it.`;
export const itIsMissing = 'it is missing.';
export const thisPlanIsDamaged = (missing: string) => `This plan is damaged: ${missing} Ask for it once more.`;
export const theStudentInThis = 'The student in this file is damaged. Ask for the plan without them.';
export const openIt = 'Open it';

export const plans = (plans: string, count: number) => `${plans}: ${count} plans`;
export const thePdfCouldNot = 'The PDF could not be made. Reload the page and try again; your plans are safe.';
