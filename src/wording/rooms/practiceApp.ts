export const askingNoSoundTheBrowser =
  'No sound: the browser gives this page no way to play. Skip the cards by ear for now.';
export const itsShiftsAndTheir = 'its shifts and their guide notes';
export const itsNamesForwardAnd = 'its names, forward and backwards';
export const itsChecks = 'its checks';
export const whereElseItsNotes = 'where else its notes lie';
export const itsNotesByEar = 'its notes by ear';
export const allOfTheseCards = 'All of these cards are in the box already.';
export const newCard = 'new card';
export const putIntoTheBox = (counted: string) => `${counted} put into the box.`;
export const practisedToday = 'practised today';
export const practisedYesterday = 'practised yesterday';
export const practisedDaysAgo = (away: number) => `practised ${away} days ago`;
export const due = (counted: string) => `${counted} due`;
export const theLogIsEmpty = 'The log is empty, so there is nothing to export yet.';
export const setAtTheLast = 'Set at the last lesson';
export const runNoSoundTheBrowser =
  'No sound: the browser gives this page no way to play. Play by yourself, then say how it was.';
export const noneOfTheStudents =
  'None of the student’s plans has such a place. Make one on the Bench, or a drill in Shifts.';
export const thePlanHasChanged =
  'The plan has other notes since that session: what was judged stays in the log, and a new session begins.';
