import { quantity, say } from '@hervir/language/message';
import { vegetableById } from '../../catalog/vegetables';
import { pieceOf } from '../../meat/piece';
import { pieceBody, START_C, WET_SURFACE } from '../../meat/piece-body';
import type { CookingBody } from '../../physics/cooking-body';
import type { Meat, Plan, PlannedStage, StageId } from '../../plan/plan';
import { PlanError } from '../../plan/plan-error';
import { meatsOf } from '../../plan/meats';
import { isHotKind, stageOf } from '../../plan/stage-settings';
import { gramsOf } from '../../units/grams';
import { chargesOf } from '../../pot/charge';
import type { Drinkers } from '../../pot/drinkers';
import { pressureStage, simmerStage, untilLifted, type Refill, type StageRun } from '../../pot/later-stage';
import { PLANT_J_PER_KG_K } from '../../pot/loading';
import type { Pot } from '../../pot/pot-model';
import { QUICK, STANDING_OPEN, stepFor, type Follow, type Stretch } from '../../pot/pressure-run';
import type { CurvePoint } from './curve';
import { grainsAt, juicesOf, recorder, type MainRun } from './main-run';

/** In still air under foil, W/m² K. From memory. */
export const UNDER_FOIL_W_PER_M2K = 6;
/** Lid back on for a cut that goes in later, where nobody says how long, minutes. Common practice. */
const USUAL_LATER_MINUTES = 10;

/** A stage after the first run, as it was done. */
export interface DoneStage extends StageRun {
  readonly id: StageId;
  readonly kind: 'pressure' | 'simmer';
  readonly settings: PlannedStage;
  /** Places in the plan's list of cuts of those that are in the pot during it. */
  readonly meats: readonly number[];
  /** Those that were lifted out just before it, and those that went back in. */
  readonly liftedOut: readonly number[];
  readonly putIn: readonly number[];
  /** Let go by the meat from the stage before until this one was filled, ml. */
  readonly juiceMl: number;
}

/** All that goes in cold at a stage, g: vegetables, grain, aromatics and what the catalog does not know. */
export function gramsAt(plan: Plan, id: StageId, orAuto: boolean): number {
  const here = [...plan.vegetables, ...plan.grains].filter(({ place }) => place === id || (orAuto && place === 'auto'));
  return (
    gramsOf(here) +
    gramsOf(plan.aromatics.filter(({ stage }) => stage === id)) +
    gramsOf(plan.others.filter(({ place }) => place === id))
  );
}

/** Whether a stage is done: the cook gave it minutes, or something goes in at it. */
export function isDone(plan: Plan, stage: PlannedStage): boolean {
  const { id, minutes } = stage;
  return (
    minutes !== null ||
    gramsAt(plan, id, false) > 0 ||
    plan.liquids.some((item) => item.stage === id && item.ml > 0) ||
    plan.additions.some((item) => item.stage === id && item.grams > 0) ||
    plan.otherMeats.some(({ goesIn }) => goesIn === id)
  );
}

/** Stages in the order they are done: the cook's, and where it is left to Hervir a second run and a simmer after them. */
export function sequenceOf(plan: Plan): PlannedStage[] {
  const own = plan.stages.filter(({ kind }) => isHotKind(kind));
  const has = (kind: PlannedStage['kind']): boolean => own.some((stage) => stage.kind === kind);
  const named = (id: StageId): boolean => own.some((stage) => stage.id === id);
  return [
    ...own,
    ...(named('second-run') || (has('pressure') && !isNamed(plan, 'second-run')) ? [] : [stageOf(plan, 'second-run')]),
    ...(named('simmer') || (has('simmer') && !isNamed(plan, 'simmer')) ? [] : [stageOf(plan, 'simmer')]),
  ];
}

/** Whether anything of the plan names a stage. */
const isNamed = (plan: Plan, id: StageId): boolean =>
  [...plan.vegetables, ...plan.grains, ...plan.others].some(({ place }) => place === id) ||
  [...plan.liquids, ...plan.additions, ...plan.aromatics].some(({ stage }) => stage === id) ||
  plan.otherMeats.some(({ goesIn }) => goesIn === id);

