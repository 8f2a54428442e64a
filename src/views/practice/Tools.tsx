import { useEffect, useState } from 'react';
import { loadPlayer } from '../../app/practice/sounding';
import { say } from '../../app/notices';
import { midiOf, resolveSetup, type StudentRecord } from '../../core';
import { Choose } from '../../ui/Choose';
import { NumberField } from '../../ui/fields';
import { noteWords } from '../../wording/notes';
import * as practiceAppText from '../../wording/rooms/practiceApp';
import * as practiceViewsText from '../../wording/rooms/practiceViews';

const BARS = [1, 2, 3, 4, 6].map((beats) => [String(beats), practiceViewsText.beatsToABar(beats)] as const);

/** A metronome and a drone of their own, for tuning and for work that is no session. */
export function Tools({ student }: { readonly student: StudentRecord }) {
  const { strings } = resolveSetup(student.plays);
  const [bpm, setBpm] = useState(60);
  const [beats, setBeats] = useState('4');
  const [beat, setBeat] = useState<number | null>(null);
  const [drone, setDrone] = useState('');
  useEffect(() => () => void loadPlayer().then((player) => (player.stop(), player.setDrone(null))), []);
  const run = (act: (player: Awaited<ReturnType<typeof loadPlayer>>) => Promise<void> | void) =>
    void loadPlayer()
      .then(act)
      .catch(() => say({ kind: 'trouble', message: practiceAppText.runNoSoundTheBrowser }));
  const click = () => {
    if (beat !== null) {
      setBeat(null);
      run((player) => player.stop());
      return;
    }
    setBeat(-1);
    run((player) => player.startMetronome(bpm, Number(beats), setBeat));
  };
  const hum = (name: string) => {
    setDrone(name);
    const open = strings.find((one) => one.name === name);
    run((player) => player.setDrone(open ? midiOf(open.pitch) : null));
  };
  return (
    <section aria-labelledby="tools" className="rounded-lg border border-rule bg-sheet px-4 py-3">
      <h2 id="tools" className="font-serif text-lg font-semibold">
        {practiceViewsText.metronomeAndDrone}
      </h2>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <NumberField
          label={practiceViewsText.beatsAMinute}
          unit=""
          value={bpm}
          usual={60}
          least={20}
          most={300}
          onPut={(value = 60) => {
            setBpm(value);
            if (beat !== null) run((player) => player.setTempo(value));
          }}
        />
        <Choose label={practiceViewsText.barOfTheMetronome} value={beats} choices={BARS} onChoose={setBeats} />
        <button type="button" className="button min-h-11" aria-pressed={beat !== null} onClick={click}>
          {beat === null ? practiceViewsText.startTheMetronome : practiceViewsText.stopTheMetronome}
        </button>
        <span className="flex gap-1" aria-hidden data-testid="metronome">
          {Array.from({ length: Number(beats) }, (_, at) => (
            <span
              key={at}
              className={`size-5 rounded-full border-2 border-dove ${at === beat ? (at === 0 ? 'bg-copper' : 'bg-dove') : 'bg-sheet'}`}
            />
          ))}
        </span>
        <Choose
          label={practiceViewsText.drone}
          value={drone}
          choices={[
            ['', practiceViewsText.noDrone],
            ...strings.map(({ name }) => [name, practiceViewsText.droneOn(noteWords(name))] as const),
          ]}
          onChoose={hum}
        />
      </div>
    </section>
  );
}
