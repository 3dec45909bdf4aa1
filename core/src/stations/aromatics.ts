import { aromaticKind, AROMATIC_GROUPS, type AromaticGroup } from '../larder/aromatics';
import type { Aromatic, Plan } from '../plan/plan';

/** One turn at the hot pot: what goes in together, and for how long. */
export interface AromaticStep {
  readonly id: string;
  readonly group: AromaticGroup;
  /** Taken out again at once, to be folded in at the end. */
  readonly setAside: boolean;
  readonly what: readonly string[];
  readonly grams: number;
  readonly minutes: number;
  readonly note: string;
}

/** Onion and its like: 3 to 8 minutes, by how much there is. Common practice. */
const BASE_MINUTES = { least: 3, most: 8, gramsAMinute: 100 };
/** Common practice: ground spices and ginger about a minute, garlic 30 to 60 s. */
const QUICK_MINUTES: Readonly<Partial<Record<AromaticGroup, number>>> = { warm: 1, spice: 1, garlic: 0.75 };
/** Bones are browned all round beside or after the meat. Common practice. */
const BONE_MINUTES = 8;

const NOTES: Readonly<Record<AromaticGroup, string>> = {
  bones: 'Brown them all round; they are fished out at the end.',
  base: 'Their water lifts what sticks: scrape as you stir.',
  warm: 'Stir; a minute is enough.',
  spice: 'Bloom them in the fat for a minute, no longer.',
  garlic: 'Last of all: with the onion from the start it burns.',
  leaf: 'Lay it in with the liquid.',
};

function minutesOf(group: AromaticGroup, grams: number): number {
  if (group === 'bones') return BONE_MINUTES;
  if (group !== 'base') return QUICK_MINUTES[group] ?? 0;
  return Math.min(BASE_MINUTES.most, BASE_MINUTES.least + grams / BASE_MINUTES.gramsAMinute);
}

/**
 * The aromatics in the order they go into the pot: what is set aside first, bones, then onion and its like, ginger,
 * ground spices, garlic last; leaves only with the liquid.
 *
 * @param aromatics of a plan, grams each
 * @returns the turns at the pot; leaves as a last step of no minutes
 * @example aromaticSteps([{ ingredient: 'garlic', grams: 10 }, { ingredient: 'onion', grams: 200 }]).length // 2
 */
export function aromaticSteps(aromatics: readonly Aromatic[]): AromaticStep[] {
  const present = aromatics.filter((item) => item.grams > 0);
  const step = (group: AromaticGroup, setAside: boolean): AromaticStep[] => {
    const items = present.filter(
      (item) => aromaticKind(item.ingredient).group === group && (item.then === 'set-aside') === setAside,
    );
    if (items.length === 0) return [];
    const grams = items.reduce((sum, item) => sum + item.grams, 0);
    return [
      {
        id: setAside ? `aside-${group}` : group,
        group,
        setAside,
        what: items.map((item) => aromaticKind(item.ingredient).name),
        grams,
        minutes: minutesOf(group, grams),
        note: setAside ? 'Take them out again: they are folded in at the end.' : NOTES[group],
      },
    ];
  };
  return [...step('base', true), ...AROMATIC_GROUPS.flatMap((group) => step(group, false))];
}

/**
 * Minutes the aromatics take in the pot, all together. Common practice.
 *
 * @example aromaticMinutes([{ ingredient: 'onion', grams: 200 }]) // 5
 */
export function aromaticMinutes(aromatics: Plan['aromatics']): number {
  return aromaticSteps(aromatics).reduce((sum, step) => sum + step.minutes, 0);
}
