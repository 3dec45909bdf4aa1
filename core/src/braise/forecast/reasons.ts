import { SAFE_C } from '../../physics/food-safety';
import { TARGET_BAND } from '../../meat/tenderness';
import { toughnessOf } from '../../plan/calibration';
import { isHotKind } from '../../plan/stage-settings';
import { cookRate } from '../../physics/cook-value';
import { kitchenAirKPa, workingTemperatureC } from '../../pot/cooker';
import { fallsByItself } from '../../pot/pressure-run';
import { KEPT_C, WARM_C } from '../../stations/warm-through';
import { reasonText, type ReasonFact } from '../../words/reason-words';
import { meltingMinutes } from './timing';
import type { Forecast, Reason } from './forecast-document';

/** Chances are sought to the minute: so near is the one that was asked for. */
const NEARLY = 0.05;

type Unreasoned = Omit<Forecast, 'reasons'>;
/** A fact, and the figure it stands behind. */
type Behind = readonly [figure: string, fact: ReasonFact];

const NONE = {} as const;

/** The rule of the trade for altitude: so much more for every step above where it begins. Common practice. */
const RULE_FROM_M = 610;
const A_STEP_M = 305;
const A_STEP_ADDS = 0.05;
/** A top layer that lies in the liquid this far is in it. */
const ALL_WET = 0.95;

/** Why so many minutes. */
function ofTheMinutes(f: Unreasoned, timer: number): ReasonFact[] {
  const { plan, pot, tenderness, piece } = f;
  const share = TARGET_BAND[plan.target][0];
  const fromC = pot.curve.find((point) => point.phase !== 'saute' && point.coreC !== null)?.coreC ?? 5;
  const hot = pot.curve.find((point) => point.coreC !== null && point.coreC >= pot.workingC - 10);
  const lidOn = f.clock.tasks.find(({ work }) => work.kind === 'come-up')?.startMinute ?? 0;
  const { thicknessCm } = piece;
  const facts: ReasonFact[] = [
    hot
      ? {
          code: 'heat-to-the-middle',
          values: { minutes: hot.minute - lidOn, thicknessCm, fromC, beforeTimer: timer },
        }
      : { code: 'middle-lags', values: { thicknessCm, middleC: tenderness.coreC, potC: pot.workingC } },
    {
      code: 'melting',
      values: {
        minutes: meltingMinutes(share, toughnessOf(plan), pot.workingC),
        potC: pot.workingC,
        share,
        cut: plan.meat.cut,
      },
    },
  ];
  const rule = (A_STEP_ADDS * (plan.kitchen.altitudeM - RULE_FROM_M)) / A_STEP_M;
  if (plan.kitchen.airKPa === undefined && rule > 0) {
    const atSea = workingTemperatureC(plan.cooker.gaugeKPa, { altitudeM: 0, roomC: 20 });
    const less = 1 - cookRate(pot.workingC) / cookRate(atSea);
    facts.push({ code: 'by-altitude', values: { altitudeM: plan.kitchen.altitudeM, rule, less } });
  }
  if (pot.topWet < ALL_WET)
    facts.push({ code: 'waits-for-steam', values: { toPin: pot.minutesToPin, wet: pot.topWet } });
  if (plan.confidence > 0.5 && !f.ownMinutes) facts.push(...forTheOdds(f, share));
  if (f.ownMinutes && f.proposedMinutes !== null) {
    const gap = f.pressureMinutes - f.proposedMinutes;
    facts.push({ code: 'own-minutes', values: { gap, proposed: f.proposedMinutes } });
  }
  const tough = plan.learnt?.toughness;
  if (tough) {
    const { short = 0, past = 0, cooks, factor } = tough;
    const gap = f.proposedMinutes === null || f.withoutLearnt === null ? 0 : f.proposedMinutes - f.withoutLearnt;
    if (factor !== 1 || gap !== 0) {
      facts.push({ code: 'learnt-toughness', values: { gap, short, past, cooks, factor } });
    }
  }
  if (f.proposedMinutes === null) facts.push({ code: 'not-sure-enough', values: { minutes: f.pressureMinutes } });
  return facts;
}

/** What more than the usual animal needs is for. */
function forTheOdds(f: Unreasoned, share: number): ReasonFact[] {
  const { plan, tenderness, pressureMinutes, meats } = f;
  const enough = tenderness.byMinute.find((point) => point.mean >= share)?.minutes;
  if (enough === undefined || enough >= pressureMinutes) return [];
  const more = pressureMinutes - enough;
  const chance = tenderness.chance.at + tenderness.chance.past;
  // The cut that needs the longest sets the minutes; the others have more than they ask for.
  const others = meats.slice(1).filter(({ chance: { at, past } }) => at + past <= plan.confidence + NEARLY);
  const [slowest] = chance > plan.confidence + NEARLY ? others : [];
  return [
    slowest
      ? { code: 'slower-cut', values: { enough, more, cut: slowest.name } }
      : { code: 'for-the-odds', values: { enough, more, chance } },
  ];
}

function ofTheRelease({
  plan,
  pot: { releaseMinutes: minutes, naturalReleaseMinutes: natural },
}: Unreasoned): ReasonFact {
  if (plan.release.method === 'quick') return { code: 'valve-at-once', values: { minutes, natural } };
  return {
    code: fallsByItself({ releaseMinutes: minutes, naturalReleaseMinutes: natural }) ? 'by-itself' : 'then-the-valve',
    values: { minutes, natural },
  };
}

