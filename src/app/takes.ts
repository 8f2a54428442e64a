import { create } from 'zustand';
import { placesIn, type Fault } from '../core';
import { expectedOf, joinedBlocks, stringsOf, type LiveMoment, type Report, type Tuning } from '../core/listening';
import { listMicrophones, openMicrophone, type Microphone, type MicrophoneChoice } from '../audio/microphone';
import { decodedSound, playTake } from '../audio/playTake';
import type { Listener } from '../wording/listening';
import { MICROPHONE_WORDS, TAKE_FILE_WORDS, WAV_TROUBLE_WORDS } from '../wording/listening';
import * as listenText from '../wording/rooms/listenViews';
import { listenerInWorker } from '../work/listener';
import { readWav, writeWav } from '../work/wav';
import { offerFile } from './files';
import type { Meaning } from './meaning';
import { logTake } from './practice/heardLog';

/*
 * Takes of the plan: heard by the microphone, played by the made-up player, or opened from a file. They stay in memory, and go with the page.
 */

/** One take, with what was heard of it. */
export interface Take {
  readonly id: number;
  readonly name: string;
  readonly samples: Float32Array;
  readonly rate: number;
  readonly report: Report;
}

type Doing = 'nothing' | 'opening' | 'listening' | 'tuning' | 'working';

interface Takes {
  readonly takes: readonly Take[];
  readonly doing: Doing;
  readonly live: LiveMoment | null;
  /** The string that sounds while the strings are tuned. */
  readonly tuning: Tuning | null;
  /** Hertz of A where it is given; else it is heard. */
  readonly a4: number | null;
  /** What went wrong, and what to do. */
  readonly problem: string | null;
  /** The microphones of this machine, as far as they are known: once one was opened. */
  readonly microphones: readonly MicrophoneChoice[];
  /** The one that was chosen; the usual one where none was. */
  readonly microphone: string | null;
}

export const useTakes = create<Takes>(() => ({
  takes: [],
  doing: 'nothing',
  live: null,
  tuning: null,
  a4: null,
  problem: null,
  microphones: [],
  microphone: null,
}));
const set = useTakes.setState;

/** Seconds of silence after the last note that end a take, and the longest take. */
const SILENCE_ENDS = 1.3;
const LONGEST = 600;
const RATE = 44_100;

/** What is expected of the player of the plan that stands, and how it is spoken of. */
export function listenerOf({ request, response, plan, aim }: Meaning): Listener {
  const expected = expectedOf(request, response, plan, aim);
  return { instrument: request.instrument, expected, place: placesIn(response) };
}

/** What comes in of the take that is being heard. */
interface Coming {
  readonly blocks: Float32Array[];
  readonly rate: number;
  /** Ends what sends the blocks. */
  readonly end: () => void;
  /** Somebody really plays. */
  readonly byMicrophone?: boolean;
}

let coming: Coming | undefined;

/** Takes the next block in, and ends the take where the last note has died away. */
async function hear(block: Float32Array, ended: () => void) {
  if (!coming) return;
  const { blocks, rate } = coming;
  blocks.push(block);
  const live = await listenerInWorker().hear(block);
  if (!coming || !live) return;
  set({ live });
  const seconds = (blocks.length * block.length) / rate;
  if ((live.finished && live.silent > SILENCE_ENDS) || seconds > LONGEST) ended();
}

/** Opens the microphone that was chosen; what went wrong is said. @returns null where it could not be had */
async function opened(told: Parameters<typeof openMicrophone>[0]): Promise<Microphone | null> {
  const { microphone } = useTakes.getState();
  const found = await openMicrophone(told, microphone ?? undefined);
  if (typeof found === 'string') {
    set({ doing: 'nothing', problem: MICROPHONE_WORDS[found] });
    return null;
  }
  set({ microphones: await listMicrophones() });
  return found;
}

export const chooseMicrophone = (microphone: string | null) => set({ microphone });

/** Listens to the microphone until the last note has died away, or somebody stops it. */
export async function listenToMe(meaning: Meaning) {
  set({ doing: 'opening', problem: null, live: null });
  const { expected } = listenerOf(meaning);
  const finish = () => void endTake(meaning);
  const found = await opened({
    onBlock: (block) => void hear(block, finish),
    // What was heard up to here is kept.
    onLost: () => {
      set({ problem: MICROPHONE_WORDS.lost });
      finish();
    },
  });
  if (!found) return;
  await listenerInWorker().begin(expected, found.rate);
  coming = { blocks: [], rate: found.rate, end: found.stop, byMicrophone: true };
  set({ doing: 'listening' });
}

let tuner: Microphone | undefined;

/** Opens the tuner for the open strings. */
export async function tuneStrings(player: Parameters<typeof stringsOf>[0]) {
  set({ doing: 'opening', problem: null, tuning: null });
  const found = await opened({
    onBlock: (block) => {
      void listenerInWorker()
        .hearString(block)
        .then((tuning) => tuner && set({ tuning: tuning ?? null }));
    },
    onLost: () => {
      set({ problem: MICROPHONE_WORDS.lost });
      endTuning();
    },
  });
  if (!found) return;
  await listenerInWorker().beginTuning(stringsOf(player), useTakes.getState().a4 ?? 440, found.rate);
  tuner = found;
  set({ doing: 'tuning' });
}

