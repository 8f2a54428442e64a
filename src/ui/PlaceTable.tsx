import { byKind, KINDS, offOf, wilsonInterval, type Sums } from '../core';
import { number, sentence } from '../wording/grammar';
import { kindWords } from '../wording/practice';
import * as practicePartsText from '../wording/rooms/practiceParts';

/** Hits and misses by kind of place, with their numbers and an honest interval. Those most often off first. */
export function PlaceTable({ sums }: { readonly sums: Sums }) {
  const counts = byKind(sums);
  const rows = KINDS.flatMap((kind) => {
    const own = counts.get(kind);
    return own ? [{ kind, own, share: offOf(own) / own[0] }] : [];
  }).sort((a, b) => b.share - a.share || b.own[0] - a.own[0]);
  const most = Math.max(0.01, ...rows.map(({ own }) => wilsonInterval(offOf(own), own[0])[1]));
  if (rows.length === 0) return <p className="mt-2 text-faded">{practicePartsText.noPlaceHasBeen}</p>;
  return (
    <div className="overflow-x-auto">
      <table className="mt-2 w-full min-w-[36rem] border-collapse text-left" data-testid="places">
        <thead>
          <tr className="text-sm text-faded">
            <th className="font-normal">{practicePartsText.kindOfPlace}</th>
            <th className="pl-3 text-right font-normal">{practicePartsText.tries}</th>
            <th className="pl-3 text-right font-normal">{practicePartsText.low}</th>
            <th className="pl-3 text-right font-normal">{practicePartsText.high}</th>
            <th className="pl-3 text-right font-normal">{practicePartsText.missed}</th>
            <th className="w-2/5 pl-4 font-normal">{practicePartsText.offAndTheRange}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ kind, own, share }) => {
            const [tries, low, high, missed] = own;
            const [from, to] = wilsonInterval(offOf(own), tries);
            return (
              <tr key={kind} className="border-t border-rule">
                <th scope="row" className="py-1 pr-2 font-normal">
                  {sentence(kindWords(kind))}
                </th>
                <td className="pl-3 text-right">{tries}</td>
                <td className="pl-3 text-right">{low}</td>
                <td className="pl-3 text-right">{high}</td>
                <td className="pl-3 text-right">{missed}</td>
                <td className="pl-4">
                  <Share share={share} from={from} to={to} most={most} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

const percent = (share: number) => `${number(share * 100, share < 0.1 ? 1 : 0)} %`;

interface ShareProps {
  readonly share: number;
  readonly from: number;
  readonly to: number;
  /** What the whole width stands for. */
  readonly most: number;
}

function Share({ share, from, to, most }: ShareProps) {
  const x = (one: number) => (one / most) * 100;
  return (
    <span className="flex items-center gap-2">
      <svg viewBox="0 0 100 12" className="h-3 flex-1" preserveAspectRatio="none" aria-hidden>
        <rect x={0} y={5} width={100} height={2} fill="var(--color-rule)" />
        <rect
          x={x(from)}
          y={3}
          width={Math.max(1, x(to - from))}
          height={6}
          fill="var(--color-haze)"
          stroke="var(--color-dove)"
          strokeWidth={0.5}
        />
        <rect x={x(share) - 0.75} y={0} width={1.5} height={12} fill="var(--color-dove)" />
      </svg>
      <span className="w-40 text-sm">
        {percent(share)} ({percent(from)}–{percent(to)})
      </span>
    </span>
  );
}
