import { Fragment, memo } from 'react';
import {
  INSTRUMENTS,
  type InstrumentKind,
  type PlanRequest,
  type Rules,
  type RunSpec,
} from '../../brief/brief';
import {
  CHORDS,
  KIND_WORDS,
  SCHOOL_WORDS,
  kindOf,
  withKind,
  HAND_WORDS,
  positionChoices,
  positionWords,
  SCALES,
  STYLE_WORDS,
  TONICS,
  DIRECTION_WORDS,
  octaveChoices,
  playableTonics,
  sizeChoices,
  stringChoices,
  TEMPO_WORDS,
  tempoOf,
  tonicClass,
  tuningChoices,
  tuningOf,
  withTuning,
  asScale,
  TYPED,
  withInstrument,
  wishesFor,
  withTonic,
  type Choice,
} from '../../brief/brief';
import { writtenOut } from '../../core';
import { setRequest, setStudent } from './edits';
import { useStudents } from './students';
import { TypedNotes } from './TypedNotes';
import { classWords, printed } from '../../brief/words';

interface WordProps {
  /** Punctuation that must not begin a line. */
  readonly then?: string;
  readonly label: string;
  readonly value: string;
  readonly choices: readonly Choice[];
  readonly onChange: (value: string) => void;
  /** Words for a value that is none of the choices (from a file, say): it is kept and shown. */
  readonly other?: string;
}

