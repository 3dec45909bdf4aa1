// npm run --silent forecast -- plan.json   (or - for standard input)
import { readFileSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join, resolve } from 'node:path';
import { buildReckoning, install, root, stop } from './lib.mjs';

const [path] = process.argv.slice(2);
if (path === undefined) stop('usage: npm run --silent forecast -- plan.json   (or - for standard input)', 2);

install({ quiet: true });
buildReckoning({ quiet: true });
const { forecastCommand, faultLine, LARGEST_PLAN_BYTES } = createRequire(import.meta.url)(
  join(root, 'contract/dist/index.js'),
);

/** Where npm was called, so that a relative path means what the cook typed. */
const file = path === '-' ? 0 : resolve(process.env.INIT_CWD ?? process.cwd(), path);
let text;
try {
  if (file !== 0 && statSync(file).size > LARGEST_PLAN_BYTES) {
    stop(
      faultLine({
        path: '',
        problem: `${(statSync(file).size / 1e6).toFixed(1)} MB is too large for a plan`,
        allowed: `up to ${LARGEST_PLAN_BYTES / 1e6} MB`,
      }),
      2,
    );
  }
  text = readFileSync(file, 'utf8');
} catch (error) {
  stop(`${path}: cannot be read (${error.code}); allowed: a plan file, or - for standard input`, 2);
}
const result = forecastCommand(text);
process.stderr.write(result.stderr);
process.stdout.write(result.stdout, () => process.exit(result.exitCode));
