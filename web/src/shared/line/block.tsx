import { LIMITS } from '@hervir/core';
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { fitting, LANES, type Block, type LineGeometry, type Tone } from './geometry';

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

const STEPS: Readonly<Record<string, number>> = {
  ArrowLeft: 1,
  ArrowUp: 1,
  ArrowRight: -1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
};

/** A task that can be put earlier, by dragging it or with the arrow keys; never later than its order allows. */
export function MovableBlock({ g, block, moves, at, onMove }: MovableProps): ReactNode {
  const [dragged, setDragged] = useState<number | null>(null);
  const grip = useRef<{ readonly pointer: number; readonly from: number } | null>(null);
  const clamp = (earlier: number): number =>
    Math.min(LIMITS.movedMinutes.max, Math.max(LIMITS.movedMinutes.min, Math.round(earlier)));
  const perMinute = g.x(1) - g.x(0);
  const earlier = dragged ?? moves.earlier;
  const under = (event: PointerEvent): number | null =>
    grip.current?.pointer === event.pointerId
      ? clamp(moves.earlier - (event.clientX - grip.current.from) / perMinute)
      : null;
  const onPointerDown = (event: PointerEvent<SVGGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { pointer: event.pointerId, from: event.clientX };
  };
  const onPointerEnd = (event: PointerEvent<SVGGElement>): void => {
    const wanted = under(event);
    grip.current = null;
    setDragged(null);
    if (wanted !== null && wanted !== moves.earlier) onMove(moves.task, wanted);
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>): void => {
    const step = STEPS[event.key];
    if (step !== undefined) onMove(moves.task, clamp(moves.earlier + step));
    else if (event.key === 'Home') onMove(moves.task, 0);
    else return;
    event.preventDefault();
  };
  const begins = at(moves.startMinute - (earlier - moves.earlier));
  return (
    <g
      className="line-move"
      role="slider"
      tabIndex={0}
      aria-label={`${block.title}: earlier by`}
      aria-valuemin={LIMITS.movedMinutes.min}
      aria-valuemax={LIMITS.movedMinutes.max}
      aria-valuenow={earlier}
      aria-valuetext={
        earlier === 0 ? `begins ${begins}, as late as it can` : `begins ${begins}, ${earlier} min earlier`
      }
      onPointerDown={onPointerDown}
      onPointerMove={(event) => setDragged((before) => under(event) ?? before)}
      onPointerUp={onPointerEnd}
      onPointerCancel={onPointerEnd}
      onKeyDown={onKeyDown}
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
