/** How a student calls the notes. */
export const NOTE_NAMES = ['letters', 'fixed-do', 'german'] as const;
export type NoteNames = (typeof NOTE_NAMES)[number];
