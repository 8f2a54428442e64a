import { FileAudio, Mic, Square } from 'lucide-react';
import { useMemo, useRef, useState, type DragEvent } from 'react';
import type { Meaning } from '../../app/meaning';
import {
  chooseMicrophone,
  endTake,
  giveA,
  letPlayerPlay,
  endTuning,
  listenToMe,
  openTake,
  tuneStrings,
  useTakes,
} from '../../app/takes';
import { Pick } from '../../ui/fields';
import type { Listener } from '../../wording/listening';
import * as listenText from '../../wording/rooms/listenViews';
import { Needle } from './Needle';
import { Tuner } from '../../ui/Tuner';
import { waysToPlay } from './playerFaults';

interface Props {
  readonly meaning: Meaning;
  readonly listener: Listener;
}

/** As what A may be given, in hertz. */
const GIVEN = [415, 438, 440, 441, 442, 443, 444];
const HEARD = 'heard';

/** What begins and ends a take: the microphone, a file, the simulated player. */
export function Controls({ meaning, listener }: Props) {
  const { doing, live, a4, problem, microphones, microphone } = useTakes();
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const busy = doing !== 'nothing';
  const open = (file: File | null | undefined) => {
    if (file && !busy) void openTake(meaning, file);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    open(event.dataTransfer.files.item(0));
  };
  return (
    <section
      aria-label={listenText.listenToMe}
      className={`flex flex-col gap-3 rounded-lg border bg-sheet px-4 py-3 ${over ? 'border-dove' : 'border-rule'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      {doing === 'tuning' ? (
        <Tuner setup={listener.expected.setup} onDone={endTuning} />
      ) : doing === 'listening' ? (
        <div className="flex flex-wrap items-center gap-4">
          <button type="button" className="button flex items-center gap-1" onClick={() => void endTake(meaning)}>
            <Square size={16} aria-hidden /> {listenText.stop}
          </button>
          <Needle live={live} />
        </div>
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-3">
            <button
              type="button"
              className="button flex items-center gap-2 text-lg"
              disabled={busy}
              onClick={() => void listenToMe(meaning)}
            >
              <Mic size={18} aria-hidden /> {listenText.listenToMe}
            </button>
            <button type="button" className="button" disabled={busy} onClick={() => void tuneStrings(meaning.request)}>
              {listenText.tuneTheStrings}
            </button>
            <button
              type="button"
              className="button flex items-center gap-1"
              disabled={busy}
              onClick={() => input.current?.click()}
            >
              <FileAudio size={17} aria-hidden /> {listenText.openATake}
            </button>
            <span className="text-sm text-faded">{over ? listenText.dropHere : listenText.orDropOne}</span>
            <input
              ref={input}
              type="file"
              accept="audio/*,.wav"
              hidden
              data-testid="take-file"
              onChange={({ target }) => {
                open(target.files?.item(0));
                target.value = '';
              }}
            />
            <Pick
              label={listenText.whichA}
              value={String(a4 ?? HEARD)}
              choices={[[HEARD, listenText.aAsHeard], ...GIVEN.map((a) => [String(a), listenText.hertz(a)] as const)]}
              onPick={(value) => !busy && void giveA(meaning, value === HEARD ? null : Number(value))}
            />
            {microphones.length > 1 && (
              <Pick
                label={listenText.microphone}
                value={microphone ?? ''}
                choices={[['', listenText.usualMicrophone], ...microphones.map(({ id, name }) => [id, name] as const)]}
                onPick={(value) => chooseMicrophone(value || null)}
              />
            )}
            {doing === 'working' && <p role="status">{listenText.lookingAtIt}</p>}
          </div>
          <p className="text-sm text-faded">
            {listenText.playFromTheFirst} {listenText.soundStays}
          </p>
          <SimulatedPlayer meaning={meaning} listener={listener} busy={busy} />
        </>
      )}
      {problem && (
        <p role="alert" className="border-l-4 border-madder px-3 py-1">
          {problem}
        </p>
      )}
    </section>
  );
}

function SimulatedPlayer({ meaning, listener, busy }: Props & { readonly busy: boolean }) {
  const ways = useMemo(() => waysToPlay(meaning, listener), [meaning, listener]);
  const [chosen, setChosen] = useState(0);
  const way = ways[Math.min(chosen, ways.length - 1)];
  const play = (aloud: boolean) => void letPlayerPlay(meaning, way.faults, way.words, aloud);
  return (
    <div className="flex flex-wrap items-end gap-3 border-t border-rule pt-2">
      <Pick
        label={`${listenText.noMicrophoneAtHand} ${listenText.howItPlays}`}
        value={String(Math.min(chosen, ways.length - 1))}
        choices={ways.map(({ words }, n) => [String(n), words] as const)}
        onPick={(value) => setChosen(Number(value))}
      />
      <button type="button" className="button" disabled={busy} onClick={() => play(true)}>
        {listenText.letThePlayerPlay}
      </button>
      <button type="button" className="button" disabled={busy} onClick={() => play(false)}>
        {listenText.withoutSound}
      </button>
    </div>
  );
}
