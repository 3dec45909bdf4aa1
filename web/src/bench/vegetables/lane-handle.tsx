import type { ReactNode } from 'react';
import type { Minutes } from '../../shared/line/use-minutes';
import styles from './lanes.module.css';
import { t } from '../../language/t';

interface Props {
  readonly name: string;
  readonly minutes: number;
  readonly most: number;
  /** Percent of the lane. */
  readonly left: number;
  readonly fixed: boolean;
  readonly handlers: Minutes['handlers'];
}

/** The end of a stage: its minutes, dragged along its lane or moved with the arrow keys. */
export function LaneHandle({ name, minutes, most, left, fixed, handlers }: Props): ReactNode {
  return (
    <div
      className={styles['handle']}
      data-fixed={fixed}
      style={{ left: `${left}%` }}
      role="slider"
      tabIndex={0}
      aria-label={t('bench.its-minutes', { name })}
      aria-valuemin={0}
      aria-valuemax={most}
      aria-valuenow={minutes}
      aria-valuetext={t('bench.minutes-2', { minutes: Math.round(minutes) })}
      {...handlers}
    >
      {t('bench.min-10', { minutes: Math.round(minutes) })}
    </div>
  );
}
