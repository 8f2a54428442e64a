import { useEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import { fingersFor, lockAt, neverAt, nextString, withLock, withNever, withoutDemands } from '../../app/brief/demands';
import { moveCursor, setRequest } from '../../app/edits';
import { KEYMAP } from '../../app/keymap';
import { listen } from '../../app/listening';
import { practise } from '../../app/opening';
import { resolveSetup, type Plan, type PlanRequest, type PlanResponse } from '../../core';

interface Picture {
  readonly request: PlanRequest;
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly cursor: number;
  /** True while moving the cursor marks notes. */
  readonly marking: boolean;
  /** False where no fingering fits the brief. */
  readonly planned: boolean;
}

const PICTURE_KEYS: readonly string[] = KEYMAP.filter(({ place }) => place === 'picture').flatMap(({ keys }) => keys);

/** The keys of the picture, once it has the focus. @returns what is to be its ref */
export function usePictureKeys(picture: Picture) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return;
    const press = (event: KeyboardEvent) => {
      event.preventDefault();
      pressed(event, picture);
    };
    return tinykeys(box.current, Object.fromEntries(PICTURE_KEYS.map((key) => [key, press])));
  }, [picture]);
  return box;
}

function pressed(event: KeyboardEvent, picture: Picture) {
  const { cursor, response, marking, planned } = picture;
  const last = response.events.length - 1;
  const moves: Readonly<Record<string, number>> = { ArrowRight: cursor + 1, ArrowLeft: cursor - 1, Home: 0, End: last };
  const to = moves[event.key];
  if (to !== undefined) moveCursor(to, event.shiftKey || marking);
  else if (event.key === ' ') {
    if (planned) listen();
  } else if (['p', 'P', 'PageDown'].includes(event.key)) {
    if (planned && !event.repeat) void practise();
  } else edit(event.key, picture);
}

/** Edits the note at the cursor: a finger, the next string up or down, no shift to here, or free again. */
function edit(key: string, { request, response, plan, cursor: at }: Picture) {
  const note = response.events[at];
  if (!note || !('pitches' in note)) return;
  const setup = resolveSetup(request);
  const finger = fingersFor(setup, note.pitches[0]).find((name) => String(name) === key.toUpperCase());
  if (finger !== undefined) {
    setRequest(withLock(request, at, { finger }));
    return;
  }
  switch (key) {
    case 'ArrowUp':
    case 'ArrowDown': {
      const step = plan.steps.find((candidate) => candidate.at === at);
      const from = step?.stops[0].string ?? lockAt(request, at)?.string;
      const string = from && nextString(setup, note.pitches[0], from, key === 'ArrowUp');
      if (string) setRequest(withLock(request, at, { string, finger: undefined }));
      break;
    }
    case 'x':
    case 'X': {
      // The plan on screen may be the one before the last edit: what is forbidden does not depend on it.
      const known = neverAt(request, at).some((one) => 'shift' in one);
      if (at > 0 && !known) setRequest(withNever(request, { at, shift: true }));
      break;
    }
    case 'Delete':
    case 'Backspace':
      setRequest(withoutDemands(request, at));
      break;
  }
}
