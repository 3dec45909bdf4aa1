import type { Plan } from '@hervir/core';

/** The lists of a plan whose things go in at a stage. */
const LIST_OF = { vegetable: 'vegetables', grain: 'grains', other: 'others' } as const;
export type ListKind = keyof typeof LIST_OF;
/** One thing of such a list. */
export type ItemOf<K extends ListKind> = Plan[(typeof LIST_OF)[K]][number];

/** A list of a plan, by what is in it. */
export const listOf = <K extends ListKind>(plan: Plan, kind: K): readonly ItemOf<K>[] => plan[LIST_OF[kind]];

const withList = (plan: Plan, kind: ListKind, items: readonly ItemOf<ListKind>[]): Plan => ({
  ...plan,
  [LIST_OF[kind]]: items,
});

/** The plan with the nth of a list changed. */
export const changedAt = <K extends ListKind>(plan: Plan, kind: K, index: number, part: Partial<ItemOf<K>>): Plan =>
  withList(
    plan,
    kind,
    listOf(plan, kind).map((item, i) => (i === index ? { ...item, ...part } : item)),
  );

/** The plan with one more in a list. */
export const withMore = <K extends ListKind>(plan: Plan, kind: K, item: ItemOf<K>): Plan =>
  withList(plan, kind, [...listOf(plan, kind), item]);

/** The plan without the nth of a list. */
export const withoutAt = (plan: Plan, kind: ListKind, index: number): Plan =>
  withList(
    plan,
    kind,
    listOf(plan, kind).filter((_, i) => i !== index),
  );
