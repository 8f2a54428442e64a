import { expect, test } from './shared';
import { act, chosenWay, openBench, saved, setWord, staffFingers } from './bench';

test('a wish is added from one list, the plan does it, and it is taken out again; a way’s demand is put into the brief', async ({
  page,
}) => {
  await openBench(page);
  await expect(chosenWay(page)).toContainText('1st position throughout');
  const first = [...'123012301230123'];
  await expect.poll(() => staffFingers(page)).toEqual(first);
  await act(page, 'Add a wish', 'going to 3rd position');
  await expect(chosenWay(page)).toContainText('3rd');
  await saved(page);
  await page.getByRole('button', { name: 'Remove this choice: going to 3rd position' }).click();
  await expect(chosenWay(page)).toContainText('1st position throughout');
  await expect.poll(() => staffFingers(page)).toEqual(first);

  await setWord(page, 'Octaves', 'three-octave');
  await saved(page);
  await expect(chosenWay(page)).toContainText('shifts');
  await page.getByRole('button', { name: /without open strings/i }).click();
  await expect(chosenWay(page)).toContainText(/without open strings/i);
  const fingers = await staffFingers(page);
  await page.getByRole('button', { name: 'put “without open strings” into the brief' }).click();
  await expect(page.getByRole('combobox', { name: 'Open strings' }).locator('option:checked')).toHaveText(
    'no open strings',
  );
  await expect(chosenWay(page)).toContainText('the best plan', { ignoreCase: true });
  await expect.poll(() => staffFingers(page)).toEqual(fingers);
});

test('a shift is asked for at a note, and says why it is there', async ({ page }) => {
  await openBench(page);
  await expect(chosenWay(page)).toContainText('1st position throughout');
  await page.getByTestId('staff').click({ position: { x: 500, y: 60 } });
  await page.getByRole('button', { name: 'shift here' }).click();
  await expect(page.getByTestId('demands')).toContainText('a shift to here');
  await expect(page.getByTestId('why')).toContainText('The brief asks for it.');
  await page.keyboard.press('Control+z');
  await expect(chosenWay(page)).toContainText('1st position throughout');
});
