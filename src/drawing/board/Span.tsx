interface Props {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly tone: string;
  /** Where its words stand. */
  readonly side: 'above' | 'below';
  readonly words: string;
}

/** A distance between two fingers, as a measured line with its words. */
export function Span({ from, to, y, tone, side, words }: Props) {
  return (
    <g>
      <path
        d={`M${from} ${y - 4}V${y + 4}M${from} ${y}H${to}M${to} ${y - 4}V${y + 4}`}
        stroke={tone}
        strokeWidth={2.5}
        fill="none"
      />
      <text
        x={(from + to) / 2}
        y={side === 'above' ? y - 4 : y + 21}
        fontSize={14}
        fontWeight={700}
        textAnchor="middle"
        fill={tone}
      >
        {words}
      </text>
    </g>
  );
}
