import { later } from '../../ui/later';
import { Fragment, memo } from 'react';
import { octaveChoices, tempoOf, tuningChoices, tuningOf, withTuning } from '../../app/brief/choices';
import {
  asScale,
  playableTonics,
  tonicClass,
  TONICS,
  withInstrument,
  withKind,
  withTonic,
  type RunSpec,
} from '../../app/brief/material';
import { setRequest, setStudent } from '../../app/edits';
import { useStudents } from '../../app/students';
import {
  INSTRUMENT_KINDS,
  instrumentData,
  writtenOut,
  type InstrumentKind,
  type PlanRequest,
  type Rules,
} from '../../core';
import {
  positionChoices,
  stringChoices,
  STYLE_CHOICES,
  TEMPO_CHOICES,
  tempoWords,
  wishesFor,
} from '../../wording/brief';
import type { WordChoice } from '../../wording/choice';
import { HAND_CHOICES, instrumentWords, schoolChoices, sizeChoices } from '../../wording/instruments';
import {
  CHORD_CHOICES,
  DIRECTION_CHOICES,
  KIND_CHOICES,
  kindOf,
  SCALE_CHOICES,
  TYPED,
} from '../../wording/material';
import { classWords, noteWords, printed } from '../../wording/notes';
import { positionRuleWords } from '../../wording/places';
import { MoreWishes } from './MoreWishes';

const TypedNotes = later('The box for notes', async () => (await import('./TypedNotes')).TypedNotes);

interface WordProps {
  /** Punctuation that must not begin a line. */
  readonly then?: string;
  readonly label: string;
  readonly value: string;
  readonly choices: readonly WordChoice[];
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
          other={positionRuleWords(rules.positions, request.instrument)}
          onChange={(value) => setRules({ positions: JSON.parse(value) ?? undefined })}
        />{' '}
        on{' '}
        <Word
          label="Strings"
          value={JSON.stringify(rules.strings ?? null)}
          choices={stringChoices(request)}
          onChange={(value) => setRules({ strings: JSON.parse(value) ?? undefined })}
          other={(rules.strings ?? []).map((name) => printed(name)).join(' and ')}
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
          choices={STYLE_CHOICES}
          onChange={(value) => setRequest({ ...request, style: value as PlanRequest['style'] })}
        />{' '}
        style, at{' '}
        <Word
          label="Tempo"
          value={tempoOf(request)}
          choices={TEMPO_CHOICES}
          other={tempoWords(tempoOf(request))}
          onChange={(bpm) => setRequest({ ...request, tempo: bpm ? { bpm: Number(bpm) } : undefined })}
          then="."
        />{' '}
        <MoreWishes request={request} />
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
          choices={CHORD_CHOICES}
          onChange={(chord) => setMaterial({ chord })}
        />
      ) : (
        <Word
          label="Scale"
          value={material.scale}
          choices={SCALE_CHOICES}
          onChange={(scale) => setMaterial({ scale })}
        />
      )}{' '}
      <Word
        label="Kind"
        value={kindOf(material)}
        choices={[...KIND_CHOICES, [TYPED, 'scale as notes to change']]}
        onChange={setKind}
      />{' '}
      from{' '}
      <Word
        label="Start"
        value={material.tonic}
        choices={starts.map((name) => [name, noteWords(name)] as const)}
        onChange={(tonic) => setMaterial({ tonic })}
        then=","
      />{' '}
      <Word
        label="Direction"
        value={material.direction}
        choices={DIRECTION_CHOICES}
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
          ...KIND_CHOICES.map(([kind, words]) => [kind, `a ${words}`] as const),
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
  const schools = schoolChoices(instrument);
  const hand = typeof request.hand === 'object' ? 'measured' : (request.hand ?? 'medium');
  return (
    <>
      a{' '}
      <Word
        label="Size"
        value={request.size ?? instrumentData(instrument).defaultSize}
        choices={sizeChoices(instrument)}
        onChange={(size) => setRequest({ ...request, size, stringLengthMm: undefined })}
      />{' '}
      <Word
        label="Instrument"
        value={instrument}
        choices={INSTRUMENT_KINDS.map((name) => [name, instrumentWords(name)] as const)}
        onChange={(value) => setRequest(withInstrument(request, value as InstrumentKind))}
      />{' '}
      {schools.length > 0 && (
        <>
          by{' '}
          <Word
            label="School"
            value={request.school ?? schools[0][0]}
            choices={schools}
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
            other={(request.tuning ?? []).map((name) => printed(name)).join(' ')}
            onChange={(value) => setRequest(withTuning(request, value))}
          />{' '}
        </>
      )}
      and{' '}
      <Word
        label="Hand"
        value={hand}
        choices={HAND_CHOICES}
        onChange={(value) => setRequest({ ...request, hand: value as PlanRequest['hand'] })}
        other="a measured hand"
        then=","
      />
    </>
  );
}
