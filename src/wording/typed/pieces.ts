import { plainText, type Mended } from './plain';
import { FILLERS, PHRASES, type Piece, type Slot } from './phrases';

/*
 * A typed brief taken apart: what each phrase asks for, what asks for two things at once, and what is not understood.
 */

export interface Pieces {
  readonly pieces: readonly Piece[];
  /** Words that were read as others. */
  readonly mended: readonly Mended[];
  /** Two pieces that cannot both be. */
  readonly clash: readonly [Piece, Piece] | null;
  /** Words that mean nothing here. */
  readonly unknown: readonly string[];
}

/** Slots that can be filled more than once. */
const MANY: ReadonlySet<Slot> = new Set(['visit', 'spared', 'pattern', 'shiftTo']);

/** What separates phrases that were found from each other, so that no phrase is found across them. */
const TAKEN = ' | ';

/** @param students by name; a whole name, or its first word, is one of them */
export function piecesOf(typed: string, students: readonly string[]): Pieces {
  const names = new Map(
    students
      .filter((name) => name.trim() !== '')
      .flatMap((name) => {
        const low = name.toLowerCase().trim();
        return [[low.split(/\s+/)[0], name] as const, [low, name] as const];
      }),
  );
  const { text, mended } = plainText(typed, new Set([...names.keys()].flatMap((name) => name.split(/\s+/))));
  const pieces: Piece[] = [];
  let rest = text;
  const longest = [...names.keys()].sort((a, b) => b.length - a.length);
  for (const low of longest) {
    const found = new RegExp(`(?<!\\S)${escaped(low)}s?(?!\\S)`).exec(rest);
    if (!found) continue;
    pieces.push({ slot: 'student', value: names.get(low) as string });
    rest = rest.replace(found[0], TAKEN);
  }
  for (const { pattern, means } of PHRASES)
    for (let found = pattern.exec(rest); found; found = pattern.exec(rest)) {
      pieces.push(...[means(found)].flat());
      rest = rest.slice(0, found.index) + TAKEN + rest.slice(found.index + found[0].length);
    }
  const settled = settle(pieces);
  const unknown = rest.split(/[\s|]+/).filter((word) => word !== '' && !FILLERS.has(word));
  return { pieces: settled, mended, unknown, clash: clashIn(settled) };
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** "am" is two pieces; a key beside one with its octave, and twice the same, are one. */
function settle(pieces: readonly Piece[]): Piece[] {
  const parted = pieces.flatMap((piece): Piece[] => {
    if (piece.slot !== 'key' || !piece.value.endsWith(' minor')) return [piece];
    return [
      { slot: 'key', value: piece.value.slice(0, -6) },
      { slot: 'scale', value: 'minor' },
    ];
  });
  const keys = parted.flatMap((piece) => (piece.slot === 'key' ? [piece.value] : []));
  const withOctave = keys.find((key) => /\d/.test(key));
  return parted.filter((piece, at) => {
    const twice = parted.findIndex((other) => same(other, piece)) < at;
    const said = piece.slot === 'key' && withOctave?.replace(/\d/, '') === piece.value;
    // Broken thirds, an arpeggio in threes are kinds of their own; the word "scale" beside them adds nothing.
    const plain = piece.slot === 'kind' && piece.value === 'scale' && parted.some(isOtherKind);
    const inThrees =
      piece.slot === 'kind' &&
      piece.value === 'arpeggio' &&
      parted.some(({ slot, value }) => slot === 'kind' && value === 'in-threes');
    const minor =
      piece.slot === 'scale' &&
      piece.value === 'minor' &&
      parted.some(({ slot, value }) => slot === 'scale' && String(value).endsWith('-minor'));
    return !twice && !said && !plain && !inThrees && !minor;
  });
}

const isOtherKind = (piece: Piece) => piece.slot === 'kind' && piece.value !== 'scale';

/** Two phrases may say one thing: "C minor" and "c-Moll". */
const same = (a: Piece, b: Piece) => a.slot === b.slot && JSON.stringify(a.value) === JSON.stringify(b.value);

function clashIn(pieces: readonly Piece[]): readonly [Piece, Piece] | null {
  for (const [at, piece] of pieces.entries()) {
    const before = pieces.slice(0, at).find(({ slot }) => slot === piece.slot);
    if (before && !MANY.has(piece.slot)) return [before, piece];
  }
  return null;
}

type Valued<S extends Slot> = Extract<Piece, { readonly slot: S }>;

/** The one value of a slot. */
export function valueOf<S extends Slot>(pieces: readonly Piece[], slot: S): Valued<S>['value'] | undefined {
  const isThis = (piece: Piece): piece is Valued<S> => piece.slot === slot;
  return pieces.find(isThis)?.value as Valued<S>['value'] | undefined;
}
