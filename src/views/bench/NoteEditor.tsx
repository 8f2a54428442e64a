import { Lock, LockOpen } from 'lucide-react';
import {
  instrumentRecord,
  positionsOf,
  resolveSetup,
  type Finger,
  type Forbidding,
  type Plan,
  type PlanRequest,
  type PlanResponse,
} from '../../core';
import {
  fingersFor,
  lockAt,
  lockPut,
  mayBeTouched,
  neverAt,
  stringsFor,
  withLock,
  withNever,
  withoutDemands,
} from '../../app/brief/demands';
import { setRequest } from '../../app/edits';
import { useBench } from '../../app/bench';
import { ActMenu } from '../../ui/ActMenu';
import { Choose } from '../../ui/Choose';
import { focusPicture } from '../../ui/focus';
import { demandWords } from '../../wording/brief';
import { changedPlaces } from '../../wording/differences';
import { positionWords, stringWords } from '../../wording/places';
import type { Speech } from '../../wording/plans';
import { tradeBetween } from '../../wording/ways';
import * as benchPictureText from '../../wording/rooms/benchPicture';

interface Props {
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly request: PlanRequest;
}

/**
 * The note at the cursor, to be played as the teacher says: a finger, string or position put here stays, the rest replans round it. Every control
 * keeps its place at every note; what cannot be done here is dimmed.
 */
export function NoteEditor({ response, plan, request }: Props) {
  const at = useBench((state) => state.cursor);
  const event = response.events[at];
  const pitch = event && 'pitches' in event ? event.pitches[0] : null;
  const setup = resolveSetup(request);
  const { instrument } = request;
  const lock = lockAt(request, at);
  const never = neverAt(request, at);
  const step = plan.steps.find((candidate) => candidate.at === at);
  const [stop] = step?.stops ?? [];
  const shift = plan.shifts.find((candidate) => candidate.to === at);
  const put = (part: Parameters<typeof withLock>[2]) => setRequest(withLock(request, at, part));
  const forbid = (one: Forbidding) => setRequest(withNever(request, one));
  const possible = pitch === null ? [] : fingersFor(setup, pitch);
  return (
    <section
      aria-label={benchPictureText.changeThisNote}
      className="finger-row flex min-h-12 flex-wrap items-center gap-x-3 gap-y-1"
    >
      <div
        role="group"
        aria-label={benchPictureText.finger}
        className="flex overflow-hidden rounded-md border border-dove"
      >
        {fingersOf(request).map((finger) => (
          <FingerButton
            key={finger}
            finger={finger}
            possible={possible.includes(finger)}
            played={stop?.finger === finger}
            locked={lock?.finger === finger}
            onPut={() => put({ finger: lock?.finger === finger ? undefined : finger })}
          />
        ))}
      </div>
      <Choose
        look="steady"
        label={benchPictureText.stringHere}
        value={lock?.string ?? ''}
        choices={[
          ['', benchPictureText.anyString],
          ...(pitch === null ? [] : stringsFor(setup, pitch)).map((name) => [name, stringWords(name)] as const),
        ]}
        onChoose={(string) => put({ string: string || undefined })}
      />
      <Choose
        look="steady"
        label={benchPictureText.positionHere}
        value={lock?.position === undefined ? '' : String(lock.position)}
        choices={[
          ['', benchPictureText.anyPosition],
          ...positionsOf(setup, request.school).map(
            (position) => [String(position), positionWords(position, instrument)] as const,
          ),
        ]}
        onChoose={(value) => put({ position: value === '' ? undefined : value === 'thumb' ? 'thumb' : Number(value) })}
      />
      <button
        type="button"
        className="button"
        disabled={pitch === null || at === 0 || lock?.shift === true || shift !== undefined}
        onClick={() => put({ shift: true })}
      >
        {benchPictureText.shiftHere}
      </button>
      <button
        type="button"
        className="button"
        disabled={lock?.harmonic !== true && (pitch === null || !mayBeTouched(setup, pitch))}
        aria-pressed={lock?.harmonic === true}
        onClick={() => put({ harmonic: lock?.harmonic ? undefined : true })}
      >
        {benchPictureText.harmonicHere}
      </button>
      {step ? (
        <ActMenu
          label={benchPictureText.neverHere}
          words={benchPictureText.neverHereMenu}
          acts={[
            ...(shift ? [{ id: 'shift', words: benchPictureText.neverShiftToThis }] : []),
            ...(stop
              ? [
                  {
                    id: 'finger',
                    words: benchPictureText.neverDemand(demandWords({ finger: stop.finger }, instrument)),
                  },
                  {
                    id: 'string',
                    words: benchPictureText.neverDemand(demandWords({ string: stop.string }, instrument)),
                  },
                ]
              : []),
          ]}
          onAct={(what) => {
            if (what === 'shift') forbid({ at, shift: true });
            if (what === 'finger' && stop) forbid({ at, finger: stop.finger });
            if (what === 'string' && stop) forbid({ at, string: stop.string });
          }}
        />
      ) : (
        <span className="text-faded">{pitch === null ? benchPictureText.aRestNothingTo : ''}</span>
      )}
      {(lock || never.length > 0) && (
        <span className="flex items-center gap-2" data-testid="demands">
          <Lock size={16} aria-hidden />
          {[
            ...(lock ? [benchPictureText.keptHere(demandWords(lock, instrument))] : []),
            ...never.map((one) =>
              'shift' in one ? benchPictureText.noShiftToHere : benchPictureText.never(demandWords(one, instrument)),
            ),
          ].join('; ')}
          <button
            type="button"
            className="button flex items-center gap-1"
            onClick={() => {
              focusPicture();
              setRequest(withoutDemands(request, at));
            }}
          >
            <LockOpen size={16} aria-hidden /> {benchPictureText.setFree}
          </button>
        </span>
      )}
    </section>
  );
}

