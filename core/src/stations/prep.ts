import { cutById, cutTitle, type Form } from '../larder/cuts';
import { liquidById } from '../larder/liquids';
import { vegetableById } from '../larder/vegetables';
import { grainById } from '../larder/grains';
import { aromaticKind } from '../larder/aromatics';
import type { ApartStep, Plan } from '../plan/plan';
import { listed } from '../units/list';
import type { Printer } from '../units/quantity';
import { aromaticSteps } from './aromatics';
import { isCured } from './sear';

/** Common practice, minutes. */
const TRIM_MINUTES = 3;
const DRY_MINUTES = 1;
const SALT_MINUTES = 1;
const RINSE_MINUTES = 2;
const RUB_MINUTES = 2;
const BOARD_SETUP_MINUTES = 1;
const GRAMS_A_MINUTE = 120;
/** Cutting speed, g a minute, where the cook does the cutting. Common practice. */
const CUTTING: Readonly<Partial<Record<Form, number>>> = { chunks: 250, 'bite-size': 130, ribs: 600 };

/** Something to do on the board, before anything is hot. */
export interface PrepStep {
  readonly id: string;
  readonly text: string;
  readonly minutes: number;
  /** On the board tonight, or hours before. */
  readonly when: 'ahead' | 'board';
  readonly meat: boolean;
}

/** A bowl, with what goes into the pot in the same moment. */
export interface Bowl {
  readonly moment: string;
  readonly items: readonly { readonly what: string; readonly grams: number }[];
}

/** A step of a sauce made apart. */
export interface ApartTask {
  readonly id: string;
  readonly text: string;
  readonly minutes: number;
  readonly handsOn: boolean;
}

/** Common practice, minutes; and what is done. */
const APART: Readonly<Record<ApartStep, { text: string; minutes: number; handsOn: boolean }>> = {
  toast: { text: 'toast in a dry pan, face away from the fumes', minutes: 3, handsOn: true },
  soak: { text: 'soak in hot water', minutes: 20, handsOn: false },
  saute: { text: 'sauté', minutes: 5, handsOn: true },
  blend: { text: 'blend, half full at most and the lid vented', minutes: 3, handsOn: true },
  strain: { text: 'strain', minutes: 3, handsOn: true },
};
const SWILL = { text: 'swill the blender into the pot', minutes: 1 };

/**
 * A sauce made apart, step by step.
 *
 * @param plan its additions
 * @param print the cook's units
 * @returns nothing where none is made apart
 * @example apartTasks(plan, printerFor('metric')).length // 0
 */
export function apartTasks(plan: Pick<Plan, 'additions'>, print: Printer): ApartTask[] {
  return plan.additions.flatMap(({ ingredient, grams, apart }, i) => {
    if (!apart || grams <= 0) return [];
    const { name } = liquidById(ingredient);
    const steps = apart.steps.map((step, at) => {
      // Sautéed twice, it is two tasks.
      const before = apart.steps.slice(0, at).filter((one) => one === step).length;
      return { id: `apart-${i + 1}-${step}${before === 0 ? '' : `-${before + 1}`}`, ...APART[step] };
    });
    const swill =
      apart.swillMl > 0
        ? [
            {
              id: `apart-${i + 1}-swill`,
              ...SWILL,
              text: `${SWILL.text} with ${print.quantity('volume', apart.swillMl)} of water`,
              handsOn: true,
            },
          ]
        : [];
    return [...steps, ...swill].map((step) => ({ ...step, text: `${name}: ${step.text}` }));
  });
}

/** Minutes at the board for what comes from a garden, by weight. Common practice. */
export function plantMinutes(plan: Pick<Plan, 'vegetables' | 'aromatics'>): number {
  const grams = [...plan.vegetables, ...plan.aromatics].reduce((sum, item) => sum + item.grams, 0);
  return grams > 0 ? BOARD_SETUP_MINUTES + grams / GRAMS_A_MINUTE : 0;
}

/** Places that are filled before the first lid goes on. */
const FROM_THE_START: ReadonlySet<string> = new Set(['start', 'flavour-only', 'auto']);
/** After raw meat: board, knife and hands, minutes. Common practice. */
const WASH_MINUTES = 2;

/** The plan as far as the board has it before the meat: without what is cut later. */
export function beforeTheMeat(plan: Plan): Plan {
  if (!plan.cutLater) return plan;
  return { ...plan, vegetables: plan.vegetables.filter(({ place }) => FROM_THE_START.has(place)) };
}

/**
 * What is cut while the pot works, on a washed board: vegetables that go in after the first opening.
 *
 * @param plan with every vegetable in its place
 * @returns null where the cook cuts all before the meat, or nothing goes in later
 * @example cutWhileItCooks(plan) // null
 */
export function cutWhileItCooks(plan: Plan): { readonly text: string; readonly minutes: number } | null {
  if (!plan.cutLater) return null;
  const later = plan.vegetables.filter(({ place, grams }) => !FROM_THE_START.has(place) && grams > 0);
  if (later.length === 0) return null;
  const names = later.map(({ vegetable }) => vegetableById(vegetable).name.toLowerCase());
  return {
    text: `Wash the board and your hands, then cut ${listed(names)}`,
    minutes: WASH_MINUTES + plantMinutes({ vegetables: later, aromatics: [] }),
  };
}

