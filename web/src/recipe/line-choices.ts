import { type Message, say, upperFirst } from '@hervir/language';
import type { RecipeLine, RecipeWhen } from '@hervir/contract';
import { AROMATICS, cutById, GRAINS, LIQUIDS, THICKENER_KINDS, VEGETABLES } from '@hervir/core';
import { t, textOf } from '../language/t';
import { cutList } from '../shared/cut-options';

export type As = RecipeLine['as'];

/** Everything a line can be, as one list to choose from; the value says which. */
export const choices = (): readonly {
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}[] => [
  {
    label: t('recipe.meat'),
    options: cutList().map((cut) => ({ ...cut, value: `meat:${cut.value}` })),
  },
  {
    label: t('recipe.poured-in'),
    options: LIQUIDS.filter(({ kind }) => kind === 'liquid' || kind === 'sauce').map(({ id, name }) => ({
      value: `liquid:${id}`,
      label: textOf(name),
    })),
  },
  {
    label: t('recipe.thick-sweet-or-creamy'),
    options: LIQUIDS.filter(({ kind }) => kind !== 'liquid').map(({ id, name }) => ({
      value: `addition:${id}`,
      label: t('recipe.kept-off-the-base', { name }),
    })),
  },
  {
    label: t('recipe.thickens-the-sauce'),
    options: THICKENER_KINDS.map(({ id, name }) => ({ value: `thickener:${id}`, label: upperFirst(textOf(name)) })),
  },
  {
    label: t('recipe.vegetable'),
    options: VEGETABLES.map(({ id, name }) => ({ value: `vegetable:${id}`, label: textOf(name) })),
  },
  { label: t('recipe.grain'), options: GRAINS.map(({ id, name }) => ({ value: `grain:${id}`, label: textOf(name) })) },
  {
    label: t('recipe.for-the-saute'),
    options: AROMATICS.map(({ id, name }) => ({
      value: `aromatic:${id}`,
      label: t('recipe.sauteed-or-laid-in', { name }),
    })),
  },
  {
    label: t('recipe.not-reckoned'),
    options: [
      { value: 'by-taste', label: t('recipe.by-taste') },
      { value: 'unknown', label: t('recipe.not-understood') },
      { value: 'heading', label: t('recipe.a-heading') },
    ],
  },
];

/** When a line goes in, as it is chosen. */
export const WHEN_WORDS: Readonly<Record<RecipeWhen, Message>> = {
  auto: say('recipe.when-hervir-finds-best'),
  start: say('recipe.with-the-first-lid'),
  'second-run': say('recipe.in-a-second-run'),
  simmer: say('recipe.in-the-simmer-after'),
  end: say('recipe.off-the-heat-at-the'),
  marinade: say('recipe.into-the-marinade'),
  rub: say('recipe.into-the-rub'),
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
