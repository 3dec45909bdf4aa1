import type { Plan } from '@hervir/core';
import { Button, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useCreateBraise } from '../api/queries';
import { TimeInput } from '../shared/time-input';
import { useNow } from '../shared/use-now';
import { USUAL_TIME, usualDay } from '../shared/usual-dinner';
import { dayOptions, wallClockOn } from '../shared/words';
import styles from './from-recipe.module.css';

/** The recipe is kept for some time or other. */
const NO_DAY = 'none';

interface Props {
  readonly plan: Plan;
  readonly onFault: (fault: string) => void;
}

/** When it is eaten, and the plan made of the recipe. */
export function MakeThePlan({ plan, onFault }: Props): ReactNode {
  const navigate = useNavigate();
  const create = useCreateBraise();
  const now = useNow();
  const [day, setDay] = useState(() => usualDay(now));
  const [time, setTime] = useState(USUAL_TIME);
  return (
    <div className={styles['recipe-row']}>
      <span className="recipe-when" role="group" aria-label="When we eat">
        We eat{' '}
        <Select
          aria-label="Which day"
          value={day}
          popupMatchSelectWidth={180}
          options={[{ value: NO_DAY, label: 'on no day yet' }, ...dayOptions(day === NO_DAY ? null : day, now)]}
          onChange={setDay}
        />
        {day !== NO_DAY && (
          <>
            {' '}
            at <TimeInput label="At what time" value={time} onChange={setTime} style={{ width: '5.625rem' }} />
          </>
        )}
      </span>
      <Button
        type="primary"
        size="large"
        loading={create.isPending}
        onClick={() =>
          create.mutate(
            { ...plan, serveAt: day === NO_DAY ? null : wallClockOn(day, time) },
            {
              onSuccess: ({ id }) => void navigate(`/bench/${id}`),
              onError: (error) => onFault(error.message),
            },
          )
        }
      >
        Make the plan
      </Button>
    </div>
  );
}
