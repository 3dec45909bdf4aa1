import { z } from 'zod';
import { backupSchema } from './backup';
import { cookEventSchema } from './cook';
import { logEntrySchema } from './log';
import { planSchema, planSchemaV1 } from './plan';

/** A document of the contract, as it is published: its file in docs/schema, its title, and the schema that reads it. */
const PUBLISHED: Readonly<Record<string, { readonly title: string; readonly schema: z.ZodType }>> = {
  'braise-v1': { title: 'Hervir plan, version 1', schema: planSchemaV1 },
  'braise-v2': { title: 'Hervir plan, version 2', schema: planSchema },
  'cook-event-v1': { title: 'Hervir event of a cook, version 1', schema: cookEventSchema },
  'backup-v1': { title: 'Hervir backup, version 1', schema: backupSchema },
  'log-entry-v1': { title: 'Hervir entry of the log, version 1', schema: logEntrySchema },
};

/** Every published schema by its file's name. */
export function publishedSchemas(): Record<string, Record<string, unknown>> {
  return Object.fromEntries(
    Object.entries(PUBLISHED).map(([name, { title, schema }]) => [
      name,
      {
        // Absolute, as JSON Schema asks; a name and not an address: RFC 8141, RFC 9562.
        $id: `urn:hervir:schema:${name}`,
        title,
        ...(z.toJSONSchema(schema, { io: 'input', target: 'draft-2020-12' }) as Record<string, unknown>),
      },
    ]),
  );
}

/**
 * The published JSON Schema of a plan file, made from the schema that reads it. Ids are open here: the list of cuts
 * grows faster than the format.
 */
export function planJsonSchema(version: 1 | 2 = 2): Record<string, unknown> {
  return publishedSchemas()[`braise-v${version}`] as Record<string, unknown>;
}
