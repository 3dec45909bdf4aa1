import { findsByName } from './by-name';
import { cutOptions } from './cut-options';

/** The cuts that are shown when this is typed, what is tender among them. */
const found = (typed: string): string[] =>
  cutOptions().flatMap(({ options }) => options.filter((one) => findsByName(typed, one)).map(({ value }) => value));

// As it is written over the counter, in Britain, in America and in India. Common practice.
test.each([
  ['chuck roast', 'beef-chuck'],
  ['Pot roast', 'beef-chuck'],
  ['beef stew meat', 'beef-chuck'],
  ['short ribs', 'beef-short-rib'],
  ['corned beef', 'beef-brisket-cured'],
  ['osso buco', 'beef-shin'],
  ['pork butt', 'pork-shoulder'],
  ['country-style ribs', 'pork-shoulder'],
  ['ham hocks', 'pork-hock'],
  ['lamb shanks', 'lamb-shank'],
  ['mutton leg', 'lamb-leg'],
  ['curry cut', 'goat-stewing'],
])('%s finds %s first', (typed, id) => {
  expect(found(typed)[0]).toBe(id);
});

test('what is tender is found by its names too, and nothing by none', () => {
  expect(found('tenderloin')).toEqual(['tender:beef:fillet', 'tender:pork:tenderloin']);
  expect(found('aubergine')).toEqual([]);
  expect(findsByName('paletilla', { label: 'paleta', also: 'Paletílla de cordero' })).toBe(true);
});
