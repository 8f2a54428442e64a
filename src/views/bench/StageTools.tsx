import { Play, Square, ZoomIn, ZoomOut } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { tempoOf } from '../../app/brief/choices';
import { dronesFor } from '../../audio/heardScore';
import { classWords, printed } from '../../wording/notes';
import { stretchWords } from '../../wording/places';
import type { Speech } from '../../wording/plans';
import { midiOf, parsePitch, resolveSetup, type PlanRequest, type PlanResponse, type Setup } from '../../core';
import { carryMarked, toggleMarking, unmark } from '../../app/edits';
import { asksOf } from '../../app/brief/askedOf';
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
import {
  FINGERS_WORDS,
  LINE_WORDS,
  NAMES_WORDS,
  setFingers,
  setLines,
  setNames,
  toggleNeck,
  useLook,
  ZOOM_WORDS,
  zoomBy,
} from '../../app/look';
import { useBench } from '../../app/bench';
import { Choose } from '../../ui/Choose';
import { practise } from '../../app/opening';
import { RequestMenu } from './RequestMenu';
import type { Shown } from './shown';
import * as stretchText from '../../wording/rooms/stretches';
import * as benchPictureText from '../../wording/rooms/benchPicture';

/** Above the picture, in one row: hearing it, marking notes in it, and how it is shown. */
export const StageTools = memo(function StageTools({ shown }: { readonly shown: Shown }) {
  const { response, planned } = shown;
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1 text-[0.95rem]">
      <Listen response={response} asked={planned.ask.request} />
      <Mark />
      <Look />
    </div>
  );
});

interface ListenProps {
  readonly response: PlanResponse;
  readonly asked: PlanRequest;
}

function Listen({ response, asked }: ListenProps) {
  const { playing, count, loop, countIn, drone } = useListening();
  const request = useBench((state) => state.record.request);
  const drones = useMemo(() => dronesOf(response, resolveSetup(asked)), [response, asked]);
  return (
    <section aria-label={benchPictureText.listen} className="flex flex-wrap items-center gap-1.5">
      <button type="button" className="button flex items-center gap-1.5" onClick={listen} aria-pressed={playing}>
        {playing ? <Square size={16} aria-hidden /> : <Play size={16} aria-hidden />}
        {playing ? benchPictureText.stop : benchPictureText.listen}
      </button>
      <span role="status" className={count === null ? 'sr-only' : 'font-serif text-lg font-bold text-dove'}>
        {count}
      </span>
      <label className="flex items-center gap-1">
        <span aria-hidden className="font-serif">
          ♩ =
        </span>
        <TempoBox request={request} />
      </label>
      <Tick words={benchPictureText.loop} on={loop} onTick={setLoop} />
      <Tick words={benchPictureText.countIn} on={countIn} onTick={setCountIn} />
      <Choose
        look="slim"
        label={benchPictureText.drone}
        value={String(drone ?? '')}
        choices={[['', benchPictureText.noDrone], ...drones.map(({ midi, words }) => [String(midi), words] as const)]}
        onChoose={(midi) => setDrone(midi === '' ? null : Number(midi))}
      />
    </section>
  );
}

/** The one tempo of the plan: what is typed is taken as soon as it is one. */
function TempoBox({ request }: { readonly request: PlanRequest }) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = (text: string) => {
    setTyped(text);
    const bpm = Number(text);
    if (text === '') setTempo(undefined);
    else if (bpm >= SLOWEST && bpm <= FASTEST) setTempo(bpm);
  };
  return (
    <input
      type="number"
      aria-label={benchPictureText.beatsAMinute}
      min={SLOWEST}
      max={FASTEST}
      placeholder={String(bpmOf(request))}
      value={typed ?? tempoOf(request)}
      onChange={(event) => take(event.target.value)}
      onBlur={() => setTyped(null)}
      className="min-h-8 w-14 rounded-md border border-rule bg-sheet px-2"
    />
  );
}

