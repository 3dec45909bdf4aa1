import { DomUtils, parseDocument, Parser } from 'htmlparser2';
import { durations, inFigures } from './durations';
import { fromSpanish, isSpanish } from './spanish';

/** A recipe as it was written, before anything is made of it. */
export interface RecipeText {
  readonly name: string;
  readonly servings: number | null;
  readonly ingredients: readonly string[];
  readonly method: readonly string[];
  /** A plan of Hervir's own that the recipe carries, as it stands there. */
  readonly plan?: string;
  /** Lines were left out, or cut: more than anybody writes. */
  readonly cutShort?: boolean;
  /** Where it was found: for the report. */
  readonly from: 'json-ld' | 'text';
}

type Node = Record<string, unknown>;
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Nested deeper than this is somebody's joke. */
const DEEPEST = 12;
/** Longer than this nobody writes a recipe, nor a line of it. */
export const MOST_LINES = 300;
export const LONGEST_LINE = 1000;
/** A pasted page has so many lines at most before its recipe has ended. */
const MOST_TEXT_LINES = 5000;

/** Elements after which a new line begins. */
const BREAKS: ReadonlySet<string> = new Set(['br', 'p', 'li', 'div', 'tr', 'h1', 'h2', 'h3', 'h4', 'ul', 'ol']);
/** Elements whose text is for machines. */
const SILENT: ReadonlySet<string> = new Set(['script', 'style', 'template', 'noscript']);

/** Text without markup: a recipe's text is never taken for anything but text. Read once from end to end, however it nests. */
export function plain(text: string): string {
  return (/[<&]/.test(text) ? withoutMarkup(text) : text)
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/g, '')
    .replace(/[ \t\u00a0]+/g, ' ')
    .trim();
}

function withoutMarkup(html: string): string {
  const parts: string[] = [];
  let silent = 0;
  const parser = new Parser({
    onopentagname: (name) => {
      if (SILENT.has(name)) silent += 1;
      if (name === 'br') parts.push('\n');
    },
    ontext: (text) => void (silent === 0 && parts.push(text)),
    onclosetag: (name) => {
      if (SILENT.has(name)) silent -= 1;
      else if (name !== 'br' && BREAKS.has(name)) parts.push('\n');
    },
  });
  parser.end(html);
  return parts.join('');
}

/** Elements nested deeper than this are nobody's page, and the time of a parser grows with the square of it. */
const DEEPEST_ELEMENT = 2000;
/** What is handed to the parser at once, characters. */
const PIECE = 20_000;

/** Whether a page nests deeper than pages do. */
function nestsTooDeep(html: string): boolean {
  let [depth, deepest] = [0, 0];
  const parser = new Parser({
    onopentagname: () => {
      depth += 1;
      deepest = Math.max(deepest, depth);
    },
    onclosetag: () => {
      depth -= 1;
    },
  });
  for (let at = 0; at < html.length && deepest <= DEEPEST_ELEMENT; at += PIECE)
    parser.write(html.slice(at, at + PIECE));
  return deepest > DEEPEST_ELEMENT;
}

/** What the scripts of JSON-LD in a page hold. */
function linkedData(html: string): string[] {
  const scripts: string[] = [];
  let within = false;
  const parser = new Parser({
    onopentag: (name, { type = '' }) => {
      within = name === 'script' && /ld\+json/i.test(type);
      if (within) scripts.push('');
    },
    ontext: (text) => {
      if (within) scripts.push((scripts.pop() ?? '') + text);
    },
    onclosetag: (name) => {
      if (name === 'script') within = false;
    },
  });
  parser.end(html);
  return scripts;
}

const SCHEMA = /^(?:https?:\/\/(?:www\.)?schema\.org\/|schema:)/i;

const typeIs = ({ '@type': type }: Node, wanted: string): boolean =>
  (Array.isArray(type) ? type : [type]).some((one) => typeof one === 'string' && one.replace(SCHEMA, '') === wanted);

