import { cutById, type Form } from '../../larder/cuts';
import type { Plan } from '../../plan/plan';
import { forecast } from './forecast';
import type { Forecast } from './forecast-document';
import { inTen } from './reasons';
import type { Remedy } from './remedies';

/** A change of the plan that brings dinner nearer, with what it costs. */
export interface Mend extends Remedy {
  /** How much sooner, minutes. */
  readonly minutes: number;
}

/** Not worth a change, minutes. */
const WORTH = 2;

const FORM_WORDS: Readonly<Partial<Record<Form, string>>> = {
  chunks: 'Cut it into chunks',
  'bite-size': 'Cut it bite-size',
  slices: 'Cut it into slices',
  pieces: 'Have it in pieces',
};

interface Way {
  readonly change: Partial<Plan>;
  readonly says: (other: Forecast) => string;
}

function waysOf({ plan, tenderness }: Forecast): Way[] {
  const ways: Way[] = [];
  const odds = ({ at, past }: Forecast['tenderness']['chance']): string => inTen(at + past);
  if (plan.sear.school === 'hard') {
    ways.push({
      change: { sear: { ...plan.sear, school: 'quick', batches: undefined } },
      says: () => 'Sear quickly, two sides: less brown, less deep a sauce',
    });
  }
  if (!plan.cutLater) {
    ways.push({
      change: { cutLater: true },
      says: () => 'Cut what goes in later while the pot works, on a washed board',
    });
  }
  if (plan.release.method !== 'quick') {
    ways.push({
      change: { release: { ...plan.release, method: 'quick' }, pressureMinutes: null },
      says: (other) =>
        `Open the valve at once, with ${other.pressureMinutes} min under pressure for the same tenderness: juicier is letting down`,
    });
  }
  if (plan.confidence > 0.6) {
    ways.push({
      change: { confidence: 0.6, pressureMinutes: null },
      says: (other) =>
        `Take a chance: ${odds(other.tenderness.chance)} that it is tender, not ${odds(tenderness.chance)}`,
    });
  }
  for (const form of cutById(plan.meat.cut).forms) {
    const words = FORM_WORDS[form];
    if (form === plan.meat.form || words === undefined) continue;
    ways.push({
      change: { meat: { ...plan.meat, form, pieces: undefined, thicknessCm: undefined }, pressureMinutes: null },
      says: (other) => `${words}: ${other.pressureMinutes} min under pressure`,
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
export function mends(base: Forecast): Mend[] {
  return waysOf(base)
    .map(({ change, says }): Mend => {
      const other = forecast({ ...base.plan, ...change });
      const minutes = base.clock.totalMinutes - other.clock.totalMinutes;
      return { minutes, text: `${says(other)}. ${Math.round(minutes)} min sooner.`, change };
    })
    .filter(({ minutes }) => minutes >= WORTH)
    .sort((a, b) => b.minutes - a.minutes);
}
