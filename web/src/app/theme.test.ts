import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Colours } from '../state/preferences';
import { themeOf, TOKENS } from './theme';

const sheet = readFileSync(join(__dirname, 'base.css'), 'utf8');

/** Custom properties of the first rule that begins so. */
function properties(selector: string): Record<string, string> {
  const from = sheet.indexOf(`${selector} {`);
  const rule = sheet.slice(from, sheet.indexOf('}', from));
  const variables = [...rule.matchAll(/--([a-z-]+): (#[0-9a-f]{6});/g)];
  return Object.fromEntries(variables.map(([, name = '', value = '']) => [name, value]));
}
const SHEETS: Readonly<Record<Colours, Record<string, string>>> = {
  day: properties(':root'),
  night: properties(":root[data-theme='night']"),
};
const COLOURS = ['day', 'night'] as const;

/** Relative luminance and contrast, WCAG 2.2, definitions of its glossary. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(one: string, other: string): number {
  const [dark = 0, light = 0] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (light + 0.05) / (dark + 0.05);
}

test('the contrast of black on white is 21, of a grey known from handbooks 4.54 (WCAG 2.2)', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
});

describe.each(COLOURS)('the colours of the %s', (colours) => {
  test('are the same in the style sheet and in the theme of the components', () => {
    for (const [name, value] of Object.entries(TOKENS[colours])) {
      const property = name === 'onStrong' ? 'on-strong' : name;
      expect([property, SHEETS[colours][property]]).toEqual([property, value.toLowerCase()]);
    }
  });

  test('can be read on page and card: 4.5 to 1 and more (WCAG 2.2, 1.4.3)', () => {
    const { page = '', card = '', ...rest } = SHEETS[colours];
    for (const name of ['rim', 'text', 'dim', 'ember', 'brass', 'steam', 'meat', 'herb']) {
      for (const [where, ground] of [
        ['page', page],
        ['card', card],
      ] as const) {
        expect([name, where, contrast(rest[name] ?? '', ground) >= 4.5]).toEqual([name, where, true]);
      }
    }
  });

  test('can be read where they are the ground themselves: a button’s words on it', () => {
    const { 'on-strong': words = '', ...rest } = SHEETS[colours];
    for (const name of ['ember', 'rim', 'steam', 'herb']) {
      expect([name, contrast(words, rest[name] ?? '') >= 4.5]).toEqual([name, true]);
    }
  });

  test('reach the components: the one primary action is the ember, and still means no motion at all', () => {
    const theme = themeOf(colours, true);
    expect(theme.token).toMatchObject({ colorPrimary: TOKENS[colours].ember, motion: false });
    expect(themeOf(colours).token?.motion).toBe(true);
  });
});

test('night has every colour that day has, and another for each', () => {
  expect(Object.keys(SHEETS.night).sort()).toEqual(Object.keys(SHEETS.day).sort());
  for (const [name, value] of Object.entries(SHEETS.night)) expect([name, value]).not.toEqual([name, SHEETS.day[name]]);
});

test('on paper it is day: the colours of the night are for screens only', () => {
  const before = sheet.slice(0, sheet.indexOf(":root[data-theme='night'] {"));
  expect(before.lastIndexOf('@media screen {')).toBeGreaterThan(before.lastIndexOf('}'));
});
