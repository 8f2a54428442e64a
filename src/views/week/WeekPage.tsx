import { Download, Printer } from 'lucide-react';
import { chooseForSheet, useSheetChoices } from '../../app/paper/choices';
import { savePdf } from '../../app/paper/sheets';
import { useWeekPage } from '../../app/paper/weekPage';
import { savePracticeFile } from '../../app/practice/file';
import { type Overview } from '../../app/practice/overview';
import type { StudentRecord } from '../../core';
import { Caution } from '../../ui/Caution';
import { PaperPages } from '../../ui/PaperPages';
import { StudentPage } from '../../ui/StudentPage';
import { Choices } from '../../ui/SheetChoices';
import { weekTitle } from '../../wording/lessons';
import * as lessonViewsText from '../../wording/rooms/lessonViews';
import * as paperViewsText from '../../wording/rooms/paperViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** The week of a student on paper, with the sheets of its plans behind it, as one print. */
function WeekPage() {
  return (
    <StudentPage here="/week" heading={lessonViewsText.theWeekOnPaper} name={lessonViewsText.theWeekOnPaper}>
      {(student, overview) => <Paper student={student} overview={overview} />}
    </StudentPage>
  );
}

function Paper({ student, overview }: { readonly student: StudentRecord; readonly overview: Overview }) {
  const choices = useSheetChoices();
  const { kind, laid } = useWeekPage(student, overview, choices);
  if (!overview.lessons[0])
    return (
      <p className="text-faded">
        {lessonViewsText.noLessonYet} <a href={`/lesson?student=${student.id}`}>{lessonViewsText.toTheLesson}</a>
      </p>
    );
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="button flex min-h-11 items-center gap-1"
          disabled={kind !== 'laid'}
          onClick={() => print()}
        >
          <Printer size={17} aria-hidden /> {paperViewsText.print}
        </button>
        <button
          type="button"
          className="button flex min-h-11 items-center gap-1"
          disabled={kind !== 'laid'}
          onClick={() => void savePdf(weekTitle(student.name))}
        >
          <Download size={17} aria-hidden /> {paperViewsText.saveAsPdf}
        </button>
        <button
          type="button"
          className="button flex min-h-11 items-center gap-1"
          onClick={() => void savePracticeFile(student)}
        >
          <Download size={17} aria-hidden /> {lessonViewsText.thePracticeFile}
        </button>
      </div>
      <Choices choices={choices} onChoose={chooseForSheet} without={['ladder', 'log', 'blank']} />
      {laid && <PaperPages laid={laid} old={kind === 'laying'} />}
      <Caution />
    </div>
  );
}

export default view(sharedText.viewNames.Week, WeekPage);
