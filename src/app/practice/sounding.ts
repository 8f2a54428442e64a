import { AIDS, hertzOf, midiOf, parsePitch, readTime, type LadderStep, type PracticeTask } from '../../core';
import type { Meaning } from '../meaning';
import { eventsOn, excerptOn } from './playedPassage';

/*
 * What sounds in a session: the target first, the count-in, what is played along, the drone.
 */

export const loadPlayer = () => import('../../audio/player');

const MOST_COUNTED = 6;

/** Beats that are counted in: a bar. */
export function countInOf({ response }: Pick<Meaning, 'response'>): number {
  return Math.min(MOST_COUNTED, readTime(response.time).beats);
}

/** How long a step lasts as it is played, in seconds, without its count-in. */
export function secondsOf(meaning: Meaning, step: LadderStep): number {
  return (60 / step.bpm) * eventsOn(meaning, step).reduce((sum, { beats }) => sum + beats, 0);
}

/** What is told while a step sounds. */
interface Heard {
  readonly onBeat: (beat: number) => void;
  readonly onMoment: (at: number) => void;
  readonly onEnd: () => void;
  /** False where it was stopped before it could begin. */
  readonly goesOn: () => boolean;
}

/** Plays a step: the target first where it is wanted, a bar counted in, then what the step has sound. @throws where the browser cannot play */
export async function soundStep(meaning: Meaning, task: PracticeTask, step: LadderStep, told: Heard) {
  const player = await loadPlayer();
  if (step.hear ?? task.hearFirst) await hearTarget(meaning, task);
  const aid = AIDS.find(({ name }) => name === step.aid);
  await player.setDrone(aid?.name === 'tonic' ? tonicBelow(meaning) : null);
  if (!told.goesOn()) return;
  await player.play(excerptOn(meaning, step), {
    bpm: step.bpm,
    loop: false,
    countIn: countInOf(meaning),
    strings: meaning.findings.setup.strings.length,
    clicks: task.clicks,
    volume: aid?.along ?? 0,
    onBeat: told.onBeat,
    onMoment: told.onMoment,
    onCount: () => undefined,
    onEnd: told.onEnd,
  });
}

/** Nothing sounds while a repetition is judged. */
export function hushStep() {
  void loadPlayer().then((player) => (player.stop(), player.setDrone(null)));
}

const TARGET_SECONDS = 1.6;

/** The target as it is heard first: alone, in its own pitch. */
async function hearTarget({ response }: Meaning, { target, to }: PracticeTask) {
  const event = response.events[target ?? to];
  if (!('midi' in event)) return;
  const player = await loadPlayer();
  await player.soundLine([hertzOf(event.midi[0])], TARGET_SECONDS);
  await new Promise((done) => setTimeout(done, TARGET_SECONDS * 1000));
}

function tonicBelow({ response }: Meaning): number | null {
  const pitch = parsePitch(`${response.key.name.split(' ')[0]}3`);
  return pitch ? midiOf(pitch) : null;
}
