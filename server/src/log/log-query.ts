import type { LogQuery } from '@hervir/contract';
import { raw, type FilterQuery } from '@mikro-orm/core';
import type { LogEntryEntity } from '../database/entities';

/** The columns of each order; every one of them has an index that begins so. */
export const ORDER: Readonly<Record<LogQuery['sort'], object>> = {
  newest: { servedAt: 'desc', id: 'asc' },
  oldest: { servedAt: 'asc', id: 'asc' },
  'latest-dinner': { late: 'desc', servedAt: 'desc' },
  toughest: { tough: 'desc', servedAt: 'desc' },
  heaviest: { grams: 'desc', servedAt: 'desc' },
};

/** Only letters and digits: one word of the index of words. */
const WORD = /^[\p{L}\p{N}]+$/u;

/** What is typed to look for, part by part: words, asked of the index, and anything else, looked for as it stands. */
interface Typed {
  readonly words: readonly string[];
  readonly others: readonly string[];
}

function typed({ text = '' }: Pick<LogQuery, 'text'>): Typed {
  const parts = text.split(/\s+/).filter((part) => part !== '');
  return { words: parts.filter((part) => WORD.test(part)), others: parts.filter((part) => !WORD.test(part)) };
}

/** In the index's own language: lines that have, for each of the words, one that begins so. */
const begins = (words: readonly string[]): string => words.map((word) => `"${word}" *`).join(' ');

/**
 * What a query looks for. Made anew for each statement: a piece of SQL in it is used once.
 *
 * A word finds every line with a word that begins so, whatever its accents; a part with signs in it is a text and not a
 * pattern: %, _ and \ stand for themselves.
 */
export function asked(query: LogQuery): FilterQuery<LogEntryEntity> {
  const where: FilterQuery<LogEntryEntity>[] = [];
  if (query.cut !== undefined) where.push({ cut: query.cut });
  if (query.species !== undefined) where.push({ species: query.species });
  if (query.cooker !== undefined) where.push({ cooker: query.cooker });
  if (query.result !== undefined) where.push({ result: query.result });
  if (query.from !== undefined) where.push({ servedAt: { $gte: query.from } });
  // Up to the end of that day.
  if (query.to !== undefined) where.push({ servedAt: { $lt: `${query.to}T24` } });
  const { words, others } = typed(query);
  if (words.length > 0) {
    // As a figure, so that lines are gone through in their order and the first twenty end it: fetching all that match, to sort
    // them, takes ten times as long.
    const isFound = (alias: string): string =>
      `(${alias}.rowid in (select rowid from log_words where log_words match ?))`;
    where.push({ [raw(isFound, [begins(words)])]: 1 });
  }
  for (const part of others) {
    where.push({ [raw((alias) => `instr(${alias}.words, ?)`, [part.toLowerCase()])]: { $gt: 0 } });
  }
  return where.length === 0 ? {} : { $and: where };
}

/**
 * How many lines have some words, where nothing else is asked: the index alone knows, in a quarter of the time.
 *
 * @returns null where more is asked
 */
export function countOfWords(query: LogQuery): { readonly sql: string; readonly values: readonly string[] } | null {
  const { words, others } = typed(query);
  const isMore = others.length > 0 || Object.keys(asked({ ...query, text: '' })).length > 0;
  if (words.length === 0 || isMore) return null;
  return {
    sql: 'select count(*) as `cooks` from `log_words` where `log_words` match ?',
    values: [begins(words)],
  };
}
