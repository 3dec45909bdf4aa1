import { meatsOf } from '../../plan/meats';
import type { CookingBody } from '../../physics/cooking-body';
import { pieceOf, type Piece } from '../../meat/piece';
import { pieceBody, START_C } from '../../meat/piece-body';
import type { Meat, Plan, PlannedStage, StageId, WarmWay } from '../../plan/plan';
import { withFreshVegetables } from '../../plan/cook-ahead';
import { portionAt, portionsOf } from '../../plan/portions';
import { kitchenAirKPa } from '../../pot/cooker';
import type { Drinkers } from '../../pot/drinkers';
import type { Pot } from '../../pot/pot-model';
import { backToBoil, trySecondRun, type Refill } from '../../pot/later-stage';
import { PLANT_J_PER_KG_K } from '../../pot/loading';
import { advanceAlongside, type Stretch } from '../../pot/pressure-run';
import { stageVegetables, type Stage, type Staging } from '../../stations/stages';
import type { Chance } from './chance';
import type { CurvePoint } from './curve';
import { watered } from './grain-water';
import { readyPot, type ReadyPot } from './kitchen-pot';
import {
  coreUnderFoil,
  gramsAt,
  isDone,
  laterStages,
  meatsDuring,
  opened,
  refillOf,
  resting,
  sequenceOf,
  throughFrom,
  type DoneStage,
  type Later,
  type Open,
} from './later-stages';
import { mainRun, recorder, type MainRun } from './main-run';
import { nextDay, type FromThePot, type NextDay } from './next-day';
import { chanceThrough, timing, type Timing } from './timing';

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
  /** The pot when the last stage is over, with the meat that is in it. */
  readonly lastPot: Pot;
  /** Where it is cooked ahead, what becomes of it until it is eaten. */
  readonly nextDay: NextDay | null;
  /** Let go by the meat after the last stage was filled, ml. */
  readonly lastJuiceMl: number;
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
  const beforeTrial =
    trial && fixed.length > 0
      ? laterStages(
          plan,
          run,
          () => 0,
          ({ id }) => id === trial.id,
        ).open
      : open;
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

function first(
  plan: Plan,
  before: CurvePoint[],
  after: readonly Stretch[],
  untilEaten: readonly Stretch[] = [],
): First {
  before.length = 0;
  const ready = readyPot(plan, recorder(before, plan, kitchenAirKPa(plan.kitchen), 0));
  const { cuts } = ready;
  // Alone in the pot it shares its heat with nothing.
  const bodies = cuts.length < 2 ? [] : cuts.map(({ meat, piece }) => pieceBody(meat, piece, START_C[meat.startsFrom]));
  const all = cuts.map(({ meat, piece }, i) => {
    const beside = bodies.filter((_, other) => other !== i);
    return timing(planOf(plan, meat), piece, ready.pot, i === 0 ? [...after, ...untilEaten] : untilEaten, beside);
  });
  const [odds, ...otherOdds] = all as [Timing, ...Timing[]];
  // The slower cut sets the minutes.
  const wanted = all.map((one) => one.minutesFor(plan.confidence));
  const proposedMinutes = wanted.some((minutes) => minutes === null)
    ? null
    : Math.ceil(Math.max(...wanted.map((minutes) => minutes ?? 0)) - 1e-6);
  const longest = Math.floor(Math.max(...all.map((one) => one.longest)));
  const pressureMinutes = plan.pressureMinutes ?? proposedMinutes ?? longest;
  return {
    ready,
    odds,
    otherOdds,
    proposedMinutes,
    pressureMinutes,
    run: mainRun(plan, cuts, ready.pot, pressureMinutes),
  };
}

const minutesIn =
  (staging: Staging) =>
  (id: StageId): number | undefined =>
    staging.stages.find(({ place }) => place === id)?.minutes;

/**
 * Runs a whole evening: the first run as long as the meat wants it, vegetables and grains in the stages that meet their
 * textures with the fewest openings, the stages that they and the cook ask for, and the meat in them or under foil.
 *
 * @param asked every default filled in
 * @param before filled with the pot's history before the lid goes on
 * @throws PlanError naming the field that makes the plan impossible
 */
