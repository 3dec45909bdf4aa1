import { liquidById, liquidSubstitutes, LIMITS, type Plan } from '@hervir/core';
import { Button, Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../../shared/field';
import { QuantityInput } from '../../shared/quantity-input';
import type { StationProps } from '../station';
import { DEGLAZING } from './liquid-options';
import verdictsStyles from '../verdicts.module.css';
import { t, textOf } from '../../language/t';
import { labelled } from '../../language/labelled';

/** What the base is scraped clean with, how much of it, and what does it without alcohol. */
export function Deglazing({ plan, edit, faultAt }: Omit<StationProps, 'forecast'>): ReactNode {
  const { deglaze } = plan;
  const set = (part: Partial<NonNullable<Plan['deglaze']>>): void =>
    edit((before) => ({
      ...before,
      deglaze: { liquid: 'stock', ml: 120, scraped: true, ...before.deglaze, ...part },
    }));
  const [instead] = deglaze ? liquidSubstitutes(deglaze.liquid) : [];
  const alcohol = deglaze !== null && liquidById(deglaze.liquid).alcoholFreeAlternative !== '';
  return (
    <>
      <Field label={t('bench.deglaze')} fault={faultAt('deglaze.ml')}>
        {(id) => (
          <div className="pair">
            <Select
              id={id}
              value={deglaze?.liquid ?? 'no'}
              options={[{ value: 'no', label: t('bench.not-at-all') }, ...labelled(DEGLAZING)]}
              popupMatchSelectWidth={240}
              onChange={(liquid) =>
                liquid === 'no' ? edit((before) => ({ ...before, deglaze: null })) : set({ liquid })
              }
            />
            {deglaze && (
              <QuantityInput
                label={t('bench.how-much-to-deglaze-with')}
                kind="volume"
                value={deglaze.ml}
                range={LIMITS.liquidMl}
                onChange={(ml) => ml !== undefined && set({ ml })}
              />
            )}
          </div>
        )}
      </Field>
      {deglaze && (
        <div className="field-rest">
          <Checkbox checked={deglaze.scraped} onChange={(event) => set({ scraped: event.target.checked })}>
            {t('bench.scraped-clean')}
          </Checkbox>
          {alcohol && <span className="field-note">{t('bench.boil-the-raw-smell-off')}</span>}
          {alcohol && instead && (
            <details className="fold">
              <summary>{t('bench.without-alcohol')}</summary>
              <Button className={verdictsStyles['wrapping']} onClick={() => set({ liquid: instead.id })}>
                {t('bench.instead', { name: instead.name })}
              </Button>
              <span className="field-note">{textOf(instead.changes)}.</span>
            </details>
          )}
          {!alcohol && <span className="field-note">{textOf(liquidById(deglaze.liquid).note)}</span>}
        </div>
      )}
    </>
  );
}
