import { expect, test } from './shared';
import { openBench, picture, saved, setWord, staffFingers, serious } from './bench';

test('a scale becomes notes to change, mistakes are pointed at, and nothing typed is lost', async ({ page }) => {
  await openBench(page);
  await setWord(page, 'Kind', 'scale as notes to change');
  const notes = page.getByLabel('Notes', { exact: true });
  await expect(notes).toHaveValue(/^A3 B3 C#4 D4 E4 F#4 G#4 A4\nB4/);
  await notes.fill('D4 E F# G | A:2 B:1/2 C# D:1 | A3+F#4');
  await expect.poll(() => staffFingers(page)).toHaveLength(10);
  await notes.fill('D4 E F# G | A:2 H');
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('"H" is not a note');
  await expect(alert.locator('mark')).toHaveText('H');
  await expect.poll(() => staffFingers(page)).toHaveLength(10);
  await alert.getByRole('button', { name: 'Show' }).click();
  await expect(notes).toBeFocused();
  expect(await notes.evaluate((box: HTMLTextAreaElement) => [box.selectionStart, box.selectionEnd])).toEqual([16, 17]);
  await saved(page);
  await page.reload();
  await expect(notes).toHaveValue('D4 E F# G | A:2 H');
  await expect(alert).toContainText('"H" is not a note');
});

test('typed notes follow the instrument: a bass reads them as written, and a scale can be had back', async ({
  page,
}) => {
  await openBench(page);
  await setWord(page, 'Instrument', 'double bass');
  await setWord(page, 'Key', 'G');
  await setWord(page, 'Octaves', 'one-octave');
  await setWord(page, 'Kind', 'scale as notes to change');
  const notes = page.getByLabel('Notes', { exact: true });
  await expect(notes).toHaveValue(/^G2 A2 B2/);
  await notes.fill('E2 F G');
  await expect(picture(page)).toBeVisible();
  await expect(page.getByTestId('cursor-words')).toContainText('open E');
  await setWord(page, 'Kind', 'a scale');
  await expect(page.getByRole('combobox', { name: 'Key', exact: true })).toHaveValue('G');
  await setWord(page, 'Tuning', 'an extension down to C');
  await setWord(page, 'Key', 'C');
  await page.getByRole('combobox', { name: 'Start', exact: true }).selectOption('C1');
  await expect(page.getByTestId('cursor-words')).toContainText('C 1');
});

test('the page about typing notes explains every sign and is accessible', async ({ page }) => {
  await openBench(page);
  await setWord(page, 'Kind', 'scale as notes to change');
  await page.getByRole('link', { name: 'How to type notes' }).click();
  await expect(page.getByRole('heading', { name: 'Typing notes' })).toBeVisible();
  expect(await serious(page)).toEqual([]);
});
