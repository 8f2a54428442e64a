import { keymapText } from '../wording/rooms/app';
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
    does: keymapText.theNoteBeforeThe,
  },
  {
    id: 'ends',
    place: 'picture',
    keys: ['Home', 'End', 'Shift+Home', 'Shift+End'],
    shown: keymapText.homeEnd,
    does: keymapText.theFirstNoteThe,
  },
  {
    id: 'finger',
    place: 'picture',
    keys: ['0', '1', '2', '3', '4', 't'],
    shown: '0 1 2 3 4 T',
    does: keymapText.putThisFingerThe,
  },
  { id: 'string', place: 'picture', keys: ['ArrowUp', 'ArrowDown'], shown: '↑ ↓', does: keymapText.putTheNoteOn },
  { id: 'no-shift', place: 'picture', keys: ['x'], shown: 'X', does: keymapText.forbidTheShiftThat },
  { id: 'free', place: 'picture', keys: ['Delete', 'Backspace'], shown: 'Delete', does: keymapText.setTheNoteFree },
  { id: 'listen', place: 'picture', keys: ['Space'], shown: 'Space', does: keymapText.listenFromHereOr },
  {
    id: 'go-ahead',
    place: 'practice',
    keys: ['Space', 'PageDown', 'Enter'],
    shown: keymapText.spacePageDown,
    does: keymapText.playStopItWas,
  },
  {
    id: 'not-clean',
    place: 'practice',
    keys: ['PageUp', 'm'],
    shown: keymapText.pageUpM,
    does: keymapText.itWasMissed,
  },
  { id: 'low', place: 'practice', keys: ['ArrowDown', 'l'], shown: '↓ L', does: keymapText.itWasLow },
  { id: 'high', place: 'practice', keys: ['ArrowUp', 'h'], shown: '↑ H', does: keymapText.itWasHigh },
  { id: 'in', place: 'practice', keys: ['i'], shown: 'I', does: keymapText.itWasIn },
  { id: 'which', place: 'practice', keys: ['ArrowLeft', 'ArrowRight'], shown: '← →', does: keymapText.theNoteThatWas },
  { id: 'back', place: 'practice', keys: ['Backspace'], shown: 'Backspace', does: keymapText.takeTheLastOne },
  { id: 'commands', place: 'anywhere', keys: ['.'], shown: '.', does: keymapText.findACommandBy, single: true },
  { id: 'undo', place: 'anywhere', keys: ['$mod+z'], shown: 'Ctrl Z', does: keymapText.undoTheLastChange },
  { id: 'redo', place: 'anywhere', keys: ['$mod+Shift+z'], shown: keymapText.ctrlShiftZ, does: keymapText.redoIt },
] as const satisfies readonly KeyBinding[];

export type KeyId = (typeof KEYMAP)[number]['id'];

export function keyOf(id: KeyId): KeyBinding {
  return KEYMAP.find((one) => one.id === id) as KeyBinding;
}
