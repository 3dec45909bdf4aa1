import type { RecipeLine, RecipeWhen } from '@hervir/contract';
import {
  AROMATICS,
  CUTS,
  cutById,
  cutTitle,
  GRAINS,
  LIQUIDS,
  THICKENER_KINDS,
  upperFirst,
  VEGETABLES,
} from '@hervir/core';

export type As = RecipeLine['as'];

/** Everything a line can be, as one list to choose from; the value says which. */
export const CHOICES: readonly {
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}[] = [
  { label: 'Meat', options: CUTS.map((cut) => ({ value: `meat:${cut.id}`, label: upperFirst(cutTitle(cut)) })) },
  {
    label: 'Poured in',
    options: LIQUIDS.filter(({ kind }) => kind === 'liquid' || kind === 'sauce').map(({ id, name }) => ({
      value: `liquid:${id}`,
      label: name,
    })),
  },
  {
    label: 'Thick, sweet or creamy',
    options: LIQUIDS.filter(({ kind }) => kind !== 'liquid').map(({ id, name }) => ({
      value: `addition:${id}`,
      label: `${name}, kept off the base`,
    })),
  },
  {
    label: 'Thickens the sauce',
    options: THICKENER_KINDS.map(({ id, name }) => ({ value: `thickener:${id}`, label: upperFirst(name) })),
  },
  { label: 'Vegetable', options: VEGETABLES.map(({ id, name }) => ({ value: `vegetable:${id}`, label: name })) },
  { label: 'Grain', options: GRAINS.map(({ id, name }) => ({ value: `grain:${id}`, label: name })) },
  {
    label: 'For the sauté',
    options: AROMATICS.map(({ id, name }) => ({ value: `aromatic:${id}`, label: `${name}, sautéed or laid in` })),
  },
  {
    label: 'Not reckoned',
    options: [
      { value: 'by-taste', label: 'By taste' },
      { value: 'unknown', label: 'Not understood' },
      { value: 'heading', label: 'A heading' },
    ],
  },
];

/** When a line goes in, as it is chosen. */
export const WHEN_WORDS: Readonly<Record<RecipeWhen, string>> = {
  auto: 'when Hervir finds best',
  start: 'with the first lid',
  'second-run': 'in a second run',
  simmer: 'in the simmer after',
  end: 'off the heat, at the end',
  marinade: 'into the marinade',
  rub: 'into the rub',
};

/** The choice that a line is. */
export const valueOf = (as: As): string => ('id' in as ? `${as.kind}:${as.id}` : as.kind);

/** What a choice says a line is. */
export function asOf(value: string): As {
  const [kind = '', id = ''] = value.split(':');
  if (kind === 'meat') return { kind, id, form: cutById(id).forms[0] ?? 'whole' };
  if (kind === 'by-taste' || kind === 'unknown' || kind === 'heading') return { kind };
  return { kind: kind as 'liquid', id };
}
