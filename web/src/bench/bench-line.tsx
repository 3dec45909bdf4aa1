import { printDuration } from '@hervir/language';
import { withStage, type DinnerOdds, type Forecast, type Plan } from '@hervir/core';
import { Button, Checkbox } from 'antd';
import { useState, type ReactNode } from 'react';
import { Line } from '../shared/line/line';
import { dragHandle } from '../state/bench/bench-store';
import type { Edit } from './station';
import { clsx } from 'clsx';
import styles from './bench.module.css';
import { t } from '../language/t';

/** px: the line over the whole width, so low that an open station stands under it whole at 1280 by 800. */
const LINE_HEIGHT = 202;

/** A task put earlier by so many minutes; 0 takes it back to as late as it can be. */
function moveTask(plan: Plan, task: string, earlier: number): Plan {
  const others = Object.entries(plan.moved).filter(([id]) => id !== task);
  return { ...plan, moved: Object.fromEntries(earlier > 0 ? [...others, [task, earlier]] : others) };
}

interface Props {
  readonly forecast: Forecast | null;
  /** What the handle was last moved to. */
  readonly minutes: number | null;
  readonly odds: DinnerOdds | null;
  readonly edit: Edit;
  readonly onEverything: () => void;
}

/** The line of the plan on the bench, over its whole width. */
export function BenchLine({ forecast, minutes, odds, edit, onEverything }: Props): ReactNode {
  const [showCore, setShowCore] = useState(false);
  return (
    <section className={clsx('vessel', 'panel', styles['bench-line'])} aria-label={t('bench.the-line')}>
      <div className={styles['panel-head']}>
        <h2>{t('bench.the-line')}</h2>
        <Checkbox checked={showCore} onChange={(event) => setShowCore(event.target.checked)}>
          {t('bench.middle-of-the-meat')}
        </Checkbox>
        {forecast && (
          <span className="dim">
            {t('bench.in-all-hands-on', {
              duration: printDuration(forecast.clock.totalMinutes),
              handsOn: printDuration(forecast.clock.handsOnMinutes),
            })}
          </span>
        )}
        <Button className={styles['bench-everything']} onClick={onEverything}>
          {t('bench.why-what-if-care')}
        </Button>
      </div>
      {forecast && (
        <Line
          forecast={forecast}
          minutes={minutes ?? forecast.pressureMinutes}
          height={LINE_HEIGHT}
          odds={odds}
          showCore={showCore}
          onMove={(task, earlier) => edit((before) => moveTask(before, task, earlier))}
          onStage={(stage, wanted) =>
            edit((before) => ({ ...before, ...withStage(before, stage, { minutes: wanted }) }))
          }
          onDrag={dragHandle}
          onDrop={(wanted) => {
            dragHandle(null);
            edit((before) => (before.pressureMinutes === wanted ? before : { ...before, pressureMinutes: wanted }));
          }}
        />
      )}
    </section>
  );
}
