import { inWords, speaking } from '../language/speech';
import { forecast, newPlan, SIDES } from '@hervir/core';
import { recipeJsonLd, recipeMarkdown } from './recipe-out';

const plan = {
  ...newPlan({ cut: 'beef-chuck', form: 'chunks', grams: 1500, serveAt: '2027-01-17T19:00:00+01:00' }),
  vegetables: [{ vegetable: 'carrot', grams: 400, texture: 'tender' as const, place: 'auto' }],
};
const ahead = forecast({ ...plan, cookAhead: { hours: 24, depthCm: 5, warm: 'oven' } });

describe('a plan that is cooked ahead, written out', () => {
  test('as a card of text: both days, and the cautions of each at their step', () => {
    const card = recipeMarkdown(ahead, speaking('en-GB'));
    expect(card).toMatch(
      /Begin \d\d:\d\d to have it in the fridge at 19:00; on Sunday 17 January begin \d\d:\d\d to eat at 19:00/,
    );
    const parts = [...card.matchAll(/^## (.*)$/gm)].map(([, name]) => name);
    expect(parts.indexOf('On the day')).toBeGreaterThan(parts.indexOf('Put away'));
    expect(card).toMatch(/On the day: Warm through\n\n[^#]*74 °C in the middle, and only once/);
    expect(card).toMatch(/Carrot: boil in salted water/);
    expect(recipeMarkdown(forecast(plan), speaking('en-GB'))).not.toMatch(/fridge at|On the day/);
  });

  test('a side dish has its steps, also where all is eaten the same evening', () => {
    const polenta = SIDES.find(({ name }) => inWords(name) === 'Polenta');
    if (!polenta) throw new Error('there are side dishes');
    const card = recipeMarkdown(
      forecast({
        ...plan,
        sides: [
          {
            name: inWords(polenta.name),
            tasks: polenta.tasks.map((task) => ({ ...task, label: inWords(task.label) })),
          },
        ],
      }),
      speaking('en-GB'),
    );
    const [, told = ''] = /## Beside\n\n([^#]*)/.exec(card) ?? [];
    expect(told).toContain(`${inWords(polenta.name)}: `);
    for (const { label } of polenta.tasks) expect(told).toContain(inWords(label));
    expect(recipeMarkdown(forecast(plan), speaking('en-GB'))).not.toContain('## Beside');
  });

  test('as a recipe file every part has its steps', () => {
    const { recipeInstructions } = recipeJsonLd(ahead, speaking('en-GB')) as unknown as {
      recipeInstructions: { name: string; itemListElement: unknown[] }[];
    };
    expect(recipeInstructions.map(({ name }) => name)).toEqual(expect.arrayContaining(['Put away', 'On the day']));
    for (const { itemListElement } of recipeInstructions) expect(itemListElement.length).toBeGreaterThan(0);
  });
});
