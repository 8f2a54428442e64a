import { Trash2 } from 'lucide-react';
import { endOfFingerboard, fingerboardOf, playingIssues, topString } from '../../app/brief/student';
import {
  INSTRUMENT_NAMES,
  instrumentRecord,
  LEVELS,
  resolveHand,
  resolveSetup,
  type FingerNames,
  type HandProfile,
  type InstrumentName,
  type Level,
  type NoteNames,
  type Playing,
  type StudentRecord,
} from '../../core';
import { positionChoices } from '../../wording/brief';
import { CLEF_WORDS, instrumentWords, LEVEL_WORDS, schoolChoices, sizeChoices } from '../../wording/instruments';
import { issueWords } from '../../wording/issues';
import { printed } from '../../wording/notes';
import { fingerNamesOf } from '../../wording/plans';
import { positionRuleWords } from '../../wording/places';
import { UndoButtons } from '../../ui/UndoButtons';
import { NumberField, Pick, TextField } from '../../ui/fields';
import { HandMeasure } from './HandMeasure';
import { redo, undo, useEditing } from '../../app/editing';
import { changeStudent, removeStudent } from '../../app/studio';
import { weekdayWords } from '../../wording/lessons';
import * as studioViewsText from '../../wording/rooms/studioViews';

const FINGER_WORDS: readonly (readonly [FingerNames, string])[] = [
  ['numbers', studioViewsText.byNumber],
  ['low-high', studioViewsText.lowAndHigh],
];

const NAME_WORDS: readonly (readonly [NoteNames, string])[] = [
  ['letters', 'letters (E♭, B♭, B)'],
  ['fixed-do', studioViewsText.fixedDoMiSi],
  ['german', studioViewsText.germanEsBH],
];

/** Everything known of one student; each change is kept at once. */
export function StudentSheet({ student }: { readonly student: StudentRecord }) {
  const history = useEditing((state) => state.history);
  const { plays } = student;
  const { instrument } = plays;
  const { defaultSize, tuning, sizes } = instrumentRecord(instrument);
  const schools = schoolChoices(instrument);
  const put = (part: Partial<StudentRecord>, run: string | null = null) => void changeStudent(student, () => part, run);
  const play = (part: Partial<Playing>) =>
    void changeStudent(student, (kept) => ({ plays: { ...kept.plays, ...part } }));
  const measure = (part: Partial<HandProfile>) =>
    void changeStudent(student, (kept) => ({
      plays: { ...kept.plays, hand: { ...resolveHand(resolveSetup(kept.plays), kept.plays.hand), ...part } },
    }));
  return (
    <section aria-labelledby="sheet" className="flex flex-col gap-3 rounded-lg border border-rule bg-sheet px-4 py-3">
      <div className="flex items-center gap-3">
        <h2 id="sheet" className="flex-1 font-serif text-xl font-semibold">
          {student.name || studioViewsText.aNewStudent}
        </h2>
        <a className="button no-underline" href={`/practice?student=${student.id}`}>
          {studioViewsText.practice}
        </a>
        <a className="button no-underline" href={`/lesson?student=${student.id}`}>
          {studioViewsText.lesson}
        </a>
        <UndoButtons history={history} onUndo={() => void undo()} onRedo={() => void redo()} />
        <button type="button" className="button flex items-center gap-1" onClick={() => void removeStudent(student)}>
          <Trash2 size={17} aria-hidden /> {studioViewsText.deleteIt}
        </button>
      </div>
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2 xl:grid-cols-4">
        <TextField
          label={studioViewsText.name}
          value={student.name}
          focus={student.name === ''}
          onPut={(name) => put({ name }, 'name')}
        />
        <Pick
          label={studioViewsText.level}
          value={student.level}
          choices={LEVELS.map((level) => [level, LEVEL_WORDS[level]] as const)}
          onPick={(level) => put({ level: level as Level })}
        />
        <Pick
          label={studioViewsText.positionsTheyKnow}
          value={JSON.stringify(student.positions ?? null)}
          choices={positionChoices(student.plays.instrument)}
          other={positionRuleWords(student.positions, student.plays.instrument)}
          onPick={(rule) => put({ positions: JSON.parse(rule) ?? undefined })}
        />
        <Pick
          label={studioViewsText.callsTheNotes}
          value={student.noteNames}
          choices={NAME_WORDS}
          onPick={(noteNames) => put({ noteNames: noteNames as NoteNames })}
        />
        {instrumentRecord(instrument).fingering.by === 'letters' && (
          <Pick
            label={studioViewsText.fingersAreCalled}
            value={fingerNamesOf(student, student.level)}
            choices={FINGER_WORDS}
            onPick={(fingerNames) => put({ fingerNames: fingerNames as FingerNames })}
          />
        )}
        <Pick
          label={studioViewsText.instrument}
          value={instrument}
          choices={INSTRUMENT_NAMES.map((kind) => [kind, instrumentWords(kind)] as const)}
          onPick={(kind) => void changeStudent(student, (kept) => onInstrument(kind as InstrumentName, kept.plays))}
        />
        <Pick
          label={studioViewsText.size}
          value={plays.size ?? defaultSize}
          choices={sizeChoices(instrument)}
          onPick={(size) => play({ size, stringLengthMm: undefined })}
        />
        <NumberField
          label={studioViewsText.stringLengthNutTo}
          unit="mm"
          value={plays.stringLengthMm}
          usual={sizes[plays.size ?? defaultSize]}
          least={150}
          most={1300}
          onPut={(stringLengthMm) => play({ stringLengthMm })}
        />
        <TextField
          label={studioViewsText.fingerboardGoesOn(printed(topString(plays).name))}
          value={endOfFingerboard(plays)}
          trouble={(words) => fingerboardTrouble(words, plays)}
          onPut={(words) => play({ fingerboardSemitones: fingerboardOf(words, plays) })}
        />
        <TextField
          label={studioViewsText.tuningLowToHigh}
          value={(plays.tuning ?? tuning).join(' ')}
          trouble={(words) => tuningTrouble(words, plays)}
          onPut={(words) => play({ tuning: tuningOf(words, tuning) })}
        />
        {schools.length > 0 && (
          <Pick
            label={studioViewsText.school}
            value={plays.school ?? schools[0][0]}
            choices={schools}
            onPick={(school) => play({ school: school as Playing['school'] })}
          />
        )}
        <Clefs student={student} onPut={(clefs) => put({ clefs })} />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Pick
          label={studioViewsText.lessonOn}
          value={String(student.lessonAt?.weekday ?? '')}
          choices={WEEKDAY_CHOICES}
          onPick={(day) =>
            put({ lessonAt: day === '' ? undefined : { time: USUAL_TIME, ...student.lessonAt, weekday: Number(day) } })
          }
        />
        {student.lessonAt && (
          <TextField
            label={studioViewsText.lessonTime}
            value={student.lessonAt.time}
            trouble={timeTrouble}
            onPut={(time) => student.lessonAt && put({ lessonAt: { ...student.lessonAt, time } })}
          />
        )}
      </div>
      <TextField
        label={studioViewsText.toRemember}
        value={student.remark}
        onPut={(remark) => put({ remark }, 'remark')}
      />
      <HandMeasure
        plays={plays}
        words={instrumentWords(instrument)}
        onPut={(hand) => play({ hand })}
        onMeasure={measure}
      />
    </section>
  );
}

