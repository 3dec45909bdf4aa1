import { CUTS } from '@hervir/core';
import type { RecipeReading } from '@hervir/contract';
import { GIVEN, readLine, readRecipeIn } from '../testing/recipes';
import { takenAs } from './ingredient-words';
import { FOODS } from './lexicon';
import { readStep } from './read-step';
import { fromSpanish, isSpanish } from './spanish';
import { namesIn } from './names';
import { FOOD_WORDS } from './spanish-lexicon';

const readRecipe = (source: string): RecipeReading => readRecipeIn('es-ES')(source, GIVEN);

test('which language a recipe is in', () => {
  expect(isSpanish(['1 kg de morcillo de ternera, en dados', '2 hojas de laurel'])).toBe(true);
  expect(isSpanish(['1 kg beef shin, in dice', '2 bay leaves', 'Cook it for 40 minutes and serve'])).toBe(false);
  // Names of dishes are no language.
  expect(isSpanish(['2 lb pork shoulder for carne adovada', '1 tbsp chile de arbol', 'Cook it in the pot'])).toBe(
    false,
  );
  expect(isSpanish([])).toBe(false);
});

// Written for the purpose, as recipes of both countries are written; weights from the lines, of what is counted common practice.
test.each<[string, string, number | null]>([
  ['1,5 kg de morcillo de ternera en dados de 4 cm', 'meat:beef-shin', 1500],
  ['2 kilos de chambarete', 'meat:beef-shin', 2000],
  ['1 kilo y medio de diezmillo de res', 'meat:beef-chuck', 1500],
  ['Kilo y medio de carne para guisar', 'meat:beef-chuck', 1500],
  ['Medio kilo de carrilleras de cerdo', 'meat:pork-cheek', 500],
  ['4 carrilleras de ternera (1,6 kg)', 'meat:beef-cheek', 1600],
  ['1 rabo de toro troceado, de 1,4 kg', 'meat:beef-oxtail', 1400],
  ['2 kg de costillas de cerdo', 'meat:pork-spare-rib', 2000],
  ['1,8 kg de espaldilla de puerco, entera', 'meat:pork-shoulder', 1800],
  ['4 jarretes de cordero de 400 g cada uno', 'meat:lamb-shank', 1600],
  ['1 paletilla de cordero de 1,6 kg', 'meat:lamb-shoulder', 1600],
  ['1 kg de pierna de chivo', 'meat:goat-leg', 1000],
  ['2 codillos de cerdo', 'meat:pork-hock', 1800],
  ['Medio litro de caldo de carne', 'liquid:stock', 500],
  ['1 vaso de vino tinto', 'liquid:red-wine', 200],
  ['2 tazas de agua', 'liquid:water', 500],
  ['El zumo de 1 limón', 'liquid:citrus-juice', 45],
  ['1 lata de tomate troceado (400 g)', 'liquid:chopped-tomato', 400],
  ['2 cucharadas de concentrado de tomate', 'addition:tomato-paste', 31],
  ['1 cucharada sopera de maicena', 'thickener:cornstarch', 8],
  ['3 zanahorias grandes', 'vegetable:carrot', 270],
  ['500 g de patatas', 'vegetable:potato-waxy', 500],
  ['3 papas cambray', 'vegetable:potato-waxy', 180],
  ['1 calabacín', 'vegetable:courgette', 200],
  ['200 g de ejotes', 'vegetable:green-bean', 200],
  ['2 jitomates', 'vegetable:tomato', 200],
  ['100 g de aceitunas', 'vegetable:olive', 100],
  ['250 g de garbanzos secos', 'grain:chickpea-soaked', 250],
  ['1 taza de arroz', 'grain:rice-white', 200],
  ['2 cebollas picadas', 'aromatic:onion', 300],
  ['4 dientes de ajo', 'aromatic:garlic', 20],
  ['1 cabeza de ajos', 'aromatic:garlic-head', 50],
  ['2 hojas de laurel', 'aromatic:bay', 2],
  ['3 chiles guajillo', 'aromatic:dried-chilli', 24],
  ['1 cucharadita de pimentón de la Vera', 'aromatic:spice', 2.4],
  ['1 ramita de tomillo', 'aromatic:thyme', 1],
  ['Sal y pimienta negra al gusto', 'by-taste', null],
  ['Aceite de oliva virgen extra', 'by-taste', null],
  ['Tortillas de maíz, para servir', 'by-taste', null],
  ['2 muslos de pollo', 'unknown', null],
  ['600 g de lomo de cerdo', 'unknown', null],
  ['1 chorizo', 'unknown', null],
])('%s', (line, wanted, grams) => {
  const words = fromSpanish(line);
  const { taken, grams: found } = readLine(words, 'metric');
  expect([words, taken]).toEqual([words, wanted]);
  if (grams === null) return;
  expect([words, found, Math.abs(found / grams - 1) < 0.15]).toEqual([words, found, true]);
});

