export const bookPagesText = { everyFingerPatternOn: 'Every finger pattern on every string' };

export const booksText = {
  nothingOfThisCan: 'Nothing of this can be played in that position; choose another key or position.',
  wasDeletedPagesThat: (name: string) => `“${name}” was deleted. Pages that were opened are still plans.`,
  theFileCouldNot: 'The file could not be made. Try again; the book is safe.',
};

export const bringInText = {
  theFileCouldNot:
    'The file could not be read to its end. Try it again, or save it again from the program that made it.',
  atLetter: (value: number, textIssue: string) => ` At letter ${value}: ${textIssue}`,
  thisIsNoScore: (found: string) => `This is no score, and no notes typed as text either.${found}`,
  thisFileCannotBe: (path: string, issue: string) => `This file cannot be read as a plan: ${path} ${issue}`,
  thisIsABackup: 'This is a backup. Use “Restore” in the Studio for it.',
  thisIsAPractice: 'This is a practice file. Bring it in on the Practice page.',
};

export const classesText = {
  cannotPlayThisIn: (instrument: string) =>
    `${instrument} cannot play this in the positions chosen; choose others, or fewer octaves.`,
  forTheClass: 'For the class',
  theTypedNotesCannot: 'The typed notes cannot be read; see “How to type notes”.',
  haveNoOctaveFor: (instrument: string) => `${instrument} have no octave for these notes.`,
};

export const deskText = { thePartForPaper: 'The part for paper and files stopped.' };

export const paperWorkerText = {
  pageOf: (title: string, value: number, count: number) => `${title}, page ${value} of ${count}`,
};

export const savingText = {
  thisCantBePlayed: 'This can’t be played under these rules, so there is nothing to save. Change the brief first.',
  theFileCouldNot: 'The file could not be made. Try again, or reload the page; your plans are safe.',
  noPicture: 'no picture',
  thePictureIsOn: 'The picture is on the clipboard.',
  thisBrowserDoesNot: 'This browser does not let the picture be copied. Save it as PNG instead.',
  itsStudent: 'its student',
  theFileHasThis: (student: string) => `The file has this plan and ${student}.`,
  theFileHasThisPlan: 'The file has this plan and nobody’s name.',
};

export const sentText = {
  thisPlanComesFrom: (value: string, version: number) =>
    `This plan comes from a later version of Dove Path (${value}; this one reads up to ${version}). Update the app, then open it.`,
  itIsMissing: 'it is missing.',
  thisPlanIsDamaged: (missing: string) => `This plan is damaged: ${missing} Ask for it once more.`,
  theStudentInThis: 'The student in this file is damaged. Ask for the plan without them.',
  openIt: 'Open it',
};

export const sheetsText = {
  plans: (plans: string, count: number) => `${plans}: ${count} plans`,
  thePdfCouldNot: 'The PDF could not be made. Reload the page and try again; your plans are safe.',
};
