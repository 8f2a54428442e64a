import type { Issue, IssueData, TableIssue, TextIssue, TextIssueCode, ErrorAnswer, ErrorIssue } from '../core';
import { MOST_BEATS, MOST_VOICES } from '../core';
import { counted, echoed, number } from './grammar';
import { instrumentWords } from './instruments';
import type { InstrumentName } from '../core';

/*
 * What cannot be understood, and what to do about it.
 */

type Data = NonNullable<Issue['data']>;
type Sentence = (data: Data) => string;

/** Values of a long list that are named. */
const MOST_NAMED = 12;

const text = (value: IssueData[string] | undefined) => echoed(String(value ?? ''));
const list = (value: IssueData[string] | undefined) => (Array.isArray(value) ? value.map(String) : []);

function choices(value: IssueData[string] | undefined): string {
  const all = list(value);
  const named = all.slice(0, MOST_NAMED).join(', ');
  return all.length > MOST_NAMED ? `${named} and others` : named;
}

function article(type: string): string {
  return /^[aeiou]/.test(type) ? `an ${type}` : `a ${type}`;
}

const ISSUE_SENTENCES: ReadonlyMap<string, Sentence> = new Map<string, Sentence>([
  ['no-json', () => 'This is not JSON. Send one JSON object, in double quotes.'],
  ['no-such-event', ({ last }) => `There is no such note here; count from 0 to ${text(last)}, without rests.`],
  ['missing', () => 'This is missing; put it in.'],
  ['unknown-field', () => 'Nothing is known by this name; check the spelling or leave it out.'],
  ['rest-with-pitches', () => 'A rest has no pitches; leave one of the two out.'],
  ['not-one-of', ({ allowed }) => `Choose one of ${choices(allowed)}.`],
  ['must-be', ({ value }) => `This must be ${JSON.stringify(value)}.`],
  ['wrong-type', ({ type }) => `This must be ${article(text(type))}.`],
  [
    'no-material',
    () => 'Choose one of scale, arpeggio, broken-thirds, broken-fourths, broken-sixths, double-stops, notes.',
  ],
  ['not-by-halves', () => 'Positions go by halves: 0.5, 1, 1.5, 2, …'],
  ['too-few', ({ limit }) => `Put at least ${text(limit)} in.`],
  ['too-many', ({ limit }) => `At most ${text(limit)} fit here.`],
  ['no-time', () => 'This is no time signature; write it like "3/4" or "6/8".'],
  ['no-text-like-it', () => 'This cannot be read; check how it is written.'],
  ['out-of-bounds', ({ comparison, limit }) => boundsSentence(text(comparison), text(limit))],
  ['passage-turned', () => 'The passage ends before it begins; put its last bar after its first.'],
  ['target-outside', () => 'The note to be judged lies outside the passage; choose one inside it.'],
  [
    'goal-not-above',
    ({ from, to }) =>
      `This ladder goes nowhere: its goal (${text(to)}) is not above its start (${text(from)}). Raise the goal or lower the start.`,
  ],
  ['no-step', () => 'A step of 0 goes nowhere; take 2 to 10 beats a step.'],
  ['too-many-steps', ({ most }) => `That is more than ${text(most)} steps; take larger ones.`],
  ['too-fast', ({ most }) => `No metronome goes beyond ${text(most)} a minute; lower the goal.`],
  ['no-pitch', ({ name }) => `"${text(name)}" is not a pitch; write it like "A3", "C#4" or "Eb5".`],
  ['no-string-pitch', ({ name }) => `"${text(name)}" is not a pitch for a string; use C0 to E7.`],
  [
    'strings-not-rising',
    ({ name, below }) => `Strings go from low to high: "${text(name)}" is not above "${text(below)}".`,
  ],
  [
    'no-size',
    ({ instrument, sizes }) =>
      `A ${instrumentWords(instrument as InstrumentName)} comes in the sizes ${choices(sizes)}; choose one of them or give stringLengthMm.`,
  ],
  [
    'no-extension',
    ({ string, most }) =>
      `An extension carries the lowest string (${text(string)}) one to ${text(most)} semitones down; write its lowest note, such as "C1" under an E string.`,
  ],
  [
    'spreads-swapped',
    ({ relaxed, full }) =>
      `The comfortable spread (${text(relaxed)} mm) cannot be wider than the full one (${text(full)} mm); measure again or swap them.`,
  ],
  ['changes-turned', ({ at }) => `Changes go in the order of their events; ${text(at)} is not after the one before.`],
  ['too-long', ({ most }) => `A note lasts at most ${text(most)} beats; tie two where it is longer.`],
  ['no-key', ({ name }) => `"${text(name)}" is not a key; write it like "A major" or "E minor".`],
  [
    'too-many-notes',
    ({ count, most }) => `${text(count)} notes are too many for one plan; send at most ${text(most)} at a time.`,
  ],
  ['no-note', () => 'There is no note to play; put at least one in.'],
  [
    'no-string',
    ({ name, strings }) => `There is no string "${text(name)}" here; the strings are ${list(strings).join(', ')}.`,
  ],
  ['positions-swapped', ({ from, to }) => `Positions run upwards: ${text(from)} is above ${text(to)}; swap them.`],
  ['little-finger-at-odds', () => 'The little finger is both preferred and not to be used; take out one of the two.'],
  ['not-neighbours', ({ a, b }) => `Fingers ${text(a)} and ${text(b)} are not neighbours; name two such as 1 and 2.`],
  ['no-frames', () => 'Only the cello’s hand is closed, opened forward or opened back; leave the frame out.'],
  ['phrase-in-rest', () => 'A phrase begins on a note; put the mark on the first note after the rest.'],
  [
    'stretch-turned',
    ({ from, to }) => `A stretch runs from left to right: ${text(from)} is after ${text(to)}; swap them.`,
  ],
  [
    'same-overlaps',
    ({ from, to, as }) =>
      `Events ${text(from)} to ${text(to)} overlap the stretch that begins at ${text(as)}; name one that ends before or begins after.`,
  ],
  [
    'same-differs',
    ({ at, as }) =>
      `Events ${text(at)} and ${text(as)} are not the same, so these stretches cannot have the same fingers; end the stretch before them.`,
  ],
  ['same-loops', () => 'These stretches are each to be fingered as the other; take one of them away.'],
  ['on-a-rest', ({ at }) => `Event ${text(at)} is a rest; this needs a note.`],
  ['no-event', ({ at, last }) => `There is no event ${text(at)}; the material has events 0 to ${text(last)}.`],
]);

