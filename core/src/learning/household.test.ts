import { forecast } from '../braise/forecast/forecast';
import { dinnerOdds, shareBelow, surrogateOf, type DinnerOdds } from '../braise/odds/dinner-odds';
import { draws } from '../braise/odds/draws';
import { play } from '../braise/odds/play';
import { seeded } from '../physics/random';
import type { Plan } from '../plan/plan';
import { planFor } from '../testing/fixtures';
import { afterCooks, rowsOf, type Household } from '../testing/household';
import { withCalibration } from './calibration';
import { FACTORS } from './posterior';

/** A household that sears and chops slowly and always alike, and buys from one farm. */
const HOUSEHOLD: Household = {
  truth: { heat: 0.92, losses: 1.15, sear: 1.25, prep: 1.2, toughness: 1.15 },
  apart: { heat: 0.03, losses: 0.06, sear: 0.06, prep: 0.08, toughness: 0.11 },
};
const COOKS = 20;
const EVENINGS = 400;
// Nine in ten and more, so that what is left open of dinner is not the lid that goes on again.
const chunks = planFor('beef-chuck', 'chunks', 1300, {
  confidence: 0.95,
  release: { method: 'natural', naturalMinutes: 0 },
});

const inTruth: NonNullable<Plan['learnt']> = Object.fromEntries(
  FACTORS.map((kind) => [kind, { factor: HOUSEHOLD.truth[kind], cooks: COOKS, spread: HOUSEHOLD.apart[kind] }]),
);

/** How a plan is promised, and how it comes out in the household as it is. */
function judged(plan: Plan): {
  readonly promised: DinnerOdds;
  readonly tender: readonly [promised: number, was: number];
  readonly dinners: Float64Array;
} {
  const base = forecast(plan);
  const promised = dinnerOdds(base);
  const real = forecast({ ...plan, pressureMinutes: base.pressureMinutes, learnt: inTruth });
  const evening = surrogateOf(real);
  const { tasks } = evening.playable;
  const [minutes, ends] = [new Float64Array(tasks.length), new Float64Array(tasks.length)];
  const dinners = Float64Array.from(draws(EVENINGS, evening.variables), (draw) => {
    evening.minutes(draw, minutes);
    return play(evening.playable, minutes, ends) - base.clock.totalMinutes;
  }).sort();
  const sure = ({ tenderness: { chance } }: typeof base): number => chance.at + chance.past;
  return { promised, tender: [sure(base), sure(real)], dinners };
}

test('after twenty logged cooks of one household its odds are sharper, and true', () => {
  const known = afterCooks(COOKS, chunks, HOUSEHOLD, seeded(5));
  const before = judged(chunks);
  const after = judged(withCalibration(chunks, { rows: rowsOf(known, chunks) }));
  const width = ({ promised: { p10, p90 } }: typeof before): number => p90 - p10;
  expect(width(after)).toBeLessThan(0.8 * width(before));
  // By the tables dinner was promised early: such a kitchen is late more often than one evening in ten.
  expect(shareBelow(before.dinners, before.promised.p90)).toBeLessThan(0.85);
  const shares = ([0.1, 0.5, 0.9] as const).map(
    (share, i) =>
      [share, shareBelow(after.dinners, after.promised[(['p10', 'p50', 'p90'] as const)[i] ?? 'p50'])] as const,
  );
  for (const [share, was] of shares) expect(Math.abs(was - share)).toBeLessThan(share === 0.5 ? 0.15 : 0.06);
  expect(Math.abs(after.tender[1] - after.tender[0])).toBeLessThan(0.05);
});
