// npm run schema: writes the published JSON Schema anew from the schema that reads plans.
import { mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { buildReckoning, install, root } from './lib.mjs';

install();
buildReckoning();
const { publishedSchemas } = createRequire(import.meta.url)(join(root, 'contract/dist/index.js'));
mkdirSync(join(root, 'docs/schema'), { recursive: true });
for (const [name, schema] of Object.entries(publishedSchemas())) {
  writeFileSync(join(root, `docs/schema/${name}.json`), `${JSON.stringify(schema, null, 2)}\n`);
}
