import type { ReactNode } from 'react';

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
    <figure className="vessel log-chart">
      <figcaption>
        <h2>{question}</h2>
        <p>{answer}</p>
      </figcaption>
      {children}
    </figure>
  );
}
