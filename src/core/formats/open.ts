import { unzipSync, zipSync } from 'fflate';
import { readMidi } from './midi/readMidi';
import { CHUNK } from './musicxml/elements';
import { readMusicXml } from './musicxml/readXml';
import { MOST_FILE_BYTES, Unreadable, type Piece } from './piece';

/*
 * Files of any kind: what they are is seen from what is in them, not from their names.
 */

/** A file as it was understood; text is typed notes, JSON is the app's own. */
export type Opened =
  | { readonly kind: 'piece'; readonly piece: Piece }
  | { readonly kind: 'json'; readonly text: string }
  | { readonly kind: 'notes'; readonly text: string };

/** @param onProgress is told how much has been read, 0 to 1. @throws Unreadable */
export function openFile(bytes: Uint8Array, onProgress?: (share: number) => void): Opened {
  if (bytes.length === 0) throw new Unreadable('empty-file');
  if (bytes.length > MOST_FILE_BYTES) throw tooLarge(bytes.length);
  if (startsWith(bytes, 'PK\u0003\u0004')) return { kind: 'piece', piece: readMxl(bytes, onProgress) };
  if (startsWith(bytes, 'MThd')) return { kind: 'piece', piece: readMidi(bytes) };
  const head = decoder(bytes)
    .decode(bytes.subarray(0, 4096))
    .replace(/^\ufeff/, '')
    .trimStart();
  if (head.startsWith('<')) return { kind: 'piece', piece: readMusicXml(textOf(bytes, onProgress)) };
  if (isBinary(head)) throw new Unreadable('unknown-file');
  const text = [...textOf(bytes)].join('').replace(/^\ufeff/, '');
  return { kind: head.startsWith('{') || head.startsWith('[') ? 'json' : 'notes', text };
}

const tooLarge = (bytes: number) =>
  new Unreadable('too-large', { megabytes: Math.ceil(bytes / 1e6), most: MOST_FILE_BYTES / 1e6 });

function startsWith(bytes: Uint8Array, text: string): boolean {
  return [...text].every((letter, at) => bytes[at] === letter.charCodeAt(0));
}

/** Text has no zeros and hardly any other control signs. */
function isBinary(head: string): boolean {
  // oxlint-disable-next-line no-control-regex
  return (head.match(/[\u0000-\u0008\u000e-\u001f\ufffd]/g) ?? []).length > head.length / 50;
}

/** By the mark at the beginning, else by what the text says of itself. */
function decoder(bytes: Uint8Array): TextDecoder {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be');
  const head = String.fromCharCode(...bytes.subarray(0, 200));
  const [, said = 'utf-8'] = /^\s*<\?xml[^>]*encoding=["']([\w-]+)["']/.exec(head) ?? [];
  try {
    // A text that was decoded already and says otherwise is what it is.
    return new TextDecoder(/^utf-?16/i.test(said) ? 'utf-8' : said);
  } catch {
    return new TextDecoder();
  }
}

function* textOf(bytes: Uint8Array, onProgress?: (share: number) => void): Generator<string> {
  const decode = decoder(bytes);
  for (let at = 0; at < bytes.length; at += CHUNK) {
    yield decode.decode(bytes.subarray(at, at + CHUNK), { stream: true });
    onProgress?.(Math.min(1, (at + CHUNK) / bytes.length));
  }
  yield decode.decode();
}

const CONTAINER = 'META-INF/container.xml';

/** Files inside that are larger than this many times what they are packed in are no score. */
const MOST_PACKED = 1000;

function readMxl(bytes: Uint8Array, onProgress?: (share: number) => void): Piece {
  const unpacked = (wanted: (name: string) => boolean) =>
    unzipSync(bytes, {
      filter: ({ name, size, originalSize }) => {
        if (!wanted(name)) return false;
        if (originalSize > MOST_FILE_BYTES || originalSize > 1e6 + size * MOST_PACKED) throw tooLarge(originalSize);
        return true;
      },
    });
  try {
    const container = unpacked((name) => name === CONTAINER)[CONTAINER];
    const path = container && /full-path\s*=\s*["']([^"']+)["']/.exec(new TextDecoder().decode(container))?.[1];
    const isScore = (name: string) => (path ? name === path : /^[^/]+\.(musicxml|xml)$/i.test(name));
    const [score] = Object.values(unpacked(isScore));
    if (!score) throw new Unreadable('no-score-inside');
    return readMusicXml(textOf(score, onProgress));
  } catch (error) {
    if (error instanceof Unreadable) throw error;
    throw new Unreadable('broken-zip');
  }
}

/** A score packed as it is handed on. */
export function packMxl(musicXml: string): Uint8Array {
  const text = new TextEncoder();
  const container =
    '<?xml version="1.0" encoding="UTF-8"?><container><rootfiles><rootfile full-path="score.musicxml" media-type="application/vnd.recordare.musicxml+xml"/></rootfiles></container>';
  // The day in the archive is always the same, so that the same plan gives the same file.
  const mtime = '1980-01-02T00:00:00';
  return zipSync(
    {
      mimetype: [text.encode('application/vnd.recordare.musicxml'), { level: 0, mtime }],
      [CONTAINER]: [text.encode(container), { mtime }],
      'score.musicxml': [text.encode(musicXml), { mtime }],
    },
    { level: 6 },
  );
}
