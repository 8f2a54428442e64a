import { forgetTake, saveTake, useTakes, type Take } from '../../app/takes';
import { playTake } from '../../audio/playTake';
import { number } from '../../wording/grammar';
import * as listenText from '../../wording/rooms/listenViews';

interface Props {
  readonly chosen: number;
  readonly onChoose: (id: number) => void;
}

/** The takes of this visit. */
export function TakeList({ chosen, onChoose }: Props) {
  const takes = useTakes((state) => state.takes);
  return (
    <section className="flex flex-col gap-2" aria-labelledby="takes-heading">
      <h2 id="takes-heading" className="font-serif text-xl font-bold">
        {listenText.yourTakes}
      </h2>
      <ul className="flex flex-col gap-1">
        {takes.map((take) => (
          <li
            key={take.id}
            className={`flex flex-wrap items-center gap-2 rounded-lg border border-rule px-2 py-1 ${take.id === chosen ? 'bg-haze' : 'bg-sheet'}`}
          >
            <button
              type="button"
              aria-pressed={take.id === chosen}
              className="min-h-8 basis-full cursor-pointer text-left underline"
              onClick={() => onChoose(take.id)}
            >
              {take.name}
            </button>
            <button type="button" className="button" onClick={() => playTake(take.samples, take.rate)}>
              {listenText.playIt}
            </button>
            <button type="button" className="button" onClick={() => saveTake(take)}>
              {listenText.saveAsWav(sizeOf(take))}
            </button>
            <button type="button" className="button" onClick={() => forgetTake(take.id)}>
              {listenText.forgetIt}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Two bytes a sample. */
const sizeOf = ({ samples }: Take) => listenText.megabytes(number((2 * samples.length) / 1e6, 1));
