/**
 * What an error says, whatever was thrown.
 *
 * @example whyOf(new Error('the disk is full')) // 'the disk is full'
 */
export const whyOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
