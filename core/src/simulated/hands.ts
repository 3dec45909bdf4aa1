import type { GuideStep } from '../clock/guide-step';
import type { Forecast } from '../braise/forecast-document';
import { thickenerById } from '../larder/thickeners';
import type { SimulatedKitchen } from './kitchen';
import type { Refusal } from './cooker-device';

/** What a step of the guide makes hands do: when its turn comes, and when it is said to be done. */
interface Work {
  readonly begins?: (kitchen: SimulatedKitchen, f: Forecast, step: GuideStep) => void;
  readonly ends?: (kitchen: SimulatedKitchen, f: Forecast, done: Done) => Refusal;
}

/** How a step was said to be done. */
export interface Done {
  /** By its other button. */
  readonly otherwise: boolean;
  /** Minutes of the pressure run that follows, for whoever starts one. */
  readonly minutes: number;
}

const NOTHING: Refusal = null;
/** A burnt base gets this much more liquid than the minimum's third. Common practice: a cup. */
const CLEARING_ML = 240;

/** Steps that come in again are told apart by what brought them in: "again-1-lock" is a lock like any other. */
export const plainId = (id: string): string => id.replace(/^(again|burn)-\d+-/, '');

const hot = (kitchen: SimulatedKitchen): Refusal =>
  kitchen.command(kitchen.device.electric ? { do: 'saute', level: 'high' } : { do: 'burner', level: 'full' });
const half = (kitchen: SimulatedKitchen): Refusal =>
  kitchen.command(kitchen.device.electric ? { do: 'saute', level: 'mid' } : { do: 'burner', level: 'medium' });
const gentle = (kitchen: SimulatedKitchen): Refusal =>
  kitchen.command(kitchen.device.electric ? { do: 'saute', level: 'low' } : { do: 'burner', level: 'low' });
const off = (kitchen: SimulatedKitchen): Refusal => kitchen.command({ do: 'cancel' });

function lidOn(kitchen: SimulatedKitchen): Refusal {
  return kitchen.command({ do: 'lid', to: 'on' });
}

function lidOff(kitchen: SimulatedKitchen): Refusal {
  const refused = kitchen.command({ do: 'lid', to: 'off' });
  if (refused === null) kitchen.opened();
  return refused;
}

/** Valve closed and the heat on, for so many minutes where the cooker counts. */
function start(kitchen: SimulatedKitchen, minutes: number): Refusal {
  // An open valve is the commonest mistake: the hand that forgets it believes it is closed.
  if (!kitchen.faults.has('valve-open')) kitchen.command({ do: 'valve', to: 'closed' });
  return kitchen.command(kitchen.device.electric ? { do: 'pressure', minutes } : { do: 'burner', level: 'full' });
}

