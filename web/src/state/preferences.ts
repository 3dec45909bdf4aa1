import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Colours } from '../app/theme';

interface Preferences {
  /** Day, night, or as the device has it. */
  readonly colours: Colours | 'device';
  /** The plan last open on the bench, for the rail. */
  readonly lastPlan: string | null;
  readonly setColours: (colours: Colours | 'device') => void;
  readonly setLastPlan: (id: string | null) => void;
}

/** What belongs to this device and not to the kitchen. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      colours: 'device',
      lastPlan: null,
      setColours: (colours) => set({ colours }),
      setLastPlan: (lastPlan) => set({ lastPlan }),
    }),
    { name: 'hervir.preferences', version: 1 },
  ),
);
