import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Preferences } from '../core';

/*
 * What belongs to this browser and its user, not to a plan.
 */

interface Settings {
  /** False where keys that are a single sign do nothing. */
  readonly singleKeys: boolean;
  /** The teacher's taste, as far as it was noticed and accepted: new plans begin with it. */
  readonly preferences: Preferences;
}

export const useSettings = create<Settings>()(
  persist((): Settings => ({ singleKeys: true, preferences: {} }), { name: 'dove-path-settings' }),
);

export function setSingleKeys(singleKeys: boolean) {
  useSettings.setState({ singleKeys });
}

export function setPreferences(preferences: Preferences) {
  useSettings.setState({ preferences });
}
