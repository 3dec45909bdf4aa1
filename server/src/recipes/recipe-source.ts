import { Parser } from 'htmlparser2';

/** A recipe as it was written, before anything is made of it. */
export interface RecipeText {
  readonly name: string;
  readonly servings: number | null;
  readonly ingredients: readonly string[];
  readonly method: readonly string[];
  /** Where it was found: for the report. */
  readonly from: 'json-ld' | 'text';
}

type Node = Record<string, unknown>;
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Nested deeper than this is somebody's joke. */
const DEEPEST = 12;
const MOST_LINES = 300;
const LONGEST_LINE = 1000;

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

/** What the scripts of JSON-LD in a page hold. */
function linkedData(html: string): string[] {
  const found: string[] = [];
  let within = false;
  const parser = new Parser({
    onopentag: (name, { type = '' }) => {
      within = name === 'script' && /ld\+json/i.test(type);
      if (within) found.push('');
    },
    ontext: (text) => {
      if (within) found.push((found.pop() ?? '') + text);
    },
    onclosetag: (name) => {
      if (name === 'script') within = false;
    },
  });
  parser.end(html);
  return found;
}

const typeIs = ({ '@type': type }: Node, wanted: string): boolean =>
  (Array.isArray(type) ? type : [type]).some(
    (one) => typeof one === 'string' && one.replace(/^https?:\/\/schema\.org\//, '') === wanted,
  );

/** The first recipe in a document: by itself, in a list, or in a graph. */
function recipeIn(value: unknown, depth = 0): Node | null {
  if (depth > DEEPEST) return null;
  if (Array.isArray(value)) {
    for (const one of value as unknown[]) {
      const found = recipeIn(one, depth + 1);
      if (found) return found;
    }
    return null;
  }
  if (!isNode(value)) return null;
  if (typeIs(value, 'Recipe')) return value;
  for (const key of ['@graph', 'mainEntity', 'mainEntityOfPage', 'itemListElement', 'item']) {
    const found = recipeIn(value[key], depth + 1);
    if (found) return found;
  }
  return null;
}

function lines(text: string): string[] {
  return plain(text)
    .split(/\n+/)
    .map((line) => line.trim().slice(0, LONGEST_LINE))
    .filter((line) => line !== '')
    .slice(0, MOST_LINES);
}

/** Instructions come as text, as a list, as steps, or as sections of steps. */
function steps(value: unknown, depth = 0): string[] {
  if (depth > DEEPEST) return [];
  if (typeof value === 'string') return lines(value);
  if (Array.isArray(value)) return value.flatMap((one) => steps(one, depth + 1));
  if (!isNode(value)) return [];
  if (value['itemListElement'] !== undefined) return steps(value['itemListElement'], depth + 1);
  return steps(value['text'] ?? value['name'], depth + 1);
}

/** How many it feeds: "4", 4, "4 servings", ["4", "4 bowls"]. */
function servingsOf(value: unknown): number | null {
  const [first] = Array.isArray(value) ? (value as unknown[]) : [value];
  const found = /\d+/.exec(typeof first === 'number' ? String(first) : typeof first === 'string' ? first : '')?.[0];
  const count = found === undefined ? NaN : Number(found);
  return count >= 1 && count <= 40 ? count : null;
}

function fromNode(node: Node): RecipeText {
  const ingredients = node['recipeIngredient'] ?? node['ingredients'];
  return {
    name: typeof node['name'] === 'string' ? plain(node['name']).slice(0, 120) : '',
    servings: servingsOf(node['recipeYield']),
    ingredients: steps(ingredients),
    method: steps(node['recipeInstructions']),
    from: 'json-ld',
  };
}

/** Documents of JSON-LD in what was pasted: the whole of it, or the scripts of a page. */
function documents(source: string): unknown[] {
  const read = (text: string): unknown[] => {
    try {
      return [JSON.parse(text) as unknown];
    } catch {
      return [];
    }
  };
  const trimmed = source.trim();
  if (/^[[{]/.test(trimmed)) return read(trimmed);
  if (!/<script/i.test(source)) return [];
  return linkedData(source).flatMap((text) => read(text.trim().replace(/^<!--|-->$/g, '')));
}

const INGREDIENTS = /^(ingredients?|you (will )?need|what you need)\b/i;
const METHOD = /^(method|directions?|instructions?|preparation|steps?|how to)\b/i;
const STARTS_WITH_AMOUNT = /^[-•*\s]*(\d|[¼½¾⅓⅔⅛]|a |an |one |two |half |some |pinch|salt)/i;

/** A title without "serves 6". */
const titled = (line: string): string =>
  line.replace(/[,;:(–-]*\s*\b(serves|for|makes|feeds)\s+\d+.*$/i, '').slice(0, 120);

/** Pasted text: by its headings where it has them, else lines that begin with an amount are ingredients. */
function fromText(source: string): RecipeText {
  const all = lines(source);
  const atIngredients = all.findIndex((line) => INGREDIENTS.test(line));
  const atMethod = all.findIndex((line, i) => i > atIngredients && METHOD.test(line));
  const clean = (line: string): string => line.replace(/^[-•*]\s*/, '').replace(/^\d+[.)]\s+(?=[A-Z])/, '');
  const head = all.slice(0, atIngredients < 0 ? undefined : atIngredients);
  const servings = servingsOf(/(?:serves|for|makes|feeds)\s+(\d+)/i.exec(source)?.[1]);
  if (atIngredients >= 0) {
    return {
      name: titled(head[0] ?? ''),
      servings,
      ingredients: all.slice(atIngredients + 1, atMethod < 0 ? undefined : atMethod).map(clean),
      method: atMethod < 0 ? [] : all.slice(atMethod + 1).map(clean),
      from: 'text',
    };
  }
  const [first = '', ...rest] = all;
  const ingredients = rest.filter((line) => STARTS_WITH_AMOUNT.test(line) && line.length < 90);
  return {
    name: titled(first),
    servings,
    ingredients: ingredients.map(clean),
    method: rest.filter((line) => !ingredients.includes(line)).map(clean),
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
  for (const document of documents(text)) {
    const node = recipeIn(document);
    if (node) return fromNode(node);
  }
  return fromText(/<[a-z!]/i.test(text) ? plain(text) : text);
}
