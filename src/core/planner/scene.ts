import { gripsFor, widestPair, type WidestPair } from '../hand/grips';
import { FINGER_SLOTS, NO_FRAME, type DemandedPitch, type HandModel, type Hold } from '../hand/hold';
import { handModel } from '../hand/models';
import { resolveHand } from '../hand/profile';
import { stopMm } from '../instrument/geometry';
import { resolveSetup, type Setup } from '../instrument/setup';
import type { Music, SoundingEvent } from '../material/events';
import { keyAlteration, type Key } from '../pitch/key';
import { letterSteps, midiOf, respellings, type Pitch } from '../pitch/pitch';
import type { PlanRequest } from './request';
import type { Scene } from './terms';
import { requestWeights, secondsPerBeat, type Weights } from './weights';

/** Everything one request is planned with: the instrument, the hand on it, the music and the prices. */
export interface Stage {
  readonly request: PlanRequest;
  readonly setup: Setup;
  readonly model: HandModel;
  readonly music: Music;
  readonly sounding: readonly SoundingEvent[];
  readonly scene: Scene;
  readonly secondsPerBeat: number;
  /** All holds of an event before any demand, each with the widest spread it asks. */
  readonly gripsOf: (event: SoundingEvent) => Grips;
}

export interface Grips {
  readonly all: readonly Grip[];
  /** Where the hand would lie were there no demands: first position, or the lowest above it that serves; semitones above the nut. */
  readonly lowest: number;
}

export interface Grip {
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

export function setStage(
  request: PlanRequest,
  music: Music,
  weights: Weights = requestWeights(request),
): Stage {
  const setup = resolveSetup(request);
  const hand = resolveHand(request.instrument, request.hand);
  const sounding = music.events.filter((event): event is SoundingEvent => event.kind === 'sounding');
  const demanded = distinctPitches(sounding).map((pitch) => demandedPitch(music.key, pitch));
  const model = handModel(setup, music.key, demanded, request.school);
  const scene: Scene = {
    weights,
    hand,
    stops: Float64Array.from({ length: HIGHEST_STOP + 1 }, (_, n) => stopMm(setup.lengthMm, n)),
    resting: restingTable(setup, model),
  };
  const known = new Map<string, Grips>();
  function gripsOf(event: SoundingEvent): Grips {
    const tag = contentTag(event);
    let grips = known.get(tag);
    if (!grips) {
      const pitches = event.pitches.map((pitch) => demandedPitch(music.key, pitch));
      const holds = gripsFor(setup, model, pitches);
      const all = holds.map((hold) => ({ hold, widest: widestPair(hold, hand, scene.stops) }));
      grips = { all, lowest: lowestAnchor(model, holds) };
      known.set(tag, grips);
    }
    return grips;
  }
  return {
    request,
    setup,
    model,
    music,
    sounding,
    scene,
    secondsPerBeat: secondsPerBeat(request.tempo),
    gripsOf,
  };
}

function lowestAnchor(model: HandModel, holds: readonly Hold[]): number {
  let lowest = Infinity;
  for (const hold of holds)
    if (hold.frame !== NO_FRAME) lowest = Math.min(lowest, model.anchor(hold.position));
  return Math.max(model.anchor(model.home), lowest);
}

/** Events of the same content have the same holds. */
export function contentTag(event: SoundingEvent): string {
  return event.pitches.map((pitch) => `${letterSteps(pitch)}.${midiOf(pitch)}`).join('+');
}

function distinctPitches(events: readonly SoundingEvent[]): Pitch[] {
  const seen = new Map<string, Pitch>();
  for (const event of events)
    for (const pitch of event.pitches) seen.set(`${letterSteps(pitch)}.${midiOf(pitch)}`, pitch);
  return [...seen.values()];
}

/** Stops up to here are looked up in tables; above every fingerboard, with room for a resting little finger. */
const HIGHEST_STOP = 60;

/** The model's resting places worked out once: the search asks for them at every step. */
function restingTable(setup: Setup, model: HandModel): HandModel['resting'] {
  const strings = setup.strings.length;
  const table = Array.from({ length: model.positionCount * strings * FINGER_SLOTS }, (_, at) => {
    const finger = at % FINGER_SLOTS;
    const string = Math.floor(at / FINGER_SLOTS) % strings;
    const position = Math.floor(at / FINGER_SLOTS / strings);
    return finger === 0 ? NaN : model.resting(position, string, finger);
  });
  return (position, string, finger) => table[(position * strings + string) * FINGER_SLOTS + finger];
}
