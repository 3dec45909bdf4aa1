import type { Forecast } from '../forecast/forecast-document';
import type { Printer } from '../../units/quantity';
import type { Told } from '../../words/told';

/**
 * What sentences about a forecast's moves are made of.
 *
 * @param f a forecast
 * @param print the cook's units
 */
export function toldOf(
  f: Pick<Forecast, 'plan' | 'placed' | 'portions' | 'stages' | 'finish' | 'cautions'>,
  print: Printer,
): Told {
  return {
    plan: { ...f.plan, ...f.placed },
    portions: f.portions,
    print,
    sizes: new Map(f.stages.flatMap(({ items }) => items.map(({ portion, sizeCm }) => [portion, sizeCm] as const))),
    sauce: f.finish,
    caution: (code, run) => {
      const found = f.cautions.find((one) => one.code === code);
      if (!found) return null;
      return run === undefined || found.runs === null || found.runs.includes(run) ? found.text : null;
    },
  };
}
