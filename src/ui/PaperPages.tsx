import type { Laid } from '../app/paper/paper.worker';

interface Props {
  readonly laid: Laid;
  /** True while something newer is laid out. */
  readonly old?: boolean;
}

/** Pages as they will be printed, in true size; printing shows them and nothing else. */
export function PaperPages({ laid: { svgs, width }, old = false }: Props) {
  return (
    <div
      className={`paper-pages flex flex-col items-center gap-5 ${width > 600 ? 'paper-letter' : 'paper-a4'} ${old ? 'opacity-60' : ''}`}
    >
      {svgs.map((svg, n) => (
        // Made by this program out of its own drawing; words in it are escaped there.
        <div key={n} className="paper-page" data-testid="paper-page" dangerouslySetInnerHTML={{ __html: svg }} />
      ))}
    </div>
  );
}
