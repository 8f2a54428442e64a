export const asWrittenBesideOurs = 'As written, beside ours';
export const keepAllOfTheirs = 'Keep all of theirs';
export const takeOursEverywhere = 'Take ours everywhere';
export const whatIsWrittenIs = 'What is written is being judged …';
export const whatIsWrittenCannot = 'What is written cannot be played as a whole; see below.';
export const besideTheWritten = (felt: string) => `Beside what is written, ${felt}.`;
export const takeOurs = 'Take ours';
export const keepTheirs = 'Keep theirs';
export const inBar = (theirs: string, bar: number) => `${theirs} in bar ${bar}`;
