import { create } from 'zustand';
import { excerptOf, type Excerpt } from '../audio/heardScore';
import { tempoOf } from './brief/choices';
import { resolveSetup, type PlanRequest } from '../core';
import { say } from './notices';
import { fetchedPart } from './serverGone';
import { withTempo } from './brief/words';
import { moveCursor, setRequest } from './edits';
import { session } from './bench';
import { planOf, responseOf } from './session/state';
import * as appText from '../wording/rooms/app';

/*
 * Hearing the plan on the stand: the marked notes, or all from the cursor on. Sound is fetched when it is asked for first.
 */

interface Listening {
  readonly playing: boolean;
  /** The beat of the count-in; null while none is counted. */
  readonly count: number | null;
  readonly loop: boolean;
  readonly countIn: boolean;
  /** Midi number of the drone that sounds; null for none. */
  readonly drone: number | null;
}

export const useListening = create<Listening>(() => ({
  playing: false,
  count: null,
  loop: false,
  countIn: true,
  drone: null,
}));

const { getState: get, setState: set } = useListening;

export const SLOWEST = 20;
export const FASTEST = 240;
/** Clicks before the first note. */
const COUNT_IN = 4;

/** Beats a minute that are played: as the brief has it, or a calm sixty. */
export function bpmOf(request: PlanRequest): number {
  return Math.max(SLOWEST, Math.min(FASTEST, Number(tempoOf(request)) || 60));
}

const loadPlayer = () => import('../audio/player');

async function withPlayer(work: (player: Awaited<ReturnType<typeof loadPlayer>>) => Promise<void> | void) {
  const player = await fetchedPart(loadPlayer);
  if (!player) {
    set({ playing: false, count: null, drone: null });
    return;
  }
  try {
    await work(player);
  } catch {
    set({ playing: false, count: null, drone: null });
    say({ kind: 'trouble', message: appText.noSoundTheBrowser });
  }
}

/** Plays what is marked, or from the cursor to the end; stops when it plays. */
export function listen() {
  if (get().playing) {
    stopListening();
    return;
  }
  const state = session.store.getState();
  const { record, cursor, selection } = state;
  const [response, plan] = [responseOf(state), planOf(state)];
  if (!response || !plan) return;
  const last = response.events.length - 1;
  const { from, to } = selection ?? { from: cursor === last ? 0 : cursor, to: last };
  const setup = resolveSetup(record.request);
  const bpm = bpmOf(record.request);
  play(excerptOf(response.events, plan, setup, from, to), setup.strings.length, bpm);
}

function play(excerpt: Excerpt, strings: number, bpm: number) {
  const { loop, countIn } = get();
  set({ playing: true, count: null });
  void withPlayer((player) =>
    player.play(excerpt, {
      bpm,
      loop,
      countIn: countIn ? COUNT_IN : 0,
      strings,
      onMoment: (at) => {
        set({ count: null });
        moveCursor(at);
      },
      onCount: (count) => set({ count }),
      onEnd: () => set({ playing: false, count: null }),
    }),
  );
}

function stopListening() {
  if (!get().playing) return;
  set({ playing: false, count: null });
  void withPlayer((player) => player.stop());
}

/** Sets the tempo of the plan: it is planned for what is heard. Undefined for any tempo. */
export function setTempo(bpm: number | undefined) {
  const { request } = session.store.getState().record;
  setRequest(withTempo(request, bpm === undefined ? undefined : Math.round(bpm)));
  if (get().playing) {
    const heard = bpmOf(session.store.getState().record.request);
    void withPlayer((player) => player.setTempo(heard));
  }
}

export function setLoop(loop: boolean) {
  set({ loop });
}

export function setCountIn(countIn: boolean) {
  set({ countIn });
}

export function setDrone(drone: number | null) {
  set({ drone });
  void withPlayer((player) => player.setDrone(drone));
}
