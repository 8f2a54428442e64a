import type { ReactNode } from 'react';
import type { StudentRecord } from '../core';
import { useOverview, type Overview } from '../app/practice/overview';
import { usePlayer } from '../app/practice/player';
import { Head, type ViewAddress } from './Head';
import { NoticeBar } from './NoticeBar';
import { Nobody, PlayerPick } from './PlayerPick';
import { Section } from './Section';

interface Props {
  readonly here: ViewAddress;
  readonly heading: string;
  /** What stands inside is called, as in "The lesson". */
  readonly name: string;
  readonly children: (student: StudentRecord, overview: Overview) => ReactNode;
}

/** The frame of a page about one student: who it is, and what was practised. */
export function StudentPage({ here, heading, name, children }: Props) {
  const player = usePlayer();
  const { student } = player;
  const overview = useOverview(student?.id);
  return (
    <div className="mx-auto flex min-h-screen max-w-[1600px] flex-col gap-3 px-5 pb-24">
      <Head here={here} student={student?.id} />
      <NoticeBar />
      <main
        id="main"
        tabIndex={-1}
        data-ready={player.ready && (overview !== undefined || !student)}
        className="flex flex-col gap-4"
      >
        <PlayerPick heading={heading} player={player} />
        {player.ready && !student && <Nobody />}
        {student && overview && (
          <Section name={name} on={[overview]}>
            {children(student, overview)}
          </Section>
        )}
      </main>
    </div>
  );
}
