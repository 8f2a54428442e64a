export const theNeckAtThis = 'The neck at this note';
export const check = (note: string, shortCheck: string) => `Check ${note}: ${shortCheck}.`;
export const aStretchWarmUp = 'A stretch: warm up, keep the thumb soft, stop at any pain or tingling.';
export const toScaleFingertipsMm = (fingertipMm: number, round: number) =>
  `To scale; fingertips ${fingertipMm} mm wide, string ${round} mm.`;
export const guideNoteOnUnheard = (finger: string, note: string) =>
  `Guide note: ${finger} on ${note}, unheard (dotted).`;
