import { planSchema } from '@hervir/contract';
import { CUTS } from '@hervir/core';
import fc from 'fast-check';
import { z } from 'zod';

type JsonSchema = {
  readonly type?: string;
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly JsonSchema[];
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: JsonSchema | false;
  readonly items?: JsonSchema;
  readonly maxItems?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly format?: string;
  readonly allOf?: readonly JsonSchema[];
};

/** Numbers of a range, its ends as often as what lies between: that is where a reckoning breaks. */
function numbers({ minimum = -1e6, maximum = 1e6, type }: JsonSchema): fc.Arbitrary<number> {
  const between =
    type === 'integer'
      ? fc.integer({ min: minimum, max: maximum })
      : fc.double({ min: minimum, max: maximum, noNaN: true, noDefaultInfinity: true });
  return fc.oneof({ weight: 1, arbitrary: fc.constantFrom(minimum, maximum) }, { weight: 2, arbitrary: between });
}

/** What a schema takes. Lists are kept short: what breaks with ten entries breaks with three. */
function ofSchema(schema: JsonSchema): fc.Arbitrary<unknown> {
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map(ofSchema));
  switch (schema.type) {
    case 'null':
      return fc.constant(null);
    case 'boolean':
      return fc.boolean();
    case 'number':
    case 'integer':
      return numbers(schema);
    case 'array':
      return fc.array(ofSchema(schema.items ?? {}), { maxLength: Math.min(3, schema.maxItems ?? 3) });
    case 'object': {
      const { properties = {}, required = [] } = schema;
      return fc.record(Object.fromEntries(Object.entries(properties).map(([key, of]) => [key, ofSchema(of)])), {
        requiredKeys: [...required] as never,
      });
    }
    case 'string':
      // Moments are the only strings with a form; names may be anything.
      return schema.format === 'date-time' || schema.allOf !== undefined
        ? fc
            .date({ min: new Date('1901-01-01'), max: new Date('2998-12-31'), noInvalidDate: true })
            .map((date) => date.toISOString())
        : fc.constantFrom('Goat neck', 'x'.repeat(Math.min(40, schema.maxLength ?? 40)), 'onion', '"; \\ =1+1 <b>');
    default:
      return fc.constant({});
  }
}

const PLAN = z.toJSONSchema(planSchema, { io: 'input', target: 'draft-2020-12' }) as JsonSchema;

type Placed = { place?: string; stage?: string; id?: string; name?: string };

interface Rough {
  readonly stages?: readonly { id: string }[];
  readonly vegetables?: readonly Placed[];
  readonly grains?: readonly Placed[];
  readonly others?: readonly Placed[];
  readonly liquids?: readonly Placed[];
  readonly additions?: readonly Placed[];
  readonly aromatics?: readonly Placed[];
  readonly otherMeats?: readonly (Placed & { goesIn?: string; comesOut?: string })[];
  readonly cooker?: unknown;
  readonly meat: { readonly grams: number; readonly thicknessCm?: number; readonly pieces?: number };
}

/** Ids that name something: a stage of the plan, or a place that every plan has. Identities are left to Hervir. */
function named(plan: Rough, dice: number): Partial<Rough> {
  const stages = (plan.stages ?? []).map((stage, i) => ({ ...stage, id: `stage-${i}` }));
  const ids = ['second-run', 'simmer', 'off-heat', ...stages.map(({ id }) => id)];
  const pick = (i: number, besides: readonly string[]): string => {
    const all = [...besides, ...ids];
    return all[(dice + i) % all.length] as string;
  };
  const placed = (items: readonly Placed[] | undefined, besides: readonly string[]): Placed[] =>
    (items ?? []).map(({ id: _, ...item }, i) => ({ ...item, place: pick(i, besides) }));
  const staged = (items: readonly Placed[] | undefined): Placed[] =>
    (items ?? []).map(({ id: _, stage, ...item }, i) => (stage === undefined ? item : { ...item, stage: pick(i, []) }));
  return {
    stages,
    vegetables: placed(plan.vegetables, ['auto', 'start', 'flavour-only']),
    grains: placed(plan.grains, ['auto', 'start']),
    others: placed(plan.others, ['start', 'end']),
    additions: staged(plan.additions),
    aromatics: staged(plan.aromatics),
    liquids: staged(plan.liquids),
  };
}

/**
 * Plans that the schema takes, as wild as it allows: every range to its ends, every list, every choice. Only the form is one
 * of the cut's and less is trimmed off than there is, so that most of them can be reckoned.
 */
export function anyPlan(): fc.Arbitrary<unknown> {
  const pairs = CUTS.flatMap(({ id, forms }) => forms.map((form) => ({ cut: id, form })));
  return fc
    .tuple(ofSchema(PLAN), fc.constantFrom(...pairs), fc.double({ min: 0, max: 0.9, noNaN: true }), fc.nat(9))
    .map(([plan, pair, trimmed, dice]) => {
      const rough = plan as Rough;
      const { thicknessCm, pieces, ...meat } = rough.meat;
      const { cooker, otherMeats = [], ...rest } = { ...rough, ...named(rough, dice) };
      const { liquids, ...others } = rest;
      return {
        ...others,
        // One in three has another cut in it: most forms at random are not the cut's.
        otherMeats:
          dice % 3 === 0
            ? otherMeats.slice(0, 1).map(({ id: _, ...other }) => ({
                ...other,
                ...pair,
                grams: 400,
                trimGrams: 0,
                pieces: undefined,
                thicknessCm: undefined,
                goesIn: 'start',
                comesOut: 'end',
              }))
            : [],
        // A usual pot with usual liquid in two of five: most heaters and pots at random do not go together.
        ...(dice < 4 ? {} : { cooker, liquids }),
        meat: {
          ...meat,
          ...pair,
          id: undefined,
          trimGrams: trimmed * meat.grams,
          // Measured now and then: most of what is measured at random does not go with the weight.
          ...(dice < 2 && thicknessCm !== undefined ? { thicknessCm } : {}),
          ...(dice > 6 && pieces !== undefined ? { pieces } : {}),
        },
      };
    });
}
