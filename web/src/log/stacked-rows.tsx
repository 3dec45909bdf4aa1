import { scaleBand, scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { useWidth } from '../shared/use-width';
import styles from './log.module.css';
import { textOf } from '../language/t';
import type { Message } from '@hervir/language';

/** One row, px. */
const ROW = 26;
/** Room for the name of a cut, px. */
const LABEL_WIDTH = 130;
/** At most so many rows; the rest is rare. */
export const MOST_ROWS = 8;

/** What a part of a row is drawn as and called: never by its colour alone. */
export interface StackKind {
  readonly fill: string;
  readonly sign: string;
  readonly word: Message;
}

/** One row: its name, and its parts from the left. */
export interface StackedRow<K extends string> {
  readonly name: string;
  readonly parts: readonly {
    readonly kind: K;
    readonly from: number;
    readonly to: number;
    readonly text: string;
  }[];
}

interface Props<K extends string> {
  readonly rows: readonly StackedRow<K>[];
  readonly kinds: Readonly<Record<K, StackKind>>;
  /** What the width stands for. */
  readonly most: number;
  /** Narrower, a part has no room for its text, px. */
  readonly leastText?: number;
  /** In words, for who cannot see it. */
  readonly label: string;
}

/** Rows of parts one after another, with what each kind of part means. */
export function StackedRows<K extends string>({ rows, kinds, most, leastText = 0, label }: Props<K>): ReactNode {
  const [ref, width] = useWidth();
  const x = scaleLinear([0, most], [LABEL_WIDTH, Math.max(LABEL_WIDTH, width - 10)]);
  const y = scaleBand(
    rows.map(({ name }) => name),
    [0, rows.length * ROW],
  ).padding(0.25);
  return (
    <>
      <div ref={ref}>
        {width > 0 && rows.length > 0 && (
          <svg width={width} height={rows.length * ROW} role="img" aria-label={label}>
            {rows.map(({ name, parts }) => {
              const top = y(name) ?? 0;
              const middle = top + y.bandwidth() / 2 + 4;
              return (
                <g key={name}>
                  <text x={LABEL_WIDTH - 8} y={middle} textAnchor="end">
                    {name}
                  </text>
                  {parts.map(({ kind, from, to, text }) => (
                    <g key={kind}>
                      <rect
                        x={x(from)}
                        y={top}
                        width={Math.max(0, x(to) - x(from) - 1)}
                        height={y.bandwidth()}
                        fill={kinds[kind].fill}
                        rx={3}
                      />
                      {x(to) - x(from) > leastText && (
                        <text x={x(from) + 6} y={middle} style={{ fill: 'var(--on-strong)' }}>
                          {kinds[kind].sign} {text}
                        </text>
                      )}
                    </g>
                  ))}
                </g>
              );
            })}
          </svg>
        )}
      </div>
      <p className={styles['log-legend']}>
        {Object.values<StackKind>(kinds).map(({ fill, sign, word }) => (
          <span key={sign} style={{ color: fill }}>
            {sign} {textOf(word)}
          </span>
        ))}
      </p>
    </>
  );
}
