import { LOG_SORTS, RESULTS, type LogQuery, type Result } from '@hervir/contract';
import { CUTS, SPECIES, type Species } from '@hervir/core';
import { Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { useCookers } from '../api/queries';
import styles from './log.module.css';
import { cutName, RESULT_WORDS } from './words';

const SORT_WORDS: Readonly<Record<(typeof LOG_SORTS)[number], string>> = {
  newest: 'Newest first',
  oldest: 'Oldest first',
  'latest-dinner': 'Latest dinner first',
  toughest: 'Toughest animal first',
  heaviest: 'Heaviest first',
};
const SPECIES_WORDS: Readonly<Record<Species, string>> = { beef: 'Beef', pork: 'Pork', lamb: 'Lamb', goat: 'Goat' };

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
        placeholder="Look for words"
        aria-label="Look for words"
        onChange={(event) => change({ text: event.target.value })}
      />
      <Select
        allowClear
        showSearch={{ optionFilterProp: 'label' }}
        placeholder="Any cut"
        aria-label="Cut"
        value={sought.cut ?? null}
        options={CUTS.map(({ id }) => ({ value: id, label: cutName(id) }))}
        onChange={(cut: string | null) => change({ cut: cut ?? undefined })}
      />
      <Select
        allowClear
        placeholder="Any animal"
        aria-label="Animal"
        value={sought.species ?? null}
        options={SPECIES.map((value) => ({ value, label: SPECIES_WORDS[value] }))}
        onChange={(species: Species | null) => change({ species: species ?? undefined })}
      />
      <Select
        allowClear
        placeholder="Any cooker"
        aria-label="Cooker"
        value={sought.cooker ?? null}
        options={cookers.map(({ cooker: { name } }) => ({ value: name, label: name }))}
        onChange={(cooker: string | null) => change({ cooker: cooker ?? undefined })}
      />
      <Select
        allowClear
        placeholder="Any outcome"
        aria-label="How it came out"
        value={sought.result ?? null}
        options={RESULTS.map((value) => ({ value, label: RESULT_WORDS[value] }))}
        onChange={(result: Result | null) => change({ result: result ?? undefined })}
      />
      <label className={styles['log-date']}>
        from
        <Input type="date" aria-label="From" onChange={(event) => change({ from: event.target.value || undefined })} />
      </label>
      <label className={styles['log-date']}>
        to
        <Input type="date" aria-label="To" onChange={(event) => change({ to: event.target.value || undefined })} />
      </label>
      <Select
        aria-label="Sorted"
        value={sought.sort ?? 'newest'}
        options={LOG_SORTS.map((value) => ({ value, label: SORT_WORDS[value] }))}
        onChange={(sort: LogQuery['sort']) => change({ sort })}
      />
    </div>
  );
}
