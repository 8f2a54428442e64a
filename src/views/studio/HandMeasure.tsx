import { VERDICT_TEXT } from '../../drawing/board/tones';
import {
  childShare,
  instrumentRecord,
  oddMeasures,
  pairVerdict,
  resolveHand,
  resolveSetup,
  spreadMm,
  type HandProfile,
  type Playing,
} from '../../core';
import { HAND_CHOICES, oddMeasureWords, REACH_UNKNOWN, teachingFrameWords } from '../../wording/instruments';
import { NumberField, Pick } from '../../ui/fields';
import { HandPicture } from './HandPicture';
import * as studioViewsText from '../../wording/rooms/studioViews';

/** Stands for a hand that is neither measured nor known by a word. */
const UNKNOWN = 'unknown';

interface Props {
  readonly plays: Playing;
  /** The instrument's name. */
  readonly words: string;
  readonly onPut: (hand: Playing['hand']) => void;
  /** Some of the measures. */
  readonly onMeasure: (part: Partial<HandProfile>) => void;
}

/** The hand: by a word or by measure, how to measure it, and what that means on this instrument. */
export function HandMeasure({ plays, words, onPut, onMeasure }: Props) {
  const setup = resolveSetup(plays);
  const hand = resolveHand(setup, plays.hand);
  const measured = typeof plays.hand === 'object';
  const child = !measured && childShare(setup.instrument, setup.lengthMm) < 1;
  return (
    <section aria-labelledby="hand" className="flex flex-col gap-3 border-t border-rule pt-3">
      <h3 id="hand" className="font-serif text-lg font-semibold">
        {studioViewsText.leftHand}
      </h3>
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2 xl:grid-cols-4">
        <Pick
          label={studioViewsText.knownBy}
          value={measured ? 'measured' : ((plays.hand as string | undefined) ?? UNKNOWN)}
          choices={[
            [UNKNOWN, studioViewsText.notMeasuredReachUnknown],
            ...HAND_CHOICES,
            ['measured', studioViewsText.itsMeasures],
          ]}
          onPick={(value) => {
            if (value === 'measured') onMeasure({});
            else onPut(value === UNKNOWN ? undefined : (value as Playing['hand']));
          }}
        />
        {measured && (
          <>
            <NumberField
              label={studioViewsText.comfortableSpread1To}
              unit="mm"
              value={hand.relaxedMm}
              least={20}
              most={300}
              trouble={(mm) => spreadTrouble(mm ?? 0, hand.fullMm)}
              onPut={(relaxedMm) => onMeasure({ relaxedMm })}
            />
            <NumberField
              label={studioViewsText.fullSpread1To}
              unit="mm"
              value={hand.fullMm}
              least={20}
              most={300}
              trouble={(mm) => spreadTrouble(hand.relaxedMm, mm ?? 0)}
              onPut={(fullMm) => onMeasure({ fullMm })}
            />
            <NumberField
              label={studioViewsText.widthOfAFingertip}
              unit="mm"
              value={hand.fingertipMm}
              least={3}
              most={40}
              onPut={(fingertipMm) => onMeasure({ fingertipMm })}
            />
          </>
        )}
      </div>
      {measured && oddMeasures(hand).length > 0 && (
        <p className="border-l-4 border-ochre px-3 text-[0.95rem]" data-testid="odd-measures">
          {oddMeasureWords(oddMeasures(hand))}
        </p>
      )}
      {plays.hand === undefined && <p className="text-[0.95rem]">{REACH_UNKNOWN}</p>}
      {child && (
        <p className="text-[0.95rem]">
          {studioViewsText.aChildsSizeThis(hand.relaxedMm, hand.fullMm, hand.fingertipMm)}
        </p>
      )}
      <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
        <figure className="flex flex-1 flex-wrap items-start gap-4">
          <HandPicture hand={hand} />
          <figcaption className="min-w-64 flex-1 text-[0.95rem]">
            <p>
              {studioViewsText.layTheLeftHand} <strong>{studioViewsText.comfortable}</strong>{' '}
              {studioViewsText.spreadOpenItAs} <em>{studioViewsText.withoutPainOrTrembling}</em>
              {studioViewsText.thatIsThe} <strong>{studioViewsText.full}</strong>{' '}
              {studioViewsText.oneMeasureOneFingertip}
            </p>
            <p className="mt-2 border-l-4 border-ochre pl-2">{studioViewsText.warmHandsOnlyAnd}</p>
          </figcaption>
        </figure>
        <Meaning plays={plays} hand={hand} words={words} />
      </div>
    </section>
  );
}

function spreadTrouble(relaxed: number, full: number): string | null {
  return relaxed <= full ? null : studioViewsText.theComfortableSpreadMm(relaxed, full);
}

interface MeaningProps {
  readonly plays: Playing;
  readonly hand: HandProfile;
  readonly words: string;
}

function Meaning({ plays, hand, words }: MeaningProps) {
  const { lengthMm } = resolveSetup(plays);
  return (
    <table className="h-fit w-72 text-left text-[0.95rem]">
      <caption className="pb-1 text-left font-semibold">
        {studioViewsText.from1To4(words, Math.round(lengthMm))}
      </caption>
      <tbody>
        {instrumentRecord(plays.instrument).teachingFrames.map(({ code, first, fourth }) => {
          const mm = spreadMm(lengthMm, first, fourth);
          const verdict = pairVerdict(hand, 1, 4, mm);
          return (
            <tr key={code} className="border-t border-rule">
              <th scope="row" className="py-1 pr-2 font-normal">
                {teachingFrameWords(code)}
              </th>
              <td className="py-1 pr-2 text-right whitespace-nowrap">{studioViewsText.mm(Math.round(mm))}</td>
              {plays.hand === undefined ? (
                <td className="py-1 text-faded">{studioViewsText.unknown}</td>
              ) : (
                <td className={`py-1 font-semibold ${VERDICT_TEXT[verdict]}`}>{verdict}</td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
