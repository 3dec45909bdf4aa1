import type { CookState } from '../../clock/cook-state';
import type { Guide } from '../../clock/guide-step';
import { projected } from '../../clock/projected';
import type { Forecast } from '../forecast/forecast-document';
import { draws } from './draws';
import { DRAWN, EVENINGS, quantile, shareBelow, surrogateOf } from './dinner-odds';

/** When dinner is on the table, as a cook stands now. Wall clock, ms since 1970. */
export interface DinnerNow {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
  /** Chance that it is there by the time it was promised for. */
  readonly inTime: number;
  /** That the fork still finds it tough; 0 once it was tried. */
  readonly stillTough: { readonly chance: number; readonly minutes: number };
}

const MINUTE = 60_000;
/** Where what happened says how far off the heater is, this much of that is kept; the rest was a colder stock. Common practice. */
const BELIEVED = 0.8;

/** How far off the heater is, by how long the first come-up really took; null while it is not over. */
function heaterSeen(base: Forecast, state: CookState, from: ReturnType<typeof surrogateOf>): number | null {
  const task = base.clock.tasks.find(({ work }) => work.kind === 'come-up')?.id;
  const steps = state.steps.filter(({ step }) => step.task === task);
  const began = steps[0]?.startedAt ?? null;
  const ended = steps.at(-1)?.doneAt ?? null;
  return task === undefined || began === null || ended === null
    ? null
    : from.heaterFrom(task, (ended - began) / MINUTE);
}

/**
 * When dinner is on the table, with its odds, as a cook stands: what is done is done, what runs has run so long, and only
 * what is ahead varies. A come-up that is over tells of the heater; a check that is over, that the meat is there.
 *
 * @param base the forecast of the plan as it was begun
 * @param guide as it was begun
 * @param state of the cook
 * @param nowMs wall clock
 * @throws PlanError as the forecast does
 * @example dinnerNow(forecast(plan), guide, cookState(guide, [], 0), 0).inTime <= 1 // true
 */
export function dinnerNow(base: Forecast, guide: Guide, state: CookState, nowMs: number): DinnerNow {
  const surrogate = surrogateOf(base);
  const { tasks } = surrogate.playable;
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const planned = tasks.map(({ minutes }) => minutes);
  const heater = heaterSeen(base, state, surrogate);
  const tried = state.steps.some(({ step, doneAt }) => step.done === 'checked' && doneAt !== null);
  const minutes = new Float64Array(tasks.length);
  const dinners = new Float64Array(EVENINGS);
  // Where a dish beside is what dinner waits for, it is as late as it is.
  const cook = { guide, ...state };
  const main = projected(cook, nowMs).end;
  const sides = state.dinner.at > main + MINUTE ? state.dinner.at : 0;
  draws(EVENINGS, surrogate.variables).forEach((drawn, n) => {
    const draw = drawn.slice();
    if (heater !== null)
      draw[DRAWN.heater] = BELIEVED * heater + Math.sqrt(1 - BELIEVED ** 2) * (drawn[DRAWN.heater] as number);
    if (tried) draw[DRAWN.animal] = -Infinity;
    surrogate.minutes(draw, minutes);
    const { end } = projected(cook, nowMs, ({ step, minutes: usual }) => {
      const i = at.get(step.task);
      const was = i === undefined ? 0 : (planned[i] as number);
      return i === undefined || was <= 0 ? usual : usual * ((minutes[i] as number) / was);
    });
    dinners[n] = Math.max(end, sides);
  });
  const sorted = dinners.sort();
  return {
    p10: quantile(sorted, 0.1),
    p50: quantile(sorted, 0.5),
    p90: quantile(sorted, 0.9),
    inTime: shareBelow(sorted, state.dinner.plannedAt),
    stillTough: tried ? { chance: 0, minutes: 0 } : surrogate.stillTough,
  };
}
