import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as fixtures from './testing/fixtures';

/** Every `@example expression // result` of the core's doc comments is run here, so that none of them can lie. */
function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'testing' ? [] : sources(path);
    return /(?<!\.test)\.ts$/.test(entry.name) && entry.name !== 'index.ts' ? [path] : [];
  });
}

const files = sources(__dirname);
const scope: Record<string, unknown> = { ...fixtures };
// eslint-disable-next-line @typescript-eslint/no-require-imports -- every module of the core, found by walking the folder
for (const file of files) Object.assign(scope, require(file) as Record<string, unknown>);

const evaluate = (expression: string): unknown => {
  const names = Object.keys(scope);
  // eslint-disable-next-line @typescript-eslint/no-implied-eval -- our own doc comments, in a test
  const run = new Function(...names, `return (${expression});`) as (...values: unknown[]) => unknown;
  return run(...names.map((name) => scope[name]));
};

const examples = files.flatMap((file) =>
  [...readFileSync(file, 'utf8').matchAll(/@example (.+?) \/\/ (.+?)(?: \*\/)?$/gm)].map((match) => [
    `${file.slice(__dirname.length + 1)}: ${match[1] ?? ''}`,
    match[1] ?? '',
    match[2] ?? '',
  ]),
);

test('there are examples in every floor but the types', () => {
  expect(examples.length).toBeGreaterThan(35);
});

test.each(examples)('%s', (_name, expression, expected) => {
  const value = evaluate(expression);
  const wanted = evaluate(expected);
  if (typeof wanted === 'number') {
    const decimals = /\.(\d+)/.exec(expected)?.[1]?.length ?? 0;
    // As many digits as the comment prints; a long print is exact to the double.
    expect(Math.abs((value as number) - wanted)).toBeLessThanOrEqual(
      decimals > 9 ? 1e-9 : 0.5 * 10 ** -decimals + 1e-9,
    );
  } else {
    expect(value).toEqual(wanted);
  }
});
