import type { KeyboardEvent } from 'react';
import { resolveSetup, type Plan, type PlanRequest, type PlanResponse } from '../../core';
import {
  fingersFor,
  lockAt,
  neverAt,
  nextString,
  withLock,
  withNever,
  withoutDemands,
} from '../../brief/demands';
import { redo, setRequest, undo } from './edits';

/**
 * Edits the note at the cursor by one key: 0 to 4 and T put a finger, up and down the next string, X forbids the shift that arrives here,
 * Delete sets the note free.
 * @returns whether the key was one of these
 */
export function editByKey(
  event: KeyboardEvent,
  request: PlanRequest,
  response: PlanResponse,
  plan: Plan,
  at: number,
): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return false;
  const note = response.events[at];
  const step = plan.steps.find((candidate) => candidate.at === at);
  if (!note || !('pitches' in note)) return false;
  const setup = resolveSetup(request);
  const finger = fingersFor(setup, note.pitches[0]).find((name) => String(name) === event.key.toUpperCase());
  if (finger !== undefined) {
    setRequest(withLock(request, at, { finger }));
    return true;
  }
  switch (event.key) {
    case 'ArrowUp':
    case 'ArrowDown': {
      const from = step?.stops[0].string ?? lockAt(request, at)?.string;
      const string = from && nextString(setup, note.pitches[0], from, event.key === 'ArrowUp');
      if (string) setRequest(withLock(request, at, { string, finger: undefined }));
      return true;
    }
    case 'x':
    case 'X': {
      const arrives = plan.shifts.some((shift) => shift.to === at);
      const known = neverAt(request, at).some((one) => 'shift' in one);
      if (arrives && !known) setRequest(withNever(request, { at, shift: true }));
      return true;
    }
    case 'Delete':
    case 'Backspace':
      setRequest(withoutDemands(request, at));
      return true;
    default:
      return false;
  }
}

/** Keys that work anywhere on the page but where something is typed: undo, redo, and doing anything by its name. */
export function onPageKey(event: globalThis.KeyboardEvent, openPalette: () => void) {
  const typing =
    event.target instanceof HTMLInputElement ||
    event.target instanceof HTMLTextAreaElement ||
    event.target instanceof HTMLSelectElement;
  if (typing) return;
  const held = event.ctrlKey || event.metaKey;
  if (held && event.key.toLowerCase() === 'z') {
    event.preventDefault();
    if (event.shiftKey) redo();
    else undo();
  } else if (!held && !event.altKey && event.key === '.') {
    event.preventDefault();
    openPalette();
  }
}
