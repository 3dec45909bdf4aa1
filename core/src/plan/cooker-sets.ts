import { say, type Text } from '@hervir/language/message';
import type { Cooker } from './plan';

/** A starting set for a new cooker: common sizes and their usual figures, no one's product. */
export interface CookerSet {
  readonly id: string;
  /** What it is called until its cook gives it a name. */
  readonly name: Text;
  readonly cooker: Omit<Cooker, 'name'>;
}

type Row = readonly [Text, number, number, number, number, number];

/** Common practice; the figures on the cooker's own plate and in its manual come first. Columns: name, l, base cm, W, kPa, minimum ml. */
const ELECTRIC: readonly Row[] = [
  [say('cooker-sets.small-electric-pot'), 3, 19, 700, 70, 200],
  [say('cooker-sets.medium-electric-pot'), 5.7, 21.5, 1000, 72, 250],
  [say('cooker-sets.large-electric-pot'), 8, 24, 1200, 72, 350],
];
const STOVETOP: readonly Row[] = [
  [say('cooker-sets.small-stovetop-pot'), 4.5, 20, 1800, 100, 200],
  [say('cooker-sets.medium-stovetop-pot'), 6, 22, 2000, 100, 250],
  [say('cooker-sets.large-stovetop-pot'), 8, 24, 2600, 100, 300],
];

function set(kind: Cooker['kind'], [name, litres, baseDiameterCm, watts, gaugeKPa, minimumLiquidMl]: Row): CookerSet {
  const electric = kind === 'electric';
  return {
    id: `${kind}-${litres}`,
    name,
    cooker: {
      kind,
      litres,
      baseDiameterCm,
      gaugeKPa,
      watts,
      burner: electric ? 'electric' : 'gas',
      timerStarts: electric ? 'pressure' : 'pin',
      minimumLiquidMl,
      burnCutoutC: electric ? 150 : 155,
      keepWarmOff: true,
    },
  };
}

export const COOKER_SETS: readonly CookerSet[] = [
  ...ELECTRIC.map((row) => set('electric', row)),
  ...STOVETOP.map((row) => set('stovetop', row)),
];
