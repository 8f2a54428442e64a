import type { KeptAnswer, PlanRequest } from '../../src/core';
import { plan, planKept, type PlanRecord } from '../../src/core';
import { NO_HISTORY, type History } from '../../src/app/undo';
import type { Notice } from '../../src/app/notices';
import type { Doors } from '../../src/app/session/doors';
import { createSession } from '../../src/app/session/session';
import type { Edited } from '../../src/app/session/state';
import { fits, withFields, type Change, type Fields } from '../../src/store/changes';
import type { Draft } from '../../src/store/drafts';
import type { Outcome } from '../../src/store/write';
import { newRecord } from '../../src/store/records';
import type { Answer, Ask } from '../../src/work/ask';

/*
 * A world for the plan session that a test holds in its hands: a planner that answers when it is told, a store in memory, a clock that is turned by hand.
 */

/** A question that waits for its answer. */
interface Question {
  readonly ask: Ask;
  /** Answers it as the planner would, or as the test says. */
  readonly answer: (other?: Answer) => void;
  readonly fail: (error: Error) => void;
}

export const SCALE: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 1, direction: 'up' },
};

/** The same in another key. */
export function scaleOn(tonic: string): PlanRequest {
  return { ...SCALE, material: { ...SCALE.material, tonic } as PlanRequest['material'] };
}

/** Answers that were worked out: the same is asked many times over, and a plan depends on nothing else. */
const known = new Map<string, Answer>();

export function answerTo(ask: Ask): Answer {
  const text = JSON.stringify(ask);
  const answer = known.get(text) ?? workOut(ask);
  known.set(text, answer);
  return answer;
}

function workOut({ request, kept, alone }: Ask): Answer {
  const asked = { ...request, alternatives: alone ? 1 : 3 };
  const free = (): KeptAnswer => ({ response: plan(asked), found: 0, own: false });
  return { kind: 'planned', ...(kept ? planKept(asked, kept) : free()) };
}

export function world() {
  const questions: Question[] = [];
  const said: Notice[] = [];
  const withdrawn: Notice[] = [];
  const drafts: Draft[] = [];
  const histories = new Map<string, History<Fields<Edited>>>();
  const shown: string[] = [];
  const used = new Set<string>();
  const plans = new Map<string, PlanRecord>();
  const watchers = new Map<string, (plan: PlanRecord | undefined) => void>();
  let timers: { at: number; act: () => void }[] = [];
  let now = 1000;
  let refusal: Error | null = null;

  const tell = (id: string) => watchers.get(id)?.(plans.get(id));

  function written(change: Change): PlanRecord | null {
    if (change.table !== 'plans') throw new Error('the session keeps plans alone');
    const id = change.kind === 'updated' ? change.id : change.record.id;
    const current = plans.get(id);
    if (change.kind === 'removed') {
      plans.delete(id);
      return change.record;
    }
    if (change.kind === 'added') {
      if (current) return null;
      plans.set(id, change.record);
      return change.record;
    }
    if (!current || !fits(current, change)) return null;
    const next = { ...withFields(current, change), changedAt: Math.max(++now, current.changedAt + 1) };
    plans.set(id, next);
    return next;
  }

  const trouble = (error: unknown) => `trouble: ${(error as Error).message}`;
  const say: Doors['say'] = (notice) => {
    said.push(notice);
    return () => withdrawn.push(notice);
  };
  const failed = new Map<string, () => void>();
  const doors: Doors = {
    planner: {
      plan: (ask) =>
        new Promise((resolve, fail) =>
          questions.push({ ask, answer: (other) => resolve(other ?? answerTo(ask)), fail }),
        ),
    },
    store: {
      async commit([change]): Promise<Outcome> {
        await Promise.resolve();
        if (refusal) throw refusal;
        const record = written(change);
        const id = change.kind === 'updated' ? change.id : change.record.id;
        if (!record) return { kind: 'conflict', change, current: plans.get(id) };
        tell(id);
        return { kind: 'written', records: [record], bin: null };
      },
      getPlan: async (id) => plans.get(id),
      watchPlan(id, seen) {
        watchers.set(id, seen);
        seen(plans.get(id));
        return () => watchers.delete(id);
      },
      isInUse: async (plan) => used.has(plan.id),
      trouble,
    },
    clock: {
      now: () => now,
      after(ms, act) {
        const timer = { at: now + ms, act };
        timers.push(timer);
        return () => {
          timers = timers.filter((other) => other !== timer);
        };
      },
    },
    page: {
      show: ({ id }) => shown.push(id),
      keepHistory: (id, history) => histories.set(id, history),
      historyOf: (id) => histories.get(id) ?? NO_HISTORY,
      keepDraft: (draft) => drafts.push(draft) > 0,
      dropDraft: (id) => void drafts.splice(0, drafts.length, ...drafts.filter(({ record }) => record.id !== id)),
    },
    say,
    failed(key, error, again) {
      failed.set(key, say({ kind: 'trouble', message: trouble(error), offer: { words: 'Try again', act: again } }));
    },
    written: (key) => failed.get(key)?.(),
  };
  const session = createSession(doors);

  /** Lets the clock go on. */
  async function turn(ms: number) {
    now += ms;
    const due = timers.filter(({ at }) => at <= now);
    timers = timers.filter(({ at }) => at > now);
    for (const { act } of due) act();
    await settle();
  }

  /** Puts a plan on the stand and answers for it. */
  async function opened(record: PlanRecord = newRecord(SCALE, now)): Promise<PlanRecord> {
    plans.set(record.id, record);
    const standing = session.stand(record);
    await settle();
    questions.at(-1)?.answer();
    await standing;
    await turn(1000);
    return plans.get(record.id) as PlanRecord;
  }

  return {
    session,
    questions,
    said,
    withdrawn,
    drafts,
    shown,
    /** Plans that were given, practised or assigned. */
    used,
    plans,
    state: () => session.store.getState(),
    opened,
    turn,
    /** What the store refuses from now on; null to let it write again. */
    refuse(error: Error | null) {
      refusal = error;
    },
    /** Another page writes. */
    async elsewhere(id: string, part: Partial<PlanRecord>) {
      const current = plans.get(id);
      if (current) plans.set(id, { ...current, ...part, changedAt: ++now });
      tell(id);
      await settle();
    },
    async deletedElsewhere(id: string) {
      plans.delete(id);
      tell(id);
      await settle();
    },
  };
}

/** Lets everything that is ready happen. */
export async function settle() {
  for (let at = 0; at < 20; at++) await Promise.resolve();
}
