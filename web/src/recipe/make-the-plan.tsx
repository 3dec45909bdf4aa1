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
import { rich, t } from '../language/t';

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
      <span className="recipe-when" role="group" aria-label={t('shared.when-we-eat')}>
        {rich('recipe.we-eat', {
          select: (
            <Select
              aria-label={t('shared.which-day')}
              value={day}
              popupMatchSelectWidth={180}
              options={[
                { value: NO_DAY, label: t('recipe.on-no-day-yet') },
                ...dayOptions(day === NO_DAY ? null : day, now),
              ]}
              onChange={setDay}
            />
          ),
          day:
            day !== NO_DAY &&
            rich('recipe.at', {
              timeInput: (
                <TimeInput label={t('recipe.at-what-time')} value={time} onChange={setTime} width="5.625rem" />
              ),
            }),
        })}
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
        {t('recipe.make-the-plan')}
      </Button>
    </div>
  );
}
