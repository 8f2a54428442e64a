import { useState } from 'react';
import { TONICS } from '../../app/brief/briefMaterial';
import { classWords, printed } from '../../wording/notes';
import { fingerWords, positionWords } from '../../wording/places';
import {
  drillKey,
  drillOfShift,
  instrumentRecord,
  matchingDrill,
  octaveBuilding,
  positionsOf,
  readKey,
  sameFingerOnAll,
  sameFingerSeries,
  shiftDrill,
  type Finger,
  type PlanRequest,
  type ShiftDetail,
  type ShiftDrill,
} from '../../core';
import { Choose } from '../../ui/Choose';
import { openAsPlan, practiseAsPlan, type Meaning } from '../../app/meaning';
import { say } from '../../app/notices';
import { positionDrillInWorker } from '../../work/planner';
import * as shiftsViewsText from '../../wording/rooms/shiftsViews';

const KINDS = [
  ['pair', shiftsViewsText.aShiftFromFinger],
  ['same', shiftsViewsText.oneFingerAllThe],
  ['match', shiftsViewsText.aFingerMatchedBy],
  ['octaves', shiftsViewsText.octavesBuiltUp],
  ['scale', shiftsViewsText.aScaleInOne],
  ['broken-thirds', shiftsViewsText.brokenThirdsInOne],
] as const;
type Kind = (typeof KINDS)[number][0];

const DISTANCES = [
  shiftsViewsText.seriesTheSameNote,
  'a second',
  'a third',
  'a fourth',
  'a fifth',
  'a sixth',
  'a seventh',
  shiftsViewsText.anOctave,
].map((words, steps) => [String(steps), words] as const);
/** The farthest that a form tells of. */
const FARTHEST = DISTANCES.length - 1;
const WAYS = [
  ['up', shiftsViewsText.goingUp],
  ['down', shiftsViewsText.comingDown],
] as const;
/** Where the thumb may lie on the string it has a series of its own. */
const fingersOf = (thumb: boolean) =>
  ([...(thumb ? (['T'] as const) : []), 1, 2, 3, 4] as const).map(
    (finger) => [String(finger), fingerWords(finger)] as const,
  );
const KEYS = TONICS.flatMap((tonic) => ['major', 'minor'].map((mode) => `${tonic} ${mode}`)).filter(
  (name) => Math.abs(readKey(name).fifths) <= 7,
);
const keyWords = (name: string) => {
  const [tonic, ...mode] = name.split(' ');
  return [classWords(tonic), ...mode].join(' ');
};
/** In place of a string's name. */
const EVERY = 'every';
const SPANS = [3, 4, 5, 6, 8].map((span) => [String(span), shiftsViewsText.places(span)] as const);

const asFinger = (name: string) => (name === 'T' ? 'T' : (Number(name) as Finger));
/** The lowest note of a finger in letter steps above the open string: in first position, the thumb at the octave. */
const lowest = (finger: Finger) => (finger === 'T' ? OCTAVE_STEPS : Number(finger));
const OCTAVE_STEPS = 7;

/** Why nothing can be made, and what to do. */
const NOTHING = { string: shiftsViewsText.nothingOfThisDrill, position: shiftsViewsText.thisPositionHasNot } as const;

interface Props {
  readonly meaning: Meaning;
  /** The shift that the drill begins from. */
  readonly detail: ShiftDetail | undefined;
}

/** Where no shift is chosen: the first that everybody learns. */
const FIRST_DRILL = { fromFinger: 1, toFinger: 3, distance: 3, start: 1, span: 5 } as const;

