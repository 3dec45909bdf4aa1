import { Select } from 'antd';
import type { ReactNode } from 'react';
import { useCookers } from '../../api/queries';
import { Field } from '../../shared/field';
import type { StationProps } from '../station';
import { t } from '../../language/t';

/** Which of the kitchen's cookers it is cooked in. */
export function WhichPot({ plan, edit, faultAt }: Omit<StationProps, 'forecast'>): ReactNode {
  const cookers = useCookers().data ?? [];
  const own = cookers.find(({ cooker }) => cooker.name === plan.cooker.name);
  return (
    <Field
      label={t('bench.cooker')}
      fault={faultAt('cooker.watts')}
      note={own || cookers.length === 0 ? undefined : t('bench.as-it-was-when-this')}
    >
      {(id) => (
        <Select
          id={id}
          value={own?.id ?? 'planned'}
          options={[
            ...(own ? [] : [{ value: 'planned', label: plan.cooker.name }]),
            ...cookers.map(({ id: value, cooker }) => ({ value, label: cooker.name })),
          ]}
          onChange={(chosen) => {
            const next = cookers.find((known) => known.id === chosen);
            if (next) edit((before) => ({ ...before, cooker: next.cooker }));
          }}
        />
      )}
    </Field>
  );
}