/** A value as it is meant: what is wrapped as a value of linked data, or as the only one of a list, by itself. */
function bare(value: unknown): unknown {
  if (Array.isArray(value) && value.length === 1) return bare(value[0]);
  return isNode(value) && '@value' in value ? value['@value'] : value;
}

/** A value as words; empty where it is none. */
function worded(value: unknown): string {
  const said = bare(value);
  return typeof said === 'string' || typeof said === 'number' ? String(said) : '';
}

/** A node with its terms by their short names: "http://schema.org/name" is "name". */
function shortened(node: Node): Node {
  return Object.fromEntries(Object.entries(node).map(([key, value]) => [key.replace(SCHEMA, ''), value]));
}

/** The first recipe in a document: by itself, in a list, in a graph, or as a part of something else. */
function recipeIn(value: unknown, depth = 0): Node | null {
  if (depth > DEEPEST) return null;
  if (Array.isArray(value)) {
    for (const one of value as unknown[]) {
      const recipe = recipeIn(one, depth + 1);
      if (recipe) return recipe;
    }
    return null;
  }
  if (!isNode(value)) return null;
  if (typeIs(value, 'Recipe')) return shortened(value);
  for (const part of Object.values(value)) {
    const recipe = typeof part === 'object' ? recipeIn(part, depth + 1) : null;
    if (recipe) return recipe;
  }
  return null;
}

/** A sentence to a line: a step that says three things is three. */
function sentences(text: string): string[] {
  return lines(text).flatMap((line) => line.split(/(?<=[\p{Ll}\d)][.!?])\s+(?=[\p{Lu}¡¿])/u));
}

