import { memo, useMemo } from 'react';
import { fingersShown, namesToWrite, useLook } from '../../app/look';
import { moveCursor } from '../../app/edits';
import type { Selection } from '../../app/session/state';
import {
  NOTICES,
  clefsRead,
  hasBows,
  partsOf,
  resolveHand,
  signatureChangesIn,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  type Setup,
  type SignatureChange,
  type StudentRecord,
} from '../../core';
import { restezMarks } from '../../drawing/marks';
import { extentOf, needsOf } from '../../drawing/room';
import { later } from '../../ui/later';
import type { Speech } from '../../wording/plans';
import { stretchesMade } from '../../wording/stretches';
import { OneLine } from './OneLine';
import type { Room } from './PictureRoom';
import { sameScore } from './sameScore';
import { shapeOf } from './shape';
import type { Picture } from './Strip';
import * as benchPictureText from '../../wording/rooms/benchPicture';

const ManyLines = later(benchPictureText.theMusicInLines, async () => (await import('./ManyLines')).ManyLines);

/** Where no fingering fits the brief, the music is shown all the same. */
export const NO_PLAN: Plan = { cost: 0, terms: {}, steps: [], shifts: [], reach: [], frames: [] };

interface Props {
  readonly response: PlanResponse;
  readonly plan: Plan;
  /** What the response answers: while a newer question is worked at, the picture stays as it is. */
  readonly asked: PlanRequest;
  readonly setup: Setup;
  readonly student: StudentRecord | undefined;
  readonly speech: Speech;
  readonly demanded: Picture['demanded'];
  /** Laid beside the plan. */
  readonly other: Plan | undefined;
  readonly room: Room;
  readonly cursor: number;
  readonly selection: Selection | null;
  /** True while moving the cursor marks notes. */
  readonly marking: boolean;
}

const FRAME = {
  tabIndex: 0,
  role: 'application',
  'aria-label': benchPictureText.staffStringsAndHand,
  className: 'rounded-lg border border-rule bg-sheet',
} as const;

/** Staff, string row, hand trail and neck of a plan, laid out for the room there is. Drawn again only where something in it is another. */
export const PlanPicture = memo(function PlanPicture(props: Props) {
  const { response, plan, asked, setup, student, speech, demanded, other, room } = props;
  const { cursor, selection, marking } = props;
  const { zoom, names: shownNames, lines, fingers } = useLook();
  const { events, problems } = response;
  const clefs = useMemo(() => clefsRead(events, asked.instrument, student), [events, asked.instrument, student]);
  const trouble = useMemo(
    () => [...new Set(problems.flatMap(({ code, at, fight = [] }) => (NOTICES.has(code) ? [] : [at, ...fight])))],
    [problems],
  );
  const strings = useMemo(() => setup.strings.map(({ name }) => name), [setup]);
  const fingersAt = useMemo(
    () => fingersShown(fingers, { request: asked, response, plan }),
    [fingers, asked, response, plan],
  );
  const score = useMemo(
    () =>
      sameScore({
        music: response,
        steps: plan.steps,
        strings,
        instrument: asked.instrument,
        clefs,
        barred: true,
        ...(fingersAt ? { fingersAt } : {}),
      }),
    [response, plan.steps, strings, asked.instrument, clefs, fingersAt],
  );
  const names = namesToWrite(shownNames, student?.noteNames);
  const needs = useMemo(() => needsOf(score), [score]);
  const extent = useMemo(() => extentOf(score.music.events, score.clefs, score.instrument), [score]);
  const under = useMemo(() => hasBows(score.music.events) || restezMarks(score.steps).length > 0, [score]);
  const turns = useMemo(() => signatureChangesIn(score.music, partsOf(score)), [score]);
  const fifths = useMemo(() => widestKey(response.key.fifths, turns), [response, turns]);
  const stretches = useMemo(() => stretchesMade(asked), [asked]);
  const phrases = stretches.length > 0 || events.some((event) => 'phrase' in event && event.phrase !== undefined);
  const shape = useMemo(
    () => shapeOf({ ...needs, extent, fifths, room, zoom, lines, under, phrases, names: !!names, beside: !!other }),
    [needs, extent, fifths, room, zoom, lines, under, phrases, names, other],
  );
  const hand = useMemo(() => resolveHand(setup, asked.hand), [setup, asked.hand]);
  const picture: Picture = {
    response,
    events,
    plan,
    setup,
    score,
    speech,
    clefs,
    turns,
    names,
    other,
    hand,
    demanded,
    stretches,
    cursor,
    selection,
    trouble,
  };
  const Layout = shape.many ? ManyLines : OneLine;
  return (
    <Layout picture={picture} shape={shape} frame={FRAME} onPoint={(at, mark) => moveCursor(at, mark || marking)} />
  );
});

/** The key with the most signs of all that are in force: heads of lines are as wide as its. */
function widestKey(first: number, turns: ReadonlyMap<number, SignatureChange>): number {
  const all = [first, ...[...turns.values()].map(({ signature }) => signature?.fifths ?? 0)];
  return all.reduce((most, fifths) => (Math.abs(fifths) > Math.abs(most) ? fifths : most));
}