/** What hands do at each step, by the step's id. A step without an entry is done with the eyes. */
const WORK: readonly (readonly [RegExp, Work])[] = [
  [/^heat-on$/, { ends: hot }],
  [
    /^sear-\d+-1$/,
    {
      begins: (kitchen, f, { id }) => {
        const batch = Number(id.split('-')[1]);
        const crowded = kitchen.faults.has('crowded') && batch > 1;
        if (crowded) return;
        kitchen.lay(f.sear.batchSizes[batch - 1] ?? f.sear.perBatch, {
          pan: f.plan.sear.where === 'pan',
          stirred: f.sear.faces.length === 1,
        });
      },
    },
  ],
  [/^aromatics-/, { begins: (kitchen) => kitchen.aromatics() }],
  [
    /^deglaze$/,
    {
      begins: (kitchen, f) => {
        kitchen.deglaze(f.plan.deglaze?.scraped ?? false);
        half(kitchen);
      },
      ends: (kitchen) => {
        kitchen.stopScraping();
        return NOTHING;
      },
    },
  ],
  [/^saute-off$/, { ends: off }],
  [
    /^load$/,
    {
      ends: (kitchen) => {
        kitchen.load();
        return NOTHING;
      },
    },
  ],
  [/^lock$/, { ends: lidOn }],
  [/^valve$/, { ends: (kitchen, _f, { minutes }) => start(kitchen, minutes) }],
  [
    /^(second-lock|(again|burn)-\d+-lock)$/,
    { ends: (kitchen, _f, { minutes }) => lidOn(kitchen) ?? start(kitchen, minutes) },
  ],
  // On a burner it is the hand that holds the pressure from the pin on.
  [
    /^(pin|second-pin)$/,
    {
      ends: (kitchen) => (kitchen.device.electric ? NOTHING : kitchen.command({ do: 'burner', level: 'hold' })),
    },
  ],
  [
    /^(pressure|second-pressure)$/,
    { ends: (kitchen) => (['pressure', 'burner'].includes(kitchen.device.mode) ? off(kitchen) : NOTHING) },
  ],
  [/^(vent|second-vent)$/, { ends: (kitchen) => kitchen.command({ do: 'valve', to: 'open' }) }],
  [/^(open|second-open)$/, { ends: lidOff }],
  [
    /^second-load$/,
    {
      begins: (kitchen) => kitchen.refill(),
      ends: (kitchen) => {
        kitchen.putAll('second-run');
        return NOTHING;
      },
    },
  ],
  [
    /^simmer-load$/,
    {
      begins: (kitchen) => {
        if (kitchen.plants.some(({ place, where }) => place === 'simmer' && where === 'bowl')) kitchen.refill();
      },
      ends: (kitchen) => {
        kitchen.putAll('simmer');
        return hot(kitchen);
      },
    },
  ],
  [/^simmer-heating$/, { ends: gentle }],
  [/^simmer$/, { ends: off }],
  [
    /^clear$/,
    {
      ends: (kitchen) => {
        const refused = kitchen.command({ do: 'lid', to: 'off' });
        if (refused !== null) return refused;
        kitchen.clear(CLEARING_ML);
        return NOTHING;
      },
      begins: (kitchen) => {
        off(kitchen);
        kitchen.command({ do: 'valve', to: 'open' });
      },
    },
  ],
  [
    /-lift$/,
    {
      ends: (kitchen) => {
        kitchen.liftAll();
        return NOTHING;
      },
    },
  ],
  [
    /-fish-out$/,
    {
      ends: (kitchen) => {
        for (const plant of kitchen.plants) if (plant.place === 'flavour-only') kitchen.lift(plant);
        return NOTHING;
      },
    },
  ],
  [
    /-ladle$/,
    {
      ends: (kitchen, f) => {
        kitchen.ladle(f.finish.ladleOutMl);
        return NOTHING;
      },
    },
  ],
  [/-reduce$/, { begins: (kitchen) => void hot(kitchen), ends: off }],
  [
    /-thicken$/,
    {
      ends: (kitchen, f) => {
        const { thickener } = f.plan.finish;
        const factor = thickener === 'none' ? 1 : thickenerById(thickener).factor;
        kitchen.thicken(f.finish.thickenerGrams / factor, f.finish.waterMl);
        return NOTHING;
      },
    },
  ],
  [
    /-after$/,
    {
      ends: (kitchen) => {
        kitchen.after();
        return NOTHING;
      },
    },
  ],
  [
    /-rest$/,
    {
      begins: (kitchen) => {
        off(kitchen);
        kitchen.putAll('off-heat');
      },
    },
  ],
];

/** A batch is turned, or taken out. */
function searEnd(kitchen: SimulatedKitchen, step: GuideStep): Refusal {
  if (step.done === 'batchDone') kitchen.take();
  else kitchen.turn();
  return NOTHING;
}

const workOf = (id: string): Work | undefined =>
  (WORK.find(([pattern]) => pattern.test(id)) ?? WORK.find(([pattern]) => pattern.test(plainId(id))))?.[1];

/**
 * Hands begin a step.
 *
 * @param step of the guide whose turn has come
 */
export function handsBegin(kitchen: SimulatedKitchen, f: Forecast, step: GuideStep): void {
  // The meat is lifted out before the sauce is finished, and laid back into it on the plate.
  if (step.section === 'Sauce') kitchen.meatOut();
  workOf(step.id)?.begins?.(kitchen, f, step);
}

/**
 * Hands finish a step, as its button says. "Pin fell by itself" is nothing that hands do.
 *
 * @param step of the guide
 * @param done by which of its buttons
 * @returns why it cannot be done, or null
 */
export function handsEnd(kitchen: SimulatedKitchen, f: Forecast, step: GuideStep, done: Done): Refusal {
  if (/^sear-\d+-\d+$/.test(step.id)) return searEnd(kitchen, step);
  if (step.id === 'natural') {
    const kind = done.otherwise ? step.otherwise?.done : step.done;
    return kind === 'ventOpened' ? kitchen.command({ do: 'valve', to: 'open' }) : NOTHING;
  }
  return workOf(step.id)?.ends?.(kitchen, f, done) ?? NOTHING;
}