/** Juice of vegetables that are in from the start, ml: by the first opening it is liquid like the rest. */
function plantJuiceMl(plan: Plan): number {
  return plan.vegetables
    .filter(({ place }) => place === 'start' || place === 'flavour-only')
    .reduce((sum, { vegetable, grams: g }) => sum + g * vegetableById(vegetable).juiceShare, 0);
}

/** The pot between two stages: what is in it, and the cuts that are not. */
export interface Open {
  readonly pot: Pot;
  /** Cuts in the pot, in the order of its bodies. */
  readonly inPot: readonly number[];
  readonly outside: ReadonlyMap<number, CookingBody>;
  /** Juice of each cut that has been counted as liquid, ml. */
  readonly counted: ReadonlyMap<number, number>;
  readonly drinkers: Drinkers;
}

export function opened(plan: Plan, { pot, drinkers }: MainRun): Open {
  const inPot = meatsOf(plan).flatMap(({ goesIn = 'start' }, i) => (goesIn === 'start' ? [i] : []));
  return { pot, inPot, outside: new Map(), counted: new Map(), drinkers: drinkers.clone() };
}

/** Which cuts are in the pot during a stage. */
export function meatsDuring(plan: Plan, order: readonly PlannedStage[], stage: PlannedStage): number[] {
  const at = (id: string): number => order.findIndex((one) => one.id === id);
  const now = at(stage.id);
  return meatsOf(plan).flatMap(({ goesIn = 'start', comesOut = 'end' }, i) => {
    const begun = goesIn === 'start' || (at(goesIn) >= 0 && at(goesIn) <= now);
    const over = comesOut !== 'end' && at(comesOut) >= 0 && at(comesOut) <= now;
    // A cut that goes in just now is what the stage is for; the others are out under foil where it says so.
    return begun && !over && (stage.meat === 'in' || goesIn === stage.id) ? [i] : [];
  });
}

/** Juice that each cut in the pot has let go of so far, ml. */
function juicesNow(plan: Plan, { pot, inPot }: Open): ReadonlyMap<number, number> {
  const cuts = meatsOf(plan);
  return new Map(inPot.map((i, at) => [i, juicesOf([cuts[i] as Meat], pot.bodies.slice(at, at + 1))]));
}

/** What of it has not been counted as liquid yet, ml. */
function newJuiceMl({ counted }: Open, juices: ReadonlyMap<number, number>): number {
  return [...juices].reduce((sum, [i, ml]) => sum + Math.max(0, ml - (counted.get(i) ?? 0)), 0);
}

/** What is done to the pot before a stage, and the meat outside after it. */
export function refillOf(
  plan: Plan,
  open: Open,
  stage: PlannedStage,
  meats: readonly number[],
  cold: number,
): {
  readonly refill: Refill;
  readonly juices: ReadonlyMap<number, number>;
  readonly outside: () => Map<number, CookingBody>;
} {
  const cuts = meatsOf(plan);
  const lifted = new Map<number, CookingBody>();
  const juices = juicesNow(plan, open);
  const plants = open.counted.size === 0 ? plantJuiceMl(plan) : 0;
  const settle = (pot: Pot): void => {
    const bodies = pot.takeOut();
    const there = new Map(open.inPot.map((i, at) => [i, bodies[at] as CookingBody]));
    for (const [i, body] of there) if (!meats.includes(i)) lifted.set(i, body);
    for (const i of meats) {
      const meat = cuts[i] as Meat;
      const body =
        there.get(i) ??
        open.outside.get(i)?.withSurface(WET_SURFACE) ??
        pieceBody(meat, pieceOf(meat), START_C[meat.startsFrom], { middle: true });
      pot.add(body);
    }
  };
  const poured = chargesOf(plan)
    .filter(({ at }) => at === stage.id)
    .map(({ waterMl, temperatureC }) => ({ kg: waterMl / 1000, temperatureC }));
  return {
    refill: {
      settle,
      juiceKg: (plants + newJuiceMl(open, juices)) / 1000,
      brothOutKg: stage.takeOutMl / 1000,
      coldJPerK: (cold / 1000) * PLANT_J_PER_KG_K,
      poured,
    },
    juices,
    // A body in other surroundings is solved anew: only where it really waits there.
    outside: () =>
      new Map([
        ...[...open.outside].filter(([i]) => !meats.includes(i)),
        ...[...lifted].map(([i, body]) => [i, body.withSurface(UNDER_FOIL_W_PER_M2K)] as const),
      ]),
  };
}

