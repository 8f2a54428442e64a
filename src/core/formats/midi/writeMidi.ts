import { writeMidi, type MidiEvent } from 'midi-file';
import type { InstrumentName } from '../../vocabulary';
import { readTime } from '../../material/bars';
import type { WritableMusic } from '../../written/parts';
import { writtenFifths } from '../../written/signature';
import { instrumentRecord } from '../../instrument/instruments';

/** Ticks in a quarter. */
const TICKS = 480;

export interface MidiPart {
  readonly name: string;
  readonly instrument: InstrumentName;
  readonly music: WritableMusic;
}

/** Beats a minute where none are known. */
const USUAL_BPM = 60;
const VELOCITY = 80;

/** An event at its tick; `off` before `on` where both are. */
interface Placed {
  readonly tick: number;
  readonly order: number;
  readonly event: MidiEvent;
}

/**
 * A standard MIDI file: a track for tempo, key and time, and one for each part, the notes as they sound.
 * @param bpm beats a minute, a beat being the lower number of the signature
 */
export function writeMidiFile(title: string, parts: readonly MidiPart[], bpm: number = USUAL_BPM): Uint8Array {
  const tracks = [conductor(title, parts[0].music, bpm), ...parts.map(track)].map(inOrder);
  return Uint8Array.from(writeMidi({ header: { format: 1, numTracks: tracks.length, ticksPerBeat: TICKS }, tracks }));
}

/** The tick of each event, and of the end. */
function ticksOf({ events, time }: WritableMusic): number[] {
  const quarter = 4 / readTime(time).of;
  const ticks = [0];
  let onset = 0;
  for (const { beats } of events) {
    onset += beats * quarter;
    ticks.push(Math.round(onset * TICKS));
  }
  return ticks;
}

function conductor(title: string, music: WritableMusic, bpm: number): Placed[] {
  const ticks = ticksOf(music);
  const { of } = readTime(music.time);
  const put = (tick: number, event: object): Placed => ({
    tick,
    order: 0,
    event: { deltaTime: 0, meta: true, ...event } as MidiEvent,
  });
  const tempo = (tick: number, beats: number) =>
    put(tick, { type: 'setTempo', microsecondsPerBeat: Math.round((60_000_000 * of) / (4 * beats)) });
  const signature = (tick: number, time: string) => {
    const { beats, of: lower } = readTime(time);
    return put(tick, { type: 'timeSignature', numerator: beats, denominator: lower, metronome: 24, thirtyseconds: 8 });
  };
  const key = (tick: number, fifths: number) =>
    put(tick, { type: 'keySignature', key: writtenFifths(fifths), scale: 0 });
  return [
    put(0, { type: 'trackName', text: ascii(title) }),
    tempo(0, bpm),
    signature(0, music.time),
    key(0, music.key.fifths),
    ...(music.changes ?? []).flatMap((change) => {
      const tick = ticks[change.at] ?? 0;
      return [
        ...(change.time ? [signature(tick, change.time)] : []),
        ...(change.key ? [key(tick, change.key.fifths)] : []),
        ...(change.bpm ? [tempo(tick, change.bpm)] : []),
      ];
    }),
    put(ticks[ticks.length - 1], { type: 'endOfTrack' }),
  ];
}

function track({ name, instrument, music }: MidiPart, n: number): Placed[] {
  // The tenth channel is for drums.
  const channel = n % 15 < 9 ? n % 15 : (n % 15) + 1;
  const ticks = ticksOf(music);
  const placed: Placed[] = [
    { tick: 0, order: 0, event: { deltaTime: 0, meta: true, type: 'trackName', text: ascii(name) } },
    {
      tick: 0,
      order: 0,
      event: { deltaTime: 0, channel, type: 'programChange', programNumber: instrumentRecord(instrument).program },
    },
  ];
  music.events.forEach((event, at) => {
    if ('rest' in event) return;
    for (const noteNumber of event.midi) {
      const on = { deltaTime: 0, channel, type: 'noteOn', noteNumber, velocity: VELOCITY } as const;
      const off = { deltaTime: 0, channel, type: 'noteOff', noteNumber, velocity: 0 } as const;
      placed.push({ tick: ticks[at], order: 2, event: on }, { tick: ticks[at + 1], order: 1, event: off });
    }
  });
  placed.push({ tick: ticks[ticks.length - 1], order: 3, event: { deltaTime: 0, meta: true, type: 'endOfTrack' } });
  return placed;
}

function inOrder(placed: readonly Placed[]): MidiEvent[] {
  let now = 0;
  return [...placed]
    .sort((a, b) => a.tick - b.tick || a.order - b.order)
    .map(({ tick, event }) => {
      const deltaTime = tick - now;
      now = tick;
      return { ...event, deltaTime };
    });
}

/** MIDI text has no signs beyond ASCII that every reader agrees on. */
function ascii(text: string): string {
  return text.normalize('NFD').replace(/[^\x20-\x7e]/g, '');
}