test.each<[string, number | null, string | null, string | null]>([
  ['Cuece a presión durante 40 minutos.', 40, 'pressure', null],
  ['Tapa la olla exprés y cocina 35 minutos desde que suba la válvula.', 35, 'pressure', null],
  ['Cierra la tapa y cocina a presión alta 1 hora y 10 minutos.', 70, 'pressure', null],
  ['Cocina a presión de 40 a 50 minutos y deja que baje la presión sola.', 45, 'pressure', 'natural'],
  ['Deja salir la presión de forma natural 10 minutos, luego abre la válvula.', null, null, 'natural-then-quick'],
  ['Libera la presión rápidamente.', null, null, 'quick'],
  ['Baja el fuego y cuece a fuego lento dos horas y media.', 150, 'simmer', null],
  ['Deja cocer a fuego suave hora y media.', 90, 'simmer', null],
  ['Hornea a 150 °C durante 3 horas.', 180, 'oven', null],
  ['Métela en el horno precalentado a 160 grados y asa 2 horas y cuarto.', 135, 'oven', null],
  ['Cocina en olla lenta en bajo por 8 horas.', 480, 'slow-cooker', null],
  ['Sofríe la cebolla a fuego lento 20 minutos.', null, null, null],
  ['Dora la carne por tandas, unos 15 minutos.', null, null, null],
  ['Deja reposar la carne 20 minutos.', null, null, null],
  ['Pon los garbanzos en remojo la noche anterior, 12 horas.', null, null, null],
  ['Cuece tres cuartos de hora más a fuego lento.', 45, 'simmer', null],
])('%s', (text, minutes, way, release) => {
  const words = fromSpanish(text);
  expect([words, readStep(words)]).toEqual([words, expect.objectContaining({ minutes, way, release })]);
});

test('every food is said in a name that the reader takes for one', () => {
  const names = new Set(FOODS.flatMap(([, all]) => all.split('|')));
  const unknown = FOOD_WORDS.map(([means]) => means).filter(
    (means) => !names.has(means) && takenAs(means).kind === 'unknown',
  );
  // An animal alone asks for its cut, and tender cuts are answered as such.
  expect(unknown).toEqual([
    'beef fillet',
    'beef rib eye',
    'pork tenderloin',
    'pork loin',
    'lamb chop',
    'beef',
    'pork',
    'lamb',
    'goat',
  ]);
});

const GUISO = `Carrilleras del refugio, para 6 personas

Ingredientes
1,6 kg de carrilleras de ternera
2 cebollas picadas
4 dientes de ajo
1 cucharada de concentrado de tomate
1 vaso de vino tinto
Medio litro de caldo de carne
2 hojas de laurel
4 zanahorias
Sal y pimienta
Para la guarnición:
500 g de patatas

Preparación
1. Dora la carne por tandas en la olla. Sácala y sofríe la cebolla 10 minutos.
2. Desglasa con el vino tinto, raspando el fondo.
3. Añade el caldo y el laurel, cierra la olla y cocina a presión durante 40 minutos. Deja que baje la presión de forma natural 15 minutos y abre la válvula.
4. Añade las zanahorias y cocina a presión 4 minutos más.`;

describe('a Spanish recipe becomes a plan', () => {
  const { name, servings, lines, method, plan, notes } = readRecipe(GUISO);

  test('with its name and company, every line as it was written', () => {
    expect([name, servings]).toEqual(['Carrilleras del refugio', 6]);
    expect(lines[0]?.text).toBe('1,6 kg de carrilleras de ternera');
    expect(method.map(({ text }) => text)[2]).toBe('Desglasa con el vino tinto, raspando el fondo.');
  });

  test('with its meat, its liquids, its stages', () => {
    expect(plan?.meat).toMatchObject({ cut: 'beef-cheek', grams: 1600 });
    expect(plan?.deglaze?.liquid).toBe('red-wine');
    expect(plan?.liquids.find(({ liquid }) => liquid === 'stock')?.ml).toBe(500);
    expect(plan?.pressureMinutes).toBe(40);
    expect(plan?.release).toEqual({ method: 'natural-then-quick', naturalMinutes: 15 });
    expect(plan?.stages.map(({ kind, minutes }) => [kind, minutes])).toEqual([['pressure', 4]]);
    expect(plan?.vegetables).toMatchObject([{ vegetable: 'carrot', place: 'second-run' }]);
    expect(plan?.aromatics.map(({ ingredient }) => ingredient)).toEqual(['onion', 'garlic', 'bay']);
  });

  test('and what it says of them in Spanish', () => {
    expect(notes.join(' ')).toMatch(/minutos/);
    expect(lines.find(({ text }) => text.startsWith('500 g'))?.guess).toContain('Para la guarnición');
  });
});

test('linked data in Spanish: its own time stands where no sentence has one, in its language', () => {
  const { method, plan, servings } = readRecipe(
    JSON.stringify({
      '@type': 'Recipe',
      name: 'Cordero del refugio',
      recipeYield: '4 porciones',
      recipeIngredient: ['1,2 kg de paletilla de cordero', '300 ml de caldo', '1 cebolla'],
      recipeInstructions: ['Precalienta el horno.', 'Asa la carne con la cebolla y el caldo.'],
      cookTime: 'PT2H30M',
    }),
  );
  expect(servings).toBe(4);
  expect(plan?.meat.cut).toBe('lamb-shoulder');
  expect(method.at(-1)).toMatchObject({ text: 'Cocinar 150 minutos en el horno.', minutes: 150, way: 'oven' });
});

test('every cut is known by the first of its names, which is none of another’s', () => {
  const taken = CUTS.map(({ soldAs }) => takenAs(namesIn('en-GB', soldAs).split('|')[0] ?? ''));
  expect(taken.map((as) => ('id' in as ? as.id : as.kind))).toEqual(CUTS.map(({ id }) => id));
});
