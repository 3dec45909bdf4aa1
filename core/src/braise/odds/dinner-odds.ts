import { LATE_TOGETHER, VARIES, WAITS } from '../../catalog/what-varies';
import { GRADES, gradeOf, leastGrade, type Grade } from '../../meat/tenderness';
import type { Work } from '../../method/step';
import { normalCdf } from '../../physics/normal';
import type { Plan } from '../../plan/plan';
import { spreadOf } from '../../plan/calibration';
import { isHotKind, withStage } from '../../plan/stage-settings';
import { forecast } from '../forecast/forecast';
import type { Forecast } from '../forecast/forecast-document';
import { additionalMinutes, TRYING_MINUTES } from '../guide/additional-minutes';
import { draws, type Draw } from './draws';
import { laidOut, play, type Playable } from './play';

/** What makes dinner early or late, as a cook sees it. */
export const CAUSES = ['animal', 'heater', 'losses', 'steam', 'board', 'sear', 'hands'] as const;
export type Cause = (typeof CAUSES)[number];

/** How sure a beginning makes a dinner in time. */
export interface Beginning {
  /** Chance that dinner is on the table by its time. */
  readonly chance: number;
  /** Begun so many minutes before the plan's own beginning. */
  readonly earlier: number;
}

/** When dinner is on the table, told against the plan's own time; minutes, later counts up. */
export interface DinnerOdds {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
  /** Chance that it is in time where the plan is begun as it says. */
  readonly inTime: number;
  /** Chance that it is on the table so many minutes after its time, or before. */
  readonly byMinute: readonly { readonly minute: number; readonly chance: number }[];
  /** When to begin to be so sure. */
  readonly beginnings: readonly Beginning[];
  /** How much of the spread is whose; adds up to one. */
  readonly shares: readonly { readonly cause: Cause; readonly share: number }[];
  /** When parts of the evening are over, against the plan. */
  readonly parts: readonly {
    readonly id: string;
    readonly work: Work;
    readonly p10: number;
    readonly p90: number;
  }[];
  /** The meat is found tough at the check and goes back: how often, and what it takes. */
  readonly stillTough: { readonly chance: number; readonly minutes: number };
}

/** Evenings that are played. Its quantiles are within half a minute of those of ten times as many (a test). */
export const EVENINGS = 2000;
/** Whose the spread is, is said in hundredths: fewer do. */
const SHARE_EVENINGS = 250;
/** How sure a cook may want to be. */
const SURE = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95] as const;

/** What is drawn for the whole evening, by its place; after them each task has a draw of its own. */
export const DRAWN = { animal: 0, heater: 1, losses: 2, steam: 3, board: 4, sear: 5, day: 6 } as const;
const OWN_FROM = Object.keys(DRAWN).length;

/** Whose minutes a task's are, where hands are at it. */
function handsOf({ kind }: Work, handsOn: boolean): 'board' | 'sear' | 'hands' | 'lid' | 'plate' | null {
  switch (kind) {
    case 'board':
    case 'later-board':
    case 'apart':
    case 'cook-apart':
    case 'side':
      return handsOn ? 'board' : null;
    case 'sear':
    case 'fry':
    case 'deglaze':
      return 'sear';
    case 'open':
      return 'lid';
    case 'plate':
      return 'plate';
    default:
      return handsOn ? 'hands' : null;
  }
}

/** A plan as it was decided: what varies does not make Hervir decide otherwise. */
function decided({ plan, placed, stages, pressureMinutes }: Forecast): Plan {
  const asPlaced: Plan = { ...plan, ...placed, pressureMinutes };
  return stages
    .filter(({ kind }) => isHotKind(kind))
    .reduce((pinned, { place, minutes }) => ({ ...pinned, ...withStage(pinned, place, { minutes }) }), asPlaced);
}

/** The minutes of each task a standard deviation below, and above, by one of the pot's own figures. */
interface Slope {
  /** Logarithm of the minutes over the plan's, at minus one and plus one. */
  readonly below: number;
  readonly above: number;
}

