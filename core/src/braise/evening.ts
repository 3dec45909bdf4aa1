import { grainById } from '../larder/grains';
import { vegetableById } from '../larder/vegetables';
import type { CookingBody } from '../physics/cooking-body';
import { pieceOf, type Piece } from '../meat/piece';
import { pieceBody, START_C } from '../meat/piece-body';
import { toughnessOf } from '../plan/learnt';
import type { Meat, OtherMeat, Plan, PlannedStage, StageId } from '../plan/plan';
import { portionAt, portionsOf } from '../plan/portions';
import { stageOf } from '../plan/stage-settings';
import type { BaseMoment } from '../pot/base-temperature';
import { kitchenAirKPa } from '../pot/cooker';
import type { Drinkers } from '../pot/drinkers';
import {
  backToBoil,
  pressureStage,
  simmerStage,
  trySecondRun,
  untilLifted,
  type Refill,
  type StageRun,
} from '../pot/later-stage';
import type { Pot } from '../pot/pot-model';
import { PLANT_J_PER_KG_K } from '../pot/loading';
import { QUICK, STANDING_OPEN, stepFor, type Follow, type Stretch } from '../pot/pressure-run';
import { stageVegetables, type Stage, type Staging } from '../stations/stages';
import type { CurvePoint } from './forecast-document';
import { readyPot, type ReadyPot } from './kitchen-pot';
import { grainsAt, juicesOf, mainRun, recorder, type MainRun } from './main-run';
import { chanceThrough, timing, type Timing } from './timing';
import type { Chance } from './chance';

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
}

/** One cut and what became of it. */
export interface DoneMeat {
  readonly meat: Meat;
  readonly piece: Piece;
  /** When it is served. */
  readonly body: CookingBody;
  /** Odds at the minutes that are planned; those of the first cut are its timing's. */
  readonly chance: Chance;
  /** Waits outside under foil: how long, and its middle then. */
  readonly foil: { readonly minutes: number; readonly coreC: number } | null;
  /** In the pot when the last stage is over. */
  readonly inPot: boolean;
}

/** Everything the pot does in an evening, for one plan. */
export interface Evening {
  /** The plan with every vegetable and grain in its place. */
  readonly resolved: Plan;
  readonly ready: ReadyPot;
  readonly odds: Timing;
  readonly proposedMinutes: number | null;
  readonly pressureMinutes: number;
  readonly run: MainRun;
  readonly staging: Staging;
  /** What is done after the first opening, in order. */
  readonly later: readonly DoneStage[];
  /** Every cut, the plan's own first. */
  readonly meats: readonly DoneMeat[];
  /** The first cut when it is served, and its middle if it waited under foil. */
  readonly piece: CookingBody;
  readonly foil: DoneMeat['foil'];
  /** After the first opening, minutes from there. */
  readonly laterCurve: readonly CurvePoint[];
  /** Grain that is in, when the last stage is over. */
  readonly drinkers: Drinkers;
}

/** The cuts of a plan, its own first. */
export function meatsOf(plan: Plan): (Meat & Partial<Pick<OtherMeat, 'goesIn' | 'comesOut'>>)[] {
  return [plan.meat, ...plan.otherMeats];
}

const grams = (items: readonly { readonly grams: number }[]): number => items.reduce((sum, item) => sum + item.grams, 0);

/** All that goes in cold at a stage, g: vegetables, grain, aromatics and what the larder does not know. */
function gramsAt(plan: Plan, id: StageId, orAuto: boolean): number {
  const here = [...plan.vegetables, ...plan.grains].filter(({ place }) => place === id || (orAuto && place === 'auto'));
  return (
    grams(here) +
    grams(plan.aromatics.filter(({ stage }) => stage === id)) +
    grams(plan.others.filter(({ place }) => place === id))
  );
}

