import { useMemo, useState } from 'react';
import { TONICS } from '../../app/brief/briefMaterial';
import type { Meaning } from '../../app/meaning';
import { Field, type Spot } from '../../drawing/board/Field';
import {
  heardNotes,
  mapOfKey,
  pitchName,
  placesOfNote,
  plan,
  playedNotes,
  positionsOf,
  readKey,
  type Holding,
  type MapSpot,
  type PlanRequest,
  type PositionNumber,
  instrumentRecord,
} from '../../core';
import { Choose } from '../../ui/Choose';
import { shortCheck } from '../../wording/checks';
import { listed, sentence } from '../../wording/grammar';
import { noteName, noteWords, printed } from '../../wording/notes';
import { positionName, positionWords, stringWords } from '../../wording/places';
import * as handViewsText from '../../wording/rooms/handViews';

const MODES = ['major', 'minor'] as const;
const SHOWN = [
  ['names', handViewsText.noteNames],
  ['fingers', 'fingers'],
] as const;
/** Where nothing else is known of a student the map goes up to here. */
const USUAL_TOP = 3;

/** The whole fingerboard to scale with the notes of a key: what they are called, with which finger in which position, and what to check them by. */
export function BoardMap({ meaning }: { readonly meaning: Meaning }) {
  const { request, student, response } = meaning;
  const { setup } = meaning.findings;
  const kind = request.instrument;
  const byLetters = instrumentRecord(kind).fingering.by === 'letters';
  const [tonic, setTonic] = useState(response.key.name.split(' ')[0]);
  const [mode, setMode] = useState(response.key.name.endsWith('minor') ? 'minor' : 'major');
  const [shown, setShown] = useState<string>('names');
  const [only, setOnly] = useState('all');
  const [chosen, setChosen] = useState<MapSpot | null>(null);
  const [everywhere, setEverywhere] = useState(false);
  const known = useMemo(() => positionsFor(meaning), [meaning]);
  const key = useMemo(() => readKey(`${tonic} ${mode}`), [tonic, mode]);
  const whole = useMemo(() => mapOfKey(setup, key, known, request.school), [setup, key, known, request.school]);
  const inPlace = only === 'all' ? whole : whole.map((spot) => held(spot, only)).filter(isHeld);
  const spots = everywhere && chosen ? placesOfNote(whole, chosen.pitch) : inPlace;
  const names = student?.noteNames;
  const top = Math.max(4, ...whole.map(({ semitones }) => semitones)) + 1;
  const drawn = spots.map((spot): Spot & { readonly spot: MapSpot } => ({
    spot,
    string: setup.strings[spot.string].name,
    semitones: spot.semitones,
    label: shown === 'names' ? noteName(spot.pitch, names) : fingersWords(spot),
    tone: chosen && same(spot, chosen) ? 'right' : 'plain',
    rings: spot.ringsWith !== undefined,
    words: `${noteWords(pitchName(spot.pitch), names)}, ${whereWords(spot, meaning)}${ringWords(spot, meaning)}`,
  }));
  return (
    <section aria-labelledby="map" className="flex flex-col gap-2" data-testid="map">
      <div className="flex flex-wrap items-center gap-2">
        <h2 id="map" className="font-serif text-xl font-semibold">
          {handViewsText.mapOfTheFingerboard}
        </h2>
        <Choose
          label={handViewsText.keyOfTheMap}
          value={tonic}
          choices={TONICS.map((name) => [name, printed(name, names)] as const)}
          onChoose={setTonic}
        />
        <Choose
          label={handViewsText.modeOfTheMap}
          value={mode}
          choices={MODES.map((name) => [name, name] as const)}
          onChoose={setMode}
        />
        <Choose label={handViewsText.writtenInThePlaces} value={shown} choices={SHOWN} onChoose={setShown} />
        <Choose
          label={handViewsText.positionsOfTheMap}
          value={only}
          choices={[
            [
              'all',
              student?.positions
                ? handViewsText.allThatKnows(student.name || handViewsText.theStudent)
                : handViewsText.allPositionsShown,
            ],
            ...known.map((position) => [String(position), positionWords(position, kind)] as const),
          ]}
          onChoose={setOnly}
        />
      </div>
      <div className="overflow-x-auto rounded-lg border border-rule bg-sheet px-2 py-1">
        <Field
          setup={setup}
          upTo={top}
          spots={drawn}
          label={handViewsText.fingerboardToScaleThe(printed(tonic), mode)}
          onChoose={(spot) => setChosen((spot as (typeof drawn)[number]).spot)}
        />
      </div>
      {spots.some(({ ringsWith }) => ringsWith !== undefined) && (
        <p className="text-sm text-faded">{handViewsText.twoRingsAnOpen}</p>
      )}
      <div role="status" className="min-h-28 text-[0.98rem]">
        {chosen ? (
          <Chosen meaning={meaning} spot={chosen} whole={whole} />
        ) : (
          <p className="text-faded">
            {handViewsText.chooseANoteWhere}
            {byLetters && handViewsText.aSharpOrA}
          </p>
        )}
      </div>
      {chosen && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={everywhere}
            onChange={(event) => setEverywhere(event.target.checked)}
          />
          {handViewsText.onlyThePlacesOf(noteWords(pitchName(chosen.pitch), names))}
        </label>
      )}
    </section>
  );
}

