import { aimFor } from '../../core';
import { Neck } from '../../drawing/board/Neck';
import {
  crowdedPairs,
  heardNotes,
  midiOf,
  parsePitch,
  pitchName,
  playedNotes,
  resolveHand,
  stopMm,
  type Level,
  type Plan,
  type PlanRequest,
  type PlanResponse,
  type Setup,
  type Step,
} from '../../core';
import { shortCheck } from '../../wording/checks';
import { crowdWords } from '../../wording/findings';
import { sentence } from '../../wording/grammar';
import { noteWords } from '../../wording/notes';
import { fingerWords } from '../../wording/places';
import * as neckFigureText from '../../wording/rooms/neckFigure';

interface Props {
  readonly response: PlanResponse;
  readonly plan: Plan;
  readonly request: PlanRequest;
  readonly setup: Setup;
  readonly cursor: number;
  readonly level: Level;
  /** True where the neck itself is shown, enlarged. */
  readonly large: boolean;
}

/** The neck at the note under the cursor, enlarged where it is asked for, and what there is to know about the note. */
export function NeckFigure({ response, plan, request, setup, cursor, level, large }: Props) {
  const step = plan.steps.find((candidate) => candidate.at === cursor);
  const hand = resolveHand(setup, request.hand);
  if (!step) return <p className="min-h-6" />;
  const spread = plan.reach.find((reach) => reach.at === step.at);
  const notes = playedNotes(response.events, { ...plan, steps: [step] }, setup);
  const heard = heardNotes(notes, response, setup, aimFor(level), request);
  const rings = new Set(heard.flatMap(({ ringing }) => ringing.clear));
  const guide = guideOf(plan, step, setup);
  return (
    <figure aria-label={neckFigureText.theNeckAtThis} data-testid="neck">
      <figcaption className="flex min-h-6 flex-wrap gap-x-4 px-1 text-sm text-faded">
        {guide && <span className="text-copper">{guide.words}</span>}
        {heard.map(
          ({ note, checks: [check] }) =>
            check?.fits && (
              <span key={note.voice}>
                {neckFigureText.check(noteWords(pitchName(note.pitch)), shortCheck(check, setup))}
              </span>
            ),
        )}
        {spread && spread.verdict !== 'easy' && <span className="text-ochre">{neckFigureText.aStretchWarmUp}</span>}
        {crowdedPairs(step.hand, setup, hand).map((pair) => (
          <span key={pair.fingers.join()} className="text-ochre">
            {sentence(crowdWords(pair))}
          </span>
        ))}
        {large && <span>{neckFigureText.toScaleFingertipsMm(hand.fingertipMm, Math.round(setup.lengthMm))}</span>}
      </figcaption>
      {large && (
        <div className="rounded-lg border border-rule bg-sheet px-2 py-1">
          <Neck setup={setup} hand={hand} step={step} spread={spread} guide={guide ?? undefined} rings={rings} />
        </div>
      )}
    </figure>
  );
}

/** Where the finger that makes the shift to this note touches the string unheard; null where no shift arrives here. */
function guideOf({ shifts }: Plan, { at }: Step, setup: Setup) {
  const guide = shifts.find(({ to }) => to === at)?.guide;
  const open = setup.strings.find(({ name }) => name === guide?.string);
  const pitch = guide && parsePitch(guide.pitch);
  if (!guide || !open || !pitch) return null;
  return {
    string: guide.string,
    mm: stopMm(setup.lengthMm, midiOf(pitch) - open.midi),
    words: neckFigureText.guideNoteOnUnheard(fingerWords(guide.finger), noteWords(guide.pitch)),
  };
}
