import { FileDown, FileUp } from 'lucide-react';
import { useRef } from 'react';
import { openPracticeFile, savePracticeFile } from '../app/practice/file';
import type { StudentRecord } from '../core';
import * as practicePartsText from '../wording/rooms/practiceParts';

/** A student's plans, cards and log to take home, and to bring back. */
export function PracticeFileButtons({ student }: { readonly student: StudentRecord | undefined }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      {student && (
        <button type="button" className="button flex items-center gap-1" onClick={() => void savePracticeFile(student)}>
          <FileDown size={17} aria-hidden /> {practicePartsText.practiceFile}
        </button>
      )}
      <button type="button" className="button flex items-center gap-1" onClick={() => input.current?.click()}>
        <FileUp size={17} aria-hidden /> {practicePartsText.bringOneIn}
      </button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label={practicePartsText.practiceFile}
        className="hidden"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void file.text().then((text) => openPracticeFile(text, student));
        }}
      />
    </>
  );
}
