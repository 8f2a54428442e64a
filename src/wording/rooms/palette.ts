export const palettePlan = (brief: string, typed: string) => `Plan: ${brief} (${typed})`;
export const paletteCommands = 'Commands';
export const findACommand = 'Find a command';
export const whatWouldYouLike = 'What would you like to do? Or type a brief: D minor arpeggio';
export const allCommands = 'All commands';
export const noCommandHasThese = 'No command has these words.';
