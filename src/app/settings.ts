import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/*
 * What belongs to this browser and its user, not to a plan.
 */

interface Settings {
  /** False where keys that are a single sign do nothing. */
  readonly singleKeys: boolean;
}

export const useSettings = create<Settings>()(
  persist((): Settings => ({ singleKeys: true }), { name: 'dove-path-settings' }),
);

export function setSingleKeys(singleKeys: boolean) {
  useSettings.setState({ singleKeys });
}
