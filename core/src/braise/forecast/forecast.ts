import { aheadOf } from '../../clock/ahead';
import { gramsOf } from '../../units/grams';
import { meatsOf } from '../../plan/meats';
import { cutById } from '../../catalog/cuts';
import { gradeOf, meanMelted } from '../../meat/tenderness';
import type { Figures } from '../../method/figures';
import { place } from '../../method/place';
import { OPEN_MINUTES } from '../../method/under-the-lid';
import { moveOf } from '../../method/moves';
import type { Method, Work } from '../../method/step';
import type { CookingBody } from '../../physics/cooking-body';
import { endsOf } from '../../method/whereabouts';
import { readyAt } from '../../plan/cook-ahead';
import { toughnessOf } from '../../plan/calibration';
import type { OtherMeat, Plan } from '../../plan/plan';
import { portionAt, portionsOf, thickenerPortion, type Portion } from '../../plan/portions';
import { contentsOf } from '../../pot/contents';
import { fillOf } from '../../pot/fill';
import type { Charge } from '../../pot/charge';
import { isHotPlace } from '../../plan/stage-settings';
import { plantShares } from './plant-shares';
import { boilsAgain } from './boils-again';
import { ledgerOf, type Ledger } from '../../pot/ledger';
import { liquidSchools } from '../../pot/liquid-schools';
import { backwards, type Schedule } from '../../clock/schedule';
import { spareOf } from '../../clock/spare';
import { tasksOf } from '../../clock/tasks';
import { aromaticSteps } from '../../stations/aromatics';
import { leftovers } from '../../stations/leftovers';
import { yieldOf } from '../../stations/plate';
import { solveSauce, type SauceBase, type SauceFigures } from '../../stations/sauce';
import type { SearPlan } from '../../stations/sear';
import { shiftIso } from '../../units/time';
import { finishWords } from '../../words/finish-words';
import { platingSentence } from '../../words/step-words';
import { taskLabel } from '../../words/task-words';
import type { StepContext } from '../../words/step-context';
import { cautionsFor } from './cautions';
import { evening, type Evening } from './evening';
import { coreUnderFoil, UNDER_FOIL_W_PER_M2K } from './later-stages';
import { fillInWords, minimumRemedy } from './fill-remedies';
import type { CurvePoint } from './curve';
import type { CutForecast, Forecast } from './forecast-document';
import { lidInWords } from './lid-remedies';
import type { Lid } from './lid';
import { hottest, lidsOf } from './lids';
import { juicesOf, type MainRun } from './main-run';
import type { NextDayForecast } from './next-day';
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

function ledgerFor(found: Evening): Ledger {
  const { resolved, ready, run, later, lastJuiceMl } = found;
  return ledgerOf(resolved, ready.charges, {
    lidOn: ready.pot.accounts,
    opened: run.opened,
    juiceMl: juicesOf(
      ready.cuts.map(({ meat }) => meat),
      run.pot.bodies,
    ),
    later,
    lastJuiceMl,
    shares: plantShares(found),
  });
}

/** What is stirred in when the sauce has reduced: at the end, and off the heat. */
function stirredInLast(plan: Plan, charges: readonly Charge[]): Pick<SauceBase, 'addedMl' | 'addedStarchG'> {
  const last = charges.filter(({ stage, at }) => stage === 'after' || (at !== null && !isHotPlace(plan, at)));
  return {
    addedMl: last.reduce((sum, { waterMl }) => sum + waterMl, 0),
    addedStarchG: last.reduce((sum, { bindsG }) => sum + bindsG, 0),
  };
}

/** The sauce of the evening, its figures solved. */
function sauceFor({ resolved, ready, staging }: Evening, ledger: Ledger): SauceFigures {
  const { build } = ready.pot;
  const last = stirredInLast(resolved, ready.charges);
  const soft = gramsOf(
    staging.stages
      .flatMap(({ items }) => items)
      .filter(({ texture }) => texture === 'soft' || texture === 'into-the-sauce'),
  );
  return solveSauce(resolved, {
    freeMl: ledger.freeAtEndMl,
    fatMl: ledger.fatMl,
    starchG: ready.charges.reduce((sum, { bindsG }) => sum + bindsG, 0) - last.addedStarchG,
    heaterW: Math.max(0, build.heaterW - build.lossWPerK * (build.boilingC - build.roomC)),
    boilingC: build.boilingC,
    softGrams: soft,
    ...last,
  });
}

