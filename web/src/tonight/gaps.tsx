import { cutById, LIMITS } from '@hervir/core';
import type { StoredCooker } from '@hervir/contract';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { QuantityInput } from '../shared/quantity-input';
import { TimeInput } from '../shared/time-input';
import { cutOptions } from '../shared/cut-options';
import { dayOptions, FORM_PHRASES, inSentence } from '../shared/words';
import type { Asked } from './sentence';
import styles from './tonight.module.css';
import { rich, t, textOf } from '../language/t';
import { BY_NAME } from '../shared/by-name';

interface Props {
  readonly asked: Asked;
  readonly now: Date;
  readonly cookers: readonly StoredCooker[] | undefined;
  /** The one that is taken; undefined in a kitchen that has none. */
  readonly cooker: StoredCooker | undefined;
  readonly change: (part: Partial<Asked>) => void;
  readonly onGramsFault: (fault: string | null) => void;
  readonly onTimeFault: (fault: string | null) => void;
}

/** A place in the sentence that is filled in. */
const gap = (field: ReactNode): ReactNode => <span className={styles['gap']}>{field}</span>;

/** One sentence with gaps: what there is, cut how, for which pot, eaten when. */
export function Gaps({ asked, now, cookers, cooker, change, onGramsFault, onTimeFault }: Props): ReactNode {
  return (
    <div className={styles['sentence-gaps']} role="group" aria-label={t('tonight.what-is-for-dinner')}>
      {rich('tonight.i-have-of-for-and', {
        amount: gap(
          <QuantityInput
            label={t('tonight.how-much-meat')}
            kind="mass"
            value={asked.grams}
            range={LIMITS.meatGrams}
            fitText
            describedBy="tonight-fault"
            onFault={onGramsFault}
            onChange={(grams) => grams !== undefined && change({ grams })}
          />,
        ),
        cut: gap(
          <Select
            aria-label={t('tonight.which-cut')}
            value={asked.cut}
            showSearch={BY_NAME}
            popupMatchSelectWidth={240}
            options={cutOptions()}
            onChange={(id) => {
              const { forms } = cutById(id);
              change({ cut: id, form: forms.includes(asked.form) ? asked.form : (forms[0] ?? 'whole') });
            }}
          />,
        ),
        form: gap(
          <Select
            aria-label={t('tonight.cut-how')}
            value={asked.form}
            popupMatchSelectWidth={200}
            options={cutById(asked.cut).forms.map((form) => ({ value: form, label: textOf(FORM_PHRASES[form]) }))}
            onChange={(form) => change({ form })}
          />,
        ),
        cooker: gap(
          <Select
            aria-label={t('tonight.which-cooker')}
            value={cooker?.id ?? 'usual'}
            popupMatchSelectWidth={240}
            options={
              cookers && cookers.length > 0
                ? cookers.map(({ id, cooker: { name } }) => ({ value: id, label: inSentence(name) }))
                : [{ value: 'usual', label: t('tonight.an-electric-pot') }]
            }
            onChange={(cookerId) => change({ cookerId })}
          />,
        ),
        time: gap(
          <TimeInput
            label={t('shared.when-we-eat')}
            value={asked.time}
            width="4.2em"
            describedBy="tonight-fault"
            onFault={onTimeFault}
            onChange={(time) => change({ time })}
          />,
        ),
        day: gap(
          <Select
            aria-label={t('shared.which-day')}
            value={asked.day}
            popupMatchSelectWidth={180}
            options={dayOptions(asked.day, now)}
            onChange={(day) => change({ day })}
          />,
        ),
      })}
    </div>
  );
}
