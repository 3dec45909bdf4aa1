import { LOG_SORTS, RESULTS, type LogQuery, type Result } from '@hervir/contract';
import { SPECIES, type Species } from '@hervir/core';
import { Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { useCookers } from '../api/queries';
import styles from './log.module.css';
import { ANIMALS, cutList } from '../shared/cut-options';
import { RESULT_WORDS } from './words';
import { rich, t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';
import { BY_NAME } from '../shared/by-name';

const SORT_WORDS: Readonly<Record<(typeof LOG_SORTS)[number], Message>> = {
  newest: say('log.newest-first'),
  oldest: say('log.oldest-first'),
  'latest-dinner': say('log.latest-dinner-first'),
  toughest: say('log.toughest-animal-first'),
  heaviest: say('log.heaviest-first'),
};
/** What is looked for in the log. */
export type Sought = Partial<Omit<LogQuery, 'offset' | 'limit'>>;

interface Props {
  readonly sought: Sought;
  readonly change: (part: Sought) => void;
}

/** What is looked for, then when and in which order. */
export function LogFilters({ sought, change }: Props): ReactNode {
  const cookers = useCookers().data ?? [];
  return (
    <div className={styles['log-filters']} role="search">
      <Input.Search
        allowClear
        placeholder={t('log.look-for-words')}
        aria-label={t('log.look-for-words')}
        onChange={(event) => change({ text: event.target.value })}
      />
      <Select
        allowClear
        showSearch={BY_NAME}
        placeholder={t('log.any-cut')}
        aria-label={t('log.cut')}
        value={sought.cut ?? null}
        options={cutList()}
        onChange={(cut: string | null) => change({ cut: cut ?? undefined })}
      />
      <Select
        allowClear
        placeholder={t('log.any-animal')}
        aria-label={t('log.animal')}
        value={sought.species ?? null}
        options={SPECIES.map((value) => ({ value, label: textOf(ANIMALS[value]) }))}
        onChange={(species: Species | null) => change({ species: species ?? undefined })}
      />
      <Select
        allowClear
        placeholder={t('log.any-cooker')}
        aria-label={t('log.cooker')}
        value={sought.cooker ?? null}
        options={cookers.map(({ cooker: { name } }) => ({ value: name, label: name }))}
        onChange={(cooker: string | null) => change({ cooker: cooker ?? undefined })}
      />
      <Select
        allowClear
        placeholder={t('log.any-outcome')}
        aria-label={t('log.how-it-came-out')}
        value={sought.result ?? null}
        options={RESULTS.map((value) => ({ value, label: textOf(RESULT_WORDS[value]) }))}
        onChange={(result: Result | null) => change({ result: result ?? undefined })}
      />
      <label className={styles['log-date']}>
        {rich('log.from-2', {
          input: (
            <Input
              type="date"
              aria-label={t('log.from')}
              onChange={(event) => change({ from: event.target.value || undefined })}
            />
          ),
        })}
      </label>
      <label className={styles['log-date']}>
        {rich('log.to-2', {
          input: (
            <Input
              type="date"
              aria-label={t('log.to')}
              onChange={(event) => change({ to: event.target.value || undefined })}
            />
          ),
        })}
      </label>
      <Select
        aria-label={t('log.sorted')}
        value={sought.sort ?? 'newest'}
        options={LOG_SORTS.map((value) => ({ value, label: textOf(SORT_WORDS[value]) }))}
        onChange={(sort: LogQuery['sort']) => change({ sort })}
      />
    </div>
  );
}
