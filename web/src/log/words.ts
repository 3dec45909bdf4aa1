import type { LogItem, Result } from '@hervir/contract';
import { cutById, cutTitle, upperFirst } from '@hervir/core';
import { GRADE_WORDS, WANTED_WORDS } from '../shared/words';

/** How it came out, in a word and a shape. */
export const RESULT_WORDS: Readonly<Record<Result, string>> = {
  short: '▲ short of it',
  'as-wanted': '● as wanted',
  past: '■ past it',
  unknown: 'not tried',
};

/** "fork tender, wanted: pulls apart". */
export function cameOut({ grade, wanted, result }: Pick<LogItem, 'grade' | 'wanted' | 'result'>): string {
  if (grade === null) return 'nobody tried it';
  return result === 'as-wanted' ? GRADE_WORDS[grade] : `${GRADE_WORDS[grade]}, not ${WANTED_WORDS[wanted]}`;
}

export const cutName = (id: string): string => upperFirst(cutTitle(cutById(id)));

/** "42 min late", "on time". */
export function lateWords(minutes: number | null): string {
  if (minutes === null) return '';
  if (Math.abs(minutes) < 5) return 'on time';
  return minutes > 0 ? `▲ ${minutes} min late` : `${-minutes} min early`;
}
