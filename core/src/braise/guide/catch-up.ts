import type { Text } from '@hervir/language/message';
import type { CookEvent } from '../../clock/cook-events';
import type { CookState, StepState } from '../../clock/cook-state';
import { moveOf, type MoveKind } from '../../method/moves';
import type { Plan } from '../../plan/plan';
import { searPlan } from '../../stations/sear';
import { pieceOf } from '../../meat/piece';
import { forecast } from '../forecast/forecast';
import type { Forecast } from '../forecast/forecast-document';
import { catchUpText, type CatchUpFact } from '../../words/at-the-pot-words';

/** Something that brings dinner nearer, and what it costs. */
export type CatchUp = CatchUpFact & {
  readonly minutes: number;
  readonly text: Text;
  /** What pressing it tells; null where it has to be done at the board. */
  readonly does: Pick<CookEvent, 'kind' | 'payload'> | null;
};

/** A way, before it has its words. */
interface Way {
  readonly fact: CatchUpFact;
  readonly does: CatchUp['does'];
}

/** Less than this is not worth a word, minutes. */
const WORTH = 1;
/** A rest of so much still lets the sauce settle. Common practice. */
const SHORT_REST = 3;

const minutes = (ms: number): number => ms / 60_000;

/** Opening the valve sooner than planned, with what the meat is like then. */
function valve(f: Forecast, state: CookState, nowMs: number): Way[] {
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
  const opens = natural.step.done === 'ventOpened' || natural.step.otherwise?.done === 'ventOpened';
  const chance = ({ tenderness }: Forecast): number => tenderness.chance.at + tenderness.chance.past;
  const now = natural.startedAt !== null;
  const { id: step } = natural.step;
  const does: CatchUp['does'] = now
    ? { kind: 'ventOpened', payload: { step } }
    : { kind: 'minutesAdded', payload: { step, minutes: -natural.minutes } };
  return [
    {
      fact: { id: 'valve', values: { minutes: saved, now, chance: chance(other), insteadOf: chance(f) } },
      // A release that is left to itself has no valve to its step.
      does: opens ? does : null,
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
 * @returns nothing where the rest cannot be hurried
 */
export function catchUp(f: Forecast, state: CookState, nowMs: number): CatchUp[] {
  const ways: Way[] = valve(f, state, nowMs);
  const resting = ahead(state, 'rest');
  const rest = (resting?.minutes ?? 0) - SHORT_REST;
  if (resting && rest >= WORTH) {
    ways.push({ fact: { id: 'rest', values: { minutes: rest, left: SHORT_REST } }, does: fewer(resting, rest) });
  }
  const reducing = ahead(state, 'reduce');
  const reduce = reducing?.minutes ?? 0;
  if (reducing && reduce >= WORTH) {
    const sauceMl = f.finish.sauceMl + f.finish.ladleOutMl;
    ways.push({ fact: { id: 'reduce', values: { minutes: reduce, sauceMl } }, does: fewer(reducing, reduce) });
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
    if (saved >= WORTH) ways.push({ fact: { id: 'sear', values: { minutes: saved } }, does: null });
  }
  return ways
    .map(({ fact, does }) => ({ ...fact, minutes: fact.values.minutes, text: catchUpText(fact), does }))
    .sort((a, b) => b.minutes - a.minutes);
}
