import { cutById } from '../larder/cuts';
import type { Piece } from '../meat/piece';
import { pieceBody, START_C } from '../meat/piece-body';
import { gradeOf, meanMelted } from '../meat/tenderness';
import { juiceMl } from '../meat/yield';
import type { CookingBody } from '../physics/cooking-body';
import { saturationPressureKPa } from '../physics/steam';
import type { Plan } from '../plan/plan';
import { kitchenAirKPa } from '../pot/cooker';
import { burnVerdict, type BaseMoment } from '../pot/base-temperature';
import { contentsOf } from '../pot/contents';
import { fillOf } from '../pot/fill';
import { ledgerOf } from '../pot/ledger';
import { liquidSchools } from '../pot/liquid-schools';
import type { Accounts, Phase, Pot } from '../pot/pot-model';
import { heatUp, letDown, runOn, type Follow } from '../pot/pressure-run';
import { backwards, type Schedule } from '../clock/schedule';
import { OPEN_MINUTES, tasksOf } from '../clock/tasks';
import { printerFor, type UnitSystem } from '../units/quantity';
import { shiftIso } from '../units/time';
import { aromaticSteps } from '../stations/aromatics';
import { cautionsFor } from './cautions';
import { fillInWords, minimumRemedy } from './fill-remedies';
import { burnInWords } from './remedies';
import { sauteOf } from './saute';
import type { CurvePoint, Forecast } from './forecast-document';
import { readyPot } from './kitchen-pot';
import { methodMinutes, METHODS } from './other-methods';
import { reasonsFor } from './reasons';
import { meltedAt, timing, tooWeak, type Timing } from './timing';

/** The range of the tenderness band: a tenth and nine tenths of a normal variable. */
const TENTH = 1.2816;

/** From lid on to working pressure the heater gives all it has: there the base is hottest. */
const COMING_UP: ReadonlySet<Phase> = new Set(['heating', 'purging', 'building']);

/** One run of the pot at one length, followed closely. */
interface Run {
  readonly toPin: number;
  readonly toTimer: number;
  readonly toPressure: number;
  readonly releaseMinutes: number;
  readonly naturalReleaseMinutes: number;
  readonly piece: CookingBody;
  readonly curve: CurvePoint[];
  /** The pot on its way up, for its base. */
  readonly moments: BaseMoment[];
  readonly opened: Readonly<Accounts>;
}

/** Points of the curve, from the pot as it steps. */
function recorder(curve: CurvePoint[], toughness: number, airKPa: number, offset: number): Follow {
  return ({ phase }, pot) => {
    const piece = pot.bodies[0];
    const sealed = pot.pinIsUp && pot.temperatureC > pot.build.boilingC;
    curve.push({
      minute: pot.minutes + offset,
      liquidC: pot.temperatureC,
      coreC: piece ? piece.coreC : null,
      gaugeKPa: sealed ? Math.max(0, saturationPressureKPa(pot.temperatureC) - airKPa) : 0,
      phase,
      melted: piece ? meltedAt(piece, toughness, 0) : null,
      meltedRange: piece ? [meltedAt(piece, toughness, TENTH), meltedAt(piece, toughness, -TENTH)] : null,
    });
  };
}

function follow(plan: Plan, piece: Piece, loaded: Pot, minutes: number): Run {
  const { toughness } = cutById(plan.meat.cut);
  const pot = loaded.clone();
  const lidOn = pot.minutes;
  pot.add(pieceBody(plan.meat, piece, START_C[plan.meat.startsFrom], { middle: true }));
  const curve: CurvePoint[] = [];
  const moments: BaseMoment[] = [];
  const draw = recorder(curve, toughness, pot.build.airKPa, -lidOn);
  const record: Follow = (stretch, now) => {
    draw(stretch, now);
    if (!COMING_UP.has(stretch.phase)) return;
    const [meat] = now.bodies;
    const juice = meat ? juiceMl(plan.meat, meat.body.heatK(), meat.meanCookValue()) : 0;
    moments.push({ minute: now.minutes - lidOn, liquidC: now.temperatureC, freeMl: now.liquidKgNow * 1000 + juice });
  };
  record({ seconds: 0, fromC: pot.temperatureC, toC: pot.temperatureC, phase: 'heating' }, pot);
  const heated = heatUp(pot, plan.cooker, record);
  if (heated === null) throw tooWeak(plan);
  let atPressure = pot.minutes;
  runOn(pot, minutes, 0, record, (minute) => {
    atPressure = minute;
  });
  const untouched = pot.clone();
  const down = letDown(pot, plan.release, plan.cooker, record);
  const natural = letDown(untouched, { method: 'natural', naturalMinutes: 0 }, plan.cooker);
  return {
    toPin: heated.toPin,
    toTimer: heated.toTimer,
    toPressure: atPressure - lidOn,
    releaseMinutes: down.minutes,
    naturalReleaseMinutes: natural.minutes,
    piece: pot.bodies[0] as CookingBody,
    curve,
    moments,
    opened: pot.accounts,
  };
}

