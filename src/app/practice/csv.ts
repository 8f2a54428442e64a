import Papa from 'papaparse';
import type { SessionRecord } from '../../core';

/** The log as CSV (RFC 4180): a header, then a line an entry. */
export function logCsv(entries: readonly SessionRecord[]): string {
  const rows = entries.map(({ day, what, minutes, reached, heard, goal, ...words }) => ({
    day,
    what,
    minutes: Math.round(minutes * 10) / 10,
    tempo: reached ?? '',
    low: heard.low,
    in: heard.in,
    high: heard.high,
    missed: heard.missed,
    goal,
    player: words.playerWords,
    teacher: words.teacherWords,
    question: words.question,
    next: words.next,
  }));
  // What a spreadsheet would take for a formula is given as text.
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true });
}
