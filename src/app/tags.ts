/** What is put away: kept, but not listed unless it is asked for. */
export const ARCHIVED = 'archived';

const LONGEST = 60;

/** Tags as they are typed, with commas between. */
export function tagsFrom(words: string): string[] {
  const tags = words.split(',').map((tag) => tag.trim().slice(0, LONGEST));
  return [...new Set(tags)].filter((tag) => tag !== '');
}
