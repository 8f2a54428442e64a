import { Volume2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { answerCard, nextCard, sayOfAnswer, soundCard, stopAsking, type Asking } from '../../app/practice/asking';
import { Field, type Spot } from '../../drawing/board/Field';
import {
  lyingIn,
  midiOf,
  NO_STRING,
  parsePitch,
  placeAnswer,
  readKey,
  resolveSetup,
  spotAnswer,
  type Quiz,
  type Setup,
  type StudentRecord,
  answeredBy,
} from '../../core';
import { answerWords, askWords, rightWords, spotOf, typedName } from '../../wording/cards';
import { counted } from '../../wording/grammar';
import * as cardBoxText from '../../wording/rooms/cardBox';

interface Props {
  readonly student: StudentRecord;
  readonly asking: Asking;
}

/** One card: its question, the way to answer it, and then what was right and why. */
export function Ask({ student, asking }: Props) {
  const { card, answer, right, queue } = asking;
  const { plays, noteNames } = student;
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), [card]);
  if (!card) return null;
  const { quiz } = card;
  const setup = resolveSetup(plays);
  const way = { instrument: plays.instrument, names: noteNames };
  const done = answer !== null;
  return (
    <section
      aria-labelledby="question"
      className="flex flex-col gap-4 rounded-lg border border-rule bg-sheet px-5 py-4"
      data-testid="card"
      data-kind={quiz.ask.kind}
    >
      <div className="flex flex-wrap items-start gap-4">
        <h2
          id="question"
          ref={heading}
          tabIndex={-1}
          className="min-w-60 flex-1 font-serif text-3xl font-semibold outline-none"
        >
          {askWords(quiz.ask, way)}
        </h2>
        <p className="text-faded">{cardBoxText.afterThis(card.deck, counted(queue.length, 'card'))}</p>
        <button type="button" className="button" onClick={stopAsking}>
          {cardBoxText.stop}
        </button>
      </div>
      {quiz.ask.kind.startsWith('ear') && (
        <div>
          <button type="button" className="button flex items-center gap-2" onClick={() => void soundCard(quiz)}>
            <Volume2 size={18} aria-hidden /> {cardBoxText.hearBothAgain}
          </button>
        </div>
      )}
      <Answering key={card.id + String(done)} quiz={quiz} setup={setup} student={student} answer={answer} />
      {done && <Shown quiz={quiz} setup={setup} student={student} />}
      <div role="status" data-testid="verdict">
        {done && (
          <p className={`border-l-4 px-3 text-xl ${right ? 'border-sage' : 'border-madder'}`}>
            <strong>{right ? cardBoxText.right : cardBoxText.noNot(answerWords(quiz, answer, way))}</strong>{' '}
            {rightWords(quiz, setup, way)}
          </p>
        )}
      </div>
      {done && (
        <div className="flex flex-wrap gap-3">
          <button type="button" autoFocus className="button min-h-12 px-6 text-lg" onClick={nextCard}>
            {queue.length > 0 ? cardBoxText.next : cardBoxText.done}
          </button>
          {right && (
            <>
              <button type="button" className="button min-h-12 px-4" onClick={() => void sayOfAnswer('easy')}>
                {cardBoxText.itWasEasy}
              </button>
              <button type="button" className="button min-h-12 px-4" onClick={() => void sayOfAnswer('guessed')}>
                {cardBoxText.iGuessed}
              </button>
            </>
          )}
        </div>
      )}
    </section>
  );
}

/** Where what was asked lies on the neck, with its fingers: shown once it was answered otherwise than on the neck. */
function Shown({ quiz, setup, student }: Omit<AnsweringProps, 'answer'>) {
  const spots = shownSpots(quiz, setup, student);
  if (spots.length === 0) return null;
  const upTo = Math.max(LEAST_NECK, ...spots.map(({ semitones }) => semitones + 1));
  return <Field setup={setup} upTo={upTo} spots={spots} label={cardBoxText.whereItLies} />;
}

function shownSpots({ ask, right }: Quiz, setup: Setup, { plays }: StudentRecord): Spot[] {
  const up = (string: string, pitch: string) => {
    const open = setup.strings.find(({ name }) => name === string);
    const note = parsePitch(pitch);
    return open && note ? midiOf(note) - open.midi : 0;
  };
  switch (ask.kind) {
    case 'name':
    case 'across': {
      const lying = lyingIn(setup, readKey(ask.key), ask.position, plays.school);
      const asked = (string: string, finger: string) =>
        lying.filter((one) => setup.strings[one.string].name === string && String(one.finger) === finger);
      const found = [
        ...asked(ask.string, String(ask.finger)),
        ...(ask.kind === 'across' ? right.flatMap((finger) => asked(ask.other, finger)) : []),
      ];
      return found.map(({ string, semitones, finger }) => ({
        string: setup.strings[string].name,
        semitones,
        label: String(finger),
        tone: 'right' as const,
      }));
    }
    case 'check':
      return [
        { string: ask.string, semitones: up(ask.string, ask.pitch), label: String(ask.finger) },
        ...right
          .filter((string) => string !== NO_STRING)
          .map((string) => ({ string, semitones: 0, label: '0', tone: 'right' as const })),
      ];
    case 'shift-far':
    case 'shift-guide':
      return [
        { string: ask.string, semitones: up(ask.string, ask.from), label: String(ask.fromFinger) },
        { string: ask.string, semitones: up(ask.string, ask.to), label: String(ask.toFinger), tone: 'right' },
      ];
    default:
      return [];
  }
}

interface AnsweringProps {
  readonly quiz: Quiz;
  readonly setup: Setup;
  readonly student: StudentRecord;
  readonly answer: string | null;
}

