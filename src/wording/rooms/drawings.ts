/** A distance on the ruler along the neck. */
export const rulerMark = (mm: number) => (mm === 0 ? 'nut' : `${mm} mm`);

export const open = (value: string) => `open, ${value}`;
export const upThe = (semitone: string, value: string) => `${semitone} up the ${value}`;

export const time = (time: string) => `, ${time} time`;
export const clefKeyOf = (clef: string, printedKey: string, time: string) =>
  `${clef} clef, key of ${printedKey}${time}`;

export const ext = 'ext.';

/** How far a shift goes, up or down the neck. */
export const shiftDistance = (up: boolean, mm: number) => `${up ? '↑' : '↓'} ${mm} mm`;