/** What goes in off the heat cools the pot a little, J/K: a bowlful at most. */
const BOWLFUL_J_PER_K = 0.25 * PLANT_J_PER_KG_K;

/** The pot standing open while the sauce rests. */
export function resting(pot: Pot, minutes: number, coldJPerK: number): Stretch[] {
  const standing = pot.clone();
  if (!standing.pinIsUp) standing.openLid();
  standing.pour(0, standing.build.roomC, Math.min(BOWLFUL_J_PER_K, coldJPerK));
  const history: Stretch[] = [];
  stepFor(standing, minutes, STANDING_OPEN, (stretch) => history.push(stretch));
  return history;
}

export interface Later {
  readonly done: readonly DoneStage[];
  readonly curve: readonly CurvePoint[];
  /** What the pot went through from its first opening on. */
  readonly history: Stretch[];
  readonly open: Open;
  /** Let go by the meat after the last stage was filled, ml; 0 where there is none. */
  readonly lastJuiceMl: number;
}

/**
 * What the pot does after its first opening, stage by stage.
 *
 * @param plan with everything in its place
 * @param minutesOf what Hervir has found for stages it was left to
 * @param until stop before this stage
 */
export function laterStages(
  plan: Plan,
  run: MainRun,
  minutesOf: (id: StageId) => number | undefined,
  until: (stage: PlannedStage) => boolean = () => false,
): Later {
  const curve: CurvePoint[] = [];
  const history: Stretch[] = [];
  const done: DoneStage[] = [];
  /** Points of the line at which the first cut is out of the pot. */
  const away = new Set<number>();
  const draw = recorder(curve, plan, run.pot.build.airKPa, -run.pot.minutes, (pot) => {
    return open.inPot[0] === 0 ? (pot.bodies[0] ?? run.piece) : (open.outside.get(0) ?? run.piece);
  });
  let open = opened(plan, run);
  const order = sequenceOf(plan);
  for (const stage of order) {
    if (until(stage)) break;
    if (!isDone(plan, stage)) continue;
    const meats = meatsDuring(plan, order, stage);
    const { refill, juices, outside: outsideThen } = refillOf(plan, open, stage, meats, gramsAt(plan, stage.id, false));
    const drinkers = open.drinkers.clone();
    drinkers.add(grainsAt(plan, stage.id));
    const begin = open.pot.minutes;
    const before = open;
    const record: Follow = (stretch, pot) => {
      history.push(stretch);
      if (!meats.includes(0)) away.add(curve.length);
      draw(stretch, pot);
      drinkers.follow(stretch);
    };
    const free = { drinks: drinkers.any, ml: (pot: Pot): number => pot.liquidKgNow * 1000 - drinkers.drunkMl };
    const minutes = stage.minutes ?? minutesOf(stage.id) ?? USUAL_LATER_MINUTES;
    // The line draws the meat where it is from now on.
    open = { ...open, inPot: meats };
    const ran =
      stage.kind === 'pressure'
        ? pressureStage(before.pot, refill, minutes, plan.cooker, stage.release ?? QUICK, free, record)
        : simmerStage(before.pot, refill, minutes, stage.heat ?? 'gentle', free, record);
    if (!ran) throw noPressure(plan, stage);
    const outside = outsideThen();
    for (const body of outside.values()) waits(body, ran.pot.minutes - begin, plan.kitchen.roomC);
    done.push({
      ...ran,
      id: stage.id,
      kind: stage.kind === 'pressure' ? 'pressure' : 'simmer',
      settings: stage,
      meats,
      liftedOut: before.inPot.filter((i) => !meats.includes(i)),
      putIn: meats.filter((i) => !before.inPot.includes(i)),
      // What was let go under the first lid has its own line.
      juiceMl: done.length === 0 ? 0 : newJuiceMl(before, juices),
    });
    open = { pot: ran.pot, inPot: meats, outside, counted: new Map([...before.counted, ...juices]), drinkers };
  }
  const lastJuiceMl = done.length === 0 ? 0 : newJuiceMl(open, juicesNow(plan, open));
  return { done, curve: open.inPot.includes(0) ? waitedIn(curve, away) : curve, history, open, lastJuiceMl };
}

