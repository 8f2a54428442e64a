import { Plus, Search } from 'lucide-react';
import { useEffect } from 'react';
import { useDueWork } from '../../app/practice/due';
import { useRows } from '../../app/rows';
import type { StudentRecord } from '../../core';
import { NOTHING } from '../../store/read';
import { BackupButtons } from '../../ui/BackupButtons';
import { BringInDrop, BringInHere } from '../../ui/BringInHere';
import { Head } from '../../ui/Head';
import { NoticeBar } from '../../ui/NoticeBar';
import { Section } from '../../ui/Section';
import { useLeaving } from '../../ui/useLeaving';
import { usePageKeys } from '../../ui/usePageKeys';
import { counted } from '../../wording/grammar';
import { instrumentWords } from '../../wording/instruments';
import { Bin } from './Bin';
import { EmptyStudio, RemoveExample } from './EmptyStudio';
import { DamagedList } from './Damaged';
import { LastBackup } from './LastBackup';
import { PlanList } from './PlanList';
import { found, searchSoon } from './search';
import { leave, redo, undo } from '../../app/editing';
import { addStudent, forgetFresh, lookFor, open, showStudent, useStudio } from '../../app/studio';
import { StudentSheet } from './StudentSheet';
import { Taste } from './Taste';
import * as studioViewsText from '../../wording/rooms/studioViews';
import { view } from '../../ui/View';
import * as sharedText from '../../wording/rooms/shared';

const KEYS = { undo: () => void undo(), redo: () => void redo() };
const comeBack = () => undefined;

/** The Studio: the students, what they play on, their hands and their plans. */
function Studio() {
  const { studentId, search, fresh, filling } = useStudio();
  const read = useRows();
  const kept = filling ? ({ kind: 'reading' } as const) : read;
  useEffect(() => {
    void open(new URLSearchParams(location.search));
  }, []);
  useLeaving(leave, comeBack);
  usePageKeys(KEYS);
  const rows = kept.kind === 'there' ? kept.rows : NOTHING;
  const { students, plans } = rows;
  useEffect(() => searchSoon(students, plans), [students, plans]);
  const hits = found(search, students, plans);
  const written = students.find(({ id }) => id === studentId);
  const student = written ?? (fresh && fresh.id === studentId ? fresh : undefined);
  useEffect(() => {
    if (written && fresh) forgetFresh();
  }, [written, fresh]);
  const shown = search ? hits.plans : student ? plans.filter((plan) => plan.studentId === student.id) : plans;
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here="/studio" student={written?.id} />
      <NoticeBar />
      <BringInDrop />
      <main
        id="main"
        tabIndex={-1}
        className="grid flex-1 items-start gap-x-6 gap-y-4 md:grid-cols-[17rem_minmax(0,1fr)]"
        data-ready={kept.kind !== 'reading'}
      >
        <h1 className="sr-only">{studioViewsText.studio}</h1>
        <aside className="flex flex-col gap-3">
          <label className="flex items-center gap-2 rounded-md border border-rule bg-sheet px-2">
            <Search size={18} aria-hidden className="text-faded" />
            <input
              type="search"
              aria-label={studioViewsText.searchStudentsAndPlans}
              placeholder={studioViewsText.nameKeyTag}
              className="min-h-10 w-full bg-transparent"
              maxLength={200}
              value={search}
              onChange={(event) => lookFor(event.target.value)}
            />
          </label>
          {kept.kind === 'there' && (
            <Section name={studioViewsText.theListOfStudents}>
              <Students students={search ? hits.students : students} open={student?.id ?? null} plans={plans} />
            </Section>
          )}
          {kept.kind === 'there' && (
            <Section name={studioViewsText.yourTaste}>
              <Taste student={student} />
            </Section>
          )}
          <div className="flex flex-wrap items-center gap-3">
            <BringInHere />
            <a href="/students" className="text-dove underline">
              {studioViewsText.beforeLessons}
            </a>
            <a href="/class" className="text-dove underline">
              {studioViewsText.aPageForA}
            </a>
          </div>
          <BackupButtons />
          {plans.length + students.length > 0 && <LastBackup />}
          {kept.kind === 'there' && <Bin bin={kept.bin} />}
          <RemoveExample rows={rows} />
          <EmptyStudio rows={rows} />
        </aside>
        <div className="flex min-w-0 flex-col gap-4">
          {kept.kind === 'trouble' && (
            <p role="alert" className="border-l-4 border-madder bg-sheet px-3 py-2">
              {kept.message}
            </p>
          )}
          <DamagedList damaged={rows.damaged} />
          {student && !search && (
            <Section name={studioViewsText.theStudentsSheet} on={[student]}>
              <StudentSheet key={student.id} student={student} />
            </Section>
          )}
          {kept.kind === 'there' && (
            <Section name={studioViewsText.theListOfPlans} on={[shown]}>
              <PlanList
                heading={
                  search
                    ? studioViewsText.foundFor(search)
                    : student
                      ? studioViewsText.plansFor(student.name || studioViewsText.thisStudent)
                      : studioViewsText.allPlans
                }
                plans={shown}
                students={students}
                student={search ? undefined : student}
                searched={search !== ''}
              />
            </Section>
          )}
        </div>
      </main>
    </div>
  );
}

interface StudentsProps {
  readonly students: readonly StudentRecord[];
  readonly open: string | null;
  readonly plans: readonly { readonly studentId: string | null }[];
}

function Students({ students, open, plans }: StudentsProps) {
  const due = useDueWork(students);
  return (
    <section aria-labelledby="students">
      <div className="flex items-center justify-between">
        <h2 id="students" className="font-serif text-lg font-semibold">
          {studioViewsText.students}
        </h2>
        <button type="button" className="button flex items-center gap-1" onClick={addStudent}>
          <Plus size={17} aria-hidden /> {studioViewsText.newStudent}
        </button>
      </div>
      <ul className="mt-1 rounded-md border border-rule bg-sheet">
        <Row
          words={studioViewsText.everyone}
          note={counted(plans.length, 'plan')}
          open={open === null}
          onOpen={() => showStudent(null)}
        />
        {students.map(({ id, name, plays }) => {
          const count = plans.filter((plan) => plan.studentId === id).length;
          return (
            <Row
              key={id}
              words={name || studioViewsText.noNameYet}
              note={`${instrumentWords(plays.instrument)}, ${counted(count, 'plan')}`}
              due={due.get(id)}
              open={id === open}
              onOpen={() => showStudent(id)}
            />
          );
        })}
        {students.length === 0 && <li className="px-3 py-2 text-faded">{studioViewsText.nobodyHereYetA}</li>}
      </ul>
    </section>
  );
}

interface RowProps {
  readonly words: string;
  readonly note: string;
  /** What is due, where anything is. */
  readonly due?: string;
  readonly open: boolean;
  readonly onOpen: () => void;
}

function Row({ words, note, due, open, onOpen }: RowProps) {
  return (
    <li className={`border-b border-rule last:border-b-0 ${open ? 'bg-haze' : ''}`}>
      <button
        type="button"
        aria-current={open ? 'true' : undefined}
        onClick={onOpen}
        className="flex min-h-11 w-full cursor-pointer flex-wrap items-baseline justify-between gap-x-2 px-3 py-2 text-left hover:text-dove"
      >
        <span className="font-semibold">{words}</span>
        <span className="text-sm text-faded">{note}</span>
        {due && <span className="w-full text-sm text-faded">{due}</span>}
      </button>
    </li>
  );
}

export default view(sharedText.viewNames.Studio, Studio);