const FLAT: Slope = { below: 0, above: 0 };
/** Shorter than this a task has no share of anything, minutes. */
const NO_TIME = 0.2;

/** A deviation of the heater that changes a task by less does not show in it, share. */
const SHOWS = 0.02;
/** Farther off than this something else was the cause, deviations. */
const FARTHEST = 2.5;

/** How the pot's own minutes follow its heater and its losses: the plan's forecast with a little more, and a little less. */
function slopes(base: Forecast, plan: Plan, what: 'heat' | 'losses'): Map<string, Slope> {
  const known = base.plan.learnt?.[what];
  const sigma = spreadOf(base.plan, what);
  const at = (z: number): Map<string, number> => {
    const factor = (known?.factor ?? 1) * Math.exp(sigma * z);
    const other = forecast({ ...plan, learnt: { ...base.plan.learnt, [what]: { factor, cooks: known?.cooks ?? 0 } } });
    return new Map(other.clock.tasks.map(({ id, minutes }) => [id, minutes]));
  };
  const [below, above] = [at(-1), at(1)];
  return new Map(
    base.clock.tasks.map(({ id, minutes }) => {
      const [low, high] = [below.get(id) ?? minutes, above.get(id) ?? minutes];
      if (Math.min(minutes, low, high) < NO_TIME) return [id, FLAT];
      return [id, { below: Math.log(low / minutes), above: Math.log(high / minutes) }];
    }),
  );
}

/** Through the three points that are known, a parabola: the logarithm of the minutes, so many deviations off. */
const along = ({ below, above }: Slope, z: number): number => ((above - below) / 2) * z + ((above + below) / 2) * z * z;

/** Minutes of the first come-up that go by while steam is blown off, before the pin. */
function steamMinutes({ pot, clock }: Forecast): number {
  const lidOn = clock.tasks.find(({ work }) => work.kind === 'come-up')?.startMinute ?? 0;
  const boils = pot.curve.find(({ minute, liquidC }) => minute >= lidOn && liquidC >= pot.boilingC - 0.5);
  return boils === undefined ? 0 : Math.max(0, lidOn + pot.minutesToPin - boils.minute);
}

/** What a second run costs when the fork finds the meat one grade short, and how often a fork does. */
function toughRun(base: Forecast): { readonly chance: number; readonly minutes: number } {
  const { chance } = base.tenderness;
  const least = base.nextDay === null ? leastGrade(base.plan.target) : gradeOf(base.nextDay.checkShare);
  const below = GRADES[Math.max(0, GRADES.indexOf(least) - 1)] as Grade;
  const more = additionalMinutes(base.plan, base.pressureMinutes, below);
  return {
    chance: chance.short,
    minutes: more === null ? 0 : TRYING_MINUTES + more.minutes + more.reheatMinutes + more.releaseMinutes,
  };
}

/** One evening's minutes: the plan's, as what was drawn makes them. */
export interface Surrogate {
  readonly playable: Playable;
  /** How many variables an evening draws. */
  readonly variables: number;
  readonly stillTough: DinnerOdds['stillTough'];
  /** Fills the minutes of each task. */
  minutes(draw: Draw, into: Float64Array): void;
  /** How many deviations off a heater is that took so many minutes for a task; null where the heater does not show in it. */
  heaterFrom(task: string, minutes: number): number | null;
}

/**
 * A forecast's evening as a cheap function of what varies: four further forecasts say how the pot's own minutes follow its
 * heater and its losses, the rest is the list of what varies.
 *
 * @param base the plan's forecast
 * Accuracy: dinner within a minute of a full forecast with the same heater and losses, in nine of ten draws (a test).
 */