/** Whether a stage is done: the cook gave it minutes, or something goes in at it. */
function isDone(plan: Plan, stage: PlannedStage): boolean {
  const { id, minutes } = stage;
  return (
    minutes !== null ||
    gramsAt(plan, id, false) > 0 ||
    plan.liquids.some((item) => item.stage === id && item.ml > 0) ||
    plan.additions.some((item) => item.stage === id && item.grams > 0) ||
    plan.otherMeats.some(({ goesIn }) => goesIn === id)
  );
}

const isHot = ({ kind }: PlannedStage): boolean => kind === 'pressure' || kind === 'simmer';

/** Stages in the order they are done: the cook's, and where it is left to Hervir a second run and a simmer after them. */
export function sequenceOf(plan: Plan): PlannedStage[] {
  const own = plan.stages.filter(isHot);
  const has = (kind: PlannedStage['kind']): boolean => own.some((stage) => stage.kind === kind);
  const named = (id: StageId): boolean => own.some((stage) => stage.id === id);
  return [
    ...own,
    ...(named('second-run') || (has('pressure') && !pinnedAt(plan, 'second-run')) ? [] : [stageOf(plan, 'second-run')]),
    ...(named('simmer') || (has('simmer') && !pinnedAt(plan, 'simmer')) ? [] : [stageOf(plan, 'simmer')]),
  ];
}

const pinnedAt = (plan: Plan, id: StageId): boolean =>
  [...plan.vegetables, ...plan.grains].some(({ place }) => place === id);

/** Juice of vegetables that are in from the start, ml: by the first opening it is liquid like the rest. */
function plantJuiceMl(plan: Plan): number {
  return plan.vegetables
    .filter(({ place }) => place === 'start' || place === 'flavour-only')
    .reduce((sum, { vegetable, grams: g }) => sum + g * vegetableById(vegetable).juiceShare, 0);
}

/** The pot between two stages: what is in it, and the cuts that are not. */
interface Open {
  readonly pot: Pot;
  /** Cuts in the pot, in the order of its bodies. */
  readonly inPot: readonly number[];
  readonly outside: ReadonlyMap<number, CookingBody>;
  /** Juice that has been counted as liquid, ml. */
  readonly juiceMl: number;
  readonly drinkers: Drinkers;
}

function opened(plan: Plan, { pot, drinkers }: MainRun): Open {
  const inPot = meatsOf(plan).flatMap(({ goesIn = 'start' }, i) => (goesIn === 'start' ? [i] : []));
  return { pot, inPot, outside: new Map(), juiceMl: 0, drinkers: drinkers.clone() };
}

/** Which cuts are in the pot during a stage. */
function meatsDuring(plan: Plan, order: readonly PlannedStage[], stage: PlannedStage): number[] {
  const at = (id: string): number => order.findIndex((one) => one.id === id);
  const now = at(stage.id);
  return meatsOf(plan).flatMap(({ goesIn = 'start', comesOut = 'end' }, i) => {
    const begun = goesIn === 'start' || (at(goesIn) >= 0 && at(goesIn) <= now);
    const over = comesOut !== 'end' && at(comesOut) >= 0 && at(comesOut) <= now;
    // A cut that goes in just now is what the stage is for; the others are out under foil where it says so.
    return begun && !over && (stage.meat === 'in' || goesIn === stage.id) ? [i] : [];
  });
}

