import { useEffect, useRef, useState } from 'react';
import { Dialog, Modal, ModalOverlay } from 'react-aria-components';
import {
  bringFile,
  bringIn,
  closeBringIn,
  previewOf,
  useBringIn,
  type Chosen,
  type Piece,
  type Preview,
} from '../app/paper/bringIn';
import { useStudents } from '../app/students';
import { instrumentWords } from '../wording/instruments';
import { counted } from '../wording/grammar';
import { Pick } from './fields';
import * as sharedText from '../wording/rooms/shared';
import * as bringInText from '../wording/rooms/bringIn';

/** The way a piece is brought in: a file, its part and bars, for whom. */
export function BringIn() {
  const { state } = useBringIn();
  if (state.kind === 'closed') return null;
  return (
    <ModalOverlay
      isOpen
      isDismissable
      onOpenChange={(open) => !open && closeBringIn()}
      className="fixed inset-0 z-50 flex items-start justify-center overflow-y-auto bg-ink/30 py-[6vh]"
    >
      <Modal className="w-[min(56rem,94vw)]">
        <Dialog
          aria-label={sharedText.bringInAPiece}
          className="flex flex-col gap-3 rounded-lg border-2 border-dove bg-paper px-5 py-4 shadow-lg outline-none"
        >
          <div className="flex items-center gap-3">
            <h2 className="flex-1 font-serif text-xl font-semibold">{sharedText.bringInAPiece}</h2>
            <button type="button" className="button" onClick={closeBringIn}>
              {state.kind === 'reading' ? bringInText.cancel : sharedText.close}
            </button>
          </div>
          {state.kind === 'trouble' && (
            <p role="alert" className="border-l-4 border-madder bg-sheet px-3 py-2">
              {state.name}: {state.message}
            </p>
          )}
          {(state.kind === 'asking' || state.kind === 'trouble') && <FileAsk />}
          {state.kind === 'reading' && (
            <label className="flex flex-col gap-1">
              {bringInText.isBeingRead(state.name)}
              <progress className="w-full" max={1} value={state.share} />
            </label>
          )}
          {state.kind === 'there' && <Parts key={state.name} piece={state.piece} file={state.name} />}
        </Dialog>
      </Modal>
    </ModalOverlay>
  );
}

function FileAsk() {
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="flex flex-wrap items-center gap-3">
      <button type="button" className="button min-h-11 px-4" onClick={() => input.current?.click()}>
        {bringInText.chooseAFile}
      </button>
      <p className="min-w-60 flex-1 text-faded">{bringInText.musicxmlMusicxmlXmlMxl}</p>
      <input
        ref={input}
        type="file"
        aria-label={bringInText.fileOfNotes}
        accept=".musicxml,.xml,.mxl,.mid,.midi,.txt,.json,application/json"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void bringFile(file);
          event.target.value = '';
        }}
      />
    </div>
  );
}

const NOBODY = '';

