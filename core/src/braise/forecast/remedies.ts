import { liquidById, liquidWord } from '../../larder/liquids';
import type { Plan } from '../../plan/plan';
import type { Printer } from '../../units/quantity';
import {
  wettingMl,
  type BurnCause,
  type BurnCauseId,
  type BurnLevel,
  type BurnVerdict,
} from '../../pot/base-temperature';
import { baseAreaM2 } from '../../pot/cooker';

/** A change that mends something: pressing it replaces these parts of the plan. */
export interface Remedy {
  readonly text: string;
  readonly change: Partial<Plan> | null;
}

/** A cause of a hot base, in words, with what mends it. */
export interface CauseInWords extends BurnCause {
  readonly text: string;
  /** The first remedy's text: the contract's own key. */
  readonly remedy: string;
  readonly remedies: readonly Remedy[];
}

/** The burn part of a forecast. */
export interface Burn extends Omit<BurnVerdict, 'causes'> {
  readonly causes: readonly CauseInWords[];
  /** One line: what happens and why. */
  readonly text: string;
}

/** A splash that lifts a fond, ml. Common practice. */
const DEGLAZE_ML = 120;
/** Liquid is poured to this, ml. */
const ROUND_ML = 50;

function scrape(plan: Plan, _: BurnVerdict, print: Printer): Remedy[] {
  const liquid = plan.deglaze?.liquid ?? plan.liquids.find((l) => liquidById(l.liquid).deglazes)?.liquid ?? 'stock';
  const ml = Math.max(DEGLAZE_ML, plan.deglaze?.ml ?? 0);
  const done = plan.deglaze !== null && plan.deglaze.ml >= DEGLAZE_ML;
  return [
    {
      text: done
        ? 'Scrape the base clean as it bubbles'
        : `Deglaze with ${print.quantity('volume', ml)} of ${liquidWord(liquid)} and scrape the base clean`,
      change: { deglaze: { liquid, ml, scraped: true } },
    },
  ];
}

/**
 * What thickens and is stirred in, the strongest first. By a later lid what was laid on top has melted in too: there it helps
 * only to keep it for after pressure.
 */
function thin(plan: Plan, run: number): Remedy[] {
  const thick = plan.additions.flatMap(({ ingredient, grams, when }, i) => {
    const { starchEquivalent, kind } = liquidById(ingredient);
    return (when === 'stirred-in' || (run > 1 && when === 'on-top')) && starchEquivalent > 0
      ? [{ i, starch: grams * starchEquivalent, kind, name: liquidWord(ingredient) }]
      : [];
  });
  const remedies: Remedy[] = [];
  for (const { i, kind, name } of thick.sort((a, b) => b.starch - a.starch)) {
    const to = run > 1 || kind === 'dry' || kind === 'dairy' ? 'after' : 'on-top';
    remedies.push({
      text: to === 'after' ? `Keep the ${name} for after pressure` : `Lay the ${name} on top and do not stir`,
      change: { additions: plan.additions.map((item, at) => (at === i ? { ...item, when: to } : item)) },
    });
  }
  const sauces = plan.liquids.flatMap((item, i) =>
    liquidById(item.liquid).starchEquivalent > 0 && liquidById(item.liquid).kind === 'sauce' ? [{ item, i }] : [],
  );
  for (const { item, i } of sauces) {
    remedies.push({
      text: `Pour the ${liquidWord(item.liquid)} on top and do not stir`,
      change: {
        liquids: plan.liquids.filter((_, at) => at !== i),
        additions: [...plan.additions, { ingredient: item.liquid, grams: Math.round(item.ml), when: 'on-top' }],
      },
    });
  }
  return remedies;
}

/** So much as a jug shows, ml: never less than asked. */
export function jugful(ml: number): number {
  return Math.ceil(ml / ROUND_ML) * ROUND_ML;
}

/** Pours more of what is there; stock where there is nothing thin. */
export function pourMore(plan: Plan, short: number, print: Printer): Remedy {
  const ml = jugful(short);
  const at = plan.liquids.findIndex(({ liquid }) => liquidById(liquid).kind === 'liquid');
  const liquids =
    at < 0
      ? [...plan.liquids, { liquid: 'stock', ml, temperatureC: 20 }]
      : plan.liquids.map((item, i) => (i === at ? { ...item, ml: item.ml + ml } : item));
  return { text: `Pour ${print.quantity('volume', ml)} more`, change: { liquids } };
}

