import { useEffect, useMemo, useState } from 'react';
import { partAround, practiceAddress, REHEARSAL } from '../../app/practice/address';
import { openAsPlan, practiseAsPlan, type Meaning } from '../../app/meaning';
import {
  clefsRead,
  drillLike,
  pitchName,
  rehearse,
  shiftsInstead,
  withoutShift,
  type Plan,
  type PlanRequest,
  type ShiftDetail,
} from '../../core';
import { notesLabel, Staff, StaffHead } from '../../drawing/Staff';
import { evenLayout, headWidth, type Marks, type Score } from '../../drawing/score';
import {
  guideWords,
  HAND_CUES,
  hearWords,
  bowWords,
  hurryWords,
  kindSentence,
  landingWords,
  REHEARSAL_WORDS,
  wayWords,
} from '../../wording/shifts';
import { mm, seconds } from '../../wording/grammar';
import { planTitle } from '../../wording/material';
import { noteWords } from '../../wording/notes';
import { barWords, intervalWords } from '../../wording/places';
import { tradeBetween } from '../../wording/ways';
import { WhyLines } from '../../ui/WhyLines';
import { planInWorker } from '../../work/planner';
import * as shiftsViewsText from '../../wording/rooms/shiftsViews';

interface Props {
  readonly meaning: Meaning;
  readonly detail: ShiftDetail;
}

/** One shift close up: what happens, what to hear, what the hand does, why, where else, and how to rehearse it. */
export function CloseUp({ meaning, detail }: Props) {
  const { record, student, request, response, plan, findings, speech } = meaning;
  const { setup } = findings;
  const { shift } = detail;
  const notes = [detail.from, detail.to].map(({ pitch }) => noteWords(pitchName(pitch)));
  const title = shiftsViewsText.to(notes.join(' – '), shift.fromFinger, shift.toFinger);
  const open = (made: PlanRequest, what: string) =>
    openAsPlan(made, `${what}: ${title} (${planTitle(record, student)})`.slice(0, 120), record);
  const work = (made: PlanRequest, what: string, tags: readonly string[]) =>
    practiseAsPlan(made, `${what}: ${title} (${planTitle(record, student)})`.slice(0, 120), record, ['drill', ...tags]);
  return (
    <section
      aria-labelledby="closeup"
      className="flex flex-col gap-3 rounded-lg border border-rule bg-sheet px-4 py-3"
      data-testid="closeup"
    >
      <h2 id="closeup" className="font-serif text-xl font-semibold">
        {title}
      </h2>
      <ShiftStaff meaning={meaning} detail={detail} />
      <p>
        <strong>{kindSentence(shift)}</strong>{' '}
        {shiftsViewsText.theHandGoesIn(
          guideWords(shift),
          intervalWords(shift.semitones),
          mm(shift.travelMm),
          detail.up ? shiftsViewsText.towardsTheBridge : shiftsViewsText.towardsTheNut,
          seconds(detail.seconds),
          wayWords(detail, setup, speech),
        )}{' '}
        {bowWords(detail)} {hurryWords(detail)}
      </p>
      <p>
        {hearWords(detail.hear, detail, setup)} {landingWords(detail)}
      </p>
      <ul className="list-disc pl-5">
        {detail.cues.map((cue) => (
          <li key={cue}>{HAND_CUES[cue]}</li>
        ))}
      </ul>
      <WhyLines shift={shift} speech={speech} />
      <Elsewhere meaning={meaning} detail={detail} />
      <div>
        <h3 className="font-serif text-lg font-semibold">{shiftsViewsText.rehearseIt}</h3>
        <ol className="list-decimal pl-6">
          {Object.entries(REHEARSAL_WORDS).map(([step, words]) => (
            <li key={step}>{words}</li>
          ))}
        </ol>
        <div className="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            className="button"
            onClick={() => open(rehearse(request, response, plan, setup, detail).request, 'Rehearsal')}
          >
            {shiftsViewsText.openTheRehearsalOn}
          </button>
          <button
            type="button"
            className="button"
            onClick={() => open(drillLike(request, response, plan, setup, detail), 'Drill')}
          >
            {shiftsViewsText.openTheDrillMost}
          </button>
          <button
            type="button"
            className="button"
            onClick={() => work(rehearse(request, response, plan, setup, detail).request, 'Rehearsal', [REHEARSAL])}
          >
            {shiftsViewsText.practiseTheRehearsal}
          </button>
          <a
            className="button no-underline"
            href={practiceAddress(record.id, partAround([shift.from, shift.to], response.events.length))}
          >
            {shiftsViewsText.practiseThisShift}
          </a>
        </div>
      </div>
    </section>
  );
}

