import { shapeOf, type Text } from '@hervir/language/message';
import { z } from 'zod';

/** No text of the reckoning is longer, put into words or not. */
const LONGEST = 2000;
const MOST = 60;
/** Deeper than a message stands in a message that stands in a list. */
const DEEPEST = 12;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const short = (value: unknown, most: number): boolean => typeof value === 'string' && value.length <= most;

function isText(value: unknown, depth = 0): boolean {
  if (typeof value === 'string') return value.length <= LONGEST;
  if (!isObject(value) || depth > DEEPEST) return false;
  const inside = (one: unknown): boolean => isText(one, depth + 1);
  const many = (list: unknown): boolean => Array.isArray(list) && list.length <= MOST && list.every(inside);
  switch (shapeOf(value)) {
    case 'message':
      return (
        short(value['code'], 120) &&
        (value['values'] === undefined ||
          (isObject(value['values']) &&
            Object.values(value['values']).every(
              (one) => typeof one === 'boolean' || Number.isFinite(one) || inside(one),
            )))
      );
    case 'quantity':
      return short(value['quantity'], 20) && Number.isFinite(value['value']);
    case 'listing':
      return many(value['list']);
    case 'joined':
      return many(value['joined']) && short(value['by'], 10);
    case 'cased':
      return short(value['cased'], 10) && inside(value['of']);
    case 'by-system':
      return inside(value['metric']) && inside(value['us']);
    case 'moment':
      return short(value['moment'], 40) && short(value['as'], 10);
    case null:
      return false;
  }
}

/**
 * A text as it is kept: words, or a message that is not yet in words. Guides and debriefs from before there were messages
 * hold words.
 *
 * @example textSchema.safeParse({ code: 'step.it-is-on' }).success // true
 */
export const textSchema = z
  .unknown()
  .refine((value) => isText(value), { error: 'is no text' })
  .transform((value) => value as Text)
  .meta({ description: 'Words, or a message that is not yet in words; answers have words.' });
