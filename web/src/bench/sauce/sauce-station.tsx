import { BODIES, isPulled, LIMITS, THICKENER_KINDS } from '@hervir/core';
import { Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../../shared/field';
import { NumberInput } from '../../shared/number-input';
import { QuantityInput } from '../../shared/quantity-input';
import { changing, type StationProps } from '../station';
import styles from './sauce-station.module.css';
import { Servings } from './servings';
import { t, textOf } from '../../language/t';
import { labelled } from '../../language/labelled';
import { say } from '@hervir/language';

const thickeners = (): { value: string; label: string }[] => [
  { value: 'none' as const, label: t('bench.nothing') },
  ...THICKENER_KINDS.map(({ id, name }) => ({ value: id, label: textOf(name) })),
];
const BODY_OPTIONS = BODIES.filter((body) => body !== 'thin').map((value) => ({ value, label: say(`body.${value}`) }));

/** Sixth station: how the sauce is finished, and for how many. */
export function SauceStation({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { finish } = plan;
  const change = changing(edit, 'finish');
  return (
    <div className="fields">
      <Field label={t('bench.thicken-2')} fault={faultAt('finish.thickener')}>
        {(id) => (
          <div className="pair">
            <Select
              id={id}
              value={finish.thickener}
              options={thickeners()}
              onChange={(thickener) => change({ thickener })}
            />
            {finish.thickener !== 'none' && (
              <Select
                aria-label={t('bench.body')}
                value={finish.body}
                options={labelled(BODY_OPTIONS)}
                onChange={(body) => change({ body })}
              />
            )}
          </div>
        )}
      </Field>
      <Field label={t('bench.sauce')} fault={faultAt('finish.sauceMl')} note={t('bench.empty-all-there-is-less')}>
        {(id) => (
          <QuantityInput
            id={id}
            label={t('bench.sauce')}
            kind="volume"
            value={finish.sauceMl ?? undefined}
            range={LIMITS.liquidMl}
            derived={forecast?.liquid.freeAtEndMl ?? 0}
            onChange={(sauceMl) => change({ sauceMl: sauceMl ?? null })}
          />
        )}
      </Field>
      <Treatments plan={plan} edit={edit} />
      <div className={styles['pair']}>
        <Field label={t('bench.rest')}>
          {(id) => (
            <NumberInput
              id={id}
              min={LIMITS.restMinutes.min}
              max={LIMITS.restMinutes.max}
              suffix={t('bench.min-2')}
              value={finish.restMinutes}
              onChange={(restMinutes) => restMinutes !== null && change({ restMinutes })}
            />
          )}
        </Field>
        <Servings plan={plan} edit={edit} />
      </div>
    </div>
  );
}

/** What else is done to the sauce, and where it is eaten from. */
function Treatments({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>): ReactNode {
  const { finish } = plan;
  const change = changing(edit, 'finish');
  return (
    <div className="field-rest">
      <Checkbox checked={finish.skim} onChange={(event) => change({ skim: event.target.checked })}>
        {t('bench.skimmed')}
      </Checkbox>
      <Checkbox
        checked={finish.strain !== 'no'}
        onChange={(event) => change({ strain: event.target.checked ? 'thrown' : 'no' })}
      >
        {t('bench.strained')}
      </Checkbox>
      <Checkbox checked={finish.blend} onChange={(event) => change({ blend: event.target.checked })}>
        {t('bench.blended')}
      </Checkbox>
      {finish.strain !== 'no' && (
        <Select
          aria-label={t('bench.what-becomes-of-the-solids')}
          value={finish.strain}
          options={[
            { value: 'thrown' as const, label: t('bench.solids-thrown-away') },
            { value: 'kept' as const, label: t('bench.solids-kept') },
            { value: 'put-back' as const, label: t('bench.solids-put-back') },
          ]}
          popupMatchSelectWidth={180}
          onChange={(strain) => change({ strain })}
        />
      )}
      {isPulled(plan.target) && (
        <>
          <Checkbox checked={finish.meatBack} onChange={(event) => change({ meatBack: event.target.checked })}>
            {t('bench.pulled-before-it-reduces')}
          </Checkbox>
          <Checkbox checked={finish.crisp} onChange={(event) => change({ crisp: event.target.checked })}>
            {t('bench.shreds-crisped')}
          </Checkbox>
        </>
      )}
      <Checkbox
        checked={plan.servedFrom === 'pot'}
        onChange={(event) => edit((before) => ({ ...before, servedFrom: event.target.checked ? 'pot' : 'plate' }))}
      >
        {t('bench.eaten-from-the-pot')}
      </Checkbox>
    </div>
  );
}