function ofTheStages({ stages }: Unreasoned): Behind[] {
  return stages.flatMap(
    ({ place, kind, release, minutes, reheatMinutes: up, releaseMinutes: down, items }): Behind[] => [
      ...items.map(({ name, sizeCm, texture, wanted, met, cookValue }): Behind => [
        'stages',
        { code: 'plant', values: { name, sizeCm, place, texture, wanted, met, cookValue } },
      ]),
      ...(kind === 'pressure'
        ? [
            [
              'secondRun',
              { code: 'later-run', values: { place, up, minutes, down, byItself: release === 'natural' } },
            ] as const,
          ]
        : []),
      ...(kind === 'simmer' ? [['secondRun', { code: 'later-simmer', values: { place, up, minutes } }] as const] : []),
    ],
  );
}

function ofTheLiquid({ liquid }: Unreasoned): Behind[] {
  const { freeAtStartMl: start, minimumMl: minimum, freeAtEndMl: end, fatMl: fat, entries } = liquid;
  return [
    ['liquid', { code: 'free-liquid', values: { start, minimum, end, fat } }],
    ...entries.map(({ what, ml }): Behind => ['liquid', { code: 'ledger-line', values: { what, ml } }]),
  ];
}

// oxlint-disable-next-line max-lines-per-function -- one list of facts, a line or two each
function factsOf(f: Unreasoned): Behind[] {
  const { plan, pot, tenderness, sear, burn, clock, foil } = f;
  const timer = plan.cooker.timerStarts === 'pin' ? pot.minutesToPin : pot.minutesToPressure;
  const facts: Behind[] = ofTheMinutes(f, timer).map((fact) => ['pressureMinutes', fact]);
  const add = (figure: string, fact: ReasonFact): number => facts.push([figure, fact]);
  const { short, at, past } = tenderness.chance;
  add('tenderness', { code: 'odds', values: { short, at, past, mean: tenderness.mean, core: tenderness.core } });
  const { workingC, boilingC } = pot;
  add('workingC', {
    code: 'working-temperature',
    values: { airKPa: kitchenAirKPa(plan.kitchen), workingC, boilingC },
  });
  add('minutesToPressure', {
    code: 'to-pressure',
    values: { toPin: pot.minutesToPin, toPressure: pot.minutesToPressure },
  });
  const { heat, losses } = plan.learnt ?? {};
  if (heat && heat.factor !== 1)
    add('minutesToPressure', { code: 'learnt-heat', values: { cooks: heat.cooks, factor: heat.factor } });
  if (losses && losses.factor !== 1) {
    add('minutesToPressure', { code: 'learnt-losses', values: { cooks: losses.cooks, factor: losses.factor } });
  }
  add('releaseMinutes', ofTheRelease(f));
  add('startAt', {
    code: 'all-in-all',
    values: {
      total: clock.totalMinutes,
      hands: clock.handsOnMinutes,
      before: clock.tasks.find(({ work }) => work.kind === 'come-up')?.startMinute ?? 0,
      up: timer,
      under: f.pressureMinutes,
      down: pot.releaseMinutes,
    },
  });
  if (f.nextDay !== null) {
    const { clock: day, warmed } = f.nextDay;
    const values = { total: day.totalMinutes, hands: day.handsOnMinutes, warming: warmed.minutes };
    add('warmAt', { code: 'its-day', values: { ...values, fromC: KEPT_C, toC: WARM_C } });
  }
  if (sear.batches > 0) {
    const { batches, perBatch, coverage, minutes, preheatMinutes: preheat } = sear;
    add('sear', { code: 'batches', values: { batches, perBatch, coverage, minutes, preheat } });
  }
  add('burn', { code: 'base', values: NONE });
  burn.causes.forEach(({ kelvin }, i) => {
    add('burn', { code: 'base-cause', values: { at: i, kelvin, liquidC: burn.liquidC } });
  });
  facts.push(...ofTheStages(f));
  if (foil && foil.minutes > 1 && f.stages.some(({ kind }) => isHotKind(kind))) {
    add('coreC', { code: 'under-foil', values: { minutes: foil.minutes, fromC: tenderness.coreC, toC: foil.coreC } });
  }
  add('finish', { code: 'sauce', values: NONE });
  f.finish.steps.forEach((_, i) => add('finish', { code: 'sauce-step', values: { at: i } }));
  const [from, to] = f.yield.cookedGrams;
  add('yield', { code: 'cooked-weight', values: { from, to, portions: f.yield.portions } });
  add('fill', { code: 'fill', values: NONE });
  facts.push(...ofTheLiquid(f));
  if (tenderness.minutesToSafe !== null) {
    add('coreC', {
      code: 'middle-is-safe',
      values: { safeC: SAFE_C, minutes: tenderness.minutesToSafe, endC: tenderness.coreC },
    });
  }
  return facts;
}

/**
 * The reasons beside the figures: codes and the numbers the reckoning used, and their words.
 *
 * @param f the forecast but for its reasons
 */
export function reasonsFor(f: Unreasoned): Reason[] {
  return factsOf(f).map(([figure, fact]) => ({ figure, ...fact, text: reasonText(fact, f) }));
}