/** Where the same job could be done instead: planned again without this shift; each place opens that plan there. */
function Elsewhere({ meaning, detail }: Props) {
  const { request, record, student, plan, speech } = meaning;
  const [other, setOther] = useState<Plan | null | undefined>(undefined);
  const { to } = detail.shift;
  const without = useMemo(() => withoutShift(request, to), [request, to]);
  useEffect(() => {
    let here = true;
    planInWorker({ request: without }).then(
      (answer) => {
        if (here && answer.kind !== 'refused') setOther(answer.response.plans[0] ?? null);
      },
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [without]);
  if (other === undefined) return null;
  if (other === null) return <p data-testid="elsewhere">{shiftsViewsText.nowhereElseWithoutA}</p>;
  const places = shiftsInstead(plan, other, detail.shift).slice(0, MOST_PLACES);
  const trade = tradeBetween(other, plan, speech);
  const name = shiftsViewsText.withoutTheShift(barWords(speech.place(to)), planTitle(record, student)).slice(0, 120);
  return (
    <p data-testid="elsewhere">
      {places.length === 0 ? shiftsViewsText.withoutThisShift : shiftsViewsText.elsewhereTheSameJob}{' '}
      {places.map((shift) => (
        <button
          key={shift.to}
          type="button"
          className="mr-2 cursor-pointer text-dove underline"
          onClick={() => openAsPlan(without, name, record, [], shift.to)}
        >
          {barWords(speech.place(shift.to))}
        </button>
      ))}
      {trade && `(${trade})`}
    </p>
  );
}

/** Places told at once. */
const MOST_PLACES = 2;

const COLUMN = 76;
const HEIGHT = 190;
const SCALE = 1.25;
const MARKS: Marks = { fingers: true, numerals: false, barNumbers: false };

/** The two notes and the guide between them, on the staff. */
function ShiftStaff({ meaning, detail }: Props) {
  const { request, response, student, findings } = meaning;
  const { instrument } = request;
  const clef = useMemo(
    () => clefsRead(response.events, instrument, student)[detail.to.at],
    [response, instrument, student, detail],
  );
  const score = useMemo(
    () =>
      shiftScore(
        detail,
        response,
        instrument,
        clef,
        findings.setup.strings.map(({ name }) => name),
      ),
    [detail, response, instrument, clef, findings],
  );
  const names = score.music.events.flatMap((event) => ('pitches' in event ? event.pitches : []));
  const layout = useMemo(() => evenLayout(names.length, COLUMN, HEIGHT, SCALE), [names.length]);
  const { fifths, name } = response.key;
  return (
    <div className="flex overflow-x-auto" data-testid="shift-staff">
      <StaffHead
        clef={clef}
        fifths={fifths}
        keyName={name}
        width={headWidth(fifths, false, SCALE)}
        height={HEIGHT}
        scale={SCALE}
      />
      <Staff score={score} layout={layout} marks={MARKS} label={notesLabel(names)} />
    </div>
  );
}

/** A shift as music: its two notes, and between them the guide where it is a note of its own. */
function shiftScore(
  { from, to, shift }: ShiftDetail,
  { key, time }: Meaning['response'],
  instrument: PlanRequest['instrument'],
  clef: Score['clefs'][number],
  strings: readonly string[],
): Score {
  const { guide } = shift;
  const ends = [pitchName(from.pitch), pitchName(to.pitch)];
  // The guide is unheard: where it is one of the two notes it needs no sign of its own.
  const unheard = guide && !ends.includes(guide.pitch) ? guide : null;
  const notes = [
    { pitch: ends[0], finger: shift.fromFinger, step: from.step },
    ...(unheard
      ? [{ pitch: unheard.pitch, finger: unheard.finger, step: shift.kind === 'new-finger' ? from.step : to.step }]
      : []),
    { pitch: ends[1], finger: shift.toFinger, step: to.step },
  ];
  return {
    music: {
      key,
      time,
      pickup: 0,
      events: notes.map(({ pitch }, at) => ({ at, pitches: [pitch], midi: [0], beats: 1 })),
    },
    steps: notes.map(({ finger, step }, at) => ({
      ...step,
      at,
      extended: false,
      stops: [{ ...step.stops[0], finger }],
    })),
    strings,
    instrument,
    clefs: notes.map(() => clef),
    guides: new Set(unheard ? [1] : []),
    barred: false,
  };
}
