import { MOST_FILE_NOTES, MOST_FILE_PARTS, Unreadable, type FileNotice, type Piece } from '../piece';
import { child, childNumber, childrenOf, childText, readElements, type Element } from './elements';
import { partCollector, type PartCollector, type PartHead } from './part';

/*
 * MusicXML in, by parts or by measures; anything that is not about which notes are played when, and how they are held, is left out and listed.
 */

/**
 * @param chunks the text in pieces
 * @throws Unreadable with part and bar
 */
export function readMusicXml(chunks: Iterable<string>): Piece {
  const heads = new Map<string, PartHead>();
  const parts = new Map<string, PartCollector>();
  const titles: string[] = [];
  let current: PartCollector | null = null;
  let measure: Element | null = null;
  let timewise = false;
  let read = 0;

  function collector(id: string): PartCollector {
    const known = parts.get(id);
    if (known) return known;
    if (parts.size >= MOST_FILE_PARTS) throw new Unreadable('too-many-parts', { most: MOST_FILE_PARTS });
    const own = partCollector(heads.get(id) ?? { id, name: '', program: undefined, sound: '' });
    parts.set(id, own);
    return own;
  }

  readElements(chunks, {
    root(name) {
      timewise = name === 'score-timewise';
      if (!timewise && name !== 'score-partwise') throw new Unreadable('no-score', { root: name });
    },
    open(element) {
      if (element.name === 'measure') measure = element;
      else current = collector(element.attributes.id ?? `P${parts.size + 1}`);
      if (current && measure && element.name === (timewise ? 'part' : 'measure')) current.open(measure);
    },
    close(name) {
      if (name === (timewise ? 'part' : 'measure')) current?.close();
      if (name === 'part') current = null;
      if (name === 'measure') measure = null;
    },
    element(element) {
      if (current) {
        if (element.name === 'note' && ++read > MOST_FILE_NOTES)
          throw new Unreadable('too-large-notes', { most: MOST_FILE_NOTES });
        current.element(element);
      } else if (element.name === 'part-list') {
        for (const part of childrenOf(element, 'score-part')) putHead(heads, part);
      } else if (element.name === 'movement-title') titles.unshift(element.text.trim());
      else if (element.name === 'work') titles.push(childText(element, 'work-title') ?? '');
    },
  });
  const all = [...parts.values()].map((part) => part.done());
  const notices: FileNotice[] = all
    .filter(({ voices }) => voices.length === 0)
    .map(({ name, id }) => ({ code: 'empty-part', data: { part: name || id } }));
  const sounding = all.filter(({ voices }) => voices.length > 0);
  if (sounding.length === 0) {
    const drums = all.some((part) => part.left.has('percussion'));
    throw new Unreadable(drums ? 'only-percussion' : 'no-notes');
  }
  return { title: titles.find((title) => title !== '') ?? '', parts: sounding, notices };
}

function putHead(heads: Map<string, PartHead>, part: Element) {
  const id = part.attributes.id ?? `P${heads.size + 1}`;
  const instrument = child(part, 'score-instrument');
  const midi = child(part, 'midi-instrument');
  const program = midi && childNumber(midi, 'midi-program');
  const name = childText(part, 'part-name') ?? '';
  const sound = [childText(instrument ?? part, 'instrument-name'), childText(instrument ?? part, 'instrument-sound')];
  heads.set(id, {
    id,
    sound: sound.join(' '),
    name: name || (childText(part, 'part-abbreviation') ?? ''),
    program: program === undefined ? undefined : program - 1,
  });
}