export function surrogateOf(base: Forecast): Surrogate {
  const { plan } = base;
  const pinned = decided(base);
  const byHeat = slopes(base, pinned, 'heat');
  const byLosses = slopes(base, pinned, 'losses');
  const steam = steamMinutes(base);
  const tough = toughRun(base);
  const [boardCv, searCv] = [spreadOf(plan, 'prep'), spreadOf(plan, 'sear')];
  const playable = laidOut(base.clock.tasks);
  const together = Math.sqrt(LATE_TOGETHER);
  const apart = Math.sqrt(1 - LATE_TOGETHER);
  const firstOpen = playable.tasks.findIndex(({ work }) => work.kind === 'open');
  const plates = playable.tasks.map(({ work, handsOn }) => handsOf(work, handsOn));
  const firstUp = playable.tasks.findIndex(({ work }) => work.kind === 'come-up');
  const even = ({ from, to }: { readonly from: number; readonly to: number }, z: number): number =>
    from + (to - from) * normalCdf(z);
  return {
    playable,
    variables: OWN_FROM + playable.tasks.length,
    stillTough: tough,
    heaterFrom(task, minutes) {
      const usual = base.clock.tasks.find(({ id }) => id === task)?.minutes ?? 0;
      const { below, above } = byHeat.get(task) ?? FLAT;
      const slope = (above - below) / 2;
      if (Math.abs(slope) < SHOWS || minutes <= 0 || usual <= 0) return null;
      return Math.max(-FARTHEST, Math.min(FARTHEST, Math.log(minutes / usual) / slope));
    },
    minutes(draw, into) {
      const late = (own: number): number => together * (draw[DRAWN.day] as number) + apart * own;
      playable.tasks.forEach(({ id, minutes }, i) => {
        const pot =
          along(byHeat.get(id) ?? FLAT, draw[DRAWN.heater] as number) +
          along(byLosses.get(id) ?? FLAT, draw[DRAWN.losses] as number);
        const own = late(draw[OWN_FROM + i] as number);
        const hands = plates[i];
        into[i] =
          hands === 'lid'
            ? even(WAITS.lid, own)
            : hands === 'plate'
              ? even(WAITS.aspectRatio, own)
              : hands === 'board'
                ? minutes * Math.exp(boardCv * late(draw[DRAWN.board] as number))
                : hands === 'sear'
                  ? minutes * Math.exp(pot + searCv * late(draw[DRAWN.sear] as number))
                  : hands === 'hands'
                    ? minutes * Math.exp(pot + VARIES.hands.cv * own)
                    : minutes * Math.exp(pot);
      });
      if (firstUp >= 0) {
        const purge = Math.exp(VARIES.purge.cv * (draw[DRAWN.steam] as number)) - 1;
        into[firstUp] = Math.max(0, (into[firstUp] as number) + steam * purge);
      }
      // Tougher than the minutes are for: the lid goes on again, and what comes after waits.
      if (firstOpen >= 0 && normalCdf(draw[DRAWN.animal] as number) > 1 - tough.chance)
        into[firstOpen] = (into[firstOpen] as number) + tough.minutes;
    },
  };
}

/** The value that a share of sorted values lies below. */
export function quantile(sorted: Float64Array, share: number): number {
  const at = Math.min(sorted.length - 1, Math.max(0, share * sorted.length - 0.5));
  const low = Math.floor(at);
  const high = Math.min(sorted.length - 1, low + 1);
  return (sorted[low] as number) + (at - low) * ((sorted[high] as number) - (sorted[low] as number));
}

/** What each cause draws; what hands do at each task counts as theirs. */
function belongsTo(variable: number): Cause | null {
  if (variable === DRAWN.day || variable >= OWN_FROM) return 'hands';
  return (Object.keys(DRAWN) as (keyof typeof DRAWN)[]).find((name) => DRAWN[name] === variable) as Cause | null;
}

/**
 * When dinner is on the table, with its odds: the evening is played many times, each with an animal, a heater, hands drawn
 * from the list of what varies, always the same draws.
 *
 * @param base the plan's forecast
 * @param evenings that are played
 * @returns minutes against the plan's own time
 * @throws PlanError as the forecast does
 * Accuracy: quantiles within half a minute of ten times as many evenings.
 * @example dinnerOdds(forecast(plan)).p10 <= dinnerOdds(forecast(plan)).p90 // true
 */
