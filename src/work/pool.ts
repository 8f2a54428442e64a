import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { internalAnswer, refusalAnswer } from '../wording/issues';
import { logged } from './logged';
import type { Task, Worked } from './plan.thread';
import * as servingText from '../wording/rooms/serving';

/*
 * The server's threads: all planning is done in them, so that the server itself always answers. So many work at once, so many may wait, each has its time.
 */

/** Where the code of a thread lies. */
export interface ThreadFile {
  readonly filename: string;
  readonly execArgv?: string[];
}

export interface Limits {
  readonly threads: number;
  /** Most that wait for a thread; who comes after is asked to come again. */
  readonly waiting: number;
  /** Longest that one request is worked on, in seconds, once it has a thread. */
  readonly seconds: number;
  /** Memory of one thread in MB. */
  readonly megabytes: number;
}

export const LIMITS: Limits = { threads: availableParallelism(), waiting: 200, seconds: 30, megabytes: 640 };

/** Too many wait already. */
export class Busy extends Error {}

/** Nobody waits for the answer any more. */
export class Gone extends Error {}

interface How {
  /** Aborted where the client goes. */
  readonly signal?: AbortSignal;
  /** True for what keeps its own measure, such as the pages of a book: it waits however many do. */
  readonly patient?: boolean;
}

export interface Pool {
  /**
   * Works one request out.
   * @throws Busy where too many wait, Gone where the signal says that nobody waits for the answer
   */
  work(task: Task, how?: How): Promise<Worked>;
  close(): Promise<void>;
}

export function createPool(file: ThreadFile, limits: Limits = LIMITS): Pool {
  const threads = new Piscina({
    ...file,
    minThreads: 1,
    maxThreads: limits.threads,
    idleTimeout: 30_000,
    // Little room for what is young: it is swept often, and memory stays level.
    resourceLimits: { maxOldGenerationSizeMb: limits.megabytes, maxYoungGenerationSizeMb: 16 },
  });
  const queue: (() => void)[] = [];
  let running = 0;

  /** Waits for a thread to be free. */
  async function turn({ signal, patient = false }: How): Promise<void> {
    if (running >= limits.threads) {
      if (!patient && queue.length >= limits.waiting) throw new Busy();
      await new Promise<void>((resolve) => queue.push(resolve));
    } else running++;
    if (signal?.aborted) {
      next();
      throw new Gone();
    }
  }

  /** The thread goes to who waits longest. */
  function next() {
    const first = queue.shift();
    if (first) first();
    else running--;
  }

  return {
    async work(task, how = {}) {
      await turn(how);
      const clock = AbortSignal.timeout(limits.seconds * 1000);
      try {
        const signal = how.signal ? AbortSignal.any([clock, how.signal]) : clock;
        return (await threads.run(task, { signal })) as Worked;
      } catch (error) {
        if (how.signal?.aborted) throw new Gone();
        if (clock.aborted) return failed(422, refusalAnswer(tooLong(limits.seconds)));
        return failed(500, internalAnswer(logged(error)));
      } finally {
        next();
      }
    },
    close: () => threads.destroy(),
  };
}

function tooLong(seconds: number): string {
  return servingText.thePlanTookLonger(seconds);
}

function failed(status: number, answer: object): Worked {
  return { status, text: JSON.stringify(answer) };
}
