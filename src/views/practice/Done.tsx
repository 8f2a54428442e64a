import { useState } from 'react';
import { finish, type Run, type SessionWords } from '../../app/practice/run';
import { say } from '../../app/notices';
import { TextField } from '../../ui/fields';
import { counted } from '../../wording/grammar';
import { ladderStepWords } from '../../wording/practice';
import { stretchWords } from '../../wording/places';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

/** The end of a session: what came of it, and the player's word. */
export function Done({ run }: { readonly run: Run }) {
  const { session, judged, steps, climb, meaning } = run;
  const [words, setWords] = useState<Partial<SessionWords>>({});
  const { low, in: clean, high, missed } = session.heard;
  const step = steps[climb.step];
  const reached = ladderStepWords(step, session.task.ladder, stretchWords(meaning.speech.place, step.from, step.to));
  return (
    <section aria-labelledby="done" className="flex flex-col gap-3 rounded-lg border border-rule bg-sheet px-4 py-3">
      <h2 id="done" className="font-serif text-2xl font-semibold">
        {climb.done && steps.length > 1 ? `Done: ${reached}` : practiceViewsText.done}
      </h2>
      <p className="text-lg">
        {practiceViewsText.inLowHighMissed(
          session.what,
          counted(judged.length, 'repetition'),
          clean,
          low,
          high,
          missed,
          counted(Math.max(1, Math.round(session.minutes)), 'minute'),
        )}
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
              if (!kept) say({ kind: 'trouble', message: practiceViewsText.yourWordsCouldNot });
              else location.assign(`/practice?student=${session.studentId}`);
            })
          }
        >
          {practiceViewsText.saveToTheLog}
        </button>
      </div>
    </section>
  );
}

const FIELDS = [
  ['playerWords', practiceViewsText.howWasItIn],
  ['question', practiceViewsText.aQuestionForThe],
  ['next', practiceViewsText.nextTime],
] as const;
