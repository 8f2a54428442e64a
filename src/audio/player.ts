import { Context, Filter, Gain, getContext, setContext, start, Synth } from './tone';
import { colourOf, hertz, type Excerpt } from './score';

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
  /** The event that is heard now. */
  readonly onMoment: (at: number) => void;
  /** Beats of the count-in still to come. */
  readonly onCount: (left: number) => void;
  readonly onEnd: () => void;
}

interface Band {
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
    await start();
  })();
  return ready;
}

function bandFor(strings: number): Band {
  if (band?.strings.length === strings) return band;
  band?.strings.forEach((voice) => voice.dispose());
  band?.click.dispose();
  const room = new Gain(0.5).toDestination();
  band = {
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
    }).connect(room),
  };
  return band;
}

const beatsToTicks = (beats: number) => `${Math.round(beats * getContext().transport.PPQ)}i`;

/** Plays an excerpt from its start; what was playing stops. */
export async function play(excerpt: Excerpt, options: PlayOptions): Promise<void> {
  await wake();
  stop();
  const transport = getContext().transport;
  const { strings, click } = bandFor(options.strings);
  const { countIn } = options;
  const draw = (time: number, show: () => void) => getContext().draw.schedule(show, time);
  transport.bpm.value = options.bpm;
  for (let beat = 0; beat < countIn; beat++)
    transport.schedule((time) => {
      click.triggerAttackRelease(beat === 0 ? 1568 : 1175, 0.05, time);
      draw(time, () => options.onCount(countIn - beat));
    }, beatsToTicks(beat));
  for (const { start, beats, midi, string, share } of excerpt.notes)
    transport.schedule(
      (time) => {
        const seconds = (beats * 60) / transport.bpm.value;
        strings[string].triggerAttackRelease(hertz(midi), seconds * share, time);
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

/** Stops what is playing, the drone excepted. */
export function stop() {
  if (!ready) return;
  const transport = getContext().transport;
  transport.stop();
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
  drone.triggerAttack(hertz(midi));
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
