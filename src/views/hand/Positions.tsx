import type { Meaning } from '../../app/meaning';
import { VERDICT_TEXT } from '../../drawing/board/tones';
import { laidFingers, pairVerdict, resolveHand, spreadMm, stopMm, type Plan } from '../../core';
import { mm as mmWords } from '../../wording/grammar';
import { printed } from '../../wording/notes';
import { intervalWords } from '../../wording/places';
import * as handViewsText from '../../wording/rooms/handViews';

interface Props {
  readonly meaning: Meaning;
  readonly frame: Plan['frames'][number] | undefined;
}

const MOVES = [0, 2, 4, 5, 7, 9, 12];

/** The same frame further up the string: the same steps, ever fewer millimetres. */
export function Positions({ meaning, frame }: Props) {
  const { request, findings } = meaning;
  const laid = frame ? laidFingers(frame.fingers) : [];
  if (!frame || laid.length < 2) return <p className="text-faded">{handViewsText.chooseAPatternWith}</p>;
  const hand = resolveHand(findings.setup, request.hand);
  const [low, high] = [laid[0], laid[laid.length - 1]];
  const { lengthMm, reachSemitones } = findings.setup;
  const rows = MOVES.filter((move) => high[1] + move <= reachSemitones).map((move) => {
    const mm = spreadMm(lengthMm, low[1] + move, high[1] + move);
    const verdict = pairVerdict(hand, low[0], high[0], mm);
    return { move, mm, verdict, at: stopMm(lengthMm, low[1] + move) };
  });
  return (
    <section aria-labelledby="positions">
      <h2 id="positions" className="font-serif text-xl font-semibold">
        {handViewsText.theSamePatternIn}
      </h2>
      <table className="mt-1 w-full border-collapse rounded-lg bg-sheet text-left text-[0.95rem]">
        <caption className="pb-1 text-left text-sm text-faded">
          {handViewsText.stringFromTo(printed(frame.string), low[0], high[0])}
        </caption>
        <thead>
          <tr className="border-b-2 border-rule">
            <th className="px-2 py-1">{handViewsText.higherBy}</th>
            <th className="px-2 py-1 text-right">{handViewsText.fingerAt(low[0])}</th>
            <th className="px-2 py-1 text-right">{handViewsText.spread}</th>
            <th className="px-2 py-1">{handViewsText.forThisHand}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ move, mm, verdict, at }) => (
            <tr key={move} className="border-b border-rule">
              <th scope="row" className="px-2 py-1 font-normal">
                {move === 0 ? handViewsText.asItIs : intervalWords(move)}
              </th>
              <td className="px-2 py-1 text-right">{mmWords(at)}</td>
              <td className="px-2 py-1 text-right">{mmWords(mm)}</td>
              <td className={`px-2 py-1 font-semibold ${VERDICT_TEXT[verdict]}`}>{verdict}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
