import type { LogItem } from '@hervir/contract';
import { LIMITS } from '@hervir/core';
import type { ReactNode } from 'react';
import { Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { wallClockOf, wallClockOn } from '../shared/words';
import { DayField } from './day-field';
import type { EntryActions } from './use-entry';
import { t } from '../language/t';

/** What was said of a cook when it was added by hand or read from a file, put right; one that was guided here says it itself. */
export function CorrectionsCard({ item, entry }: { readonly item: LogItem; readonly entry: EntryActions }): ReactNode {
  const served = wallClockOf(item.servedAt);
  return (
    <section className="vessel side-card fields" aria-label={t('log.what-it-was')}>
      <h2>{t('log.what-it-was')}</h2>
      <DayField
        value={served.slice(0, 10)}
        onChange={(day) => void entry.change({ servedAt: wallClockOn(day, served.slice(11, 16)) })}
      />
      <Field label={t('log.how-much')}>
        {() => (
          <QuantityInput
            label={t('log.how-much-meat')}
            kind="mass"
            value={item.boughtG}
            range={LIMITS.meatGrams}
            onChange={(boughtG) => boughtG !== undefined && void entry.change({ boughtG })}
          />
        )}
      </Field>
      <Field label={t('log.under-pressure')}>
        {(id) => (
          <NumberInput
            id={id}
            suffix={t('log.min')}
            min={LIMITS.pressureMinutes.min}
            max={LIMITS.pressureMinutes.max}
            value={item.pressure.actual}
            onChange={(minutes) => minutes !== null && void entry.change({ minutes })}
          />
        )}
      </Field>
    </section>
  );
}
