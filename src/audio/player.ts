import { Context, Filter, Gain, getContext, setContext, start, Synth } from './tone';
import { hertzOf } from '../core';
import { colourOf, type Excerpt } from './heardScore';

/*
 * Plays excerpts with one voice a string. Everything is made at the first call, which must come from a click or a key: a page that was not
 * asked stays silent.
 */

export interface PlayOptions {
  readonly bpm: number;
  readonly loop: boolean;
  /** Beats clicked before the first note; 0 for none. */
  readonly countIn: number;
  readonly strings: number;
  /** Clicks to a beat that go on under the notes; none where left out. */
  readonly clicks?: number;
  /** How loud the notes are, from 0 to 1; 1 where left out. */
  readonly volume?: number;
  /** A beat, from 0 where the notes begin; negative while it is counted in. */
  readonly onBeat?: (beat: number) => void;
  /** The event that is heard now. */
  readonly onMoment: (at: number) => void;
  /** The beat of the count-in, from 1. */
  readonly onCount: (beat: number) => void;
  readonly onEnd: () => void;
}

interface Band {
  readonly room: Gain;
  readonly strings: readonly Synth[];
  readonly click: Synth;
}

let band: Band | undefined;
let drone: Synth | undefined;
let ready: Promise<void> | undefined;

/** Wakes the sound up; the clock runs without a blob worker, which the page's policy forbids. */
function wake(): Promise<void> {
  ready ??= (async () => {
    setContext(new Context({ clockSource: 'timeout', latencyHint: 'interactive' }));
    // What a page that stood still, or lay hidden, was late to show is shown then: the end among it, without which playing would go on for ever.
    getContext().draw.expiration = Infinity;
    document.addEventListener('visibilitychange', hiddenWhilePlaying);
    await start();
  })();
  return ready;
}

function bandFor(strings: number): Band {
  if (band?.strings.length === strings) return band;
  clearBand();
  const out = new Gain(0.5).toDestination();
  const room = new Gain(1).connect(out);
  band = {
    room,
    strings: Array.from({ length: strings }, (_, string) => {
      const { partials, cutoffHz } = colourOf(string, strings);
      const filter = new Filter(cutoffHz, 'lowpass').connect(room);
      return new Synth({
        oscillator: { type: 'custom', partials: [...partials] },
        envelope: { attack: 0.04, decay: 0.15, sustain: 0.75, release: 0.12 },
        volume: -6,
      }).connect(filter);
    }),
    click: new Synth({
      oscillator: { type: 'triangle' },
      envelope: { attack: 0.001, decay: 0.05, sustain: 0, release: 0.02 },
    }).connect(out),
  };
  return band;
}

function clearBand() {
  band?.strings.forEach((voice) => voice.dispose());
  band?.click.dispose();
  band = undefined;
}

const beatsToTicks = (beats: number) => `${Math.round(beats * getContext().transport.PPQ)}i`;

/** Plays an excerpt from its start; what was playing stops. */
export async function play(excerpt: Excerpt, options: PlayOptions): Promise<void> {
  await wake();
  stop();
  const transport = getContext().transport;
  lookAhead(document.hidden);
  const { room, strings, click } = bandFor(options.strings);
  const { countIn, clicks = 0, volume = 1 } = options;
  room.gain.value = volume;
  const draw = (time: number, show: () => void) => getContext().draw.schedule(show, time);
  transport.bpm.value = options.bpm;
  for (let beat = 0; beat < countIn; beat++)
    transport.schedule((time) => {
      strike(click, beat === 0 ? 'first' : 'beat', time);
      draw(time, () => {
        options.onCount(beat + 1);
        options.onBeat?.(beat - countIn);
      });
    }, beatsToTicks(beat));
  for (let at = 0; at < Math.ceil(excerpt.beats) * clicks; at++)
    transport.schedule(
      (time) => {
        const onBeat = at % clicks === 0;
        strike(click, onBeat ? 'beat' : 'between', time);
        if (onBeat) draw(time, () => options.onBeat?.(at / clicks));
      },
      beatsToTicks(countIn + at / clicks),
    );
  for (const { start, beats, midi, string, share, strength = 1 } of excerpt.notes)
    transport.schedule(
      (time) => {
        const seconds = (beats * 60) / transport.bpm.value;
        strings[string].triggerAttackRelease(hertzOf(midi), seconds * share, time, strength);
      },
      beatsToTicks(countIn + start),
    );
  for (const { at, start } of excerpt.moments)
    transport.schedule((time) => draw(time, () => options.onMoment(at)), beatsToTicks(countIn + start));
  const end = beatsToTicks(countIn + excerpt.beats);
  if (options.loop) {
    transport.setLoopPoints(beatsToTicks(countIn), end);
    transport.loop = true;
  } else {
    transport.schedule((time) => {
      draw(time, () => {
        stop();
        options.onEnd();
      });
    }, end);
  }
  transport.start('+0.05', 0);
}

/** Pitches of the clicks, in Hz. */
const CLICKS = { first: 1568, beat: 1175, between: 784 } as const;

