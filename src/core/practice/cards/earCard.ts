import { midiOf, pitchName, type Pitch } from '../../pitch/pitch';
import type { Level, Quiz } from '../../vocabulary';

/* By ear: which of two is the target; is it high or low. Answered by a choice. */

/** By how many cents a note is off that is to be heard as low or high: more for those who begin. */
const OFF_CENTS: Readonly<Record<Level, number>> = { 'first-year': 40, early: 30, middle: 20, advanced: 12 };

/** By ear: which of two is the target; is it high or low. Which it is this time is drawn when the card is asked. */
export function earCards(pitch: Pitch): Quiz[] {
  const ask = { pitch: pitchName(pitch), midi: midiOf(pitch), cents: OFF_CENTS.middle };
  return [
    { ask: { kind: 'ear-which', ...ask }, right: ['first'], options: ['first', 'second'] },
    { ask: { kind: 'ear-side', ...ask }, right: ['high'], options: ['low', 'high'] },
  ];
}

/**
 * A card as it is asked this time: one by ear sounds high or low, the target first or second, by chance, and by as much as the level hears.
 * @param chance numbers from 0 up to 1, each as likely
 */
export function drawnQuiz(quiz: Quiz, level: Level, chance: () => number): Quiz {
  const { ask } = quiz;
  if (ask.kind !== 'ear-which' && ask.kind !== 'ear-side') return quiz;
  const [high, first] = [chance() < 0.5, chance() < 0.5];
  const cents = OFF_CENTS[level] * (high ? 1 : -1);
  const right = ask.kind === 'ear-side' ? (high ? 'high' : 'low') : first ? 'first' : 'second';
  return { ...quiz, ask: { ...ask, cents }, right: [right] };
}