/** What is done to the pot before a stage, and the meat outside after it. */
function refillOf(
  plan: Plan,
  open: Open,
  stage: PlannedStage,
  meats: readonly number[],
  cold: number,
): { readonly refill: Refill; readonly juiceMl: number; readonly outside: Map<number, CookingBody> } {
  const cuts = meatsOf(plan);
  const outside = new Map(open.outside);
  const juice = juicesOf(
    open.inPot.map((i) => cuts[i] as Meat),
    open.pot.bodies,
  );
  // The juice of what was lifted out before is in the liquid already.
  const all = juice + (open.juiceMl === 0 ? plantJuiceMl(plan) : 0);
  const juiceMl = Math.max(0, all - open.juiceMl);
  const settle = (pot: Pot): void => {
    const bodies = pot.takeOut();
    const there = new Map(open.inPot.map((i, at) => [i, bodies[at] as CookingBody]));
    for (const [i, body] of there) if (!meats.includes(i)) outside.set(i, body.withSurface(UNDER_FOIL_W_PER_M2K));
    for (const i of meats) {
      const meat = cuts[i] as Meat;
      const body =
        there.get(i) ??
        outside.get(i)?.withSurface(WET) ??
        pieceBody(meat, pieceOf(meat), START_C[meat.startsFrom], { middle: true });
      outside.delete(i);
      pot.add(body);
    }
  };
  const poured = [
    ...plan.liquids.filter((item) => item.stage === stage.id).map(({ ml, temperatureC }) => ({ kg: ml / 1000, temperatureC })),
    ...plan.additions
      .filter((item) => item.stage === stage.id)
      .map((item) => ({ kg: item.grams / 1000, temperatureC: plan.kitchen.roomC })),
  ];
  return {
    refill: {
      settle,
      juiceKg: juiceMl / 1000,
      brothOutKg: stage.takeOutMl / 1000,
      coldJPerK: (cold / 1000) * PLANT_J_PER_KG_K,
      poured,
    },
    juiceMl,
    outside,
  };
}

/** Back in the liquid, W/m² K: as before. */
const WET = 800;

/** What goes in off the heat cools the pot a little, J/K: a bowlful at most. */
const BOWLFUL_J_PER_K = 0.25 * PLANT_J_PER_KG_K;

/** The pot standing open while the sauce rests. */
function resting(pot: Pot, minutes: number, coldJPerK: number): Stretch[] {
  const standing = pot.clone();
  if (!standing.pinIsUp) standing.openLid();
  standing.pour(0, standing.build.roomC, Math.min(BOWLFUL_J_PER_K, coldJPerK));
  const history: Stretch[] = [];
  stepFor(standing, minutes, STANDING_OPEN, (stretch) => history.push(stretch));
  return history;
}

interface Later {
  readonly done: readonly DoneStage[];
  readonly curve: CurvePoint[];
  /** What the pot went through from its first opening on. */
  readonly history: Stretch[];
  readonly open: Open;
}

/**
 * What the pot does after its first opening, stage by stage.
 *
 * @param plan with everything in its place
 * @param minutesOf what Hervir has found for stages it was left to
 * @param until stop before this stage
 */
function laterStages(
  plan: Plan,
  run: MainRun,
  minutesOf: (id: StageId) => number | undefined,
  until: (stage: PlannedStage) => boolean = () => false,
): Later {
  const curve: CurvePoint[] = [];
  const history: Stretch[] = [];
  const done: DoneStage[] = [];
  const toughness = toughnessOf(plan);
  const draw = recorder(curve, toughness, run.pot.build.airKPa, -run.pot.minutes, (pot) => {
    return open.inPot[0] === 0 ? (pot.bodies[0] ?? run.piece) : (open.outside.get(0) ?? run.piece);
  });
  let open = opened(plan, run);
  const order = sequenceOf(plan);
  for (const stage of order) {
    if (until(stage)) break;
    if (!isDone(plan, stage)) continue;
    const meats = meatsDuring(plan, order, stage);
    const { refill, juiceMl, outside } = refillOf(plan, open, stage, meats, gramsAt(plan, stage.id, false));
    const drinkers = open.drinkers.clone();
    drinkers.add(grainsAt(plan, stage.id));
    const begin = open.pot.minutes;
    const before = open;
    const record: Follow = (stretch, pot) => {
      history.push(stretch);
      draw(stretch, pot);
      drinkers.follow(stretch);
    };
    const freeMl = (pot: Pot): number => pot.liquidKgNow * 1000 - drinkers.drunkMl;
    const minutes = stage.minutes ?? minutesOf(stage.id) ?? USUAL_LATER_MINUTES;
    // The line draws the meat where it is from now on.
    open = { ...open, inPot: meats };
    const ran =
      stage.kind === 'pressure'
        ? pressureStage(before.pot, refill, minutes, plan.cooker, stage.release ?? QUICK, freeMl, record)
        : simmerStage(before.pot, refill, minutes, stage.heat ?? 'gentle', freeMl, record);
    if (!ran) continue;
    for (const body of outside.values()) waits(body, ran.pot.minutes - begin, plan.kitchen.roomC);
    done.push({
      ...ran,
      id: stage.id,
      kind: stage.kind === 'pressure' ? 'pressure' : 'simmer',
      settings: stage,
      meats,
      liftedOut: before.inPot.filter((i) => !meats.includes(i)),
      putIn: meats.filter((i) => !before.inPot.includes(i)),
    });
    open = { pot: ran.pot, inPot: meats, outside, juiceMl: before.juiceMl + juiceMl, drinkers };
  }
  return { done, curve, history, open };
}

