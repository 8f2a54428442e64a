import { chromium, type Browser, type Page } from '@playwright/test';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BROWSER } from '../../scripts/server.mjs';
import { briefAddress } from '../../src/app/brief/address';
import {
  aimFor,
  plan,
  type DaySum,
  type Fault,
  type PlanRequest,
  type Repetition,
  type SessionRecord,
} from '../../src/core';
import { bowedTake, chances, expectedOf, performed } from '../../src/core/listening';
import { writeWav } from '../../src/work/wav';
import { keptRows, openBench, ready } from './bench';
import { expect, test } from './shared';

/* Listening through the real path: a microphone that plays a file, the simulated player, a take from a file; and what is said where nothing can be heard. */

const REQUEST: PlanRequest = {
  instrument: 'violin',
  material: { type: 'scale', tonic: 'D4', scale: 'major', octaves: 1, direction: 'updown' },
  tempo: { bpm: 150 },
};
const ADDRESS = `/listen${briefAddress(REQUEST)}`;
const RATE = 44_100;

const folder = mkdtempSync(join(tmpdir(), 'dove-path-'));
test.afterAll(() => rmSync(folder, { recursive: true }));

/** A take of the plan with what is wrong with it, as a WAV file. */
function takeFile(name: string, faults: readonly Fault[]): string {
  const response = plan({ ...REQUEST, alternatives: 1 });
  const expected = expectedOf(REQUEST, response, response.plans[0], aimFor('middle'));
  const samples = bowedTake(performed(expected, faults, chances(4)), { rate: RATE, faults, chance: chances(5) });
  const file = join(folder, name);
  writeFileSync(file, writeWav({ samples, rate: RATE }));
  return file;
}

const FINGER: readonly Fault[] = [
  { fault: 'finger', finger: 2, mm: -2.4 },
  { fault: 'scatter', cents: 2 },
];

/** A browser whose microphone is what is given. */
async function withMicrophone(args: readonly string[], use: (page: Page) => Promise<void>, origin: string | undefined) {
  const browser: Browser = await chromium.launch({ ...BROWSER, args: [...BROWSER.args, ...args] });
  const context = await browser.newContext({
    ...(origin ? { baseURL: origin } : {}),
    viewport: { width: 1280, height: 800 },
  });
  try {
    await use(await context.newPage());
  } finally {
    await browser.close();
  }
}

const heard = (page: Page) => page.getByTestId('heard');
const listenToMe = (page: Page) => page.getByRole('button', { name: 'Listen to me' }).click();

test('a take by the microphone is followed, ends by itself, and its cause is named', async ({ baseURL }) => {
  const file = takeFile('finger.wav', FINGER);
  const args = [
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${file}%noloop`,
  ];
  await withMicrophone(
    args,
    async (page) => {
      await page.goto(ADDRESS);
      await ready(page);
      await listenToMe(page);
      await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
      await expect(page).toHaveURL(/[?&]at=[3-9]/);
      await expect(heard(page)).toContainText('Finger 2 stands');
      await expect(heard(page)).toContainText('towards the nut');
      await expect(page.getByTestId('ghost-hand').locator('[data-place]').first()).toBeVisible();
      // The log has it, marked as heard, with cents and mm by place; it can be taken out again.
      await expect(page.getByText('This take is in the log')).toBeVisible();
      const [entry] = await keptRows<SessionRecord>(page, 'sessions');
      expect(entry.byEar).toBe(true);
      const [row] = await keptRows<Repetition>(page, 'repetitions');
      expect(row.kind).toBe('heard');
      const tries = row.kind === 'heard' ? row.tries : [];
      expect(tries.length).toBeGreaterThan(8);
      expect(tries.filter(({ finger, mm }) => finger === 2 && mm < -1).length).toBeGreaterThan(1);
      await page.getByRole('button', { name: 'Take it out' }).click();
      await expect.poll(async () => (await keptRows(page, 'sessions')).length).toBe(0);
    },
    baseURL,
  );
});

test('practice is judged by the microphone: the repetition counts, and no typed trend sees it', async ({ baseURL }) => {
  const file = takeFile('true.wav', [{ fault: 'scatter', cents: 2 }]);
  const args = [
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${file}`,
  ];
  await withMicrophone(
    args,
    async (page) => {
      await openBench(page, `/${briefAddress(REQUEST)}`);
      await page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name: 'Practice' }).click();
      await ready(page);
      await page.getByRole('button', { name: 'the microphone judges' }).click();
      await expect(page.getByRole('button', { name: 'the microphone judges' })).toHaveAttribute('aria-pressed', 'true');
      await page.getByRole('button', { name: 'Begin' }).click();
      await expect(page.getByTestId('count')).toContainText('1 of 5 times');
      await expect.poll(async () => (await keptRows(page, 'repetitions')).length).toBe(2);
      const rows = await keptRows<Repetition>(page, 'repetitions');
      const judged = rows.find(({ kind }) => kind === 'judged');
      expect(judged).toMatchObject({ byEar: true, heard: 'in', place: null });
      expect(rows.find(({ kind }) => kind === 'heard')).toMatchObject({ judged: judged?.id });
      const [day] = await keptRows<DaySum>(page, 'days');
      expect(day.sums).toEqual({});
    },
    baseURL,
  );
});

