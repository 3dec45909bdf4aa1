import { isLanguage, languageFor } from './languages';

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