/** The sentence for an issue, with what to do. */
export function issueWords({ code, data = {} }: Issue): string {
  return ISSUE_SENTENCES.get(code)?.(data) ?? 'This cannot be read.';
}

/** Most issues named in one answer; a wholly foreign file has thousands. */
const MOST_ISSUES = 20;
/** Letters of a path that are given back. */
const MOST_PATH = 200;

/** Issues as they are answered. */
export function wordedIssues(issues: readonly Issue[]): ErrorIssue[] {
  return issues
    .slice(0, MOST_ISSUES)
    .map((issue) => ({ path: issue.path.slice(0, MOST_PATH), message: issueWords(issue) }));
}

/** The contract's answer to a request that cannot be understood. */
export function errorAnswer(issues: readonly Issue[]): ErrorAnswer {
  return { error: { code: 'bad-request', issues: wordedIssues(issues) } };
}

/** A mistake of our own inside one request. @param id what it is found by in the log */
export function internalAnswer(id: string): ErrorAnswer {
  const message = `The planner failed on this request; that is its own fault, and other requests are not affected. It is number ${id} in the log. Change the request a little, or report it with the request.`;
  return { error: { code: 'internal', id, issues: [{ path: '', message }] } };
}

/** The same for the whole of a request, with one sentence. */
export function refusalAnswer(message: string): ErrorAnswer {
  return { error: { code: 'bad-request', issues: [{ path: '', message }] } };
}

const TEXT_SENTENCES: Readonly<Record<TextIssueCode, (issue: TextIssue) => string>> = {
  'length-without-note': () => 'A length needs its note before it: write A4:2, with no space between.',
  'no-length': () => `After ":" comes a length in beats, such as :2, :1/2 or :1.5, at most ${number(MOST_BEATS)}.`,
  'not-above': ({ found, other }) => `"${echoed(found ?? '')}" is not above "${other}": write low to high.`,
  'too-many-together': ({ found }) => `There are ${found} notes in one; a bow takes at most ${number(MOST_VOICES)}.`,
  'note-missing': () =>
    'Here a note is missing: notes are the letters A to G, a rest is -, a bar line | with spaces round it.',
  'no-note': ({ found }) =>
    `"${found}" is not a note: notes are the letters A to G, a rest is -, a bar line | with spaces round it.`,
  'no-sign': ({ found }) => `"${echoed(found ?? '')}" is no sign: write #, ##, b or bb.`,
  'cannot-follow': ({ found, other }) =>
    `"${echoed(found ?? '')}" cannot follow "${echoed(other ?? '')}": put spaces between words, lengths after ":".`,
  'no-octave': ({ found }) => `The first note needs its octave: write ${found}4 for the one on the staff.`,
};

/** What is wrong with typed notes, at one place. */
export function textIssueWords(issue: TextIssue): string {
  return TEXT_SENTENCES[issue.code](issue);
}

/** What is missing or wild in a table of one's own, with what to do. */
export function tableIssueWords(issue: TableIssue): string {
  switch (issue.code) {
    case 'table-length':
      return `A table has twelve numbers, one for each semitone from the tonic up; this one has ${issue.count}.`;
    case 'table-hole':
      return `Nothing is given for ${counted(issue.semitones, 'semitone')} above the tonic; equal temperament is used there.`;
    case 'table-wild':
      return `${issue.cents} cents at ${counted(issue.semitones, 'semitone')} is more than a semitone away; equal temperament is used there.`;
  }
}

const BOUNDS: ReadonlyMap<string, string> = new Map([
  ['>=', 'at least'],
  ['>', 'more than'],
  ['<=', 'at most'],
  ['<', 'less than'],
]);

/** @param comparison the sign of what it must be; any other text where the bounds are of another kind */
function boundsSentence(comparison: string, limit: string): string {
  const words = BOUNDS.get(comparison);
  return words ? `This must be ${words} ${limit}.` : 'This is too long, too short or out of bounds.';
}
