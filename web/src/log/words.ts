import type { LogItem, Result } from '@hervir/contract';
import { againstTarget, cutById, cutTitle, upperFirst } from '@hervir/core';
import { GRADE_WORDS, WANTED_WORDS } from '../shared/words';

/** How it came out, in a word and a shape. */
export const RESULT_WORDS: Readonly<Record<Result, string>> = {
  short: '▲ short of it',
  'as-wanted': '● as wanted',
  past: '■ past it',
  unknown: 'not tried',
};

type CameOut = Pick<LogItem, 'grade' | 'wanted' | 'result' | 'source'>;

/** "fork tender, wanted: pulls apart". */
export function cameOut({ grade, wanted, result, source }: CameOut): string {
  if (grade === null) return source === 'warmed' ? 'warmed and eaten' : 'nobody tried it';
  if (result !== 'as-wanted') return `${GRADE_WORDS[grade]}, not ${WANTED_WORDS[wanted]}`;
  // Less than what is wanted is enough for what is cooled and warmed again.
  return againstTarget(grade, wanted) === 'short' ? `${GRADE_WORDS[grade]}, enough before its day` : GRADE_WORDS[grade];
}

export const cutName = (id: string): string => upperFirst(cutTitle(cutById(id)));

/** "42 min late", "on time". */
export function lateWords(minutes: number | null): string {
  if (minutes === null) return '';
  if (Math.abs(minutes) < 5) return 'on time';
  return minutes > 0 ? `▲ ${minutes} min late` : `${-minutes} min early`;
}
