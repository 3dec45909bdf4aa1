import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** The version of this Hervir, as its package says. */
export const VERSION = (
  JSON.parse(readFileSync(join(__dirname, '../package.json'), 'utf8')) as { readonly version: string }
).version;