function lines(text: string): string[] {
  return plain(text)
    .split(/\n+/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
}

/** A recipe as long as anybody writes: what is longer is cut, and says so. */
function bounded(recipe: RecipeText): RecipeText {
  const cut = (some: readonly string[]): string[] => some.slice(0, MOST_LINES).map((one) => one.slice(0, LONGEST_LINE));
  const over = [recipe.ingredients, recipe.method].some(
    (some) => some.length > MOST_LINES || some.some((one) => one.length > LONGEST_LINE),
  );
  return over
    ? { ...recipe, ingredients: cut(recipe.ingredients), method: cut(recipe.method), cutShort: true }
    : recipe;
}

/** Instructions come as text, as a list, as steps, or as sections of steps. */
function steps(value: unknown, depth = 0): string[] {
  if (depth > DEEPEST) return [];
  if (typeof value === 'string') return lines(value);
  if (Array.isArray(value)) return value.flatMap((one) => steps(one, depth + 1));
  if (!isNode(value)) return [];
  if (value['itemListElement'] !== undefined) {
    const section = worded(value['name']);
    return [...(section === '' ? [] : lines(`${section}:`)), ...steps(value['itemListElement'], depth + 1)];
  }
  if ('@value' in value) return steps(value['@value'], depth + 1);
  const { value: amount, unitText, name } = value as { value?: unknown; unitText?: unknown; name?: unknown };
  // An ingredient as a quantity of something.
  if ((typeof amount === 'number' || typeof amount === 'string') && typeof name === 'string') {
    return steps([amount, typeof unitText === 'string' ? unitText : '', name].join(' ').replace(/ +/g, ' '), depth + 1);
  }
  return steps(value['text'] ?? name, depth + 1);
}

/** How many it feeds: "4", 4, "4 servings", ["a bowl", "4 bowls"], "1 pie (6 servings)", "six". */
function servingsOf(value: unknown): number | null {
  const said = (Array.isArray(value) ? (value as unknown[]) : [value]).map((one) => worded(one));
  for (const words of said.map(inFigures)) {
    const match =
      /(\d+)(?:\s*(?:-|to)\s*\d+)?\s*(?:servings?|portions?|people|persons?|personas?|porciones?|raciones?|comensales?)/.exec(
        words,
      ) ?? /\d+/.exec(words);
    const count = match === null ? NaN : Number(match[1] ?? match[0]);
    if (count >= 1 && count <= 40) return count;
  }
  return null;
}

/** A length of time as linked data has it, "PT3H30M", in minutes; null where it is none. */
function cookedFor(value: unknown): number | null {
  const [all, days, hours, minutes] =
    /^P(?:(\d+)D)?(?:T(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?)?/i.exec(worded(value)) ?? [];
  const whole = Number(days ?? 0) * 1440 + Number(hours ?? 0) * 60 + Number(minutes ?? 0);
  return all === undefined || !(whole > 0) ? null : Math.round(whole);
}

function fromNode(node: Node): RecipeText {
  const name = bare(node['name']);
  const carried = carriedPlan(node['isBasedOn']);
  const method = steps(node['recipeInstructions']).flatMap(sentences);
  // The recipe's own time stands where no sentence has one; where it is done is said by the sentences.
  const ingredients = steps(node['recipeIngredient'] ?? node['ingredients']);
  const spanish = isSpanish([...ingredients, ...method]);
  const timed = method.some((text) => durations(inFigures(spanish ? fromSpanish(text) : text)).length > 0);
  const time = timed ? null : (cookedFor(node['cookTime']) ?? cookedFor(node['totalTime']));
  const oven = method.some((text) => /oven|bake|roast|horn[oe]/i.test(text));
  const cooked = spanish
    ? `Cocinar ${time} minutos${oven ? ' en el horno' : ''}.`
    : `Cook for ${time} minutes${oven ? ' in the oven' : ''}.`;
  return {
    name: typeof name === 'string' ? plain(plain(name)).slice(0, 120) : '',
    servings: servingsOf(node['recipeYield'] ?? node['yield']),
    ingredients,
    method: time === null ? method : [...method, cooked],
    ...(carried === null ? {} : { plan: carried }),
    from: 'json-ld',
  };
}

/** The plan that a recipe of Hervir's own carries. */
function carriedPlan(value: unknown): string | null {
  const part = bare(value);
  if (!isNode(part) || !worded(part['encodingFormat']).includes('hervir/braise')) return null;
  return typeof part['text'] === 'string' ? part['text'] : null;
}

/** JSON as it stands on pages: with bare line ends in its texts, a comma too many, one document after another. */
function mended(text: string): unknown[] {
  let inText = false;
  let depth = 0;
  let from = 0;
  const whole: string[] = [];
  let clean = '';
  for (let i = 0; i < text.length; i += 1) {
    const sign = text[i] as string;
    if (inText && sign === '\\') {
      clean += sign + (text[i + 1] ?? '');
      i += 1;
      continue;
    }
    if (sign === '"') inText = !inText;
    if (inText && sign < ' ') {
      clean += sign === '\n' ? '\\n' : ' ';
      continue;
    }
    clean += sign;
    if (inText) continue;
    if (sign === '{' || sign === '[') depth += 1;
    if (sign !== '}' && sign !== ']') continue;
    depth -= 1;
    if (depth > 0) continue;
    whole.push(clean.slice(from));
    from = clean.length;
    depth = 0;
  }
  return whole.flatMap((one) => {
    try {
      return [JSON.parse(one.replace(/,(\s*[}\]])/g, '$1')) as unknown];
    } catch {
      return [];
    }
  });
}

