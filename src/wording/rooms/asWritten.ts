export const asWrittenBesideOurs = 'As written, beside ours';
export const keepAllOfTheirs = 'Keep all of theirs';
export const takeOursEverywhere = 'Take ours everywhere';
export const whatIsWrittenIs = 'What is written is being judged …';
export const whatIsWrittenCannot = 'What is written cannot be played as a whole; see below.';
export const theWrittenFingeringIs = (value: string, value2: string, count: number, count2: number) =>
  `The written fingering is harder than ours by ${value} (ours: ${value2}), with ${count} shifts to our ${count2}.`;
export const theWrittenFingeringIsAs = 'The written fingering is as easy for this hand as ours.';
export const oursEasierBy = (value: string) => `ours easier by ${value}`;
export const theirsEasierHere = 'theirs easier here';
export const equalHere = 'equal here';
export const takeOurs = 'Take ours';
export const keepTheirs = 'Keep theirs';
export const inBar = (theirs: string, bar: number) => `${theirs} in bar ${bar}`;
