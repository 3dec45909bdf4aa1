import type { ReactNode } from 'react';
import { clsx } from 'clsx';
import styles from './log.module.css';

/** Of a drawing that is as high as the rows of the charts beside it, px. */
export const CHART_HEIGHT = 222;

/** A chart of the log: the question it answers, the answer in words, and the drawing. */
export function Chart({
  question,
  answer,
  children,
}: {
  readonly question: string;
  readonly answer: string;
  readonly children: ReactNode;
}): ReactNode {
  return (
    <figure className={clsx('vessel', styles['log-chart'])}>
      <figcaption>
        <h2>{question}</h2>
        <p>{answer}</p>
      </figcaption>
      {children}
    </figure>
  );
}
