import { create } from 'zustand';
import {
  climbOf,
  pauseFor,
  ruleOf,
  stepsOf,
  taskIssues,
  type Climb,
  type HeardAs,
  type Judged,
  type LadderStep,
  type Pause,
  type PracticeTask,
  type Repetition,
  type SessionRecord,
} from '../../core';
import { judgedIn, getPlan } from '../../store/read';
import { deviceId } from '../../store/device';
import { addRepetition, heardIn } from '../../store/log';
import { withPlayed } from '../../store/minutes';
import { issueWords } from '../../wording/issues';
import { planTitle } from '../../wording/material';
import type { Meaning } from '../meaning';
import { faultIn, tellFailed } from '../failures';
import { say } from '../notices';
import { save } from '../writes';
import { keepAwake } from './awake';
import { dayOf } from './calendar';
import { newEntry } from './newEntry';
import { edit } from '../editing';
import { beginHearing, heardRepetition, stopJudgingByEar, type HeardRepetition } from './byEar';
import { heardRow } from './heardLog';
import { firstMoment, moment, takeMinutes } from './moments';
import { passageOf, placesOf } from './playedPassage';
import { partAsked, tick } from './today';
import { hushStep, secondsOf, soundStep } from './sounding';
import * as practiceAppText from '../../wording/rooms/practiceApp';

/*
 * A session that runs: repetitions are played, judged and written down one by one. Where it stands follows from what is written.
 */

/** What the player is about to do: play, playing, say how it was, say whether it was played at all, say where it was off. */
type Phase = 'ready' | 'sounding' | 'judging' | 'asked' | 'where' | 'done';

export interface Run {
  readonly meaning: Meaning;
  readonly session: SessionRecord & { readonly task: PracticeTask };
  readonly steps: readonly LadderStep[];
  readonly judged: readonly Judged[];
  readonly climb: Climb;
  readonly phase: Phase;
  /** How it was heard, until it is said that it was played, or where it was off. */
  readonly off: HeardAs | null;
  /** The event that sounds, or that is pointed at. */
  readonly cursor: number;
  /** The beat that sounds; negative while it is counted in. */
  readonly beat: number | null;
  readonly pause: Pause | null;
}

export const usePractice = create<{ readonly run: Run | null }>(() => ({ run: null }));
const { getState, setState } = usePractice;

function put(part: Partial<Run>) {
  const { run } = getState();
  if (run) setState({ run: { ...run, ...part } });
}

/** Proposals to pause that were heard and not taken. */
let waved: Pause | null = null;
/** When the repetition to be judged could begin, and whether the player has said that a short one was played. */
let since = 0;
let trusted = false;

/** @returns whether it could begin; what is wrong is said */
export async function begin(meaning: Meaning, task: PracticeTask, goal: string): Promise<boolean> {
  const [issue] = taskIssues(task);
  if (issue) {
    say({ kind: 'trouble', message: issueWords(issue) });
    return false;
  }
  const { record, student } = meaning;
  // A drill that was only looked at is kept once it is worked at.
  if (!(await getPlan(record.id)) && !(await save([{ kind: 'added', table: 'plans', record }]))) return false;
  const session = newEntry({
    studentId: student?.id ?? '',
    endedAt: null,
    what: planTitle(record),
    planId: record.id,
    task: { ...task, whole: task.from === 0 && task.to === meaning.response.events.length - 1 },
    places: placesOf(meaning, task),
    goal,
  });
  stand(meaning, session, []);
  return true;
}

/** Goes on with a session that was left; of a plan that has other notes by now it would judge other places, so that a new one begins. */
export async function goOn(meaning: Meaning, session: SessionRecord): Promise<boolean> {
  const { task } = session;
  if (!task) return false;
  const last = meaning.response.events.length - 1;
  if (task.to > last || JSON.stringify(placesOf(meaning, task)) !== JSON.stringify(session.places)) {
    say({ kind: 'trouble', message: practiceAppText.thePlanHasChanged });
    return false;
  }
  stand(meaning, { ...session, task, endedAt: null }, await judgedIn(session.id));
  return true;
}

function stand(meaning: Meaning, session: Run['session'], judged: readonly Judged[]) {
  const steps = stepsOf(session.task, passageOf(meaning));
  const climb = climbOf(
    judged.map(({ heard }) => heard),
    ruleOf(session.task, steps.length),
  );
  firstMoment(Date.now());
  [since, trusted, waved] = [Date.now(), false, null];
  const phase = climb.done ? 'done' : 'ready';
  const cursor = session.task.target ?? steps[climb.step].from;
  setState({ run: { meaning, session, steps, judged, climb, phase, off: null, cursor, beat: null, pause: null } });
  void keepAwake(true);
}

