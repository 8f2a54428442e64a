import * as appText from '../wording/rooms/app';
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
    does: appText.theNoteBeforeThe,
  },
  {
    id: 'ends',
    place: 'picture',
    keys: ['Home', 'End', 'Shift+Home', 'Shift+End'],
    shown: appText.homeEnd,
    does: appText.theFirstNoteThe,
  },
  {
    id: 'finger',
    place: 'picture',
    keys: ['0', '1', '2', '3', '4', 't'],
    shown: '0 1 2 3 4 T',
    does: appText.putThisFingerThe,
  },
  { id: 'string', place: 'picture', keys: ['ArrowUp', 'ArrowDown'], shown: '↑ ↓', does: appText.putTheNoteOn },
  { id: 'no-shift', place: 'picture', keys: ['x'], shown: 'X', does: appText.forbidTheShiftThat },
  { id: 'free', place: 'picture', keys: ['Delete', 'Backspace'], shown: 'Delete', does: appText.setTheNoteFree },
  { id: 'practise', place: 'picture', keys: ['p', 'PageDown'], shown: appText.pPageDown, does: appText.practiseIt },
  { id: 'listen', place: 'picture', keys: ['Space'], shown: 'Space', does: appText.listenFromHereOr },
  {
    id: 'go-ahead',
    place: 'practice',
    keys: ['Space', 'Enter'],
    shown: appText.spacePageDown,
    does: appText.playStopItWas,
  },
  { id: 'pedals', place: 'practice', keys: [], shown: appText.pageDownPageUp, does: appText.twoPedals },
  { id: 'not-clean', place: 'practice', keys: ['m'], shown: 'M', does: appText.itWasMissed },
  { id: 'low', place: 'practice', keys: ['ArrowDown', 'l'], shown: '↓ L', does: appText.itWasLow },
  { id: 'high', place: 'practice', keys: ['ArrowUp', 'h'], shown: '↑ H', does: appText.itWasHigh },
  { id: 'in', place: 'practice', keys: ['i'], shown: 'I', does: appText.itWasIn },
  { id: 'which', place: 'practice', keys: ['ArrowLeft', 'ArrowRight'], shown: '← →', does: appText.theNoteThatWas },
  { id: 'no-place', place: 'practice', keys: ['d', 's'], shown: 'D S', does: appText.dontKnowWhere },
  { id: 'back', place: 'practice', keys: ['Backspace'], shown: 'Backspace', does: appText.takeTheLastOne },
  { id: 'commands', place: 'anywhere', keys: ['.'], shown: '.', does: appText.findACommandBy, single: true },
  { id: 'undo', place: 'anywhere', keys: ['$mod+z'], shown: 'Ctrl Z', does: appText.undoTheLastChange },
  { id: 'redo', place: 'anywhere', keys: ['$mod+Shift+z'], shown: appText.ctrlShiftZ, does: appText.redoIt },
] as const satisfies readonly KeyBinding[];

export type KeyId = (typeof KEYMAP)[number]['id'];

export function keyOf(id: KeyId): KeyBinding {
  return KEYMAP.find((one) => one.id === id) as KeyBinding;
}
