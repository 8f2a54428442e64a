import { useCallback, useEffect, useRef, useState } from 'react';
import type { Meaning } from '../../app/meaning';
import { ladderOf, usualTimes } from '../../app/practice/asked';
import type { Beginning } from '../../app/practice/goOn';
import type { SessionGoal } from '../../app/practice/overview';
import { passageOf } from '../../app/practice/playedPassage';
import { usePedals } from '../../app/practice/pedals';
import { begin, goAhead } from '../../app/practice/run';
import { EarButton } from './EarButton';
import { stepsOf, taskIssues, type Ladder, type PracticeTask } from '../../core';
import { Caution } from '../../ui/Caution';
import { NumberField, Pick } from '../../ui/fields';
import { GoalField } from '../../ui/GoalField';
import { issueWords } from '../../wording/issues';
import { barWords, positionWords } from '../../wording/places';
import { checklistFor, GROWING_WORDS, LADDER_CHOICES, ladderStepWords, REMINDERS } from '../../wording/practice';
import { stepWords } from '../../wording/plans';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

interface Props {
  readonly meaning: Meaning;
  readonly beginning: Beginning;
  readonly goals: readonly SessionGoal[];
}

/** What a session is about, how the passage is worked at, and how often: then it begins. */
export function Setup({ meaning, beginning, goals }: Props) {
  const [task, setTask] = useState(beginning.task);
  const [goal, setGoal] = useState(() => new URLSearchParams(location.search).get('goal') ?? '');
  // What is chosen anew begins on its first step.
  const put = (part: Partial<PracticeTask>) => setTask((now) => ({ ...now, begin: undefined, ...part }));
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => button.current?.focus(), []);
  const start = useCallback(async () => {
    if (await begin(meaning, task, goal.trim())) goAhead();
  }, [meaning, task, goal]);
  usePedals(useCallback((pedal) => void (pedal === 'right' && start()), [start]));
  const [issue] = taskIssues(task);
  const steps = issue ? [] : stepsOf(task, passageOf(meaning));
  return (
    <section aria-labelledby="setup" className="flex flex-col gap-4 rounded-lg border border-rule bg-sheet px-4 py-3">
      <h2 id="setup" className="font-serif text-xl font-semibold">
        {practiceViewsText.aSession}
      </h2>
      <div className="grid gap-x-5 gap-y-3 md:grid-cols-2">
        <GoalField goal={goal} proposed={goals} onPut={setGoal} />
        <Where meaning={meaning} task={task} onPut={put} />
      </div>
      <LadderFields task={task} onPut={put} doubleStops={hasDoubleStops(meaning)} />
      {issue ? (
        <p role="alert" className="border-l-4 border-madder px-3 py-1">
          {issueWords(issue)}
        </p>
      ) : (
        steps.length > 1 && (
          <p data-testid="ladder-steps" className="text-faded">
            {practiceViewsText.steps(steps.length, stepList(steps, task.ladder, meaning))}
            {beginning.goesOn && task.begin ? ` ${practiceViewsText.goesOnWithStep(task.begin + 1)}` : ''}
          </p>
        )
      )}
      <Reminders chosen={task.reminders} onPut={(reminders) => put({ reminders, begin: task.begin })} />
      <Checklist meaning={meaning} task={task} onPut={(checked) => put({ checked, begin: task.begin })} />
      <details>
        <summary className="cursor-pointer text-dove">{practiceViewsText.pedals}</summary>
        <ul className="list-disc pl-5">
          {practiceViewsText.pedalHelp.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </details>
      <Caution />
      <div className="flex flex-wrap items-center gap-3">
        <button
          ref={button}
          type="button"
          className="button min-h-12 px-6 text-lg"
          disabled={issue !== undefined}
          onClick={() => void start()}
        >
          {practiceViewsText.begin}
        </button>
        <EarButton />
      </div>
    </section>
  );
}

const SHOWN_STEPS = 6;

function stepList(steps: ReturnType<typeof stepsOf>, ladder: Ladder, { speech }: Meaning): string {
  const words = steps.map((step) =>
    ladderStepWords(step, ladder, practiceViewsText.on(barWords(speech.place(step.from)))),
  );
  return words.length > SHOWN_STEPS
    ? `${words.slice(0, SHOWN_STEPS - 1).join(' · ')} · … · ${words[words.length - 1]}`
    : words.join(' · ');
}

function hasDoubleStops({ response }: Meaning): boolean {
  return response.events.some((event) => 'pitches' in event && event.pitches.length > 1);
}