/**
 * The line of meat that waited under foil and went back in: it went on melting meanwhile, which is reckoned when it
 * goes back; between, the line goes straight. Meat that stays out is drawn as it was lifted, as its odds have it.
 */
function waitedIn(curve: readonly CurvePoint[], away: ReadonlySet<number>): CurvePoint[] {
  return curve.map((point, i) => {
    if (!away.has(i)) return point;
    let [from, to] = [i, i];
    while (away.has(from)) from -= 1;
    while (away.has(to)) to += 1;
    const [left, back] = [curve[from] ?? curve[from + 1], curve[to]];
    if (!left || !back || left.melted === null || back.melted === null) return point;
    const share = (point.minute - left.minute) / Math.max(1e-9, back.minute - left.minute);
    const between = (a: number | undefined, b: number | undefined): number => (a ?? 0) + ((b ?? 0) - (a ?? 0)) * share;
    return {
      ...point,
      coreC: between(left.coreC ?? undefined, back.coreC ?? undefined),
      melted: between(left.melted, back.melted),
      meltedRange: [
        between(left.meltedRange?.[0], back.meltedRange?.[0]),
        between(left.meltedRange?.[1], back.meltedRange?.[1]),
      ],
    };
  });
}

/** A pot that has nothing left to boil, or no heat for it, does not come up again. */
function noPressure(plan: Plan, stage: PlannedStage): PlanError {
  const at = plan.stages.findIndex(({ id }) => id === stage.id);
  return new PlanError(
    at < 0 ? 'liquids' : `stages[${at}]`,
    say('later-stages.the-pot-does-not-come'),
    say('later-stages.at-least-ml-at-this', { minimumLiquidMl: quantity('volume', plan.cooker.minimumLiquidMl) }),
  );
}

/**
 * The middle of a cut that waits under foil until its sauce is done, °C. Meat hotter than water boils here gives its heat off
 * as steam when the lid comes off.
 *
 * @param out under its foil; it goes on cooling
 * @param minutes under foil
 * @param plan its kitchen
 * @param boilingC of water there
 */
export function coreUnderFoil(out: CookingBody, minutes: number, { kitchen }: Plan, boilingC: number): number {
  waits(out, minutes, kitchen.roomC);
  return Math.min(out.coreC, boilingC);
}

/** Under foil nothing changes fast, minutes. */
const WAITS_STEP = 3;

/** Under foil, in the kitchen's air. */
function waits(body: CookingBody, minutes: number, roomC: number): void {
  for (let left = minutes; left > 1e-6; left -= WAITS_STEP) {
    body.advance(Math.min(WAITS_STEP, left) * 60, roomC, roomC);
  }
}

/** A cut that is lifted out and lies under foil for so long. */
export function underFoil(body: CookingBody, minutes: number, roomC: number): CookingBody {
  const out = body.withSurface(UNDER_FOIL_W_PER_M2K);
  waits(out, minutes, roomC);
  return out;
}

/** What rides along from when it goes in at a stage: through that stage and all after it, until it is lifted out. */
export function throughFrom(done: readonly DoneStage[], from: number): Stretch[] {
  const stage = done[from];
  if (!stage) return [];
  // Vegetables of a stage are lifted out before the next one begins.
  return [...stage.history, ...(stage.kind === 'pressure' ? untilLifted(stage.pot) : [])];
}