/** Under foil, in the kitchen's air. */
function waits(body: CookingBody, minutes: number, roomC: number): void {
  for (let minute = 0; minute < minutes; minute += 1) body.advance(60, roomC, roomC);
}

/** What rides along from when it goes in at a stage: through that stage and all after it, until it is lifted out. */
function throughFrom(done: readonly DoneStage[], from: number): Stretch[] {
  const stage = done[from];
  if (!stage) return [];
  // Vegetables of a stage are lifted out before the next one begins.
  return [...stage.history, ...(stage.kind === 'pressure' ? untilLifted(stage.pot) : [])];
}

function stagesOf(plan: Plan, run: MainRun): Staging {
  if (plan.vegetables.length + plan.grains.length === 0) return { stages: [], openings: 1, allMet: true };
  const order = sequenceOf(plan);
  const open = opened(plan, run);
  const sought = (kind: PlannedStage['kind']): PlannedStage | undefined =>
    order.find((stage) => stage.kind === kind && stage.minutes === null);
  const [trial, simmer] = [sought('pressure'), sought('simmer')];
  const fixedDone = order.some(({ minutes }) => minutes !== null) ? laterStages(plan, run, () => 0).done : [];
  const fixed = fixedDone.flatMap((stage, i) =>
    stage.settings.minutes === null ? [] : [{ id: stage.id, history: throughFrom(fixedDone, i) }],
  );
  const beforeTrial = trial && fixed.length > 0 ? laterStages(plan, run, () => 0, ({ id }) => id === trial.id).open : open;
  const refillFor = (stage: PlannedStage, from: Open): Refill =>
    refillOf(plan, from, stage, meatsDuring(plan, order, stage), gramsAt(plan, stage.id, stage === trial)).refill;
  const offHeat = (gramsAt(plan, 'off-heat', true) / 1000) * PLANT_J_PER_KG_K;
  return stageVegetables(plan, {
    main: run.history,
    second: trial ? trySecondRun(beforeTrial.pot, refillFor(trial, beforeTrial), plan.cooker, trial.release) : null,
    rest: resting(run.pot, plan.finish.restMinutes, offHeat),
    simmerC: run.pot.build.boilingC,
    backToBoilMinutes: simmer ? backToBoil(run.pot, refillFor(trial ?? simmer, open)).minutes : 0,
    ...(trial ? { trial: trial.id } : {}),
    ...(simmer ? { simmer: simmer.id } : {}),
    fixed,
    order: [...plan.stages, ...order].map(({ id }) => id),
  });
}

