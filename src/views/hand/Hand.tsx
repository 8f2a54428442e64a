import { useState } from 'react';
import { drillForFinding, type Finger, type Finding, type Plan } from '../../core';
import { cueWords, drillTitle, findingWords, trapWords } from '../../wording/findings';
import { barWords, placesWords } from '../../wording/places';
import { Caution } from '../../ui/Caution';
import { MeaningPage } from '../../ui/MeaningPage';
import { partAround, practiceAddress } from '../../app/practice/address';
import { openAsPlan, useMeaning, type Meaning } from '../../app/meaning';
import type { Cursor } from '../../ui/MusicLine';
import { REACH_UNKNOWN } from '../../wording/instruments';
import { Frames } from './Frames';
import { BoardMap } from './BoardMap';
import { Positions } from './Positions';
import { WayRound } from './WayRound';
import * as handViewsText from '../../wording/rooms/handViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** Hand: the frames under the fingers, string by string, the traps between them, and how far this hand reaches. */
function Hand() {
  return (
    <MeaningPage music here="/hand" heading={handViewsText.hand} state={useMeaning()}>
      {(meaning, cursor) => <HandOf meaning={meaning} cursor={cursor} />}
    </MeaningPage>
  );
}

interface HandProps {
  readonly meaning: Meaning;
  readonly cursor: Cursor;
}

function HandOf({ meaning, cursor }: HandProps) {
  const { frames } = meaning.plan;
  const [opened, setOpened] = useState(0);
  const holds = (at: number) => frames[at]?.from <= cursor.at && frames[at]?.to >= cursor.at;
  const frame = holds(opened)
    ? opened
    : Math.max(
        0,
        frames.findIndex((_, at) => holds(at)),
      );
  const setFrame = (at: number) => {
    setOpened(at);
    cursor.go(frames[at].from);
  };
  return (
    <>
      {meaning.request.hand === undefined && (
        <p className="border-l-4 border-ochre bg-sheet px-3 py-1">{REACH_UNKNOWN}</p>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Frames meaning={meaning} open={frame} onOpen={setFrame} />
        <div className="flex flex-col gap-4">
          <Positions meaning={meaning} frame={patternAt(frames, frame)} />
          <Reach meaning={meaning} />
        </div>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-2">
        <Traps meaning={meaning} />
        <Cues meaning={meaning} />
      </div>
      <BoardMap meaning={meaning} />
    </>
  );
}

/** The pattern there, or where one finger is by itself the last before it that has two. */
function patternAt(frames: Plan['frames'], at: number): Plan['frames'][number] {
  const several = ({ fingers }: Plan['frames'][number]) => Object.keys(fingers).length > 1;
  return frames.slice(0, at + 1).findLast(several) ?? frames.find(several) ?? frames[at];
}

const REACH: ReadonlySet<Finding['kind']> = new Set(['stretch', 'crowding']);

function Reach({ meaning }: { readonly meaning: Meaning }) {
  const { record, request, response, plan, speech } = meaning;
  const { ranked, setup } = meaning.findings;
  const drillFor = (finding: Finding) => drillForFinding(request, response, plan, setup, finding);
  const found = ranked.filter(({ kind }) => REACH.has(kind));
  return (
    <section aria-labelledby="reach" className="flex flex-col gap-2">
      <h2 id="reach" className="font-serif text-xl font-semibold">
        {handViewsText.reachAndRoom}
      </h2>
      {found.length === 0 && <p>{handViewsText.everythingLiesEasilyIn}</p>}
      <ul className="flex flex-col gap-2">
        {found.map((finding) => (
          <li key={`${finding.kind}${finding.events[0]}`} className="border-l-4 border-ochre bg-sheet px-3 py-1">
            <p>{findingWords(finding, setup, speech)}</p>
            <p className="flex flex-wrap gap-x-4 text-[0.95rem]">
              <WayRound meaning={meaning} {...tightPlace(finding, plan)} />
              <button
                type="button"
                className="cursor-pointer text-dove underline"
                onClick={() => openAsPlan(drillFor(finding), drillTitle(finding, speech), record)}
              >
                {handViewsText.openItsDrill}
              </button>
              <a
                className="text-dove underline"
                href={practiceAddress(record.id, partAround(finding.events, speech.events.length))}
              >
                {handViewsText.practiseIt}
              </a>
            </p>
          </li>
        ))}
      </ul>
      {found.length > 0 && <Caution />}
    </section>
  );
}

/** The note and the finger that stretch or crowd: of two crowded fingers the upper one, where it plays. */
function tightPlace(finding: Finding, plan: Plan): { readonly at: number; readonly finger: Finger } {
  const [at] = finding.events;
  if (finding.kind !== 'crowding') return { at, finger: played(plan, at) };
  const { fingers, events } = finding.crowd;
  const step = plan.steps.find(
    (one) => events.includes(one.at) && one.stops.some(({ finger }) => finger === fingers[1]),
  );
  return step ? { at: step.at, finger: fingers[1] } : { at, finger: played(plan, at) };
}

function played({ steps }: Plan, at: number): Finger {
  return steps.find((step) => step.at === at)?.stops[0].finger ?? 0;
}

function Traps({ meaning }: { readonly meaning: Meaning }) {
  const { traps, setup } = meaning.findings;
  return (
    <section aria-labelledby="traps">
      <h2 id="traps" className="font-serif text-xl font-semibold">
        {handViewsText.rePlacedFingers}
      </h2>
      {traps.length === 0 && <p>{handViewsText.noFingerIsNeeded}</p>}
      <ul className="list-disc pl-5">
        {traps.map((trap) => (
          <li key={`${trap.from.at}.${trap.to.at}.${trap.finger}`}>{trapWords(trap, setup, meaning.speech)}</li>
        ))}
      </ul>
    </section>
  );
}

function Cues({ meaning }: { readonly meaning: Meaning }) {
  const { cues } = meaning.findings;
  const byWords = new Map<string, number[]>();
  for (const cue of cues) {
    const words = cueWords(cue, meaning.speech.instrument);
    byWords.set(words, [...(byWords.get(words) ?? []), cue.at]);
  }
  return (
    <section aria-labelledby="cues">
      <h2 id="cues" className="font-serif text-xl font-semibold">
        {handViewsText.whatTheFingersDo}
      </h2>
      <p className="text-sm text-faded">{handViewsText.atThisTempoAnd}</p>
      <ul className="list-disc pl-5">
        {[...byWords].map(([words, notes]) => (
          <li key={words}>
            {words}{' '}
            <span className="text-faded">{placesWords(notes.map((at) => barWords(meaning.speech.place(at))))}.</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

export default view(sharedText.viewNames.Hand, Hand);
