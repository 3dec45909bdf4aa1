import { cutById } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { MarinadeFields } from './marinade-fields';
import { PrepList } from './prep-list';
import { RubFields } from './rub-fields';
import { changing, type StationProps } from './station';
import { t, textOf } from '../language/t';
import { say } from '@hervir/language';
import { labelled } from '../language/labelled';

/** Salting ahead, as cooks say it, in minutes. */
const AHEAD = [
  { value: 1440, label: say('bench.the-day-before') },
  { value: 120, label: say('bench.hours-ahead', { hours: 2 }) },
  { value: 60, label: say('bench.hours-ahead', { hours: 1 }) },
  { value: 20, label: say('bench.minutes-ahead', { minutes: 20 }) },
];

/** Salt, marinade, rub; the board in order, bowls by moment, and what can stand in. */
export function Prep({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { meat } = plan;
  const change = changing(edit, 'meat');
  const { cured } = cutById(meat.cut);
  const wet = forecast?.saute.troubles.find(({ id }) => id === 'wet');
  return (
    <>
      {cured ? (
        <p className="field-note">{t('bench.cured-it-brings-its-own')}</p>
      ) : (
        <Choice
          label={t('bench.salt')}
          value={meat.salted}
          options={[
            { value: 'ahead', label: t('bench.ahead') },
            { value: 'just-before', label: t('bench.at-the-pot') },
            { value: 'no', label: t('bench.not-yet') },
          ]}
          onChange={(salted) => change({ salted, saltedMinutes: undefined })}
        />
      )}
      {!cured && meat.salted === 'ahead' && (
        <Field label={t('bench.how-long')} note={wet && textOf(wet.text)}>
          {(id) => (
            <Select
              id={id}
              value={meat.saltedMinutes ?? 1440}
              options={labelled(AHEAD)}
              onChange={(saltedMinutes) => change({ saltedMinutes })}
            />
          )}
        </Field>
      )}
      <MarinadeFields plan={plan} edit={edit} faultAt={faultAt} />
      <RubFields plan={plan} edit={edit} faultAt={faultAt} />
      <PrepList plan={plan} forecast={forecast} edit={edit} />
    </>
  );
}
