import { messages as first } from './compiled/en-first';
import { messages as rest } from './compiled/en-rest';
import { capital, joined, listing, lowered, quantity, bySystem, say, timeOfDay } from './message';
import { messages as spanish } from './compiled/es-first';
import { messages as spanishRest } from './compiled/es-rest';
import { wordsFor, type Catalog, type Words } from './words';

/** Units are words too: those of English, under what a test itself says. */
const of = (locale: string, catalog: Catalog, system: 'metric' | 'us' = 'metric'): Words =>
  wordsFor(locale, [first, catalog], system);
/** As the standard parser makes it of `{n, plural, one {# egg} other {# eggs}} in {where}`. */
const EGGS: Catalog = {
  'test.eggs': [
    {
      type: 6,
      value: 'n',
      offset: 0,
      pluralType: 'cardinal',
      options: {
        one: { value: [{ type: 7 }, { type: 0, value: ' egg' }] },
        other: { value: [{ type: 7 }, { type: 0, value: ' eggs' }] },
      },
    },
    { type: 0, value: ' in ' },
    { type: 1, value: 'where' },
  ],
  'test.pot': 'the blue pot',
};

describe('words for one reader', () => {
  test('nothing is less than nothing', () => {
    expect(of('en-GB', EGGS).text({ code: 'test.eggs', values: { n: Math.round(-0.2), where: 'a pan' } })).toBe(
      '0 eggs in a pan',
    );
  });

  test('a message with values, and with a message among them', () => {
    const words = of('en-GB', EGGS);
    expect(words.text({ code: 'test.eggs', values: { n: 1, where: { code: 'test.pot' } } })).toBe(
      '1 egg in the blue pot',
    );
    expect(words.text({ code: 'test.eggs', values: { n: 2.5, where: 'a pan' } })).toBe('2.5 eggs in a pan');
    expect(of('de', EGGS).text({ code: 'test.eggs', values: { n: 2.5, where: 'a pan' } })).toBe('2,5 eggs in a pan');
  });

  test('lists, cases, texts one after another', () => {
    const { text } = of('en-GB', EGGS);
    expect(text(listing(['bay', 'thyme', 'bones']))).toBe('bay, thyme and bones');
    expect(text(capital({ code: 'test.pot' }))).toBe('The blue pot');
    expect(text(lowered('Bay leaves'))).toBe('bay leaves');
    expect(text(joined(['Heat off', { code: 'test.pot' }], '. '))).toBe('Heat off. the blue pot');
    expect(of('es', EGGS).text(listing(['laurel', 'tomillo']))).toBe('laurel y tomillo');
  });

  test('quantities, times and days as Spanish writes them', () => {
    const { text } = of('es-ES', spanish);
    expect(text(quantity('mass', 1600))).toBe('1,6 kg');
    expect(text(timeOfDay('2026-01-20T18:05:00+01:00'))).toBe('18:05');
    expect(text({ moment: '2026-01-20T18:05:00+01:00', as: 'long' })).toBe('martes, 20 de enero');
    const mexican = of('es-MX', spanish, 'us').text;
    expect(mexican(quantity('volume', 500))).toBe('2 tazas');
    expect(mexican(quantity('tablespoons', 1.5))).toBe('1½ cda');
    expect(mexican(timeOfDay('2026-01-20T18:05:00+01:00')).replace(/\s/g, ' ')).toBe('6:05 p.m.');
  });

  test('quantities in the reader’s units', () => {
    const all = [
      quantity('mass', 1600),
      quantity('rise', 20),
      quantity('litres', 2.5),
      quantity('tablespoons', 1.5),
      quantity('duration', 166),
      bySystem('grams', 'spoons'),
    ];
    expect(all.map(of('en-GB', {}).text)).toEqual(['1.6 kg', '20 °C', '2.5 l', '1½ tbsp', '2 h 46 min', 'grams']);
    expect(all.map(of('en-GB', {}, 'us').text)).toEqual([
      '3 lb 8½ oz',
      '36 °F',
      '2.6 qt',
      '1½ tbsp',
      '2 h 46 min',
      'spoons',
    ]);
  });

  test('a whole document: messages become words, everything else stays', () => {
    const { spell } = of('en-GB', EGGS);
    expect(
      spell({
        title: { code: 'test.pot' },
        fact: { code: 'burn', values: { kelvin: 3 }, text: { code: 'test.pot' } },
        entries: { list: [1, 2], more: true },
        amounts: [{ quantity: 'mass', value: 500 }, null, 3],
      }),
    ).toEqual({
      title: 'the blue pot',
      fact: { code: 'burn', values: { kelvin: 3 }, text: 'the blue pot' },
      entries: { list: [1, 2], more: true },
      amounts: ['500 g', null, 3],
    });
  });

  test('what another Hervir kept and this one does not know shows its code, and breaks nothing', () => {
    const words = of('en-GB', EGGS);
    expect(words.text({ code: 'test.newer' })).toBe('test.newer');
    expect(words.text({ code: 'test.eggs', values: { where: 'a pan' } })).toBe('test.eggs');
  });

  test('a cook kept before a group of messages was renamed is still said', () => {
    const words = wordsFor('es-ES', [spanish, spanishRest], 'metric');
    expect(words.text({ code: 'told.the-meat' })).toBe(words.text({ code: 'phrase.the-meat' }));
    expect(words.text({ code: 'told.the-meat' })).toBe('la carne');
  });

  test('what stands for a message that is not there is the asker’s to say', () => {
    const asked: string[] = [];
    const words = wordsFor('en-GB', [first], 'metric', (code) => {
      asked.push(code);
      return '…';
    });
    expect(words.text({ code: 'test.later' })).toBe('…');
    expect(asked).toEqual(['test.later']);
  });
});

/** A value for every kind that a message can ask for. */
const valuesOf = (elements: readonly unknown[]): Record<string, unknown> => {
  const found: Record<string, unknown> = {};
  for (const element of elements as readonly {
    type: number;
    value: string;
    children?: unknown[];
    options?: Record<string, { value: unknown[] }>;
  }[]) {
    if (element.type === 1) found[element.value] ??= 'a word';
    if (element.type === 2 || element.type === 6) found[element.value] = 2;
    if (element.type === 5) found[element.value] ??= true;
    if (element.type === 8) found[element.value] = (words: readonly unknown[]) => words.join('');
    for (const { value } of Object.values(element.options ?? {}))
      Object.assign(found, { ...valuesOf(value), ...found });
    if (element.children) Object.assign(found, valuesOf(element.children));
  }
  return found;
};

test('every message of the language can be said, and says something', () => {
  const all: Catalog = { ...first, ...rest };
  const words = of('en-GB', all);
  expect(Object.keys(all).length).toBeGreaterThan(2500);
  for (const [code, compiled] of Object.entries(all)) {
    const said = words.parts(code, typeof compiled === 'string' ? {} : valuesOf(compiled)).join('');
    expect(said).not.toBe(code);
    expect(said).toMatch(/\S/);
    expect(said).not.toMatch(/undefined|\[object|\b1 minutes\b|  /);
  }
});

test('say keeps code and values; a message without values has none', () => {
  expect(say('shared.chewy')).toEqual({ code: 'shared.chewy' });
  expect(say('servings.min', { minutes: 3 })).toEqual({ code: 'servings.min', values: { minutes: 3 } });
});
