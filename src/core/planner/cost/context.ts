import { CHORD_NOTES, holdsFor, type WidestPair } from '../../hand/together';
import { FINGER_SLOTS } from '../../hand/finger';
import { NO_FRAME, type DemandedPitch, type HandModel, type Hold } from '../../hand/hold';
import { handModel } from '../../hand/models';
import { resolveHand } from '../../hand/profile';
import { stopMm } from '../../instrument/geometry';
import { resolveSetup, setupReaching, type Setup } from '../../instrument/setup';
import type { Music, SoundingEvent } from '../../material/events';
import { partStarts, phraseStarts } from '../../material/phrases';
import { sungNotes } from '../../material/sung';
import { atOneTempo, secondsPerBeat } from '../../material/tempo';
import { keyAlteration, type Key } from '../../pitch/key';
import { letterSteps, midiOf, respellings, type Pitch } from '../../pitch/pitch';
import type { PhraseStart, PlanRequest, Weights } from '../../vocabulary';
import { overAt, rulesOver, type Over } from './over';
import { keptTables, type Holds, type Tables } from './tables';
import { landingTerm, type Pricing } from './terms';
import { pricedFor, requestWeights, unsungWeights } from './weights';

/** Everything one request is planned with: the instrument, the hand on it, the music and the prices. */
export interface Context {
  readonly request: PlanRequest;
  readonly setup: Setup;
  readonly model: HandModel;
  /** With all lengths in beats of the opening tempo. */
  readonly music: Music;
  /** As it was written. */
  readonly written: Music;
  readonly sounding: readonly SoundingEvent[];
  readonly pricing: Pricing;
  readonly secondsPerBeat: number;
  /** What is kept from request to request. */
  readonly tables: Tables;
  /** Where a phrase begins, by sounding events. */
  readonly phrases: ReadonlyMap<number, PhraseStart>;
  /** Sounding events after a rest so long that the hand has time to be anywhere. */
  readonly parts: ReadonlySet<number>;
  /** Of a piece that is sung where each note is stopped when it is played securely, in semitones; null where it is not sung. */
  readonly secure: Int32Array | null;
  /** Stretches with contexts of their own; null where this one is in force for all. */
  readonly stretches: Stretches | null;
  /** All holds of an event before any demand. */
  readonly holdsOf: (event: SoundingEvent) => Holds;
}

/** One context for all events of a part that have the same demands. */
interface Stretch {
  readonly context: Context;
  readonly over: Over;
}

