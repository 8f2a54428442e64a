import { chordWords, kindWords, scaleWords } from '../material';
import { instrumentWords, LEVEL_WORDS } from '../instruments';
import { printed } from '../notes';
import { positionRuleWords, positionWords } from '../places';
import { ordinal } from '../grammar';
import type { Piece } from './phrases';

/** What one piece of a typed brief asks for, as a question names it. */
export function pieceWords(piece: Piece): string {
  switch (piece.slot) {
    case 'instrument':
      return instrumentWords(piece.value);
    case 'kind':
      return kindWords(piece.value);
    case 'scale':
      return scaleWords(piece.value);
    case 'chord':
      return chordWords(piece.value);
    case 'key':
      return `${printed(piece.value)} as the key`;
    case 'octaves':
      return `${piece.value} octave${piece.value === 1 ? '' : 's'}`;
    case 'direction':
      return { up: 'going up', down: 'coming down', updown: 'up and down' }[piece.value];
    case 'tempo':
      return `${piece.value} beats a minute`;
    case 'bow':
      return `${piece.value} to a bow`;
    case 'shifts':
      return piece.value === 0 ? 'no shift' : `${piece.value} shift${piece.value === 1 ? '' : 's'}`;
    case 'strings':
      return `the ${piece.value.map((name) => printed(name)).join(' and ')} string`;
    case 'size':
      return `size ${piece.value}`;
    case 'hand':
      return `a ${piece.value} hand`;
    case 'positions':
      return positionRuleWords(piece.value ?? undefined, 'violin');
    case 'visit':
      return `going to ${positionWords(piece.value, 'violin')}`;
    case 'openStrings':
      return `open strings: ${piece.value}`;
    case 'fourthFinger':
      return `little finger: ${piece.value}`;
    case 'extensions':
      return `extensions: ${piece.value}`;
    case 'harmonics':
      return piece.value === 'last' ? 'a natural harmonic on the last note' : 'no harmonics';
    case 'shiftOn':
      return 'shifts on the semitones';
    case 'shiftTo':
      return `a shift to ${printed(piece.value.note)}${piece.value.bar ? ` in bar ${piece.value.bar}` : ''}`;
    case 'bars':
      return `bars ${piece.value.from} to ${piece.value.to}`;
    case 'sameAs':
      return `the same as bar ${piece.value}`;
    case 'prepare':
      return `in place for bar ${piece.value.for} from bar ${piece.value.from}`;
    case 'sameBack':
      return 'the same fingers back down';
    case 'pattern':
      return `${piece.value.touch.join(' and ')} touching on the ${printed(piece.value.string)} string`;
    case 'level':
      return LEVEL_WORDS[piece.value];
    case 'child':
      return 'for a child';
    case 'spared':
      return `without the ${ordinal(piece.value)} finger`;
    default:
      return piece.value;
  }
}
