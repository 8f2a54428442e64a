/** A value and the words it is shown by. */
export type WordChoice = readonly [value: string, words: string];
