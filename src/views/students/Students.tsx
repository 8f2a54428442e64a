import { useAllStudents, useFirstTrends, type BeforeLesson } from '../../app/practice/allStudents';
import type { Trend } from '../../core';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { Section } from '../../ui/Section';
import { counted } from '../../wording/grammar';
import { lessonAtWords } from '../../wording/lessons';
import { trendWords } from '../../wording/practice';
import * as lessonViewsText from '../../wording/rooms/lessonViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

/** Before the lessons: every student on a line, those who come next first. */
function Students() {
  const all = useAllStudents();
  const trends = useFirstTrends(all);
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here="/students" />
      <NoticeBar />
      <main id="main" tabIndex={-1} data-ready={all !== undefined} className="flex flex-col gap-4">
        <h1 className="font-serif text-2xl font-bold">{lessonViewsText.beforeLessons}</h1>
        {all?.length === 0 && <p className="text-faded">{lessonViewsText.noStudents}</p>}
        {all && all.length > 0 && (
          <Section name={lessonViewsText.beforeLessons} on={[all]}>
            <div className="overflow-x-auto rounded-lg border border-rule bg-sheet">
              <table className="w-full border-collapse text-left" data-testid="all-students">
                <thead>
                  <tr className="border-b-2 border-rule align-bottom text-sm text-faded">
                    {lessonViewsText.columnsOfStudents.map((words) => (
                      <th key={words} scope="col" className="px-3 py-2 font-normal">
                        {words}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {all.map((one) => (
                    <Row key={one.student.id} one={one} trend={trends.get(one.student.id)} />
                  ))}
                </tbody>
              </table>
            </div>
          </Section>
        )}
      </main>
    </div>
  );
}

function Row({ one, trend }: { readonly one: BeforeLesson; readonly trend: Trend | undefined }) {
  const { student, practised, minutes, asked, tempi, question, cardsDue } = one;
  const days = practised.filter(Boolean).length;
  return (
    <tr className="border-b border-rule align-top last:border-b-0">
      <th scope="row" className="px-3 py-2">
        <a className="text-dove underline" href={`/lesson?student=${student.id}`}>
          {student.name || lessonViewsText.nameless}
        </a>
        <span className="block text-sm font-normal text-faded">
          {lessonAtWords(student.lessonAt) || lessonViewsText.noDay}
        </span>
      </th>
      <td className="px-3 py-2 whitespace-nowrap">
        <span className="flex gap-1" role="img" aria-label={lessonViewsText.daysOfSeven(days)}>
          {practised.map((was, at) => (
            <span key={at} className={`size-3 rounded-full border border-dove ${was ? 'bg-dove' : 'bg-sheet'}`} />
          ))}
        </span>
        <span className="text-sm text-faded">{lessonViewsText.daysOfSeven(days)}</span>
      </td>
      <td className="px-3 py-2">
        {asked > 0 ? lessonViewsText.minutesOf(minutes, asked) : counted(minutes, 'minute')}
      </td>
      <td className="px-3 py-2">
        <ul>
          {tempi.map(({ what, reached, goal }) => (
            <li key={what}>
              {what}: {reached === undefined ? lessonViewsText.noTempo : `♩ = ${reached}`}
              {goal ? lessonViewsText.ofGoal(goal) : ''}
            </li>
          ))}
        </ul>
      </td>
      <td className="px-3 py-2">{trend ? trendWords(trend) : ''}</td>
      <td className="px-3 py-2">{question}</td>
      <td className="px-3 py-2">{cardsDue > 0 ? counted(cardsDue, 'card') : ''}</td>
    </tr>
  );
}

export default view(sharedText.viewNames.Students, Students);
