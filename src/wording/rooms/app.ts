export const backupsText = {
  nothingIsSavedHere: 'Nothing is saved here yet, so the backup would be empty.',
  saveItAllThe: 'Save it all the same',
  theFileHasOnly: (trouble: string) =>
    `${trouble} The file has only the plan that stands here; keep your earlier backup.`,
  noBackupWasWritten: (trouble: string) => `No backup was written. ${trouble}`,
};

export const commandsText = {
  stopListening: 'Stop listening',
  playOnce: 'Play once',
  playInALoop: 'Play in a loop',
  startWithoutCountingIn: 'Start without counting in',
  countInFirst: 'Count in first',
  silenceTheDrone: 'Silence the drone',
  markNotes: 'Mark notes',
  repeatTheMarkedFingering: 'Repeat the marked fingering',
  newPlanForNobody: 'New plan for nobody in particular',
  newPlanFor: (name: string) => `New plan for ${name}`,
  notesOfMyOwn: 'Notes of my own',
  closerPicture: 'Closer picture',
  moreOfTheMusic: 'More of the music',
  putTheLargeNeck: 'Put the large neck away',
  showTheNeckLarge: 'Show the neck large',
  noteNames: (words: string) => `Note names: ${words}`,
  at: (bar: string) => `, at ${bar}`,
  goToShift: (value: number, to: string) => `Go to shift ${value}${to}`,
  chooseWay: (value: number, words: string) => `Choose way ${value}: ${words}`,
  compareWithWay: (value: number) => `Compare with way ${value}`,
  planThisFor: (name: string) => `Plan this for ${name}`,
  giveACopyTo: (name: string) => `Give a copy to ${name}`,
  open: (planTitle: string) => `Open ${planTitle}`,
  practiseTheMarkedNotes: 'Practise the marked notes',
  practiseThisPlan: 'Practise this plan',
  goToTheStudio: 'Go to the Studio',
  allKeys: 'All keys',
  howToTypeNotes: 'How to type notes',
};

export const compareText = {
  theOtherStudent: 'the other student',
  thePlanFor: (student: string) => `the plan for ${student}`,
  theOtherPlanIs: 'The other plan is not here any more.',
  noFingeringFitsThere: (words: string) => `No fingering fits ${words}: there is nothing to compare.`,
  onlyPlansOfThe: (trouble: string) => `${trouble} Only plans of the same rhythm lie side by side.`,
  thePlannerStopped: 'The planner stopped.',
  itCouldNotBe: 'It could not be worked out.',
  tryAgainYourPlan: (why: string) => `${why} Try again; your plan is safe.`,
  thisPlanHasThe: (count: string, count2: string) => `This plan has ${count}, the other ${count2}.`,
};

export const copyingText = { theBrowserDidNot: (instead: string) => `The browser did not allow copying. ${instead}` };

export const editingText = { tryAgain: 'Try again' };

export const editsText = {
  theFingeringWasRepeated: (counted: string) => `The fingering was repeated on ${counted} of notes.`,
  theFingeringCantBe: (counted: string) =>
    `The fingering can’t be repeated on ${counted} of notes: the fingers do not reach there.`,
  undo: 'Undo',
};

export const keymapText = {
  theNoteBeforeThe: 'The note before, the next note; with Shift, mark notes on the way',
  homeEnd: 'Home End',
  theFirstNoteThe: 'The first note, the last note',
  putThisFingerThe: 'Put this finger, the open string or the thumb on the note',
  putTheNoteOn: 'Put the note on the next string up or down',
  forbidTheShiftThat: 'Forbid the shift that arrives at the note',
  setTheNoteFree: 'Set the note free again',
  listenFromHereOr: 'Listen from here, or to what is marked; stop',
  spacePageDown: 'Space, Page down',
  playStopItWas: 'Play, stop, “it was in”: the one key for everything (a pedal sends it too)',
  pageUpM: 'Page up, M',
  itWasMissed: 'It was missed',
  itWasLow: 'It was low',
  itWasHigh: 'It was high',
  itWasIn: 'It was in',
  theNoteThatWas: 'The note that was off',
  takeTheLastOne: 'Take the last one back',
  findACommandBy: 'Find a command by its name',
  undoTheLastChange: 'Undo the last change',
  ctrlShiftZ: 'Ctrl Shift Z',
  redoIt: 'Redo it',
};

export const listeningText = {
  noSoundTheBrowser: 'No sound: the browser gives this page no way to play. Check its sound settings and try again.',
};

