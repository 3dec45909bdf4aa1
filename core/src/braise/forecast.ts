import { gradeOf, meanMelted } from '../meat/tenderness';
import { juiceMl } from '../meat/yield';
import { toughnessOf } from '../plan/learnt';
import type { Plan } from '../plan/plan';
import { burnVerdict, type BurnVerdict } from '../pot/base-temperature';
import { contentsOf } from '../pot/contents';
import { fillOf } from '../pot/fill';
import { ledgerOf, type Ledger } from '../pot/ledger';
import { liquidSchools } from '../pot/liquid-schools';
import { backwards, type Schedule } from '../clock/schedule';
import { OPEN_MINUTES, tasksOf } from '../clock/tasks';
import { aromaticSteps } from '../stations/aromatics';
import { leftovers } from '../stations/leftovers';
import { platingWords, yieldOf } from '../stations/plate';
import { finishSauce, type Finish } from '../stations/sauce';
import { printerFor, type Printer, type UnitSystem } from '../units/quantity';
import { shiftIso } from '../units/time';
import { cautionsFor } from './cautions';
import { evening, type Evening } from './evening';
import { fillInWords, minimumRemedy } from './fill-remedies';
import type { CurvePoint, Forecast } from './forecast-document';
import { methodMinutes, METHODS } from './other-methods';
import { reasonsFor } from './reasons';
import { burnInWords } from './remedies';
import { sauteOf } from './saute';
import { timing, type Timing } from './timing';

/** Odds at every whole minute, as far as they still change. */
function byMinute(odds: Timing): Forecast['tenderness']['byMinute'] {
  return Array.from({ length: Math.floor(odds.longest) + 1 }, (_, minutes) => ({
    minutes,
    mean: odds.melted(minutes),
    ...odds.chance(minutes),
  }));
}

function ledgerFor({ resolved, ready, run, second, simmer }: Evening): Ledger {
  return ledgerOf(resolved, ready.charges, {
    lidOn: ready.pot.accounts,
    opened: run.opened,
    juiceMl: juiceMl(resolved.meat, run.piece.body.heatK(), run.piece.meanCookValue()),
    ...(second
      ? {
          second: {
            brothOutMl: resolved.brothOutMl,
            purgedKg: second.pot.accounts.purgedKg - run.opened.purgedKg,
            boiledKg: second.pot.accounts.boiledKg - run.opened.boiledKg,
            flashedKg: second.pot.accounts.flashedKg - run.opened.flashedKg,
          },
        }
      : {}),
    ...(simmer ? { simmeredKg: simmer.boiledKg } : {}),
  });
}

/** The base in both runs: the worse of them speaks. */
function baseFor({ resolved, ready, run, second }: Evening): BurnVerdict & { readonly run: 'first' | 'second' } {
  const { piece, charges, pot } = ready;
  const one = burnVerdict(resolved, piece, charges, pot.build, run.moments);
  if (!second || second.moments.length === 0) return { ...one, run: 'first' };
  // In the second run the meat is usually out, and what was laid on top has melted in.
  const rack = resolved.rack || resolved.meatInSecondRun === 'out';
  const two = burnVerdict({ ...resolved, rack }, piece, charges, pot.build, second.moments);
  return two.cutoutC - two.baseC < one.cutoutC - one.baseC ? { ...two, run: 'second' } : { ...one, run: 'first' };
}

function finishFor(found: Evening, ledger: Ledger, print: Printer): Finish {
  const { resolved, ready, staging } = found;
  const { build } = ready.pot;
  const soft = staging.stages
    .flatMap(({ items }) => items)
    .filter(({ texture }) => texture === 'soft' || texture === 'into-the-sauce')
    .reduce((sum, { grams }) => sum + grams, 0);
  return finishSauce(
    resolved,
    {
      freeMl: ledger.freeAtEndMl,
      fatMl: ledger.fatMl,
      starchG: ready.charges.filter(({ stage }) => stage !== 'after').reduce((sum, { starchG }) => sum + starchG, 0),
      heaterW: build.heaterW,
      boilingC: build.boilingC,
      softGrams: soft,
      lift: staging.stages.some(({ place }) => place === 'second-run' || place === 'simmer'),
    },
    print,
  );
}

/** What the tables alone would propose: the same pot, the same piece, the cut's usual toughness. */
function proposedByTheTables(plan: Plan, { ready, resolved }: Evening): number | null {
  const usual = { ...resolved, learnt: { ...plan.learnt, toughness: undefined } };
  const wanted = timing(usual, ready.piece, ready.pot).minutesFor(plan.confidence);
  return wanted === null ? null : Math.ceil(wanted - 1e-6);
}

/**
 * The one door of the reckoning: a plan in, its forecast out. Pure: no clock, no I/O, the same plan gives the same
 * forecast.
 *
 * @param plan every default filled in
 * @param system the units its texts are written in; its figures are always in the core's own
 * @returns the forecast, format "hervir/forecast"
 * @throws PlanError naming the field that makes the plan impossible
 * Accuracy: the reference minutes of the trade within 15 % or 4 minutes.
 * @example forecast(newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 })).tenderness.grade // 'fork'
 */
