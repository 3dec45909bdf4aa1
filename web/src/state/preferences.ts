import { create } from 'zustand';
import { persist } from 'zustand/middleware';

export type Colours = 'day' | 'night';

interface Preferences {
  /** Day, night, or as the device has it. */
  readonly colours: Colours | 'device';
  /** The plan last open on the bench, for the rail. */
  readonly lastPlan: string | null;
  /** Alarms at full strength. */
  readonly loud: boolean;
  /** Steps are read aloud. */
  readonly speaks: boolean;
  /** The height of the kitchen was told, also where it is at the sea. */
  readonly kitchenSaid: boolean;
  /** The first steps were gone, or sent away. */
  readonly firstStepsOver: boolean;
  /** The simulated cooker is offered at the pot. */
  readonly offersCooker: boolean;
  /** Tonight says when to begin so that dinner is fairly sure, not as long before as the plan takes. */
  readonly beginsSure: boolean;
  readonly offerCooker: (offers: boolean) => void;
  readonly sayKitchen: () => void;
  readonly endFirstSteps: () => void;
  readonly setColours: (colours: Colours | 'device') => void;
  readonly setBeginsSure: (beginsSure: boolean) => void;
  readonly setLastPlan: (id: string | null) => void;
  readonly setAlarms: (alarms: { readonly loud?: boolean; readonly speaks?: boolean }) => void;
}

/** What belongs to this device and not to the kitchen. */
export const usePreferences = create<Preferences>()(
  persist(
    (set) => ({
      colours: 'device',
      lastPlan: null,
      loud: false,
      speaks: false,
      kitchenSaid: false,
      firstStepsOver: false,
      offersCooker: false,
      beginsSure: false,
      offerCooker: (offersCooker) => set({ offersCooker }),
      sayKitchen: () => set({ kitchenSaid: true }),
      endFirstSteps: () => set({ firstStepsOver: true }),
      setColours: (colours) => set({ colours }),
      setBeginsSure: (beginsSure) => set({ beginsSure }),
      setLastPlan: (lastPlan) => set({ lastPlan }),
      setAlarms: (alarms) => set(alarms),
    }),
    { name: 'hervir.preferences', version: 1 },
  ),
);
