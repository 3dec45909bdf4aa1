/** The kinds of text that are no words yet, each by the keys it has and no others. */
const SHAPES = {
  code: 'message',
  'code values': 'message',
  'quantity value': 'quantity',
  list: 'listing',
  'by joined': 'joined',
  'cased of': 'cased',
  'metric us': 'by-system',
  'as moment': 'moment',
} as const satisfies Readonly<Record<string, string>>;

/** A kind of text that is no words yet. */
export type Shape = (typeof SHAPES)[keyof typeof SHAPES];

const shapes = new Map<string, Shape>(Object.entries(SHAPES));

/**
 * Which kind of text an object is, by its keys alone: what they hold is not looked at, but a code has a namespace.
 *
 * @param value of any document
 * @returns null for what is no text
 * @example shapeOf({ quantity: 'mass', value: 1600 }) // 'quantity'
 */
export function shapeOf(value: object): Shape | null {
  const keys = Object.keys(value);
  // Most of what is asked has more keys: it is not worth sorting them.
  if (keys.length === 0 || keys.length > 2) return null;
  const shape = shapes.get(keys.sort().join(' ')) ?? null;
  if (shape !== 'message') return shape;
  const { code } = value as { readonly code: unknown };
  return typeof code === 'string' && code.includes('.') ? shape : null;
}
