export const fourStrings = 'four strings';
export const usualTuning = 'usual tuning';
export const markTwoOrMore = 'Mark two or more single notes with no rest between: they are the pattern.';
export const theNotesAfterThese = (length: number) =>
  `The ${length} notes after these do not go the same way, so there is nothing to repeat the fingering on.`;
export const hand = 'Hand';
export const thePlayer = 'The player';
export const aMeasuredHand = 'a measured hand';
export const school = 'School';
export const level = 'Level';
export const ownLevel = 'the student’s own level';
export const tuning = 'Tuning';
export const theStrings = (listed: string) => `the strings ${listed}`;
export const fingers = 'Fingers';
export const style = 'Style';
export const styleAndTempo = 'Style and tempo';
export const tempo = 'Tempo';
export const strings = 'Strings';
