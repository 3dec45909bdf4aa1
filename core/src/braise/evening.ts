import { vegetableById } from '../larder/vegetables';
import type { CookingBody } from '../physics/cooking-body';
import { toughnessOf } from '../plan/learnt';
import type { Plan } from '../plan/plan';
import { kitchenAirKPa } from '../pot/cooker';
import { backToBoil, secondRun, trySecondRun, type Refill, type SecondRun } from '../pot/second-run';
import type { Pot } from '../pot/pot-model';
import { PLANT_J_PER_KG_K } from '../pot/loading';
import { STANDING_OPEN, stepFor, type Follow, type Stretch } from '../pot/pressure-run';
import { stageVegetables, type Stage, type Staging } from '../stations/stages';
import { juiceMl } from '../meat/yield';
import type { CurvePoint } from './forecast-document';
import { readyPot, type ReadyPot } from './kitchen-pot';
import { mainRun, recorder, type MainRun } from './main-run';
import { timing, type Timing } from './timing';

/** A gentle simmer: a quarter of the heat, the lid ajar. Common practice. */
const SIMMER_SHARE = 0.25;
/** In still air under foil, W/m² K. From memory. */
export const UNDER_FOIL_W_PER_M2K = 6;

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
  readonly second: SecondRun | null;
  readonly simmer: { readonly minutes: number; readonly reheatMinutes: number; readonly boiledKg: number } | null;
  /** The meat when it is served, and its middle if it waited under foil. */
  readonly piece: CookingBody;
  readonly foil: { readonly minutes: number; readonly coreC: number } | null;
  /** After the first opening, minutes from there. */
  readonly laterCurve: readonly CurvePoint[];
}

/** What is free in the pot beside its own water when it is opened: juice of meat and of what has cooked, ml. */
function juicesMl(plan: Plan, run: MainRun): number {
  const meat = juiceMl(plan.meat, run.piece.body.heatK(), run.piece.meanCookValue());
  const plants = plan.vegetables
    .filter(({ place }) => place === 'start' || place === 'flavour-only')
    .reduce((sum, { vegetable, grams }) => sum + grams * vegetableById(vegetable).juiceShare, 0);
  return meat + plants;
}

interface First {
  readonly ready: ReadyPot;
  readonly odds: Timing;
  readonly proposedMinutes: number | null;
  readonly pressureMinutes: number;
  readonly run: MainRun;
}

function first(plan: Plan, before: CurvePoint[], after: readonly Stretch[]): First {
  before.length = 0;
  const toughness = toughnessOf(plan);
  const ready = readyPot(plan, recorder(before, toughness, kitchenAirKPa(plan.kitchen), 0));
  const odds = timing(plan, ready.piece, ready.pot, after);
  const wanted = odds.minutesFor(plan.confidence);
  const proposedMinutes = wanted === null ? null : Math.ceil(wanted - 1e-6);
  const pressureMinutes = plan.pressureMinutes ?? proposedMinutes ?? Math.floor(odds.longest);
  return {
    ready,
    odds,
    proposedMinutes,
    pressureMinutes,
    run: mainRun(plan, ready.piece, ready.pot, pressureMinutes),
  };
}

/** Grams that go in at a place, for the cold they bring. */
function gramsAt(staging: Staging | null, plan: Plan, place: Stage['place']): number {
  if (staging) {
    const stage = staging.stages.find((one) => one.place === place);
    return (stage?.items ?? []).reduce((sum, { grams }) => sum + grams, 0);
  }
  const here = [...plan.vegetables, ...plan.grains].filter((item) => item.place === place || item.place === 'auto');
  return here.reduce((sum, { grams }) => sum + grams, 0);
}

function refillOf(plan: Plan, run: MainRun, grams: number): Refill {
  return {
    meat: plan.meatInSecondRun,
    juiceKg: juicesMl(plan, run) / 1000,
    brothOutKg: plan.brothOutMl / 1000,
    coldJPerK: (grams / 1000) * PLANT_J_PER_KG_K,
  };
}

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

function stagesOf(plan: Plan, run: MainRun): Staging {
  if (plan.vegetables.length + plan.grains.length === 0) return { stages: [], openings: 1, allMet: true };
  const refill = refillOf(plan, run, gramsAt(null, plan, 'second-run'));
  const offHeat = (gramsAt(null, plan, 'off-heat') / 1000) * PLANT_J_PER_KG_K;
  return stageVegetables(plan, {
    main: run.history,
    second: trySecondRun(run.pot, refill, plan.cooker),
    rest: resting(run.pot, plan.finish.restMinutes, offHeat),
    simmerC: run.pot.build.boilingC,
    backToBoilMinutes: backToBoil(run.pot, refill).minutes,
  });
}

/** The plan with each vegetable and grain where the staging has it. */
function placed(plan: Plan, staging: Staging): Plan {
  const items = staging.stages.flatMap(({ items: here }) => here);
  const placeOf = (kind: 'vegetable' | 'grain', id: string, place: Plan['grains'][number]['place']): typeof place =>
    place === 'auto' ? (items.find((item) => item[kind] === id && !item.pinned)?.place ?? 'start') : place;
  return {
    ...plan,
    vegetables: plan.vegetables.map((item) => ({ ...item, place: placeOf('vegetable', item.vegetable, item.place) })),
    grains: plan.grains.map((item) => ({ ...item, place: placeOf('grain', item.grain, item.place) })),
  };
}

/** What rides along from the start, for comparing two plans. */
const startsWith = (plan: Plan): string =>
  JSON.stringify(
    [...plan.vegetables, ...plan.grains].filter(({ place }) => place === 'start' || place === 'flavour-only'),
  );

