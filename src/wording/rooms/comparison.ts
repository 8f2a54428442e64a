export const sideBySideWith = (words: string) => `Side by side with ${words}`;
export const costOf = 'Cost of';
export const thisPlan = 'this plan';
export const inAll = 'in all';
export const theyDoNotDiffer = 'They do not differ';
export const theyDifferInOne = 'They differ in one place';
export const theyDifferInPlaces = (count: string) => `They differ in ${count} places`;
export const costsTheOther = (s: string, toFixed: string, s2: string, toFixed2: string) =>
  `: ${s} costs ${toFixed}; the other ${s2} ${toFixed2}`;