test('the tuner shows the string that sounds', async ({ baseURL }) => {
  const hertz = 440 * 2 ** (9 / 1200);
  const samples = Float32Array.from({ length: 20 * RATE }, (_, n) => {
    const phase = (2 * Math.PI * hertz * n) / RATE;
    return 0.2 * Math.sin(phase) + 0.15 * Math.sin(2 * phase) + 0.1 * Math.sin(3 * phase);
  });
  const file = join(folder, 'string.wav');
  writeFileSync(file, writeWav({ samples, rate: RATE }));
  const args = [
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${file}`,
  ];
  await withMicrophone(
    args,
    async (page) => {
      await page.goto(ADDRESS);
      await ready(page);
      await page.getByRole('button', { name: 'Tune the strings' }).click();
      await expect(page.getByRole('listitem', { name: 'A string' })).toContainText(/\+(8|9|10) cents, high/);
      await page.getByRole('button', { name: 'Done' }).click();
      await expect(page.getByRole('button', { name: 'Tune the strings' })).toBeEnabled();
    },
    baseURL,
  );
});

test('a take from a file is heard, and what is no take is told plainly', async ({ page }) => {
  await page.goto(ADDRESS);
  await ready(page);
  const box = page.getByTestId('take-file');
  await box.setInputFiles({
    name: 'noise.wav',
    mimeType: 'audio/wav',
    buffer: Buffer.from('no sound at all, only words'),
  });
  await expect(page.getByRole('alert')).toContainText('no sound that can be read');
  const quiet = writeWav({ samples: new Float32Array(RATE), rate: RATE });
  await box.setInputFiles({ name: 'quiet.wav', mimeType: 'audio/wav', buffer: Buffer.from(quiet) });
  await expect(heard(page)).toContainText('Nothing was heard');
  await box.setInputFiles(takeFile('file.wav', FINGER));
  await expect(heard(page)).toContainText('Finger 2 stands');
  await page.getByLabel('A', { exact: true }).selectOption('443');
  await expect(heard(page)).toContainText('A at 443.0 Hz');
});

test('the simulated player plays with the fault that is chosen', async ({ page }) => {
  await page.goto(ADDRESS);
  await ready(page);
  await page.getByLabel('How it plays').selectOption({ label: 'Plays true' });
  await page.getByRole('button', { name: 'At once, without sound' }).click();
  await expect(heard(page)).toContainText('Nothing stands out');
  await page.getByLabel('How it plays').selectOption({ label: 'Hand 2 mm towards the bridge in 1st position' });
  await page.getByRole('button', { name: 'At once, without sound' }).click();
  await expect(heard(page)).toContainText('Your whole hand is');
  await page.getByRole('button', { name: 'All takes laid over each other' }).click();
  await expect(page.getByTestId('ghost-hand').locator('[data-place]').first()).toBeVisible();
});

test('where the microphone is refused, missing, or taken away, the page says what to do', async ({ baseURL }) => {
  await withMicrophone(
    ['--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'],
    async (page) => {
      await page.goto(ADDRESS);
      await ready(page);
      await page.evaluate(() => {
        const { mediaDevices } = navigator;
        const open = mediaDevices.getUserMedia.bind(mediaDevices);
        mediaDevices.getUserMedia = async (asked) => {
          const stream = await open(asked);
          Object.assign(globalThis, { track: stream.getAudioTracks()[0] });
          return stream;
        };
      });
      await listenToMe(page);
      await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
      await page.waitForTimeout(1000);
      // The device goes: its track ends, and what was heard is kept.
      await page.evaluate(() => {
        const { track } = globalThis as unknown as { track: MediaStreamTrack };
        track.dispatchEvent(new Event('ended'));
      });
      await expect(heard(page)).toBeVisible();
      await expect(page.getByRole('alert').first()).toContainText('taken away');
      await page.evaluate(() => {
        navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', 'NotAllowedError'));
      });
      await listenToMe(page);
      await expect(page.getByRole('alert').first()).toContainText('Allow the microphone');
      await page.evaluate(() => {
        navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', 'NotFoundError'));
      });
      await listenToMe(page);
      await expect(page.getByRole('alert').first()).toContainText('There is no microphone');
      await page.evaluate(() => Object.defineProperty(globalThis, 'isSecureContext', { value: false }));
      await listenToMe(page);
      await expect(page.getByRole('alert').first()).toContainText('over HTTPS');
    },
    baseURL,
  );
});
