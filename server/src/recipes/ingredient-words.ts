import { AROMATICS, CUTS, cutTitle, GRAINS, tenderCut, VEGETABLES, type Form } from '@hervir/core';

/** What a line of ingredients is taken for. */
export type TakenAs =
  | { readonly kind: 'meat'; readonly id: string; readonly form: Form }
  | { readonly kind: 'liquid' | 'addition' | 'thickener' | 'vegetable' | 'grain' | 'aromatic'; readonly id: string }
  /** Salt, pepper, oil: the cook knows; it changes nothing that is reckoned. */
  | { readonly kind: 'by-taste' }
  | { readonly kind: 'unknown' };

/** Words for what is poured, spooned or strewn in, the longest first; `kind` says where it may go. Common practice. */
const POURED: readonly (readonly [RegExp, 'liquid' | 'addition' | 'thickener', string])[] = [
  [/tomato (paste|puree|purée|concentrate)/, 'addition', 'tomato-paste'],
  [/(passata|tomato sauce|sieved tomato)/, 'liquid', 'passata'],
  [/(crushed|chopped|diced|tinned|canned|can of|cans? .*) tomato(es)?/, 'liquid', 'chopped-tomato'],
  [/salsa/, 'liquid', 'salsa-thin'],
  [/(quince|fruit|membrillo) paste/, 'addition', 'quince-paste'],
  [/(soy|fish|anchovy|worcester\w*) sauce/, 'liquid', 'thin-savoury-sauce'],
  [/(barbecue|bbq|hoisin|oyster|brown) sauce|ketchup/, 'addition', 'bottled-thick-sauce'],
  [/(condensed|cream of) .*soup/, 'addition', 'cream-soup'],
  [/(sour cream|crème fraîche|creme fraiche|double cream|heavy cream|cream)\b/, 'addition', 'cream'],
  [/balsamic/, 'liquid', 'balsamic'],
  [/vinegar/, 'liquid', 'vinegar'],
  [/red wine/, 'liquid', 'red-wine'],
  [/(white wine|vermouth|wine)/, 'liquid', 'white-wine'],
  [/(beer|ale|stout|lager)\b/, 'liquid', 'beer'],
  [/cider/, 'liquid', 'cider'],
  [/(lemon|lime|orange) juice|juice of/, 'liquid', 'citrus-juice'],
  [/(stock|broth|bouillon)/, 'liquid', 'stock'],
  [/(corn ?starch|corn ?flour)/, 'thickener', 'cornstarch'],
  [/potato starch/, 'thickener', 'potato-starch'],
  [/arrowroot/, 'thickener', 'arrowroot'],
  [/tapioca/, 'thickener', 'tapioca'],
  [/flour/, 'thickener', 'flour'],
  [/(sugar|honey|molasses|maple syrup|treacle)/, 'addition', 'sugar'],
  [/\bwater\b/, 'liquid', 'water'],
];

const BY_TASTE =
  /\b(salt|pepper|peppercorns?|oil|butter|lard|dripping|ghee|cooking spray|parsley|coriander|cilantro|chives|to serve|to garnish|to taste)\b/;

/** Vegetables by the words a recipe has for them. */
const VEGETABLE_WORDS: readonly (readonly [RegExp, string])[] = [
  [/sweet potato|yam/, 'sweet-potato'],
  [/(floury|russet|baking|mashing) potato/, 'potato-floury'],
  [/potato/, 'potato-waxy'],
  [/carrot/, 'carrot'],
  [/parsnip/, 'parsnip'],
  [/turnip/, 'turnip'],
  [/celeriac|celery root/, 'celeriac'],
  [/swede|rutabaga/, 'swede'],
  [/beetroot|beets?\b/, 'beetroot'],
  [/squash|pumpkin/, 'squash'],
  [/(pearl|small|baby|button) onion|shallots? whole/, 'onion-small'],
  [/savoy|kale/, 'savoy'],
  [/cabbage/, 'cabbage'],
  [/green beans?|runner beans?/, 'green-bean'],
  [/peas?\b/, 'pea'],
  [/mushroom/, 'mushroom'],
  [/courgette|zucchini/, 'courgette'],
  [/cauliflower/, 'cauliflower'],
  [/broccoli/, 'broccoli'],
  [/brussels? sprout/, 'brussels-sprout'],
  [/fennel bulb|fennel/, 'fennel'],
  [/(bell|sweet|red|green) pepper/, 'sweet-pepper'],
  [/tomato/, 'tomato'],
];

const GRAIN_WORDS: readonly (readonly [RegExp, string])[] = [
  [/brown rice/, 'rice-brown'],
  [/rice/, 'rice-white'],
  [/barley/, 'barley-pearl'],
  [/spelt|farro/, 'spelt-pearled'],
  [/freekeh/, 'freekeh'],
  [/kidney bean/, 'kidney-bean-soaked'],
  [/chickpea|garbanzo/, 'chickpea-soaked'],
  [/(soaked) .*bean/, 'bean-dry-soaked'],
  [/bean/, 'bean-dry-unsoaked'],
  [/lentil/, 'lentil-brown'],
  [/split pea/, 'split-pea'],
  [/noodle/, 'egg-noodle'],
];

