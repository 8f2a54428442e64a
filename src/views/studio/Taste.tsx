import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { setPreferences, useSettings } from '../../app/settings';
import { PREFERENCES, type Learned } from '../../core';
import { listChoices } from '../../store/choices';
import { noticedWords, tasteWords } from '../../wording/taste';
import { learnInWorker } from '../../work/planner';

/** What was noticed of the teacher's taste, to be accepted or not, and what was accepted, to be taken back. Nothing is learned silently. */
export function Taste() {
  const preferences = useSettings((settings) => settings.preferences);
  const chosen = useLiveQuery(() => listChoices().catch(() => []), []);
  const [learned, setLearned] = useState<Learned | null>(null);
  const [put, setPut] = useState(false);
  useEffect(() => {
    let here = true;
    if (!chosen || chosen.length === 0) return;
    learnInWorker(chosen).then(
      (found) => here && setLearned(found),
      // Without the planner nothing is noticed.
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [chosen]);
  const accepted = PREFERENCES.some((name) => (preferences[name] ?? 1) !== 1);
  const known = learned && JSON.stringify(learned.preferences) === JSON.stringify(preferences);
  const offer = learned && !known && !put ? learned : null;
  if (!accepted && !offer) return null;
  return (
    <section
      aria-labelledby="taste"
      data-testid="taste"
      className="flex flex-col gap-2 rounded-md border border-rule bg-sheet px-3 py-2"
    >
      <h2 id="taste" className="font-serif text-lg font-semibold">
        Your taste
      </h2>
      {accepted && (
        <div className="flex flex-col gap-1">
          <p>New plans lean to {tasteWords(preferences)}.</p>
          <button type="button" className="button self-start" onClick={() => setPreferences({})}>
            Take it back
          </button>
        </div>
      )}
      {offer && (
        <div className="flex flex-col gap-1">
          <p>{noticedWords(offer)} Shall new plans lean that way?</p>
          <p className="flex flex-wrap gap-2">
            <button type="button" className="button" onClick={() => setPreferences(offer.preferences)}>
              Yes, from now on
            </button>
            <button type="button" className="button" onClick={() => setPut(true)}>
              Not now
            </button>
          </p>
        </div>
      )}
    </section>
  );
}
