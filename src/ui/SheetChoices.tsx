import type { SheetChoices } from '../drawing/sheet/sheet';
import { Pick } from './fields';
import * as paperPartsText from '../wording/rooms/paperParts';

interface Props {
  readonly choices: SheetChoices;
  readonly onChoose: (part: Partial<SheetChoices>) => void;
  /** What is no part of this kind of paper. */
  readonly without?: readonly (keyof SheetChoices)[];
}

const TICKS = [
  ['names', paperPartsText.noteNames],
  ['patterns', paperPartsText.sheetChoicesFingerPatterns],
  ['hard', paperPartsText.hardPlacesAndDrills],
  ['ladder', paperPartsText.stepsWithBoxes],
  ['log', 'log'],
  ['large', paperPartsText.largePrint],
] as const;

/** What is put on paper, in one row. */
export function Choices({ choices, onChoose, without = [] }: Props) {
  return (
    <div role="group" aria-label={paperPartsText.whatIsOnThe} className="flex flex-wrap items-end gap-x-3 gap-y-1">
      <Pick
        label={paperPartsText.fingers}
        value={choices.fingers}
        choices={[
          ['all', paperPartsText.atEveryNote],
          ['needed', paperPartsText.whereNeeded],
          ['decisive', paperPartsText.whereTheyDecide],
          ['ours', paperPartsText.onlyOurs],
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
          label={paperPartsText.emptyStaves}
          value={String(choices.blank)}
          choices={[0, 2, 4, 6, 8].map((count) => [String(count), count === 0 ? 'none' : String(count)])}
          onPick={(blank) => onChoose({ blank: Number(blank) })}
        />
      )}
      <Pick
        label={paperPartsText.paper}
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