/** What the method is made of: the reckoning's figures, by the portions they are of. */
function figuresFor(found: Evening, sauce: SauceFigures): Figures {
  const { resolved, ready, run, pressureMinutes } = found;
  const starch = thickenerPortion(resolved, sauce.thickens ? sauce.thickenerGrams : 0);
  const cuts = meatsOf(resolved);
  const sears = [ready.sear, ...ready.otherSears];
  return {
    portions: [...portionsOf(resolved), ...(starch ? [starch] : [])],
    sears: ready.cuts.map(({ meat }, i) => ({ cut: cuts.indexOf(meat as OtherMeat), sear: sears[i] as SearPlan })),
    preheat: ready.preheatMinutes,
    toPin: run.toPin,
    toTimer: run.toTimer,
    pressure: pressureMinutes,
    release: run.releaseMinutes,
    later: found.later,
    beforeEnd: new Map(
      found.staging.stages.flatMap(({ items }) =>
        items.flatMap(({ portion, minutesBeforeEnd }) =>
          minutesBeforeEnd === null ? [] : [[portion, minutesBeforeEnd] as const],
        ),
      ),
    ),
    sauce,
    boilsAgain: (opened) => boilsAgain(found.lastPot, opened),
    nextDay: found.nextDay?.facts ?? null,
    meatsInPot: found.meats.flatMap(({ inPot }, i) => (inPot ? [i] : [])),
  };
}

/** Meat from the kitchen may lie so long before it is hot, minutes; half as long in great heat. US FDA Food Code 2022, 3-501.19; from memory. */
const WARM_MINUTES = { usual: 120, hot: 60, hotC: 32 };

/** How long raw meat lies in the warm: in the kitchen from the start of the work, or in a cooker that waits to begin. */
function inTheWarm({ resolved }: Evening, schedule: Schedule): { minutes: number; most: number } {
  const { roomC } = resolved.kitchen;
  const lidOn = schedule.tasks.find(({ work }) => work.kind === 'come-up')?.startMinute ?? 0;
  const lies = meatsOf(resolved).some(({ startsFrom }) => startsFrom === 'room');
  return {
    minutes: resolved.waitsMinutes + (lies ? lidOn : 0),
    most: roomC > WARM_MINUTES.hotC ? WARM_MINUTES.hot : WARM_MINUTES.usual,
  };
}

/** Meat that is lifted out before its sauce is finished, when it is served. */
function underFoil(body: CookingBody, plan: Plan, { pot }: MainRun): CutForecast['foil'] {
  const { restMinutes } = plan.finish;
  return {
    minutes: restMinutes,
    coreC: coreUnderFoil(body.withSurface(UNDER_FOIL_W_PER_M2K), restMinutes, plan, pot.build.boilingC),
  };
}

