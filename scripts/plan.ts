/*
 * Plans from the command line.
 *   npm run -s plan -- request.json     one request from a file ("-" reads standard input), one response
 *   npm run -s plan -- --lines          one request a line on standard input, one answer a line, in order
 * A bad request: the error object on standard error and exit 2 (with --lines it is that line's answer).
 */
import { readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import type { ErrorAnswer } from '../src/contract/types';
import { refusalAnswer } from '../src/wording/issues';
import { answerText, isError } from '../src/work/answer';
import { BOM } from '../src/work/bom';

const USAGE = 'Name one request file, "-" for standard input, or --lines for one request a line.';

function fail(answer: ErrorAnswer, code = 2): never {
  process.stderr.write(JSON.stringify(answer) + '\n');
  process.exit(code);
}

function readText(file: string): string {
  try {
    return withoutMark(readFileSync(file === '-' ? 0 : file, 'utf8'));
  } catch {
    return fail(refusalAnswer(`${file} cannot be read. ${USAGE}`));
  }
}

/** Some editors put a mark before a text. */
const withoutMark = (text: string) => (text.startsWith(BOM) ? text.slice(1) : text);

async function planLines() {
  let number = 0;
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    number++;
    const text = number === 1 ? withoutMark(line) : line;
    if (text.trim() === '') {
      // So that answers can be matched to lines.
      process.stderr.write(`${JSON.stringify({ notice: `Line ${number} is empty and was skipped.` })}\n`);
      continue;
    }
    const ready = process.stdout.write(JSON.stringify(answerText(text)) + '\n');
    if (!ready) await new Promise((resolve) => process.stdout.once('drain', resolve));
  }
}

// A reader that has seen enough (`| head`) is no error.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
  const full = error.code === 'ENOSPC';
  const what = full ? 'the disk is full' : `it cannot be written (${error.code ?? error.message})`;
  process.stderr.write(
    `${JSON.stringify(refusalAnswer(`The answer was cut off: ${what}. Make room and run it again.`))}\n`,
  );
  process.exit(1);
});

const args = process.argv.slice(2);
if (args.length !== 1) fail(refusalAnswer(USAGE));
if (args[0] === '--lines') await planLines();
else {
  const answer = answerText(readText(args[0]));
  if (isError(answer)) fail(answer, answer.error.code === 'internal' ? 1 : 2);
  process.stdout.write(JSON.stringify(answer) + '\n');
}