interface PartProps {
  readonly task: PracticeTask;
  readonly onPut: (part: Partial<PracticeTask>) => void;
}

/** Which notes, and whether one of them is judged or all. */
function Where({ meaning, task, onPut }: PartProps & { readonly meaning: Meaning }) {
  const { speech, plan, response } = meaning;
  const notes = plan.steps.map(({ at }) => [String(at), barWords(speech.place(at))] as const);
  const last = response.events.length - 1;
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <Pick
        label={practiceViewsText.from}
        value={String(task.from)}
        choices={notes.filter(([at]) => Number(at) <= task.to)}
        other={barWords(speech.place(task.from))}
        onPick={(at) => onPut({ from: Number(at), ...outside(task, Number(at), task.to) })}
      />
      <Pick
        label={practiceViewsText.to}
        value={String(task.to)}
        choices={notes.filter(([at]) => Number(at) >= task.from)}
        other={barWords(speech.place(Math.min(last, task.to)))}
        onPick={(at) => onPut({ to: Number(at), ...outside(task, task.from, Number(at)) })}
      />
      <Pick
        label={practiceViewsText.whatIsJudged}
        value={String(task.target ?? '')}
        choices={[
          ['', practiceViewsText.theWholePassage],
          ...plan.steps
            .filter(({ at }) => at >= task.from && at <= task.to)
            .map((step) => [String(step.at), stepWords(step, speech).replace(/^Note \d+ of \d+, /, '')] as const),
        ]}
        onPick={(at) => onPut({ target: at === '' ? undefined : Number(at), hearFirst: at !== '' })}
      />
    </div>
  );
}

function outside({ target }: PracticeTask, from: number, to: number): Partial<PracticeTask> {
  return target !== undefined && (target < from || target > to) ? { target: undefined } : {};
}

function LadderFields({ task, onPut, doubleStops }: PartProps & { readonly doubleStops: boolean }) {
  const { ladder } = task;
  const plain = ladder.kind === 'repeat' || ladder.kind === 'placing';
  const choices = LADDER_CHOICES.filter(([kind]) => kind !== 'voices' || doubleStops);
  return (
    <div className="flex flex-col gap-3">
      <div role="group" aria-label={practiceViewsText.howItIsWorked} className="flex flex-wrap gap-2">
        {ladder.kind === 'parts' && (
          <span className="rounded-md border-2 border-dove bg-haze px-3 py-1.5 font-semibold">
            {practiceViewsText.theStepsOfThe}
          </span>
        )}
        {choices.map(([kind, words, what]) => (
          <button
            key={kind}
            type="button"
            aria-pressed={kind === ladder.kind}
            title={what}
            onClick={() =>
              onPut({
                ladder: ladderOf(kind, task.bpm),
                times: usualTimes(kind),
                // One place is set down; its note is the first where none was chosen, of a landing the last.
                ...(kind === 'placing' ? { target: task.target ?? task.from, beatsEach: 4 } : {}),
                ...(kind === 'matching' ? { target: task.target ?? task.to, hearFirst: true } : {}),
              })
            }
            className={`min-h-10 cursor-pointer rounded-md border-2 border-dove px-3 font-semibold ${
              kind === ladder.kind ? 'bg-dove text-sheet' : 'bg-sheet text-dove hover:bg-haze'
            }`}
          >
            {words}
          </button>
        ))}
      </div>
      <p className="text-faded">{LADDER_CHOICES.find(([kind]) => kind === ladder.kind)?.[2]}</p>
      <div className="grid gap-3 sm:grid-cols-3 lg:grid-cols-6">
        {ladder.kind === 'tempo' ? (
          <TempoFields ladder={ladder} onPut={(next) => onPut({ ladder: next })} />
        ) : (
          <NumberField
            label={practiceViewsText.beatsAMinute}
            unit=""
            value={task.bpm}
            usual={60}
            least={20}
            most={300}
            onPut={(bpm = 60) => onPut({ bpm })}
          />
        )}
        {ladder.kind === 'growing' && (
          <Pick
            label={practiceViewsText.itGrows}
            value={ladder.unit}
            choices={GROWING_WORDS}
            onPick={(unit) => onPut({ ladder: { kind: 'growing', unit: unit as typeof ladder.unit } })}
          />
        )}
        <NumberField
          label={plain ? practiceViewsText.howManyTimes : practiceViewsText.cleanTimesInA}
          unit=""
          value={task.times}
          usual={usualTimes(ladder.kind)}
          least={1}
          most={50}
          onPut={(times) => onPut({ times: Math.round(times ?? usualTimes(ladder.kind)) })}
        />
        {plain && (
          <NumberField
            label={practiceViewsText.beatsEachNote}
            unit=""
            value={task.beatsEach}
            usual={1}
            least={0.25}
            most={16}
            onPut={(beatsEach = 1) => onPut({ beatsEach })}
          />
        )}
        <Pick
          label={practiceViewsText.clicksToABeat}
          value={String(task.clicks)}
          choices={[1, 2, 3, 4].map((n) => [String(n), String(n)] as const)}
          onPick={(clicks) => onPut({ clicks: Number(clicks) })}
        />
        <label className="flex min-h-10 items-center gap-2 self-end">
          <input
            type="checkbox"
            className="size-5"
            checked={task.hearFirst}
            onChange={(event) => onPut({ hearFirst: event.target.checked })}
          />
          {practiceViewsText.hearTheTargetFirst}
        </label>
      </div>
    </div>
  );
}

