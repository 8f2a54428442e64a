export const oneGoalInWords = 'One goal, in words';
export const goalsProposed = 'Goals proposed';
export const noPlaceHasBeen = 'No place has been judged yet.';
export const kindOfPlace = 'Kind of place';
export const tries = 'tries';
export const low = 'low';
export const high = 'high';
export const missed = 'missed';
export const offAndTheRange = 'off, and the range it lies in with 95 %';
export const practiceFile = 'Practice file';
export const bringOneIn = 'Bring one in';
export const nothingToReportYet =
  'Nothing to report yet: a pattern is named here once enough tries were judged to tell it from chance.';
export const workAtSuchA = 'Work at such a place';
export const intoNextWeek = 'Into next week';
export const itsNumbers = 'its numbers';
