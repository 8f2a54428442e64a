import { readFileSync, writeFileSync } from 'node:fs';
import type { ErrorAnswer } from '../../src/core';
import { BadRequest } from '../../src/contract/read';
import { errorAnswer, refusalAnswer } from '../../src/wording/issues';
import { BOM } from '../../src/work/bom';
import * as commandsText from '../../src/wording/rooms/commands';

/*
 * What every command has in common: reading a file or standard input, writing an answer or a file, failing with the error object.
 */

/** Ends with an error object on standard error: 2 where the request cannot be understood, 1 where something else went wrong. */
export function fail(answer: ErrorAnswer, code = 2): never {
  process.stderr.write(JSON.stringify(answer) + '\n');
  process.exit(code);
}

export function refuse(message: string): never {
  return fail(refusalAnswer(message));
}

/** Some editors put a mark before a text. */
export const withoutMark = (text: string) => (text.startsWith(BOM) ? text.slice(1) : text);

/** @param file "-" for standard input */
export function readBytes(file: string, usage: string): Uint8Array {
  try {
    return readFileSync(file === '-' ? 0 : file);
  } catch {
    return refuse(commandsText.cannotBeRead(file, usage));
  }
}

export function readText(file: string, usage: string): string {
  return withoutMark(new TextDecoder().decode(readBytes(file, usage)));
}

/** Ends with the error object where something cannot be understood. */
export function understood<T>(read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (error instanceof BadRequest) return fail(errorAnswer(error.issues));
    throw error;
  }
}

/** Writes to a file, or to standard output where none is named. */
export async function writeOut(bytes: Uint8Array | string, out: string | undefined) {
  if (out === undefined) {
    if (!process.stdout.write(bytes)) await new Promise((resolve) => process.stdout.once('drain', resolve));
    return;
  }
  try {
    writeFileSync(out, bytes);
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    const why =
      code === 'ENOSPC'
        ? commandsText.theDiskIsFull
        : code === 'ENOENT'
          ? commandsText.itsFolderIsNot
          : (code ?? message);
    fail(refusalAnswer(commandsText.cannotBeWrittenName(out, why)), 1);
  }
}

/** A reader that has seen enough (`| head`) is no error; a disk that is full is. */
export function guardOutput() {
  process.stdout.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EPIPE') process.exit(0);
    const full = error.code === 'ENOSPC';
    const what = full ? commandsText.theDiskIsFull : commandsText.itCannotBeWritten(error.code ?? error.message);
    process.stderr.write(`${JSON.stringify(refusalAnswer(commandsText.theAnswerWasCut(what)))}\n`);
    process.exit(1);
  });
}

/** One file name, and options each with its value; a flag alone is "yes". */
export interface Asked {
  readonly file: string;
  readonly options: ReadonlyMap<string, string>;
}

/** Reads a command line of one file. */
export function readAsked(args: readonly string[], known: readonly string[], usage: string): Asked {
  const { files, options } = readLine(args, known, usage);
  return files.length === 1 ? { file: files[0], options } : refuse(usage);
}

/** Reads a command line of two files. */
export function readTwo(args: readonly string[], known: readonly string[], usage: string) {
  const { files, options } = readLine(args, known, usage);
  const [first, second] = files;
  return files.length === 2 ? { files: [first, second] as const, options } : refuse(usage);
}

function readLine(args: readonly string[], known: readonly string[], usage: string) {
  const options = new Map<string, string>();
  const files: string[] = [];
  for (let n = 0; n < args.length; n++) {
    const arg = args[n];
    if (!arg.startsWith('--')) {
      files.push(arg);
      continue;
    }
    const name = arg.slice(2);
    if (!known.includes(name)) refuse(commandsText.nothingIsKnownBy(arg, usage));
    const value = args[++n];
    if (value === undefined || value.startsWith('--')) refuse(commandsText.needsAValueAfter(arg, usage));
    options.set(name, value);
  }
  return { files, options };
}
