import type { Text } from '@hervir/language/message';
import { liquidById } from '../../catalog/liquids';
import type { Plan } from '../../plan/plan';
import { wettingMl, type BurnCause, type BurnCauseId, type BurnVerdict } from '../../pot/base-temperature';
import { baseAreaM2 } from '../../pot/cooker';
import { baseText, causeText } from '../../words/base-words';
import { remedyInWords, type Remedy, type RemedyFact } from '../../words/remedy-words';

export type { Remedy } from '../../words/remedy-words';

/** A remedy that needs nothing said but its name. */
const plain = (
  code: Extract<RemedyFact, { readonly values: Readonly<Record<string, never>> }>['code'],
  change: RemedyFact['change'],
): RemedyFact => ({ code, values: {}, change });

/** A cause of a hot base, in words, with what mends it. */
export interface CauseInWords extends BurnCause {
  readonly text: Text;
  /** The first remedy's text: the contract's own key. */
  readonly remedy: Text;
  readonly remedies: readonly Remedy[];
}

/** The burn part of a forecast. */
export interface Burn extends Omit<BurnVerdict, 'causes'> {
  readonly causes: readonly CauseInWords[];
  /** One line: what happens and why. */
  readonly text: Text;
}

/** A splash that lifts a fond, ml. Common practice. */
const DEGLAZE_ML = 120;
/** Liquid is poured to this, ml. */
const ROUND_ML = 50;

function scrape(plan: Plan): RemedyFact[] {
  const liquid = plan.deglaze?.liquid ?? plan.liquids.find((l) => liquidById(l.liquid).deglazes)?.liquid ?? 'stock';
  const ml = Math.max(DEGLAZE_ML, plan.deglaze?.ml ?? 0);
  const done = plan.deglaze !== null && plan.deglaze.ml >= DEGLAZE_ML;
  const change = { deglaze: { liquid, ml, scraped: true } };
  return [done ? plain('scrape', change) : { code: 'deglaze', values: { ml, liquid }, change }];
}

/**
 * What thickens and is stirred in, the strongest first. By a later lid what was laid on top has melted in too: there it helps
 * only to keep it for after pressure.
 */
function thin(plan: Plan, run: number): RemedyFact[] {
  const thick = plan.additions.flatMap(({ ingredient, grams, when }, i) => {
    const { starchEquivalent, kind } = liquidById(ingredient);
    return (when === 'stirred-in' || (run > 1 && when === 'on-top')) && starchEquivalent > 0
      ? [{ i, starch: grams * starchEquivalent, kind, ingredient }]
      : [];
  });
  const remedies: RemedyFact[] = [];
  for (const { i, kind, ingredient } of thick.sort((a, b) => b.starch - a.starch)) {
    const to = run > 1 || kind === 'dry' || kind === 'dairy' ? 'after' : 'on-top';
    remedies.push({
      code: to === 'after' ? 'keep-for-after' : 'lay-on-top',
      values: { ingredient },
      change: { additions: plan.additions.map((item, at) => (at === i ? { ...item, when: to } : item)) },
    });
  }
  const sauces = plan.liquids.flatMap((item, i) =>
    liquidById(item.liquid).starchEquivalent > 0 && liquidById(item.liquid).kind === 'sauce' ? [{ item, i }] : [],
  );
  for (const { item, i } of sauces) {
    remedies.push({
      code: 'pour-on-top',
      values: { ingredient: item.liquid },
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
export function pourMore(plan: Plan, short: number): RemedyFact {
  const ml = jugful(short);
  const at = plan.liquids.findIndex(({ liquid }) => liquidById(liquid).kind === 'liquid');
  const liquids =
    at < 0
      ? [...plan.liquids, { liquid: 'stock', ml, temperatureC: 20 }]
      : plan.liquids.map((item, i) => (i === at ? { ...item, ml: item.ml + ml } : item));
  return { code: 'pour-more', values: { ml }, change: { liquids } };
}

function wetter(plan: Plan, { freeMl }: BurnVerdict): RemedyFact[] {
  const wetMl = wettingMl(baseAreaM2(plan.cooker.baseDiameterCm));
  return [pourMore(plan, Math.max(wetMl - freeMl, plan.cooker.minimumLiquidMl - freeMl, ROUND_ML))];
}

/** Seared beside the pot: nothing sticks to its base. */
export function inAPan(
  plan: Plan,
  code: 'sear-in-pan' | 'sear-in-wide-pan' | 'sear-in-pan-and-throw' = 'sear-in-pan',
): RemedyFact {
  return plain(code, { sear: { ...plan.sear, where: 'pan' } });
}

/** What to do about sugar that would burn on the base. */
export function againstSugar(plan: Plan): RemedyFact[] {
  const { rub } = plan.meat;
  return [
    inAPan(plan, 'sear-in-pan-and-throw'),
    ...(rub ? [plain('no-sugar', { meat: { ...plan.meat, rub: { ...rub, sugar: false } } })] : []),
  ];
}

type Mending = (plan: Plan, verdict: BurnVerdict, run: number) => RemedyFact[];

const REMEDIES: Readonly<Record<BurnCauseId, Mending>> = {
  thickened: (plan, _, run) => thin(plan, run),
  fond: scrape,
  sugar: againstSugar,
  dry: wetter,
  'flat-meat': () => [plain('rack', { rack: true })],
  grain: (plan) => [
    plain('level-grain', { grains: plan.grains.map((item) => ({ ...item, layer: 'on-top' as const })) }),
  ],
  heat: (plan) => [
    plan.cooker.kind === 'stovetop' && plan.heat === 'full'
      ? plain('medium-flame', { heat: 'medium' })
      : plain('nothing', null),
  ],
};

/**
 * The verdict on the base in words, every cause with its remedies as changes that can be pressed.
 *
 * @param plan the plan
 * @param verdict of {@link burnVerdict}
 * @param run which lid it is, counted from one
 */
export function burnInWords(plan: Plan, verdict: BurnVerdict, run: number): Burn {
  const causes = verdict.causes.map((cause) => {
    const remedies = REMEDIES[cause.cause](plan, verdict, run).map((fact) => remedyInWords(fact));
    return {
      ...cause,
      text: causeText(plan, verdict, cause.cause, run),
      remedy: remedies[0]?.text ?? '',
      remedies,
    };
  });
  return { ...verdict, causes, text: baseText(verdict) };
}
