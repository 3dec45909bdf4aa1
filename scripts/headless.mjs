// What the headless commands share: a plan file, or standard input, read and handed to the contract.
import { readFileSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, resolve } from 'node:path';
import { buildReckoning, install, root, stop } from './lib.mjs';

/**
 * Runs a command of the contract over the plan that was named.
 *
 * @param name of the npm script, for its usage
 * @param command the contract's function: text in, what to print and an exit code out
 */
export function headless(name, command) {
  const [path] = process.argv.slice(2);
  if (path === undefined) stop(`usage: npm run --silent ${name} -- plan.json   (or - for standard input)`, 2);

  install({ quiet: true });
  buildReckoning({ quiet: true });
  const load = createRequire(import.meta.url);
  const contract = load(join(root, 'contract/dist/index.js'));
  const { faultLine, LARGEST_PLAN_BYTES, tooLarge } = contract;
  const { wordsFor } = load(join(root, 'language/dist/index.js'));
  const catalogs = ['first', 'rest'].map((part) => load(join(root, `language/dist/compiled/en-${part}.js`)).messages);
  /** What is printed is English, metric. */
  const words = wordsFor('en-GB', catalogs, 'metric');

  /** Where npm was called, so that a relative path means what the cook typed. */
  const file = path === '-' ? 0 : resolve(process.env.INIT_CWD ?? process.cwd(), path);
  let text;
  try {
    if (file !== 0 && statSync(file).size > LARGEST_PLAN_BYTES) {
      stop(faultLine(tooLarge(statSync(file).size), words.spell), 2);
    }
    text = readFileSync(file, 'utf8');
  } catch (error) {
    stop(`${path}: cannot be read (${error.code}); allowed: a plan file, or - for standard input`, 2);
  }
  const result = contract[command](text, words.spell);
  process.stderr.write(result.stderr);
  process.stdout.write(result.stdout, () => process.exit(result.exitCode));
}
