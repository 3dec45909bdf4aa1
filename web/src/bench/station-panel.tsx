import type { ReactNode } from 'react';
import type { StationKey } from './station-heads';
import styles from './station-panel.module.css';

interface Props {
  readonly station: StationKey;
  /** What is decided. */
  readonly fields: ReactNode;
  /** What it looks like. */
  readonly drawing?: ReactNode;
  /** Why it is so, and what can hurt. */
  readonly why?: ReactNode;
}

/** The panel of one station: its fields, its own drawing and its own reasons, side by side where there is room. */
export function StationPanel({ station, fields, drawing, why }: Props): ReactNode {
  return (
    <div className={styles['panel']} data-station={station}>
      <div className={styles['fields']}>{fields}</div>
      {drawing !== undefined && <div className={styles['drawing']}>{drawing}</div>}
      {why !== undefined && <div className={styles['why']}>{why}</div>}
    </div>
  );
}