/** One word of the brief. */
function Word({ label, value, choices, onChange, other, then = '' }: WordProps) {
  const known = choices.some(([name]) => name === value);
  return (
    <span className="whitespace-nowrap">
      <select
        className="word"
        aria-label={label}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      >
        {!known && <option value={value}>{other || value}</option>}
        {choices.map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
      </select>
      {then}
    </span>
  );
}

interface BriefProps {
  readonly request: PlanRequest;
  readonly studentId: string | null;
}

/** The brief: one sentence, every underlined word a control. */
export const BriefSentence = memo(function BriefSentence({ request, studentId }: BriefProps) {
  const { material, rules = {} } = request;
  const setRules = (part: Rules) => setRequest({ ...request, rules: { ...rules, ...part } });
  return (
    <section aria-label="The brief" className="font-serif text-[1.3rem] leading-[1.75]">
      <p>
        Plan{' '}
        {material.type === 'notes' ? (
          <NotesWords request={request} material={material} />
        ) : (
          <RunWords request={request} material={material} />
        )}{' '}
        for <StudentWord studentId={studentId} /> on <InstrumentWords request={request} /> in{' '}
        <Word
          label="Positions"
          value={JSON.stringify(rules.positions ?? null)}
          choices={positionChoices(request.instrument)}
          other={positionWords(rules.positions, request.instrument)}
          onChange={(value) => setRules({ positions: JSON.parse(value) ?? undefined })}
        />{' '}
        on{' '}
        <Word
          label="Strings"
          value={JSON.stringify(rules.strings ?? null)}
          choices={stringChoices(request)}
          onChange={(value) => setRules({ strings: JSON.parse(value) ?? undefined })}
          other={(rules.strings ?? []).map(printed).join(' and ')}
          then=","
        />{' '}
        {wishesFor(request).map(({ rule, label, choices }) => (
          <Fragment key={rule}>
            <Word
              label={label}
              value={rules[rule] ?? choices[0][0]}
              choices={choices}
              onChange={(value) => setRules({ [rule]: value })}
              then=","
            />{' '}
          </Fragment>
        ))}
        in{' '}
        <Word
          label="Style"
          value={request.style ?? 'secure'}
          choices={STYLE_WORDS}
          onChange={(value) => setRequest({ ...request, style: value as PlanRequest['style'] })}
        />{' '}
        style, at{' '}
        <Word
          label="Tempo"
          value={tempoOf(request)}
          choices={TEMPO_WORDS}
          other={`${tempoOf(request)} beats a minute`}
          onChange={(bpm) => setRequest({ ...request, tempo: bpm ? { bpm: Number(bpm) } : undefined })}
          then="."
        />
      </p>
      {material.type === 'notes' && <TypedNotes material={material} />}
    </section>
  );
});

function StudentWord({ studentId }: { readonly studentId: string | null }) {
  const students = useStudents();
  return (
    <Word
      label="Student"
      value={studentId ?? ''}
      choices={[['', 'anyone'], ...students.map(({ id, name }) => [id, name || 'a student'] as const)]}
      onChange={(id) => setStudent(students.find((student) => student.id === id) ?? null)}
      other="a student"
    />
  );
}

function RunWords({ request, material }: { readonly request: PlanRequest; readonly material: RunSpec }) {
  const setMaterial = (part: Partial<RunSpec>) =>
    setRequest({ ...request, material: { ...material, ...part } as RunSpec });
  const setKind = (kind: string) =>
    setRequest({
      ...request,
      material: kind === TYPED ? writtenOut(material) : withKind(material, kind),
    });
  const starts = playableTonics(request, tonicClass(material));
  return (
    <>
      a{' '}
      <Word
        label="Octaves"
        value={String(material.octaves)}
        choices={octaveChoices(request, material)}
        onChange={(value) => setMaterial({ octaves: Number(value) })}
      />{' '}
      <Word
        label="Key"
        value={tonicClass(material)}
        choices={TONICS.map((name) => [name, classWords(name).replace(' ', '-')] as const)}
        onChange={(value) => setRequest(withTonic(request, material, value))}
      />{' '}
      {material.type === 'arpeggio' ? (
        <Word
          label="Chord"
          value={material.chord}
          choices={CHORDS}
          onChange={(chord) => setMaterial({ chord })}
        />
      ) : (
        <Word
          label="Scale"
          value={material.scale}
          choices={SCALES}
          onChange={(scale) => setMaterial({ scale })}
        />
      )}{' '}
      <Word
        label="Kind"
        value={kindOf(material)}
        choices={[...KIND_WORDS, [TYPED, 'scale as notes to change']]}
        onChange={setKind}
      />{' '}
      from{' '}
      <Word
        label="Start"
        value={material.tonic}
        choices={starts.map((name) => [name, `${printed(name)}${name.at(-1)}`] as const)}
        onChange={(tonic) => setMaterial({ tonic })}
        then=","
      />{' '}
      <Word
        label="Direction"
        value={material.direction}
        choices={DIRECTION_WORDS}
        onChange={(value) => setMaterial({ direction: value as RunSpec['direction'] })}
        then=","
      />
    </>
  );
}

const MODES = ['major', 'minor'] as const;

/** Notes typed by hand, in their key. */
function NotesWords({
  request,
  material,
}: {
  readonly request: PlanRequest;
  readonly material: Extract<PlanRequest['material'], { type: 'notes' }>;
}) {
  const [tonic, mode = 'major'] = (material.key ?? 'C major').split(' ');
  const setKey = (key: string) => setRequest({ ...request, material: { ...material, key } });
  return (
    <>
      <Word
        label="Kind"
        value={TYPED}
        choices={[
          [TYPED, 'notes of my own'],
          ...KIND_WORDS.map(([kind, words]) => [kind, `a ${words}`] as const),
        ]}
        onChange={(kind) => setRequest({ ...request, material: withKind(asScale(request), kind) })}
      />{' '}
      in{' '}
      <Word
        label="Key"
        value={tonic}
        choices={TONICS.map((name) => [name, classWords(name).replace(' ', '-')] as const)}
        onChange={(name) => setKey(`${name} ${mode}`)}
      />{' '}
      <Word
        label="Mode"
        value={mode}
        choices={MODES.map((name) => [name, name] as const)}
        onChange={(name) => setKey(`${tonic} ${name}`)}
        then=","
      />
    </>
  );
}

function InstrumentWords({ request }: { readonly request: PlanRequest }) {
  const { instrument } = request;
  const hand = typeof request.hand === 'object' ? 'measured' : (request.hand ?? 'medium');
  return (
    <>
      a{' '}
      <Word
        label="Size"
        value={request.size ?? INSTRUMENTS[instrument].defaultSize}
        choices={sizeChoices(instrument)}
        onChange={(size) => setRequest({ ...request, size, stringLengthMm: undefined })}
      />{' '}
      <Word
        label="Instrument"
        value={instrument}
        choices={Object.entries(INSTRUMENTS).map(([name, { label }]) => [name, label] as const)}
        onChange={(value) => setRequest(withInstrument(request, value as InstrumentKind))}
      />{' '}
      {instrument === 'bass' && (
        <>
          by{' '}
          <Word
            label="School"
            value={request.school ?? 'one-two-four'}
            choices={SCHOOL_WORDS}
            onChange={(value) => setRequest({ ...request, school: value as PlanRequest['school'] })}
          />{' '}
        </>
      )}
      {tuningChoices(request).length > 1 && (
        <>
          with{' '}
          <Word
            label="Tuning"
            value={tuningOf(request)}
            choices={tuningChoices(request)}
            other={(request.tuning ?? []).map(printed).join(' ')}
            onChange={(value) => setRequest(withTuning(request, value))}
          />{' '}
        </>
      )}
      and{' '}
      <Word
        label="Hand"
        value={hand}
        choices={HAND_WORDS}
        onChange={(value) => setRequest({ ...request, hand: value as PlanRequest['hand'] })}
        other="a measured hand"
        then=","
      />
    </>
  );
}
