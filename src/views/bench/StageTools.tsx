import { Minus, Play, Plus, Square } from 'lucide-react';
import { useMemo } from 'react';
import { dronesFor } from '../../audio/score';
import { classWords, printed } from '../../wording/notes';
import { stretchWords } from '../../wording/places';
import type { Speech } from '../../wording/plans';
import { midiOf, parsePitch, type PlanResponse, type Setup } from '../../core';
import { carryMarked, toggleMarking, unmark } from '../../app/edits';
import {
  bpmOf,
  FASTEST,
  listen,
  setCountIn,
  setDrone,
  setLoop,
  setTempo,
  SLOWEST,
  useListening,
} from '../../app/listening';
import { NAMES_WORDS, setLines, setNames, useLook, ZOOMS, zoomBy } from '../../app/look';
import { useBench } from '../../app/bench';
import { practise } from '../../app/opening';

interface Props {
  readonly response: PlanResponse;
  readonly setup: Setup;
  readonly speech: Speech;
}

/** Above the picture: hearing it, marking notes in it, and how it is shown. */
export function StageTools({ response, setup, speech }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
      <Listen response={response} setup={setup} />
      <Marked speech={speech} />
      <Look />
    </div>
  );
}

function Listen({ response, setup }: Omit<Props, 'speech'>) {
  const { playing, count, bpm, loop, countIn, drone } = useListening();
  const request = useBench((state) => state.record.request);
  const drones = useMemo(() => dronesOf(response, setup), [response, setup]);
  return (
    <section aria-label="Listen" className="flex flex-wrap items-center gap-2">
      <button
        type="button"
        className="button flex items-center gap-1.5"
        onClick={listen}
        aria-pressed={playing}
      >
        {playing ? <Square size={16} aria-hidden /> : <Play size={16} aria-hidden />}
        {playing ? 'Stop' : 'Listen'}
      </button>
      <span role="status" className={count === null ? 'sr-only' : 'font-serif text-lg font-bold text-dove'}>
        {count}
      </span>
      <label className="flex items-center gap-1">
        <span className="sr-only">Beats a minute</span>
        <span aria-hidden className="font-serif">
          ♩ =
        </span>
        <input
          type="number"
          min={SLOWEST}
          max={FASTEST}
          value={bpmOf(bpm, request)}
          onChange={(event) => setTempo(Number(event.target.value) || SLOWEST)}
          className="min-h-9 w-16 rounded-md border border-rule bg-sheet px-2"
        />
      </label>
      <Tick words="loop" on={loop} onTick={setLoop} />
      <Tick words="count in" on={countIn} onTick={setCountIn} />
      <select
        aria-label="Drone"
        value={drone ?? ''}
        onChange={(event) => setDrone(event.target.value === '' ? null : Number(event.target.value))}
        className="min-h-9 [field-sizing:content] cursor-pointer rounded-md border border-rule bg-sheet px-1"
      >
        <option value="">no drone</option>
        {drones.map(({ midi, words }) => (
          <option key={words} value={midi}>
            {words}
          </option>
        ))}
      </select>
    </section>
  );
}

function dronesOf({ key, events }: PlanResponse, setup: Setup) {
  const [tonic] = key.name.split(' ');
  const pitch = parsePitch(`${tonic}4`);
  const lowest = Math.min(...events.flatMap((event) => ('midi' in event ? event.midi : [])));
  const drones = dronesFor(
    setup,
    tonic,
    pitch ? midiOf(pitch) % 12 : 0,
    Number.isFinite(lowest) ? lowest : 60,
  );
  return drones.map(({ midi, kind, name }) => ({
    midi,
    words:
      kind === 'tonic' ? `drone on ${classWords(name)}, the tonic` : `drone on the ${printed(name)} string`,
  }));
}

interface TickProps {
  readonly words: string;
  readonly on: boolean;
  readonly onTick: (on: boolean) => void;
}

function Tick({ words, on, onTick }: TickProps) {
  return (
    <label className="flex min-h-9 items-center gap-1">
      <input
        type="checkbox"
        className="size-5"
        checked={on}
        onChange={(event) => onTick(event.target.checked)}
      />
      {words}
    </label>
  );
}

/** Notes marked for listening or as a pattern. */
function Marked({ speech }: Pick<Props, 'speech'>) {
  const selection = useBench((state) => state.selection);
  const marking = useBench((state) => state.marking);
  return (
    <section aria-label="Marked notes" className="flex flex-wrap items-center gap-2">
      <button type="button" className="button" aria-pressed={marking} onClick={toggleMarking}>
        {marking ? 'Marking …' : 'Mark notes'}
      </button>
      {selection && (
        <>
          <span data-testid="marked">{stretchWords(speech.place, selection.from, selection.to)}</span>
          <button type="button" className="button" onClick={carryMarked}>
            Carry the fingers on
          </button>
          <button type="button" className="button" onClick={() => void practise()}>
            Practise them
          </button>
          <button type="button" className="button" onClick={unmark}>
            Unmark
          </button>
        </>
      )}
    </section>
  );
}

function Look() {
  const { zoom, lines, names } = useLook();
  return (
    <section aria-label="How it is shown" className="ml-auto flex items-center gap-2">
      <Tick words="in lines" on={lines} onTick={setLines} />
      <select
        aria-label="Note names"
        value={names}
        onChange={(event) => setNames(event.target.value)}
        className="min-h-9 [field-sizing:content] cursor-pointer rounded-md border border-rule bg-sheet px-1"
      >
        {NAMES_WORDS.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
      <button
        type="button"
        className="button"
        aria-label="Smaller picture"
        disabled={zoom === ZOOMS[0]}
        onClick={() => zoomBy(-1)}
      >
        <Minus size={16} aria-hidden />
      </button>
      <span className="sr-only" role="status" data-testid="zoom">
        {Math.round(zoom * 100)} %
      </span>
      <button
        type="button"
        className="button"
        aria-label="Larger picture"
        disabled={zoom === ZOOMS[ZOOMS.length - 1]}
        onClick={() => zoomBy(1)}
      >
        <Plus size={16} aria-hidden />
      </button>
    </section>
  );
}
