import { memo, useRef } from 'react';
import { octaveChoices } from '../../app/brief/choices';
import {
  asScale,
  octaveRank,
  playableTonics,
  tonicClass,
  TONICS,
  withInstrument,
  withKind,
  withTonic,
} from '../../app/brief/briefMaterial';
import { setRequest, setStudent, takeOwnNotes } from '../../app/edits';
import { useStudents } from '../../app/students';
import {
  INSTRUMENT_NAMES,
  instrumentRecord,
  writtenOut,
  type InstrumentName,
  type PlanRequest,
  type Rules,
  type RunSpec,
} from '../../core';
import { later } from '../../ui/later';
import { positionChoices } from '../../wording/brief';
import { instrumentWords, sizeChoices } from '../../wording/instruments';
import { CHORD_CHOICES, DIRECTION_CHOICES, KIND_CHOICES, kindOf, SCALE_CHOICES, TYPED } from '../../wording/material';
import { classWords, noteWords } from '../../wording/notes';
import { positionRuleWords } from '../../wording/places';
import { MoreWishes } from './MoreWishes';
import { SayIt } from './SayIt';
import { Word } from './Word';
import * as benchBriefText from '../../wording/rooms/benchBrief';

const TypedNotes = later(benchBriefText.theBoxForNotes, async () => (await import('./TypedNotes')).TypedNotes);

interface BriefProps {
  readonly request: PlanRequest;
  readonly studentId: string | null;
}

/** The brief: one sentence of two lines, every underlined word a control; what is as usual is not said. */
export const BriefSentence = memo(function BriefSentence({ request, studentId }: BriefProps) {
  const { material, rules = {} } = request;
  const setRules = (part: Rules) => setRequest({ ...request, rules: { ...rules, ...part } });
  return (
    <section aria-label={benchBriefText.theBrief} className="brief">
      <p className="contents">
        {material.type === 'notes' ? (
          <NotesWords request={request} material={material} />
        ) : (
          <RunWords request={request} material={material} />
        )}{' '}
        {benchBriefText.forIt} <StudentWord studentId={studentId} /> {benchBriefText.on}{' '}
        <InstrumentWords request={request} />
        {benchBriefText.inIt}{' '}
        <Word
          label={benchBriefText.positions}
          value={JSON.stringify(rules.positions ?? null)}
          choices={positionChoices(request.instrument)}
          other={positionRuleWords(rules.positions, request.instrument)}
          onChange={(value) => setRules({ positions: JSON.parse(value) ?? undefined })}
        />{' '}
      </p>
      <div className="brief-more">
        <MoreWishes request={request} />
        <SayIt request={request} />
      </div>
      {material.type === 'notes' && <TypedNotes material={material} />}
    </section>
  );
});

/** What stands for a student who is not there yet. */
const NEW = 'new';

function StudentWord({ studentId }: { readonly studentId: string | null }) {
  const students = useStudents();
  return (
    <Word
      label={benchBriefText.student}
      value={studentId ?? ''}
      choices={[
        ['', 'anyone'],
        ...students.map(({ id, name }) => [id, name || 'a student'] as const),
        [NEW, benchBriefText.newStudent],
      ]}
      onChange={(id) => {
        if (id === NEW) location.assign('/studio?new');
        else setStudent(students.find((student) => student.id === id) ?? null);
      }}
      other={benchBriefText.aStudent}
    />
  );
}

/** The scale written out, so that its notes can be changed. */
const AS_NOTES = 'as-notes';

function RunWords({ request, material }: { readonly request: PlanRequest; readonly material: RunSpec }) {
  const setMaterial = (part: Partial<RunSpec>) =>
    setRequest({ ...request, material: { ...material, ...part } as RunSpec });
  const setKind = (kind: string) => {
    if (kind === TYPED) takeOwnNotes();
    else setRequest({ ...request, material: kind === AS_NOTES ? writtenOut(material) : withKind(material, kind) });
  };
  // The octave that was chosen is kept over keys that have no room there.
  const chosen = useRef<{ readonly tonic: string; readonly rank: number } | null>(null);
  const setKey = (name: string) => {
    const rank = chosen.current?.tonic === material.tonic ? chosen.current.rank : octaveRank(request, material);
    const moved = withTonic(request, material, name, rank);
    if (moved.material.type !== 'notes') chosen.current = { tonic: moved.material.tonic, rank };
    setRequest(moved);
  };
  const starts = playableTonics(request, tonicClass(material));
  return (
    <>
      A{' '}
      <Word
        label={benchBriefText.octaves}
        value={String(material.octaves)}
        choices={octaveChoices(request, material)}
        onChange={(value) => setMaterial({ octaves: Number(value) })}
      />{' '}
      <Word
        label={benchBriefText.key}
        value={tonicClass(material)}
        choices={TONICS.map((name) => [name, classWords(name).replace(' ', '-')] as const)}
        onChange={setKey}
      />{' '}
      {material.type === 'arpeggio' ? (
        <Word
          label={benchBriefText.chord}
          value={material.chord}
          choices={CHORD_CHOICES}
          onChange={(chord) => setMaterial({ chord })}
        />
      ) : (
        <Word
          label={benchBriefText.scale}
          value={material.scale}
          choices={SCALE_CHOICES}
          onChange={(scale) => setMaterial({ scale })}
        />
      )}{' '}
      <Word
        label={benchBriefText.kind}
        value={kindOf(material)}
        choices={[...KIND_CHOICES, [AS_NOTES, benchBriefText.scaleAsNotesTo], [TYPED, benchBriefText.notesOfMyOwn]]}
        onChange={setKind}
      />{' '}
      {benchBriefText.from}{' '}
      <Word
        label={benchBriefText.start}
        value={material.tonic}
        choices={starts.map((name) => [name, noteWords(name)] as const)}
        onChange={(tonic) => setMaterial({ tonic })}
        then=","
      />{' '}
      <Word
        label={benchBriefText.direction}
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
        label={benchBriefText.kind}
        value={TYPED}
        choices={[
          [TYPED, benchBriefText.notesOfMyOwnLabel],
          ...KIND_CHOICES.map(([kind, words]) => [kind, `a ${words}`] as const),
        ]}
        onChange={(kind) => setRequest({ ...request, material: withKind(asScale(request), kind) })}
      />{' '}
      {benchBriefText.inWord}{' '}
      <Word
        label={benchBriefText.key}
        value={tonic}
        choices={TONICS.map((name) => [name, classWords(name).replace(' ', '-')] as const)}
        onChange={(name) => setKey(`${name} ${mode}`)}
      />{' '}
      <Word
        label={benchBriefText.mode}
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
  return (
    <>
      a{' '}
      <Word
        label={benchBriefText.size}
        value={request.size ?? instrumentRecord(instrument).defaultSize}
        choices={sizeChoices(instrument)}
        onChange={(size) => setRequest({ ...request, size, stringLengthMm: undefined })}
      />{' '}
      <Word
        label={benchBriefText.instrument}
        value={instrument}
        choices={INSTRUMENT_NAMES.map((name) => [name, instrumentWords(name)] as const)}
        onChange={(value) => setRequest(withInstrument(request, value as InstrumentName))}
      />
    </>
  );
}
