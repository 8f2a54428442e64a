import { storageFault } from '../../store/db';
import type { StudentRecord } from '../../store/records';
import { counted, listed } from '../../wording/grammar';
import { readingTroubleWords, storageWords } from '../../wording/storage';
import { offerFile } from '../files';
import { say } from '../notices';
import { dayOf } from './days';

/*
 * The practice file, out and in. Its reading and joining are fetched when they are asked for.
 */

export async function savePracticeFile({ id, name }: StudentRecord) {
  try {
    const { practiceFileText } = await import('../../store/practiceFile');
    const text = await practiceFileText(id, new Date());
    if (text === null) return;
    offerFile(text, `practice-${name || 'student'}-${dayOf(Date.now())}.dovepath.json`);
    say({
      kind: 'done',
      message: `The practice file has ${name ? `${name}’s` : 'this student’s'} plans, cards, goals and log, and nothing of anybody else.`,
    });
  } catch (error) {
    say({ kind: 'trouble', message: readingTroubleWords(storageFault(error)) });
  }
}

/** @param expected the student whose page it is opened on */
export async function openPracticeFile(text: string, expected: StudentRecord | undefined) {
  try {
    const [{ readPracticeFile }, { joinPracticeFile }] = await Promise.all([
      import('../../store/practiceRead'),
      import('../../store/practiceFile'),
    ]);
    const reading = readPracticeFile(text);
    if (reading.kind === 'trouble') {
      say(reading);
      return;
    }
    const { file, aside } = reading;
    const joined = await joinPracticeFile(file);
    const name = file.student.name || 'the student';
    const parts = [
      ...(joined.sessions > 0 ? [counted(joined.sessions, 'new entry', 'new entries')] : []),
      ...(joined.repetitions > 0 ? [counted(joined.repetitions, 'repetition')] : []),
      ...(joined.answers > 0 ? [counted(joined.answers, 'answer')] : []),
      ...(joined.plans > 0 ? [counted(joined.plans, 'plan')] : []),
    ];
    const whose =
      expected && expected.id !== file.student.id
        ? `This file is ${name}’s, not ${expected.name}’s; it was put to ${name}. `
        : '';
    const what = joined.newStudent
      ? `${name} is here now, with ${listed(parts) || 'an empty log'}.`
      : parts.length > 0
        ? `${listed(parts)} put to ${name}’s log.`
        : `Everything in this file is in ${name}’s log already; nothing was counted twice.`;
    const gone =
      joined.deleted > 0
        ? ` ${counted(joined.deleted, 'entry', 'entries')} that you deleted stayed deleted.`
        : '';
    const damaged =
      aside > 0
        ? ` ${counted(aside, 'entry', 'entries')} in the file could not be read and were left out.`
        : '';
    say({ kind: 'done', message: whose + what + gone + damaged });
  } catch (error) {
    const offer = { words: 'Try again', act: () => openPracticeFile(text, expected) };
    say({ kind: 'trouble', message: storageWords(storageFault(error)), offer });
  }
}
