import { Download, Printer } from 'lucide-react';
import { chooseForSheet, useSheetChoices } from '../../app/paper/choices';
import { savePdf } from '../../app/paper/sheets';
import { useWeekPage } from '../../app/paper/weekPage';
import { savePracticeFile } from '../../app/practice/file';
import { useOverview, type Overview } from '../../app/practice/overview';
import { usePlayer } from '../../app/practice/player';
import type { StudentRecord } from '../../core';
import { Caution } from '../../ui/Caution';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { PaperPages } from '../../ui/PaperPages';
import { Nobody, PlayerPick } from '../../ui/PlayerPick';
import { Section } from '../../ui/Section';
import { Choices } from '../../ui/SheetChoices';
import { weekTitle } from '../../wording/lessons';
import * as lessonViewsText from '../../wording/rooms/lessonViews';
import * as paperViewsText from '../../wording/rooms/paperViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** The week of a student on paper, with the sheets of its plans behind it, as one print. */
function WeekPage() {
  const player = usePlayer();
  const { student } = player;
  const overview = useOverview(student?.id);
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here="/week" student={student?.id} />
      <NoticeBar />
      <main
        id="main"
        tabIndex={-1}
        data-ready={player.ready && (overview !== undefined || !student)}
        className="flex flex-col gap-4"
      >
        <PlayerPick heading={lessonViewsText.theWeekOnPaper} player={player} />
        {player.ready && !student && <Nobody />}
        {student && overview && (
          <Section name={lessonViewsText.theWeekOnPaper} on={[overview]}>
            <Paper student={student} overview={overview} />
          </Section>
        )}
      </main>
    </div>
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
