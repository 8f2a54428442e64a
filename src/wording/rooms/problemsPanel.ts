export const noPlanYet = 'No plan yet';
export const thisCantBePlayed = 'This can’t be played under these rules';
export const undoTheLastChange = 'Undo the last change';
export const goTo = (bar: string) => `go to ${bar}`;
export const instead = (what: string) => `${what} instead`;
