import { useState } from 'react';
import { TONICS } from '../../app/brief/material';
import { classWords, printed } from '../../wording/notes';
import { positionWords } from '../../wording/places';
import {
  matchingDrill,
  octaveBuilding,
  positionsOf,
  sameFingerOnAll,
  sameFingerSeries,
  shiftDrill,
  signatureName,
  type Finger,
  type PlanRequest,
} from '../../core';
import { Choose } from '../../ui/Choose';
import { openAsPlan, type Meaning } from '../../app/meaning';
import { say } from '../../app/notices';
import { positionDrillInWorker } from '../../work/planner';

const KINDS = [
  ['pair', 'a shift from finger to finger'],
  ['same', 'one finger all the way'],
  ['match', 'a finger matched by the first'],
  ['octaves', 'octaves built up'],
  ['scale', 'a scale in one position'],
  ['broken-thirds', 'broken thirds in one position'],
] as const;
type Kind = (typeof KINDS)[number][0];

const DISTANCES = [1, 2, 3, 4, 5, 7].map(
  (steps) => [String(steps), `${steps} ${steps === 1 ? 'step' : 'steps'} apart`] as const,
);
const WAYS = [
  ['up', 'going up'],
  ['down', 'coming down'],
] as const;
const FINGERS = ['1', '2', '3', '4'].map((finger) => [finger, `finger ${finger}`] as const);
/** In place of a string's name. */
const EVERY = 'every';
const SPANS = [3, 4, 5, 6, 8].map((span) => [String(span), `${span} places`] as const);

/** Why nothing can be made, and what to do. */
const NOTHING = {
  string:
    'Nothing of this drill lies under these fingers. Choose a smaller distance, other fingers or another string.',
  position: 'This position has not a whole octave of this key. Choose another position or key.',
} as const;

/** Drills made to order: each is a plan of its own. */
export function Series({ meaning }: { readonly meaning: Meaning }) {
  const { record, request, response, findings } = meaning;
  const { strings } = findings.setup;
  const [kind, setKind] = useState<Kind>('pair');
  const [from, setFrom] = useState('1');
  const [to, setTo] = useState('3');
  const [string, setString] = useState(strings[strings.length - 2].name);
  const [distance, setDistance] = useState('3');
  const [way, setWay] = useState('up');
  const [span, setSpan] = useState('5');
  const [position, setPosition] = useState('1');
  const places = positionsOf(findings.setup, request.school);
  const place = places.find((one) => String(one) === position) ?? 1;
  const onePosition = kind === 'scale' || kind === 'broken-thirds';
  const [key, setKey] = useState(() => signatureName(response.key.fifths).split(' ')[0]);
  const make = async () => {
    const made = await madeRequest();
    const notes = made?.material.type === 'notes' ? made.material.notes.length : 1;
    if (!made || notes === 0) say({ kind: 'trouble', message: NOTHING[onePosition ? 'position' : 'string'] });
    else void openAsPlan(made, nameOf(), record);
  };
  const madeRequest = async (): Promise<PlanRequest | null> => {
    const common = { key: `${key} major`, string, span: Number(span) };
    const finger = Number(from) as Finger;
    const { setup } = findings;
    switch (kind) {
      case 'pair': {
        const fromFinger = finger;
        const toFinger = Number(to) as Finger;
        const steps = way === 'up' ? Number(distance) : -Number(distance);
        const start = way === 'up' ? Number(from) : Number(from) + Number(distance);
        return shiftDrill(request, setup, { ...common, fromFinger, toFinger, distance: steps, start });
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
    const where = `${string === EVERY ? 'every' : printed(string)} string, ${classWords(key)} major`;
    if (onePosition)
      return `${KINDS.find(([name]) => name === kind)?.[1]}: ${positionWords(place, request.instrument)}, ${classWords(key)} major`;
    if (kind === 'octaves') return `Octaves built up, ${classWords(key)} major`;
    if (kind === 'same') return `Finger ${from} all the way, ${where}`;
    return kind === 'match' ? `Finger ${from} matched by 1, ${where}` : `Shift ${from} to ${to}, ${where}`;
  };
  return (
    <section aria-labelledby="series" className="flex flex-col gap-2">
      <h2 id="series" className="font-serif text-xl font-semibold">
        A drill made to order
      </h2>
      <div className="flex flex-wrap items-center gap-2">
        <Choose
          label="Kind of drill"
          value={kind}
          choices={KINDS}
          onChoose={(value) => {
            setKind(value as Kind);
            if (string === EVERY) setString(strings[0].name);
          }}
        />
        {onePosition && (
          <Choose
            label="Position"
            value={position}
            choices={places.map((one) => [String(one), positionWords(one, request.instrument)] as const)}
            onChoose={setPosition}
          />
        )}
        {kind !== 'octaves' && !onePosition && (
          <Choose label="From finger" value={from} choices={FINGERS} onChoose={setFrom} />
        )}
        {kind === 'pair' && (
          <>
            <span>to</span>
            <Choose label="To finger" value={to} choices={FINGERS} onChoose={setTo} />
            <Choose label="Distance" value={distance} choices={DISTANCES} onChoose={setDistance} />
            <Choose label="Direction" value={way} choices={WAYS} onChoose={setWay} />
          </>
        )}
        {kind !== 'octaves' && !onePosition && (
          <Choose
            label="String"
            value={string}
            choices={[
              ...strings.map(({ name }) => [name, `${printed(name)} string`] as const),
              ...(kind === 'same' ? [[EVERY, 'every string'] as const] : []),
            ]}
            onChoose={setString}
          />
        )}
        <Choose
          label="Key"
          value={key}
          choices={TONICS.map((name) => [name, `${classWords(name)} major`] as const)}
          onChoose={setKey}
        />
        {!onePosition && <Choose label="Span" value={span} choices={SPANS} onChoose={setSpan} />}
        <button type="button" className="button" onClick={() => void make()}>
          Open it on the Bench
        </button>
      </div>
    </section>
  );
}
