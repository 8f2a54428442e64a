import { comparePlans, type PlaceCompared, type Plan, type Step } from '../../core';
import { layBeside, moveCursor } from '../../app/edits';
import { countWords, sentence } from '../../wording/grammar';
import { placeName, stretchWords } from '../../wording/places';
import { TERM_WORDS, type Speech } from '../../wording/plans';
import { fingersOf } from './BesideRow';
import * as benchPlanText from '../../wording/rooms/benchPlan';
import * as comparisonText from '../../wording/rooms/comparison';

interface ComparisonProps {
  readonly plan: Plan;
  readonly other: Plan;
  /** What the other is. */
  readonly words: string;
  readonly speech: Speech;
}

/** Two ways side by side: what each is charged for, and the places where they part. */
export function ComparisonPanel({ plan, other, words, speech }: ComparisonProps) {
  const { terms, places } = comparePlans(plan, other);
  const most = Math.max(SAME, ...terms.flatMap(({ first, second }) => [first, second]));
  return (
    <section aria-labelledby="beside" className="rounded-lg border border-rule bg-sheet px-4 py-2">
      <div className="flex items-center justify-between gap-3">
        <h2 id="beside" className="font-serif text-lg font-semibold">
          {comparisonText.sideBySideWith(words)}
        </h2>
        <button type="button" className="button" onClick={() => layBeside(null)}>
          {benchPlanText.closeTheComparison}
        </button>
      </div>
      <div className="mt-1 grid gap-6 md:grid-cols-2">
        <table className="border-collapse self-start text-left">
          <thead>
            <tr className="border-b-2 border-rule align-bottom">
              <th scope="col" className="pr-3">
                {comparisonText.whatIsHard}
              </th>
              <th scope="col" className="px-2">
                {comparisonText.thisPlan}
              </th>
              <th scope="col" className="px-2">
                {words}
              </th>
            </tr>
          </thead>
          <tbody>
            {terms.map(({ term, first, second }) => (
              <tr key={term} className="border-b border-rule">
                <th scope="row" className="py-0.5 pr-3 font-normal">
                  {TERM_WORDS[term]}
                </th>
                <Amount own={first} their={second} most={most} />
                <Amount own={second} their={first} most={most} />
              </tr>
            ))}
            <tr className="font-bold">
              <th scope="row" className="pr-3">
                {comparisonText.inAll}
              </th>
              <Amount own={plan.cost} their={other.cost} most={Math.max(plan.cost, other.cost, SAME)} />
              <Amount own={other.cost} their={plan.cost} most={Math.max(plan.cost, other.cost, SAME)} />
            </tr>
          </tbody>
        </table>
        <div>
          <h3 className="font-semibold">
            {places.length === 0
              ? comparisonText.theyDoNotDiffer
              : places.length === 1
                ? comparisonText.theyDifferInOne
                : comparisonText.theyDifferInPlaces(countWords(places.length))}
          </h3>
          <ul className="flex flex-col">
            {places.map((place) => (
              <li key={place.from}>
                <button
                  type="button"
                  onClick={() => moveCursor(place.from)}
                  className="w-full cursor-pointer py-1 text-left hover:text-dove"
                >
                  <PlaceWords place={place} plan={plan} other={other} words={words} speech={speech} />
                </button>
              </li>
            ))}
          </ul>
        </div>
      </div>
    </section>
  );
}

/** How much it is as a bar, the longest of all one whole; in words for who does not see it. */
function Amount({ own, their, most }: { readonly own: number; readonly their: number; readonly most: number }) {
  return (
    <td className="px-2">
      <span aria-hidden className="block h-1.5 w-24 rounded bg-rule">
        <span
          className={`block h-full rounded ${own > their + SAME ? 'bg-ochre' : 'bg-sage'}`}
          style={{ width: `${Math.round((100 * Math.max(0, own)) / most)}%` }}
        />
      </span>
      <span className="text-sm">{hardBeside(own, their)}</span>
    </td>
  );
}

/** Less is felt by nobody. */
const SAME = 0.05;

function hardBeside(own: number, their: number): string {
  if (Math.abs(own - their) <= SAME) return comparisonText.asHard;
  return own > their ? comparisonText.harder : comparisonText.easier;
}

interface PlaceProps extends ComparisonProps {
  readonly place: PlaceCompared;
}

function PlaceWords({ place, plan, other, speech }: PlaceProps) {
  const inside = (one: Plan) => one.steps.filter((step) => step.at >= place.from && step.at <= place.to);
  const words = (one: Plan) => {
    const steps = inside(one);
    const shown = steps.slice(0, 8).map(fingersOf).join(' ');
    return `${shown}${steps.length > 8 ? ' …' : ''} (${positionsOf(steps, speech)})`;
  };
  const notes = sentence(stretchWords(speech.place, place.from, place.to));
  return (
    <>
      <strong>{notes}</strong>
      {comparisonText.beside(words(plan), words(other), hardBeside(place.firstCost, place.secondCost))}
    </>
  );
}

function positionsOf(steps: readonly Step[], { instrument }: Speech): string {
  const names = steps.map((step) => placeName(step, instrument)).filter((name, at, all) => name !== all[at - 1]);
  return names.join(' – ');
}