/** Every cut as it is served. */
function cutsFor(
  { meats, resolved, run, pressureMinutes, odds }: Evening,
  portions: readonly Portion[],
  method: Method,
): CutForecast[] {
  const finished = method.blocks.filter(({ work }) => work.kind === 'finish').flatMap(({ steps }) => steps);
  const lifted = new Set(finished.flatMap(({ moves }) => moveOf(moves, 'lift')?.portions ?? []));
  return meats.map(({ meat, body, chance, foil: waited }, i) => {
    const portion = portionAt(portions, 'meat', i);
    const foil =
      resolved.cookAhead !== undefined
        ? null
        : (waited ?? (lifted.has(portion?.id ?? '') ? underFoil(body, resolved, run) : null));
    const toughness = i === 0 ? toughnessOf(resolved) : cutById(meat.cut).toughness;
    const melted = meanMelted(body, toughness);
    const atOpening = i === 0 ? (run.pot.bodies[0]?.coreC ?? body.coreC) : body.coreC;
    return {
      portion: portion?.id ?? '',
      cut: meat.cut,
      name: portion?.name ?? '',
      mean: melted,
      grade: gradeOf(melted),
      chance: i === 0 ? odds.chance(pressureMinutes) : chance,
      coreC: atOpening,
      safe: body.minutesToSafe !== null,
      minutesToSafe: body.minutesToSafe,
      foil,
    };
  });
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
// oxlint-disable-next-line max-lines-per-function -- it only puts together: each figure of the forecast is reckoned in a room of its own
export function forecast(plan: Plan): Forecast {
  const before: CurvePoint[] = [];
  const laidOut = evening(plan, before);
  const { resolved, ready, odds, proposedMinutes, pressureMinutes, run, staging, piece: meat } = laidOut;
  const { piece, sear, otherSears, cuts: startCuts, aromatics, pot: loaded, preheatMinutes, charges } = ready;
  const { build } = loaded;
  const toughness = toughnessOf(plan);
  const melted = meanMelted(meat, toughness);
  const ledger = ledgerFor(laidOut);
  const fill = fillOf(resolved, contentsOf(resolved, piece, charges, ledger.freeAtStartMl));
  const lids = lidsOf(laidOut);
  const base = hottest(lids);
  const burn = burnInWords(resolved, base.base, base.run);
  const sauce = sauceFor(laidOut, ledger);
  const figures = figuresFor(laidOut, sauce);
  const { portions } = figures;
  const method = place(resolved, figures);
  const said: StepContext = {
    plan: resolved,
    portions,
    sizes: new Map(
      staging.stages.flatMap(({ items }) => items.map(({ portion, sizeCm }) => [portion, sizeCm] as const)),
    ),
    sauce,
    caution: () => null,
  };
  const schedule = backwards(
    tasksOf(method.blocks, (block) => taskLabel(said, block)),
    plan.moved,
  );
  const endsAt = readyAt(plan);
  const startAt = endsAt === null ? null : shiftIso(endsAt, -schedule.totalMinutes);
  const finish = finishWords(said, method);
  const ends = endsOf(method, portions);
  const cuts = cutsFor(laidOut, portions, method);
  const core = meat.coreCookValue;
  const kept = nextDayFor(laidOut, method, said, sauce.skimMl);
  const partial = {
    format: 'hervir/forecast',
    version: 2,
    plan,
    portions: portions.map((portion) => ({ ...portion, ends: ends.get(portion.id) ?? 'bowl' })),
    method,
    lids: lids.map((lid) => lidInWords(resolved, lid)),
    meats: cuts,
    placed: { vegetables: resolved.vegetables, grains: resolved.grains },
    pressureMinutes,
    ownMinutes: plan.pressureMinutes !== null,
    proposedMinutes,
    withoutLearnt: plan.learnt?.toughness === undefined ? null : proposedByTheTables(plan, laidOut),
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
      topWet: loaded.top.wet,
      curve: onTheClock(schedule, before, laidOut),
    },
    sear: {
      ...sear,
      others: otherSears.map((one, i) => ({
        portion:
          portionAt(portions, 'meat', resolved.otherMeats.indexOf(startCuts[i + 1]?.meat as OtherMeat) + 1)?.id ?? '',
        sear: one,
      })),
      preheatMinutes,
      aromatics: aromaticSteps(plan.aromatics),
    },
    saute: sauteOf(plan, sear, (plan.sear.where === 'pot' ? sear.minutes : 0) + aromatics),
    fill: fillInWords(plan, fill, ledger),
    liquid: {
      ...ledger,
      remedy: minimumRemedy(plan, ledger),
      schools: liquidSchools(resolved, piece, charges, loaded.accounts.boiledKg * 1000),
    },
    burn: { ...burn, run: base.run === 1 ? 'first' : 'second' },
    stages: staging.stages,
    openings: staging.openings,
    allTexturesMet: staging.allMet,
    foil: cuts[0]?.foil ?? null,
    finish: { ...finish, platingText: platingSentence(said) },
    yield: yieldOf(
      plan,
      laidOut.meats.map((cut) => ({
        meat: cut.meat,
        meanC: cut.body.body.heatK(),
        cookValue: cut.body.meanCookValue(),
      })),
    ),
    nextDay: kept,
    leftovers: leftovers(plan.servings, plan.serveAt),
    ahead: aheadOf(plan, {
      startAt,
      totalMinutes: schedule.totalMinutes,
      tasks: schedule.tasks,
      dayMinutes: kept?.clock.totalMinutes,
    }),
    clock: {
      startAt,
      eatAt: endsAt,
      totalMinutes: schedule.totalMinutes,
      handsOnMinutes: schedule.handsOnMinutes,
      tasks: schedule.tasks,
    },
    cautions: cautionsFor(resolved, {
      lids: lids.map((lid) => ({
        run: lid.run,
        over: lid.fill.over,
        liquid: lid.liquid.level,
        missingMl: lid.liquid.missingMl,
        base: lid.base.level,
        foams: foamsAt(laidOut, lid),
      })),
      middleIsSafe: cuts.every(({ safe }) => safe),
      inTheWarm: inTheWarm(laidOut, schedule),
      coolsInTime: laidOut.nextDay?.facts.cooling.inTime ?? true,
    }),
  } as const satisfies Omit<Forecast, 'reasons'>;
  return { ...partial, reasons: reasonsFor(partial) };
}

