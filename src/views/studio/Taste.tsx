import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { setPreferences, useSettings } from '../../app/settings';
import { changeStudent } from '../../app/studio';
import { PREFERENCES, type Learned, type Preferences, type StudentRecord } from '../../core';
import { listChoices } from '../../store/log';
import { noticedWords, tasteWords } from '../../wording/taste';
import { learnInWorker } from '../../work/planner';
import * as studioViewsText from '../../wording/rooms/studioViews';

/** The teacher's taste, or where a student is open the one for that student. */
export function Taste({ student }: { readonly student: StudentRecord | undefined }) {
  const own = useSettings((settings) => settings.preferences);
  if (!student) return <TasteOf id={null} preferences={own} whose={studioViewsText.newPlans} onPut={setPreferences} />;
  const put = (preferences: Preferences) =>
    void changeStudent(student, () => ({ preferences: Object.keys(preferences).length > 0 ? preferences : undefined }));
  const whose = studioViewsText.newPlansFor(student.name || studioViewsText.thisStudent);
  return <TasteOf key={student.id} id={student.id} preferences={student.preferences ?? {}} whose={whose} onPut={put} />;
}

interface Props {
  readonly id: string | null;
  readonly preferences: Preferences;
  readonly whose: string;
  readonly onPut: (preferences: Preferences) => void;
}

/** What was noticed, to be accepted or not, and what was accepted, to be taken back. Nothing is learned silently. */
function TasteOf({ id, preferences, whose, onPut }: Props) {
  const chosen = useLiveQuery(() => listChoices(id).catch(() => []), [id]);
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
        {studioViewsText.yourTaste}
      </h2>
      {accepted && (
        <div className="flex flex-col gap-1">
          <p>{studioViewsText.leanTo(whose, tasteWords(preferences))}</p>
          <button type="button" className="button self-start" onClick={() => onPut({})}>
            {studioViewsText.takeItBack}
          </button>
        </div>
      )}
      {offer && (
        <div className="flex flex-col gap-1">
          <p>{studioViewsText.shallLeanThatWay(noticedWords(offer), whose.replace('New', 'new'))}</p>
          <p className="flex flex-wrap gap-2">
            <button type="button" className="button" onClick={() => onPut(offer.preferences)}>
              {studioViewsText.yesFromNowOn}
            </button>
            <button type="button" className="button" onClick={() => setPut(true)}>
              {studioViewsText.notNow}
            </button>
          </p>
        </div>
      )}
    </section>
  );
}
