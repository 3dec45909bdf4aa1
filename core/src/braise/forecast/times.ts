import { cutById, type Form } from '../../catalog/cuts';
import { cubeCm } from '../../meat/piece';
import { newPlan } from '../../plan/defaults';
import { type Cooker, type Kitchen, type Plan, type Target } from '../../plan/plan';
import { PlanError } from '../../plan/plan-error';
import { forecast } from './forecast';

/** One size of a cut on the wall chart. */
export interface TimesCell {
  readonly form: Form;
  readonly grams: number;
  readonly pieces: number;
  readonly thicknessCm: number;
  /** Whole minutes for each target; null where even the longest run is not sure enough. */
  readonly minutes: Readonly<Record<(typeof CHARTED)[number], number | null>>;
}

/** What the chart is drawn for. */
export interface TimesFor {
  readonly cooker: Cooker;
  readonly kitchen: Kitchen;
  readonly release: Plan['release'];
  readonly confidence: number;
  readonly startsFrom: Plan['meat']['startsFrom'];
}

/** What the chart tells: shreds are for whoever asks for them. */
export const CHARTED = ['slices', 'fork', 'pulls'] as const satisfies readonly Target[];

/** Whole pieces are shown small, usual and large, as shares of the usual. */
const SIZES: readonly number[] = [0.65, 1, 1.5];
/** Cut meat is shown for an ordinary potful, g. */
const POTFUL = 1400;
/** Liquid beside it, ml: the usual of the reference minutes. Common practice. */
const LIQUID_ML = 500;

function round(grams: number): number {
  return Math.round(grams / 50) * 50;
}

/** What the chart is drawn for, of one cut in one size. */
function planAt(cutId: string, form: Form, grams: number, given: TimesFor): Plan {
  const base = newPlan({ cut: cutId, form, grams, cooker: given.cooker, kitchen: given.kitchen });
  return {
    ...base,
    release: given.release,
    confidence: given.confidence,
    meat: {
      ...base.meat,
      startsFrom: given.startsFrom,
      // The size on the chart is the size to cut to, not what a potful happens to divide into.
      thicknessCm: form === 'chunks' || form === 'bite-size' ? cubeCm(cutById(cutId), form) : undefined,
    },
    liquids: [{ liquid: 'stock', ml: Math.max(LIQUID_ML, given.cooker.minimumLiquidMl), temperatureC: 20 }],
  };
}

/** One size of a cut with its minutes for each target. */
function cellAt(cutId: string, form: Form, grams: number, given: TimesFor): TimesCell {
  const plan = planAt(cutId, form, grams, given);
  const byTarget = CHARTED.map((target) => ({ target, known: attempt({ ...plan, target }) }));
  const piece = byTarget[0]?.known?.piece;
  return {
    form,
    grams,
    pieces: piece?.count ?? 0,
    thicknessCm: piece?.thicknessCm ?? 0,
    minutes: Object.fromEntries(
      byTarget.map(({ target, known }) => [target, known?.proposedMinutes ?? null]),
    ) as TimesCell['minutes'],
  };
}

/**
 * A row of the wall chart: the minutes of one cut, by size, for slices, fork and pulls, in this kitchen.
 *
 * @param cutId of the catalog
 * @param given pot, kitchen, release and how sure
 * @returns small, usual and large whole pieces where weight makes them thicker, then each way of cutting
 * @example timesRow('lamb-shank', chartFor).length // 1
 */
export function timesRow(cutId: string, given: TimesFor): TimesCell[] {
  const cut = cutById(cutId);
  const sizes = cut.forms.flatMap((form): { form: Form; grams: number }[] => {
    const growsThicker = (form === 'whole' || form === 'rack') && cut.growth === 'all';
    if (growsThicker) return SIZES.map((share) => ({ form, grams: round(cut.usualKg * 1000 * share) }));
    const single = form === 'whole' && cut.growth !== 'pieces';
    return [{ form, grams: single || form === 'rack' ? round(cut.usualKg * 1000) : POTFUL }];
  });
  return sizes.map(({ form, grams }) => cellAt(cutId, form, grams, given));
}

/** Weights that a picture is drawn through, as shares of the usual. */
const WEIGHTS: readonly number[] = [0.3, 0.5, 0.75, 1, 1.35, 1.7, 2.1];

/**
 * The minutes of one cut in one form over its weight: a row of the chart as a picture.
 *
 * @param cutId of the catalog
 * @param form one that this cut comes in
 * @param given pot, kitchen, release and how sure
 * @returns cells by rising weight, g, from a third to twice the usual
 * @example timesOverWeight('beef-chuck', 'whole', chartFor).length // 7
 */
export function timesOverWeight(cutId: string, form: Form, given: TimesFor): TimesCell[] {
  const cut = cutById(cutId);
  const single = (form === 'whole' && cut.growth !== 'pieces') || form === 'rack';
  const usual = single ? cut.usualKg * 1000 : POTFUL;
  return WEIGHTS.map((share) => cellAt(cutId, form, round(usual * share), given));
}

/** A pot that cannot come to pressure has no minutes; the chart says so with a dash. */
function attempt(plan: Plan): ReturnType<typeof forecast> | null {
  try {
    return forecast(plan);
  } catch (error) {
    if (error instanceof PlanError) return null;
    throw error;
  }
}
