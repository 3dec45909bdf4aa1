import { LIMITS } from '@hervir/core';
import { Button, Checkbox } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { changing, type StationProps } from './station';
import { t } from '../language/t';

/** What is rubbed on, how much, and for how long. */
export function RubFields({ plan, edit, faultAt }: Omit<StationProps, 'forecast'>): ReactNode {
  const { rub } = plan.meat;
  const change = changing(edit, 'meat');
  return (
    <>
      <Field label={t('bench.rub')} fault={faultAt('meat.rub.grams')}>
        {(id) =>
          rub === null ? (
            <Button id={id} onClick={() => change({ rub: { grams: 30, sugar: false } })}>
              {t('bench.add-a-rub')}
            </Button>
          ) : (
            <div className="pair">
              <QuantityInput
                id={id}
                label={t('bench.rub')}
                kind="mass"
                value={rub.grams}
                range={LIMITS.rubGrams}
                onChange={(grams) => grams !== undefined && rub && change({ rub: { ...rub, grams } })}
              />
              <Button type="text" onClick={() => change({ rub: null })}>
                {t('bench.no-rub')}
              </Button>
            </div>
          )
        }
      </Field>
      {rub !== null && (
        <div className="field-rest">
          <NumberInput
            aria-label={t('bench.hours-the-rub-is-left')}
            min={LIMITS.marinadeHours.min}
            max={LIMITS.marinadeHours.max}
            value={rub.hours ?? 0}
            suffix={t('bench.h-left-on')}
            style={{ width: '8.125rem' }}
            onChange={(hours) =>
              hours !== null && rub && change({ rub: { ...rub, hours: hours === 0 ? undefined : hours } })
            }
          />
          <Checkbox
            checked={rub.sugar}
            onChange={(event) => rub && change({ rub: { ...rub, sugar: event.target.checked } })}
          >
            {t('bench.with-sugar-in-it')}
          </Checkbox>
        </div>
      )}
    </>
  );
}
