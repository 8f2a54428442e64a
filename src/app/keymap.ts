/*
 * Every key of the app in one place: what it does, where it works. The page about keys and the views read from here.
 */

/** Where a key works: in the picture of the Bench, in a session of practice, or anywhere but where something is typed. */
export type KeyPlace = 'picture' | 'practice' | 'anywhere';

export interface KeyBinding {
  readonly id: string;
  readonly place: KeyPlace;
  /** As the hot-key package reads them; any of them. */
  readonly keys: readonly string[];
  /** As they are printed. */
  readonly shown: string;
  readonly does: string;
  /** True for a letter or sign by itself, which some people press by accident or speak: it can be switched off. */
  readonly single?: true;
}

export const KEYMAP = [
  {
    id: 'cursor',
    place: 'picture',
    keys: ['ArrowLeft', 'ArrowRight', 'Shift+ArrowLeft', 'Shift+ArrowRight'],
    shown: '← →',
    does: 'The note before, the next note; with Shift, mark notes on the way',
  },
  {
    id: 'ends',
    place: 'picture',
    keys: ['Home', 'End', 'Shift+Home', 'Shift+End'],
    shown: 'Home End',
    does: 'The first note, the last note',
  },
  {
    id: 'finger',
    place: 'picture',
    keys: ['0', '1', '2', '3', '4', 't'],
    shown: '0 1 2 3 4 T',
    does: 'Put this finger, the open string or the thumb on the note',
  },
  {
    id: 'string',
    place: 'picture',
    keys: ['ArrowUp', 'ArrowDown'],
    shown: '↑ ↓',
    does: 'Put the note on the next string up or down',
  },
  {
    id: 'no-shift',
    place: 'picture',
    keys: ['x'],
    shown: 'X',
    does: 'Forbid the shift that arrives at the note',
  },
  {
    id: 'free',
    place: 'picture',
    keys: ['Delete', 'Backspace'],
    shown: 'Delete',
    does: 'Set the note free again',
  },
  {
    id: 'listen',
    place: 'picture',
    keys: ['Space'],
    shown: 'Space',
    does: 'Listen from here, or to what is marked; stop',
  },
  {
    id: 'go-ahead',
    place: 'practice',
    keys: ['Space', 'PageDown', 'Enter'],
    shown: 'Space, Page down',
    does: 'Play, stop, “it was in”: the one key for everything (a pedal sends it too)',
  },
  {
    id: 'not-clean',
    place: 'practice',
    keys: ['PageUp', 'm'],
    shown: 'Page up, M',
    does: 'It was missed',
  },
  { id: 'low', place: 'practice', keys: ['ArrowDown', 'l'], shown: '↓ L', does: 'It was low' },
  { id: 'high', place: 'practice', keys: ['ArrowUp', 'h'], shown: '↑ H', does: 'It was high' },
  { id: 'in', place: 'practice', keys: ['i'], shown: 'I', does: 'It was in' },
  {
    id: 'which',
    place: 'practice',
    keys: ['ArrowLeft', 'ArrowRight'],
    shown: '← →',
    does: 'The note that was off',
  },
  { id: 'back', place: 'practice', keys: ['Backspace'], shown: 'Backspace', does: 'Take the last one back' },
  {
    id: 'commands',
    place: 'anywhere',
    keys: ['.'],
    shown: '.',
    does: 'Find a command by its name',
    single: true,
  },
  { id: 'undo', place: 'anywhere', keys: ['$mod+z'], shown: 'Ctrl Z', does: 'Undo the last change' },
  { id: 'redo', place: 'anywhere', keys: ['$mod+Shift+z'], shown: 'Ctrl Shift Z', does: 'Redo it' },
] as const satisfies readonly KeyBinding[];

export type KeyId = (typeof KEYMAP)[number]['id'];

export function keyOf(id: KeyId): KeyBinding {
  return KEYMAP.find((one) => one.id === id) as KeyBinding;
}
