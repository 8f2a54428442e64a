import { useState } from 'react';
import { TONICS } from '../../brief/material';
import { classWords, printed } from '../../brief/words';
import {
  matchingDrill,
  octaveBuilding,
  sameFingerSeries,
  shiftDrill,
  signatureName,
  type FingerName,
  type PlanRequest,
} from '../../core';
import { Choose } from '../../ui/Choose';
import { openAsPlan, type Meaning } from '../../ui/meaning';
import { say } from '../../ui/notices';

const KINDS = [
  ['pair', 'a shift from finger to finger'],
  ['same', 'one finger all the way'],
  ['match', 'a finger matched by the first'],
  ['octaves', 'octaves built up'],
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
const SPANS = [3, 4, 5, 6, 8].map((span) => [String(span), `${span} places`] as const);

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
  const [key, setKey] = useState(() => signatureName(response.key.fifths).split(' ')[0]);
  const make = () => {
    const made = madeRequest();
    const notes = made.material.type === 'notes' ? made.material.notes.length : 0;
    if (notes === 0)
      say({
        kind: 'trouble',
        message:
          'Nothing of this drill lies on the fingerboard. Choose a smaller distance or another string.',
      });
    else void openAsPlan(made, nameOf(), record);
  };
  const madeRequest = (): PlanRequest => {
    const common = { key: `${key} major`, string, span: Number(span) };
    const finger = Number(from) as FingerName;
    switch (kind) {
      case 'pair': {
        const fromFinger = finger;
        const toFinger = Number(to) as FingerName;
        const steps = way === 'up' ? Number(distance) : -Number(distance);
        const start = way === 'up' ? Number(from) : Number(from) + Number(distance);
        return shiftDrill(request, findings.setup, {
          ...common,
          fromFinger,
          toFinger,
          distance: steps,
          start,
        });
      }
      case 'same':
        return sameFingerSeries(request, findings.setup, { ...common, finger });
      case 'match':
        return matchingDrill(request, findings.setup, { ...common, finger });
      case 'octaves':
        return octaveBuilding(request, findings.setup, common.key, common.span);
    }
  };
  const nameOf = () => {
    const where = `${printed(string)} string, ${classWords(key)} major`;
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
          onChoose={(value) => setKind(value as Kind)}
        />
        {kind !== 'octaves' && (
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
        {kind !== 'octaves' && (
          <Choose
            label="String"
            value={string}
            choices={strings.map(({ name }) => [name, `${printed(name)} string`] as const)}
            onChoose={setString}
          />
        )}
        <Choose
          label="Key"
          value={key}
          choices={TONICS.map((name) => [name, `${classWords(name)} major`] as const)}
          onChoose={setKey}
        />
        <Choose label="Span" value={span} choices={SPANS} onChoose={setSpan} />
        <button type="button" className="button" onClick={make}>
          Open it on the Bench
        </button>
      </div>
    </section>
  );
}
