import { useCallback, useEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import { KEYMAP } from '../../app/keymap';
import { usePedals, type Pedal, type Press } from '../../app/practice/pedals';
import { countInOf } from '../../app/practice/sounding';
import {
  endRun,
  goAhead,
  judge,
  leaveRun,
  pointAt,
  sayPlayed,
  sayWhere,
  takeBack,
  waveOn,
  type Run,
} from '../../app/practice/run';
import { eventsOn } from '../../app/practice/playedPassage';
import { secondsOfShortest, type HeardAs, type LadderStep } from '../../core';
import { counted } from '../../wording/grammar';
import { barWords, stretchWords } from '../../wording/places';
import { handTimeWords, HEARD_WORDS, ladderStepWords, PAUSE_WORDS } from '../../wording/practice';
import { hearWords } from '../../wording/shifts';
import { EarButton } from './EarButton';
import { PassageStaff } from './PassageStaff';
import { Pulse } from './Pulse';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

const PRACTICE_KEYS = KEYMAP.filter(({ place }) => place === 'practice');
const JUDGED: Readonly<Record<string, HeardAs>> = { low: 'low', high: 'high', in: 'in', 'not-clean': 'missed' };

/** A session that runs: read from the music stand, worked by one key, a pedal or a tap. */
export function Running({ run }: { readonly run: Run }) {
  const { meaning, session, steps, climb, phase, cursor } = run;
  const { task } = session;
  const { speech } = meaning;
  const step = steps[climb.step];
  const now = useRef(run);
  useEffect(() => {
    now.current = run;
  }, [run]);
  useEffect(() => {
    const bindings = PRACTICE_KEYS.flatMap(({ id, keys }) =>
      keys.map((key) => [key, (event: KeyboardEvent) => press(event, id, now.current)] as const),
    );
    return tinykeys(window, Object.fromEntries(bindings));
  }, []);
  usePedals(useCallback((pedal, held) => pressPedal(pedal, held, now.current), []));
  const words = ladderStepWords(step, task.ladder, stretchWords(speech.place, step.from, step.to));
  const asks = phase === 'judging' || phase === 'where';
  return (
    <section
      aria-label={practiceViewsText.session}
      className="flex h-[calc(100vh-5.5rem)] min-h-[420px] flex-col gap-2"
      data-testid="session"
    >
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
        {session.goal && <p className="font-serif text-2xl font-semibold">{session.goal}</p>}
        <p className="hidden flex-1 text-right text-faded md:block">
          {session.what}, {stretchWords(speech.place, task.from, task.to)}
        </p>
        <EarButton />
        <button type="button" className="button min-h-11" onClick={leaveRun}>
          {practiceViewsText.leave}
        </button>
        <button type="button" className="button min-h-11" onClick={endRun}>
          {practiceViewsText.end}
        </button>
      </div>
      <PassageStaff
        meaning={meaning}
        step={step}
        cursor={cursor}
        pointing={phase === 'where'}
        onPoint={(at) => sayWhere(at)}
      />
      <Reminder run={run} />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 md:gap-x-8 md:gap-y-2">
        <Pulse beat={run.beat} countIn={countInOf(meaning)} />
        <div className="min-w-44 flex-1">
          <p className="font-serif text-2xl leading-tight font-bold md:text-[2.6rem]" data-testid="step">
            {words || counted(task.times, 'repetition')}
          </p>
          <p className="text-xl" data-testid="step-place">
            {steps.length > 1 ? practiceViewsText.stepOf(climb.step + 1, steps.length) : ''}
            {handTimeWords(secondsOfShortest(step, eventsOn(meaning, step)))}
            {nextWords(run, step)}
          </p>
          {(step.hear ?? task.hearFirst) && <p className="text-lg">{firstHeard(run, task.target ?? step.to)}</p>}
        </div>
        <Count run={run} />
      </div>
      {run.pause && phase === 'ready' ? (
        <div role="status" className="flex flex-wrap items-center gap-3 border-l-4 border-ochre bg-sheet px-3 py-2">
          <p className="min-w-60 flex-1 text-lg">{PAUSE_WORDS[run.pause]}</p>
          <button type="button" className="button" onClick={endRun}>
            {practiceViewsText.stopHere}
          </button>
          <button type="button" className="button" onClick={waveOn}>
            {practiceViewsText.goOnALittle}
          </button>
        </div>
      ) : (
        <p role="status" className="text-xl" data-testid="prompt">
          {promptWords(run)}
        </p>
      )}
      <div className="grid grid-cols-3 gap-2 pb-1 md:grid-cols-[2fr_1fr_1fr_1fr_1fr_1fr]">
        <Big words={goWords(run)} strong onPress={goAhead} />
        {phase === 'where' ? (
          <>
            <Big words={practiceViewsText.dontKnowWhere} onPress={() => sayWhere(null)} />
            <Big words={practiceViewsText.inSeveralPlaces} onPress={() => sayWhere(null)} />
          </>
        ) : phase === 'asked' ? (
          <Big words={practiceViewsText.no} onPress={() => sayPlayed(false)} />
        ) : (
          (['low', 'in', 'high', 'missed'] as const).map((heard) => (
            <Big
              key={heard}
              words={HEARD_WORDS[heard]}
              disabled={phase === 'sounding'}
              pressed={asks && run.off === heard}
              onPress={() => judge(heard)}
            />
          ))
        )}
        <Big
          words={practiceViewsText.takeBack}
          disabled={phase === 'sounding' || (run.judged.length === 0 && phase === 'ready')}
          onPress={() => void takeBack()}
        />
      </div>
    </section>
  );
}

/** What the pedals say: the right one plays, is content and goes on; the left one is not content. A long press of either says more. */
function pressPedal(pedal: Pedal, held: Press, run: Run) {
  const { phase, cursor } = run;
  const [right, long] = [pedal === 'right', held === 'long'];
  if (phase === 'asked') sayPlayed(right);
  else if (phase === 'where') {
    if (right === long) pointAt(cursor + 1);
    else if (right) sayWhere(cursor);
    else if (long) sayWhere(null);
    else pointAt(cursor - 1);
  } else if (phase === 'judging') judge(right ? (long ? 'high' : 'in') : long ? 'missed' : 'low');
  else if (right) {
    if (run.pause) waveOn();
    else goAhead();
  } else if (long) void takeBack();
}

function press(event: KeyboardEvent, id: string, run: Run) {
  const { target } = event;
  // A key that is held is one press.
  if (event.repeat) return;
  if (target instanceof HTMLElement && target.closest('input, textarea, select')) return;
  // A button that has the focus does its own thing; only a pedal or a letter goes past it.
  const onButton = target instanceof HTMLElement && target.closest('button, a[href]') !== null;
  if (onButton && (event.key === ' ' || event.key === 'Enter')) return;
  event.preventDefault();
  if (id === 'go-ahead') goAhead();
  else if (id === 'back') void takeBack();
  else if (id === 'no-place') sayWhere(null);
  else if (id === 'which') {
    if (run.phase === 'where') pointAt(run.cursor + (event.key === 'ArrowLeft' ? -1 : 1));
  } else if (run.phase !== 'where') judge(JUDGED[id]);
}

function goWords({ phase }: Run): string {
  switch (phase) {
    case 'sounding':
      return 'stop';
    case 'judging':
      return practiceViewsText.itWasIn;
    case 'where':
      return 'here';
    case 'asked':
      return practiceViewsText.yes;
    default:
      return 'play';
  }
}

function promptWords({ phase, off, meaning, cursor, session, judged, climb }: Run): string {
  if (phase === 'where')
    return practiceViewsText.whichNoteWasArrows(off ?? 'off', barWords(meaning.speech.place(cursor)));
  if (phase === 'asked') return practiceViewsText.wasThatPlayed;
  if (phase === 'judging') return practiceViewsText.howWasItLow;
  if (phase === 'sounding')
    return session.task.ladder.kind === 'placing' ? practiceViewsText.placeListen : practiceViewsText.play;
  if (session.task.ladder.kind === 'placing') return practiceViewsText.liftTheFingerThen;
  const last = judged.at(-1);
  if (!last) return practiceViewsText.pressPlayOrSpace;
  if (climb.clean === 0 && last.heard === 'in') return practiceViewsText.cleanAStepUp;
  if (last.heard !== 'in' && climb.unclean === 0) return practiceViewsText.twiceNotCleanA;
  return last.heard === 'in' ? practiceViewsText.clean : `${HEARD_WORDS[last.heard]}.`;
}

/** Where the target is heard the easy way before it is played. */
function firstHeard({ meaning: { findings } }: Run, at: number): string {
  const heard = findings.heard.find(({ note }) => note.at === at);
  return heard ? hearWords(heard.elsewhere, { to: heard.note }, findings.setup) : '';
}

function nextWords({ steps, climb, session, meaning }: Run, step: LadderStep): string {
  const next = steps[climb.step + 1];
  if (!next || next === step) return '';
  const { place } = meaning.speech;
  return `. Next: ${ladderStepWords(next, session.task.ladder, stretchWords(place, next.from, next.to))}`;
}

/** Repetitions, counted by the program: players lose count. */
function Count({ run }: { readonly run: Run }) {
  const { task } = run.session;
  const { climb, judged } = run;
  const plain = task.ladder.kind === 'repeat' || task.ladder.kind === 'placing';
  const have = plain ? climb.judged : climb.clean;
  return (
    <div className="text-right" data-testid="count">
      <p className="flex flex-wrap justify-end gap-2" aria-hidden>
        {Array.from({ length: Math.min(12, task.times) }, (_, at) => (
          <span key={at} className={`size-7 rounded-full border-2 border-dove ${at < have ? 'bg-dove' : 'bg-sheet'}`} />
        ))}
      </p>
      <p className="text-lg">
        {plain
          ? practiceViewsText.runningOf(have, counted(task.times, 'time'))
          : practiceViewsText.ofCleanInA(have, task.times)}
      </p>
      <p className="text-faded">{counted(judged.length, 'repetition')}</p>
    </div>
  );
}

/** One reminder at a time, at the turning point: the top of the line, or its end. */
function Reminder({ run }: { readonly run: Run }) {
  const { reminders } = run.session.task;
  if (reminders.length === 0) return null;
  const turn = run.cursor === turningPoint(run) || run.phase === 'ready';
  return (
    <p className={`text-center font-serif text-2xl ${turn ? 'text-dove' : 'text-transparent'}`} aria-hidden={!turn}>
      {reminders[run.judged.length % reminders.length]}
    </p>
  );
}

/** The highest note of what is played. */
function turningPoint({ meaning, steps, climb }: Run): number {
  const { from, to } = steps[climb.step];
  const height = (at: number) => {
    const event = meaning.response.events[at];
    return 'midi' in event ? event.midi[event.midi.length - 1] : -1;
  };
  let top = from;
  for (let at = from; at <= to; at++) if (height(at) > height(top)) top = at;
  return top;
}

interface BigProps {
  readonly words: string;
  readonly strong?: boolean;
  readonly disabled?: boolean;
  readonly pressed?: boolean;
  readonly onPress: () => void;
}

/** A button that is hit with a bow in the hand. */
function Big({ words, strong = false, disabled = false, pressed = false, onPress }: BigProps) {
  const look = strong ? 'bg-dove text-sheet' : pressed ? 'bg-haze text-dove' : 'bg-sheet text-dove';
  return (
    <button
      type="button"
      disabled={disabled}
      onClick={onPress}
      className={`min-h-12 cursor-pointer rounded-lg border-2 border-dove text-lg md:min-h-16 md:text-xl font-bold disabled:cursor-default disabled:border-rule disabled:text-faded ${look}`}
    >
      {words}
    </button>
  );
}
