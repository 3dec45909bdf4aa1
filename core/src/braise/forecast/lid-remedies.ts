import type { Text } from '@hervir/language/message';
import type { Plan, StageId } from '../../plan/plan';
import { stageOf, withStage } from '../../plan/stage-settings';
import type { BurnLevel } from '../../pot/base-temperature';
import { lessLiquid } from './fill-remedies';
import type { Lid } from './lid';
import { atLid, fillText, liquidText } from '../../words/lid-words';
import { remedyInWords, type Remedy, type RemedyFact } from '../../words/remedy-words';
import { burnInWords, jugful, pourMore, type CauseInWords } from './remedies';

/** A lid with its verdicts in words, each with what mends it. */
interface Mended {
  readonly text: Text;
  readonly remedies: readonly Remedy[];
}

export interface LidInWords {
  /** "start" for the first. */
  readonly stage: StageId;
  readonly run: number;
  readonly fill: Pick<Lid['fill'], 'litres' | 'share' | 'limit' | 'level'> & Mended;
  readonly liquid: Lid['liquid'] & Mended;
  readonly base: {
    readonly worstC: number;
    readonly cutoutC: number;
    readonly level: BurnLevel;
    readonly text: Text;
    readonly causes: readonly CauseInWords[];
  };
}

/** Broth out before a later lid. */
function brothOut(plan: Plan, { stage, liquid, fill }: Lid): RemedyFact[] {
  const ml = jugful((fill.share - fill.limit) * plan.cooker.litres * 1000);
  if (liquid.atLockMl - liquid.minimumMl < ml) return [];
  const takeOutMl = stageOf(plan, stage).takeOutMl + ml;
  return [{ code: 'broth-out', values: { ml: takeOutMl }, change: withStage(plan, stage, { takeOutMl }) }];
}

/** Pours what is missing at the lid where it is. */
function pourAt(plan: Plan, { stage, run }: Lid, missingMl: number): RemedyFact[] {
  const ml = jugful(missingMl);
  if (run === 1) return [pourMore(plan, missingMl)];
  const { takeOutMl } = stageOf(plan, stage);
  if (takeOutMl >= ml) {
    return [
      {
        code: 'less-broth-out',
        values: { ml: takeOutMl - ml, insteadOfMl: takeOutMl },
        change: withStage(plan, stage, { takeOutMl: takeOutMl - ml }),
      },
    ];
  }
  const hot = { liquid: 'stock', ml, temperatureC: 90, stage };
  return [
    {
      code: 'pour-before-lid',
      values: { ml },
      change: { ...withStage(plan, stage, {}), liquids: [...plan.liquids, hot] },
    },
  ];
}

/**
 * A lid's verdicts in words, with changes that can be pressed.
 *
 * @param plan the plan
 * @param lid of the evening
 */
export function lidInWords(plan: Plan, lid: Lid): LidInWords {
  const { stage, run, fill, liquid, base } = lid;
  const burn = burnInWords(plan, base, run);
  const said = (facts: readonly RemedyFact[]): Remedy[] => facts.map((fact) => remedyInWords(fact));
  const spare = { freeAtStartMl: liquid.atLockMl, minimumMl: liquid.minimumMl };
  // Twice a spoon over what is dry, where it only runs out on the way.
  const wants = Math.max(liquid.minimumMl - liquid.atLockMl, liquid.missingMl + (liquid.level === 'dry' ? 60 : 0));
  return {
    stage,
    run,
    fill: {
      litres: fill.litres,
      share: fill.share,
      limit: fill.limit,
      level: fill.level,
      text: fillText(fill, plan.cooker.litres, run),
      remedies: said(fill.over ? (run === 1 ? lessLiquid(plan, fill, spare) : brothOut(plan, lid)) : []),
    },
    liquid: {
      ...liquid,
      text: liquidText(liquid, run),
      remedies: said(wants > 0.5 ? pourAt(plan, lid, wants) : []),
    },
    base: {
      worstC: base.baseC,
      cutoutC: base.cutoutC,
      level: base.level,
      text: atLid(run, burn.text),
      causes: burn.causes,
    },
  };
}
