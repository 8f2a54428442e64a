/** The mark that some editors put before a text. */
export const BOM = '\uFEFF';
