import { LIMITS } from '@hervir/core';
import type { ReactNode } from 'react';
import { Choice, Field } from '../../shared/field';
import { NumberInput } from '../../shared/number-input';
import type { StationProps } from '../station';
import { Additions } from './additions';
import { Deglazing } from './deglazing';
import { Poured } from './poured';
import { WhichPot } from './which-pot';
import { t } from '../../language/t';

/** Third station: which pot, deglazing, liquid by school, and what is stirred in or laid on top. */
export function PotStation({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  return (
    <div className="fields-two">
      <div className="fields">
        <WhichPot plan={plan} edit={edit} faultAt={faultAt} />
        <Deglazing plan={plan} edit={edit} faultAt={faultAt} />
        <Choice
          label={t('bench.meat')}
          value={plan.rack ? 'rack' : 'base'}
          options={[
            { value: 'base', label: t('bench.on-the-base') },
            { value: 'rack', label: t('bench.on-a-rack') },
          ]}
          onChange={(where) => edit((before) => ({ ...before, rack: where === 'rack' }))}
        />
        {plan.cooker.kind === 'stovetop' && (
          <Choice
            label={t('bench.come-up-on')}
            value={plan.heat}
            options={[
              { value: 'full', label: t('bench.full-flame') },
              { value: 'medium', label: t('bench.medium') },
            ]}
            onChange={(heat) => edit((before) => ({ ...before, heat }))}
          />
        )}
        {plan.cooker.kind === 'electric' && (
          <Field
            label={t('bench.starts-later')}
            note={plan.waitsMinutes > 0 ? t('bench.raw-meat-must-not-lie') : undefined}
            fault={faultAt('waitsMinutes')}
          >
            {(id) => (
              <NumberInput
                id={id}
                min={LIMITS.waitsMinutes.min}
                max={LIMITS.waitsMinutes.max}
                value={plan.waitsMinutes}
                suffix={t('bench.min-2')}
                onChange={(waitsMinutes) => waitsMinutes !== null && edit((before) => ({ ...before, waitsMinutes }))}
              />
            )}
          </Field>
        )}
      </div>
      <div className="fields">
        <Poured plan={plan} forecast={forecast} edit={edit} faultAt={faultAt} />
        <Additions plan={plan} edit={edit} />
      </div>
    </div>
  );
}
