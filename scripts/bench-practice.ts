import { chromium, type Page } from '@playwright/test';
import { format, subDays } from 'date-fns';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  findingsOf,
  plan,
  proposeWeek,
  trendsIn,
  type Judged,
  type PlanRecord,
  type SessionRecord,
  type StudentRecord,
} from '../src/core';
import { placesOf } from '../src/app/practice/playedPassage';
import { seeded } from '../src/app/practice/seeded';
import { daySum } from '../src/store/days';
import { newRecord } from '../src/store/records';
import { BROWSER, startServer } from './server.mjs';
import { ensureChromium } from './setup.mjs';
import * as measuringText from '../src/wording/rooms/measuring';

/*
 * A log of five years: how long Progress takes to be drawn, next week to be proposed, a repetition to be kept; and how steady the metronome is.
 */

const SESSIONS = 2000;
const EACH = 100;
const YEARS = 5;

interface Log {
  readonly student: StudentRecord;
  readonly plans: PlanRecord[];
  readonly sessions: SessionRecord[];
  readonly repetitions: Judged[];
  readonly days: ReturnType<typeof daySum>[];
}

function fiveYears(): Log {
  const chance = seeded(5);
  const request = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'A3', scale: 'major', octaves: 3, direction: 'updown' },
  } as const;
  const response = plan(request);
  const [best] = response.plans;
  const aim = { system: 'pythagorean', tuning: 'pure', tonic: { letter: 5, alteration: 0 }, level: 'middle' } as const;
  const findings = findingsOf(request, response, best, aim);
  const last = response.events.length - 1;
  const places = placesOf({ response, plan: best, findings }, { from: 0, to: last });
  const now = Date.now();
  const student: StudentRecord = {
    ...{ id: 'five-years', name: 'Fivey', plays: { instrument: 'violin' }, level: 'middle', clefs: ['treble'] },
    ...{ noteNames: 'letters', remark: '', createdAt: now, changedAt: now },
  };
  const sessions: SessionRecord[] = [];
  const repetitions: Judged[] = [];
  const byDay = new Map<string, SessionRecord[]>();
  const logs = new Map<string, Judged[]>();
  for (let n = 0; n < SESSIONS; n++) {
    const back = Math.floor((n / SESSIONS) * YEARS * 365);
    const day = format(subDays(now, back), 'yyyy-MM-dd');
    const id = `session-${n}`;
    const startedAt = now - back * 86_400_000;
    const judged = Array.from({ length: EACH }, (_, number): Judged => {
      const off = chance() < 0.2;
      const heard = off ? (chance() < 0.5 ? 'low' : 'high') : 'in';
      return {
        ...{ kind: 'judged', id: `${id}-${number}`, sessionId: id, number, at: startedAt + number, step: 0 },
        ...{ from: 0, to: places.length - 1, bpm: 60 + (n % 60), heard },
        place: off ? places[Math.floor(chance() * places.length)].at : null,
      };
    });
    const session: SessionRecord = {
      ...{
        id,
        studentId: student.id,
        day,
        startedAt,
        endedAt: startedAt,
        minutes: 15,
        what: measuringText.aMajor,
        places,
      },
      ...{ planId: `plan-${n % 8}`, heard: { low: 0, in: 0, high: 0, missed: 0 }, goal: '', playerWords: '' },
      ...{
        teacherWords: '',
        question: '',
        next: '',
        reached: 60 + (n % 60),
        createdAt: startedAt,
        changedAt: startedAt,
      },
    };
    sessions.push(session);
    repetitions.push(...judged);
    byDay.set(day, [...(byDay.get(day) ?? []), session]);
    logs.set(id, judged);
  }
  const days = [...byDay].map(([day, own]) => daySum(student.id, day, own, logs));
  const plans = Array.from({ length: 8 }, (_, n) =>
    newRecord(request, now - n, { id: `plan-${n}`, studentId: student.id }),
  );
  return { student, plans, sessions, repetitions, days };
}

/** Rows that go over to the browser at once. */
const CHUNK = 4000;