/** Documents of JSON-LD in what was pasted: the whole of it, or the scripts of a page. */
function documents(source: string): unknown[] {
  const read = (text: string): unknown[] => {
    try {
      return [JSON.parse(text) as unknown];
    } catch {
      return mended(text);
    }
  };
  const trimmed = source.trim();
  if (/^[[{]/.test(trimmed)) return read(trimmed);
  if (!/<script/i.test(source)) return [];
  return linkedData(source).flatMap((text) => read(text.trim().replace(/^<!--|-->$/g, '')));
}

const INGREDIENTS =
  /^(?:the )?(?:ingredients?|you(?: wi|['’])ll need|you need|what you(?:['’]ll)? need|shopping list|ingredientes?|necesitas)\b/i;
const METHOD =
  /^(?:the )?(?:method|directions?|instructions?|preparation|steps?|how to|what to do|(?:modo de )?preparaci[oó]n|elaboraci[oó]n|instrucciones|procedimiento|pasos|m[eé]todo|c[oó]mo (?:se hace|hacer))(?![\p{L}])/iu;
const FEEDS =
  /(?:\b(?:serves|feeds|makes|yields?|servings?|portions?)\b\s*:?\s*(?:about\s+)?|\bfor (?=\d+(?: people| persons| servings| portions| guests)?\s*(?:$|[,.;)])))(\d+)(?!\s*(?:h\b|hours?|min|\d|[./]\d|cups?|litres?|liters?|quarts?))/;

const FEEDS_IN_SPANISH =
  /\b(?:para|rinde|raciones|porciones|comensales)\b\s*:?\s*(?:unas\s+)?(\d+)(?=\s*(?:$|[,.;)]|personas?|comensales|raciones|porciones))|\b(\d+) (?:personas?|comensales|raciones|porciones)\b/;

/** How many pasted text says it feeds: the first line that names a company, not the hours it cooks for. */
function fed(all: readonly string[]): number | null {
  for (const line of all) {
    const words = line.length < 300 ? inFigures(unmarked(line)) : '';
    const spanish = FEEDS_IN_SPANISH.exec(words);
    const feeds = FEEDS.exec(words)?.[1] ?? spanish?.[1] ?? spanish?.[2];
    if (feeds !== undefined) return servingsOf(feeds);
  }
  return null;
}

/** A line without the marks of Markdown. */
const unmarked = (line: string): string => line.replaceAll(/^#+\s+|[*_]{2}|^[*_](?=\S)|(?<=\S)[*_]$/g, '').trim();
const STARTS_WITH_AMOUNT =
  /^[-•*▢□☐·\s]*(\d|[¼½¾⅓⅔⅛]|a |an |one |two |half |some |pinch|salt|una? |dos |tres |medi[oa] |cuarto |pizca|sal(?![\p{L}]))/iu;

/** A title without "serves 6". */
const titled = (line: string): string =>
  unmarked(line)
    .replace(/[,;:(–-]*\s*\b(serves|for|makes|feeds|para|rinde)\s+\d+.*$/i, '')
    .slice(0, 120);

/** A line of a list: short, and no sentence. */
const listed = (line: string): boolean => line.length < 90 && !/[.!?]$/.test(line);

/** The list of ingredients in lines without headings: what begins with an amount, and the short lines among them and after. */
function listIn(all: readonly string[]): string[] {
  const amounts = all.map(
    (line) => line.length < 90 && STARTS_WITH_AMOUNT.test(line) && !/^\d+[.)]\s+\p{Lu}/u.test(line),
  );
  let [from, to] = [amounts.indexOf(true), amounts.lastIndexOf(true)];
  if (from < 0) return [];
  // A heading before them, and "salt and pepper" after them, belong to the list.
  if (/:$/.test(all[from - 1] ?? '') && listed(all[from - 1] ?? '')) from -= 1;
  while (to + 1 < all.length && listed(all[to + 1] ?? '') && durations(inFigures(all[to + 1] ?? '')).length === 0)
    to += 1;
  return all.slice(from, to + 1).filter((line, i) => amounts[from + i] === true || listed(line));
}

/** Pasted text: by its headings where it has them, else lines that begin with an amount are ingredients. */
function fromText(source: string): RecipeText {
  const every = lines(source);
  const all = every.slice(0, MOST_TEXT_LINES);
  const cutShort = every.length > all.length;
  const atIngredients = all.findIndex((line) => INGREDIENTS.test(unmarked(line)));
  const atMethod = all.findIndex((line, i) => i > atIngredients && METHOD.test(unmarked(line)));
  const clean = (line: string): string =>
    line.replace(/^(?:[•▢□☐·]|[-*](?=\s|\d))\s*/, '').replace(/^\d+[.)]\s+(?=[\p{Lu}¡¿])/u, '');
  const head = all.slice(0, atIngredients < 0 ? undefined : atIngredients);
  const servings = fed(all);
  if (atIngredients >= 0) {
    return {
      name: titled(head[0] ?? ''),
      servings,
      ingredients: all.slice(atIngredients + 1, atMethod < 0 ? undefined : atMethod).map(clean),
      method:
        atMethod < 0
          ? []
          : all
              .slice(atMethod + 1)
              .map(clean)
              .flatMap(sentences),
      cutShort,
      from: 'text',
    };
  }
  const [first = '', ...rest] = all;
  const ingredients = listIn(rest);
  return {
    name: titled(first),
    servings,
    ingredients: ingredients.map(clean),
    method: rest
      .filter((line) => !ingredients.includes(line))
      .map(clean)
      .flatMap(sentences),
    cutShort,
    from: 'text',
  };
}

