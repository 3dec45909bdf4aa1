// npm run messages: compiles the messages of every language, and stops where one is missing, unused, or asks for other values.
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const folder = join(root, 'language/messages');

/** The types of an ICU message's elements, as the parser numbers them. */
const TYPE = { literal: 0, argument: 1, number: 2, date: 3, time: 4, select: 5, plural: 6, pound: 7, tag: 8 };

/** Messages in files, by code: `bench.json` has "bench.…". */
function read(language) {
  const messages = {};
  const at = join(folder, language);
  for (const file of readdirSync(at).sort()) {
    const name = file.replace(/\.json$/, '');
    for (const [key, text] of Object.entries(JSON.parse(readFileSync(join(at, file), 'utf8'))))
      messages[`${name}.${key}`] = text;
  }
  return messages;
}

/** What a message asks for: name to a set of kinds. */
function argumentsOf(elements, found = new Map()) {
  const note = (name, kind) => found.set(name, new Set([...(found.get(name) ?? []), kind]));
  for (const element of elements) {
    if (element.type === TYPE.argument) note(element.value, 'Value');
    if (element.type === TYPE.number) note(element.value, 'number');
    if (element.type === TYPE.tag) {
      note(element.value, 'tag');
      argumentsOf(element.children, found);
    }
    if (element.type === TYPE.plural || element.type === TYPE.select) {
      if (element.type === TYPE.plural) note(element.value, 'number');
      else for (const key of Object.keys(element.options)) note(element.value, `=${key}`);
      for (const { value } of Object.values(element.options)) argumentsOf(value, found);
    }
  }
  return found;
}

/** The type of a value in the source's language. */
function typeOf(kinds) {
  if (kinds.has('tag')) return 'Tag';
  if (kinds.has('number')) return 'number';
  const keys = [...kinds].filter((kind) => kind.startsWith('=')).map((kind) => kind.slice(1));
  if (keys.length === 0) return 'Text';
  const named = keys.filter((key) => key !== 'other');
  if (named.every((key) => key === 'true' || key === 'false')) return 'boolean';
  return [...named, 'other'].map((key) => `'${key}'`).join(' | ');
}

/** A bare number stands without a mark between thousands; anything more it says itself. */
function plainNumbers(elements) {
  return elements.map((element) => {
    const made = { ...element };
    delete made.location;
    if (made.type === TYPE.number && !made.style) made.style = 'plain';
    if (made.style && typeof made.style === 'object')
      made.style = { type: made.style.type, parsedOptions: made.style.parsedOptions };
    if (made.children) made.children = plainNumbers(made.children);
    if (made.options)
      made.options = Object.fromEntries(
        Object.entries(made.options).map(([key, { value }]) => [key, { value: plainNumbers(value) }]),
      );
    return made;
  });
}

const compiledOf = (elements) =>
  elements.every(({ type }) => type === TYPE.literal)
    ? elements.map(({ value }) => value).join('')
    : plainNumbers(elements);

/** Every string and the beginning of every template in the sources, to see which messages are asked for. */
function sources() {
  const said = [];
  const walk = (at) => {
    for (const entry of readdirSync(at, { withFileTypes: true })) {
      const path = join(at, entry.name);
      if (entry.isDirectory()) {
        if (entry.name !== 'compiled' && entry.name !== 'testing') walk(path);
      } else if (/\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name)) said.push(readFileSync(path, 'utf8'));
    }
  };
  for (const workspace of ['core', 'contract', 'server', 'web', 'language']) walk(join(root, workspace, 'src'));
  return said.join('\n');
}

/** Whatever in a source may be the code of a message. */
const codesIn = (source) => [...source.matchAll(/'([a-z-]+\.[\w.-]+)'/g)].map(([, code]) => code);

