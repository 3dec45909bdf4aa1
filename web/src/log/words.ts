import { type Message, say, upperFirst } from '@hervir/language';
import type { LogItem, Result } from '@hervir/contract';
import { againstTarget, cutById, cutTitle } from '@hervir/core';
import { GRADE_WORDS, WANTED_WORDS } from '../shared/words';
import { t, textOf } from '../language/t';

/** The shape of how it came out, before other words. */
export const RESULT_SHAPES: Readonly<Record<Result, string>> = {
  short: '▲ ',
  'as-wanted': '● ',
  past: '■ ',
  unknown: '',
};

/** How it came out, in a word and a shape. */
export const RESULT_WORDS: Readonly<Record<Result, Message>> = {
  short: say('log.short-of-it'),
  'as-wanted': say('log.as-wanted'),
  past: say('log.past-it'),
  unknown: say('log.not-tried'),
};

type CameOut = Pick<LogItem, 'grade' | 'wanted' | 'result' | 'source'>;

/** "fork tender, wanted: pulls apart". */
export function cameOut({ grade, wanted, result, source }: CameOut): string {
  if (grade === null) return source === 'warmed' ? t('log.warmed-and-eaten') : t('log.nobody-tried-it');
  if (result !== 'as-wanted')
    return t('log.not', { gradeWords: GRADE_WORDS[grade], wantedWords: WANTED_WORDS[wanted] });
  // Less than what is wanted is enough for what is cooled and warmed again.
  return againstTarget(grade, wanted) === 'short'
    ? t('log.enough-before-its-day', { gradeWords: GRADE_WORDS[grade] })
    : textOf(GRADE_WORDS[grade]);
}

export const cutName = (id: string): string => upperFirst(textOf(cutTitle(cutById(id))));

/** Nobody at the table calls it late, minutes. */
const ON_TIME = 5;

/** Whether a dinner was neither early nor late. */
export const wasOnTime = (minutes: number): boolean => Math.abs(minutes) < ON_TIME;

/** "42 min late", "on time". */
export function lateWords(minutes: number | null): string {
  if (minutes === null) return '';
  if (wasOnTime(minutes)) return t('log.on-time');
  return minutes > 0 ? t('log.min-late', { minutes }) : t('log.min-early', { minutes: -minutes });
}
