import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';

/** What every sheet beside a component holds, and what is asked of it: a name on one side only draws nothing. */
const root = join(__dirname, '..');

function walk(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? walk(path) : [path];
  });
}

const files = walk(root);
const sheets = files.filter((file) => file.endsWith('.module.css'));
const components = files
  .filter((file) => /(?<!\.test)\.tsx$/.test(file))
  .map((file) => ({ file, text: readFileSync(file, 'utf8') }));

/** Names that a sheet keeps to itself. */
function namesIn(sheet: string): Set<string> {
  const text = readFileSync(sheet, 'utf8')
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/:global\([^)]*\)/g, '')
    .replace(/\{[^{}]*\}/g, '{}');
  return new Set([...text.matchAll(/\.(-?[a-zA-Z][\w-]*)/g)].map(([, name = '']) => name));
}

/** Names that the components ask of a sheet, with who asks. */
function askedOf(sheet: string): Map<string, string> {
  const asked = new Map<string, string>();
  for (const { file, text } of components) {
    for (const [, variable = '', path = ''] of text.matchAll(/import (\w+) from '([^']+\.module\.css)'/g)) {
      if (join(dirname(file), path) !== sheet) continue;
      for (const [, name = ''] of text.matchAll(new RegExp(`\\b${variable}\\['([^']+)'\\]`, 'g')))
        asked.set(name, relative(root, file));
    }
  }
  return asked;
}

test.each(sheets.map((sheet) => [relative(root, sheet), sheet] as const))('%s', (_name, sheet) => {
  const names = namesIn(sheet);
  const asked = askedOf(sheet);
  expect([...asked].filter(([name]) => !names.has(name))).toEqual([]);
  expect([...names].filter((name) => !asked.has(name))).toEqual([]);
});

/** Words that a component wears: every string of its code, but what it asks of a sheet. */
const worn = new Set(
  files
    .filter((file) => /(?<!\.test)\.tsx?$/.test(file))
    .flatMap((file) => [
      ...readFileSync(file, 'utf8')
        .replace(/\w+\['[^']*'\]/g, '')
        .matchAll(/[\w-]+/g),
    ])
    .map(([word]) => word),
);

test.each(files.filter((file) => file.endsWith('.css')).map((sheet) => [relative(root, sheet), sheet] as const))(
  '%s speaks of nothing that nobody wears',
  (_name, sheet) => {
    const text = readFileSync(sheet, 'utf8')
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .replace(/@import [^;]*;/g, '');
    const everywhere = sheet.endsWith('.module.css')
      ? [...text.matchAll(/:global\(\.([\w-]+)/g)]
      : [...text.replace(/\{[^{}]*\}/g, '{}').matchAll(/\.(-?[a-zA-Z][\w-]*)/g)];
    const names = new Set(everywhere.map(([, name = '']) => name).filter((name) => !name.startsWith('ant-')));
    expect([...names].filter((name) => !worn.has(name))).toEqual([]);
  },
);

test('only what all rooms share has names that go everywhere', () => {
  const everywhere = files.filter((file) => file.endsWith('.css') && !file.endsWith('.module.css'));
  expect(everywhere.filter((file) => !relative(root, file).startsWith('app/'))).toEqual([]);
});