/** One click at a time of the audio clock. Each leaves a mark of when it was to sound and how far ahead that was known, by which its steadiness is measured. */
function strike(click: Synth, kind: keyof typeof CLICKS, time: number) {
  click.triggerAttackRelease(CLICKS[kind], 0.05, time, kind === 'between' ? 0.4 : 1);
  if (performance.getEntriesByName(CLICK_MARK).length >= MOST_MARKS) performance.clearMarks(CLICK_MARK);
  performance.mark(CLICK_MARK, { detail: { time, ahead: time - getContext().currentTime } });
}

const CLICK_MARK = 'click';
const MOST_MARKS = 5000;

/** Seconds of sound that are laid out ahead: in a page that lies hidden the browser lets timers run once a second at most. */
const AHEAD = { seen: 0.35, hidden: 2.5 } as const;
const WAKES = { seen: 0.05, hidden: 0.5 } as const;
let isLong = false;

function lookAhead(hidden: boolean) {
  const context = getContext() as Context;
  const how = hidden ? 'hidden' : 'seen';
  context.lookAhead = AHEAD[how];
  context.updateInterval = WAKES[how];
  isLong = hidden;
}

/** A page that is hidden while it plays lays out more at once. It stays so until it stops: sound that is laid out already is not laid out again. */
function hiddenWhilePlaying() {
  if (!document.hidden || isLong || getContext().transport.state !== 'started') return;
  lookAhead(true);
  getContext().emit('tick');
}

/** A metronome by itself until it is stopped: the first beat of a bar stands out. */
export async function startMetronome(bpm: number, beats: number, onBeat: (beat: number) => void): Promise<void> {
  await wake();
  stop();
  const transport = getContext().transport;
  lookAhead(document.hidden);
  const { click } = bandFor(1);
  transport.bpm.value = bpm;
  for (let beat = 0; beat < beats; beat++)
    transport.schedule((time) => {
      strike(click, beat === 0 ? 'first' : 'beat', time);
      getContext().draw.schedule(() => onBeat(beat), time);
    }, beatsToTicks(beat));
  transport.setLoopPoints(0, beatsToTicks(beats));
  transport.loop = true;
  transport.start('+0.05', 0);
}

/** Stops what is playing, the drone excepted. */
export function stop() {
  if (!ready) return;
  const transport = getContext().transport;
  transport.stop(getContext().immediate());
  // Clicks that were laid out for seconds to come are not to be heard any more.
  if (isLong) clearBand();
  transport.cancel(0);
  getContext().draw.cancel(0);
  transport.loop = false;
  band?.strings.forEach((voice) => voice.triggerRelease());
}

/** Takes another tempo at once, while playing too. */
export function setTempo(bpm: number) {
  if (ready) getContext().transport.bpm.value = bpm;
}

/** Sounds a drone until it is called with null. */
export async function setDrone(midi: number | null): Promise<void> {
  await wake();
  drone?.triggerRelease();
  if (midi === null) return;
  drone ??= new Synth({
    oscillator: { type: 'custom', partials: [1, 0.5, 0.35, 0.2, 0.12, 0.08] },
    envelope: { attack: 0.4, decay: 0, sustain: 1, release: 0.5 },
    volume: -20,
  }).toDestination();
  drone.triggerAttack(hertzOf(midi));
}

let line: Synth | undefined;

/** Sounds some pitches one after the other: a target before it is played, or notes to be told apart. */
export async function soundLine(hertzs: readonly number[], secondsEach: number): Promise<void> {
  await wake();
  line ??= new Synth({
    oscillator: { type: 'custom', partials: [1, 0.6, 0.45, 0.3, 0.22, 0.15, 0.1] },
    envelope: { attack: 0.06, decay: 0, sustain: 1, release: 0.2 },
    volume: -12,
  }).toDestination();
  const from = getContext().immediate() + 0.05;
  hertzs.forEach((hertz, at) => line?.triggerAttackRelease(hertz, secondsEach * 0.85, from + at * secondsEach));
}

let pair: readonly Synth[] | undefined;

/** Sounds two notes at once for some seconds: a note against an open string, pure or mistuned. */
export async function soundPair(hertzs: readonly [number, number], seconds: number): Promise<void> {
  await wake();
  pair ??= [0, 1].map(() =>
    new Synth({
      oscillator: { type: 'custom', partials: [1, 0.6, 0.45, 0.3, 0.22, 0.15, 0.1] },
      envelope: { attack: 0.08, decay: 0, sustain: 1, release: 0.3 },
      volume: -14,
    }).toDestination(),
  );
  pair.forEach((voice, at) => voice.triggerAttackRelease(hertzs[at], seconds));
}

/** Sounds two notes for some seconds, one after the other. */
export function soundInTurn(hertzs: readonly [number, number], seconds: number): Promise<void> {
  return soundLine(hertzs, seconds / 2);
}

/** Ends what was sounded of single notes. */
export function hush() {
  pair?.forEach((voice) => voice.triggerRelease());
  line?.triggerRelease();
}
