import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { USUAL_CHOICES, type SheetChoices } from '../../drawing/sheet/sheet';

/** What is put on paper: belongs to this browser and its user, not to a plan. */
export const useSheetChoices = create<SheetChoices>()(
  persist((): SheetChoices => USUAL_CHOICES, { name: 'dove-path-sheet' }),
);

export function chooseForSheet(part: Partial<SheetChoices>) {
  useSheetChoices.setState(part);
}
