import type { Player } from '../app/practice/player';
import { Choose } from './Choose';
import { PracticeFileButtons } from './PracticeFileButtons';
import * as bringInText from '../wording/rooms/bringIn';

/** The heading of a view that belongs to a student, with the way to another student. */
export function PlayerPick({ heading, player }: { readonly heading: string; readonly player: Player }) {
  const { students, student, choose } = player;
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h1 className="font-serif text-2xl font-bold">{heading}</h1>
      {student && (
        <Choose
          label={bringInText.student}
          value={student.id}
          choices={students.map(({ id, name }) => [id, name || bringInText.noNameYet] as const)}
          onChoose={choose}
        />
      )}
      {student && location.pathname !== '/lesson' && (
        <a href={`/lesson?student=${student.id}`} className="text-dove underline">
          {bringInText.lessonPage}
        </a>
      )}
      {student && location.pathname !== '/path' && (
        <a href={`/path?student=${student.id}`} className="text-dove underline">
          {bringInText.whatComesNext}
        </a>
      )}
    </div>
  );
}

/** Said where a view has nobody to show. */
export function Nobody() {
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p className="text-faded">
        {bringInText.nobodyIsInThe} <a href="/studio">{bringInText.addAStudentThere}</a>
        {bringInText.orBringInThe}
      </p>
      <PracticeFileButtons student={undefined} />
    </div>
  );
}