/** Puts rows into the browser's own database, as the app would have by and by. */
async function put(page: Page, table: string, rows: readonly object[]) {
  for (let at = 0; at < rows.length; at += CHUNK)
    await page.evaluate(
      ([name, text]) =>
        new Promise<void>((done, fail) => {
          const opening = indexedDB.open('dove-path');
          opening.onsuccess = () => {
            const work = opening.result.transaction(name, 'readwrite', { durability: 'relaxed' });
            for (const row of JSON.parse(text) as object[]) work.objectStore(name).put(row);
            work.oncomplete = () => (opening.result.close(), done());
            work.onerror = () => fail(work.error);
          };
        }),
      [table, JSON.stringify(rows.slice(at, at + CHUNK))] as const,
    );
}

const median = (list: number[]) => [...list].sort((a, b) => a - b)[list.length >> 1];

/** The work of a browser from a choice to what it shows, in ms. */
function untilShown(page: Page, shown: string): Promise<number> {
  return page.evaluate(async (text) => {
    const start = performance.now();
    const choice = document.querySelector<HTMLSelectElement>('select[aria-label="Student"]');
    if (!choice) throw new Error('no student to choose');
    const value = [...choice.options].find((option) => option.text === 'Fivey')?.value ?? '';
    Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')?.set?.call(choice, value);
    choice.dispatchEvent(new Event('change', { bubbles: true }));
    while (!document.body.textContent.includes(text) || !document.querySelector('[data-testid="tempo-chart"] path'))
      await new Promise(requestAnimationFrame);
    return performance.now() - start;
  }, shown);
}

export async function benchPractice() {
  const log = fiveYears();
  const halfAYear = log.days.slice(-182);
  const week = Array.from({ length: 9 }, () => {
    const start = performance.now();
    proposeWeek({ assigned: ['a', 'b', 'c'], trends: trendsIn(halfAYear), cardsDue: 20, minutes: 30 });
    return performance.now() - start;
  });
  ensureChromium();
  const { address, stop } = await startServer();
  // A profile on disk: a log of years in memory alone is slower than any user's.
  const folder = mkdtempSync(join(tmpdir(), 'dove-path-'));
  const browser = await chromium.launchPersistentContext(folder, {
    ...BROWSER,
    viewport: { width: 1280, height: 800 },
  });
  try {
    const page = await browser.newPage();
    // The compiler marks functions by a helper that the page does not have.
    await page.addInitScript({ content: 'globalThis.__name = (made) => made;' });
    await page.goto(`${address}/studio?demo`);
    await page.locator('main[data-ready="true"]').waitFor();
    await page.waitForTimeout(6000);
    await put(page, 'students', [log.student]);
    await put(page, 'plans', log.plans);
    await put(page, 'sessions', log.sessions);
    await put(page, 'repetitions', log.repetitions);
    await put(page, 'days', log.days);
    const drawn: number[] = [];
    for (let turn = 0; turn < 5; turn++) {
      await page.goto(`${address}/progress`);
      await page.locator('main[data-ready="true"]').waitFor();
      await page.getByLabel('Student').selectOption({ label: measuringText.wren });
      await page.getByTestId('tempo-chart').locator('path').first().waitFor();
      await page.waitForTimeout(800);
      drawn.push(await untilShown(page, measuringText.from100BeatsA));
    }
    const everybody = await allStudentsMs(page, address, log);
    const kept = await judgedMs(page, address);
    console.log(measuringText.practiceWithALog(YEARS, SESSIONS, SESSIONS * EACH));
    console.table([
      { what: measuringText.progressOfAnotherStudent, 'median ms': Math.round(median(drawn)), 'limit ms': 300 },
      { what: measuringText.trendsAndNextWeek, 'median ms': Math.round(median(week)), 'limit ms': 50 },
      { what: measuringText.pageOfStudents(STUDENTS), 'median ms': Math.round(median(everybody)), 'limit ms': 300 },
      { what: measuringText.aRepetitionJudgedKept, 'median ms': Math.round(median(kept)), 'limit ms': 50 },
    ]);
    await metronome(page);
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
    stop();
  }
}

