import { CHORD_NOTES, holdsFor, type WidestPair } from '../../hand/together';
import { FINGER_SLOTS } from '../../hand/finger';
import { NO_FRAME, type DemandedPitch, type HandModel, type Hold } from '../../hand/hold';
import { handModel } from '../../hand/models';
import { resolveHand } from '../../hand/profile';
import { stopMm } from '../../instrument/geometry';
import { resolveSetup, setupReaching, type Setup } from '../../instrument/setup';
import type { Music, SoundingEvent } from '../../material/events';
import { atOneTempo } from '../../material/tempo';
import { keyAlteration, type Key } from '../../pitch/key';
import { letterSteps, midiOf, respellings, type Pitch } from '../../pitch/pitch';
import type { PlanRequest } from '../../vocabulary';
import { keptTables, type Holds, type Tables } from './tables';
import { landingTerm, type Pricing } from './terms';
import { requestWeights, secondsPerBeat } from './weights';
import type { Weights } from '../../vocabulary';

/** Everything one request is planned with: the instrument, the hand on it, the music and the prices. */
export interface Context {
  readonly request: PlanRequest;
  readonly setup: Setup;
  readonly model: HandModel;
  readonly music: Music;
  readonly sounding: readonly SoundingEvent[];
  readonly pricing: Pricing;
  readonly secondsPerBeat: number;
  /** What is kept from request to request. */
  readonly tables: Tables;
  /** All holds of an event before any demand. */
  readonly holdsOf: (event: SoundingEvent) => Holds;
}

/** A hold with the widest spread it asks of the hand. */
export interface Candidate {
  readonly hold: Hold;
  readonly widest: WidestPair | null;
}

/** @returns the pitch with the ways the hand may read it: a note of the key keeps its letter, an altered one may be either. */
export function demandedPitch(key: Key, pitch: Pitch): DemandedPitch {
  const inKey = keyAlteration(key, pitch.letter) === pitch.alteration;
  const plain = pitch.alteration === 0 || inKey;
  const others = plain ? [] : respellings(pitch);
  return { midi: midiOf(pitch), readings: [pitch, ...others].map(letterSteps) };
}

/** A pitch of a chord: its fingers do not depend on the key, so an altered note may be either. */
function chordPitch(pitch: Pitch): DemandedPitch {
  const others = pitch.alteration === 0 ? [] : respellings(pitch);
  return { midi: midiOf(pitch), readings: [pitch, ...others].map(letterSteps) };
}

export function contextFor(request: PlanRequest, written: Music, weights: Weights = requestWeights(request)): Context {
  const music = { ...written, events: atOneTempo(written.events, written.changes, request.tempo?.bpm) };
  const sounding = music.events.filter((event): event is SoundingEvent => event.kind === 'sounding');
  const pitches = distinctPitches(sounding);
  const tables = keptTables(tagOf(request, music, [...pitches.keys()], weights), () =>
    tablesFor(request, music, [...pitches.values()], weights),
  );
  const { setup, model, pricing, holds: known } = tables;
  function holdsOf(event: SoundingEvent): Holds {
    const tag = contentTag(event);
    let holds = known.get(tag);
    if (!holds) {
      const chord = event.pitches.length >= CHORD_NOTES;
      const demanded = event.pitches.map((pitch) => (chord ? chordPitch(pitch) : demandedPitch(music.key, pitch)));
      const all = holdsFor(setup, model, demanded);
      holds = { all, lowest: lowestAnchor(model, all) };
      known.set(tag, holds);
    }
    return holds;
  }
  return {
    request,
    setup,
    model,
    music,
    sounding,
    pricing,
    secondsPerBeat: secondsPerBeat(request.tempo),
    tables,
    holdsOf,
  };
}

/** Whatever the tables of a request hang on, as one text. The order of the pitches counts: it sets the order of frames, and with it which of two equals is taken. */
function tagOf(request: PlanRequest, { key }: Music, pitches: readonly string[], weights: Weights): string {
  const { instrument, size, tuning, extensionTo, stringLengthMm, fingerboardSemitones, hand, school, tempo, rules } =
    request;
  const { positions, strings, openStrings, fourthFinger, extensions, fingers, harmonics, patterns } = rules ?? {};
  return JSON.stringify([
    [instrument, size, tuning, extensionTo, stringLengthMm, fingerboardSemitones, hand, school, tempo],
    [positions, strings, openStrings, fourthFinger, extensions, fingers, harmonics, patterns],
    key.fifths,
    pitches,
    weights,
  ]);
}

function tablesFor(request: PlanRequest, music: Music, pitches: readonly Pitch[], weights: Weights): Tables {
  const setup = setupReaching(resolveSetup(request), Math.max(...pitches.map(midiOf)));
  const demanded = pitches.map((pitch) => demandedPitch(music.key, pitch));
  const model = handModel(setup, music.key, demanded, request.school);
  const pricing: Pricing = {
    weights,
    hand: resolveHand(setup, request.hand),
    stops: new Float64Array(HIGHEST_STOP + 1).map((_, n) => stopMm(setup.lengthMm, n)),
    landings: landingsOf(weights),
    resting: restingPlaces(setup, model),
  };
  const empty = { layers: new Map(), transitions: new Map(), blocks: new Map() };
  return { setup, model, pricing, holds: new Map(), ...empty };
}

/** Where the hand lies lowest for any of some holds, but not below its home position; semitones above the nut. */
function lowestAnchor(model: HandModel, holds: readonly Hold[]): number {
  let lowest = Infinity;
  for (const hold of holds) if (hold.frame !== NO_FRAME) lowest = Math.min(lowest, model.anchor(hold.position));
  return Math.max(model.anchor(model.home), lowest);
}

/** Events of the same content have the same holds. */
export function contentTag(event: SoundingEvent): string {
  return event.pitches.map((pitch) => `${letterSteps(pitch)}.${midiOf(pitch)}`).join('+');
}

/** The different pitches of some events, by a tag of each. */
function distinctPitches(events: readonly SoundingEvent[]): Map<string, Pitch> {
  const seen = new Map<string, Pitch>();
  for (const event of events)
    for (const pitch of event.pitches) seen.set(`${letterSteps(pitch)}.${midiOf(pitch)}`, pitch);
  return seen;
}

/** Stops up to here are looked up in tables; above every fingerboard, with room for a resting little finger. */
const HIGHEST_STOP = 60;

function landingsOf(weights: Weights): Float64Array {
  return new Float64Array(FINGER_SLOTS * FINGER_SLOTS).map((_, at) =>
    landingTerm(weights, Math.floor(at / FINGER_SLOTS), at % FINGER_SLOTS),
  );
}

/** The model's resting places worked out once: the search asks for them at every step. */
function restingPlaces(setup: Setup, model: HandModel): Pricing['resting'] {
  const strings = setup.strings.length;
  const places = new Float64Array(model.positionCount * strings * FINGER_SLOTS).fill(NaN);
  for (let position = 0, at = 0; position < model.positionCount; position++)
    for (let string = 0; string < strings; string++, at += FINGER_SLOTS)
      for (let finger = 1; finger < FINGER_SLOTS; finger++)
        places[at + finger] = model.resting(position, string, finger);
  return (position, string, finger) => places[(position * strings + string) * FINGER_SLOTS + finger];
}
