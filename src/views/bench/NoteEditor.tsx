import { Lock, LockOpen } from 'lucide-react';
import {
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
  neverAt,
  stringsFor,
  withLock,
  withNever,
  withoutDemands,
} from '../../app/brief/demands';
import { setRequest } from '../../app/edits';
import { useBench } from '../../app/bench';
import { ActMenu } from '../../ui/ActMenu';
import { focusPicture } from '../../ui/focus';
import { demandWords } from '../../wording/brief';
import { changedPlaces } from '../../wording/differences';
import { positionWords, stringWords } from '../../wording/places';
import type { Speech } from '../../wording/plans';
import { tradeBetween } from '../../wording/ways';

interface Props {
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly request: PlanRequest;
}

/** The note at the cursor, to be played as the teacher says: a finger, string or position put here stays, the rest replans round it. */
export function NoteEditor({ response, plan, request }: Props) {
  const cursor = useBench((state) => state.cursor);
  const event = response.events[cursor];
  return (
    <section aria-label="Change this note" className="flex flex-wrap items-center gap-x-4 gap-y-2">
      {event && 'pitches' in event ? (
        <Controls request={request} plan={plan} at={cursor} pitch={event.pitches[0]} />
      ) : (
        <p className="text-faded">A rest: nothing to hold here.</p>
      )}
    </section>
  );
}

interface ControlsProps {
  readonly request: PlanRequest;
  readonly plan: Plan;
  readonly at: number;
  readonly pitch: string;
}

function Controls({ request, plan, at, pitch }: ControlsProps) {
  const setup = resolveSetup(request);
  const { instrument } = request;
  const lock = lockAt(request, at);
  const never = neverAt(request, at);
  const step = plan.steps.find((candidate) => candidate.at === at);
  const [stop] = step?.stops ?? [];
  const shift = plan.shifts.find((candidate) => candidate.to === at);
  const put = (part: Parameters<typeof withLock>[2]) => setRequest(withLock(request, at, part));
  const forbid = (one: Forbidding) => setRequest(withNever(request, one));
  return (
    <>
      <div role="group" aria-label="Finger" className="flex overflow-hidden rounded-md border border-dove">
        {fingersFor(setup, pitch).map((finger) => (
          <FingerButton
            key={finger}
            finger={finger}
            played={stop?.finger === finger}
            locked={lock?.finger === finger}
            onPut={() => put({ finger: lock?.finger === finger ? undefined : finger })}
          />
        ))}
      </div>
      <Pick
        label="String here"
        value={lock?.string ?? ''}
        choices={[
          ['', 'any string'],
          ...stringsFor(setup, pitch).map((name) => [name, stringWords(name)] as const),
        ]}
        onPick={(string) => put({ string: string || undefined })}
      />
      <Pick
        label="Position here"
        value={lock?.position === undefined ? '' : String(lock.position)}
        choices={[
          ['', 'any position'],
          ...positionsOf(setup, request.school).map(
            (position) => [String(position), positionWords(position, instrument)] as const,
          ),
        ]}
        onPick={(value) =>
          put({ position: value === '' ? undefined : value === 'thumb' ? 'thumb' : Number(value) })
        }
      />
      {at > 0 && !lock?.shift && !shift && (
        <button type="button" className="button" onClick={() => put({ shift: true })}>
          shift here
        </button>
      )}
      {step && (
        <ActMenu
          label="Never here"
          words="never here …"
          acts={[
            ...(shift ? [{ id: 'shift', words: 'never shift to this note' }] : []),
            ...(stop
              ? [
                  { id: 'finger', words: `never ${demandWords({ finger: stop.finger }, instrument)} here` },
                  { id: 'string', words: `never ${demandWords({ string: stop.string }, instrument)} here` },
                ]
              : []),
          ]}
          onAct={(what) => {
            if (what === 'shift') forbid({ at, shift: true });
            if (what === 'finger' && stop) forbid({ at, finger: stop.finger });
            if (what === 'string' && stop) forbid({ at, string: stop.string });
          }}
        />
      )}
      {(lock || never.length > 0) && (
        <span className="flex items-center gap-2" data-testid="demands">
          <Lock size={16} aria-hidden />
          {[
            ...(lock ? [`kept here: ${demandWords(lock, instrument)}`] : []),
            ...never.map((one) =>
              'shift' in one ? 'no shift to here' : `never ${demandWords(one, instrument)}`,
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
            <LockOpen size={16} aria-hidden /> Set free
          </button>
        </span>
      )}
    </>
  );
}

interface FingerButtonProps {
  readonly finger: Finger;
  readonly played: boolean;
  readonly locked: boolean;
  readonly onPut: () => void;
}

function FingerButton({ finger, played, locked, onPut }: FingerButtonProps) {
  const name = finger === 'T' ? 'thumb' : finger === 0 ? 'open string' : `finger ${finger}`;
  return (
    <button
      type="button"
      aria-pressed={locked}
      aria-label={`${name}${played ? ', played now' : ''}`}
      onClick={onPut}
      className={`min-h-10 min-w-10 cursor-pointer border-r border-rule px-2 text-lg font-bold last:border-r-0 ${
        locked
          ? 'bg-dove text-sheet'
          : played
            ? 'bg-haze text-ink underline'
            : 'bg-sheet text-ink hover:bg-haze'
      }`}
    >
      {finger}
    </button>
  );
}

interface PickProps {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly (readonly [string, string])[];
  readonly onPick: (value: string) => void;
}

function Pick({ label, value, choices, onPick }: PickProps) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onPick(event.target.value)}
      className="min-h-10 cursor-pointer rounded-md border border-dove bg-sheet px-2"
    >
      {choices.map(([name, words]) => (
        <option key={name} value={name}>
          {words}
        </option>
      ))}
    </select>
  );
}

interface OutcomeProps {
  readonly plan: Plan;
  readonly speech: Speech;
}

/** What the last edit changed in the plan, and what it buys and pays. */
export function EditOutcome({ plan, speech }: OutcomeProps) {
  const before = useBench((state) => state.before);
  if (!before || before === plan || before.steps.length !== plan.steps.length) return null;
  const where = changedPlaces(before, plan, speech);
  const trade = tradeBetween(plan, before, speech);
  return (
    <p role="status" data-testid="outcome" className="border-l-4 border-dove px-3">
      {where === '' ? 'Nothing had to change.' : `Changed: ${where}.`}
      {trade && ` Now: ${trade}.`}
    </p>
  );
}
