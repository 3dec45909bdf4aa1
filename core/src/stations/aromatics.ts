import { say, type Text } from '@hervir/language/message';
import { aromaticKind, AROMATIC_GROUPS, type AromaticGroup } from '../catalog/aromatics';
import { isFried } from '../plan/fried';
import type { Aromatic, Plan } from '../plan/plan';

/** One turn at the hot pot: what goes in together, and for how long. */
export interface AromaticStep {
  readonly id: string;
  readonly group: AromaticGroup;
  /** Taken out again at once, to be folded in at the end. */
  readonly setAside: boolean;
  /** Before the meat, and it stays. */
  readonly first: boolean;
  /** Places in the plan's list. */
  readonly indices: readonly number[];
  readonly what: readonly Text[];
  readonly grams: number;
  readonly minutes: number;
  readonly note: Text;
}

/** Onion and its like: 3 to 8 minutes, by how much there is. Common practice. */
const BASE_MINUTES = { least: 3, most: 8, gramsAMinute: 100 };
/** Common practice: ground spices and ginger about a minute, garlic 30 to 60 s. */
const QUICK_MINUTES: Readonly<Partial<Record<AromaticGroup, number>>> = { warm: 1, spice: 1, garlic: 0.75 };
/** Bones are browned all round beside or after the meat. Common practice. */
const BONE_MINUTES = 8;

const NOTES: Readonly<Record<AromaticGroup, Text>> = {
  bones: say('aromatics.brown-them-all-round-they'),
  base: say('aromatics.their-water-lifts-what-sticks'),
  warm: say('aromatics.stir-a-minute-is-enough'),
  spice: say('aromatics.bloom-them-in-the-fat'),
  garlic: say('aromatics.last-of-all-with-the'),
  leaf: say('aromatics.lay-it-in-with-the'),
};

function minutesOf(group: AromaticGroup, grams: number): number {
  if (group === 'bones') return BONE_MINUTES;
  if (group !== 'base') return QUICK_MINUTES[group] ?? 0;
  return Math.min(BASE_MINUTES.most, BASE_MINUTES.least + grams / BASE_MINUTES.gramsAMinute);
}

/** One turn at the pot, of all that goes in together. */
interface Turn {
  readonly id: string;
  readonly group: AromaticGroup;
  readonly takes: (item: Aromatic) => boolean;
  readonly setAside?: boolean;
  readonly first?: boolean;
}

const groupOf = ({ ingredient }: Aromatic): AromaticGroup => aromaticKind(ingredient).group;
const isFirst = (item: Aromatic): boolean => isFried(item) && item.how === 'fried-first';
const isAside = (item: Aromatic): boolean => isFried(item) && !isFirst(item) && item.then === 'set-aside';
const isUsual = (item: Aromatic): boolean => isFried(item) && !isFirst(item) && !isAside(item);

const TURNS: readonly Turn[] = [
  ...AROMATIC_GROUPS.map((group) => ({
    id: `first-${group}`,
    group,
    first: true,
    takes: (item: Aromatic) => isFirst(item) && groupOf(item) === group,
  })),
  { id: 'aside-base', group: 'base', setAside: true, takes: (item) => isAside(item) && groupOf(item) === 'base' },
  ...AROMATIC_GROUPS.map((group) => ({
    id: group,
    group,
    takes: (item: Aromatic) =>
      group === 'leaf'
        ? item.stage === undefined && !isFried(item) && item.how !== 'with-meat'
        : groupOf(item) === group && (isUsual(item) || (isAside(item) && group !== 'base')),
  })),
];

/**
 * The aromatics in the order they go into the pot: what goes in before the meat, what is set aside, bones, then onion and
 * its like, ginger, ground spices, garlic last; leaves, and what goes in raw, only with the liquid.
 *
 * @param aromatics of a plan, grams each
 * @returns the turns at the pot; leaves as a last step of no minutes
 * @example aromaticSteps([{ ingredient: 'garlic', grams: 10 }, { ingredient: 'onion', grams: 200 }]).length // 2
 */
export function aromaticSteps(aromatics: readonly Aromatic[]): AromaticStep[] {
  const present = aromatics.map((item, index) => ({ item, index })).filter(({ item }) => item.grams > 0);
  return TURNS.flatMap(({ id, group, takes, setAside = false, first = false }): AromaticStep[] => {
    const here = present.filter(({ item }) => takes(item));
    if (here.length === 0) return [];
    const grams = here.reduce((sum, { item }) => sum + item.grams, 0);
    return [
      {
        id,
        group,
        setAside,
        first,
        indices: here.map(({ index }) => index),
        what: here.map(({ item }) => item.name ?? aromaticKind(item.ingredient).name),
        grams,
        minutes: minutesOf(group, grams),
        note: setAside
          ? say('aromatics.take-them-out-again-they')
          : first
            ? here.some(({ item }) => aromaticKind(item.ingredient).id === 'bacon')
              ? say('aromatics.its-fat-stays-in-the')
              : say('aromatics.it-stays-in-the-pot')
            : NOTES[group],
      },
    ];
  });
}

/**
 * Minutes the aromatics take in the pot, all together. Common practice.
 *
 * @example aromaticMinutes([{ ingredient: 'onion', grams: 200 }]) // 5
 */
export function aromaticMinutes(aromatics: Plan['aromatics']): number {
  return aromaticSteps(aromatics).reduce((sum, step) => sum + step.minutes, 0);
}
