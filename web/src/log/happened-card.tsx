import type { LogRecord } from '@hervir/contract';
import type { CookState } from '@hervir/core';
import type { ReactNode } from 'react';
import { clockAt } from '../shared/words';
import { happenedIn } from './happened';
import styles from './log.module.css';
import { t } from '../language/t';

interface Props {
  readonly record: LogRecord;
  /** Null for a cook that was not guided here. */
  readonly state: CookState | null;
}

/** What happened, event by event; where nothing was pressed, where the line comes from. */
export function HappenedCard({ record: { item, plan, cook }, state }: Props): ReactNode {
  return (
    <section className="vessel side-card" aria-label={t('log.what-happened')}>
      <h2>{t('log.what-happened')}</h2>
      {state === null ? (
        <p className="dim">{item.source === 'by-hand' ? t('log.added-by-hand') : t('log.read-from-a-file')}</p>
      ) : (
        <ol className={styles['log-events']} aria-label={t('log.event-by-event')}>
          {happenedIn(state, cook?.events ?? []).map(({ at, key, text }) => (
            <li key={key}>
              <span className="figure dim">{clockAt(at, plan.serveAt)}</span> {text}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
