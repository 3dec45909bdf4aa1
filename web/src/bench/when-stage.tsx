import { lowerFirst } from '@hervir/language';
import { isHotPlace, placeName, type Plan, type StageId } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import styles from './lists.module.css';
import { t, textOf } from '../language/t';

const FIRST = 'start';

interface Props {
  readonly plan: Plan;
  /** What goes in, for its label. */
  readonly of: string;
  /** Undefined: before the first lid. */
  readonly value: StageId | undefined;
  readonly onChange: (stage: StageId | undefined) => void;
}

/** At which stage something goes in; asked once the cook has a stage after the first run. */
export function WhenStage({ plan, of, value, onChange }: Props): ReactNode {
  const later = plan.stages.map(({ id }) => id).filter((id) => isHotPlace(plan, id));
  if (later.length === 0 && value === undefined) return null;
  return (
    <Select
      className={styles['spans']}
      aria-label={t('bench.at-which-stage', { of })}
      value={value ?? FIRST}
      options={[
        { value: FIRST, label: t('bench.from-the-start') },
        ...later.map((id) => ({
          value: id,
          label: t('bench.at', { placeName: lowerFirst(textOf(placeName(plan, id))) }),
        })),
      ]}
      popupMatchSelectWidth={200}
      onChange={(next) => onChange(next === FIRST ? undefined : next)}
    />
  );
}
