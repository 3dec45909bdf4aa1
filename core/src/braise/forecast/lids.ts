import { gramsOf } from '../../units/grams';
import { meatsOf } from '../../plan/meats';
import { pieceOf } from '../../meat/piece';
import { bonelessGrams, fatMl, juiceMl } from '../../meat/yield';
import type { CookingBody } from '../../physics/cooking-body';
import type { Meat, Plan, StageId } from '../../plan/plan';
import { burnVerdict, type BaseMoment } from '../../pot/base-temperature';
import { MELTED_IN, type Charge } from '../../pot/charge';
import { contentsOf, fillsPot, grainMl, halfFill, plantMl } from '../../pot/contents';
import { fillOf, type Fill } from '../../pot/fill';
import type { Lid } from './lid';
import type { Evening } from './evening';
import { lowestMl } from './grain-water';
import type { DoneStage } from './later-stages';

/** With less than this the base is dry, ml: a spoon or two. Common practice. */
const DRY_ML = 30;

/** The lids of an evening, each judged for itself: what was fine under the first says nothing of the next. */
export function lidsOf(found: Evening): Lid[] {
  const later = found.later.filter(({ kind }) => kind === 'pressure');
  return [firstLid(found), ...later.map((stage, i) => laterLid(found, stage, i + 2))];
}

/** So near each other two bases are as bad, K. */
const AS_BAD_K = 0.5;

/** The worst of several base verdicts: the one nearest its cut-out. */
export function hottest(lids: readonly Lid[]): Lid {
  const margin = ({ base }: Lid): number => base.cutoutC - base.baseC;
  // Of two that are as bad the first: that is where it happens.
  return lids.reduce((worst, lid) => (margin(lid) < margin(worst) - AS_BAD_K ? lid : worst));
}

function liquidOf(plan: Plan, atLockMl: number, moments: readonly BaseMoment[]): Lid['liquid'] {
  const minimumMl = plan.cooker.minimumLiquidMl;
  const lowest = Math.min(atLockMl, lowestMl(moments));
  return {
    atLockMl: Math.max(0, atLockMl),
    minimumMl,
    lowestMl: Math.max(0, lowest),
    missingMl: Math.max(0, -lowest),
    level: atLockMl < minimumMl - 0.5 ? 'short' : lowest < DRY_ML ? 'dry' : 'ok',
  };
}

const leveled = (fill: Fill): Lid['fill'] => ({ ...fill, level: fill.over ? 'over' : 'ok' });

function firstLid({ resolved, ready, run }: Evening): Lid {
  const { piece, charges, pot } = ready;
  const contents = contentsOf(resolved, piece, charges, run.atLockMl);
  return {
    stage: 'start',
    run: 1,
    fill: leveled(fillOf(resolved, contents)),
    contents,
    liquid: liquidOf(resolved, run.atLockMl, run.moments),
    base: burnVerdict(resolved, piece, charges, pot.build, run.moments),
  };
}

/** Cooked meat, ml: what has gone into the liquid is not in it any more. */
function cookedMl(meat: Meat, body: CookingBody): number {
  const trimmed = Math.max(0, meat.grams - meat.trimGrams);
  const gone = juiceMl(meat, body.body.heatK(), body.meanCookValue()) + fatMl(meat);
  return Math.max(0, trimmed - Math.min(gone, bonelessGrams(meat)));
}

/** Whether something goes in from the start, or at a stage that is over by then. */
function isInBy(done: readonly DoneStage[], stage: DoneStage, place: StageId): boolean {
  if (place === 'start' || place === 'flavour-only') return true;
  const at = done.findIndex(({ id }) => id === place);
  return at >= 0 && at <= done.indexOf(stage);
}

function laterLid({ resolved, ready, later, drinkers }: Evening, stage: DoneStage, run: number): Lid {
  const cuts = meatsOf(resolved);
  const isIn = (place: StageId): boolean => isInBy(later, stage, place);
  const grains = resolved.grains.filter(({ place, grams }) => grams > 0 && isIn(place));
  const swollen = grains.filter(({ place }) => place !== stage.id);
  const dryGrams = gramsOf(grains.filter(({ place }) => place === stage.id));
  const drunk = swollen.length > 0 ? drinkers.drunkMl : 0;
  const plants = [
    ...resolved.vegetables.filter(({ place }) => place === stage.id || place === 'start' || place === 'flavour-only'),
    ...resolved.aromatics.filter(({ then, stage: at }) => then !== 'set-aside' && (at === undefined || isIn(at))),
    ...resolved.others.filter(({ place }) => isIn(place)),
  ];
  const contents = fillsPot(
    {
      meats: stage.meats.map((i, at) => {
        const meat = cuts[i] as Meat;
        const body = stage.pot.bodies[at];
        return { ml: body ? cookedMl(meat, body) : meat.grams, single: pieceOf(meat).count === 1 };
      }),
      plantsMl: plantMl(gramsOf(plants)),
      grainMl: grainMl(dryGrams + gramsOf(swollen), drunk),
      pastesMl: 0,
      rack: false,
    },
    Math.max(0, stage.atLockMl),
    resolved.cooker.baseDiameterCm,
  );
  // What was laid on top has melted in; meat that is out does not lie on the base.
  const rack = resolved.rack || stage.meats.length === 0;
  return {
    stage: stage.id,
    run,
    fill: leveled(fillOf(resolved, contents, halfFill(grains))),
    contents,
    liquid: liquidOf(resolved, stage.atLockMl, stage.moments),
    base: burnVerdict(
      { ...resolved, rack },
      ready.piece,
      thickensBy(ready.charges, later, stage),
      ready.pot.build,
      stage.moments,
    ),
  };
}

/** What has been stirred in by the time a later lid goes on: from then on it thickens like what was poured first. */
function thickensBy(charges: readonly Charge[], done: readonly DoneStage[], stage: DoneStage): Charge[] {
  return charges.map((charge) => {
    if (charge.stage === 'on-top') return { ...charge, stage: 'load', starchG: charge.starchG * MELTED_IN };
    return charge.at !== null && isInBy(done, stage, charge.at) ? { ...charge, stage: 'load' } : charge;
  });
}
