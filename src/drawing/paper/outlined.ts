import fontkit from '@pdf-lib/fontkit';
import type { FontName, Ink, Page, Segment } from './ink';
import type { FontFiles } from './pdf';

/*
 * Words as shapes: a picture looks the same wherever it is opened, with whatever fonts.
 */

interface Command {
  readonly command: 'moveTo' | 'lineTo' | 'quadraticCurveTo' | 'bezierCurveTo' | 'closePath';
  readonly args: readonly number[];
}

type Font = ReturnType<typeof fontkit.create>;

/** The page with every word drawn. */
export function outlined(page: Page, files: FontFiles): Page {
  const fonts = new Map<FontName, Font>();
  const fontOf = (name: FontName) => {
    const font = fonts.get(name) ?? fontkit.create(files[name]);
    fonts.set(name, font);
    return font;
  };
  return { ...page, inks: page.inks.map((ink) => (ink.kind === 'text' ? shapeOf(ink, fontOf(ink.font)) : ink)) };
}

function shapeOf({ text, x, y, size, tone = 'ink' }: Extract<Ink, { kind: 'text' }>, font: Font): Ink {
  const scale = size / font.unitsPerEm;
  const { glyphs, positions } = font.layout(text);
  const path: Segment[] = [];
  let pen = x;
  glyphs.forEach((glyph, n) => {
    const { commands } = glyph.path as unknown as { readonly commands: readonly Command[] };
    let at: readonly [number, number] = [pen, y];
    for (const { command, args } of commands) {
      const points = Array.from({ length: args.length / 2 }, (_, k): [number, number] => [
        pen + args[2 * k] * scale,
        y - args[2 * k + 1] * scale,
      ]);
      path.push(...segments(command, points, at));
      at = points.at(-1) ?? at;
    }
    pen += positions[n].xAdvance * scale;
  });
  return { kind: 'shape', path, fill: tone };
}

function segments(
  command: Command['command'],
  points: readonly [number, number][],
  from: readonly [number, number],
): Segment[] {
  switch (command) {
    case 'moveTo':
      return [['M', ...points[0]]];
    case 'lineTo':
      return [['L', ...points[0]]];
    case 'bezierCurveTo':
      return [['C', ...points[0], ...points[1], ...points[2]]];
    case 'quadraticCurveTo': {
      const [[cx, cy], [tx, ty]] = points;
      const toward = (a: number, c: number) => a + ((c - a) * 2) / 3;
      return [['C', toward(from[0], cx), toward(from[1], cy), toward(tx, cx), toward(ty, cy), tx, ty]];
    }
    case 'closePath':
      return [['Z']];
  }
}
