import { newPlan } from '../../plan/defaults';
import { cutById } from '../../catalog/cuts';
import { forecast } from '../forecast/forecast';
import { additionalMinutes } from './additional-minutes';

/**
 * How much longer, against a sheet of paper: a piece so thin that it is as hot as the liquid almost at once, so that the
 * cook value of each stretch is a rate times minutes.
 */
describe('still tough, by hand', () => {
  const rate = (celsius: number): number => 10 ** ((celsius - 100) / 33.1);
  /** Cook value of a straight way from one temperature to another. */
  const ramp = (from: number, to: number, minutes: number): number => {
    const steps = 200;
    let sum = 0;
    for (let i = 0; i < steps; i += 1) sum += rate(from + ((to - from) * (i + 0.5)) / steps);
    return (sum * minutes) / steps;
  };

  test.each([
    ['beef-chuck', 8, 'firm'],
    ['beef-chuck', 12, 'slices'],
    ['goat-shoulder', 10, 'firm'],
  ] as const)('%s in thin slices after %d minutes, found %s: no minute too few, none too many', (cut, done, found) => {
    const made = newPlan({ cut, form: 'bite-size', grams: 900 });
    const plan = {
      ...made,
      pressureMinutes: done,
      release: { method: 'quick' as const, naturalMinutes: 0 },
      meat: { ...made.meat, thicknessCm: 1 },
    };
    const more = additionalMinutes(plan, done, found);
    const f = forecast(plan);
    if (!more) throw new Error('it is not there yet');
    const toughness = cutById(cut).toughness * (1 + more.tougherBy);
    // X = 1 - exp(-0.0161 C / toughness), for a fork at 0.74.
    const wanted = (-Math.log(1 - 0.74) * toughness) / 0.0161;
    const { workingC, boilingC } = f.pot;
    // Three minutes with the lid off while a piece is tried, up again, and the valve at the end.
    const beside =
      3 * rate(boilingC - 3) +
      ramp(boilingC - 5, workingC, more.reheatMinutes) +
      ramp(workingC, boilingC, more.releaseMinutes);
    const byHand = Math.max(0, (wanted - f.tenderness.cookValueMean - beside) / rate(workingC));
    // Whole minutes, and no more of them than it takes.
    expect(more.minutes - byHand).toBeGreaterThan(-0.5);
    expect(more.minutes - byHand).toBeLessThan(1.5);
  });
});