/** The one key that goes on: play, stop playing, "it was in". */
export function goAhead() {
  const { run } = getState();
  if (!run || keeping) return;
  if (run.phase === 'ready') void play();
  else if (run.phase === 'sounding') endPlaying();
  else if (run.phase === 'judging') judge('in');
  else if (run.phase === 'asked') sayPlayed(true);
  else if (run.phase === 'where') sayWhere(run.cursor);
}

async function play() {
  const { run } = getState();
  if (!run) return;
  const { meaning, session, steps, climb } = run;
  moment(Date.now());
  since = Date.now();
  put({ phase: 'sounding', beat: null, pause: null });
  beginHearing();
  try {
    await soundStep(meaning, session.task, steps[climb.step], {
      onBeat: (beat) => put({ beat }),
      onMoment: (at) => put({ cursor: at }),
      onEnd: endPlaying,
      goesOn: () => getState().run?.phase === 'sounding',
    });
  } catch {
    say({ kind: 'trouble', message: practiceAppText.runNoSoundTheBrowser });
    put({ phase: 'judging', beat: null });
  }
}

function endPlaying() {
  const { run } = getState();
  if (run?.phase !== 'sounding') return;
  moment(Date.now(), true);
  hushStep();
  put({ phase: 'judging', beat: null, cursor: run.session.task.target ?? run.cursor });
  void judgeWhatWasHeard(run);
}

/** Where the microphone judges, it says how the repetition was; where it cannot, the player does. */
async function judgeWhatWasHeard({ meaning, session, steps, climb }: Run) {
  const { from, to } = steps[climb.step];
  const { target } = session.task;
  const found = await heardRepetition(meaning, { from, to, ...(target === undefined ? {} : { target }) });
  const { run } = getState();
  // Somebody was quicker.
  if (!found || run?.session.id !== session.id || run.phase !== 'judging' || keeping) return;
  await write(found.heard, found.place, found);
}

/** A repetition takes at least so much of the time of its passage. */
const LEAST_SHARE = 0.5;

/** True where there was time to play what is judged. */
function canBePlayed({ meaning, steps, climb }: Run): boolean {
  return (Date.now() - since) / 1000 >= LEAST_SHARE * secondsOf(meaning, steps[climb.step]);
}

/** The player says whether a repetition that was too short for its passage was played; asked once. */
export function sayPlayed(played: boolean) {
  const { run } = getState();
  if (run?.phase !== 'asked' || !run.off) return;
  if (!played) {
    since = Date.now();
    put({ phase: 'ready', off: null });
    return;
  }
  trusted = true;
  const { off } = run;
  put({ phase: 'judging', off: null });
  judge(off);
}

/** How it was. Of one place that is all; of a whole passage, where it was off is asked next. */
export function judge(heard: HeardAs) {
  const { run } = getState();
  if (!run || keeping || run.phase === 'done' || run.phase === 'sounding' || run.phase === 'asked') return;
  if (!trusted && !canBePlayed(run)) {
    put({ phase: 'asked', off: heard });
    return;
  }
  moment(Date.now());
  const { task } = run.session;
  const step = run.steps[run.climb.step];
  if (heard !== 'in' && task.target === undefined) {
    put({ phase: 'where', off: heard, cursor: Math.max(step.from, Math.min(step.to, run.cursor)) });
    return;
  }
  void write(heard, heard === 'in' ? null : (task.target ?? null));
}

/** Moves the pointer to where it was off. */
export function pointAt(at: number) {
  const { run } = getState();
  if (!run) return;
  moment(Date.now());
  const { from, to } = run.steps[run.climb.step];
  // Past either end it goes on at the other: by one pedal every note is reached.
  put({ cursor: at < from ? to : at > to ? from : at });
}

/** Where it was off; null where nobody can tell. */
export function sayWhere(at: number | null) {
  const { run } = getState();
  if (run?.phase === 'where' && run.off) void write(run.off, at);
}

async function write(heard: HeardAs, place: number | null, byEar?: HeardRepetition) {
  const { run } = getState();
  if (!run) return;
  const { session, steps, climb } = run;
  const step = steps[climb.step];
  const now = Date.now();
  const last = run.judged.at(-1);
  const one: Judged = {
    kind: 'judged',
    id: crypto.randomUUID(),
    sessionId: session.id,
    number: (last?.number ?? -1) + 1,
    // A clock that is set back does not turn the order round.
    at: Math.max(now, last?.at ?? 0),
    step: climb.step,
    from: step.from,
    to: step.to,
    bpm: step.bpm,
    heard,
    place,
    ...(byEar ? { byEar: true as const } : {}),
  };
  await record(one, [...run.judged, one], now);
  if (byEar) await keep(heardRow(session.id, byEar.listener, byEar.report, one.id), { ...session, byEar: true }, 0);
}

