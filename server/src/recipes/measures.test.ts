import { GIVEN } from '../testing/recipes';
import { amountOf } from './amounts';
import { measuresOf, type Measures } from './measures';
import { readRecipe } from './read-recipe';

test.each<[Measures, readonly string[]]>([
  ['imperial', ['1 pint stock', '2 courgettes', '1 tin tomatoes', 'Cook at gas mark 2.']],
  ['us', ['1 pint broth', '2 zucchini', '1 can tomatoes', 'Cook at 325 F.']],
  ['us', ['2 quarts water', '3 lb chuck roast', '1 cup beef broth']],
  ['imperial', ['1 litre water', '1.5 kg shin of beef']],
  ['unknown', ['1 pint stock', '3 carrots', '2 onions']],
])('%s', (wanted, lines) => {
  expect(measuresOf(lines)).toBe(wanted);
});

// NIST Handbook 44; Weights and Measures Act 1985, schedule 1.
test.each<[string, Measures, number]>([
  ['1 pint stock', 'us', 473.2],
  ['1 pint stock', 'imperial', 568.3],
  ['1 pint stock', 'unknown', 520],
  ['1 quart stock', 'us', 946.4],
  ['10 fl oz stock', 'imperial', 284.1],
  ['10 fl oz stock', 'us', 295.7],
  ['2 cups stock', 'us', 473.2],
  ['2 cups stock', 'metric', 500],
])('%s of %s', (line, of, ml) => {
  expect(amountOf(line, { kind: 'liquid', id: 'stock' }, of)?.grams).toBeCloseTo(ml, 0);
});

test('a recipe is read in the measures of its own country', () => {
  const stock = (also: string): number | null | undefined =>
    readRecipe(`Beef\nIngredients\n1 kg beef shin\n1 pint stock\n${also}\nMethod\nSimmer for 2 hours.`, GIVEN).lines[1]
      ?.grams;
  expect([stock('2 zucchini'), stock('2 courgettes'), stock('2 carrots')]).toEqual([473, 568, 520]);
});
