import { useState } from 'react';
import { CUE_WORDS, findingWords, noteWords, semitoneWords } from '../../brief/findings';
import { printed } from '../../brief/words';
import { pitchName, type Finding } from '../../core';
import { Caution, MeaningPage } from '../../ui/MeaningPage';
import { useMeaning, type Meaning } from '../../ui/meaning';
import { Frames } from './Frames';
import { Positions } from './Positions';
import { WayRound } from './WayRound';

/** Hand: the frames under the fingers, string by string, the traps between them, and how far this hand reaches. */
export default function Hand() {
  return (
    <MeaningPage here="/hand" heading="Hand" state={useMeaning()}>
      {(meaning) => <HandOf meaning={meaning} />}
    </MeaningPage>
  );
}

function HandOf({ meaning }: { readonly meaning: Meaning }) {
  const [frame, setFrame] = useState(0);
  return (
    <>
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Frames meaning={meaning} open={frame} onOpen={setFrame} />
        <div className="flex flex-col gap-4">
          <Positions meaning={meaning} frame={meaning.plan.frames[frame]} />
          <Reach meaning={meaning} />
        </div>
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Traps meaning={meaning} />
        <Cues meaning={meaning} />
      </div>
    </>
  );
}

const REACH: ReadonlySet<Finding['kind']> = new Set(['stretch', 'crowding']);

function Reach({ meaning }: { readonly meaning: Meaning }) {
  const { ranked, setup } = meaning.findings;
  const found = ranked.filter(({ kind }) => REACH.has(kind));
  return (
    <section aria-labelledby="reach" className="flex flex-col gap-2">
      <h2 id="reach" className="font-serif text-xl font-semibold">
        Reach and room
      </h2>
      {found.length === 0 && <p>Everything lies easily in this hand, and no two fingers crowd.</p>}
      <ul className="flex flex-col gap-2">
        {found.map((finding) => (
          <li
            key={`${finding.kind}${finding.events[0]}`}
            className="border-l-4 border-ochre bg-sheet px-3 py-1"
          >
            {findingWords(finding, setup)}
            {finding.kind === 'stretch' && <WayRound meaning={meaning} at={finding.reach.at} />}
          </li>
        ))}
      </ul>
      {found.length > 0 && <Caution />}
    </section>
  );
}

function Traps({ meaning }: { readonly meaning: Meaning }) {
  const { traps, setup } = meaning.findings;
  return (
    <section aria-labelledby="traps">
      <h2 id="traps" className="font-serif text-xl font-semibold">
        Traps across strings
      </h2>
      {traps.length === 0 && (
        <p>No finger is wanted high on one string and low on another while the hand stays.</p>
      )}
      <ul className="list-disc pl-5">
        {traps.map(({ finger, from, to, move }) => (
          <li key={`${from.at}.${to.at}.${finger}`}>
            Finger {finger}: {noteWords(pitchName(from.pitch))} on {printed(setup.strings[from.string].name)}{' '}
            (note {from.at + 1}), then {semitoneWords(Math.abs(move))} {move > 0 ? 'higher' : 'lower'} for{' '}
            {noteWords(pitchName(to.pitch))} on {printed(setup.strings[to.string].name)} (note {to.at + 1}).
          </li>
        ))}
      </ul>
    </section>
  );
}

function Cues({ meaning }: { readonly meaning: Meaning }) {
  const { cues } = meaning.findings;
  const byCue = new Map<(typeof cues)[number]['cue'], number[]>();
  for (const { at, cue } of cues) byCue.set(cue, [...(byCue.get(cue) ?? []), at + 1]);
  return (
    <section aria-labelledby="cues">
      <h2 id="cues" className="font-serif text-xl font-semibold">
        What the fingers do
      </h2>
      <p className="text-sm text-faded">
        At this tempo and level; a faster tempo in the brief lets the hand fall as one.
      </p>
      <ul className="list-disc pl-5">
        {[...byCue].map(([cue, notes]) => (
          <li key={cue}>
            {CUE_WORDS[cue]} <span className="text-faded">Notes {notes.join(', ')}.</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
