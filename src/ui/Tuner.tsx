import { useTakes } from '../app/takes';
import type { Setup } from '../core';
import { signed } from '../wording/grammar';
import { printed } from '../wording/notes';
import * as listenText from '../wording/rooms/listenViews';

const WIDTH = 300;
const ROW = 40;
const MOST = 40;
/** Nearer than this nobody hears a difference. */
const TRUE = 3;

/** The open strings, with where the one that sounds stands. */
export function Tuner({ setup, onDone }: { readonly setup: Setup; readonly onDone: () => void }) {
  const tuning = useTakes((state) => state.tuning);
  const names = setup.strings.map(({ name }) => name);
  const apart = setup.strings.slice(1).map(({ midi }, at) => midi - setup.strings[at].midi);
  const middle = WIDTH / 2;
  return (
    <div className="flex flex-wrap items-start gap-5">
      <ol className="flex flex-col-reverse" data-testid="tuner">
        {names.map((name, string) => {
          const cents = tuning?.string === string ? tuning.cents : undefined;
          const words = cents === undefined ? '' : cents > 0 ? listenText.sharp : listenText.flat;
          const x = middle + (Math.max(-MOST, Math.min(MOST, cents ?? 0)) / MOST) * (middle - 12);
          return (
            <li key={name} className="flex items-center gap-3" aria-label={listenText.stringName(printed(name))}>
              <span className="w-6 text-lg font-bold">{printed(name)}</span>
              <svg width={WIDTH} height={ROW} aria-hidden>
                <line x1={8} x2={WIDTH - 8} y1={ROW / 2} y2={ROW / 2} stroke="var(--color-rule)" strokeWidth={2} />
                <line x1={middle} x2={middle} y1={8} y2={ROW - 8} stroke="var(--color-ink)" strokeWidth={2} />
                {cents !== undefined && <circle cx={x} cy={ROW / 2} r={9} fill="var(--color-dove)" />}
              </svg>
              <span className="w-40">
                {cents !== undefined &&
                  (Math.abs(cents) <= TRUE
                    ? listenText.stringInTune
                    : `${listenText.offFromTarget(signed(cents, 0))}, ${words}`)}
              </span>
            </li>
          );
        })}
      </ol>
      <div className="flex max-w-sm flex-col items-start gap-3">
        <p>{listenText.playAnOpenString(apart)}</p>
        <button type="button" className="button" onClick={onDone}>
          {listenText.tunerDone}
        </button>
      </div>
    </div>
  );
}
