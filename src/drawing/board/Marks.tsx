import type { ReactNode, SVGAttributes } from 'react';
import { group } from 'd3-array';
import type { Label, Mark, Paint } from '../paper/ink';
import { PAGE_TONES, pathText } from '../paper/tones';

type Disc = Extract<Mark, { kind: 'disc' }>;

/** Marks as parts of a picture on the page, in the page's own colours. Signs of music are not among them: those are engraved. */
export function Marks({ marks }: { readonly marks: readonly Mark[] }) {
  return marks.map((mark, n) => <Drawn key={n} mark={mark} />);
}

/**
 * The same, but discs that look alike are one shape, and letters that look alike one text with a place for each: a page is laid out the sooner the fewer
 * things are in it.
 */
export function JoinedMarks({ marks }: { readonly marks: readonly Mark[] }) {
  const discs = marks.filter((mark) => mark.kind === 'disc');
  const letters = marks.filter((mark) => mark.kind === 'label');
  return (
    <>
      {[...group(discs, lookOf).values()].map((row) => (
        <path key={lookOf(row[0])} data-part={row[0].part} d={row.map(ring).join('')} {...painted(row[0])} />
      ))}
      {[...group(letters, lookOf).values()].map((row) => (
        <text
          key={lookOf(row[0])}
          x={row.map(({ x }) => x).join(' ')}
          y={row.map(({ y }) => y).join(' ')}
          {...lettered(row[0])}
        >
          {row.map(({ text }) => text).join('')}
        </text>
      ))}
    </>
  );
}

/** All of a mark but its place and what is written. */
const lookOf = (mark: Disc | Label) => JSON.stringify({ ...mark, x: 0, y: 0, text: '' });

/** A circle as part of a path. */
function ring({ x, y, r }: Disc): string {
  const half = (across: number) => `a${r} ${r} 0 0 0 ${across} 0`;
  return `M${x - r} ${y}${half(2 * r)}${half(-2 * r)}z`;
}

function Drawn({ mark }: { readonly mark: Mark }): ReactNode {
  switch (mark.kind) {
    case 'line':
      return (
        <line
          x1={mark.x1}
          x2={mark.x2}
          y1={mark.y1}
          y2={mark.y2}
          stroke={PAGE_TONES[mark.tone ?? 'ink']}
          strokeWidth={mark.width}
          strokeDasharray={mark.dash?.join(' ')}
        />
      );
    case 'disc':
      return <circle cx={mark.x} cy={mark.y} r={mark.r} {...painted(mark)} />;
    case 'box':
      return <rect x={mark.x} y={mark.y} width={mark.w} height={mark.h} {...painted(mark)} />;
    case 'shape':
      return <path d={pathText(mark.path)} {...painted(mark)} />;
    case 'label':
      return (
        <text x={mark.x} y={mark.y} {...lettered(mark)}>
          {mark.text}
        </text>
      );
    case 'text':
    case 'glyph':
      throw new Error(`A ${mark.kind} is set on paper, not here.`);
  }
}

function lettered({ size, bold, anchor, tone }: Label): SVGAttributes<SVGElement> {
  return { fontSize: size, fontWeight: bold ? 700 : 400, textAnchor: anchor, fill: PAGE_TONES[tone ?? 'ink'] };
}

function painted({ fill, stroke, width, opacity, dash }: Paint): SVGAttributes<SVGElement> {
  return {
    fill: fill ? PAGE_TONES[fill] : 'none',
    fillOpacity: opacity,
    stroke: stroke && PAGE_TONES[stroke],
    strokeWidth: width,
    strokeDasharray: dash?.join(' '),
  };
}
