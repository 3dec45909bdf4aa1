import { z } from 'zod';
import { settingsSchema } from './kitchen';
import { cookerSchema, planSchema } from './plan';

/**
 * The published JSON Schema of a plan file, made from the schema that reads it. Ids are open here: the list of cuts
 * grows faster than the format.
 */
export function planJsonSchema(): Record<string, unknown> {
  return {
    $id: 'hervir/braise/v1',
    title: 'Hervir plan, version 1',
    ...(z.toJSONSchema(planSchema, { io: 'input', target: 'draft-2020-12' }) as Record<string, unknown>),
  };
}

/** JSON Schemas of what the server takes, for its OpenAPI document. */
export function requestSchemas(): Record<'plan' | 'cooker' | 'settings', Record<string, unknown>> {
  const schema = (of: z.ZodType): Record<string, unknown> => {
    const made = z.toJSONSchema(of, { io: 'input', target: 'draft-2020-12' }) as Record<string, unknown>;
    // OpenAPI 3.1 has one dialect for the whole document.
    delete made['$schema'];
    return made;
  };
  return { plan: schema(planSchema), cooker: schema(cookerSchema), settings: schema(settingsSchema) };
}
