import type { Text } from '@hervir/language/message';
import { dryGrain, grainById } from '../catalog/grains';
import { rubbedAhead } from '../method/board';
import { thawMinutes, thawStockMinutes } from '../meat/thaw-time';
import { meatsOf } from '../plan/meats';
import type { Meat, Plan } from '../plan/plan';
import { portionAt, portionsOf, type Portion, type PortionId } from '../plan/portions';
import { isCured } from '../stations/sear';
import { localHour, shiftIso } from '../units/time';
import { doneFor, PART_ID } from './ahead-done';
import type { ScheduledTask } from './schedule';

/** What is done hours or days before the evening, or, where it is cooked ahead, on the day it is eaten. */
export type AheadKind =
  'thaw-fridge' | 'thaw-water' | 'thaw-stock' | 'rub' | 'salt' | 'marinate' | 'soak' | 'cook' | 'warm';

/** One thing to be done before the evening: when, and what it is done for. */
export interface AheadTask {
  readonly id: string;
  readonly kind: AheadKind;
  readonly portion: PortionId;
  /** As it is said in the middle of a sentence. */
  readonly name: Text;
  /** It takes so long by itself, minutes. */
  readonly minutes: number;
  /** Minutes of the evening's clock, below zero before its start: when it must have begun, and when it is over. */
  readonly latest: number;
  readonly until: number;
  /** When it is best begun: earlier where the latest is in the night and it may lie longer, minutes of the clock. */
  readonly best: number;
  /** The same as wall clock; null where the plan has no dinner time. */
  readonly at: string | null;
  readonly latestAt: string | null;
  /** When the cook said that it was done. */
  readonly doneAt: string | null;
}

/** A night when nobody says how long salt lies on it. */
const A_NIGHT = 1440;
/** Pulses lie in water so long at least, and so long at most before they sprout or sour. Common practice. */
const SOAK = { least: 8 * 60, most: 24 * 60 };
/** What may lie longer than it must, minutes: salt two days, thawed meat a day in the fridge. USDA FSIS; from memory. */
const LONGER: Readonly<Record<AheadKind, number>> = {
  'thaw-fridge': 1440,
  'thaw-water': 0,
  'thaw-stock': 1440,
  rub: 1440,
  salt: 1440,
  marinate: 8 * 60,
  soak: SOAK.most - SOAK.least,
  cook: 0,
  warm: 0,
};
/** Nobody gets up for it: between these hours it is done the evening before. */
const NIGHT = { from: 22, to: 7 };
const LAST_AT_NIGHT = 21;

/** The evening's clock, and where it is cooked ahead how long the day's own work takes. */
interface Clock {
  readonly startAt: string | null;
  readonly totalMinutes?: number;
  readonly tasks: readonly ScheduledTask[];
  readonly dayMinutes?: number | undefined;
}

/**
 * The best time for what must be begun at the latest so late: not in the night, where it may lie longer.
 *
 * @param kind of work
 * @param latest minutes from a moment
 * @param startAt that moment, ISO 8601; null where it has no time
 * @returns minutes from the same moment
 * @example atGoodTime('thaw-fridge', -16 * 60, '2027-01-17T19:00:00+01:00') // -22 * 60
 */
export function atGoodTime(kind: AheadKind, latest: number, startAt: string | null): number {
  if (startAt === null) return latest;
  const hour = localHour(shiftIso(startAt, latest));
  const inTheNight = hour >= NIGHT.from || hour < NIGHT.to;
  if (!inTheNight) return latest;
  const back = ((hour < NIGHT.to ? hour + 24 : hour) - LAST_AT_NIGHT) * 60;
  return back <= LONGER[kind] ? latest - back : latest;
}

/** What is done to one cut before the evening, the last first. */
function ofMeat(meat: Meat, searMinute: number): { kind: AheadKind; minutes: number; until: number }[] {
  const steps: { kind: AheadKind; minutes: number; until: number }[] = [];
  let until = 0;
  const before = (kind: AheadKind, minutes: number, end: number): void => {
    steps.push({ kind, minutes, until: end });
    until = Math.min(until, end - minutes);
  };
  if (meat.salted === 'ahead' && !isCured(meat)) before('salt', meat.saltedMinutes ?? A_NIGHT, searMinute);
  if (rubbedAhead(meat)) before('rub', (meat.rub?.hours ?? 0) * 60, 0);
  if (meat.marinade !== null && meat.marinade.hours > 0) before('marinate', meat.marinade.hours * 60, 0);
  if (meat.thaw !== undefined && meat.startsFrom !== 'frozen') {
    before(meat.thaw === 'fridge' ? 'thaw-fridge' : 'thaw-water', thawMinutes(meat, meat.thaw), until);
  }
  return steps;
}

