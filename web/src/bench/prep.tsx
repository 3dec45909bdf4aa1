import { cutById } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { MarinadeFields } from './marinade-fields';
import { PrepList } from './prep-list';
import { RubFields } from './rub-fields';
import { changing, type StationProps } from './station';

/** Salting ahead, as cooks say it, in minutes. */
const AHEAD = [
  { value: 1440, label: 'the day before' },
  { value: 120, label: '2 h ahead' },
  { value: 60, label: '1 h ahead' },
  { value: 20, label: '20 min ahead' },
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
        <p className="field-note">Cured: it brings its own salt, none is added.</p>
      ) : (
        <Choice
          label="Salt"
          value={meat.salted}
          options={[
            { value: 'ahead', label: 'Ahead' },
            { value: 'just-before', label: 'At the pot' },
            { value: 'no', label: 'Not yet' },
          ]}
          onChange={(salted) => change({ salted, saltedMinutes: undefined })}
        />
      )}
      {!cured && meat.salted === 'ahead' && (
        <Field label="How long" note={wet?.text}>
          {(id) => (
            <Select
              id={id}
              value={meat.saltedMinutes ?? 1440}
              options={AHEAD}
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
