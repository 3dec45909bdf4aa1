import type { Plan, StageId } from '../../plan/plan';
import { stageOf, withStage } from '../../plan/stage-settings';
import type { BurnLevel } from '../../pot/base-temperature';
import { lowerFirst } from '../../units/list';
import type { Printer } from '../../units/quantity';
import { lessLiquid } from './fill-remedies';
import type { Lid } from './lid';
import { burnInWords, jugful, pourMore, type CauseInWords, type Remedy } from './remedies';

/** A lid with its verdicts in words, each with what mends it. */
interface Mended {
  readonly text: string;
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
    readonly text: string;
    readonly causes: readonly CauseInWords[];
  };
}

/** "At the second lid": nothing before the first, which needs no name. */
const which = (run: number): string => (run === 1 ? '' : run === 2 ? 'At the second lid: ' : `At lid ${run}: `);

const lower = (run: number, text: string): string => (run === 1 ? text : `${which(run)}${lowerFirst(text)}`);

/** Broth out before a later lid. */
function brothOut(plan: Plan, { stage, liquid, fill }: Lid, print: Printer): Remedy[] {
  const ml = jugful((fill.share - fill.limit) * plan.cooker.litres * 1000);
  if (liquid.atLockMl - liquid.minimumMl < ml) return [];
  const takeOutMl = stageOf(plan, stage).takeOutMl + ml;
  return [
    {
      text: `Take ${print.quantity('volume', takeOutMl)} of broth out first`,
      change: withStage(plan, stage, { takeOutMl }),
    },
  ];
}

/** Pours what is missing at the lid where it is. */
function pourAt(plan: Plan, { stage, run }: Lid, missingMl: number, print: Printer): Remedy[] {
  const ml = jugful(missingMl);
  if (run === 1) return [pourMore(plan, missingMl, print)];
  const { takeOutMl } = stageOf(plan, stage);
  if (takeOutMl >= ml) {
    return [
      {
        text: `Take ${print.quantity('volume', takeOutMl - ml)} of broth out, not ${print.quantity('volume', takeOutMl)}`,
        change: withStage(plan, stage, { takeOutMl: takeOutMl - ml }),
      },
    ];
  }
  const hot = { liquid: 'stock', ml, temperatureC: 90, stage };
  return [
    {
      text: `Pour ${print.quantity('volume', ml)} of hot stock before this lid`,
      change: { ...withStage(plan, stage, {}), liquids: [...plan.liquids, hot] },
    },
  ];
}

function fillText(plan: Plan, { fill, run }: Lid, print: Printer): string {
  const line = fill.limit === 0.5 ? 'half' : 'two thirds';
  const held = `${print.litres(fill.litres)} in a pot of ${print.litres(plan.cooker.litres)}`;
  const most = print.litres(fill.limit * plan.cooker.litres);
  if (!fill.over) return lower(run, `${held}: under its line at ${line}, ${most}.`);
  return lower(
    run,
    fill.overflows ? `It does not go in: ${held}.` : `Over the line: ${held}, and at most ${most}, ${line} of it.`,
  );
}

function liquidText({ liquid, run }: Lid, print: Printer): string {
  const volume = (ml: number): string => print.quantity('volume', ml);
  const { atLockMl, minimumMl, lowestMl, missingMl, level } = liquid;
  const missing = missingMl > 0 ? ` ${volume(missingMl)} are missing for what drinks in it: it stays hard.` : '';
  switch (level) {
    case 'short':
      return lower(
        run,
        `Less than the cooker’s minimum: ${volume(atLockMl)} of free liquid, and it wants ${volume(minimumMl)}.${missing}`,
      );
    case 'dry':
      return lower(
        run,
        `It runs dry before the pin falls: ${volume(atLockMl)} when the lid goes on, ${volume(lowestMl)} at the least.${missing}`,
      );
    case 'ok':
      return lower(
        run,
        `${volume(atLockMl)} of free liquid when the lid goes on, ${volume(lowestMl)} at the least; the cooker wants ${volume(minimumMl)}.${missing}`,
      );
  }
}

/**
 * A lid's verdicts in words, with changes that can be pressed.
 *
 * @param plan the plan
 * @param lid of the evening
 * @param print the cook's units
 */
export function lidInWords(plan: Plan, lid: Lid, print: Printer): LidInWords {
  const { stage, run, fill, liquid, base } = lid;
  const burn = burnInWords(plan, base, print, run);
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
      text: fillText(plan, lid, print),
      remedies: fill.over ? (run === 1 ? lessLiquid(plan, fill, spare, print) : brothOut(plan, lid, print)) : [],
    },
    liquid: {
      ...liquid,
      text: liquidText(lid, print),
      remedies: wants > 0.5 ? pourAt(plan, lid, wants, print) : [],
    },
    base: {
      worstC: base.baseC,
      cutoutC: base.cutoutC,
      level: base.level,
      text: lower(run, burn.text),
      causes: burn.causes,
    },
  };
}
