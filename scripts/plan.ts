/*
 * Plans from the command line.
 *   npm run -s plan -- request.json     one request from a file ("-" reads standard input), one response
 *   npm run -s plan -- --lines          one request a line on standard input, one answer a line, in order
 *   npm run -s plan -- request.json --stream     two answers: the best plan alone, then the whole
 *   npm run -s plan -- request.json --as musicxml|mxl|midi|csv|svg|png|pdf [--way 0] [--fingers every|decisive|ours|none] [--title TEXT] [--out FILE]     the plan as a file
 * A bad request: the error object on standard error and exit 2 (with --lines it is that line's answer).
 */
import { createInterface } from 'node:readline';
import { parseRequest } from '../src/contract/read';
import { refusalAnswer } from '../src/wording/issues';
import type { FingerChoice } from '../src/drawing/sheet/marks';
import { answerText, answerValue, isError } from '../src/work/answering';
import { NOTE_FORMATS, writeAs, type NoteFormat } from '../src/work/exports';
import { chosenWay, type ChosenWay } from './lib/chosenWay';
import { fail, guardOutput, readAsked, readText, refuse, understood, withoutMark, writeOut } from './lib/door';
import * as commandsText from '../src/wording/rooms/commands';
import { PRODUCT } from '../src/wording/rooms/pages';

const PICTURES = ['svg', 'png', 'pdf'] as const;
const FORMATS: readonly string[] = [...NOTE_FORMATS, ...PICTURES];
const USAGE = commandsText.nameOneRequestFile(FORMATS.join('|'));

/** What the contract calls the fingers that are written. */
const FINGERS: ReadonlyMap<string, FingerChoice> = new Map([
  ['every', 'all'],
  ['decisive', 'decisive'],
  ['ours', 'ours'],
  ['none', 'none'],
]);

async function planLines() {
  let number = 0;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    number++;
    const text = number === 1 ? withoutMark(line) : line;
    if (text.trim() === '') {
      // So that answers can be matched to lines.
      process.stderr.write(`${JSON.stringify({ notice: commandsText.lineIsEmptyAnd(number) })}\n`);
      continue;
    }
    const ready = process.stdout.write(JSON.stringify(answerText(text)) + '\n');
    if (!ready) await new Promise((resolve) => process.stdout.once('drain', resolve));
  }
}

/** The plan as a file of another kind. */
async function planAs(format: string, file: string, options: ReadonlyMap<string, string>) {
  if (!FORMATS.includes(format)) refuse(commandsText.thereIsNoFormat(format, USAGE));
  const planned = chosenWay(file, options, USAGE);
  const choice = FINGERS.get(options.get('fingers') ?? 'every');
  if (!choice) refuse(commandsText.fingersAreWritten([...FINGERS.keys()].join('|')));
  const title = options.get('title');
  const isPicture = (PICTURES as readonly string[]).includes(format);
  const bytes = isPicture
    ? await pictureOf(format, planned, { fingers: choice }, title)
    : writeAs(format as NoteFormat, {
        ...planned,
        ...(title ? { title } : {}),
        fingersAt: (await import('../src/drawing/sheet/marks')).fingersAt(choice, planned),
      });
  await writeOut(bytes, options.get('out'));
}

/** The sheet: drawing it is only loaded where it is asked for. */
async function pictureOf(
  format: string,
  planned: ChosenWay,
  choices: { readonly fingers: FingerChoice },
  asked: string | undefined,
) {
  const [{ usualSheet }, files] = await Promise.all([import('../src/drawing/sheet/usual'), import('./lib/sheets')]);
  const { title, pages } = usualSheet(planned, new Date(), choices, asked);
  if (format === 'pdf') return files.pdfFile(pages, { title, author: PRODUCT });
  return format === 'png' ? files.pngFile(pages, title) : files.svgFile(pages, title);
}

/** The best plan alone, so that it can be shown while the ways are worked out. */
function printBest(text: string) {
  const request = understood(() => parseRequest(text));
  if ((request.alternatives ?? 3) === 1) return;
  const answer = answerValue({ ...request, alternatives: 1 });
  if (!isError(answer)) process.stdout.write(`${JSON.stringify({ ...answer, partial: true })}\n`);
}

guardOutput();
const args = process.argv.slice(2);
if (args.length === 0) fail(refusalAnswer(USAGE));
if (args[0] === '--lines' && args.length === 1) await planLines();
else {
  const streams = args.includes('--stream');
  const { file, options } = readAsked(
    args.filter((arg) => arg !== '--stream'),
    ['as', 'way', 'out', 'fingers', 'title'],
    USAGE,
  );
  const format = options.get('as');
  if (format !== undefined) await planAs(format, file, options);
  else {
    if (options.size > 0) refuse(commandsText.wayAndOutGo(USAGE));
    const text = readText(file, USAGE);
    if (streams) printBest(text);
    const answer = answerText(text);
    if (isError(answer)) fail(answer, answer.error.code === 'internal' ? 1 : 2);
    process.stdout.write(JSON.stringify(answer) + '\n');
  }
}
