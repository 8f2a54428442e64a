import { create } from 'zustand';
import { expectedPart, joinedBlocks, judgedByEar, type EarVerdict, type Report } from '../../core/listening';
import { openMicrophone, type Microphone } from '../../audio/microphone';
import { listenerInWorker } from '../../work/listener';
import { MICROPHONE_WORDS, UNHEARD_WORDS, type Listener } from '../../wording/listening';
import type { Meaning } from '../meaning';
import { listenerOf } from '../takes';

/*
 * Practice that is judged by ear: the microphone stays open while a session runs, and each repetition is listened to by itself.
 */

interface ByEar {
  readonly on: boolean;
  readonly working: boolean;
  /** Why nothing was judged, and what to do. */
  readonly problem: string | null;
}

export const useByEar = create<ByEar>(() => ({ on: false, working: false, problem: null }));
const { getState, setState } = useByEar;

let microphone: Microphone | undefined;
/** True while the microphone is being opened: a second press opens no second one. */
let opening = false;
let blocks: Float32Array[] | undefined;

/** Opens the microphone; where it cannot be had it is said, and judging goes on by hand. */
export async function judgeByEar(): Promise<void> {
  if (opening || microphone) return;
  opening = true;
  const found = await openMicrophone({
    onBlock: (block) => blocks?.push(block),
    onLost: () => {
      stopJudgingByEar();
      setState({ problem: MICROPHONE_WORDS.lost });
    },
  });
  opening = false;
  if (typeof found === 'string') {
    setState({ on: false, problem: MICROPHONE_WORDS[found] });
    return;
  }
  microphone = found;
  setState({ on: true, problem: null });
}

export function stopJudgingByEar() {
  microphone?.stop();
  [microphone, blocks] = [undefined, undefined];
  setState({ on: false, working: false, problem: null });
}

/** A repetition begins. */
export function beginHearing() {
  if (getState().on) blocks = [];
}

export interface HeardRepetition extends EarVerdict {
  readonly report: Report;
  readonly listener: Listener;
}

/**
 * What was heard of the repetition that has just ended.
 * @param part its events, and the one that is judged
 * @returns null where nobody listens, or nothing could be judged
 */
export async function heardRepetition(
  meaning: Meaning,
  { from, to, target }: { readonly from: number; readonly to: number; readonly target?: number },
): Promise<HeardRepetition | null> {
  const [took, rate] = [blocks, microphone?.rate];
  blocks = undefined;
  if (!getState().on || !took || rate === undefined) return null;
  setState({ working: true, problem: null });
  try {
    const whole = listenerOf(meaning);
    const listener = { ...whole, expected: expectedPart(whole.expected, from, to) };
    const report = await listenerInWorker().report(listener.expected, meaning.plan, joinedBlocks(took), rate, {});
    const verdict = judgedByEar(report, target);
    setState({ working: false, problem: verdict ? null : UNHEARD_WORDS[report.unheard ?? 'silence'] });
    return verdict && { ...verdict, report, listener };
  } catch {
    setState({ working: false, problem: UNHEARD_WORDS['not-this-piece'] });
    return null;
  }
}
