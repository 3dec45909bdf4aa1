import { lowered, say, type Text } from '@hervir/language/message';
import { meatsOf } from './meats';
import { aromaticKind } from '../catalog/aromatics';
import { cutById, cutTitle } from '../catalog/cuts';
import { grainById } from '../catalog/grains';
import { liquidById, liquidWord } from '../catalog/liquids';
import { thickenerById } from '../catalog/thickeners';
import { vegetableById } from '../catalog/vegetables';
import type { Meat, Named, Plan } from './plan';

/** Opaque: it is compared and never read. */
export type PortionId = string;

/** What a portion is to the pot. */
export const PORTION_KINDS = [
  'meat',
  'marinade',
  'rub',
  'flour',
  'fat',
  'aromatic',
  'deglaze',
  'liquid',
  'addition',
  'swill',
  'vegetable',
  'grain',
  'other',
  'thickener',
] as const;
export type PortionKind = (typeof PORTION_KINDS)[number];

/** Something with a weight or a volume, by its own identity and the cook's own name. */
export interface Portion {
  readonly id: PortionId;
  readonly kind: PortionKind;
  /** Of the catalog; null for what it does not know. */
  readonly food: string | null;
  /** As it is said in the middle of a sentence: the cook's own words, or the catalog's. */
  readonly name: Text;
  readonly grams: number | null;
  readonly ml: number | null;
  readonly celsius: number;
  /** Where it stands in the plan: a list, and the place in it. */
  readonly from: PortionKind;
  readonly index: number;
  readonly path: string;
}

type Draft = Pick<Portion, 'food' | 'name'> & Partial<Pick<Portion, 'grams' | 'ml' | 'celsius'>>;

/** From the fridge, °C. Common practice. */
const FRIDGE_C = 5;
const MEAT_C: Readonly<Record<Meat['startsFrom'], number | null>> = { fridge: FRIDGE_C, room: null, frozen: -18 };

/**
 * Everything of a plan that has a weight or a volume, each once, in the order of the plan: what the moves of the method
 * speak of. What weighs nothing is not there.
 *
 * @param plan every default filled in
 * @returns portions in g, ml and °C, with ids that are the plan's own or made from where a thing stands
 * @throws RangeError for something that is not in the catalog
 * @example portionsOf(plan).map(({ kind }) => kind).join(' ') // 'meat deglaze liquid'
 */
export function portionsOf(plan: Plan): readonly Portion[] {
  const known = listed.get(plan);
  if (known) return known;
  const portions = listOf(plan);
  listed.set(plan, portions);
  return portions;
}

/** A plan is never changed in place: its portions are asked for a dozen times in a forecast. */
const listed = new WeakMap<Plan, readonly Portion[]>();

// oxlint-disable-next-line max-lines-per-function -- one list, kind by kind, in the order of the plan
function listOf(plan: Plan): Portion[] {
  const portions: Portion[] = [];
  const { roomC } = plan.kitchen;
  const add = (kind: PortionKind, index: number, path: string, own: Named, draft: Draft): void => {
    if ((draft.grams ?? draft.ml ?? 0) <= 0) return;
    portions.push({
      id: own.id ?? (index === 0 && !path.includes('[') ? path : `${kind}-${index + 1}`),
      kind,
      from: kind,
      index,
      path,
      food: draft.food,
      name: own.name ?? draft.name,
      grams: draft.grams ?? null,
      ml: draft.ml ?? null,
      celsius: draft.celsius ?? roomC,
    });
  };
  meatsOf(plan).forEach((meat, i) => {
    const path = i === 0 ? 'meat' : `otherMeats[${i - 1}]`;
    const title = meat.name ?? cutTitle(cutById(meat.cut));
    add('meat', i, path, meat, {
      food: meat.cut,
      name: title,
      grams: meat.grams,
      celsius: MEAT_C[meat.startsFrom] ?? roomC,
    });
    const { marinade, rub, flourGrams } = meat;
    const part = (kind: PortionKind, name: Text, grams: number | undefined, ml?: number): void =>
      add(
        kind,
        i,
        `${path}.${kind}`,
        { id: `${kind}-${i + 1}` },
        { food: kind === 'flour' ? 'flour' : null, name, grams, ml },
      );
    if (marinade) part('marinade', say('portions.the-marinade'), undefined, marinade.ml + (marinade.solidsGrams ?? 0));
    if (rub) part('rub', say('portions.the-rub'), rub.grams);
    part('flour', say('thickeners.flour'), flourGrams);
  });
  if (plan.sear.fatMl !== undefined)
    add('fat', 0, 'sear.fatMl', {}, { food: null, name: say('portions.fat-for-the-pan'), ml: plan.sear.fatMl });
  plan.aromatics.forEach((item, i) =>
    add('aromatic', i, `aromatics[${i}]`, item, {
      food: item.ingredient,
      name: lowered(aromaticKind(item.ingredient).name),
      grams: item.grams,
    }),
  );
  if (plan.deglaze) {
    const { liquid, ml } = plan.deglaze;
    add('deglaze', 0, 'deglaze', {}, { food: liquid, name: liquidWord(liquid), ml });
  }
  plan.liquids.forEach((item, i) =>
    add('liquid', i, `liquids[${i}]`, item, {
      food: item.liquid,
      name: liquidWord(item.liquid),
      ml: item.ml,
      celsius: item.temperatureC,
    }),
  );
  plan.additions.forEach((item, i) => {
    const name = lowered(liquidById(item.ingredient).name);
    add('addition', i, `additions[${i}]`, item, { food: item.ingredient, name, grams: item.grams });
    const swillMl = item.grams > 0 ? item.apart?.swillMl : undefined;
    const path = `additions[${i}].apart`;
    add(
      'swill',
      i,
      path,
      { id: `swill-${i + 1}` },
      { food: 'water', name: say('portions.water-that-rinses-the-blender'), ml: swillMl },
    );
  });
  plan.vegetables.forEach((item, i) =>
    add('vegetable', i, `vegetables[${i}]`, item, {
      food: item.vegetable,
      name: lowered(vegetableById(item.vegetable).name),
      grams: item.grams,
    }),
  );
  plan.grains.forEach((item, i) =>
    add('grain', i, `grains[${i}]`, item, {
      food: item.grain,
      name: lowered(grainById(item.grain).name),
      grams: item.grams,
    }),
  );
  plan.others.forEach((item, i) =>
    add('other', i, `others[${i}]`, item, { food: null, name: item.name, grams: item.grams }),
  );
  return portions;
}

/** Starch for the sauce is a portion too; how much is only known when the sauce is solved. */
export function thickenerPortion(plan: Pick<Plan, 'finish' | 'kitchen'>, grams: number): Portion | null {
  const { thickener } = plan.finish;
  if (thickener === 'none' || grams <= 0) return null;
  return {
    id: 'thickener',
    kind: 'thickener',
    from: 'thickener',
    index: 0,
    path: 'finish.thickener',
    food: thickener,
    name: thickenerById(thickener).name,
    grams,
    ml: null,
    celsius: plan.kitchen.roomC,
  };
}

/**
 * The portion of one entry of a plan's list.
 *
 * @returns undefined where the entry weighs nothing
 * @example portionAt(portionsOf(plan), 'liquid', 0)?.name // 'stock or broth'
 */
export function portionAt(portions: readonly Portion[], kind: PortionKind, index: number): Portion | undefined {
  return portions.find((portion) => portion.kind === kind && portion.index === index);
}
