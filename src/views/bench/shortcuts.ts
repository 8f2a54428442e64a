/** The keys of the Bench, for the page about them; a browser test presses each. */
export const KEYS: readonly {
  readonly where: string;
  readonly keys: readonly (readonly [key: string, does: string])[];
}[] = [
  {
    where: 'In the picture',
    keys: [
      ['← →', 'The note before, the next note'],
      ['Home End', 'The first note, the last note'],
      ['Shift ← →', 'Mark notes on the way'],
      ['0 1 2 3 4 T', 'Put this finger, the open string or the thumb on the note'],
      ['↑ ↓', 'Put the note on the next string up or down'],
      ['X', 'Forbid the shift that arrives at the note'],
      ['Delete', 'Set the note free again'],
      ['Space', 'Listen from here, or to what is marked; stop'],
    ],
  },
  {
    where: 'Anywhere',
    keys: [
      ['.', 'Do anything by its name'],
      ['Ctrl Z', 'Undo the last change'],
      ['Ctrl Shift Z', 'Redo it'],
    ],
  },
];
