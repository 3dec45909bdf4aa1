import { printerFor, printDuration, type UnitSystem } from '@hervir/language';
import { guideOf, type Forecast, type Guide } from '@hervir/core';
import type { HowToSection, Recipe, WithContext } from 'schema-dts';
import {
  cutById,
  cutTitle,
  liquidWord,
  vegetableById,
  grainById,
  aromaticKind,
  lowerFirst,
  meatsOf,
  upperFirst,
} from '@hervir/core';

/** How the plan itself is marked in a recipe. */
export const PLAN_FORMAT = 'application/json; profile="hervir/braise"';

/** Minutes as ISO 8601 durations have them. */
export function isoDuration(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  return `PT${hours > 0 ? `${hours}H` : ''}${rest > 0 || hours === 0 ? `${rest}M` : ''}`;
}

/** The ingredients of a plan, a line each, in the cook's units. */
function ingredients({ plan }: Forecast, system: UnitSystem): string[] {
  const print = printerFor(system);
  const mass = (grams: number): string => print.quantity('mass', grams);
  const volume = (ml: number): string => print.quantity('volume', ml);
  return [
    ...meatsOf(plan).map(({ grams, cut, form }) => `${mass(grams)} ${cutTitle(cutById(cut))}, ${form}`),
    ...(plan.deglaze ? [`${volume(plan.deglaze.ml)} ${liquidWord(plan.deglaze.liquid)}, to deglaze`] : []),
    ...plan.liquids.filter(({ ml }) => ml > 0).map(({ liquid, ml }) => `${volume(ml)} ${liquidWord(liquid)}`),
    ...plan.additions.map(({ ingredient, grams }) => `${mass(grams)} ${liquidWord(ingredient)}`),
    ...plan.aromatics.map(({ ingredient, grams }) => `${mass(grams)} ${lowerFirst(aromaticKind(ingredient).name)}`),
    ...plan.vegetables.map(({ vegetable, grams }) => `${mass(grams)} ${lowerFirst(vegetableById(vegetable).name)}`),
    ...plan.grains.map(({ grain, grams }) => `${mass(grams)} ${lowerFirst(grainById(grain).name)}`),
    ...plan.others.map(({ name, grams }) => (grams > 0 ? `${mass(grams)} ${name}` : name)),
  ];
}

/** The steps of a plan by the parts of the work, each with its caution where it has one. */
function sections(f: Forecast, system: UnitSystem): { name: string; steps: string[] }[] {
  const print = printerFor(system);
  const evening = guideOf(f);
  const day = f.nextDay === null ? null : guideOf(f, 'day');
  return [
    ...sectionsOf(evening.steps),
    ...beside('Beside', evening),
    // A part of the day is not the same part of the evening: it says which it is.
    ...(day === null ? [] : beside('On the day', day)),
    ...sectionsOf(day?.steps ?? []).map(({ name, steps }) => ({ name: `On the day: ${name}`, steps })),
  ];
}

/** Side dishes, and what is made apart: each in a step of its own. */
function beside(name: string, { tracks }: Guide): { name: string; steps: string[] }[] {
  const told = tracks.map((track) => `${track.name}: ${track.steps.map(({ title }) => title).join('; ')}.`);
  return told.length === 0 ? [] : [{ name, steps: told }];
}

function sectionsOf(guide: Guide['steps']): { name: string; steps: string[] }[] {
  const found: { name: string; steps: string[] }[] = [];
  for (const { section, title, detail, caution, minutes, counts } of guide) {
    const how = [
      title,
      detail,
      counts && minutes >= 1 ? `${printDuration(minutes)}.` : '',
      caution === null ? '' : `Take care: ${caution}`,
    ];
    const text = how
      .filter((part) => part !== '')
      .map((part) => (/[.!?]$/.test(part) ? part : `${part}.`))
      .join(' ');
    const last = found.at(-1);
    if (last?.name === section) last.steps.push(text);
    else found.push({ name: section, steps: [text] });
  }
  return found;
}

const titleOf = ({ plan }: Forecast): string =>
  plan.name === '' ? upperFirst(cutTitle(cutById(plan.meat.cut))) : plan.name;

/**
 * A plan as a schema.org recipe in JSON-LD, durations in ISO 8601.
 *
 * @param f its forecast
 * @param system the units it is written in
 */
export function recipeJsonLd(f: Forecast, system: UnitSystem): WithContext<Recipe> {
  const { plan, clock } = f;
  const prep = clock.tasks
    .filter(({ resource }) => resource === 'board')
    .reduce((sum, { minutes }) => sum + minutes, 0);
  const hold = (name: string, steps: readonly string[]): HowToSection => ({
    '@type': 'HowToSection',
    name,
    itemListElement: steps.map((text) => ({ '@type': 'HowToStep', text })),
  });
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: titleOf(f),
    recipeYield: `${plan.servings} servings`,
    prepTime: isoDuration(prep),
    cookTime: isoDuration(clock.totalMinutes - prep),
    totalTime: isoDuration(clock.totalMinutes),
    cookingMethod: `Braised under pressure, ${f.pressureMinutes} minutes`,
    recipeIngredient: ingredients(f, system),
    recipeInstructions: sections(f, system).map(({ name, steps }) => hold(name, steps)),
    // The plan itself, for another Hervir: words cannot carry all of it.
    isBasedOn: { '@type': 'CreativeWork', encodingFormat: PLAN_FORMAT, text: JSON.stringify(plan) },
  };
}

/** Text that Markdown would take for markup is written so that it stays text. */
const escaped = (text: string): string => text.replace(/([\\`*_{}[\]<>#|!])/g, '\\$1');

/** Cooked ahead it is in the fridge then, and eaten another day. */
function begins({ clock, nextDay }: Forecast): string {
  const at = (iso: string | null): string => iso?.slice(11, 16) ?? '';
  if (nextDay === null) return `Begin ${at(clock.startAt)} to eat at ${at(clock.eatAt)}`;
  const day = nextDay.clock;
  return `Begin ${at(clock.startAt)} to have it in the fridge at ${at(clock.eatAt)}; on ${day.eatAt?.slice(0, 10) ?? ''} begin ${at(day.startAt)} to eat at ${at(day.eatAt)}`;
}

/**
 * A plan as a card in Markdown: what is needed, when, and the steps with their cautions.
 *
 * @param f its forecast
 * @param system the units it is written in
 */
export function recipeMarkdown(f: Forecast, system: UnitSystem): string {
  const { plan, clock } = f;
  const when =
    clock.startAt === null || clock.eatAt === null ? `${printDuration(clock.totalMinutes)} in all` : begins(f);
  return [
    `# ${escaped(titleOf(f))}`,
    '',
    `${when}. ${f.pressureMinutes} minutes under pressure in ${escaped(plan.cooker.name === '' ? 'the pot' : plan.cooker.name)}, for ${plan.servings}.`,
    '',
    '## What is needed',
    '',
    ...ingredients(f, system).map((line) => `- ${escaped(line)}`),
    '',
    ...sections(f, system).flatMap(({ name, steps }) => [
      `## ${name}`,
      '',
      ...steps.map((step, i) => `${i + 1}. ${escaped(step)}`),
      '',
    ]),
    '_Your cooker’s manual and your local food-safety authority come first._',
    '',
  ].join('\n');
}
