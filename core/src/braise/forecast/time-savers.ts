import type { Text } from '@hervir/language/message';
import { cutById } from '../../catalog/cuts';
import type { Plan } from '../../plan/plan';
import { isSmallerForm, timeSaverText, type TimeSaverFact } from '../../words/time-saver-words';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';
import { laterBy } from './later-by';

/** A change of the plan that brings dinner nearer, with what it costs. */
export type TimeSaver = TimeSaverFact & {
  /** How much sooner, minutes. */
  readonly minutes: number;
  readonly change: Partial<Plan>;
  readonly text: Text;
};

/** Not worth a change, minutes. */
const WORTH = 2;

interface Way {
  readonly change: Partial<Plan>;
  readonly fact: (other: Forecast) => TimeSaverFact;
}

function waysOf(base: Forecast): Way[] {
  const { plan } = base;
  const ways: Way[] = [];
  const odds = ({ tenderness: { chance } }: Forecast): number => chance.at + chance.past;
  if (plan.sear.school === 'hard') {
    ways.push({
      change: { sear: { ...plan.sear, school: 'quick', batches: undefined } },
      fact: () => ({ code: 'sear-quickly', values: {} }),
    });
  }
  if (!plan.cutLater) {
    ways.push({
      change: { cutLater: true },
      fact: () => ({ code: 'cut-later', values: {} }),
    });
  }
  if (plan.release.method !== 'quick') {
    ways.push({
      change: { release: { ...plan.release, method: 'quick' }, pressureMinutes: null },
      fact: (other) => ({ code: 'valve-at-once', values: { minutes: other.pressureMinutes } }),
    });
  }
  if (plan.confidence > 0.6) {
    ways.push({
      change: { confidence: 0.6, pressureMinutes: null },
      fact: (other) => ({ code: 'take-a-chance', values: { chance: odds(other), insteadOf: odds(base) } }),
    });
  }
  for (const form of cutById(plan.meat.cut).forms) {
    if (form === plan.meat.form || !isSmallerForm(form)) continue;
    ways.push({
      change: { meat: { ...plan.meat, form, pieces: undefined, thicknessCm: undefined }, pressureMinutes: null },
      fact: (other) => ({ code: 'cut-smaller', values: { form, minutes: other.pressureMinutes } }),
    });
  }
  return ways;
}

/**
 * What makes the evening shorter: each a change of the plan that can be pressed, the most first.
 *
 * @param base the plan's own forecast
 * @returns nothing where nothing wins two minutes
 * @throws PlanError as the forecast does
 */
export function timeSavers(base: Forecast): TimeSaver[] {
  return waysOf(base)
    .map(({ change, fact }): TimeSaver => {
      const other = forecast({ ...base.plan, ...change });
      const minutes = -laterBy(base, other);
      const saved = fact(other);
      return { ...saved, minutes, change, text: timeSaverText(saved, minutes) };
    })
    .filter(({ minutes }) => minutes >= WORTH)
    .sort((a, b) => b.minutes - a.minutes);
}