/** Takes the last one back: it stays in the log as taken back. */
export async function takeBack() {
  const { run } = getState();
  const last = run?.judged.at(-1);
  if (!run || !last || run.phase === 'sounding') return;
  if (run.phase === 'where' || run.phase === 'judging' || run.phase === 'asked') {
    put({ phase: run.phase === 'judging' ? 'ready' : 'judging', off: null });
    return;
  }
  const now = Date.now();
  const back: Repetition = {
    kind: 'taken-back',
    id: crypto.randomUUID(),
    sessionId: run.session.id,
    at: now,
    judged: last.id,
  };
  await record(back, run.judged.slice(0, -1), now);
}

/** True while a repetition is being written down: nothing else is judged meanwhile. */
let keeping = false;
/** A storage that takes longer is not waited for before the next step is shown, in ms. */
const PATIENCE = 400;

/** Writes down what was judged, and shows it once it is kept: what was seen is not lost, whenever the page goes. */
async function record(repetition: Repetition, judged: readonly Judged[], now: number) {
  const { run } = getState();
  if (!run || keeping) return;
  keeping = true;
  const { session } = run;
  moment(now);
  const minutes = takeMinutes();
  const next = {
    ...session,
    ...withPlayed(session, minutes, deviceId()),
    ...heardIn(session, judged),
    changedAt: Math.max(now, session.changedAt + 1),
  };
  const late = new Promise<null>((done) => setTimeout(() => done(null), PATIENCE));
  const kept = keep(repetition, session, minutes);
  const all = await Promise.race([kept, late]);
  keeping = false;
  put({ session: next });
  standAt(all ?? judged);
  if (!all) void kept.then((found) => found && standLater(session.id, repetition, found));
}

/** Shows where the session stands by its repetitions. */
function standAt(judged: readonly Judged[]) {
  const { run } = getState();
  if (!run) return;
  const { session, steps } = run;
  const heards = judged.map(({ heard }) => heard);
  const climb = climbOf(heards, ruleOf(session.task, steps.length));
  const pause = pauseFor(heards, session.minutes, partAsked()?.minutes);
  const cursor = session.task.target ?? steps[climb.step].from;
  const phase = climb.done ? 'done' : 'ready';
  since = Date.now();
  put({ judged, climb, phase, off: null, cursor, pause: pause === waved ? null : pause });
  if (climb.done) void keepAwake(false);
}

/** The storage has answered after all: what another page wrote of the session counts too, unless something was judged here meanwhile. */
function standLater(sessionId: string, last: Repetition, judged: readonly Judged[]) {
  const { run } = getState();
  if (run?.session.id !== sessionId || run.phase !== 'ready' || keeping) return;
  const isLatest = last.kind === 'taken-back' || run.judged.at(-1)?.id === last.id;
  if (isLatest && judged.length > run.judged.length) standAt(judged);
}

/** @returns what stands of the session; null where it could not be written */
async function keep(
  repetition: Repetition,
  session: SessionRecord,
  minutes: number,
): Promise<readonly Judged[] | null> {
  // Repetitions are counted in their order: one that failed goes before.
  const fault = faultIn(session.id);
  if (fault === undefined) return writeDown(repetition, session, minutes);
  tellFailed(repetition.id, fault, again(repetition, session, minutes), session.id);
  return null;
}

const again =
  (...write: Parameters<typeof writeDown>) =>
  async () =>
    (await writeDown(...write)) !== null;

async function writeDown(repetition: Repetition, session: SessionRecord, minutes: number) {
  try {
    return await addRepetition(repetition, session, minutes);
  } catch (error) {
    tellFailed(repetition.id, error, again(repetition, session, minutes), session.id);
    return null;
  }
}

/** The proposal to pause was heard. */
export function waveOn() {
  waved = getState().run?.pause ?? waved;
  put({ pause: null });
}

/** Ends the session before its ladder does: what the player says of it comes next. */
export function endRun() {
  const { run } = getState();
  if (!run) return;
  if (run.phase === 'sounding') hushStep();
  if (run.judged.length === 0) leaveRun();
  else put({ phase: 'done', off: null, beat: null });
}

/** What can be written about a session when it ends. */
export type SessionWords = Pick<SessionRecord, 'playerWords' | 'question' | 'next' | 'teacherWords'>;

/** Ends the session, with what the player says of it. @returns whether that is kept */
export async function finish(words: Partial<SessionWords>): Promise<boolean> {
  const { run } = getState();
  if (!run) return false;
  const { session, judged } = run;
  leaveRun();
  const asked = partAsked();
  if (asked) tick(session.studentId, dayOf(Date.now()), asked.part);
  if (judged.length === 0) return true;
  return edit('sessions', session, { ...words, endedAt: Math.max(Date.now(), session.startedAt) });
}

/** Leaves in the middle: what was done is kept already, and can be gone on with. */
export function leaveRun() {
  if (getState().run) hushStep();
  stopJudgingByEar();
  setState({ run: null });
  void keepAwake(false);
}