/** The plan with each vegetable and grain where the staging has it. */
function placed(plan: Plan, staging: Staging): Plan {
  const items = staging.stages.flatMap(({ items: here }) => here);
  const portions = portionsOf(plan);
  const placeOf = (kind: 'vegetable' | 'grain', index: number, place: string): string => {
    if (place !== 'auto') return place;
    const portion = portionAt(portions, kind, index);
    return items.find((item) => item.portion === portion?.id)?.place ?? 'start';
  };
  return {
    ...plan,
    vegetables: plan.vegetables.map((item, i) => ({ ...item, place: placeOf('vegetable', i, item.place) })),
    grains: plan.grains.map((item, i) => ({ ...item, place: placeOf('grain', i, item.place) })),
  };
}

/** What rides along from the start, for comparing two plans. */
const startsWith = (plan: Plan): string =>
  JSON.stringify(
    [...plan.vegetables, ...plan.grains].filter(({ place }) => place === 'start' || place === 'flavour-only'),
  );

interface First {
  readonly ready: ReadyPot;
  readonly odds: Timing;
  /** Of the other cuts under the first lid. */
  readonly otherOdds: readonly Timing[];
  readonly proposedMinutes: number | null;
  readonly pressureMinutes: number;
  readonly run: MainRun;
}

/** The plan as another of its cuts sees it: the table's own toughness, for nothing was learnt of that one. */
const planOf = (plan: Plan, meat: Meat): Plan =>
  meat === plan.meat ? plan : { ...plan, meat, learnt: { ...plan.learnt, toughness: undefined } };

function first(plan: Plan, before: CurvePoint[], after: readonly Stretch[]): First {
  before.length = 0;
  const ready = readyPot(plan, recorder(before, toughnessOf(plan), kitchenAirKPa(plan.kitchen), 0));
  const { cuts } = ready;
  const bodies = cuts.map(({ meat, piece }) => pieceBody(meat, piece, START_C[meat.startsFrom]));
  const all = cuts.map(({ meat, piece }, i) => {
    const beside = bodies.filter((_, other) => other !== i);
    return timing(planOf(plan, meat), piece, ready.pot, i === 0 ? after : [], beside);
  });
  const [odds, ...otherOdds] = all as [Timing, ...Timing[]];
  // The slower cut sets the minutes.
  const wanted = all.map((one) => one.minutesFor(plan.confidence));
  const proposedMinutes = wanted.some((minutes) => minutes === null)
    ? null
    : Math.ceil(Math.max(...wanted.map((minutes) => minutes ?? 0)) - 1e-6);
  const longest = Math.floor(Math.max(...all.map((one) => one.longest)));
  const pressureMinutes = plan.pressureMinutes ?? proposedMinutes ?? longest;
  return { ready, odds, otherOdds, proposedMinutes, pressureMinutes, run: mainRun(plan, cuts, ready.pot, pressureMinutes) };
}

const minutesIn =
  (staging: Staging) =>
  (id: StageId): number | undefined =>
    staging.stages.find(({ place }) => place === id)?.minutes;

/**
 * Runs a whole evening: the first run as long as the meat wants it, vegetables and grains in the stages that meet their
 * textures with the fewest openings, the stages that they and the cook ask for, and the meat in them or under foil.
 *
 * @param plan every default filled in
 * @param before filled with the pot's history before the lid goes on
 * @throws PlanError naming the field that makes the plan impossible
 */
export function evening(plan: Plan, before: CurvePoint[] = []): Evening {
  const none = { ...plan, vegetables: pinnedOnly(plan.vegetables), grains: pinnedOnly(plan.grains) };
  let main = first(none, before, []);
  let staging: Staging = { stages: [], openings: 1, allMet: true };
  let resolved = plan;
  if (plan.vegetables.length + plan.grains.length > 0) {
    staging = stagesOf(plan, main.run);
    resolved = placed(plan, staging);
    if (startsWith(resolved) !== startsWith(none)) {
      // What rides along from the start weighs on the pot: once more, with everything in its place.
      main = first(resolved, before, []);
      staging = asPlanned(plan, stagesOf(resolved, main.run));
      resolved = placed(plan, staging);
    } else if (tooCold(plan, resolved)) {
      // What went elsewhere does not cool the second run after all: ask it again with what is really in it.
      staging = asPlanned(plan, stagesOf(resolved, main.run));
    }
  }
  // Meat that stays in goes on cooking: fewer minutes before it.
  const order = sequenceOf(resolved);
  if (order.some((stage) => isDone(resolved, stage) && meatsDuring(resolved, order, stage).includes(0))) {
    main = first(resolved, before, throughFirstCut(laterStages(resolved, main.run, minutesIn(staging))));
  }
  return closing(resolved, main, staging);
}