function Answering({ quiz, setup, student, answer }: AnsweringProps) {
  switch (answeredBy(quiz)) {
    case 'fingers':
    case 'neck':
      return <OnNeck quiz={quiz} setup={setup} student={student} answer={answer} />;
    case 'choice':
      return <Options quiz={quiz} student={student} answer={answer} />;
    case 'letter':
    case 'letters':
      return <Typed quiz={quiz} student={student} answer={answer} />;
  }
}

/** How far up the neck is drawn at least, in semitones. */
const LEAST_NECK = 12;

/** Answered on the drawn neck: a finger where the hand lies, or any place of the string. */
function OnNeck({ quiz, setup, student, answer }: AnsweringProps) {
  const { right } = quiz;
  const onFingers = answeredBy(quiz) === 'fingers';
  const spots = onFingers ? fingerSpots(quiz, setup, student) : anySpots(quiz, setup);
  const toned = spots.map((spot): Spot => {
    if (answer === null) return spot;
    const own = answerOf(quiz, spot);
    const tone = right.includes(own) ? 'right' : own === answer ? 'wrong' : 'plain';
    return { ...spot, tone, label: spot.label ?? (tone === 'plain' ? undefined : tone === 'right' ? '✓' : '×') };
  });
  const upTo = Math.max(LEAST_NECK, ...spots.map(({ semitones }) => semitones + 1));
  return (
    <Field
      setup={setup}
      upTo={upTo}
      spots={toned}
      label={onFingers ? cardBoxText.theFingersAsThey : cardBoxText.theNeck}
      {...(answer === null ? { onChoose: (spot: Spot) => void answerCard(answerOf(quiz, spot)) } : {})}
    />
  );
}

function answerOf(quiz: Quiz, { string, semitones, label }: Spot): string {
  if (answeredBy(quiz) !== 'fingers') return spotAnswer(string, semitones);
  const finger = Number(label);
  return placeAnswer(string, finger as 0 | 1 | 2 | 3 | 4);
}

/** Every finger where it lies in the position, and the open strings. */
function fingerSpots({ ask }: Quiz, setup: Setup, { plays }: StudentRecord): Spot[] {
  if (ask.kind !== 'place') return [];
  const lying = lyingIn(setup, readKey(ask.key), ask.position, plays.school);
  return [
    ...setup.strings.map(({ name }): Spot => ({ string: name, semitones: 0, label: '0' })),
    ...lying.map(({ string, finger, semitones }): Spot => ({
      string: setup.strings[string].name,
      semitones,
      label: String(finger),
    })),
  ];
}

/** Every place on every string, as far up as an answer lies. */
function anySpots(quiz: Quiz, setup: Setup): Spot[] {
  const far = Math.max(LEAST_NECK, ...quiz.right.map((one) => spotOf(quiz, one, setup)?.semitones ?? 0));
  return setup.strings.flatMap(({ name }) =>
    Array.from({ length: Math.min(far, setup.reachSemitones) + 1 }, (_, semitones): Spot => ({
      string: name,
      semitones,
    })),
  );
}

function Options({ quiz, student, answer }: Omit<AnsweringProps, 'setup'>) {
  const { right, options = [] } = quiz;
  const way = { instrument: student.plays.instrument, names: student.noteNames };
  useEffect(() => {
    if (answer !== null) return;
    const press = (event: KeyboardEvent) => {
      const option = options[Number(event.key) - 1];
      if (option !== undefined && !event.ctrlKey && !event.metaKey) void answerCard(option);
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [options, answer]);
  return (
    <div className="flex flex-wrap gap-3">
      {options.map((option, at) => {
        const tone =
          answer === null
            ? 'border-dove'
            : right.includes(option)
              ? 'border-sage bg-sage text-sheet'
              : option === answer
                ? 'border-madder bg-madder text-sheet'
                : 'border-rule';
        return (
          <button
            key={option}
            type="button"
            disabled={answer !== null}
            onClick={() => void answerCard(option)}
            className={`min-h-16 min-w-28 cursor-pointer rounded-lg border-2 px-4 text-xl font-semibold ${tone}`}
          >
            <span aria-hidden className="mr-2 text-sm opacity-70">
              {at + 1}
            </span>
            {answerWords(quiz, option, way)}
          </button>
        );
      })}
    </div>
  );
}

/** Answered by letters: one note, or the names of a scale. */
function Typed({ quiz, student, answer }: Omit<AnsweringProps, 'setup'>) {
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const many = answeredBy(quiz) === 'letters';
  if (answer !== null) return null;
  const send = () => {
    const words = text
      .trim()
      .split(/[\s,]+/)
      .filter((word) => word !== '');
    const names = words.map((word) => typedName(word, student.noteNames));
    const unread = words[names.indexOf(null)];
    if (words.length === 0) setWrong(cardBoxText.typeANoteSuch);
    else if (unread !== undefined) setWrong(cardBoxText.isNotANote(unread));
    else if (!many && words.length > 1) setWrong(cardBoxText.oneNoteIsAsked);
    else void answerCard(names.join(' '));
  };
  return (
    <form
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <label className="flex flex-col text-sm text-faded">
        {many ? cardBoxText.theNamesOneAfter : cardBoxText.theNote}
        <input
          autoFocus
          className={`min-h-14 rounded-md border-2 border-dove bg-paper px-3 text-2xl text-ink ${many ? 'w-[28rem] max-w-full' : 'w-40'}`}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setWrong(null);
          }}
        />
        {wrong && (
          <span role="alert" className="text-madder">
            {wrong}
          </span>
        )}
      </label>
      <button type="submit" className="button mt-5 min-h-14 px-6 text-lg">
        {cardBoxText.answer}
      </button>
    </form>
  );
}