const STUDENTS = 60;
/** Days of the log that each of the others has: half a year, three days a week. */
const DAYS_EACH = 78;

/** The page before lessons, with as many students as a school has: from the page's own script to the last row. */
async function allStudentsMs(page: Page, address: string, log: Log): Promise<number[]> {
  const others = Array.from({ length: STUDENTS - 1 }, (_, n) => ({
    ...log.student,
    id: `other-${n}`,
    name: `No ${n}`,
  }));
  const recent = log.days.toSorted((a, b) => b.day.localeCompare(a.day)).slice(0, DAYS_EACH);
  await put(page, 'students', others);
  await put(
    page,
    'days',
    others.flatMap(({ id }) => recent.map((day) => ({ ...day, id: `${id}/${day.day}`, studentId: id }))),
  );
  await page.addInitScript((count) => {
    addEventListener('DOMContentLoaded', () => {
      const begun = performance.now();
      const look = () => {
        if (document.querySelectorAll('[data-testid="all-students"] tbody tr').length < count)
          requestAnimationFrame(look);
        else (globalThis as { shownAfter?: number }).shownAfter = performance.now() - begun;
      };
      look();
    });
  }, STUDENTS);
  const times: number[] = [];
  for (let turn = 0; turn < 5; turn++) {
    await page.goto(`${address}/students`);
    times.push(
      await page
        .waitForFunction(() => (globalThis as { shownAfter?: number }).shownAfter)
        .then((handle) => handle.jsonValue() as Promise<number>),
    );
  }
  return times;
}

/** From the key that judges to the count that shows it: it is shown once it is kept. */
async function judgedMs(page: Page, address: string): Promise<number[]> {
  await page.goto(`${address}/practice?plan=plan-0`);
  await page.getByLabel(measuringText.howManyTimes).fill('40');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByTestId('count').waitFor();
  const times: number[] = [];
  await page.getByRole('button', { name: 'stop', exact: true }).click();
  // The first may be too short to have been played: then it is asked about, once.
  await page.getByRole('button', { name: 'in', exact: true }).click();
  const yes = page.getByRole('button', { name: measuringText.yesItWas });
  await yes
    .or(page.getByTestId('count').getByText(measuringText.of40(1)))
    .first()
    .waitFor();
  if (await yes.isVisible()) await yes.click();
  await page.getByTestId('count').getByText(measuringText.of40(1)).waitFor();
  for (let turn = 2; turn <= 13; turn++)
    times.push(
      await page.evaluate(async (count) => {
        const start = performance.now();
        window.dispatchEvent(new KeyboardEvent('keydown', { key: 'i', bubbles: true }));
        while (!document.querySelector('[data-testid="count"]')?.textContent.includes(count)) {
          if (performance.now() - start > 10_000) throw new Error(document.body.textContent);
          await new Promise((done) => setTimeout(done));
        }
        return performance.now() - start;
      }, measuringText.of40(turn)),
    );
  return times;
}

const WATCHED_SECONDS = 20;

/** How far each click lies from where it should, on the audio clock, and how far ahead of its time it was laid out. */
async function metronome(page: Page) {
  await page.keyboard.press('Space');
  await page.waitForTimeout(WATCHED_SECONDS * 1000);
  const clicks = await page.evaluate(() =>
    performance
      .getEntriesByName('click')
      .map((mark) => (mark as PerformanceMark).detail as { time: number; ahead: number }),
  );
  const [first] = clicks;
  const beat = (clicks[clicks.length - 1].time - first.time) / (clicks.length - 1);
  const off = clicks.map(({ time }, at) => Math.abs(time - first.time - at) * 1000);
  const drift = (beat - 1) * 600_000;
  console.log(
    measuringText.metronomeAt60A(
      clicks.length,
      Math.max(...off).toFixed(4),
      drift.toFixed(4),
      Math.round(Math.min(...clicks.map(({ ahead }) => ahead)) * 1000),
    ),
  );
}
