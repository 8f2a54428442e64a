import { midiOf, parsePitch, pitchName, resolveSetup, type PlanRequest, type RunSpec } from '../../core';
import { listed } from '../../wording/grammar';
import { instrumentWords } from '../../wording/instruments';
import { chordWords, kindWords, scaleWords } from '../../wording/material';
import { noteWords, printed } from '../../wording/notes';
import { valueOf } from '../../wording/typed/pieces';
import type { Piece } from '../../wording/typed/phrases';
import { asScale, hasRoom, octaveRank, playableTonics, withKind, withTonic } from './briefMaterial';
import { asked, capital, offerBrief, type Asked } from './offers';
import * as typedBriefText from '../../wording/rooms/typedBrief';

/*
 * The music of a typed brief: kind, key, octaves and where it begins, with room for it on the instrument.
 */

/** The request with the music that was named. */
export function musicOf(request: PlanRequest, pieces: readonly Piece[]): PlanRequest | Asked {
  const kind = valueOf(pieces, 'kind');
  const scale = valueOf(pieces, 'scale');
  const chord = valueOf(pieces, 'chord');
  const key = valueOf(pieces, 'key');
  const octaves = valueOf(pieces, 'octaves');
  const direction = valueOf(pieces, 'direction');
  const register = valueOf(pieces, 'register');
  const bow = valueOf(pieces, 'bow');
  const parts = [kind, scale, chord, key, octaves, direction, register, bow];
  if (parts.every((part) => part === undefined)) return request;
  const old = request.material.type === 'notes' ? asScale(request) : request.material;
  const made = kindOfMusic(old, { kind, scale, chord });
  if ('kind' in made) return made;
  let material = made;
  if (octaves !== undefined) material = { ...material, octaves };
  if (direction) material = { ...material, direction };
  if (bow) material = { ...material, notesPerBow: bow };
  return started({ ...request, material }, material, { key, register, octaves });
}

interface Named {
  readonly kind?: string;
  readonly scale?: string;
  readonly chord?: string;
}

/** Scales that have a chord of their own name. */
const CHORDAL = /^(major|minor|(natural|harmonic|melodic)-minor)$/;
export const isArpeggio = (kind: string | undefined) => kind === 'arpeggio' || kind === 'in-threes';

function kindOfMusic(old: RunSpec, { kind, scale, chord }: Named): RunSpec | Asked {
  if (chord && kind && !isArpeggio(kind))
    return asked(typedBriefText.isAChordAn(capital(chordWords(chord)), kindWords(kind)), []);
  if (isArpeggio(kind) && scale && !CHORDAL.test(scale))
    return asked(typedBriefText.isAScaleNot(capital(scaleWords(scale))), []);
  const scaleOnly = scale !== undefined && !CHORDAL.test(scale) && old.type === 'arpeggio';
  const wanted = kind ?? (chord ? 'arpeggio' : scaleOnly ? 'scale' : undefined);
  const made = wanted ? withKind(old, wanted) : old;
  if (made.type === 'arpeggio') return { ...made, chord: chord ?? (scale ? chordOf(scale) : made.chord) };
  return scale ? { ...made, scale } : made;
}

/** The chord of a scale: an arpeggio of harmonic minor is one of minor. */
const chordOf = (scale: string) => (scale.includes('minor') ? 'minor' : 'major');

interface Start {
  readonly key: string | undefined;
  readonly register: 'low' | 'high' | undefined;
  readonly octaves: number | undefined;
}

/** Above the lowest string so far at most is still called low, in semitones: the first fingers of the lowest string. */
const LOW = 4;

