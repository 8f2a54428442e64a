/*
 * Follows JSON as its bytes arrive, before anything is built of it: how deep it goes, how much is in it, and where the requests of a book begin and end. It
 * does not check the JSON itself; that is done where a request is parsed.
 */

/** What a body may hold at most. */
export interface Bounds {
  readonly requests: number;
  /** Of one request: arrays and objects within each other. */
  readonly depth: number;
  /** Items of one array or object of it. */
  readonly items: number;
  /** Values of it in all. */
  readonly values: number;
}

export type Breach = 'too-deep' | 'too-long' | 'too-many';

export interface JsonScan {
  /** Reads on. @returns what is past its bounds; null while nothing is. Nothing more is to be read after that */
  read(bytes: Uint8Array): Breach | null;
  /** The bracket that opens an array around all, the commas in it, and its closing bracket, as places in the bytes; empty where there is no such array. */
  readonly marks: readonly number[];
}

const [QUOTE, ESCAPE, COMMA, NEWLINE] = [...'"\\,\n'].map((sign) => sign.charCodeAt(0));
const [OPEN_ARRAY, CLOSE_ARRAY, OPEN_OBJECT, CLOSE_OBJECT] = [...'[]{}'].map((sign) => sign.charCodeAt(0));
/** The bytes that may stand before a text in UTF-8, and blanks. */
const NOTHING = new Set([0xef, 0xbb, 0xbf, 0x20, 0x09, 0x0d, NEWLINE]);

/** @param book true where an array around all holds the requests, or else each line is one */
export function scanJson({ requests, depth, items, values }: Bounds, book: boolean): JsonScan {
  const marks: number[] = [];
  /** Commas in each array or object that is open. */
  const commas: number[] = [];
  let at = 0;
  let found = 0;
  let lines = 0;
  let line = false;
  let inString = false;
  let escaped = false;
  /** True of an array around all; null before the first sign. */
  let around: boolean | null = null;

  function read(bytes: Uint8Array): Breach | null {
    for (const byte of bytes) {
      if (!inString) {
        const breach = step(byte);
        if (breach) return breach;
      } else if (escaped) escaped = false;
      else if (byte === ESCAPE) escaped = true;
      else if (byte === QUOTE) inString = false;
      at++;
    }
    return null;
  }

  function step(byte: number): Breach | null {
    if (NOTHING.has(byte)) return byte === NEWLINE && commas.length === 0 ? endLine() : null;
    around ??= book && byte === OPEN_ARRAY;
    line = true;
    const outermost = around && commas.length === 1;
    switch (byte) {
      case QUOTE:
        inString = true;
        return null;
      case OPEN_ARRAY:
      case OPEN_OBJECT:
        if (around && commas.length === 0) marks.push(at);
        commas.push(0);
        if (commas.length > depth + Number(around)) return 'too-deep';
        return ++found > values ? 'too-long' : null;
      case CLOSE_ARRAY:
      case CLOSE_OBJECT:
        if (outermost) marks.push(at);
        commas.pop();
        return null;
      case COMMA:
        if (!outermost) return ++commas[commas.length - 1] >= items || ++found > values ? 'too-long' : null;
        marks.push(at);
        found = 0;
        return marks.length > requests ? 'too-many' : null;
      default:
        return null;
    }
  }

  function endLine(): Breach | null {
    if (!book || !line || around) return null;
    line = false;
    found = 0;
    return ++lines > requests ? 'too-many' : null;
  }

  return { read, marks };
}

/** The requests of a book as texts. Null where it is neither an array of them nor one a line. */
export function requestsOf(bytes: Uint8Array, { marks }: JsonScan): string[] | null {
  const decoder = new TextDecoder();
  const textOf = (from: number, to: number) => decoder.decode(bytes.subarray(from, to)).trim();
  const [first] = marks;
  if (first === undefined)
    return textOf(0, bytes.length)
      .split('\n')
      .filter((line) => line.trim() !== '');
  const last = marks[marks.length - 1];
  const closed = marks.length > 1 && bytes[last] === CLOSE_ARRAY && textOf(last + 1, bytes.length) === '';
  if (!closed) return null;
  const texts = marks.slice(1).map((to, n) => textOf(marks[n] + 1, to));
  if (texts.length === 1 && texts[0] === '') return [];
  return texts.includes('') ? null : texts;
}