function wetter(plan: Plan, { freeMl }: BurnVerdict, print: Printer): Remedy[] {
  const wetMl = wettingMl(baseAreaM2(plan.cooker.baseDiameterCm));
  return [pourMore(plan, Math.max(wetMl - freeMl, plan.cooker.minimumLiquidMl - freeMl, ROUND_ML), print)];
}

/** Seared beside the pot: nothing sticks to its base. */
export function inAPan(plan: Plan, text: string): Remedy {
  return { text, change: { sear: { ...plan.sear, where: 'pan' } } };
}

/** What to do about sugar that would burn on the base. */
export function againstSugar(plan: Plan): Remedy[] {
  const { rub } = plan.meat;
  return [
    inAPan(plan, 'Sear in a pan and throw away what sticks'),
    ...(rub
      ? [{ text: 'Leave the sugar out of the rub', change: { meat: { ...plan.meat, rub: { ...rub, sugar: false } } } }]
      : []),
  ];
}

type Mending = (plan: Plan, verdict: BurnVerdict, print: Printer, run: number) => Remedy[];

const REMEDIES: Readonly<Record<BurnCauseId, Mending>> = {
  thickened: (plan, _, __, run) => thin(plan, run),
  fond: scrape,
  sugar: againstSugar,
  dry: wetter,
  'flat-meat': () => [{ text: 'Stand the meat on a rack', change: { rack: true } }],
  grain: (plan) => [
    {
      text: 'Level the grain on top and do not stir',
      change: { grains: plan.grains.map((item) => ({ ...item, layer: 'on-top' as const })) },
    },
  ],
  heat: (plan) =>
    plan.cooker.kind === 'stovetop' && plan.heat === 'full'
      ? [{ text: 'Bring it up on a medium flame', change: { heat: 'medium' } }]
      : [{ text: 'Nothing to mend: this is a clean base at its heat', change: null }],
};

function causeText(plan: Plan, verdict: BurnVerdict, cause: BurnCauseId, print: Printer, run: number): string {
  switch (cause) {
    case 'thickened':
      return `Thickened: what ${run > 1 ? 'has melted in' : 'is stirred in'} keeps ${print.quantity('volume', verdict.freeMl)} of liquid from moving`;
    case 'fond':
      return verdict.sticking === 'film'
        ? 'A film sticks to the base'
        : 'The brown layer of the sear sticks to the base';
    case 'sugar':
      return 'Burnt sugar of the rub sticks to the base';
    case 'dry':
      return `Too little liquid: ${print.quantity('volume', verdict.freeMl)} do not keep the base wet`;
    case 'flat-meat':
      return 'The meat lies flat on the base';
    case 'grain':
      return 'Grain settles on the base';
    case 'heat':
      return plan.cooker.kind === 'stovetop' && plan.heat === 'medium'
        ? 'Heat of a medium flame'
        : 'Heat of the base at full power';
  }
}

const WHAT: Readonly<Record<BurnVerdict['kind'], Readonly<Record<BurnLevel, string>>>> = {
  'cut-out': {
    safe: 'The base stays well below its cut-out',
    watch: 'The base comes near its cut-out',
    likely: 'Expect the burn error',
  },
  scorch: {
    safe: 'The base stays well below scorching',
    watch: 'The base comes near scorching',
    likely: 'Expect it to scorch: this pot has no cut-out',
  },
};

/**
 * The verdict on the base in words, every cause with its remedies as changes that can be pressed.
 *
 * @param plan the plan
 * @param verdict of {@link burnVerdict}
 * @param print the cook's units
 * @param run which lid it is, counted from one
 */
export function burnInWords(plan: Plan, verdict: BurnVerdict, print: Printer, run: number): Burn {
  const causes = verdict.causes.map((cause) => {
    const remedies = REMEDIES[cause.cause](plan, verdict, print, run);
    return {
      ...cause,
      text: causeText(plan, verdict, cause.cause, print, run),
      remedy: remedies[0]?.text ?? '',
      remedies,
    };
  });
  return {
    ...verdict,
    causes,
    text: `${WHAT[verdict.kind][verdict.level]}: ${print.quantity('temperature', verdict.baseC)} at the worst moment, ${Math.round(verdict.minute)} min after the lid goes on, against ${print.quantity('temperature', verdict.cutoutC)}.`,
  };
}