function dronesOf({ key, events }: PlanResponse, setup: Setup) {
  const [tonic] = key.name.split(' ');
  const pitch = parsePitch(`${tonic}4`);
  const lowest = Math.min(...events.flatMap((event) => ('midi' in event ? event.midi : [])));
  const drones = dronesFor(setup, tonic, pitch ? midiOf(pitch) % 12 : 0, Number.isFinite(lowest) ? lowest : 60);
  return drones.map(({ midi, kind, name }) => ({
    midi,
    words:
      kind === 'tonic'
        ? benchPictureText.droneOnTheTonic(classWords(name))
        : benchPictureText.droneOnTheString(printed(name)),
  }));
}

interface TickProps {
  readonly words: string;
  readonly on: boolean;
  readonly onTick: (on: boolean) => void;
}

function Tick({ words, on, onTick }: TickProps) {
  return (
    <label className="flex min-h-8 items-center gap-1">
      <input type="checkbox" className="size-5" checked={on} onChange={(event) => onTick(event.target.checked)} />
      {words}
    </label>
  );
}

function Mark() {
  const marking = useBench((state) => state.marking);
  return (
    <button type="button" className="button" aria-pressed={marking} onClick={toggleMarking}>
      {marking ? benchPictureText.marking : benchPictureText.markNotes}
    </button>
  );
}

/** Notes marked for listening or as a pattern, and what can be done with them. */
export function Marked({ speech, response }: { readonly speech: Speech; readonly response: PlanResponse }) {
  const selection = useBench((state) => state.selection);
  const request = useBench(({ record }) => record.request);
  const asks =
    selection && selection.to < response.events.length ? asksOf(request, selection, response, speech.place) : [];
  return (
    <section aria-label={benchPictureText.markedNotes} className="flex flex-wrap items-center gap-2">
      {selection && (
        <>
          <span data-testid="marked">{stretchWords(speech.place, selection.from, selection.to)}</span>
          <RequestMenu label={stretchText.askOfTheMarked} words={stretchText.forTheseNotes} asks={asks} />
          <button type="button" className="button" onClick={carryMarked}>
            {benchPictureText.repeatThisFingering}
          </button>
          <button type="button" className="button" onClick={() => void practise()}>
            {benchPictureText.practiseThem}
          </button>
          <button type="button" className="button" onClick={unmark}>
            {benchPictureText.unmark}
          </button>
        </>
      )}
    </section>
  );
}

/** Which fingers are written over the staff; a part is printed with those that decide. */
export function FingersShown() {
  const { fingers } = useLook();
  return (
    <span className="ml-auto">
      <Choose
        look="slim"
        label={benchPictureText.fingersWritten}
        value={fingers}
        choices={FINGERS_WORDS}
        onChoose={setFingers}
      />
    </span>
  );
}

function Look() {
  const { zoom, lines, names, neck } = useLook();
  return (
    <section aria-label={benchPictureText.howItIsShown} className="ml-auto flex flex-wrap items-center gap-1.5">
      <button
        type="button"
        className="button"
        aria-label={benchPictureText.moreOfTheMusic}
        disabled={zoom === 0}
        onClick={() => zoomBy(-1)}
      >
        <ZoomOut size={16} aria-hidden />
      </button>
      <span className="sr-only" role="status" data-testid="zoom">
        {ZOOM_WORDS[zoom]}
      </span>
      <button
        type="button"
        className="button"
        aria-label={benchPictureText.closerPicture}
        disabled={zoom === ZOOM_WORDS.length - 1}
        onClick={() => zoomBy(1)}
      >
        <ZoomIn size={16} aria-hidden />
      </button>
      <Choose look="slim" label={benchPictureText.lines} value={lines} choices={LINE_WORDS} onChoose={setLines} />
      <Choose look="slim" label={benchPictureText.noteNames} value={names} choices={NAMES_WORDS} onChoose={setNames} />
      <button type="button" className="button" aria-pressed={neck} onClick={toggleNeck}>
        {benchPictureText.neck}
      </button>
    </section>
  );
}
