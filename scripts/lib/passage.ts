import {
  INSTRUMENT_NAMES,
  instrumentRecord,
  readNoteText,
  requestIssues,
  type InstrumentName,
  type Lock,
  type PlanRequest,
} from '../../src/core';
import { openFile, passageOf, Unreadable } from '../../src/core/formats';
import { BadRequest, parseRequest } from '../../src/contract/read';
import { noticeWords, unreadableWords } from '../../src/wording/files';
import { errorAnswer, textIssueWords } from '../../src/wording/issues';
import { fail, readBytes, refuse, type Asked } from './door';
import * as commandsText from '../../src/wording/rooms/commands';

/*
 * Reads what a teacher brings: a score, MIDI, typed notes, or a request of the app's own.
 */

export interface Read {
  readonly request: PlanRequest;
  /** Fingers and strings that were found written. */
  readonly written: readonly Lock[];
}

export function readPassage({ file, options }: Asked, usage: string): Read {
  const bytes = readBytes(file, usage);
  const instrument = instrumentAsked(options.get('instrument'));
  const keep = options.get('keep');
  if (keep !== undefined && keep !== 'fingerings') refuse(commandsText.onlyFingeringsCanBe);
  try {
    const opened = openFile(bytes);
    if (opened.kind === 'notes') return { request: typedRequest(opened.text, instrument), written: [] };
    if (opened.kind === 'json') return ownRequest(opened.text);
    const { request, written, notices } = passageOf(opened.piece, {
      instrument,
      part: options.get('part'),
      voice: options.get('voice'),
      bars: barsAsked(options.get('bars')),
      octave: octavesAsked(options.get('octave')),
    });
    for (const notice of notices) process.stderr.write(`${JSON.stringify({ notice: noticeWords(notice) })}\n`);
    return { request, written };
  } catch (error) {
    if (error instanceof BadRequest) return fail(errorAnswer(error.issues));
    if (!(error instanceof Unreadable)) throw error;
    return fail({ error: { code: 'bad-request', issues: [{ path: error.path, message: unreadableWords(error) }] } });
  }
}

function instrumentAsked(name: string | undefined): InstrumentName | undefined {
  if (name === undefined) return undefined;
  const found = INSTRUMENT_NAMES.find((kind) => kind === name);
  return found ?? refuse(commandsText.thereIsNoInstrument(name, INSTRUMENT_NAMES.join(', ')));
}

function octavesAsked(text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  const octaves = Number(text);
  return Number.isInteger(octaves) && Math.abs(octaves) <= 3 ? octaves : refuse(commandsText.octavesAreWhole);
}

function barsAsked(text: string | undefined): [string, string] | undefined {
  if (text === undefined) return undefined;
  const [, from, to = from] = /^([^-\s]+)(?:-([^-\s]+))?$/.exec(text) ?? [];
  return from ? [from, to] : refuse(commandsText.barsAreWrittenLike);
}

/** Notes typed as text, on a violin where no instrument is named. */
function typedRequest(text: string, instrument: InstrumentName = 'violin'): PlanRequest {
  const { notes, issues } = readNoteText(text, instrumentRecord(instrument).writtenOctavesUp);
  if (issues.length > 0)
    return fail({
      error: {
        code: 'bad-request',
        issues: issues
          .slice(0, 20)
          .map((issue) => ({ path: `/letter/${issue.at + 1}`, message: textIssueWords(issue) })),
      },
    });
  const request: PlanRequest = { instrument, material: { type: 'notes', notes: [...notes] } };
  const wrong = requestIssues(request);
  return wrong.length > 0 ? fail(errorAnswer(wrong)) : request;
}

/** A request: its locks are what is written. */
function ownRequest(text: string): Read {
  const request = parseRequest(text);
  const { locks = [], ...rules } = request.rules ?? {};
  return { request: { ...request, rules }, written: locks };
}
