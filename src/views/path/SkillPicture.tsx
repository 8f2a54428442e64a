import type { InstrumentName } from '../../core';
import { skillWords } from '../../wording/path';

const WIDTH = 132;
const HEIGHT = 64;

/** The one new thing, drawn: the fingers of a pattern, a piece of neck, a piece of trail. */
export function SkillPicture({ id, instrument }: { readonly id: string; readonly instrument: InstrumentName }) {
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={skillWords(id, instrument)}
    >
      {drawn(id)}
    </svg>
  );
}

const INK = 'var(--color-ink)';
const DOVE = 'var(--color-dove)';
const COPPER = 'var(--color-copper)';
const LINE = { stroke: INK, strokeWidth: 1.5, fill: 'none' } as const;

function drawn(id: string) {
  const [kind, ...rest] = id.split(':');
  switch (kind) {
    case 'pattern':
      return <Pattern gaps={rest[0]} />;
    case 'shift':
      return <Shift up={rest[0] === 'up'} size={Number(rest[1])} finger={rest[3]} />;
    case 'position':
      return <Neck at={Number(rest[0])} label={rest[0] === '0.5' ? '½' : rest[0].replace('.5', '½')} />;
    case 'thumb':
      return <Neck at={7} label="T" />;
    case 'string':
      return <Sign text={rest[0].replace(/\d/, '')} />;
    case 'signature': {
      const signs = Number(rest[0]);
      return <Sign text={signs === 0 ? '♮' : (signs > 0 ? '♯' : '♭').repeat(Math.abs(signs))} />;
    }
    case 'bow':
      return <Bow notes={Math.min(8, Number(rest[0]))} />;
    case 'double':
      return <Sign text={rest[1].replace('-', ' + ')} />;
    case 'extension':
      return <Pattern gaps="2-1-1" moved={rest[0] === 'back' ? [0] : [1, 2, 3]} />;
    case 'contraction':
      return <Pattern gaps="1-1-1" />;
    case 'slide':
      return <Slide />;
    case 'replaced':
      return <Replaced />;
    case 'skip':
      return <Skip />;
    case 'harmonic':
      return <Sign text="○" />;
    case 'fourth-for-open':
      return <Sign text="4 = 0" />;
    default:
      return <Sign text={id} />;
  }
}

const FINGERS = ['1', '2', '3', '4'];

/** Fingers along a string, as far apart as their semitones; those that open the hand stand out. */
function Pattern({ gaps, moved = [] }: { readonly gaps: string; readonly moved?: readonly number[] }) {
  const fingers = gaps.startsWith('T') ? ['T', ...FINGERS] : FINGERS;
  const apart = gaps.replace('T', '').split('-').map(Number);
  const places = apart.reduce<number[]>((list, gap) => [...list, list[list.length - 1] + gap], [0]);
  const names = apart.length === 2 ? ['1', '2', '4'] : fingers;
  const step = (WIDTH - 36) / Math.max(4, places[places.length - 1]);
  return (
    <>
      <line x1={4} x2={WIDTH - 4} y1={42} y2={42} {...LINE} />
      {places.map((place, at) => (
        <g key={at}>
          <circle cx={18 + place * step} cy={42} r={9} fill={moved.includes(at) ? COPPER : DOVE} />
          <text x={18 + place * step} y={24} fontSize={15} fontWeight={700} textAnchor="middle" fill={INK}>
            {names[at]}
          </text>
        </g>
      ))}
    </>
  );
}

/** The trail of the hand that moves. */
function Shift({ up, size, finger }: { readonly up: boolean; readonly size: number; readonly finger: string }) {
  const rise = 8 + 6 * Math.min(5, size);
  const [from, to] = up ? [HEIGHT - 10, HEIGHT - 10 - rise] : [HEIGHT - 10 - rise, HEIGHT - 10];
  return (
    <>
      <path d={`M6 ${from} H46 L84 ${to} H126`} stroke={COPPER} strokeWidth={4} fill="none" />
      <text x={105} y={to - 6 < 14 ? to + 20 : to - 6} fontSize={17} fontWeight={700} textAnchor="middle" fill={INK}>
        {finger}
      </text>
    </>
  );
}

/** A piece of neck with where the hand is. */
function Neck({ at, label }: { readonly at: number; readonly label: string }) {
  const x = 14 + Math.min(7, at) * 14;
  return (
    <>
      {[20, 32, 44].map((y) => (
        <line key={y} x1={8} x2={WIDTH - 4} y1={y} y2={y} {...LINE} />
      ))}
      <line x1={8} x2={8} y1={14} y2={50} stroke={INK} strokeWidth={4} />
      <rect
        x={x - 10}
        y={12}
        width={32}
        height={40}
        rx={8}
        fill={DOVE}
        fillOpacity={0.25}
        stroke={DOVE}
        strokeWidth={2}
      />
      <text x={x + 6} y={39} fontSize={18} fontWeight={700} textAnchor="middle" fill={INK}>
        {label}
      </text>
    </>
  );
}

function Sign({ text }: { readonly text: string }) {
  return (
    <text x={WIDTH / 2} y={44} fontSize={text.length > 6 ? 18 : 30} fontWeight={700} textAnchor="middle" fill={INK}>
      {text}
    </text>
  );
}

/** A slur over the notes of a bow. */
function Bow({ notes }: { readonly notes: number }) {
  const step = (WIDTH - 24) / Math.max(1, notes - 1);
  return (
    <>
      <path d={`M12 28 Q${WIDTH / 2} 4 ${WIDTH - 12} 28`} {...LINE} strokeWidth={3} />
      {Array.from({ length: notes }, (_, at) => (
        <ellipse key={at} cx={12 + at * step} cy={46} rx={6.5} ry={5} fill={INK} />
      ))}
    </>
  );
}

function Slide() {
  return (
    <>
      <line x1={8} x2={WIDTH - 8} y1={42} y2={42} {...LINE} />
      <circle cx={50} cy={42} r={9} fill={DOVE} fillOpacity={0.4} />
      <circle cx={78} cy={42} r={9} fill={DOVE} />
      <path d="M50 26 H74 M68 20 L76 26 L68 32" {...LINE} stroke={COPPER} strokeWidth={3} />
    </>
  );
}

/** One finger on two strings, not in one line. */
function Replaced() {
  return (
    <>
      {[22, 46].map((y) => (
        <line key={y} x1={8} x2={WIDTH - 8} y1={y} y2={y} {...LINE} />
      ))}
      <circle cx={56} cy={46} r={9} fill={DOVE} />
      <circle cx={82} cy={22} r={9} fill={DOVE} />
    </>
  );
}

function Skip() {
  return (
    <>
      {[12, 34, 56].map((y) => (
        <line key={y} x1={8} x2={WIDTH - 8} y1={y} y2={y} {...LINE} />
      ))}
      <path d="M48 56 L84 12" stroke={COPPER} strokeWidth={4} fill="none" />
    </>
  );
}
