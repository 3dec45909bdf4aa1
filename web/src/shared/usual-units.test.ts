import { usualUnits } from './usual-units';

test.each([
  [['en-US', 'de'], 'us'],
  [['en-GB'], 'metric'],
  [['de-AT', 'en-US'], 'metric'],
  // Without a country nothing is known of its kitchens.
  [['en'], 'metric'],
  [['not a language'], 'metric'],
  [[], 'metric'],
])('%j: %s', (languages, units) => {
  expect(usualUnits(languages)).toBe(units);
});