interface Later {
  readonly second: SecondRun | null;
  readonly simmer: Evening['simmer'];
  readonly curve: CurvePoint[];
  /** What the pot went through, for meat that stays in. */
  readonly history: Stretch[];
  readonly pot: Pot;
}

/** What the pot does after its first opening. */
function later(plan: Plan, run: MainRun, staging: Staging): Later {
  const curve: CurvePoint[] = [];
  const history: Stretch[] = [];
  const opened = run.pot.minutes;
  const toughness = toughnessOf(plan);
  const draw = recorder(curve, toughness, run.pot.build.airKPa, -opened, (pot) => pot.bodies[0] ?? run.piece);
  const record: Follow = (stretch, pot) => {
    history.push(stretch);
    draw(stretch, pot);
  };
  let { pot } = run;
  let second: SecondRun | null = null;
  const secondStage = staging.stages.find(({ place }) => place === 'second-run');
  if (secondStage) {
    const refill = refillOf(plan, run, gramsAt(staging, plan, 'second-run'));
    second = secondRun(pot, refill, secondStage.minutes, plan.cooker, record);
    if (second) ({ pot } = second);
  }
  let simmer: Evening['simmer'] = null;
  const simmerStage = staging.stages.find(({ place }) => place === 'simmer');
  if (simmerStage) {
    const grams = gramsAt(staging, plan, 'simmer');
    const whole = refillOf(plan, run, grams);
    const refill = second ? { ...whole, brothOutKg: 0, juiceKg: 0 } : whole;
    const boiling = backToBoil(pot, refill, record);
    const before = boiling.pot.accounts.boiledKg;
    const watts = boiling.pot.build.heaterW * SIMMER_SHARE;
    stepFor(boiling.pot, simmerStage.minutes, { ...STANDING_OPEN, watts }, record);
    simmer = {
      minutes: simmerStage.minutes,
      reheatMinutes: boiling.minutes,
      boiledKg: boiling.pot.accounts.boiledKg - before,
    };
    ({ pot } = boiling);
  }
  return { second, simmer, curve, history, pot };
}

/**
 * Runs a whole evening: the first run as long as the meat wants it, vegetables and grains in the stages that meet their
 * textures with the fewest openings, the second run and the simmer they need, and the meat in them or under foil.
 *
 * @param plan every default filled in
 * @param before filled with the pot's history before the lid goes on
 * @throws PlanError naming the field that makes the plan impossible
 */
export function evening(plan: Plan, before: CurvePoint[] = []): Evening {
  const none = { ...plan, vegetables: pinnedOnly(plan.vegetables), grains: pinnedOnly(plan.grains) };
  const staged = plan.vegetables.length + plan.grains.length > 0;
  let main = first(none, before, []);
  if (!staged) return closing(plan, main, { stages: [], openings: 1, allMet: true });
  let staging = stagesOf(plan, main.run);
  let resolved = placed(plan, staging);
  if (startsWith(resolved) !== startsWith(none)) {
    // What rides along from the start weighs on the pot: once more, with everything in its place.
    main = first(resolved, before, []);
    staging = asPlanned(plan, stagesOf(resolved, main.run));
    resolved = placed(plan, staging);
  } else if (tooCold(plan, staging)) {
    // What went elsewhere does not cool the second run after all: ask it again with what is really in it.
    staging = asPlanned(plan, stagesOf(resolved, main.run));
  }
  const stays =
    plan.meatInSecondRun === 'in' && (staging.openings > 1 || staging.stages.some((s) => s.place === 'simmer'));
  // Meat that stays in goes on cooking: fewer minutes before it.
  if (stays) main = first(resolved, before, later(resolved, main.run, staging).history);
  return closing(resolved, main, staging);
}

/** Whether the second run was tried with more in it than will be; within this it does not matter, g. */
const SAME_LOAD_G = 50;

function tooCold(plan: Plan, staging: Staging): boolean {
  const tried = gramsAt(null, plan, 'second-run');
  const there = gramsAt(staging, plan, 'second-run');
  return there > 0 && Math.abs(tried - there) > SAME_LOAD_G;
}

function pinnedOnly<T extends { readonly place: string }>(items: readonly T[]): T[] {
  return items.filter(({ place }) => place !== 'auto');
}

/** The second staging had every place fixed; what the cook had left open is not pinned. */
function asPlanned(plan: Plan, staging: Staging): Staging {
  const open = new Set([
    ...plan.vegetables.filter(({ place }) => place === 'auto').map(({ vegetable }) => vegetable),
    ...plan.grains.filter(({ place }) => place === 'auto').map(({ grain }) => grain),
  ]);
  return {
    ...staging,
    stages: staging.stages.map((stage) => ({
      ...stage,
      items: stage.items.map((item) => ({ ...item, pinned: !open.has(item.vegetable ?? item.grain ?? '') })),
    })),
  };
}

function closing(resolved: Plan, main: First, staging: Staging): Evening {
  const after = later(resolved, main.run, staging);
  const stayed = after.pot.bodies[0];
  const { run } = main;
  const waits = (after.curve.at(-1)?.minute ?? 0) + resolved.finish.restMinutes;
  let foil: Evening['foil'] = null;
  if (!stayed) {
    const resting_ = run.piece.withSurface(UNDER_FOIL_W_PER_M2K);
    for (let minute = 0; minute < waits; minute += 1) {
      resting_.advance(60, resolved.kitchen.roomC, resolved.kitchen.roomC);
    }
    foil = { minutes: waits, coreC: resting_.coreC };
  }
  return {
    ...main,
    resolved,
    staging,
    second: after.second,
    simmer: after.simmer,
    piece: stayed ?? run.piece,
    foil,
    laterCurve: after.curve,
  };
}