export function evening(asked: Plan, before: CurvePoint[] = []): Evening {
  const plan = withFreshVegetables(asked);
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
      staging = asPlanned(asked, stagesOf(resolved, main.run));
      resolved = placed(plan, staging);
    } else if (tooCold(plan, resolved)) {
      // What went elsewhere does not cool the second run after all: ask it again with what is really in it.
      staging = asPlanned(asked, stagesOf(resolved, main.run));
    }
  }
  // Meat that stays in goes on cooking: fewer minutes before it.
  const order = sequenceOf(resolved);
  if (order.some((stage) => isDone(resolved, stage) && meatsDuring(resolved, order, stage).includes(0))) {
    main = first(resolved, before, throughFirstCut(laterStages(resolved, main.run, minutesIn(staging))));
  }
  if (plan.cookAhead !== undefined) {
    // What cooling and warming add is in the odds: fewer minutes before them.
    const later = laterStages(resolved, main.run, minutesIn(staging));
    main = first(resolved, before, throughFirstCut(later), untilEaten(resolved, main, later, []).history);
  }
  return closing(resolved, main, staging);
}

/** Every cut as the last stage leaves it, in the pot or under foil. */
function cutsAfter(plan: Plan, { run, ready }: First, { open }: Later): FromThePot[] {
  let seen = 0;
  return meatsOf(plan).map(({ goesIn = 'start', ...meat }, i) => {
    const piece = goesIn === 'start' ? (ready.cuts[seen]?.piece ?? ready.piece) : pieceOf(meat);
    if (goesIn === 'start') seen += 1;
    const at = open.inPot.indexOf(i);
    return { meat, piece, body: (at >= 0 ? open.pot.bodies[at] : open.outside.get(i)) ?? run.piece };
  });
}

/** What becomes of a braise that is cooked ahead, from the pot that its last stage leaves. */
const untilEaten = (plan: Plan, main: First, after: Later, ways?: readonly WarmWay[]): NextDay =>
  nextDay(plan, after.open.pot, cutsAfter(plan, main, after), ways);

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

function closing(resolved: Plan, main: First, found: Staging): Evening {
  const after = laterStages(resolved, main.run, minutesIn(found));
  const { run } = main;
  const { open, done } = after;
  const cuts = meatsOf(resolved);
  const { boilingC } = run.pot.build;
  const left = cutsAfter(resolved, main, after);
  const kept = resolved.cookAhead === undefined ? null : nextDay(resolved, open.pot, left);
  const eaten = (body: CookingBody): CookingBody => {
    if (kept === null) return body;
    const warmed = body.clone();
    advanceAlongside(warmed, kept.history);
    return warmed;
  };
  const laterMinutes = after.curve.at(-1)?.minute ?? 0;
  const stayed = done.length > 0 && open.inPot.includes(0);
  const chances: Chance[] = [main.odds, ...main.otherOdds].map((odds) => odds.chance(main.pressureMinutes));
  let seen = 0;
  const meats = left.map(({ meat, piece, body: asLeft }, i): DoneMeat => {
    const { goesIn = 'start' } = cuts[i] ?? {};
    const chance =
      goesIn === 'start'
        ? chances[seen]
        : chanceThrough(planOf(resolved, meat), piece, [...throughLater(done, i), ...(kept?.history ?? [])]);
    if (goesIn === 'start') seen += 1;
    const body = eaten(asLeft);
    const inPot = open.inPot.includes(i);
    const { restMinutes } = resolved.finish;
    const foil =
      inPot || kept !== null
        ? null
        : { minutes: laterMinutes + restMinutes, coreC: coreUnderFoil(body.clone(), restMinutes, resolved, boilingC) };
    return { meat, piece, body, chance: chance ?? { short: 1, at: 0, past: 0 }, foil, inPot };
  });
  const piece = eaten(stayed ? (left[0]?.body ?? run.piece) : run.piece);
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
    lastPot: open.pot,
    nextDay: kept,
    lastJuiceMl: after.lastJuiceMl,
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
    stages: all
      .map((stage, i) => ({ stage, i }))
      .sort((a, b) => at(a.stage) - at(b.stage) || a.i - b.i)
      .map(({ stage }) => stage),
  };
}
