import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface Shopping {
  /** The plans that are bought for. */
  readonly plans: readonly string[];
  /** Lines that are in the house, or in the basket. */
  readonly ticked: readonly string[];
  readonly buyFor: (plans: readonly string[]) => void;
  /** Begins a list anew: what was ticked for other plans says nothing. */
  readonly begin: (plans: readonly string[]) => void;
  readonly tick: (line: string, on: boolean) => void;
}

/** A list goes along on one phone: it belongs to the device, and stands there without the network. */
export const useShopping = create<Shopping>()(
  persist(
    (set) => ({
      plans: [],
      ticked: [],
      buyFor: (plans) => set({ plans }),
      begin: (plans) => set((before) => (before.plans.join() === plans.join() ? {} : { plans, ticked: [] })),
      tick: (line, on) =>
        set(({ ticked }) => ({ ticked: on ? [...ticked, line] : ticked.filter((other) => other !== line) })),
    }),
    { name: 'hervir.shopping', version: 1 },
  ),
);