/** What the first room says: the codes in every file that the page's beginning imports, at once or soon, one after another. */
function firstCodes(from) {
  const seen = new Set();
  const codes = new Set();
  const visit = (path) => {
    const file = [path, `${path}.ts`, `${path}.tsx`, join(path, 'index.ts')].find(
      (one) => /\.tsx?$/.test(one) && existsSync(one),
    );
    if (!file || seen.has(file)) return;
    seen.add(file);
    const text = readFileSync(file, 'utf8');
    for (const code of codesIn(text)) codes.add(code);
    for (const [, to] of text.matchAll(/^(?:import|export) (?!type )[^;]*?from '(\.[^']+)';/gms))
      visit(join(dirname(file), to));
    for (const [, to] of text.matchAll(/\bsoon\(\(\) => import\('(\.[^']+)'\)/g)) visit(join(dirname(file), to));
  };
  visit(join(root, from));
  return codes;
}

/**
 * Compiles all messages.
 *
 * @returns what is wrong, a line each; nothing is written where something is
 */
async function compileMessages() {
  const { parse } = await import('@formatjs/icu-messageformat-parser');
  const { languages, base, first, beginning } = JSON.parse(
    readFileSync(join(root, 'language/messages/languages.json'), 'utf8'),
  );
  const faults = [];
  const parsed = {};
  for (const language of Object.keys(languages)) {
    parsed[language] = {};
    for (const [code, text] of Object.entries(read(language))) {
      try {
        parsed[language][code] = parse(text, { requiresOtherClause: true });
      } catch (error) {
        faults.push(`${language} ${code}: ${error.message}`);
      }
    }
  }
  const types = {};
  for (const [code, elements] of Object.entries(parsed[base])) {
    types[code] = Object.fromEntries([...argumentsOf(elements)].map(([name, kinds]) => [name, typeOf(kinds)]));
  }
  for (const [language, { over }] of Object.entries(languages)) {
    if (language === base) continue;
    for (const code of Object.keys(types))
      if (!over && !(code in parsed[language])) faults.push(`${language} ${code}: is missing`);
    for (const [code, elements] of Object.entries(parsed[language])) {
      if (!(code in types)) {
        faults.push(`${language} ${code}: is not a message of ${base}`);
        continue;
      }
      for (const [name, kinds] of argumentsOf(elements)) {
        const type = typeOf(kinds);
        const known = types[code][name];
        if (known === undefined) faults.push(`${language} ${code}: asks for {${name}}, which ${base} does not`);
        else if (known !== type && !(type === 'Text' && known !== 'Tag') && !type.startsWith("'"))
          faults.push(`${language} ${code}: {${name}} is ${type} there and ${known} in ${base}`);
      }
    }
  }
  const said = sources();
  const asked = new Set(codesIn(said));
  const families = [...said.matchAll(/`([a-z-]+\.[\w.-]*)\$\{/g)].map(([, prefix]) => prefix);
  for (const code of Object.keys(types))
    if (!asked.has(code) && !families.some((prefix) => code.startsWith(prefix)))
      faults.push(`${base} ${code}: is asked for nowhere`);
  if (faults.length > 0) return faults;

  const into = join(root, 'language/src/compiled');
  mkdirSync(into, { recursive: true });
  const write = (file, text) => {
    const path = join(into, file);
    if (!existsSync(path) || readFileSync(path, 'utf8') !== text) writeFileSync(path, text);
  };
  const declared = Object.entries(types).map(([code, values]) => {
    const fields = Object.entries(values).map(([name, type]) => `readonly ${name}: ${type}`);
    return `  readonly '${code}': ${fields.length === 0 ? 'Nothing' : `{ ${fields.join('; ')} }`};`;
  });
  write(
    'codes.ts',
    [
      '/** Made by scripts/messages.mjs from language/messages; not to be edited. */',
      "import type { Text } from '../value';",
      '',
      'type Tag = (words: readonly unknown[]) => unknown;',
      'type Nothing = Readonly<Record<never, never>>;',
      'export interface MessageValues {',
      ...declared,
      '}',
      '',
    ].join('\n'),
  );
  const early = firstCodes(beginning);
  const isFirst = (code) => early.has(code) || first.includes(code) || first.includes(code.slice(0, code.indexOf('.')));
  for (const language of Object.keys(languages)) {
    const all = Object.entries(parsed[language]);
    for (const part of ['first', 'rest']) {
      const mine = all.filter(([code]) => isFirst(code) === (part === 'first'));
      write(
        `${language}-${part}.ts`,
        [
          '/** Made by scripts/messages.mjs from language/messages; not to be edited. */',
          "import type { Catalog } from '../words';",
          '',
          `export const messages: Catalog = ${JSON.stringify(Object.fromEntries(mine.map(([code, elements]) => [code, compiledOf(elements)])))};`,
          '',
        ].join('\n'),
      );
    }
  }
  return [];
}

const faults = await compileMessages();
for (const fault of faults) process.stderr.write(`${fault}\n`);
if (faults.length > 0) process.exit(1);