/** Where a page marks its recipe up: microdata and RDFa by property, microformats by class. */
const MARKED = {
  name: ['name', 'p-name', 'fn'],
  servings: ['recipeYield', 'yield', 'p-yield'],
  ingredients: ['recipeIngredient', 'ingredients', 'p-ingredient', 'ingredient'],
  method: ['recipeInstructions', 'e-instructions', 'p-instructions', 'instructions'],
} as const;

/** A recipe that a page marks up in its elements; null where it has none with ingredients. */
function fromMarkup(html: string): RecipeText | null {
  if (!/schema\.org\/Recipe|h-?recipe/i.test(html)) return null;
  const page = parseDocument(html);
  const all = DomUtils.findAll(() => true, page.children);
  const scope =
    all.find(({ attribs }) => /Recipe/.test(`${attribs['itemtype'] ?? ''} ${attribs['typeof'] ?? ''}`)) ??
    all.find(({ attribs }) => /(?:^|\s)h-?recipe(?:\s|$)/.test(attribs['class'] ?? ''));
  if (!scope) return null;
  const within = DomUtils.findAll(() => true, scope.children);
  const marked = (names: readonly string[]): string[] =>
    within
      .filter(({ attribs }) =>
        [attribs['itemprop'], attribs['property']?.replace(SCHEMA, ''), ...(attribs['class'] ?? '').split(/\s+/)].some(
          (one) => one !== undefined && names.includes(one),
        ),
      )
      .map((element) => element.attribs['content'] ?? DomUtils.getInnerHTML(element));
  const ingredients = marked(MARKED.ingredients).flatMap(lines);
  if (ingredients.length === 0) return null;
  const text = plain(DomUtils.getInnerHTML(scope));
  return {
    name: plain(marked(MARKED.name)[0] ?? '').slice(0, 120),
    servings: servingsOf(marked(MARKED.servings).map(plain)) ?? fed(lines(text)),
    ingredients,
    method: marked(MARKED.method).flatMap((one) => lines(one).flatMap(sentences)),
    from: 'text',
  };
}

/**
 * Finds the recipe in what was pasted or read from a file: JSON-LD by itself, the source of a page with JSON-LD in it
 * (single, list or graph), or plain text.
 *
 * @param source at most a few megabytes
 * @returns the recipe as written; without ingredients where none was found
 */
export function recipeSource(source: string): RecipeText {
  const text = source.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  if (text.length > PIECE && text.includes('<') && nestsTooDeep(text))
    return { name: '', servings: null, ingredients: [], method: [], cutShort: true, from: 'text' };
  for (const document of documents(text)) {
    const node = recipeIn(document);
    if (node) return bounded(fromNode(node));
  }
  return bounded(/<[a-z!]/i.test(text) ? (fromMarkup(text) ?? fromText(plain(text))) : fromText(text));
}
