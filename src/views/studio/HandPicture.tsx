import { Span } from '../../drawing/board/Span';
import type { HandProfile } from '../../core';
import * as studioViewsText from '../../wording/rooms/studioViews';

const WIDTH = 215;
const HEIGHT = 190;
const RULER_Y = 58;
/** px for each mm on the ruler: the fullest hand fits. */
const scaleFor = (fullMm: number) => Math.min(1.9, (WIDTH - 50) / fullMm);

/** A hand laid on a ruler: the two spreads to scale, and a fingertip's width. */
export function HandPicture({ hand }: { readonly hand: HandProfile }) {
  const { relaxedMm, fullMm, fingertipMm } = hand;
  const scale = scaleFor(fullMm);
  // The left hand lies palm down, so the first finger is on the right.
  const x = (mm: number) => WIDTH - 32 - mm * scale;
  const tips = [0, 0.36, 0.68, 1].map((share) => x(share * relaxedMm));
  const palm = (tips[0] + tips[3]) / 2;
  const thick = Math.max(12, fingertipMm * scale);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={studioViewsText.aHandOnA(relaxedMm, fullMm, fingertipMm)}
    >
      <g stroke="var(--color-rule)" strokeWidth={thick} strokeLinecap="round">
        {tips.map((tip, at) => (
          <line key={tip} x1={tip} y1={RULER_Y + 24 + [4, 0, 2, 12][at]} x2={palm + (tip - palm) * 0.55} y2={146} />
        ))}
        <line x1={palm + 30} y1={164} x2={palm + 66} y2={128} />
        <line x1={palm - 34} y1={158} x2={palm + 30} y2={158} strokeWidth={thick * 2.6} />
      </g>
      {tips.map((tip, at) => (
        <text
          key={tip}
          x={tip}
          y={RULER_Y + 30 + [4, 0, 2, 12][at]}
          fontSize={15}
          fontWeight={700}
          textAnchor="middle"
          fill="var(--color-ink)"
        >
          {at + 1}
        </text>
      ))}
      <line x1={x(0)} x2={x(fullMm) - 12} y1={RULER_Y} y2={RULER_Y} stroke="var(--color-ink)" strokeWidth={2} />
      {Array.from({ length: Math.floor(fullMm / 10) + 1 }, (_, at) => (
        <line
          key={at}
          x1={x(at * 10)}
          x2={x(at * 10)}
          y1={RULER_Y}
          y2={RULER_Y - (at % 5 === 0 ? 9 : 5)}
          stroke="var(--color-ink)"
        />
      ))}
      <Span
        from={x(relaxedMm)}
        to={x(0)}
        y={40}
        tone="var(--color-sage)"
        side="above"
        words={studioViewsText.handPictureMm(relaxedMm)}
      />
      <Span
        from={x(fullMm)}
        to={x(0)}
        y={17}
        tone="var(--color-ochre)"
        side="above"
        words={studioViewsText.mmFull(fullMm)}
      />
    </svg>
  );
}
