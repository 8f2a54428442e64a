import { sheetPlan, ladderLabels, type Planned } from './sheetParts';
import { dayInWords } from '../../wording/sheets';
import { CAUTION, onWhat } from '../../wording/sheets';
import { sheetPages, USUAL_CHOICES, type SheetAsk, type SheetChoices } from './sheet';

/*
 * The sheet of one plan as it is made where nobody chooses anything.
 */

/** @param title what stands over it; what is played where left out */
export function usualSheet(
  planned: Omit<Planned, 'clefs'>,
  now: Date,
  choices: Partial<SheetChoices> = {},
  title?: string,
) {
  const own = sheetPlan(planned, { level: 'middle', names: 'letters' });
  const one = title ? { ...own, title } : own;
  const ask: SheetAsk = {
    title: one.title,
    who: onWhat(planned.request),
    date: dayInWords(now),
    goal: '',
    reminders: '',
    caution: CAUTION,
    names: 'letters',
    plans: [one],
    ladder: ladderLabels(planned.request),
    choices: { ...USUAL_CHOICES, ...choices },
  };
  return { title: one.title, pages: sheetPages(ask).pages };
}