/**
 * What a plan asks for before its evening: thawing, salt, marinades, soaking; the earliest first, and last the warming of what
 * was cooked ahead.
 *
 * @param plan every default filled in
 * @param clock of its forecast
 * @returns minutes of the evening's clock, and wall clock where dinner has a time
 * @throws PlanError as its pieces do
 * @example aheadOf({ ...plan, meat: { ...plan.meat, thaw: 'fridge' } }, { startAt: null, tasks: [] })[0].kind // 'thaw-fridge'
 */
export function aheadOf(plan: Plan, { startAt, totalMinutes = 0, tasks, dayMinutes }: Clock): AheadTask[] {
  const portions = portionsOf(plan);
  const searMinute = tasks.find(({ work }) => work.kind === 'sear')?.startMinute ?? 0;
  const at = (minute: number): string | null => (startAt === null ? null : shiftIso(startAt, minute));
  const task = (
    kind: AheadKind,
    { id: portion, name }: Pick<Portion, 'id' | 'name'>,
    minutes: number,
    until: number,
  ): AheadTask => {
    const id = kind === PART_ID.evening || kind === PART_ID.day ? kind : `${kind}:${portion}`;
    const latest = until - minutes;
    const best = atGoodTime(kind, latest, startAt);
    const doneAt = doneFor(plan, id);
    return { id, kind, portion, name, minutes, latest, until, best, at: at(best), latestAt: at(latest), doneAt };
  };
  const ofMeats = meatsOf(plan).flatMap((meat, i) => {
    const portion = portionAt(portions, 'meat', i);
    return portion === undefined
      ? []
      : ofMeat(meat, searMinute).map(({ kind, minutes, until }) => task(kind, portion, minutes, until));
  });
  const ofGrains = portions
    .filter(({ kind, food }) => kind === 'grain' && food !== null && grainById(food).soaked)
    .map(({ id, food, name }) => task('soak', { id, name: dryGrain(food ?? '') ?? name }, SOAK.least, 0));
  const ofStock = portions
    .filter(({ kind, index }) => kind === 'liquid' && plan.liquids[index]?.frozen === true)
    .map(({ id, name, ml }) => task('thaw-stock', { id, name }, thawStockMinutes(ml ?? 0), 0));
  const first = portionAt(portions, 'meat', 0);
  const eaten = totalMinutes + (plan.cookAhead?.hours ?? 0) * 60;
  const ofTheDay =
    dayMinutes === undefined || first === undefined
      ? []
      : [task('cook', first, totalMinutes, totalMinutes), task('warm', first, dayMinutes, eaten)];
  return [...ofMeats, ...ofGrains, ...ofStock, ...ofTheDay].sort((a, b) => a.best - b.best);
}

const THAWING: ReadonlySet<AheadKind> = new Set(['thaw-fridge', 'thaw-water']);

/** What it means that something was done late, or not at all. */
export type Missed =
  | { readonly code: 'in-water'; readonly minutes: number }
  | { readonly code: 'still-frozen' }
  | { readonly code: 'salted-later'; readonly minutes: number }
  | { readonly code: 'salted-at-the-pot' }
  | { readonly code: 'marinated-shorter'; readonly hours: number }
  | { readonly code: 'not-marinated' }
  | { readonly code: 'rubbed-shorter'; readonly hours: number }
  | { readonly code: 'rubbed-at-the-pot' }
  | { readonly code: 'melt-in-pan'; readonly minutes: number }
  | { readonly code: 'unsoaked'; readonly grain: string }
  | { readonly code: 'soak-quickly' }
  | { readonly code: 'eaten-later' | 'in-fridge-later'; readonly minutes: number };

/** Something late, what it means, and the plan as it then is; the same plan where only the cook can mend it. */
export interface Late {
  readonly task: AheadTask;
  readonly missed: Missed;
  readonly plan: Plan;
}

/** So much less than it should be is nothing, minutes. */
const NOTHING = 30;
/** Salt that lies for less is as good as put on at the pot; a marinade, as none. Common practice. */
const LEAST_SALT = 10;
const LEAST_MARINADE = 30;
/** Ice of a stock: melted, and brought to the kitchen’s warmth, J/ml; a hob’s half heat into a pan, W. Common practice. */
const MELT_J_PER_ML = 334 + 20 * 4.2 + 18 * 2;
const HOB_W = 900;
/** Pulses that lay so long are soaked enough. Common practice. */
const ENOUGH_SOAKED = 4 * 60;
/** A soaked pulse, and what it is when it was not. Kidney beans and chickpeas are not cooked from dry in a braise. */
const UNSOAKED: Readonly<Record<string, string>> = { 'bean-dry-soaked': 'bean-dry-unsoaked' };

/** The plan with one of its cuts changed, by its place. */
function withMeat(plan: Plan, index: number, change: Partial<Meat>): Plan {
  if (index === 0) return { ...plan, meat: { ...plan.meat, ...change } };
  return {
    ...plan,
    otherMeats: plan.otherMeats.map((meat, i) => (i === index - 1 ? { ...meat, ...change } : meat)),
  };
}