/** The fingers of the instrument, each in its own place. */
function fingersOf({ instrument }: PlanRequest): readonly Finger[] {
  return instrumentRecord(instrument).thumb ? [0, 1, 2, 3, 4, 'T'] : [0, 1, 2, 3, 4];
}

interface FingerButtonProps {
  readonly finger: Finger;
  /** False where the note cannot be had with it. */
  readonly possible: boolean;
  readonly played: boolean;
  readonly locked: boolean;
  readonly onPut: () => void;
}

function FingerButton({ finger, possible, played, locked, onPut }: FingerButtonProps) {
  const name =
    finger === 'T' ? 'thumb' : finger === 0 ? benchPictureText.openString : benchPictureText.fingerNumber(finger);
  return (
    <button
      type="button"
      aria-pressed={locked}
      aria-label={`${name}${played ? benchPictureText.playedNow : ''}`}
      disabled={!possible}
      onClick={onPut}
      className={`min-h-10 min-w-10 cursor-pointer border-r border-rule px-2 text-lg font-bold last:border-r-0 ${
        locked
          ? 'bg-dove text-sheet'
          : played
            ? 'bg-haze text-ink underline'
            : possible
              ? 'bg-sheet text-ink hover:bg-haze'
              : 'cursor-default bg-sheet text-rule'
      }`}
    >
      {finger}
    </button>
  );
}

interface OutcomeProps {
  readonly plan: Plan;
  readonly speech: Speech;
}

/** What the last edit changed in the plan, and what it buys and pays. */
export function EditOutcome({ plan, speech }: OutcomeProps) {
  const before = useBench((state) => state.before);
  const lock = useBench(({ history, record }) => {
    const last = history.past.at(-1)?.from.request;
    return last && lockPut(last, record.request);
  });
  const instrument = useBench(({ record }) => record.request.instrument);
  if (!before || before === plan || before.steps.length !== plan.steps.length) return null;
  const where = changedPlaces(before, plan, speech);
  const trade = tradeBetween(plan, before, speech);
  const nothingElse = lock
    ? benchPictureText.lockKept(demandWords(lock, instrument))
    : benchPictureText.nothingHadToChange;
  return (
    <p role="status" data-testid="outcome" className="border-l-4 border-dove px-3">
      {where === '' ? nothingElse : benchPictureText.changed(where)}
      {trade && ` Now: ${trade}.`}
    </p>
  );
}