export function forecast(plan: Plan, system: UnitSystem = 'metric'): Forecast {
  const print = printerFor(system);
  const before: CurvePoint[] = [];
  const found = evening(plan, before);
  const { resolved, ready, odds, proposedMinutes, pressureMinutes, run, staging, second, simmer, piece: meat } = found;
  const { piece, sear, aromatics, pot: loaded, preheatMinutes, charges } = ready;
  const { build } = loaded;
  const toughness = toughnessOf(plan);
  const melted = meanMelted(meat, toughness);
  const ledger = ledgerFor(found);
  const fill = fillOf(resolved, contentsOf(resolved, piece, charges, ledger.freeAtStartMl));
  const base = baseFor(found);
  const burn = burnInWords(resolved, base, print);
  const finish = finishFor(found, ledger, print);
  const schedule = backwards(
    tasksOf(
      resolved,
      sear,
      {
        preheat: preheatMinutes,
        toTimer: run.toTimer,
        pressure: pressureMinutes,
        release: run.releaseMinutes,
        second: second && { reheat: second.reheatMinutes, minutes: second.minutes, release: second.releaseMinutes },
        simmer: simmer && { reheat: simmer.reheatMinutes, minutes: simmer.minutes },
        finish: finish.steps,
      },
      print,
    ),
    plan.moved,
  );
  const core = meat.coreCookValue;
  const partial = {
    format: 'hervir/forecast',
    version: 1,
    plan,
    placed: { vegetables: resolved.vegetables, grains: resolved.grains },
    pressureMinutes,
    ownMinutes: plan.pressureMinutes !== null,
    proposedMinutes,
    withoutLearnt: plan.learnt?.toughness === undefined ? null : proposedByTheTables(plan, found),
    pressureMinutesRange: [
      Math.ceil(odds.minutesFor(0.2) ?? odds.longest),
      Math.ceil(odds.minutesFor(0.95) ?? odds.longest),
    ],
    tenderness: {
      mean: melted,
      core: meanMelted({ cookValues: Float64Array.of(core), weights: Float64Array.of(1) }, toughness),
      grade: gradeOf(melted),
      chance: odds.chance(pressureMinutes),
      coreC: run.piece.coreC,
      cookValueMean: meat.meanCookValue(),
      cookValueCore: core,
      minutesToSafe: meat.minutesToSafe,
      byMinute: byMinute(odds),
    },
    piece: {
      count: piece.count,
      shape: piece.shape,
      dimensionsCm: piece.dimensionsCm,
      thicknessCm: piece.thicknessCm,
      gramsEach: piece.gramsEach,
    },
    pot: {
      workingC: build.workingC,
      boilingC: build.boilingC,
      minutesToPin: run.toPin,
      minutesToPressure: run.toPressure,
      releaseMinutes: run.releaseMinutes,
      naturalReleaseMinutes: run.naturalReleaseMinutes,
      curve: onTheClock(schedule, before, found),
    },
    sear: { ...sear, preheatMinutes, aromatics: aromaticSteps(plan.aromatics) },
    saute: sauteOf(plan, sear, (plan.sear.where === 'pot' ? sear.minutes : 0) + aromatics, print),
    fill: fillInWords(plan, fill, ledger, print),
    liquid: {
      ...ledger,
      remedy: minimumRemedy(plan, ledger, print),
      schools: liquidSchools(resolved, piece, charges, loaded.accounts.boiledKg * 1000),
    },
    burn: { ...burn, run: base.run },
    stages: staging.stages,
    openings: staging.openings,
    allTexturesMet: staging.allMet,
    foil: found.foil,
    finish: { ...finish, platingText: platingWords(plan) },
    yield: yieldOf(plan, meat.body.heatK(), meat.meanCookValue()),
    leftovers: leftovers(plan.servings, print, plan.serveAt),
    otherMethods: METHODS.map((method) => ({
      method,
      minutes: methodMinutes(plan, method, run.piece.meanCookValue()),
    })),
    clock: {
      startAt: plan.serveAt === null ? null : shiftIso(plan.serveAt, -schedule.totalMinutes),
      eatAt: plan.serveAt,
      totalMinutes: schedule.totalMinutes,
      handsOnMinutes: schedule.handsOnMinutes,
      tasks: schedule.tasks,
    },
    cautions: cautionsFor(resolved, { fill, burn, liquid: ledger }),
  } as const satisfies Omit<Forecast, 'reasons'>;
  return { ...partial, reasons: reasonsFor(partial, print) };
}

/** Puts the pot's history where the schedule has it, and closes it with the rest. */
function onTheClock(
  schedule: Schedule,
  before: readonly CurvePoint[],
  { run, resolved, laterCurve }: Evening,
): CurvePoint[] {
  const startOf = (id: string): number | undefined => schedule.tasks.find((task) => task.id === id)?.startMinute;
  const potStart = startOf('heat-pot') ?? startOf('deglaze') ?? startOf('load') ?? 0;
  const lidOn = startOf('heating') ?? 0;
  const opened = startOf('open') ?? lidOn + (run.curve.at(-1)?.minute ?? 0);
  const points = [
    ...before.map((point) => ({ ...point, minute: point.minute + potStart })),
    ...run.curve.map((point) => ({ ...point, minute: point.minute + lidOn })),
    ...laterCurve.map((point) => ({ ...point, minute: point.minute + opened })),
  ];
  const last = points[points.length - 1];
  if (last) {
    const minute = Math.min(schedule.totalMinutes, last.minute + OPEN_MINUTES + resolved.finish.restMinutes);
    points.push({ ...last, minute: Math.max(last.minute, minute), gaugeKPa: 0, phase: 'rest' });
  }
  return points;
}
