import { writeFile } from 'node:fs/promises';
import { fileText } from '../../src/store/tableFiles';
import * as backupsText from '../../src/wording/rooms/backups';
import { largeStudio } from '../support/largeStudio';
import { openStudio } from './bench';
import { expect, test } from './shared';

test(
  'a small studio is restored; one that is cancelled changes nothing',
  { tag: '@nightly' },
  async ({ page }, info) => {
    const file = info.outputPath('studio.json');
    const lists = largeStudio({ students: 12, plans: 120, repetitions: 20_000, cards: 60 });
    await writeFile(file, fileText('backup', lists, new Date(0)));
    await openStudio(page);
    // Cancelled as soon as it says how far it is.
    const dialog = page.getByRole('dialog', { name: backupsText.restoringABackup });
    await page.getByLabel('Backup file to restore').setInputFiles(file);
    await dialog.getByRole('button', { name: backupsText.cancel }).click();
    await expect(page.getByText(backupsText.restoringWasCancelled)).toBeVisible();
    await expect(dialog).toBeHidden();
    await expect(page.getByText('Nobody here yet')).toBeVisible();
    await page.getByLabel('Backup file to restore').setInputFiles(file);
    await expect(page.getByText(/120 plans, 12 students, .* restored\./)).toBeVisible();
    await expect(page.getByText(backupsText.lastBackup(null))).toBeVisible();
    await page.getByLabel(backupsText.remindMe).selectOption({ label: backupsText.remindAfter(7) });
    await openStudio(page);
    await expect(page.getByText(backupsText.backupIsDue(null))).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: backupsText.saveOne }).click();
    await download;
    await expect(page.getByText(backupsText.lastBackup(0))).toBeVisible();
  },
);

const YEARS = { students: 200, plans: 5000, repetitions: 200_000, cards: 3000 };

test(
  'a studio of many years is restored with progress, listed in windows and searched',
  { tag: '@nightly' },
  async ({ page }, info) => {
    const file = info.outputPath('studio.json');
    const text = fileText('backup', largeStudio(YEARS), new Date(0));
    info.annotations.push({ type: 'MB', description: String(Math.round(text.length / 1e6)) });
    await writeFile(file, text);
    await openStudio(page);
    const begun = Date.now();
    const dialog = page.getByRole('dialog', { name: backupsText.restoringABackup });
    await page.getByLabel('Backup file to restore').setInputFiles(file);
    await expect(dialog).toBeVisible();
    await expect(dialog.getByText(/of 2[\d,]+ entries written/)).toBeVisible({ timeout: 120_000 });
    await expect(page.getByText(/5,?000 plans, 200 students, .* restored\./)).toBeVisible({ timeout: 200_000 });
    const restored = Date.now();
    await openStudio(page);
    const opened = Date.now();
    // A window of the list, not five thousand rows.
    expect(await page.getByRole('listitem').count()).toBeLessThan(500);
    await page.getByRole('searchbox').fill('Study 4321');
    await expect(page.getByRole('link', { name: /Study 4321/ })).toBeVisible();
    await expect(page.getByTestId('storage-wait')).toHaveCount(0);
    const took = [restored - begun, opened - restored, Date.now() - opened].map(String);
    info.annotations.push({ type: 'ms to restore, open, search', description: took.join(', ') });
    console.log(info.annotations);
  },
);