/** What the first cut goes through after the first opening: the stages that it is in for. */
const throughFirstCut = ({ done }: Later): Stretch[] =>
  done.flatMap(({ meats, standing, history }) => (meats.includes(0) ? [...standing, ...history] : []));

/** Whether the run that is sought was tried with more in it than will be; within this it does not matter, g. */
const SAME_LOAD_G = 50;

function tooCold(plan: Plan, resolved: Plan): boolean {
  const trial = sequenceOf(plan).find(({ kind, minutes }) => kind === 'pressure' && minutes === null);
  if (!trial) return false;
  const there = gramsAt(resolved, trial.id, false);
  return there > 0 && Math.abs(gramsAt(plan, trial.id, true) - there) > SAME_LOAD_G;
}

function pinnedOnly<T extends { readonly place: string }>(items: readonly T[]): T[] {
  return items.filter(({ place }) => place !== 'auto');
}

/** The second staging had every place fixed; what the cook had left open is not pinned. */
function asPlanned(plan: Plan, staging: Staging): Staging {
  const open = new Set(
    portionsOf(plan).flatMap(({ id, kind, index }) => {
      const item = kind === 'vegetable' ? plan.vegetables[index] : kind === 'grain' ? plan.grains[index] : undefined;
      return item?.place === 'auto' ? [id] : [];
    }),
  );
  return {
    ...staging,
    stages: staging.stages.map((stage) => ({
      ...stage,
      items: stage.items.map((item) => ({ ...item, pinned: !open.has(item.portion) })),
    })),
  };
}

/** Meat hotter than water boils here gives its heat off as steam when the lid comes off. */
const flashed = (coreC: number, boilingC: number): number => Math.min(coreC, boilingC);

function closing(resolved: Plan, main: First, found: Staging): Evening {
  const after = laterStages(resolved, main.run, minutesIn(found));
  const { run, ready } = main;
  const { open, done } = after;
  const cuts = meatsOf(resolved);
  const { boilingC } = run.pot.build;
  const bodyOf = (i: number): CookingBody | undefined => {
    const at = open.inPot.indexOf(i);
    return at >= 0 ? open.pot.bodies[at] : open.outside.get(i);
  };
  const laterMinutes = after.curve.at(-1)?.minute ?? 0;
  const stayed = done.length > 0 && open.inPot.includes(0);
  const chances: Chance[] = [main.odds, ...main.otherOdds].map((odds) => odds.chance(main.pressureMinutes));
  let seen = 0;
  const meats = cuts.map(({ goesIn = 'start', ...meat }, i): DoneMeat => {
    const piece = goesIn === 'start' ? (ready.cuts[seen]?.piece ?? ready.piece) : pieceOf(meat);
    const chance = goesIn === 'start' ? chances[seen] : chanceThrough(planOf(resolved, meat), piece, throughLater(done, i));
    if (goesIn === 'start') seen += 1;
    const body = bodyOf(i) ?? run.piece;
    const inPot = open.inPot.includes(i);
    let foil: DoneMeat['foil'] = null;
    if (!inPot) {
      const out = body.withSurface(UNDER_FOIL_W_PER_M2K);
      waits(out, resolved.finish.restMinutes, resolved.kitchen.roomC);
      foil = {
        minutes: laterMinutes + resolved.finish.restMinutes,
        coreC: flashed(out.coreC, boilingC),
      };
    }
    return { meat, piece, body, chance: chance ?? { short: 1, at: 0, past: 0 }, foil, inPot };
  });
  const piece = stayed ? (bodyOf(0) ?? run.piece) : run.piece;
  return {
    ...main,
    resolved,
    staging: watered(resolved, main.run, done, asDone(found, done)),
    later: done,
    meats,
    piece,
    foil: meats[0]?.foil ?? null,
    laterCurve: after.curve,
    drinkers: open.drinkers,
  };
}

