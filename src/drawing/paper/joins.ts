import { bend, slurBelow } from './bends';
import { line, type GlyphName } from './ink';
import type { Desk, SetNote } from './notes';

/*
 * What joins notes: ties, tuplets, slurs.
 */

/** Ties between the written notes of one event; over the end of a line they are open. */
export function drawTies({ inks, sky }: Desk, sets: readonly SetNote[], end: number) {
  sets.forEach((set, n) => {
    const { note, heads, up, x, width } = set;
    const side = up ? 1 : -1;
    const tie = (from: number, to: number) => {
      heads.forEach((y, voice) => {
        const own = heads.length > 1 ? (voice < heads.length / 2 ? 1 : -1) : side;
        const at = y + own * 0.55;
        inks.push(bend({ x: from, y: at }, { x: to, y: at }, own * Math.min(1, 0.45 + (to - from) / 18)));
        sky.put(from, to, Math.min(at, at + own), Math.max(at, at + own));
      });
    };
    if (!note.first && n === 0) tie(Math.max(x - 2.2, 0), x - 0.15);
    if (note.last) return;
    const next = sets[n + 1];
    tie(x + width + 0.1, next && next.note.at === note.at ? next.x - 0.12 : end - 0.2);
  });
}

/** A number over or under the notes of a tuplet, with a bracket where no beam joins them. */
export function drawTuplets({ inks, sky }: Desk, sets: readonly SetNote[]) {
  let from = -1;
  sets.forEach((set, n) => {
    const { tuplet, value } = set.note;
    if (tuplet === 'start' || tuplet === 'whole') from = n;
    if ((tuplet !== 'stop' && tuplet !== 'whole') || from < 0) return;
    const group = sets.slice(from, n + 1);
    from = -1;
    const number = String(value.tuplet?.actual ?? 3);
    const [a, b] = [group[0].x, set.x + set.width];
    const up = group.filter((one) => one.up).length * 2 >= group.length;
    const beamed = group[0].note.beams[0] === 'begin' && set.note.beams[0] === 'end';
    const y = up ? Math.min(sky.top(a, b), -0.2) - 0.45 : Math.max(sky.bottom(a, b), 4.2) + 1.4;
    const middle = (a + b) / 2;
    const width = number.length * 0.85;
    [...number].forEach((digit, at) =>
      inks.push({
        kind: 'glyph',
        glyph: `tuplet${digit}` as GlyphName,
        x: middle - width / 2 + at * 0.85 - 0.15,
        y,
        size: 0.75,
      }),
    );
    sky.put(middle - 0.7, middle + 0.7, y - 1.2, y + 0.1);
    if (beamed) return;
    const at = y - 0.45;
    const tick = up ? 0.6 : -0.6;
    inks.push(line(a, at + tick, a, at, 0.11), line(a, at, middle - width / 2 - 0.4, at, 0.11));
    inks.push(line(middle + width / 2 + 0.4, at, b, at, 0.11), line(b, at, b, at + tick, 0.11));
    sky.put(a, b, Math.min(at, at + tick), Math.max(at, at + tick));
  });
}

/** Slurs lie under the notes of one bow: fingers have the room above. Over the end of a line they are open. */
export function drawSlurs({ inks, sky }: Desk, sets: readonly SetNote[], left: number, right: number) {
  const below = ({ x, width }: SetNote) => sky.bottom(x - 0.1, x + width + 0.1);
  const draw = (group: readonly SetNote[], from: SetNote | null, to: SetNote | null) => {
    if (group.length === 0) return;
    const [first] = group;
    const last = group[group.length - 1];
    const middleOf = ({ x, width }: SetNote) => x + width / 2;
    const a = from
      ? { x: middleOf(from), y: Math.max(below(from), 3) + 0.45 }
      : { x: left, y: Math.max(below(first), 4) + 0.9 };
    const b = to
      ? { x: middleOf(to), y: Math.max(below(to), 3) + 0.45 }
      : { x: right, y: Math.max(below(last), 4) + 0.9 };
    if (b.x - a.x < 0.5) return;
    const between = group.filter((set) => set !== from && set !== to);
    const { ink, lowest } = slurBelow(
      a,
      b,
      between.map((set) => ({ x: middleOf(set), y: below(set) })),
    );
    inks.push(ink);
    sky.put(a.x, b.x, 4, lowest);
  };
  let open: number | null = sets.some(({ note }) => note.slur) && goesOn(sets) ? -1 : null;
  sets.forEach((set, n) => {
    if (set.note.slur === 'start') open = n;
    if (set.note.slur !== 'stop' || open === null) return;
    const start = open < 0 ? null : sets[open];
    draw(sets.slice(Math.max(0, open), n + 1), start, set);
    open = null;
  });
  if (open !== null && open >= 0) draw(sets.slice(open), sets[open], null);
}

/** True where the first slur that is told of on a line ends there: it began on the line before. */
const goesOn = (sets: readonly SetNote[]) => sets.find(({ note }) => note.slur !== undefined)?.note.slur === 'stop';