export const lookText = {
  allOfIt: 'all of it',
  aLittleCloser: 'a little closer',
  closerStill: 'closer still',
  oneBar: 'one bar',
  asItFits: 'as it fits',
  oneLine: 'one line',
  manyLines: 'many lines',
  noNames: 'no names',
  theirNames: 'their names',
};

export const meaningText = {
  thePlannerStoppedBefore:
    'The planner stopped before it had an answer. Reload this page to try again; your plans are safe.',
  thePlanInThis:
    'The plan in this address is not saved in this browser: it may have been deleted, or belong to another browser. Open another one on the Bench or in the Studio.',
  noPlanIsSaved: 'No plan is saved here yet. Make one on the Bench, then come back.',
  noFingeringFitsThis:
    'No fingering fits this plan’s brief. Open it on the Bench: it says which note and what would help.',
  noWayIsChosen: 'No way is chosen in this plan. Open it on the Bench and choose one.',
};

export const openingText = {
  thePlanInThis: 'The plan in this address is not saved in this browser. Its brief stands here as a plan of its own.',
  thePlanInThisAddress:
    'The plan in this address is not saved in this browser: it may have been deleted, or belong to another browser. Another one stands here.',
  thePlanThatWas:
    'The plan that was open last did not come to its end when it was opened, so it was not opened again by itself. It is safe in the Studio, and in a backup file.',
  openItAllThe: 'Open it all the same',
  thisPlanWasDeleted: 'This plan was deleted on another page. “Deleted” in the Studio has it for 30 days.',
  wasDeleted: (words: string) => `“${words}” was deleted.`,
};

export const recoveryText = {
  yourLastEditWas:
    'Your last edit was made to something that was changed on another page meanwhile. Both are saved: yours has “(second version)” in its name.',
};

export const studioText = {
  theStudentInThis:
    'The student in this address is not in this browser: they may have been deleted, or belong to another browser.',
  theStudent: 'The student',
  theirPlansAreStill: ' Their plans are still here, for anyone.',
  wasDeleted: (words: string, theirs: string) => `${words} was deleted.${theirs}`,
  planWasDeleted: (words: string) => `“${words}” was deleted.`,
  aStudentWithoutA: 'a student without a name',
  givenTo: (listed: string) => `Given to ${listed}.`,
  itIsInThe: 'It is in the archive: the tag “archived” shows it.',
  itIsInTheList: 'It is in the list again.',
  theStudioIsEmpty: (amount: string) => `The studio is empty: ${amount} were deleted.`,
};

export const writesText = {
  tryAgain: 'Try again',
  undo: 'Undo',
  thisWasBroughtBack: 'This was brought back already, or is no longer in the bin.',
};

export const savingText = {
  tryAgain: 'Try again',
  secondVersion: (request: string) => `${request} (second version)`,
  thisPlanWasChanged: (name: string) =>
    `This plan was changed on another page at the same time. Both are saved: yours is now “${name}”.`,
  thisPlanWasChangedOn:
    'This plan was changed on another page and now stands here as it is there. Undo takes back your own edits only.',
  thisPlanWasDeleted: 'This plan was deleted on another page. What stands here is the last of it.',
  keepIt: 'Keep it',
};

export const stateText = { theOtherWay: 'the other way' };

export const askingText = {
  tryAgain: 'Try again',
  noSoundTheBrowser: 'No sound: the browser gives this page no way to play. Skip the cards by ear for now.',
};

export const decksText = {
  itsShiftsAndTheir: 'its shifts and their guide notes',
  itsNamesForwardAnd: 'its names, forward and backwards',
  itsChecks: 'its checks',
  whereElseItsNotes: 'where else its notes lie',
  itsNotesByEar: 'its notes by ear',
  allOfTheseCards: 'All of these cards are in the box already.',
  newCard: 'new card',
  putIntoTheBox: (counted: string) => `${counted} put into the box.`,
};

export const dueText = {
  practisedToday: 'practised today',
  practisedYesterday: 'practised yesterday',
  practisedDaysAgo: (away: number) => `practised ${away} days ago`,
  due: (counted: string) => `${counted} due`,
};

export const logText = {
  wasDeleted: (words: string) => `“${words}” was deleted.`,
  theLogIsEmpty: 'The log is empty, so there is nothing to export yet.',
};

export const overviewText = { setAtTheLast: 'Set at the last lesson' };

export const runText = {
  noSoundTheBrowser: 'No sound: the browser gives this page no way to play. Play by yourself, then say how it was.',
  tryAgain: 'Try again',
};

export const trendDrillText = {
  noneOfTheStudents: 'None of the student’s plans has such a place. Make one on the Bench, or a drill in Shifts.',
};
