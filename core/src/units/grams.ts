/**
 * What some things weigh together, g; what has no weight of its own weighs nothing.
 *
 * @example gramsOf([{ grams: 200 }, { grams: null }, { grams: 50 }]) // 250
 */
export function gramsOf(items: readonly { readonly grams: number | null }[]): number {
  return items.reduce((sum, { grams }) => sum + (grams ?? 0), 0);
}
