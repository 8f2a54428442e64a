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

const USAGE = 'Name one request file, "-" for standard input, or --lines for one request a line.';

function fail(answer: ErrorAnswer): never {
  process.stderr.write(JSON.stringify(answer) + '\n');
  process.exit(2);
}

function readText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    return fail(refusalAnswer(`${file} cannot be read. ${USAGE}`));
  }
}

async function planLines() {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const ready = process.stdout.write(JSON.stringify(answerText(line)) + '\n');
    if (!ready) await new Promise((resolve) => process.stdout.once('drain', resolve));
  }
}

// A reader that has seen enough (`| head`) is no error.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

const args = process.argv.slice(2);
if (args.length !== 1) fail(refusalAnswer(USAGE));
if (args[0] === '--lines') await planLines();
else {
  const answer = answerText(readText(args[0]));
  if (isError(answer)) fail(answer);
  process.stdout.write(JSON.stringify(answer) + '\n');
}
