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
                {comparisonText.costOf}
              </th>
              <th scope="col" className="px-2 text-right">
                {comparisonText.thisPlan}
              </th>
              <th scope="col" className="px-2 text-right">
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
                <Amount own={first} their={second} />
                <Amount own={second} their={first} />
              </tr>
            ))}
            <tr className="font-bold">
              <th scope="row" className="pr-3">
                {comparisonText.inAll}
              </th>
              <Amount own={plan.cost} their={other.cost} />
              <Amount own={other.cost} their={plan.cost} />
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

/** An amount, heavier where it is the greater of the two. */
function Amount({ own, their }: { readonly own: number; readonly their: number }) {
  return <td className={`px-2 text-right ${own > their + 0.05 ? 'font-bold' : ''}`}>{own.toFixed(1)}</td>;
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
      {comparisonText.costsTheOther(words(plan), place.firstCost.toFixed(1), words(other), place.secondCost.toFixed(1))}
    </>
  );
}

function positionsOf(steps: readonly Step[], { instrument }: Speech): string {
  const names = steps.map((step) => placeName(step, instrument)).filter((name, at, all) => name !== all[at - 1]);
  return names.join(' – ');
}
