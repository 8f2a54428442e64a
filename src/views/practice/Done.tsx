import { useState } from 'react';
import { finish, type Run, type SessionWords } from '../../app/practice/run';
import { say } from '../../app/notices';
import { TextField } from '../../ui/fields';
import { counted } from '../../wording/grammar';
import { ladderStepWords } from '../../wording/practice';
import { stretchWords } from '../../wording/places';

/** The end of a session: what came of it, and the player's word. */
export function Done({ run }: { readonly run: Run }) {
  const { session, judged, steps, climb, meaning } = run;
  const [words, setWords] = useState<Partial<SessionWords>>({});
  const { low, in: clean, high, missed } = session.heard;
  const step = steps[climb.step];
  const reached = ladderStepWords(
    step,
    session.task.ladder,
    stretchWords(meaning.speech.place, step.from, step.to),
  );
  return (
    <section
      aria-labelledby="done"
      className="flex flex-col gap-3 rounded-lg border border-rule bg-sheet px-4 py-3"
    >
      <h2 id="done" className="font-serif text-2xl font-semibold">
        {climb.done && steps.length > 1 ? `Done: ${reached}` : 'Done'}
      </h2>
      <p className="text-lg">
        {session.what}: {counted(judged.length, 'repetition')}, {clean} in, {low} low, {high} high, {missed}{' '}
        missed, in {counted(Math.max(1, Math.round(session.minutes)), 'minute')}. Let the arms hang, and rest
        a moment.
      </p>
      <div className="grid gap-3 md:grid-cols-2">
        {FIELDS.map(([name, label]) => (
          <TextField
            key={name}
            label={label}
            value={words[name] ?? ''}
            onPut={(value) => setWords((now) => ({ ...now, [name]: value }))}
          />
        ))}
      </div>
      <div className="flex gap-3">
        <button
          type="button"
          className="button min-h-12 px-6 text-lg"
          onClick={() =>
            void finish(words).then((kept) => {
              if (!kept)
                say({
                  kind: 'trouble',
                  message:
                    'Your words could not be saved. The repetitions are in the log: open the entry there and write them in.',
                });
              else location.assign(`/practice?student=${session.studentId}`);
            })
          }
        >
          Save to the log
        </button>
      </div>
    </section>
  );
}

const FIELDS = [
  ['playerWords', 'How was it, in a few words'],
  ['question', 'A question for the teacher'],
  ['next', 'Next time'],
] as const;
