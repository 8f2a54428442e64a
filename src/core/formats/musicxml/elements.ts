import { SaxesParser, type SaxesAttributePlain } from 'saxes';
import { Unreadable } from '../piece';

/*
 * XML as a stream: the parts of a score are handed on one element at a time, so that a large file is never held whole. No entity is expanded and nothing is fetched.
 */

/** An element with all that is in it. */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: Element[];
  text: string;
}

export function child({ children }: Element, name: string): Element | undefined {
  return children.find((one) => one.name === name);
}

export function childText(element: Element, name: string): string | undefined {
  return child(element, name)?.text.trim();
}

export function childNumber(element: Element, name: string): number | undefined {
  const text = childText(element, name);
  if (text === undefined || text === '') return undefined;
  const value = Number(text);
  return Number.isFinite(value) ? value : undefined;
}

export const childrenOf = ({ children }: Element, name: string) => children.filter((one) => one.name === name);

/** What is told of a score while it is read. */
export interface ScoreReader {
  /** The outermost element. */
  readonly root: (name: string) => void;
  /** A part or a measure begins. */
  readonly open: (element: Element) => void;
  readonly close: (name: string) => void;
  /** Everything else, whole: of the head of the score, and of each measure. */
  readonly element: (element: Element) => void;
}

/** Elements that are gone into and not collected. */
const FRAMES: ReadonlySet<string> = new Set(['score-partwise', 'score-timewise', 'part', 'measure']);
/** No score is nested deeper. */
const DEEPEST = 60;
/** Letters fed at once; between them the reader may say how far it is. */
export const CHUNK = 1 << 18;

/**
 * Reads XML.
 * @param chunks the text in pieces
 * @throws Unreadable where it is no XML, or XML that asks for more than to be read
 */
export function readElements(chunks: Iterable<string>, reader: ScoreReader) {
  const parser = new SaxesParser({ xmlns: false });
  const stack: Element[] = [];
  let depth = 0;
  parser.on('error', ({ message }) => {
    // The parser puts line and column before what is wrong.
    const [, line = '', what = message] = /^(\d+):\d+: (.*)$/s.exec(message) ?? [];
    throw new Unreadable(/entity/.test(what) ? 'xml-entity' : 'broken-xml', { line, what });
  });
  parser.on('doctype', (text) => {
    if (/<!ENTITY/i.test(text)) throw new Unreadable('xml-entity', { line: String(parser.line), what: '' });
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (++depth > DEEPEST) throw new Unreadable('xml-deep', { most: DEEPEST });
    const element: Element = {
      name,
      attributes: attributes as SaxesAttributePlain & Record<string, string>,
      children: [],
      text: '',
    };
    if (depth === 1) reader.root(name);
    if (stack.length === 0 && FRAMES.has(name)) {
      if (depth > 1) reader.open(element);
      return;
    }
    stack[stack.length - 1]?.children.push(element);
    stack.push(element);
  });
  parser.on('text', (text) => {
    const last = stack[stack.length - 1];
    if (last) last.text += text;
  });
  parser.on('cdata', (text) => {
    const last = stack[stack.length - 1];
    if (last) last.text += text;
  });
  parser.on('closetag', ({ name }) => {
    depth--;
    const element = stack.pop();
    if (!element) {
      if (depth > 0) reader.close(name);
      return;
    }
    if (stack.length === 0) reader.element(element);
  });
  for (const chunk of chunks) parser.write(chunk);
  parser.close();
}