export function endTuning() {
  tuner?.stop();
  tuner = undefined;
  set({ doing: 'nothing', tuning: null });
}

/** Seconds between the blocks of the made-up player. */
const BLOCK_SECONDS = 0.05;

/** The made-up player plays: aloud and in its time, or at once. */
export async function letPlayerPlay(meaning: Meaning, faults: readonly Fault[], name: string, aloud: boolean) {
  set({ doing: 'working', problem: null, live: null });
  const { expected } = listenerOf(meaning);
  const seed = 1 + useTakes.getState().takes.length;
  const samples = await listenerInWorker().simulate(expected, [...faults, ...LIVELY], RATE, seed);
  if (!aloud) {
    await addTake(meaning, { name, samples, rate: RATE });
    return;
  }
  await listenerInWorker().begin(expected, RATE);
  const finish = () => void endTake(meaning, name);
  const silence = playTake(samples, RATE, { onEnd: finish });
  const begun = performance.now();
  let sent = 0;
  const timer = setInterval(() => {
    const due = Math.min(samples.length, Math.floor(((performance.now() - begun) / 1000) * RATE));
    if (due > sent) void hear(samples.slice(sent, due), finish);
    sent = due;
  }, BLOCK_SECONDS * 1000);
  const end = () => {
    clearInterval(timer);
    silence();
  };
  coming = { blocks: [], rate: RATE, end };
  set({ doing: 'listening' });
}

/** What every player has. */
const LIVELY: readonly Fault[] = [{ fault: 'scatter', cents: 3 }, { fault: 'noise', db: 30 }, { fault: 'room' }];

/** Ends the take that is being heard, and looks at it. */
export async function endTake(meaning: Meaning, name = listenText.heardAt(timeOf(new Date()))) {
  const took = coming;
  if (!took) return;
  coming = undefined;
  took.end();
  const report = await addTake(meaning, { name, samples: joinedBlocks(took.blocks), rate: took.rate });
  if (took.byMicrophone && report && !report.unheard) await logTake(meaning, listenerOf(meaning), report);
}

/** Opens a take from a file: WAV, or what the browser can decode. */
export async function openTake(meaning: Meaning, file: File) {
  set({ doing: 'working', problem: null, live: null });
  const bytes = await file.arrayBuffer();
  const wav = readWav(new Uint8Array(bytes));
  let sound = typeof wav === 'string' ? null : wav;
  if (wav === 'not-a-wav') sound = await decodedSound(bytes).catch(() => null);
  if (sound) await addTake(meaning, { name: file.name, ...sound });
  else
    set({
      doing: 'nothing',
      problem: typeof wav === 'string' && wav !== 'not-a-wav' ? WAV_TROUBLE_WORDS[wav] : TAKE_FILE_WORDS,
    });
}

/** What is heard of samples, by the A that is given. */
function reportOn(meaning: Meaning, { samples, rate }: Pick<Take, 'samples' | 'rate'>): Promise<Report> {
  const { a4 } = useTakes.getState();
  const { expected } = listenerOf(meaning);
  return listenerInWorker().report(expected, meaning.plan, samples, rate, a4 === null ? {} : { a4 });
}

/** Gives A, and listens to all takes once more by it. @param a4 hertz; null where it is to be heard */
export async function giveA(meaning: Meaning, a4: number | null) {
  set({ a4, doing: 'working', problem: null });
  const takes: Take[] = [];
  for (const take of useTakes.getState().takes) takes.push({ ...take, report: await reportOn(meaning, take) });
  set({ takes, doing: 'nothing' });
}

/** @returns what was heard; null where it could not be worked out */
async function addTake(meaning: Meaning, { name, samples, rate }: Omit<Take, 'id' | 'report'>): Promise<Report | null> {
  set({ doing: 'working', live: null });
  try {
    const report = await reportOn(meaning, { samples, rate });
    const { takes } = useTakes.getState();
    const id = 1 + Math.max(0, ...takes.map((one) => one.id));
    set({ doing: 'nothing', takes: [{ id, name, samples, rate, report }, ...takes] });
    return report;
  } catch {
    set({ doing: 'nothing', problem: listenText.couldNotBeHeard });
    return null;
  }
}

/** Saves a take as a WAV file. */
export function saveTake({ samples, rate, name }: Take) {
  offerFile(writeWav({ samples, rate }), `${name.replace(/[^\w-]+/g, '-')}.wav`, 'audio/wav');
}

export function forgetTake(id: number) {
  set({ takes: useTakes.getState().takes.filter((one) => one.id !== id) });
}

const timeOf = (date: Date) => `${date.getHours()}:${String(date.getMinutes()).padStart(2, '0')}`;
