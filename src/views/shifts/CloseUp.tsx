import { useEffect, useMemo, useRef, useState } from 'react';
import { clefsRead } from '../../brief/clefs';
import { HAND_CUES, hearWords, KIND_SENTENCES, noteWords, semitoneWords } from '../../brief/findings';
import { planTitle, printed, printedPitches } from '../../brief/words';
import {
  drillLike,
  pitchName,
  priceWords,
  rehearse,
  TURNS,
  type PlanRequest,
  type RehearsalStep,
  type ShiftDetail,
} from '../../core';
import { openAsPlan, type Meaning } from '../../ui/meaning';
import { planInWorker } from '../../work/planner';

const STEP_WORDS: Readonly<Record<RehearsalStep, string>> = {
  hear: 'Find the target the easy way, and listen.',
  guide: 'Slide slowly and audibly on the guide note.',
  light: 'The same, the finger light as a feather.',
  rhythm: `In rhythm, ${TURNS} times.`,
  turned: 'Turned round, the other way.',
  joined: 'With the note before and the note after; then alone once more.',
};

interface Props {
  readonly meaning: Meaning;
  readonly detail: ShiftDetail;
}

/** One shift close up: what happens, what to hear, what the hand does, why, where else, and how to rehearse it. */
export function CloseUp({ meaning, detail }: Props) {
  const { record, student, request, response, plan, findings } = meaning;
  const { setup } = findings;
  const { shift } = detail;
  const notes = [detail.from, detail.to].map(({ pitch }) => noteWords(pitchName(pitch)));
  const title = `${notes.join(' – ')}, ${shift.fromFinger} to ${shift.toFinger}`;
  const open = (made: PlanRequest, what: string) =>
    void openAsPlan(made, `${what}: ${title} (${planTitle(record, student)})`.slice(0, 120), record);
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
        <strong className="inline-block first-letter:uppercase">{KIND_SENTENCES[shift.kind]}.</strong> Guide:
        finger {shift.guide.finger} on {noteWords(shift.guide.pitch)}, {printed(shift.guide.string)} string,
        unheard. It goes {semitoneWords(shift.semitones)}, {shift.travelMm} mm{' '}
        {detail.up ? 'towards the bridge' : 'towards the nut'}, in {detail.seconds.toFixed(2)} s, from{' '}
        {detail.from.step.positionName} to {detail.to.step.positionName}.
      </p>
      <p>{hearWords(detail.hear, detail, setup)}</p>
      <ul className="list-disc pl-5">
        {detail.cues.map((cue) => (
          <li key={cue}>{HAND_CUES[cue]}</li>
        ))}
      </ul>
      <p className="border-l-4 border-copper px-3">
        <strong className="text-copper">Why here: </strong>
        {printedPitches(shift.reasons.map(({ message }) => message).join(' ')) ||
          'Its place makes the plan a little cheaper.'}
      </p>
      <Elsewhere meaning={meaning} detail={detail} />
      <div>
        <h3 className="font-serif text-lg font-semibold">Rehearse it</h3>
        <ol className="list-decimal pl-6">
          {Object.entries(STEP_WORDS).map(([step, words]) => (
            <li key={step}>{words}</li>
          ))}
        </ol>
        <div className="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            className="button"
            onClick={() => open(rehearse(request, response, plan, setup, detail).request, 'Rehearsal')}
          >
            Open the rehearsal on the Bench
          </button>
          <button
            type="button"
            className="button"
            onClick={() => open(drillLike(request, response, plan, setup, detail), 'Drill')}
          >
            Open the drill most like it
          </button>
        </div>
      </div>
    </section>
  );
}

/** Where the same job could be done instead: planned again without this shift. */
function Elsewhere({ meaning, detail }: Props) {
  const { request, plan } = meaning;
  const [words, setWords] = useState<string | null>(null);
  const { to } = detail.shift;
  useEffect(() => {
    let here = true;
    const never = [...(request.rules?.never ?? []), { at: to, shift: true as const }];
    const without = { ...request, alternatives: 1, rules: { ...request.rules, never } };
    void planInWorker({ ...without, explain: 'nothing' }).then((answer) => {
      if (here) setWords('error' in answer ? null : elsewhereWords(answer.plans[0], plan));
    });
    return () => {
      here = false;
    };
  }, [request, plan, to]);
  return words && <p data-testid="elsewhere">{words}</p>;
}

function elsewhereWords(other: Meaning['plan'] | undefined, plan: Meaning['plan']): string {
  if (!other) return 'Nowhere else: without a shift to this note no fingering is left.';
  const known = new Set(plan.shifts.map(({ to }) => to));
  const places = other.shifts.filter(({ to }) => !known.has(to)).map(({ to }) => String(to + 1));
  const price = priceWords(other.cost - plan.cost);
  return places.length === 0
    ? `Without this shift the hand makes no other: that ${price}.`
    : `Elsewhere the same job is done by shifting to note ${listed(places)}: that ${price}.`;
}

/** "15, 17 and 42" */
function listed(places: readonly string[]): string {
  return places.length < 2
    ? places.join()
    : `${places.slice(0, -1).join(', ')} and ${places[places.length - 1]}`;
}

/** The two notes and the guide between them, on the staff. */
function ShiftStaff({ meaning, detail }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const { request, response, student } = meaning;
  const { instrument } = request;
  const clefs = useMemo(
    () => clefsRead(response.events, instrument, student),
    [response, instrument, student],
  );
  useEffect(() => {
    let here = true;
    void import('./shiftStaff').then(async ({ drawShift }) => {
      await document.fonts.load('30px Bravura');
      if (here && box.current)
        drawShift(box.current, instrument, clefs[detail.to.at], response.key.fifths, detail);
    });
    return () => {
      here = false;
    };
  }, [clefs, instrument, response, detail]);
  return <div ref={box} className="staff h-48" role="img" aria-label={`Staff: ${staffWords(detail)}`} />;
}

function staffWords({ from, to, shift }: ShiftDetail): string {
  return `${pitchName(from.pitch)}, guide ${shift.guide.pitch} in brackets, ${pitchName(to.pitch)}`;
}
