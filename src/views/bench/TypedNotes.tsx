import { useRef, useState } from 'react';
import {
  instrumentRecord,
  oddBars,
  readNoteText,
  readTime,
  writeNoteText,
  type MaterialSpec,
  type TextIssue,
} from '../../core';
import { moveCursor, setTyped } from '../../app/edits';
import { useBench } from '../../app/bench';
import { oddBarsWords } from '../../wording/material';
import { textIssueWords } from '../../wording/issues';
import { Full } from '../../ui/fields';
import * as typedNotesText from '../../wording/rooms/typedNotes';

/** Issues shown at once; the others come up as these are mended. */
const MOST_SHOWN = 3;
/** More than a plan may have notes cannot be typed. */
const MOST_LETTERS = 100_000;

/** The notes as text: what can be read is planned at once, and what cannot is pointed at. */
export function TypedNotes({ material }: { readonly material: Extract<MaterialSpec, { type: 'notes' }> }) {
  const typed = useBench((state) => state.record.typed);
  const kind = useBench((state) => state.record.request.instrument);
  const box = useRef<HTMLTextAreaElement>(null);
  const [full, setFull] = useState(false);
  const up = instrumentRecord(kind).writtenOctavesUp;
  const text = typed ?? writeNoteText(material.notes, up);
  const { notes, spans, issues } = readNoteText(text, up);
  const { beats: perBar } = readTime(material.time ?? '4/4');
  const odd = oddBars(notes, perBar);
  const follow = () => {
    const caret = box.current?.selectionStart ?? 0;
    const at = spans.findLastIndex(({ from }) => from <= caret);
    if (issues.length === 0 && at >= 0) moveCursor(at);
  };
  const show = ({ at, length }: TextIssue) => {
    box.current?.focus();
    box.current?.setSelectionRange(at, at + length);
  };
  return (
    <div className="mt-1 font-sans text-base leading-snug">
      <textarea
        ref={box}
        aria-label={typedNotesText.notes}
        aria-invalid={issues.length > 0}
        aria-describedby="typed-help"
        spellCheck={false}
        rows={Math.min(6, Math.max(2, text.split('\n').length))}
        className="w-full rounded-md border border-rule bg-sheet px-3 py-1.5 text-[1.05rem] tracking-wide"
        value={text}
        placeholder="D4 E4 F#4 G4 | A4:2 B4:2"
        onChange={(event) => {
          setFull(event.target.value.length > MOST_LETTERS);
          setTyped(event.target.value.slice(0, MOST_LETTERS));
        }}
        onSelect={follow}
      />
      {full && <Full most={MOST_LETTERS} />}
      <p id="typed-help" className="text-sm text-faded">
        {up > 0 && typedNotesText.asWrittenAnOctave}
        <code>A4</code> {typedNotesText.aNote} <code>C#5:2</code> {typedNotesText.twoBeats} <code>A3+E4</code>{' '}
        {typedNotesText.together} <code>-</code> {typedNotesText.aRest} <code>|</code> {typedNotesText.aBarLine}{' '}
        <a href="/notes" className="text-dove underline">
          {typedNotesText.howToTypeNotes}
        </a>
      </p>
      {issues.length === 0 && odd.length > 0 && (
        <p role="status" className="border-l-4 border-ochre bg-sheet px-3 py-1">
          {oddBarsWords(odd, perBar)}
        </p>
      )}
      {issues.length > 0 && (
        <ul role="alert" className="mt-1 border-l-4 border-madder bg-sheet px-3 py-1">
          {issues.slice(0, MOST_SHOWN).map((issue) => (
            <li key={issue.at} className="flex flex-wrap items-baseline gap-2">
              <Excerpt text={text} issue={issue} />
              <span className="flex-1">{textIssueWords(issue)}</span>
              <button type="button" className="button" onClick={() => show(issue)}>
                {typedNotesText.show}
              </button>
            </li>
          ))}
          {issues.length > MOST_SHOWN && <li>{typedNotesText.andMore(issues.length - MOST_SHOWN)}</li>}
          <li className="text-sm text-faded">{typedNotesText.belowIsWhatCould}</li>
        </ul>
      )}
    </div>
  );
}

/** The mistaken characters with a little of what stands round them. */
function Excerpt({ text, issue }: { readonly text: string; readonly issue: TextIssue }) {
  const end = issue.at + issue.length;
  return (
    <code className="whitespace-pre">
      {text.slice(Math.max(0, issue.at - 6), issue.at).replaceAll('\n', ' ')}
      <mark className="bg-madder px-0.5 text-sheet">{text.slice(issue.at, end) || ' '}</mark>
      {text.slice(end, end + 6).replaceAll('\n', ' ')}
    </code>
  );
}