/** What so many minutes make of a task that wanted more. */
function missedBy(plan: Plan, { kind, portion, minutes }: AheadTask, left: number): Omit<Late, 'task'> {
  const { index = 0, food = null } = portionsOf(plan).find(({ id }) => id === portion) ?? {};
  const meat = meatsOf(plan)[index] ?? plan.meat;
  switch (kind) {
    case 'thaw-fridge':
    case 'thaw-water': {
      const inWater = thawMinutes(meat, 'cold-water');
      return kind === 'thaw-fridge' && inWater <= left
        ? { missed: { code: 'in-water', minutes: inWater }, plan: withMeat(plan, index, { thaw: 'cold-water' }) }
        : {
            missed: { code: 'still-frozen' },
            plan: withMeat(plan, index, { startsFrom: 'frozen', thaw: undefined }),
          };
    }
    case 'salt':
      return left >= LEAST_SALT
        ? {
            missed: { code: 'salted-later', minutes: Math.floor(left) },
            plan: withMeat(plan, index, { saltedMinutes: Math.floor(left) }),
          }
        : {
            missed: { code: 'salted-at-the-pot' },
            plan: withMeat(plan, index, { salted: 'just-before', saltedMinutes: undefined }),
          };
    case 'thaw-stock': {
      const ml = portionsOf(plan).find(({ id }) => id === portion)?.ml ?? 0;
      return { missed: { code: 'melt-in-pan', minutes: Math.ceil((ml * MELT_J_PER_ML) / HOB_W / 60) }, plan };
    }
    case 'rub': {
      const hours = Math.floor(left / 6) / 10;
      const kept = left >= LEAST_MARINADE ? hours : undefined;
      const rub = meat.rub && { ...meat.rub, hours: kept };
      return {
        missed: kept === undefined ? { code: 'rubbed-at-the-pot' } : { code: 'rubbed-shorter', hours },
        plan: withMeat(plan, index, { rub }),
      };
    }
    case 'marinate': {
      const hours = Math.floor(left / 6) / 10;
      return left >= LEAST_MARINADE && meat.marinade !== null
        ? {
            missed: { code: 'marinated-shorter', hours },
            plan: withMeat(plan, index, { marinade: { ...meat.marinade, hours } }),
          }
        : { missed: { code: 'not-marinated' }, plan: withMeat(plan, index, { marinade: null }) };
    }
    case 'cook':
    case 'warm':
      return {
        missed: { code: kind === 'warm' ? 'eaten-later' : 'in-fridge-later', minutes: Math.ceil(minutes - left) },
        plan,
      };
    case 'soak': {
      const dry = UNSOAKED[food ?? ''];
      if (dry === undefined) return { missed: { code: 'soak-quickly' }, plan };
      const grains = plan.grains.map((item, i) => (i === index ? { ...item, grain: dry } : item));
      return { missed: { code: 'unsoaked', grain: dry }, plan: { ...plan, grains } };
    }
  }
}

/**
 * What was done late, or was not done though its time has come: what it means for the evening, and the plan that reckons
 * with it.
 *
 * @param plan as it is kept
 * @param tasks of {@link aheadOf}
 * @param startAt when its evening begins, ISO 8601
 * @param nowMs wall clock
 * @returns the earliest first; nothing where all is in time
 * @example lateOnes(plan, [], '2027-01-17T16:00:00+01:00', 0).length // 0
 */
export function lateOnes(plan: Plan, tasks: readonly AheadTask[], startAt: string, nowMs: number): Late[] {
  const minuteOf = (ms: number): number => (ms - Date.parse(startAt)) / 60_000;
  const begunAt = ({ doneAt }: AheadTask): number => minuteOf(doneAt === null ? nowMs : Date.parse(doneAt));
  /** Nothing is put onto a block of ice: when a cut has thawed, in water where the fridge takes too long now. */
  const thawedAt = (portion: PortionId): number => {
    const thaw = tasks.find((one) => one.portion === portion && THAWING.has(one.kind));
    if (thaw === undefined) return -Infinity;
    const inFridge = begunAt(thaw) + thaw.minutes;
    if (inFridge <= NOTHING) return inFridge;
    const { missed } = missedBy(plan, thaw, -begunAt(thaw));
    return missed.code === 'in-water' ? minuteOf(nowMs) + missed.minutes : Infinity;
  };
  return tasks.flatMap((task) => {
    // Thawed in time for the board is thawed in time: salt and marinade then lie on it for less, and say so themselves.
    const thawing = THAWING.has(task.kind);
    const begun = begunAt(task);
    const from = thawing || task.doneAt !== null ? begun : Math.max(begun, thawedAt(task.portion));
    const left = (thawing ? 0 : task.until) - from;
    const byTheClock = task.kind === 'warm' || task.kind === 'cook';
    const least = task.minutes - (byTheClock ? 1 : NOTHING);
    if ((byTheClock && task.doneAt !== null) || left >= least || (task.kind === 'soak' && left >= ENOUGH_SOAKED))
      return [];
    return [{ task, ...missedBy(plan, task, Math.max(0, left)) }];
  });
}