/** What a cut that goes in later goes through. */
const throughLater = (done: readonly DoneStage[], cut: number): Stretch[] =>
  done.flatMap(({ meats, history }) => (meats.includes(cut) ? history : []));

/** The staging with the minutes that the pot really takes. */
function asDone(staging: Staging, done: readonly DoneStage[]): Staging {
  const empty = done
    .filter(({ id }) => !staging.stages.some(({ place }) => place === id))
    .map(({ id, kind, settings }): Stage => ({
      place: id,
      kind,
      name: settings.name ?? '',
      minutes: 0,
      reheatMinutes: 0,
      releaseMinutes: 0,
      release: kind === 'pressure' ? (settings.release?.method ?? 'quick') : null,
      items: [],
    }));
  const all = [...staging.stages, ...empty].map((stage) => {
    const ran = done.find(({ id }) => id === stage.place);
    if (!ran) return stage;
    const { minutes, reheatMinutes, releaseMinutes } = ran;
    return { ...stage, minutes, reheatMinutes, releaseMinutes };
  });
  const at = ({ place, kind }: Stage): number => {
    const later = done.findIndex(({ id }) => id === place);
    return kind === 'start' ? -1 : later < 0 ? done.length : later;
  };
  return {
    ...staging,
    openings: 1 + done.filter(({ kind }) => kind === 'pressure').length,
    stages: all.map((stage, i) => ({ stage, i })).sort((a, b) => at(a.stage) - at(b.stage) || a.i - b.i).map(({ stage }) => stage),
  };
}

/** Short of so much of what it drinks, grain is hard. From memory. */
const DRY_SHARE = 0.05;

/** Grain is done only with the water it needs: what it does not find is missing, and it is hard. */
function watered(plan: Plan, run: MainRun, done: readonly DoneStage[], staging: Staging): Staging {
  const missing = new Map<string, number>();
  let short = 0;
  const judge = (place: StageId, freeMl: number): void => {
    const here = grainsAt(plan, place);
    const lacking = Math.max(0, -freeMl) - short;
    if (lacking <= 0 || here.length === 0) return;
    short += lacking;
    const all = here.reduce((sum, { grain, grams: g }) => sum + g * grainById(grain).uptakeMlPerG, 0);
    for (const { portion, grain, grams: g } of here) {
      missing.set(portion, (lacking * g * grainById(grain).uptakeMlPerG) / all);
    }
  };
  judge('start', lowestMl(run.moments));
  for (const stage of done) judge(stage.id, stage.moments.length > 0 ? lowestMl(stage.moments) : stage.atLockMl);
  if (missing.size === 0) return staging;
  const stages = staging.stages.map((stage) => ({
    ...stage,
    items: stage.items.map((item) => {
      const missingMl = missing.get(item.portion) ?? 0;
      const wants = item.grain === undefined ? 0 : item.grams * grainById(item.grain).uptakeMlPerG;
      return missingMl > DRY_SHARE * wants ? { ...item, missingMl, texture: 'hard' as const, met: false } : item;
    }),
  }));
  return { ...staging, stages, allMet: stages.every(({ items }) => items.every(({ met }) => met)) };
}

/** The least free liquid under a lid, ml: below nothing where it is short. */
export function lowestMl(moments: readonly BaseMoment[]): number {
  return moments.reduce((least, { freeMl }) => Math.min(least, freeMl), Number.POSITIVE_INFINITY);
}