const FORM_WORDS: readonly (readonly [RegExp, Form])[] = [
  [/bite[- ]size|2 ?cm|1[- ]inch|stew(ing)? (meat|beef|lamb)|small (cubes|pieces)|diced/, 'bite-size'],
  [/chunk|cubes?|cubed|large pieces|cut (in|into)/, 'chunks'],
  [/slices?|sliced|steaks?|cross-?cut/, 'slices'],
  [/rack/, 'rack'],
  [/ribs?/, 'ribs'],
  [/pieces/, 'pieces'],
  [/whole|roast|joint|shanks?|hock/, 'whole'],
];

const known = new Set([...VEGETABLES, ...GRAINS].map(({ id }) => id));
const aromaticWords = AROMATICS.flatMap(({ id, words }) => words.map((word) => [word, id] as const)).sort(
  (a, b) => b[0].length - a[0].length,
);

/** The cut whose words fit best; null where no meat is spoken of. */
function cutOf(text: string): { readonly id: string; readonly form: Form } | null {
  let best: { id: string; score: number; forms: readonly Form[] } | null = null;
  for (const cut of CUTS) {
    const names = [cut.name, ...cut.alsoCalled.split(',')]
      .map((name) => name.trim().toLowerCase())
      .filter((name) => name !== '');
    const species = new RegExp(`\\b${cut.species}\\b`).test(text);
    const named = names.filter((name) => new RegExp(`\\b${name.replace(/[^a-z ]/g, '.')}`).test(text));
    const whole = text.includes(cutTitle(cut)) ? 2 : 0;
    const score =
      (species ? 2 : 0) + (named.length > 0 ? 1 + Math.max(...named.map(({ length }) => length)) / 20 : 0) + whole;
    // A cut's name alone may be anything's; its animal alone is a cut to be asked for.
    const enough = species || (named.length > 0 && /oxtail|brisket|short rib|ham hock|osso/.test(text));
    if (enough && (best === null || score > best.score)) best = { id: cut.id, score, forms: cut.forms };
  }
  if (best === null || /stock|broth|bouillon|sausage|bacon|mince|ground (beef|pork|lamb)/.test(text)) return null;
  const { id, forms } = best;
  const form = FORM_WORDS.find(([words, one]) => words.test(text) && forms.includes(one))?.[1];
  return { id, form: form ?? forms[0] ?? 'whole' };
}

/**
 * What a line of ingredients is taken for, by its words.
 *
 * @param line as written
 * @example takenAs('2 tbsp tomato paste') // { kind: 'addition', id: 'tomato-paste' }
 */
export function takenAs(line: string): TakenAs {
  const text = line.toLowerCase();
  // Said to be what it is, and not taken for a tough cut of its animal.
  if (tenderCut(text)) return { kind: 'unknown' };
  const cut = cutOf(text);
  if (cut) return { kind: 'meat', ...cut };
  const poured = POURED.find(([words]) => words.test(text));
  if (poured) return { kind: poured[1], id: poured[2] };
  const grain = GRAIN_WORDS.find(([words]) => words.test(text) && !/green bean|runner bean/.test(text));
  if (grain && known.has(grain[1])) return { kind: 'grain', id: grain[1] };
  const aromatic = aromaticWords.find(([word]) => new RegExp(`\\b${word}\\b`).test(text));
  const vegetable = VEGETABLE_WORDS.find(([words]) => words.test(text));
  // Large pieces are vegetables; onion, garlic and what is chopped fine are for the sauté.
  const fine = /(chopped|diced|minced|sliced|grated|crushed|finely)/.test(text);
  if (aromatic && (fine || !vegetable)) return { kind: 'aromatic', id: aromatic[1] };
  if (vegetable && known.has(vegetable[1])) return { kind: 'vegetable', id: vegetable[1] };
  if (BY_TASTE.test(text)) return { kind: 'by-taste' };
  return { kind: 'unknown' };
}

/** What a piece of it weighs, g, where a recipe counts instead of weighing. Common practice; from memory. */
const PIECE_GRAMS: readonly (readonly [RegExp, number])[] = [
  [/clove/, 5],
  [/bay|leaf|leaves|sprig/, 1],
  [/shallot|pearl|baby|button/, 25],
  [/celery/, 50],
  [/onion|leek|turnip|beet|fennel/, 150],
  [/potato/, 140],
  [/carrot|parsnip|courgette|zucchini/, 90],
  [/tomato/, 100],
  [/swede|rutabaga|celeriac|cabbage|cauliflower/, 700],
  [/pepper/, 150],
  [/mushroom/, 20],
  [/shank/, 400],
  [/can|tin/, 400],
];

/** Grams of one, as a recipe counts it. */
export function gramsOfOne(line: string): number | null {
  return PIECE_GRAMS.find(([words]) => words.test(line.toLowerCase()))?.[1] ?? null;
}
