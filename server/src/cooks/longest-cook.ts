/** A cook is over within a day and a half; nothing later belongs to it, ms. */
export const LONGEST_COOK_MS = 36 * 3_600_000;