const WEEKDAY_CHOICES = [
  ['', studioViewsText.noLessonDay],
  ...[0, 1, 2, 3, 4, 5, 6].map((day) => [String(day), weekdayWords(day)] as const),
] as const;
const USUAL_TIME = '16:00';

/** What is wrong with a time as it is typed; null where nothing is. */
const timeTrouble = (text: string) => (/^([01]\d|2[0-3]):[0-5]\d$/.test(text) ? null : studioViewsText.aTimeSuchAs);

/** Another instrument has other sizes, strings, clefs and spreads; only a hand by name stays. */
function onInstrument(instrument: InstrumentName, { hand }: Playing): Partial<StudentRecord> {
  const plays = { instrument, hand: typeof hand === 'string' ? hand : undefined };
  return { plays, clefs: instrumentRecord(instrument).clefs };
}

function tuningOf(words: string, usual: readonly string[]): readonly string[] | undefined {
  const names = words.trim().split(/[\s,]+/);
  return names.join(' ') === usual.join(' ') || words.trim() === '' ? undefined : names;
}

function tuningTrouble(words: string, plays: Playing): string | null {
  const tuning = tuningOf(words, instrumentRecord(plays.instrument).tuning);
  if (tuning && (tuning.length < 3 || tuning.length > 6)) return studioViewsText.threeToSixStrings;
  const [issue] = playingIssues({ ...plays, tuning });
  return issue ? issueWords(issue) : null;
}

function fingerboardTrouble(words: string, plays: Playing): string | null {
  const fingerboardSemitones = fingerboardOf(words, plays);
  const usual = words.trim() === '' || words.trim() === endOfFingerboard({ ...plays, fingerboardSemitones: undefined });
  const [issue] = playingIssues({ ...plays, fingerboardSemitones });
  return issue || (fingerboardSemitones === undefined && !usual) ? studioViewsText.aNoteOnTheTopString : null;
}

interface ClefsProps {
  readonly student: StudentRecord;
  readonly onPut: (clefs: StudentRecord['clefs']) => void;
}

function Clefs({ student, onPut }: ClefsProps) {
  const [home, ...others] = instrumentRecord(student.plays.instrument).clefs;
  if (others.length === 0) return null;
  const choices = [home, ...others].map((clef) => [clef, CLEF_WORDS[clef]] as const);
  return (
    <fieldset>
      <legend className="text-sm text-faded">{studioViewsText.clefsTheyRead}</legend>
      <div className="flex flex-wrap gap-x-4">
        {choices.map(([clef, words]) => (
          <label key={clef} className="flex min-h-9 items-center gap-1.5">
            <input
              type="checkbox"
              className="size-5"
              checked={student.clefs.some((one) => one === clef)}
              disabled={clef === home}
              onChange={(event) =>
                onPut(
                  [home, ...others].filter((one) =>
                    one === clef ? event.target.checked : student.clefs.includes(one),
                  ),
                )
              }
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