interface Stretches {
  readonly all: readonly Stretch[];
  /** Of each sounding event its stretch. */
  readonly of: Int32Array;
  /** Of each sounding event the stretch by which the step to it is priced. */
  readonly stepTo: Int32Array;
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

/** Everything a request is planned with; where it has parts, or places with demands of their own, each stretch has its own. */
export function contextFor(request: PlanRequest, written: Music, weights: Weights = requestWeights(request)): Context {
  const music = { ...written, events: atOneTempo(written.events, written.changes, request.tempo?.bpm) };
  const sounding = music.events.filter((event): event is SoundingEvent => event.kind === 'sounding');
  const beat = secondsPerBeat(request.tempo);
  const phrases = phraseStarts(music, sounding, beat);
  const parts = partStarts(music, beat);
  const shared = {
    secure: null,
    request,
    music,
    written,
    sounding,
    secondsPerBeat: beat,
    phrases,
    parts,
    stretches: null,
  };
  const overs = oversOf(request, sounding, phrases);
  if (parts.size === 0 && overs.every(({ length }) => length === 0)) return stretchOf(shared, sounding, weights);
  return inStretches(shared, overs, weights);
}

type Shared = Omit<Context, 'setup' | 'model' | 'pricing' | 'tables' | 'holdsOf'>;

/** A context for the events of a stretch, whose hand is made for them alone. */
function stretchOf(shared: Shared, events: readonly SoundingEvent[], weights: Weights): Context {
  const { request, music } = shared;
  const pitches = distinctPitches(events);
  const highest = events === shared.sounding ? pitches : distinctPitches(shared.sounding);
  const reaches = Math.max(...[...highest.values()].map(midiOf));
  const tables = keptTables(tagOf(request, music, [reaches, ...pitches.keys()], weights), () =>
    tablesFor(request, music, [...pitches.values()], reaches, weights),
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
  return { ...shared, setup, model, pricing, tables, holdsOf };
}

/** What is in force at each event over the demands of the whole, as one text; empty where nothing is. */
function oversOf(
  { style, rules, material }: PlanRequest,
  sounding: readonly SoundingEvent[],
  phrases: Context['phrases'],
): string[] {
  const places = rules?.places ?? [];
  const sings = style === 'singing' || places.some((place) => place.style === 'singing');
  if (places.length === 0 && (!sings || material.type !== 'notes')) return sounding.map(() => '');
  const sung = sings && material.type === 'notes' ? sungNotes(sounding, (t) => phrases.has(t)) : null;
  return sounding.map(({ at }, t) => {
    const over = overAt(places, at);
    const apart = sung && !sung[t] && (over.style ?? style) === 'singing' ? { unsung: true } : {};
    const all = { ...over, ...apart };
    return Object.keys(all).length === 0 ? '' : JSON.stringify(all);
  });
}

/** One stretch for all events of a part with the same demands; the steps between two of them are priced by the part without any. */
function inStretches(shared: Shared, overs: readonly string[], weights: Weights): Context {
  const { sounding, parts } = shared;
  const all: Stretch[] = [];
  const known = new Map<string, number>();
  const of = new Int32Array(sounding.length);
  const stepTo = new Int32Array(sounding.length);
  for (let from = 0, to = 1; from < sounding.length; from = to++) {
    while (to < sounding.length && !parts.has(to)) to++;
    const events = sounding.slice(from, to);
    const stretchFor = (over: string): number => {
      const tag = `${from} ${over}`;
      const number = known.get(tag) ?? all.length;
      known.set(tag, number);
      if (number === all.length) all.push(placed(shared, events, over, weights));
      return number;
    };
    for (let t = from; t < to; t++) {
      of[t] = stretchFor(overs[t]);
      stepTo[t] = t > from && of[t - 1] === of[t] ? of[t] : stretchFor('');
    }
  }
  const [first] = all;
  const indexOf = new Map(sounding.map((event, t) => [event.at, t]));
  const holdsOf = (event: SoundingEvent) => all[of[indexOf.get(event.at) ?? 0]].context.holdsOf(event);
  return {
    ...first.context,
    ...shared,
    pricing: { ...first.context.pricing, weights },
    holdsOf,
    stretches: { all, of, stepTo },
  };
}

function placed(shared: Shared, events: readonly SoundingEvent[], over: string, weights: Weights): Stretch {
  const { unsung = false, ...demands } = (over ? JSON.parse(over) : {}) as Over & { readonly unsung?: boolean };
  const { request } = shared;
  const { style = request.style } = demands;
  const own: PlanRequest = { ...request, style, rules: rulesOver(request.rules, demands) };
  const prices = unsung ? unsungWeights(own) : pricedFor(weights, request, own);
  return { over: demands, context: stretchOf({ ...shared, request: over ? own : request }, events, prices) };
}

/** Whatever the tables of a request hang on, as one text. The order of the pitches counts: it sets the order of frames, and with it which of two equals is taken. */
function tagOf(request: PlanRequest, { key }: Music, pitches: readonly (string | number)[], weights: Weights): string {
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

/** @param reaches the highest pitch of all */
function tablesFor(
  request: PlanRequest,
  music: Music,
  pitches: readonly Pitch[],
  reaches: number,
  weights: Weights,
): Tables {
  const setup = setupReaching(resolveSetup(request), reaches);
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
