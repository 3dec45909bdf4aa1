import { lowerFirst, quantity, timeOfDay, upperFirst, type Text, type Words } from '@hervir/language';
import { guideOf, sectionName, type Forecast, type Guide } from '@hervir/core';
import type { HowToSection, Recipe, WithContext } from 'schema-dts';
import { cutById, cutTitle, liquidWord, vegetableById, grainById, aromaticKind, meatsOf } from '@hervir/core';

/** How the plan itself is marked in a recipe. */
export const PLAN_FORMAT = 'application/json; profile="hervir/braise"';

/** Minutes as ISO 8601 durations have them. */
export function isoDuration(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  return `PT${hours > 0 ? `${hours}H` : ''}${rest > 0 || hours === 0 ? `${rest}M` : ''}`;
}

/** The ingredients of a plan, a line each. */
function ingredients({ plan }: Forecast, { text, t }: Words): string[] {
  const mass = (grams: number): string => text(quantity('mass', grams));
  const volume = (ml: number): string => text(quantity('volume', ml));
  const named = (name: Text): string => lowerFirst(text(name));
  return [
    ...meatsOf(plan).map(
      ({ grams, cut, form }) => `${mass(grams)} ${text(cutTitle(cutById(cut)))}, ${t(`recipe-out.form-${form}`)}`,
    ),
    ...(plan.deglaze
      ? [t('recipe-out.to-deglaze', { ml: volume(plan.deglaze.ml), liquidWord: liquidWord(plan.deglaze.liquid) })]
      : []),
    ...plan.liquids.filter(({ ml }) => ml > 0).map(({ liquid, ml }) => `${volume(ml)} ${text(liquidWord(liquid))}`),
    ...plan.additions.map(({ ingredient, grams }) => `${mass(grams)} ${text(liquidWord(ingredient))}`),
    ...plan.aromatics.map(({ ingredient, grams }) => `${mass(grams)} ${named(aromaticKind(ingredient).name)}`),
    ...plan.vegetables.map(({ vegetable, grams }) => `${mass(grams)} ${named(vegetableById(vegetable).name)}`),
    ...plan.grains.map(({ grain, grams }) => `${mass(grams)} ${named(grainById(grain).name)}`),
    ...plan.others.map(({ name, grams }) => (grams > 0 ? `${mass(grams)} ${name}` : name)),
  ];
}

/** The steps of a plan by the parts of the work, each with its caution where it has one. */
function sections(f: Forecast, words: Words): { name: string; steps: string[] }[] {
  const evening = guideOf(f);
  const day = f.nextDay === null ? null : guideOf(f, 'day');
  return [
    ...sectionsOf(evening.steps, words),
    ...beside(words.t('recipe-out.beside'), evening, words),
    // A part of the day is not the same part of the evening: it says which it is.
    ...(day === null ? [] : beside(words.t('recipe-out.on-the-day'), day, words)),
    ...sectionsOf(day?.steps ?? [], words).map(({ name, steps }) => ({
      name: words.t('recipe-out.on-the-day-2', { name }),
      steps,
    })),
  ];
}

/** Side dishes, and what is made apart: each in a step of its own. */
function beside(name: string, { tracks }: Guide, { text }: Words): { name: string; steps: string[] }[] {
  const told = tracks.map((track) => `${text(track.name)}: ${track.steps.map(({ title }) => text(title)).join('; ')}.`);
  return told.length === 0 ? [] : [{ name, steps: told }];
}

function sectionsOf(guide: Guide['steps'], words: Words): { name: string; steps: string[] }[] {
  const sections: { name: string; steps: string[] }[] = [];
  for (const { section, run, title, detail, caution, minutes, counts } of guide) {
    const name = words.text(sectionName(section, run));
    const how = [
      words.text(title),
      words.text(detail),
      counts && minutes >= 1 ? `${words.text(quantity('duration', minutes))}.` : '',
      caution === null ? '' : words.t('recipe-out.take-care', { caution }),
    ];
    const text = how
      .filter((part) => part !== '')
      .map((part) => (/[.!?]$/.test(part) ? part : `${part}.`))
      .join(' ');
    const last = sections.at(-1);
    if (last?.name === name) last.steps.push(text);
    else sections.push({ name, steps: [text] });
  }
  return sections;
}

const titleOf = ({ plan }: Forecast, { text }: Words): string =>
  plan.name === '' ? upperFirst(text(cutTitle(cutById(plan.meat.cut)))) : plan.name;

/**
 * A plan as a schema.org recipe in JSON-LD, durations in ISO 8601.
 *
 * @param f its forecast
 * @param words of whoever reads it
 */
export function recipeJsonLd(f: Forecast, words: Words): WithContext<Recipe> {
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
    name: titleOf(f, words),
    recipeYield: words.t('recipe-out.servings', { servings: plan.servings }),
    prepTime: isoDuration(prep),
    cookTime: isoDuration(clock.totalMinutes - prep),
    totalTime: isoDuration(clock.totalMinutes),
    cookingMethod: words.t('recipe-out.braised-under-pressure-minutes', { pressureMinutes: f.pressureMinutes }),
    recipeIngredient: ingredients(f, words),
    recipeInstructions: sections(f, words).map(({ name, steps }) => hold(name, steps)),
    // The plan itself, for another Hervir: words cannot carry all of it.
    isBasedOn: { '@type': 'CreativeWork', encodingFormat: PLAN_FORMAT, text: JSON.stringify(plan) },
  };
}

/** Text that Markdown would take for markup is written so that it stays text. */
const escaped = (text: string): string => text.replace(/([\\`*_{}[\]<>#|!])/g, '\\$1');

/** Cooked ahead it is in the fridge then, and eaten another day. */
function begins({ clock, nextDay }: Forecast, words: Words): string {
  const at = (iso: string | null): Text => (iso === null ? '' : timeOfDay(iso));
  if (nextDay === null)
    return words.t('recipe-out.begin-to-eat-at', { begin: at(clock.startAt), eat: at(clock.eatAt) });
  const day = nextDay.clock;
  return words.t('recipe-out.begin-to-have-it-in', {
    begin: at(clock.startAt),
    inFridge: at(clock.eatAt),
    eatAt: day.eatAt === null ? '' : { moment: day.eatAt, as: 'long' },
    beginWarming: at(day.startAt),
    eat: at(day.eatAt),
  });
}

/**
 * A plan as a card in Markdown: what is needed, when, and the steps with their cautions.
 *
 * @param f its forecast
 * @param words of whoever reads it
 */
export function recipeMarkdown(f: Forecast, words: Words): string {
  const { plan, clock } = f;
  const when =
    clock.startAt === null || clock.eatAt === null
      ? words.t('recipe-out.in-all', { duration: quantity('duration', clock.totalMinutes) })
      : begins(f, words);
  return [
    `# ${escaped(titleOf(f, words))}`,
    '',
    words.t('recipe-out.minutes-under-pressure-in-for', {
      when,
      pressureMinutes: f.pressureMinutes,
      escaped: escaped(plan.cooker.name === '' ? words.t('recipe-out.the-pot') : plan.cooker.name),
      servings: plan.servings,
    }),
    '',
    `## ${words.t('recipe-out.what-is-needed')}`,
    '',
    ...ingredients(f, words).map((line) => `- ${escaped(line)}`),
    '',
    ...sections(f, words).flatMap(({ name, steps }) => [
      `## ${name}`,
      '',
      ...steps.map((step, i) => `${i + 1}. ${escaped(step)}`),
      '',
    ]),
    words.t('recipe-out.your-cookers-manual-and-your'),
    '',
  ].join('\n');
}