/** What becomes of it until it is eaten, and the clock of that day; null where it is eaten the same day. */
function nextDayFor(
  { nextDay, resolved }: Evening,
  method: Method,
  said: StepContext,
  fatMl: number,
): NextDayForecast | null {
  if (nextDay === null) return null;
  const { serveAt } = resolved;
  const { totalMinutes, handsOnMinutes, tasks } = backwards(
    tasksOf(method.day, (block) => taskLabel(said, block)),
    resolved.moved,
  );
  const startAt = serveAt === null ? null : shiftIso(serveAt, -totalMinutes);
  const clock = { startAt, eatAt: serveAt, totalMinutes, handsOnMinutes, tasks };
  return { ...nextDay.facts, fatMl, readyAt: readyAt(resolved), clock };
}

/** Whether a lid's valve is opened on something that foams: opened at once, or before the foam has settled. */
function foamsAt({ resolved, later }: Evening, { stage, run }: Lid): boolean {
  const release = run === 1 ? resolved.release : later.find(({ id }) => id === stage)?.settings.release;
  if (release !== undefined && release.method !== 'quick') return false;
  const order = ['start', ...later.map(({ id }) => id)];
  const inBy = order.slice(0, order.indexOf(stage) + 1);
  return resolved.grains.some(({ grams, place: at }) => grams > 0 && inBy.includes(at));
}

/** Puts the pot's history where the schedule has it, and closes it with the rest. */
function onTheClock(
  schedule: Schedule,
  before: readonly CurvePoint[],
  { run, resolved, laterCurve }: Evening,
): CurvePoint[] {
  const startOf = (...kinds: readonly Work['kind'][]): number | undefined =>
    schedule.tasks.find(({ work }) => kinds.includes(work.kind))?.startMinute;
  const potStart = startOf('heat') ?? startOf('marinade', 'deglaze') ?? startOf('load') ?? 0;
  const lidOn = startOf('come-up') ?? 0;
  const opened = startOf('open') ?? lidOn + (run.curve.at(-1)?.minute ?? 0);
  const points = [
    ...before.map((point) => ({ ...point, minute: point.minute + potStart })),
    ...run.curve.map((point) => ({ ...point, minute: point.minute + lidOn })),
    // What is to spare stands between the first opening and all that comes after it.
    ...laterCurve.map((point) => ({ ...point, minute: point.minute + opened + spareOf(resolved, schedule.tasks) })),
  ];
  const last = points[points.length - 1];
  if (last) {
    const minute = Math.min(schedule.totalMinutes, last.minute + OPEN_MINUTES + resolved.finish.restMinutes);
    points.push({ ...last, minute: Math.max(last.minute, minute), gaugeKPa: 0, phase: 'rest' });
  }
  return points;
}
