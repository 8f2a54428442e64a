export const meaningPageDovePath = (title: string, heading: string) => `${title} · ${heading} · Dove Path`;
export const thePlanIsBeing = 'The plan is being worked out …';
export const toTheBench = 'To the Bench';
export const theMusic = 'The music';