const same = (a: MapSpot, b: MapSpot) => a.string === b.string && a.semitones === b.semitones;

const held = (spot: MapSpot, position: string): MapSpot => ({
  ...spot,
  holdings: spot.holdings.filter((one) => String(one.position) === position),
});

const isHeld = ({ semitones, holdings }: MapSpot) => semitones === 0 || holdings.length > 0;

/** The positions that the student knows, or those of a first term of shifting; the thumb has no place of its own on a map. */
function positionsFor({ request, student, findings: { setup } }: Meaning): PositionNumber[] {
  const rule = student?.positions;
  const numbered = positionsOf(setup, request.school).filter((position) => position !== 'thumb');
  if (!rule) return numbered.filter((position) => position <= USUAL_TOP);
  if ('only' in rule) return numbered.filter((position) => rule.only.includes(position));
  const top = rule.to === 'thumb' ? Infinity : rule.to;
  return numbered.filter((position) => position >= Number(rule.from) && position <= top);
}

function fingersWords({ semitones, holdings }: MapSpot): string {
  if (semitones === 0) return '0';
  return [...new Set(holdings.map(({ finger }) => finger))].join('/');
}

function whereWords({ string, semitones, holdings }: MapSpot, { findings: { setup }, request }: Meaning): string {
  const on = handViewsText.onThe(stringWords(setup.strings[string].name));
  if (semitones === 0) return handViewsText.boardMapOpen(on);
  const by = holdings.map(({ finger, position }: Holding) =>
    handViewsText.inIt(finger, positionName(position, request.instrument)),
  );
  return handViewsText.position(on, listed(by));
}

function ringWords({ ringsWith }: MapSpot, { findings: { setup } }: Meaning): string {
  return ringsWith === undefined ? '' : handViewsText.ringsWithTheOpen(stringWords(setup.strings[ringsWith].name));
}

interface ChosenProps {
  readonly meaning: Meaning;
  readonly spot: MapSpot;
  readonly whole: readonly MapSpot[];
}

/** One note of the map: its fingers, its other places, its checks. */
function Chosen({ meaning, spot, whole }: ChosenProps) {
  const name = noteWords(pitchName(spot.pitch), meaning.student?.noteNames);
  const others = placesOfNote(whole, spot.pitch).filter((other) => !same(other, spot));
  const heard = useMemo(() => heardAt(meaning, spot), [meaning, spot]);
  const { setup } = meaning.findings;
  const fitting = heard?.checks.find(({ fits }) => fits);
  return (
    <ul className="list-disc pl-5">
      <li>
        <strong>{name}</strong>, {whereWords(spot, meaning)}.
      </li>
      <li>
        {others.length === 0
          ? handViewsText.nowhereElseWithinThese
          : handViewsText.theSameNote(listed(others.map((other) => whereWords(other, meaning))))}
      </li>
      {spot.semitones > 0 && (
        <li>
          {fitting ? handViewsText.checkIt(shortCheck(fitting, setup)) : handViewsText.noStringChecksIt}
          {heard &&
            heard.ringing.clear.length > 0 &&
            handViewsText.ringsAlongWhenIt(
              sentence(
                listed(heard.ringing.clear.map((string) => handViewsText.the(stringWords(setup.strings[string].name)))),
              ),
            )}
        </li>
      )}
    </ul>
  );
}

/** What the ear meets at a place: the note is planned there by itself. */
function heardAt(
  { request, response: music, aim, findings: { setup } }: Meaning,
  { pitch, string, holdings }: MapSpot,
) {
  const [holding] = holdings;
  if (!holding) return undefined;
  const lock = { at: 0, string: setup.strings[string].name, finger: holding.finger, position: holding.position };
  const alone: PlanRequest = {
    ...request,
    material: { type: 'notes', notes: [{ pitches: [pitchName(pitch)], beats: 1 }] },
    rules: { locks: [lock] },
    alternatives: 1,
  };
  const response = plan(alone);
  const [best] = response.plans;
  return best && heardNotes(playedNotes(response.events, best, setup), { key: music.key }, setup, aim, request)[0];
}