function Parts({ piece, file }: { readonly piece: Piece; readonly file: string }) {
  const students = useStudents();
  const first = Math.max(
    0,
    piece.parts.findIndex(({ instrument }) => instrument !== null),
  );
  const [at, setAt] = useState(first);
  const part = piece.parts[at];
  const [from, setFrom] = useState(part.bars[0]);
  const [to, setTo] = useState(part.bars[part.bars.length - 1]);
  const [voice, setVoice] = useState(part.voices[0]);
  const [studentId, setStudentId] = useState(NOBODY);
  const student = students.find(({ id }) => id === studentId);
  const chosen: Chosen = { part: String(at + 1), bars: [from, to], voice, ...(student ? { student } : {}) };
  const what = JSON.stringify([at, from, to, voice, studentId]);
  const [preview, setPreview] = useState<{ readonly what: string; readonly found: Preview | string } | null>(null);
  useEffect(() => {
    let here = true;
    previewOf(chosen, 760).then(
      (found) => here && setPreview({ what, found }),
      () => undefined,
    );
    return () => {
      here = false;
    };
    // What is chosen is in the text.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [what]);
  const found = preview?.what === what ? preview.found : null;
  const pickPart = (index: number) => {
    const next = piece.parts[index];
    setAt(index);
    setFrom(next.bars[0]);
    setTo(next.bars[next.bars.length - 1]);
    setVoice(next.voices[0]);
  };
  const title = piece.title || file.replace(/\.[^.]+$/, '');
  const whole = from === part.bars[0] && to === part.bars[part.bars.length - 1];
  const name = `${title}${piece.parts.length > 1 ? `, ${part.name}` : ''}${whole ? '' : sharedText.bars(from, to)}`;
  return (
    <>
      <p className="font-serif text-lg">{title}</p>
      <div className="grid gap-3 sm:grid-cols-4">
        <div className="sm:col-span-2">
          <Pick
            label={bringInText.part}
            value={String(at)}
            choices={piece.parts.map(({ name: words, instrument, notes }, n) => [
              String(n),
              `${words}${instrument ? '' : bringInText.noBowedString}, ${counted(notes, 'note')}`,
            ])}
            onPick={(value) => pickPart(Number(value))}
          />
        </div>
        <Bars label={bringInText.fromBar} bars={part.bars} value={from} onPick={setFrom} />
        <Bars label={bringInText.toBar} bars={part.bars} value={to} onPick={setTo} />
        {part.voices.length > 1 && (
          <Pick
            label={bringInText.voice}
            value={voice}
            choices={part.voices.map((one) => [one, one])}
            onPick={setVoice}
          />
        )}
        <Pick
          label={bringInText.forIt}
          value={studentId}
          choices={[
            [NOBODY, bringInText.nobodyInParticular],
            ...students.map(
              ({ id, name: own, plays }) =>
                [id, `${own || bringInText.noNameYet}, ${instrumentWords(plays.instrument)}`] as const,
            ),
          ]}
          onPick={setStudentId}
        />
      </div>
      {typeof found === 'string' ? (
        <p role="alert" className="border-l-4 border-madder bg-sheet px-3 py-2">
          {found}
        </p>
      ) : found ? (
        <Found found={found} />
      ) : (
        <p className="text-faded">{bringInText.theFirstBarsAre}</p>
      )}
      <div className="flex justify-end">
        <button
          type="button"
          className="button min-h-11 px-4"
          disabled={!found || typeof found === 'string'}
          onClick={() => void bringIn(chosen, name)}
        >
          {bringInText.bringItIn}
        </button>
      </div>
    </>
  );
}

function Found({ found: { svg, notes, written, notices, instrument } }: { readonly found: Preview }) {
  return (
    <>
      <div className="paper-page rounded" data-testid="first-bars" dangerouslySetInnerHTML={{ __html: svg }} />
      <p>
        {bringInText.notesFor(
          counted(notes, 'note'),
          instrumentWords(instrument),
          written > 0 ? bringInText.withAWrittenFinger(counted(written, 'note')) : bringInText.noFingersAreWritten,
        )}
      </p>
      {notices.length > 0 && (
        <ul className="list-disc pl-5 text-sm text-faded" aria-label={bringInText.whatWasLeftOut}>
          {notices.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
    </>
  );
}

interface BarsProps {
  readonly label: string;
  readonly bars: readonly string[];
  readonly value: string;
  readonly onPick: (bar: string) => void;
}

function Bars({ label, bars, value, onPick }: BarsProps) {
  return (
    <label className="flex flex-col text-sm text-faded">
      {label}
      <input
        className="min-h-10 w-full rounded-md border border-rule bg-sheet px-2 text-base text-ink"
        value={value}
        onChange={(event) => onPick(event.target.value.trim())}
        aria-description={bringInText.ofBarsTo(bars[0], bars[bars.length - 1])}
      />
    </label>
  );
}
