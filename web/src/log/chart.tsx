import type { ReactNode } from 'react';
import { clsx } from 'clsx';
import styles from './log.module.css';

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
