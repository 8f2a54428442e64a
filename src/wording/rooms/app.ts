export const at = (bar: string) => `, at ${bar}`;

export const theOtherStudent = 'the other student';
export const thePlanFor = (student: string) => `the plan for ${student}`;
export const theOtherPlanIs = 'The other plan is not here any more.';
export const noFingeringFitsThere = (words: string) => `No fingering fits ${words}: there is nothing to compare.`;
export const onlyPlansOfThe = (trouble: string) => `${trouble} Only plans of the same rhythm lie side by side.`;
export const thePlannerStopped = 'The planner stopped.';
export const itCouldNotBe = 'It could not be worked out.';
export const tryAgainYourPlan = (why: string) => `${why} Try again; your plan is safe.`;
export const thisPlanHasThe = (count: string, count2: string) => `This plan has ${count}, the other ${count2}.`;

export const theBrowserDidNot = (instead: string) => `The browser did not allow copying. ${instead}`;

export const tryAgain = 'Try again';
export const changesThatWait = (n: number) => (n > 1 ? ` ${n} changes wait; “Try again” saves all of them.` : '');

export const theFingeringWasRepeated = (counted: string) => `The fingering was repeated on ${counted} of notes.`;
export const theFingeringCantBe = (counted: string) =>
  `The fingering can’t be repeated on ${counted} of notes: the fingers do not reach there.`;
export const undo = 'Undo';

export const theNoteBeforeThe = 'The note before, the next note; with Shift, mark notes on the way';
export const homeEnd = 'Home End';
export const theFirstNoteThe = 'The first note, the last note';
export const putThisFingerThe = 'Put this finger, the open string or the thumb on the note';
export const putTheNoteOn = 'Put the note on the next string up or down';
export const forbidTheShiftThat = 'Forbid the shift that arrives at the note';
export const setTheNoteFree = 'Set the note free again';
export const listenFromHereOr = 'Listen from here, or to what is marked; stop';
export const spacePageDown = 'Space, Enter';
export const playStopItWas = 'Play, stop, “it was in”: the one key for everything (a pedal sends it too)';
export const itWasMissed = 'It was missed';
export const itWasLow = 'It was low';
export const itWasHigh = 'It was high';
export const itWasIn = 'It was in';
export const theNoteThatWas = 'The note that was off';
export const takeTheLastOne = 'Take the last one back';
export const findACommandBy = 'Find a command by its name';
export const undoTheLastChange = 'Undo the last change';
export const ctrlShiftZ = 'Ctrl Shift Z';
export const redoIt = 'Redo it';

export const noSoundTheBrowser =
  'No sound: the browser gives this page no way to play. Check its sound settings and try again.';

export const allOfIt = 'all of it';
export const aLittleCloser = 'a little closer';
export const closerStill = 'closer still';
export const oneBar = 'one bar';
export const asItFits = 'as it fits';
export const oneLine = 'one line';
export const manyLines = 'many lines';
export const everyFinger = 'every finger';
export const decisiveFingers = 'decisive fingers';
export const fingersOfOurs = 'only ours';
export const noFingers = 'no fingers';
export const noNames = 'no names';
export const theirNames = 'their names';

export const thePlannerStoppedBefore =
  'The planner stopped before it had an answer. Reload this page to try again; your plans are safe.';
export const thePlanInThis =
  'The plan in this address is not saved in this browser: it may have been deleted, or belong to another browser. Open another one on the Bench or in the Studio.';
export const noPlanIsSaved = 'No plan is saved here yet. Make one on the Bench, then come back.';
export const noFingeringFitsThis =
  'No fingering fits this plan’s brief. Open it on the Bench: it says which note and what would help.';
export const noWayIsChosen = 'No way is chosen in this plan. Open it on the Bench and choose one.';

export const openingThePlanInThis =
  'The plan in this address is not saved in this browser. Its brief stands here as a plan of its own.';
export const thePlanInThisAddress =
  'The plan in this address is not saved in this browser: it may have been deleted, or belong to another browser. Another one stands here.';
export const thePlanThatWas =
  'The plan that was open last did not come to its end when it was opened, so it was not opened again by itself. It is safe in the Studio, and in a backup file.';
export const openItAllThe = 'Open it all the same';
export const thisPlanWasDeleted =
  'This plan was deleted on another page. “Deleted” in the Studio has it for 30 days of use.';
export const wasDeleted = (words: string) => `“${words}” was deleted.`;

export const yourLastEditWas =
  'Your last edit was made to something that was changed on another page meanwhile. Both are saved: yours has “(second version)” in its name.';

export const thisWasBroughtBack = 'This was brought back already, or is no longer in the bin.';

export const secondVersion = (request: string) => `${request} (second version)`;
export const thisPlanWasChanged = (name: string) =>
  `This plan was changed on another page at the same time. Both are saved: yours is now “${name}”.`;
export const thisPlanWasChangedOn =
  'This plan was changed on another page and now stands here as it is there. Undo takes back your own edits only.';
export const savingThisPlanWasDeleted = 'This plan was deleted on another page. What stands here is the last of it.';
export const keepIt = 'Keep it';

export const theOtherWay = 'the other way';

export const thePartForPaper = 'The part for paper and files stopped.';
export const nothingIsSavedHere = 'Nothing is saved here yet, so the backup would be empty.';
export const saveItAllThe = 'Save it all the same';
export const theFileHasOnly = (trouble: string) =>
  `${trouble} The file has only the plan that stands here; keep your earlier backup.`;
export const noBackupWasWritten = (trouble: string) => `No backup was written. ${trouble}`;
export const theStudentInThis =
  'The student in this address is not in this browser: they may have been deleted, or belong to another browser.';
export const theStudent = 'The student';
export const theirPlansAreStill = ' Their plans are still here, for anyone.';
export const studioWasDeleted = (words: string, theirs: string) => `${words} was deleted.${theirs}`;
export const planWasDeleted = (words: string) => `“${words}” was deleted.`;
export const itIsInThe = 'It is in the archive: the tag “archived” shows it.';
export const itIsInTheList = 'It is in the list again.';
export const theStudioIsEmpty = (amount: string) => `The studio is empty: ${amount} were deleted.`;

export const theStorageAnswers = 'The browser’s storage answers again. What you asked for can be opened now.';
export const openWhatWasAsked = 'Open it';
export const newPlanBegun = (name: string) => `This is a new plan. “${name}” stays as it was.`;
export const changeThisPlanInstead = 'Change that plan instead';
export const isStillCalled = (name: string) => `This plan is still called “${name}”.`;
export const callIt = (name: string) => `Call it “${name}”`;
export const pageDownPageUp = 'Page Down, Page Up';
export const twoPedals =
  'two pedals. Right, short: play, stop, in, here; long: high, the note after. Left, short: low, the note before; long: missed, don’t know where, take back';
export const dontKnowWhere = 'off, but nobody knows where, or in several places';
export const pPageDown = 'P, Page Down';
export const practiseIt = 'practise this plan, or what is marked';