const hours = (h: number): string => (h < 1 ? `${Math.round(h * 60)} min` : `${Math.round(h * 10) / 10} h`);

/**
 * The prep list in board order: what is done hours ahead, then vegetables, raw meat last.
 *
 * @param plan the plan
 * @param print the cook's units
 * @returns steps with their minutes; the meat's are the last on the board
 * @example prepSteps(plan, printerFor('metric')).filter((step) => step.when === 'board').at(-1)?.meat // true
 */
export function prepSteps(plan: Plan, print: Printer): PrepStep[] {
  const { meat } = plan;
  const title = cutTitle(cutById(meat.cut));
  const steps: PrepStep[] = [];
  const add = (id: string, text: string, minutes: number, isMeat: boolean, when: PrepStep['when'] = 'board'): void => {
    steps.push({ id, text, minutes, when, meat: isMeat });
  };
  if (meat.salted === 'ahead') {
    const ahead =
      meat.saltedMinutes === undefined ? 'The day before' : `${hours(meat.saltedMinutes / 60)} before the sear`;
    add('salt-ahead', `${ahead}: salt the ${title}, uncovered in the fridge`, SALT_MINUTES, true, 'ahead');
  }
  if (meat.marinade && meat.marinade.ml > 0) {
    add(
      'marinate',
      `${hours(meat.marinade.hours)} before: ${title} into its marinade, in the fridge`,
      3,
      true,
      'ahead',
    );
  }
  for (const { grain, grams } of plan.grains) {
    if (grams > 0) add(`grain-${grain}`, `${grainById(grain).name}: pick over and rinse`, 1, false);
  }
  const plants = [
    ...plan.vegetables.map(({ vegetable }) => vegetableById(vegetable).name.toLowerCase()),
    ...plan.aromatics.map(({ ingredient }) => aromaticKind(ingredient).name.toLowerCase()),
  ];
  if (plants.length > 0) add('plants', `Wash and cut ${listed(plants)}`, plantMinutes(plan), false);
  if (isCured(meat)) add('rinse', `Rinse the ${title}; its spice is laid on top later`, RINSE_MINUTES, true);
  if (meat.trimGrams > 0)
    add('trim', `Trim the hard fat off, ${print.quantity('mass', meat.trimGrams)}; leave some`, TRIM_MINUTES, true);
  const cutting = CUTTING[meat.form];
  if (cutting !== undefined) add('cut', `Cut the ${title}`, meat.grams / cutting, true);
  add('dry', `Pat the ${title} dry`, DRY_MINUTES, true);
  if (meat.rub && meat.rub.grams > 0)
    add('rub', `Rub it with ${print.quantity('mass', meat.rub.grams)}`, RUB_MINUTES, true);
  if (meat.salted === 'just-before') add('salt', 'Salt it as the pot heats, not before', SALT_MINUTES, true);
  return steps;
}

/**
 * Bowls by the moment their contents go into the pot.
 *
 * @param plan the plan
 * @example bowlsOf(plan).length // 0
 */
export function bowlsOf(plan: Plan): Bowl[] {
  const bowls: Bowl[] = aromaticSteps(plan.aromatics).map((step, i) => ({
    moment: step.setAside
      ? 'Sautéed first and set aside'
      : step.group === 'leaf'
        ? 'With the liquid'
        : step.group === 'garlic'
          ? 'Last, half a minute before the liquid'
          : i === 0
            ? 'Into the hot fat'
            : 'Then',
    items: plan.aromatics
      .filter(
        (item) =>
          item.grams > 0 &&
          aromaticKind(item.ingredient).group === step.group &&
          (item.then === 'set-aside') === step.setAside,
      )
      .map((item) => ({ what: aromaticKind(item.ingredient).name, grams: item.grams })),
  }));
  const put = (moment: string, items: Bowl['items']): void => {
    if (items.length > 0) bowls.push({ moment, items });
  };
  const additions = (when: string): Bowl['items'] =>
    plan.additions
      .filter((item) => item.when === when && item.grams > 0)
      .map((item) => ({ what: liquidById(item.ingredient).name, grams: item.grams }));
  put('Stirred into the liquid', additions('stirred-in'));
  put('On top, not stirred', [
    ...plan.vegetables
      .filter(({ place }) => place === 'start' || place === 'flavour-only')
      .map((item) => ({ what: vegetableById(item.vegetable).name, grams: item.grams })),
    ...plan.grains
      .filter(({ place }) => place === 'start')
      .map((item) => ({ what: grainById(item.grain).name, grams: item.grams })),
    ...additions('on-top'),
  ]);
  put('After the pressure', [
    ...plan.vegetables
      .filter(({ place }) => !['start', 'flavour-only'].includes(place))
      .map((item) => ({ what: vegetableById(item.vegetable).name, grams: item.grams })),
    ...plan.grains
      .filter(({ place }) => place !== 'start')
      .map((item) => ({ what: grainById(item.grain).name, grams: item.grams })),
    ...additions('after'),
  ]);
  return bowls;
}