/** Drills made to order: each is a plan of its own. It begins as the drill for the chosen shift. */
export function Series({ meaning, detail }: Props) {
  const { record, request, response, findings } = meaning;
  const { setup } = findings;
  const { strings } = setup;
  const first: ShiftDrill = detail
    ? drillOfShift(detail, response, setup)
    : { ...FIRST_DRILL, key: drillKey(response), string: strings[strings.length - 2].name };
  const like = Math.abs(first.distance) <= FARTHEST;
  const [kind, setKind] = useState<Kind>('pair');
  const [from, setFrom] = useState(String(first.fromFinger));
  const [to, setTo] = useState(String(first.toFinger));
  const [string, setString] = useState(first.string);
  const [distance, setDistance] = useState(String(Math.min(FARTHEST, Math.abs(first.distance))));
  const [way, setWay] = useState(first.distance < 0 ? 'down' : 'up');
  const [span, setSpan] = useState(String(first.span));
  const [position, setPosition] = useState('1');
  const places = positionsOf(setup, request.school);
  const place = places.find((one) => String(one) === position) ?? 1;
  const onePosition = kind === 'scale' || kind === 'broken-thirds';
  const [key, setKey] = useState(first.key);
  const keys = KEYS.includes(first.key) ? KEYS : [first.key, ...KEYS];
  const fingers = fingersOf(instrumentRecord(request.instrument).upTheNeck !== 'thumb-round');
  const make = async (open: typeof openAsPlan) => {
    const made = await madeRequest();
    const notes = made?.material.type === 'notes' ? made.material.notes.length : 1;
    if (!made || notes === 0) say({ kind: 'trouble', message: NOTHING[onePosition ? 'position' : 'string'] });
    else open(made, nameOf(), record);
  };
  const madeRequest = async (): Promise<PlanRequest | null> => {
    const common = { key, string, span: Number(span) };
    const finger = asFinger(from);
    switch (kind) {
      case 'pair': {
        const steps = way === 'up' ? Number(distance) : -Number(distance);
        const pair = { fromFinger: finger, toFinger: asFinger(to), distance: steps };
        // As far apart as the shift it is made for, in another key too.
        const unchanged = detail && like && steps === first.distance && string === first.string;
        const start = way === 'up' ? lowest(finger) : lowest(finger) + Number(distance);
        const begin = unchanged ? { start: first.start, semitones: first.semitones } : { start };
        return shiftDrill(request, setup, { ...common, ...pair, ...begin });
      }
      case 'same':
        return string === EVERY
          ? sameFingerOnAll(request, setup, { ...common, finger })
          : sameFingerSeries(request, setup, { ...common, finger });
      case 'match':
        return matchingDrill(request, setup, { ...common, finger });
      case 'octaves':
        return octaveBuilding(request, setup, common.key, common.span);
      case 'scale':
      case 'broken-thirds': {
        return positionDrillInWorker(request, { key: common.key, position: place, figure: kind });
      }
    }
  };
  const nameOf = () => {
    const where = shiftsViewsText.seriesString(string === EVERY ? 'every' : printed(string), keyWords(key));
    if (onePosition)
      return `${KINDS.find(([name]) => name === kind)?.[1]}: ${positionWords(place, request.instrument)}, ${keyWords(key)}`;
    if (kind === 'octaves') return shiftsViewsText.octavesBuiltUpIn(keyWords(key));
    if (kind === 'same') return shiftsViewsText.fingerAllTheWay(from, where);
    return kind === 'match' ? shiftsViewsText.fingerMatchedBy1(from, where) : shiftsViewsText.shiftTo(from, to, where);
  };
  return (
    <section aria-labelledby="series" className="flex flex-col gap-2">
      <h2 id="series" className="font-serif text-xl font-semibold">
        {shiftsViewsText.aDrillMadeTo}
      </h2>
      {detail && <p className="text-sm text-faded">{shiftsViewsText.itBeginsAsThe}</p>}
      <div className="flex flex-wrap items-center gap-2">
        <Choose
          label={shiftsViewsText.kindOfDrill}
          value={kind}
          choices={KINDS}
          onChoose={(value) => {
            setKind(value as Kind);
            if (string === EVERY) setString(strings[0].name);
          }}
        />
        {onePosition && (
          <Choose
            label={shiftsViewsText.seriesPosition}
            value={position}
            choices={places.map((one) => [String(one), positionWords(one, request.instrument)] as const)}
            onChoose={setPosition}
          />
        )}
        {kind !== 'octaves' && !onePosition && (
          <Choose label={shiftsViewsText.fromFinger} value={from} choices={fingers} onChoose={setFrom} />
        )}
        {kind === 'pair' && (
          <>
            <span>{shiftsViewsText.seriesTo}</span>
            <Choose label={shiftsViewsText.toFinger} value={to} choices={fingers} onChoose={setTo} />
            <Choose label={shiftsViewsText.distance} value={distance} choices={DISTANCES} onChoose={setDistance} />
            <Choose label={shiftsViewsText.direction} value={way} choices={WAYS} onChoose={setWay} />
          </>
        )}
        {kind !== 'octaves' && !onePosition && (
          <Choose
            label={shiftsViewsText.stringLabel}
            value={string}
            choices={[
              ...strings.map(({ name }) => [name, shiftsViewsText.stringNamed(printed(name))] as const),
              ...(kind === 'same' ? [[EVERY, shiftsViewsText.everyString] as const] : []),
            ]}
            onChoose={setString}
          />
        )}
        <Choose
          label={shiftsViewsText.key}
          value={key}
          choices={keys.map((name) => [name, keyWords(name)] as const)}
          onChoose={setKey}
        />
        {!onePosition && <Choose label={shiftsViewsText.span} value={span} choices={SPANS} onChoose={setSpan} />}
        <button
          type="button"
          className="button"
          onClick={() => void make((made, name, from) => openAsPlan(made, name, from))}
        >
          {shiftsViewsText.openItOnThe}
        </button>
        <button
          type="button"
          className="button"
          onClick={() => void make((made, name, from) => practiseAsPlan(made, name, from))}
        >
          {shiftsViewsText.seriesPractiseIt}
        </button>
      </div>
    </section>
  );
}