interface TempoProps {
  readonly ladder: Extract<Ladder, { kind: 'tempo' }>;
  readonly onPut: (ladder: Ladder) => void;
}

function TempoFields({ ladder, onPut }: TempoProps) {
  const { from, to, by } = ladder;
  const evenly = 'steps' in by;
  return (
    <>
      <NumberField
        label={practiceViewsText.fromBeatsAMinute}
        unit=""
        value={from}
        usual={60}
        least={20}
        most={300}
        onPut={(value = 60) => onPut({ ...ladder, from: value })}
      />
      <NumberField
        label={practiceViewsText.to}
        unit=""
        value={to}
        usual={100}
        least={20}
        most={300}
        onPut={(value = 100) => onPut({ ...ladder, to: value })}
      />
      <Pick
        label={practiceViewsText.stepsLabel}
        value={evenly ? 'steps' : 'beats'}
        choices={[
          ['steps', practiceViewsText.inEqualSteps],
          ['beats', practiceViewsText.byANumberOf],
        ]}
        onPick={(kind) => onPut({ ...ladder, by: kind === 'steps' ? { steps: 4 } : { beats: 4 } })}
      />
      <NumberField
        label={evenly ? practiceViewsText.howManySteps : practiceViewsText.beatsEachStep}
        unit=""
        value={evenly ? by.steps : by.beats}
        usual={4}
        least={evenly ? 1 : 0}
        most={evenly ? 60 : 100}
        onPut={(value = 4) => onPut({ ...ladder, by: evenly ? { steps: Math.round(value) } : { beats: value } })}
      />
    </>
  );
}

interface RemindersProps {
  readonly chosen: readonly string[];
  readonly onPut: (reminders: string[]) => void;
}

/** A teacher's choice; at a turning point one of them is shown, never more. */
function Reminders({ chosen, onPut }: RemindersProps) {
  return (
    <fieldset>
      <legend className="text-sm text-faded">{practiceViewsText.remindersAtTheTurning}</legend>
      <div className="flex flex-wrap gap-x-4">
        {REMINDERS.map((words) => (
          <label key={words} className="flex min-h-9 items-center gap-1.5">
            <input
              type="checkbox"
              className="size-5"
              checked={chosen.includes(words)}
              onChange={(event) =>
                onPut(event.target.checked ? [...chosen, words] : chosen.filter((one) => one !== words))
              }
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

interface ChecklistProps {
  readonly meaning: Meaning;
  readonly task: PracticeTask;
  readonly onPut: (checked: string[]) => void;
}

/** The highest position of the passage, with what to look at before a session in it. */
function Checklist({ meaning, task, onPut }: ChecklistProps) {
  const { checked = [] } = task;
  const own = meaning.plan.steps.filter(({ at }) => at >= task.from && at <= task.to).map(({ position }) => position);
  const height = (position: number | 'thumb') => (position === 'thumb' ? Infinity : position);
  const top = own.reduce((a, b) => (height(b) > height(a) ? b : a), own[0] ?? 1);
  return (
    <fieldset>
      <legend className="text-sm text-faded">
        {practiceViewsText.beforeYouBeginIn(positionWords(top, meaning.request.instrument))}
      </legend>
      <div className="flex flex-wrap gap-x-4">
        {checklistFor(top).map((words) => (
          <label key={words} className="flex min-h-9 items-center gap-1.5">
            <input
              type="checkbox"
              className="size-5"
              checked={checked.includes(words)}
              onChange={(event) =>
                onPut(event.target.checked ? [...checked, words] : checked.filter((one) => one !== words))
              }
            />{' '}
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
