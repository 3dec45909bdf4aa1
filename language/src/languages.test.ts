import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { isLanguage, languageFor, LANGUAGES } from './languages';

describe('the language of a reader', () => {
  // BCP 47 and the order of RFC 9110, 12.5.4; which Spanish a country reads: common practice.
  test.each([
    [['en-GB'], 'en-GB'],
    [['en'], 'en-GB'],
    [['en-AU', 'es'], 'en-GB'],
    [['en-US'], 'en-US'],
    [['es'], 'es-ES'],
    [['es-ES', 'en'], 'es-ES'],
    [['es-MX'], 'es-MX'],
    [['es-419'], 'es-MX'],
    [['fr', 'es-AR', 'en'], 'es-MX'],
    [['fr-CA', 'de'], 'en-GB'],
    [['*', 'no tag at all!', 'es'], 'es-ES'],
    [[], 'en-GB'],
  ])('%j is %s', (asked, found) => expect(languageFor(asked)).toBe(found));

  test('only a whole name is one', () => {
    expect(isLanguage('es-MX')).toBe(true);
    expect(isLanguage('es')).toBe(false);
    expect(isLanguage('toString')).toBe(false);
    expect(isLanguage(null)).toBe(false);
  });
});

test('every catalog that is compiled is spoken, over the one it lies over', () => {
  const { languages } = JSON.parse(readFileSync(join(__dirname, '../messages/languages.json'), 'utf8')) as {
    readonly languages: Readonly<Record<string, { readonly over?: string }>>;
  };
  const compiled = Object.entries(languages).map(([name, { over }]) => (over === undefined ? [name] : [over, name]));
  expect(Object.values(LANGUAGES).map(({ catalogs }) => [...catalogs])).toEqual(compiled);
});