export function dinnerOdds(base: Forecast, evenings = EVENINGS): DinnerOdds {
  const surrogate = surrogateOf(base);
  const { playable, variables } = surrogate;
  const count = playable.tasks.length;
  const all = draws(evenings, variables);
  const planned = base.clock.totalMinutes;
  const [minutes, ends] = [new Float64Array(count), new Float64Array(count)];
  const dinners = new Float64Array(evenings);
  const over = playable.tasks.map(() => new Float64Array(evenings));
  all.forEach((draw, n) => {
    surrogate.minutes(draw, minutes);
    dinners[n] = play(playable, minutes, ends) - planned;
    playable.tasks.forEach((task, i) => {
      (over[i] as Float64Array)[n] = (ends[i] as number) - task.startMinute - task.minutes;
    });
  });
  const sorted = dinners.slice().sort();
  const inTime = shareBelow(sorted, 0);
  const parts = playable.tasks.map(({ id, work }, i) => {
    const own = (over[i] as Float64Array).slice().sort();
    return { id, work, p10: quantile(own, 0.1), p90: quantile(own, 0.9) };
  });
  const [from, to] = [Math.floor(quantile(sorted, 0.005)), Math.ceil(quantile(sorted, 0.995))];
  return {
    p10: quantile(sorted, 0.1),
    p50: quantile(sorted, 0.5),
    p90: quantile(sorted, 0.9),
    inTime,
    byMinute: Array.from({ length: to - from + 1 }, (_, i) => ({
      minute: from + i,
      chance: shareBelow(sorted, from + i),
    })),
    beginnings: SURE.map((chance) => ({ chance, earlier: Math.ceil(quantile(sorted, chance) - 1e-9) })),
    shares: sharesOf(surrogate, draws(SHARE_EVENINGS, variables), planned),
    parts,
    stillTough: surrogate.stillTough,
  };
}

/** A dish beside that ends with the meal ends at it, whatever its minutes add up to in the last digit. */
const SAME = 1e-6;

/**
 * Chance that dinner is on the table so many minutes after its time, or before: begun ten minutes late, it is in time as
 * often as one begun in time is ten minutes early.
 *
 * @param odds of the plan
 * @param minute after its time; before it below 0
 * @example chanceBy({ byMinute: [{ minute: 0, chance: 0.4 }, { minute: 1, chance: 0.6 }] }, 0.5) // 0.5
 */
export function chanceBy({ byMinute }: Pick<DinnerOdds, 'byMinute'>, minute: number): number {
  const [first] = byMinute;
  if (first === undefined || minute < first.minute) return 0;
  const at = Math.min(byMinute.length - 1, Math.floor(minute - first.minute));
  const [low, high] = [byMinute[at], byMinute[Math.min(byMinute.length - 1, at + 1)]];
  const part = Math.min(1, minute - first.minute - at);
  return (low?.chance ?? 0) + part * ((high?.chance ?? 0) - (low?.chance ?? 0));
}

/** Share of sorted values that are at most so much. */
export function shareBelow(sorted: Float64Array, value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] as number) <= value + SAME) low = middle + 1;
    else high = middle;
  }
  return low / sorted.length;
}

/** Whose the spread is: the variance that each cause alone would make, of their sum. */
function sharesOf(surrogate: Surrogate, all: readonly Draw[], planned: number): DinnerOdds['shares'] {
  const { playable, variables } = surrogate;
  const [minutes, ends] = [new Float64Array(playable.tasks.length), new Float64Array(playable.tasks.length)];
  const alone = new Float64Array(variables);
  const variances = CAUSES.map((cause) => {
    let [sum, squares] = [0, 0];
    for (const draw of all) {
      for (let v = 0; v < variables; v += 1) alone[v] = belongsTo(v) === cause ? (draw[v] as number) : 0;
      surrogate.minutes(alone, minutes);
      const off = play(playable, minutes, ends) - planned;
      sum += off;
      squares += off * off;
    }
    return Math.max(0, squares / all.length - (sum / all.length) ** 2);
  });
  const total = variances.reduce((sum, one) => sum + one, 0);
  return CAUSES.map((cause, i) => ({ cause, share: total > 0 ? (variances[i] as number) / total : 0 }));
}
