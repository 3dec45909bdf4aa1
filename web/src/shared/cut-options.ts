import { CUTS, cutTitle, SPECIES, TENDER_CUTS, type Cut, type Species } from '@hervir/core';
import { lowerFirst, type Message, say, upperFirst } from '@hervir/language';
import { t, textOf } from '../language/t';

export const ANIMALS: Readonly<Record<Species, Message>> = {
  beef: say('shared.beef'),
  pork: say('shared.pork'),
  lamb: say('shared.lamb'),
  goat: say('shared.goat'),
};

interface CutOption {
  readonly value: string;
  readonly label: string;
  /** What else it is called, for who searches. */
  readonly also: string;
  readonly disabled: boolean;
}

interface CutOptions {
  readonly label: string;
  readonly title: string;
  readonly options: CutOption[];
}

const optionOf = (cut: Cut): CutOption => ({
  value: cut.id,
  label: textOf(cutTitle(cut)),
  also: [textOf(cut.soldAs), ...cut.words].join(' '),
  disabled: false,
});

/** The cuts one after another, for a list without headings. */
export const cutList = (): CutOption[] =>
  CUTS.map(optionOf).map((option) => ({ ...option, label: upperFirst(option.label) }));

/** The cuts by animal, for a list with headings; what is tender is found too, and answered. */
export const cutOptions = (): CutOptions[] => [
  ...SPECIES.map((species) => ({
    label: textOf(ANIMALS[species]),
    title: textOf(ANIMALS[species]),
    options: CUTS.filter((cut) => cut.species === species).map(optionOf),
  })),
  {
    label: t('shared.tender-little-to-melt-they'),
    title: t('shared.not-for-braising'),
    options: TENDER_CUTS.map(({ species, name, words, instead }) => ({
      value: `tender:${species}:${words[0] ?? ''}`,
      label: t('shared.tender-cut', { species: say(`species.${species}`), name: lowerFirst(textOf(name)), instead }),
      also: words.join(' '),
      disabled: true,
    })),
  },
];
