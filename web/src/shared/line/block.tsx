import { LIMITS } from '@hervir/core';
import type { ReactNode } from 'react';
import { LANES } from './frame';
import { fitting, type LineGeometry } from './geometry';
import type { Block, Tone } from './lane-blocks';
import { useMinutes } from './use-minutes';
import styles from './line.module.css';
import { t } from '../../language/t';

const PAINT: Readonly<Record<Tone, { fill: string; opacity: number; stroke: string; text: string }>> = {
  herb: { fill: 'var(--herb)', opacity: 0.14, stroke: 'var(--herb)', text: 'var(--herb)' },
  meat: { fill: 'var(--meat)', opacity: 0.14, stroke: 'var(--meat)', text: 'var(--meat)' },
  ember: { fill: 'var(--ember)', opacity: 1, stroke: 'var(--ember)', text: 'var(--on-strong)' },
  'ember-soft': { fill: 'var(--ember)', opacity: 0.14, stroke: 'var(--ember)', text: 'var(--ember)' },
  steam: { fill: 'var(--steam)', opacity: 1, stroke: 'var(--steam)', text: 'var(--on-strong)' },
  'steam-soft': { fill: 'var(--steam)', opacity: 0.14, stroke: 'var(--steam)', text: 'var(--steam)' },
  brass: { fill: 'var(--brass)', opacity: 0.14, stroke: 'var(--brass)', text: 'var(--brass)' },
};

interface Props {
  readonly g: LineGeometry;
  readonly block: Block;
}

/** A task in its lane. */
export function LineBlock({ g, block, shift = 0 }: Props & { readonly shift?: number }): ReactNode {
  const paint = PAINT[block.tone];
  const y = LANES.indexOf(block.lane) * g.laneHeight + 4.5;
  return (
    <g transform={shift === 0 ? undefined : `translate(${shift} 0)`}>
      <title>{block.title}</title>
      <rect
        x={block.x + 0.75}
        y={y}
        width={Math.max(2, block.width - 1.5)}
        height={g.laneHeight - 5}
        rx={4}
        fill={paint.fill}
        fillOpacity={paint.opacity}
        stroke={paint.stroke}
      />
      <text x={block.x + 6} y={y + 13.5} style={{ fill: paint.text, fontWeight: 600 }}>
        {fitting(block.label, block.width)}
      </text>
    </g>
  );
}

interface MovableProps extends Props {
  readonly moves: NonNullable<Block['moves']>;
  /** The time of day, or the minute, at a minute of the plan. */
  readonly at: (minute: number) => string;
  readonly onMove: (task: string, earlier: number) => void;
}

/** Nothing smaller is hit by a finger, px. */
const LEAST_TARGET = 24;

/** To the left is earlier: the keys go the other way, but for those that leap. */
const EARLIER_KEYS: Readonly<Record<string, number>> = {
  ArrowLeft: 1,
  ArrowUp: 1,
  ArrowRight: -1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
};
const clamp = (earlier: number): number =>
  Math.min(LIMITS.movedMinutes.max, Math.max(LIMITS.movedMinutes.min, Math.round(earlier)));

/** A task that can be put earlier, by dragging it or with the arrow keys; never later than its order allows. */
export function MovableBlock({ g, block, moves, at, onMove }: MovableProps): ReactNode {
  const perMinute = g.x(1) - g.x(0);
  const { dragged, handlers } = useMinutes({
    value: moves.earlier,
    clamp,
    perPixel: -1 / perMinute,
    keys: EARLIER_KEYS,
    onDrop: (earlier) => onMove(moves.task, earlier),
  });
  const earlier = dragged ?? moves.earlier;
  const begins = at(moves.startMinute - (earlier - moves.earlier));
  return (
    <g
      className={styles['line-move']}
      role="slider"
      tabIndex={0}
      aria-label={t('shared.earlier-by', { title: block.title })}
      aria-valuemin={LIMITS.movedMinutes.min}
      aria-valuemax={LIMITS.movedMinutes.max}
      aria-valuenow={earlier}
      aria-valuetext={
        earlier === 0
          ? t('shared.begins-as-late-as-it', { begins })
          : t('shared.begins-min-earlier', { begins, earlier })
      }
      {...handlers}
    >
      <rect
        x={block.x - (earlier - moves.earlier) * perMinute}
        y={LANES.indexOf(block.lane) * g.laneHeight + 2}
        width={Math.max(LEAST_TARGET, block.width)}
        height={Math.max(LEAST_TARGET, g.laneHeight)}
        fill="transparent"
      />
      <LineBlock g={g} block={block} shift={-(earlier - moves.earlier) * perMinute} />
      {dragged !== null && (
        <text
          className="figure"
          x={block.x - (earlier - moves.earlier) * perMinute}
          y={LANES.indexOf(block.lane) * g.laneHeight + 34}
          style={{ fill: 'var(--rim)', fontWeight: 700 }}
        >
          {begins}
        </text>
      )}
    </g>
  );
}
