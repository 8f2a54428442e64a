import type { SheetChoices } from '../drawing/sheet/sheet';
import { Pick } from './fields';
import { sheetChoicesText } from '../wording/rooms/shared';

interface Props {
  readonly choices: SheetChoices;
  readonly onChoose: (part: Partial<SheetChoices>) => void;
  /** What is no part of this kind of paper. */
  readonly without?: readonly (keyof SheetChoices)[];
}

const TICKS = [
  ['names', sheetChoicesText.noteNames],
  ['patterns', sheetChoicesText.fingerPatterns],
  ['hard', sheetChoicesText.hardPlacesAndDrills],
  ['ladder', sheetChoicesText.stepsWithBoxes],
  ['log', 'log'],
  ['large', sheetChoicesText.largePrint],
] as const;

/** What is put on paper, in one row. */
export function Choices({ choices, onChoose, without = [] }: Props) {
  return (
    <div role="group" aria-label={sheetChoicesText.whatIsOnThe} className="flex flex-wrap items-end gap-x-3 gap-y-1">
      <Pick
        label={sheetChoicesText.fingers}
        value={choices.fingers}
        choices={[
          ['all', sheetChoicesText.atEveryNote],
          ['needed', sheetChoicesText.whereNeeded],
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
          label={sheetChoicesText.emptyStaves}
          value={String(choices.blank)}
          choices={[0, 2, 4, 6, 8].map((count) => [String(count), count === 0 ? 'none' : String(count)])}
          onPick={(blank) => onChoose({ blank: Number(blank) })}
        />
      )}
      <Pick
        label={sheetChoicesText.paper}
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
