import { say, type Text } from '@hervir/language/message';
/** A grain, bean or noodle cooked in the pot. */
export interface Grain {
  readonly id: string;
  readonly name: Text;
  /** Ordinary boiling time at 100 °C, minutes; cooked from a cook value of the lower. */
  readonly boilMinutes: readonly [number, number];
  /** Still whole up to this cook value. */
  readonly fallsApartAt: number;
  /** ml of liquid a gram dry. */
  readonly uptakeMlPerG: number;
  /** The pot may be at most half full with it. */
  readonly halfFill: boolean;
  /** It lay in water for hours before. */
  readonly soaked: boolean;
  /** What is done to it before it goes into its bowl. */
  readonly ready: 'pick-over' | 'rinse' | 'weigh-out';
  readonly note: Text;
}

type Row = readonly [string, Text, number, number, number, number, boolean, Text];

/**
 * Common practice of the trade, no published source. Columns: id, name, boiling minutes low and high, falls apart at
 * cook value, uptake ml/g, half-fill line, note.
 */
// prettier-ignore
const ROWS: readonly Row[] = [
  ['rice-brown', say('grains.brown-rice'), 40, 50, 160, 1.5, true, say('grains.rinse-levelled-on-top-unstirred')],
  ['rice-white', say('grains.white-long-grain-rice'), 14, 18, 45, 1.2, true, say('grains.rinse-short-run-only')],
  ['barley-pearl', say('grains.pearl-barley'), 35, 50, 170, 2.3, true, ''],
  ['spelt-pearled', say('grains.pearled-spelt'), 25, 35, 140, 1.7, true, ''],
  ['freekeh', say('grains.cracked-freekeh'), 18, 25, 90, 1.8, true, ''],
  ['bean-dry-unsoaked', say('grains.dry-beans-unsoaked'), 90, 130, 320, 1.4, true, say('grains.pick-over-and-rinse-foams')],
  ['bean-dry-soaked', say('grains.dry-beans-soaked'), 45, 75, 240, 0.4, true, say('grains.foams')],
  ['kidney-bean-soaked', say('grains.red-kidney-beans-soaked'), 50, 80, 240, 0.4, true, say('grains.toxin-boil-hard-30-min')],
  ['chickpea-soaked', say('grains.chickpeas-soaked'), 60, 90, 300, 0.5, true, say('grains.foams')],
  ['lentil-brown', say('grains.brown-lentils'), 20, 30, 80, 1.6, true, ''],
  ['split-pea', say('grains.split-peas'), 35, 45, 60, 2.0, true, say('grains.foams-thickens-on-purpose')],
  ['egg-noodle', say('grains.egg-noodles'), 6, 9, 28, 1.5, true, say('grains.second-run-or-open-swells')],
];

/** Pulses hold stones, noodles nothing; the others are rinsed of their dust. Common practice. */
const READY: Readonly<Record<string, Grain['ready']>> = {
  'bean-dry-unsoaked': 'pick-over',
  'bean-dry-soaked': 'pick-over',
  'kidney-bean-soaked': 'pick-over',
  'chickpea-soaked': 'pick-over',
  'lentil-brown': 'pick-over',
  'split-pea': 'pick-over',
  'egg-noodle': 'weigh-out',
};

const SOAKED: ReadonlySet<string> = new Set(['bean-dry-soaked', 'kidney-bean-soaked', 'chickpea-soaked']);

export const GRAINS: readonly Grain[] = ROWS.map(
  ([id, name, low, high, fallsApartAt, uptakeMlPerG, halfFill, note]) => ({
    id,
    name,
    boilMinutes: [low, high],
    fallsApartAt,
    uptakeMlPerG,
    halfFill,
    soaked: SOAKED.has(id),
    ready: READY[id] ?? 'rinse',
    note,
  }),
);

const byId = new Map(GRAINS.map((grain) => [grain.id, grain]));

/**
 * Looks a grain up.
 *
 * @throws RangeError naming the grains there are
 * @example grainById('freekeh').uptakeMlPerG // 1.8
 */
export function grainById(id: string): Grain {
  const grain = byId.get(id);
  if (!grain) throw new RangeError(`no grain "${id}"; known are ${GRAINS.map((known) => known.id).join(', ')}`);
  return grain;
}

/** Dry in the cupboard, it is not soaked yet. */
const DRY: Readonly<Record<string, Text>> = {
  'bean-dry-soaked': say('grains.dry-beans'),
  'kidney-bean-soaked': say('grains.red-kidney-beans'),
  'chickpea-soaked': say('grains.chickpeas'),
};

/** What is soaked, by its name before that; null for what is not. */
export const dryGrain = (id: string): Text | null => DRY[id] ?? null;