function started(request: PlanRequest, material: RunSpec, { key, register, octaves }: Start): PlanRequest | Asked {
  const name = instrumentWords(request.instrument);
  const pitch = parsePitch(key && /\d/.test(key) ? key : `${key ?? material.tonic.replace(/-?\d+$/, '')}4`);
  if (!pitch) return asked(typedBriefText.thatKeyIsNot, []);
  const letter = pitchName(pitch).replace(/-?\d+$/, '');
  const tonicsFor = (one: RunSpec) => playableTonics({ ...request, material: one }, letter);
  const at = (one: RunSpec, tonic: string): PlanRequest => ({ ...request, material: { ...one, tonic } });
  const named = { ...material, tonic: pitchName(pitch) } as RunSpec;
  if (!hasRoom({ ...request, material: named }, named, material.octaves)) {
    const most = [4, 3, 2, 1].find((count) => hasRoom(request, { ...named, octaves: count } as RunSpec, count));
    if (!most) return asked(typedBriefText.theHasNoTo(name, printed(letter)), []);
    if (octaves === undefined)
      return started(request, { ...material, octaves: most } as RunSpec, { key, register, octaves });
    const offers = [most, most - 1]
      .filter((count) => count > 0)
      .map((count) => {
        const one = { ...named, octaves: count } as RunSpec;
        const [tonic] = tonicsFor(one);
        return offerBrief(
          typedBriefText.from(count, count === 1 ? 'octave' : 'octaves', noteWords(tonic)),
          at(one, tonic),
        );
      });
    return asked(typedBriefText.theHasNoRoom(name, material.octaves, printed(letter)), offers);
  }
  const tonics = tonicsFor(named);
  if (key && /\d/.test(key)) {
    const exact = tonics.find((tonic) => tonic === pitchName(pitch));
    if (exact) return at(named, exact);
    const nearest = [...tonics].sort((a, b) => awayFrom(a, key) - awayFrom(b, key)).slice(0, 2);
    return asked(
      typedBriefText.theCannotBeginOctave(name, material.octaves, material.octaves === 1 ? '' : 's', noteWords(key)),
      nearest.map((tonic) => offerBrief(typedBriefText.fromNote(noteWords(tonic)), at(named, tonic))),
    );
  }
  if (register === 'high') {
    const [, ...higher] = tonics;
    if (higher.length === 1) return at(named, higher[0]);
    return asked(
      higher.length > 1 ? typedBriefText.whichHigh(printed(letter)) : typedBriefText.thereIsButOne(printed(letter)),
      (higher.length > 1 ? higher : tonics).map((tonic) =>
        offerBrief(typedBriefText.fromNote(noteWords(tonic)), at(named, tonic)),
      ),
    );
  }
  if (register === 'low') {
    const above = midi(tonics[0]) - resolveSetup(request).strings[0].midi;
    if (above <= LOW) return at(named, tonics[0]);
    return asked(typedBriefText.theHasNoLow(name, printed(letter), noteWords(tonics[0])), [
      offerBrief(typedBriefText.fromNote(noteWords(tonics[0])), at(named, tonics[0])),
    ]);
  }
  // The octave that was chosen before is kept, counted from the lowest.
  const rank = octaveRank(request, material);
  return key
    ? withTonic(request, named, letter, rank)
    : at(named, tonics.includes(material.tonic) ? material.tonic : tonics[0]);
}

const midi = (name: string) => {
  const pitch = parsePitch(name);
  return pitch ? midiOf(pitch) : 60;
};

const awayFrom = (a: string, b: string) => Math.abs(midi(a) - midi(b));

/** Where only some strings are asked for, the music must have room on them: fewer octaves where none were named. */
export function onStrings(request: PlanRequest | Asked, pieces: readonly Piece[]): PlanRequest | Asked {
  if ('kind' in request || valueOf(pieces, 'strings') === undefined) return request;
  const { material } = request;
  if (material.type === 'notes') return request;
  const { strings, reachSemitones } = resolveSetup(request);
  const open = strings.filter(({ name }) => request.rules?.strings?.includes(name)).map((one) => one.midi);
  const [low, high] = [Math.min(...open), Math.max(...open) + reachSemitones];
  const letter = material.tonic.replace(/-?\d+$/, '');
  const fitting = (octaves: number) =>
    playableTonics({ ...request, material: { ...material, octaves: 1 } }, letter).find(
      (tonic) => midi(tonic) >= low && midi(tonic) + 12 * octaves <= high,
    );
  const asks = valueOf(pieces, 'octaves');
  const counts = [material.octaves, 3, 2, 1].filter((count) => count <= material.octaves);
  const most = counts.find((count) => fitting(count) !== undefined);
  const names = listed((request.rules?.strings ?? []).map((name) => printed(name)));
  if (most === undefined) return asked(typedBriefText.thereIsNoWith(printed(letter), names), []);
  const one = { ...material, octaves: most, tonic: fitting(most) } as RunSpec;
  if (most === material.octaves || asks === undefined) return { ...request, material: one };
  return asked(typedBriefText.theStringHasNo(names, material.octaves, printed(letter)), [
    offerBrief(typedBriefText.octaveFrom(most, most === 1 ? '' : 's', noteWords(one.tonic)), {
      ...request,
      material: one,
    }),
  ]);
}
