export const theTableWasCopied = 'The table was copied.';
export const markTheTableAnd = 'Mark the table and copy it by hand.';
export const copyTheTable = 'Copy the table';
export const thePlanNoteBy = 'The plan, note by note';
