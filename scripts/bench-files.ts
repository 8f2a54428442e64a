import { clefsFor, plan, resolveSetup, writtenBars, type PlanRequest } from '../src/core';
import { openFile, passageOf, writeMusicXml } from '../src/core/formats';
import { sheetPages, USUAL_CHOICES } from '../src/drawing/sheet/sheet';
import { usualSheet } from '../src/drawing/sheet/usual';
import { ladderLabels, sheetPlan } from '../src/drawing/sheet/sheetParts';
import { wandering } from './bench-music';
import * as measuringText from '../src/wording/rooms/measuring';
import { PRODUCT } from '../src/wording/rooms/pages';

/*
 * Files and paper: a long score written and read, a sheet laid out.
 */

function medianMs(work: () => unknown, times = 7): number {
  work();
  const spans = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return Math.round(spans.sort((a, b) => a - b)[times >> 1] * 10) / 10;
}

const NOTES = 10_000;

export function benchFiles() {
  const request = wandering(NOTES);
  const response = plan({ ...request, alternatives: 1, explain: 'nothing' });
  const clefs = clefsFor(response.events, request.instrument);
  const strings = resolveSetup(request).strings.map(({ name }) => name);
  const write = () =>
    writeMusicXml({
      ...{ title: measuringText.long, software: PRODUCT },
      parts: [
        {
          ...{ name: 'Violin', instrument: request.instrument },
          sections: [
            {
              bars: writtenBars(response, request.instrument, clefs),
              steps: response.plans[0].steps,
              strings,
              words: new Map(),
            },
          ],
        },
      ],
    });
  const bytes = new TextEncoder().encode(write());
  const read = () => {
    const opened = openFile(bytes);
    return opened.kind === 'piece' ? passageOf(opened.piece, {}) : null;
  };
  const scale: PlanRequest = {
    instrument: 'violin',
    material: { type: 'scale', tonic: 'G3', scale: 'major', octaves: 3, direction: 'updown', notesPerBow: 4 },
  };
  const answer = plan(scale);
  const planned = { request: scale, response: answer, plan: answer.plans[0] };
  const one = sheetPlan(planned, { level: 'middle', names: 'letters' });
  const pages = usualSheet(planned, new Date(0), { log: true }).pages.length;
  const lay = () =>
    sheetPages({
      ...{ title: measuringText.sheet, who: '', date: '', goal: '', reminders: '', caution: '', names: 'letters' },
      ...{ plans: [one], ladder: ladderLabels(scale), choices: { ...USUAL_CHOICES, log: true } },
    });
  console.table([
    {
      what: measuringText.musicxmlOfNotesWritten(NOTES, (bytes.length / 1e6).toFixed(1)),
      'median ms': medianMs(write),
      'limit ms': 500,
    },
    { what: measuringText.theSameReadAs, 'median ms': medianMs(read), 'limit ms': 500 },
    { what: measuringText.aSheetOfPages(pages), 'median ms': medianMs(lay), 'limit ms': 150 },
  ]);
}
