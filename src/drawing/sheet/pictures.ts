import { clefsFor, plan, resolveHand, resolveSetup, writtenBars, type PlanRequest } from '../../core';
import type { Planned } from './sheetParts';
import { placed, type Ink, type Page } from '../paper/ink';
import { NOTHING_OVER } from '../paper/over';
import { svgOf } from '../paper/svg';
import { drawLines } from '../paper/system';
import { at } from './blocks';
import { neckInks } from './neck';
import { partOnPaper } from './sheet';
import { trailInks, TRAIL_HEIGHT } from './trail';
import * as sheetDrawingsText from '../../wording/rooms/sheetDrawings';

/*
 * Pictures of one plan, to be put into other papers: the staff with its fingers, the hand trail under it, the neck.
 */

export const PICTURES = ['staff', 'trail', 'neck'] as const;
export type PictureName = (typeof PICTURES)[number];

/** Points. */
const WIDTH = 510;
const SPACE = 5.2;
const EDGE = 12;

/** A picture on a page of its own size. */
export function pictureOf(name: PictureName, planned: Planned): Page {
  const setup = resolveSetup(planned.request);
  if (name === 'neck') {
    const { inks, width, height } = neckInks(planned.plan, setup, resolveHand(setup, planned.request.hand));
    return { width: width + 2 * EDGE, height: height + 2 * EDGE, inks: at(inks, EDGE, EDGE) };
  }
  const part = partOnPaper(planned, { fingers: 'all', names: false, large: false });
  const lines = drawLines([part], { width: WIDTH / SPACE, numbers: true });
  const inks: Ink[] = [];
  let y = EDGE;
  for (const { inks: own, top, bottom, places } of lines) {
    inks.push(...placed(own, SPACE, EDGE, y - top * SPACE));
    y += (bottom - top) * SPACE + 10;
    if (name === 'trail') {
      const xs = new Map([...places[0]].map(([event, x]) => [event, EDGE + (x + 0.6) * SPACE]));
      inks.push(...at(trailInks(planned.plan, xs, EDGE, EDGE + WIDTH), 0, y));
      y += TRAIL_HEIGHT + 16;
    }
  }
  return { width: WIDTH + 2 * EDGE, height: y + EDGE, inks };
}

/** Bars that are shown of a piece before it is brought in. */
const FIRST_EVENTS = 24;

/** The first bars of a passage as an SVG. @param width in px */
export function firstBars(request: PlanRequest, width: number): string {
  const { material } = request;
  const notes = material.type === 'notes' ? material.notes.slice(0, FIRST_EVENTS) : [];
  const changes =
    material.type === 'notes' ? material.changes?.filter((change) => change.at < FIRST_EVENTS) : undefined;
  const few = {
    ...request,
    material: { ...material, notes, changes } as typeof material,
    alternatives: 1,
    explain: 'nothing',
  } as const;
  const music = plan(few);
  const clefs = clefsFor(music.events, request.instrument);
  const bars = writtenBars(music, request.instrument, clefs);
  const space = 6;
  const lines = drawLines([{ bars, instrument: request.instrument, over: NOTHING_OVER }], {
    width: width / space,
    numbers: true,
  });
  let y = 6;
  const inks: Ink[] = [];
  for (const { inks: own, top, bottom } of lines.slice(0, 2)) {
    inks.push(...placed(own, space, 0, y - top * space));
    y += (bottom - top) * space + 12;
  }
  return svgOf({ width, height: y, inks }, sheetDrawingsText.theFirstBars, 'first');
}
