import type { CookEvent } from '../../clock/cook-events';
import type { CookState, StepState } from '../../clock/cook-state';
import { moveOf, type MoveKind } from '../../method/moves';
import type { Plan } from '../../plan/plan';
import type { Printer } from '../../units/quantity';
import { searPlan } from '../../stations/sear';
import { pieceOf } from '../../meat/piece';
import { forecast } from '../forecast/forecast';
import type { Forecast } from '../forecast/forecast-document';
import { inTen } from '../../words/odds-words';

/** Something that brings dinner nearer, and what it costs. */
export interface CatchUp {
  readonly id: 'valve' | 'rest' | 'reduce' | 'sear';
  readonly minutes: number;
  readonly text: string;
  /** What pressing it tells; null where it has to be done at the board. */
  readonly does: Pick<CookEvent, 'kind' | 'payload'> | null;
}

/** Less than this is not worth a word, minutes. */
const WORTH = 1;
/** A rest of so much still lets the sauce settle. Common practice. */
const SHORT_REST = 3;

const minutes = (ms: number): number => ms / 60_000;

/** Opening the valve sooner than planned, with what the meat is like then. */
function valve(f: Forecast, state: CookState, nowMs: number): CatchUp[] {
  const natural = state.steps.find(({ step }) => step.run === 1 && moveOf(step.moves, 'leave') !== undefined);
  if (!natural || natural.doneAt !== null) return [];
  const begun = natural.startedAt === null ? 0 : minutes(nowMs - natural.startedAt);
  const sooner: Plan = {
    ...f.plan,
    pressureMinutes: f.pressureMinutes,
    release:
      begun < 0.5 ? { ...f.plan.release, method: 'quick' } : { method: 'natural-then-quick', naturalMinutes: begun },
  };
  const other = forecast(sooner);
  const saved = f.pot.releaseMinutes - other.pot.releaseMinutes;
  if (saved < WORTH) return [];
  const { at, past } = other.tenderness.chance;
  const opens = natural.step.done === 'ventOpened' || natural.step.otherwise?.done === 'ventOpened';
  const when = natural.startedAt === null ? 'Open the valve as soon as the minutes are over' : 'Open the valve now';
  return [
    {
      id: 'valve',
      does:
        natural.startedAt === null
          ? { kind: 'minutesAdded', payload: { step: natural.step.id, minutes: -natural.minutes } }
          : opens
            ? { kind: 'ventOpened', payload: { step: natural.step.id } }
            : null,
      minutes: saved,
      text: `${when}: wins ${Math.round(saved)} min; ${inTen(at + past)} instead of ${inTen(f.tenderness.chance.at + f.tenderness.chance.past)} that it is tender.`,
    },
  ];
}

/** A step that has not been done. */
const ahead = (state: CookState, kind: MoveKind): StepState | undefined =>
  state.steps.find(({ step, doneAt }) => moveOf(step.moves, kind) !== undefined && doneAt === null);

/** Takes minutes off a step that is ahead. */
const fewer = ({ step }: StepState, by: number): CatchUp['does'] => ({
  kind: 'minutesAdded',
  payload: { step: step.id, minutes: -by },
});

/**
 * What could win time back in a cook that is late, the most first, each with what it costs.
 *
 * @param f the plan's forecast
 * @param state the cook
 * @param nowMs wall clock, ms since 1970
 * @param print the cook's units
 * @returns nothing where the rest cannot be hurried
 */
export function catchUp(f: Forecast, state: CookState, nowMs: number, print: Printer): CatchUp[] {
  const found: CatchUp[] = valve(f, state, nowMs);
  const resting = ahead(state, 'rest');
  const rest = (resting?.minutes ?? 0) - SHORT_REST;
  if (resting && rest >= WORTH) {
    found.push({
      id: 'rest',
      minutes: rest,
      does: fewer(resting, rest),
      text: `Rest ${SHORT_REST} min only: wins ${Math.round(rest)} min; the sauce stays a little thinner.`,
    });
  }
  const reducing = ahead(state, 'reduce');
  const reduce = reducing?.minutes ?? 0;
  if (reducing && reduce >= WORTH) {
    const more = f.finish.sauceMl + f.finish.ladleOutMl;
    found.push({
      id: 'reduce',
      minutes: reduce,
      does: fewer(reducing, reduce),
      text: `Do not reduce: wins ${Math.round(reduce)} min; more than ${print.quantity('volume', more)} of sauce, thinner.`,
    });
  }
  const sear = state.steps.filter(({ step }) => step.section === 'sear');
  if (f.plan.sear.school === 'hard' && sear.every(({ startedAt }) => startedAt === null)) {
    const quick = searPlan(
      pieceOf(f.plan.meat),
      { ...f.plan.sear, school: 'quick' },
      f.plan.cooker,
      f.plan.meat,
      f.plan.learnt?.sear?.factor,
    );
    const saved = f.sear.minutes - quick.minutes;
    if (saved >= WORTH) {
      found.push({
        id: 'sear',
        minutes: saved,
        does: null,
        text: `Sear quickly, two sides: wins ${Math.round(saved)} min; less brown, less deep a sauce.`,
      });
    }
  }
  return found.sort((a, b) => b.minutes - a.minutes);
}
