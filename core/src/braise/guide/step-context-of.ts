import type { Forecast } from '../forecast/forecast-document';
import type { StepContext } from '../../words/step-context';

/**
 * What sentences about a forecast's moves are made of.
 *
 * @param f a forecast
 */
export function stepContextOf(
  f: Pick<Forecast, 'plan' | 'placed' | 'portions' | 'stages' | 'finish' | 'cautions'>,
): StepContext {
  return {
    plan: { ...f.plan, ...f.placed },
    portions: f.portions,
    sizes: new Map(f.stages.flatMap(({ items }) => items.map(({ portion, sizeCm }) => [portion, sizeCm] as const))),
    sauce: f.finish,
    caution: (code, run) => {
      const caution = f.cautions.find((one) => one.code === code);
      if (!caution) return null;
      return run === undefined || caution.runs === null || caution.runs.includes(run) ? caution.text : null;
    },
  };
}
