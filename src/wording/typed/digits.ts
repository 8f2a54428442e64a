/** Numbers in words, as they are read. */
export const DIGITS: Readonly<Record<string, string>> = {
  one: '1', two: '2', three: '3', four: '4', six: '6', eight: '8',
  first: '1st', second: '2nd', third: '3rd', fourth: '4th', fifth: '5th', sixth: '6th', seventh: '7th',
  '1.': '1st', '3.': '3rd',
}; // prettier-ignore