/** Odds at every whole minute, as far as they still change. */
function byMinute(odds: Timing): Forecast['tenderness']['byMinute'] {
  return Array.from({ length: Math.floor(odds.longest) + 1 }, (_, minutes) => ({
    minutes,
    mean: odds.melted(minutes),
    ...odds.chance(minutes),
  }));
}

/**
 * The one door of the reckoning: a plan in, its forecast out. Pure: no clock, no I/O, the same plan gives the same
 * forecast.
 *
 * @param plan every default filled in
 * @param system the units its texts are written in; its figures are always in the core's own
 * @returns the forecast of contract.md; parts not yet reckoned are absent
 * @throws PlanError naming the field that makes the plan impossible
 * Accuracy: the reference minutes of the trade within 15 % or 4 minutes.
 * @example forecast(newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 })).tenderness.grade // 'fork'
 */
export function forecast(plan: Plan, system: UnitSystem = 'metric'): Forecast {
  const print = printerFor(system);
  const cut = cutById(plan.meat.cut);
  const before: CurvePoint[] = [];
  const ready = readyPot(plan, recorder(before, cut.toughness, kitchenAirKPa(plan.kitchen), 0));
  const { piece, sear, aromatics, pot: loaded, preheatMinutes, charges } = ready;
  const { build } = loaded;
  const odds = timing(plan, piece, loaded);
  const wanted = odds.minutesFor(plan.confidence);
  const proposedMinutes = wanted === null ? null : Math.ceil(wanted - 1e-6);
  const pressureMinutes = plan.pressureMinutes ?? proposedMinutes ?? Math.floor(odds.longest);
  const run = follow(plan, piece, loaded, pressureMinutes);
  const melted = meanMelted(run.piece, cut.toughness);
  const ledger = ledgerOf(plan, charges, {
    lidOn: loaded.accounts,
    opened: run.opened,
    juiceMl: juiceMl(plan.meat, run.piece.body.heatK(), run.piece.meanCookValue()),
  });
  const fill = fillOf(plan, contentsOf(plan, piece, charges, ledger.freeAtStartMl));
  const burn = burnInWords(plan, burnVerdict(plan, piece, charges, build, run.moments), print);
  const schedule = backwards(
    tasksOf(
      plan,
      sear,
      {
        preheat: preheatMinutes,
        toTimer: run.toTimer,
        pressure: pressureMinutes,
        release: run.releaseMinutes,
      },
      print,
    ),
  );
  const core = run.piece.coreCookValue;
  const partial = {
    format: 'hervir/forecast',
    version: 1,
    plan,
    pressureMinutes,
    ownMinutes: plan.pressureMinutes !== null,
    proposedMinutes,
    pressureMinutesRange: [
      Math.ceil(odds.minutesFor(0.2) ?? odds.longest),
      Math.ceil(odds.minutesFor(0.95) ?? odds.longest),
    ],
    tenderness: {
      mean: melted,
      core: meanMelted({ cookValues: Float64Array.of(core), weights: Float64Array.of(1) }, cut.toughness),
      grade: gradeOf(melted),
      chance: odds.chance(pressureMinutes),
      coreC: run.piece.coreC,
      cookValueMean: run.piece.meanCookValue(),
      cookValueCore: core,
      minutesToSafe: run.piece.minutesToSafe,
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
      curve: onTheClock(schedule, before, run, plan),
    },
    sear: { ...sear, preheatMinutes, aromatics: aromaticSteps(plan.aromatics) },
    saute: sauteOf(plan, sear, (plan.sear.where === 'pot' ? sear.minutes : 0) + aromatics, print),
    fill: fillInWords(plan, fill, ledger, print),
    liquid: {
      ...ledger,
      remedy: minimumRemedy(plan, ledger, print),
      schools: liquidSchools(plan, piece, charges, loaded.accounts.boiledKg * 1000),
    },
    burn,
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
    cautions: cautionsFor(plan, { fill, burn, liquid: ledger }),
  } as const satisfies Omit<Forecast, 'reasons'>;
  return { ...partial, reasons: reasonsFor(partial, print) };
}

/** Puts the pot's history where the schedule has it, and closes it with the rest. */
function onTheClock(schedule: Schedule, before: readonly CurvePoint[], run: Run, plan: Plan): CurvePoint[] {
  const startOf = (id: string): number | undefined => schedule.tasks.find((task) => task.id === id)?.startMinute;
  const potStart = startOf('heat-pot') ?? startOf('deglaze') ?? startOf('load') ?? 0;
  const lidOn = startOf('heating') ?? 0;
  const points = [
    ...before.map((point) => ({ ...point, minute: point.minute + potStart })),
    ...run.curve.map((point) => ({ ...point, minute: point.minute + lidOn })),
  ];
  const last = points[points.length - 1];
  if (last) {
    points.push({ ...last, minute: last.minute + OPEN_MINUTES + plan.finish.restMinutes, gaugeKPa: 0, phase: 'rest' });
  }
  return points;
}
