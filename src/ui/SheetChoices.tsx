import type { SheetChoices } from '../notation/sheet/sheet';
import { Pick } from './fields';

interface Props {
  readonly choices: SheetChoices;
  readonly onChoose: (part: Partial<SheetChoices>) => void;
  /** What is no part of this kind of paper. */
  readonly without?: readonly (keyof SheetChoices)[];
}

const TICKS = [
  ['names', 'note names'],
  ['patterns', 'finger patterns'],
  ['hard', 'hard places and drills'],
  ['ladder', 'steps with boxes'],
  ['log', 'log'],
  ['large', 'large print'],
] as const;

/** What is put on paper, in one row. */
export function Choices({ choices, onChoose, without = [] }: Props) {
  return (
    <div role="group" aria-label="What is on the paper" className="flex flex-wrap items-end gap-x-3 gap-y-1">
      <Pick
        label="Fingers"
        value={choices.fingers}
        choices={[
          ['all', 'at every note'],
          ['needed', 'where needed'],
          ['none', 'none'],
        ]}
        onPick={(fingers) => onChoose({ fingers: fingers as SheetChoices['fingers'] })}
      />
      {TICKS.filter(([name]) => !without.includes(name)).map(([name, words]) => (
        <label key={name} className="flex min-h-10 items-center gap-1.5">
          <input
            type="checkbox"
            className="size-5"
            checked={choices[name]}
            onChange={(event) => onChoose({ [name]: event.target.checked })}
          />
          {words}
        </label>
      ))}
      {!without.includes('blank') && (
        <Pick
          label="Empty staves"
          value={String(choices.blank)}
          choices={[0, 2, 4, 6, 8].map((count) => [String(count), count === 0 ? 'none' : String(count)])}
          onPick={(blank) => onChoose({ blank: Number(blank) })}
        />
      )}
      <Pick
        label="Paper"
        value={choices.paper}
        choices={[
          ['a4', 'A4'],
          ['letter', 'Letter'],
        ]}
        onPick={(paper) => onChoose({ paper: paper as SheetChoices['paper'] })}
      />
    </div>
  );
}
