import { printDuration, TARGET_BAND, type DinnerOdds, type Forecast } from '@hervir/core';
import { useCallback, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { clockTime, GRADE_WORDS, timeOfMinute, WANTED_WORDS } from '../words';
import { useUnits } from '../use-units';
import { useWidth } from '../use-width';
import { LineBlock, MovableBlock } from './block';
import { clockTicks, LANE_NAMES, LANES, lineGeometry } from './geometry';
import { StageHandle } from './stage-handle';
import { MINUTE_KEYS } from './use-minutes';
import styles from './line.module.css';

interface Props {
  readonly forecast: Forecast;
  /** What the handle was last moved to: ahead of the forecast while that is being reckoned. */
  readonly minutes: number;
  readonly height: number;
  readonly onDrag: (minutes: number) => void;
  readonly onDrop: (minutes: number) => void;
  readonly showCore: boolean;
  /** A task is put so many minutes earlier than it must. */
  readonly onMove: (task: string, earlier: number) => void;
  /** A later stage is given so many minutes. */
  readonly onStage: (stage: string, minutes: number) => void;
  /** When each part is over, in eight of ten evenings; null until that is reckoned. */
  readonly odds?: DinnerOdds | null;
}

/** The time of day of a minute of the plan; the minute itself where it names no time. */
const timeAt = ({ clock }: Forecast, minute: number): string =>
  timeOfMinute(clock.startAt, minute) ?? `${Math.round(minute)} min`;

/** How far each pin is off in eight of ten evenings, minutes, in the order of the pins. */
function pinSpreads({ clock }: Forecast, odds: DinnerOdds): { readonly p10: number; readonly p90: number }[] {
  const parts = new Map(odds.parts.map((part) => [part.id, part]));
  return clock.tasks
    .filter(({ work }) => work.kind === 'come-up' || work.kind === 'let-down')
    .flatMap(({ id }) => parts.get(id) ?? []);
}

/** In words, for who cannot see it and for print. */
export function lineInWords(forecast: Forecast, print: (kind: 'temperature', value: number) => string): string {
  const steps = forecast.clock.tasks.map(
    (task) => `${timeAt(forecast, task.startMinute)} ${task.label}, ${printDuration(task.minutes)}`,
  );
  return `The pot works at ${print('temperature', forecast.pot.workingC)}; when the lid comes off, the meat: ${GRADE_WORDS[forecast.tenderness.grade]}. ${steps.join('. ')}.`;
}

/**
 * The line: the whole evening on one clock, and the end of the pressure run as a handle. Dragging or arrow keys move
 * it; while it is dragged the drawing keeps its scale, so that the handle stays under the finger.
 */
export function Line({
  forecast,
  minutes: wanted,
  height,
  onDrag,
  onDrop,
  showCore,
  onMove,
  onStage,
  odds = null,
}: Props): ReactNode {
  const [box, width] = useWidth();
  const { print } = useUnits();
  /** Minutes the drawing is wide while dragging; null when it fits the plan. */
  const [held, setHeld] = useState<number | null>(null);
  const grip = useRef<{ pointer: number; from: number; minutes: number; perPixel: number } | null>(null);
  const total = forecast.clock.totalMinutes;
  const layout = { width, height, minutes: held ?? total * 1.005, target: TARGET_BAND[forecast.plan.target] };
  const g = useMemo(
    () => (width > 0 ? lineGeometry(forecast, layout) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- layout is made of these
    [forecast, width, height, held],
  );
  /** While the handle is dragged they are not known, and stay away. */
  const spreads = odds === null || held !== null ? [] : pinSpreads(forecast, odds);
  const longest = Math.max(forecast.pressureMinutes, forecast.tenderness.byMinute.at(-1)?.minutes ?? 0);
  const clamp = useCallback((minutes: number) => Math.min(longest, Math.max(0, Math.round(minutes))), [longest]);

  const onPointerDown = (event: PointerEvent<SVGGElement>): void => {
    if (!g) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const minutes = total * 1.12;
    setHeld(minutes);
    // The pixel scale does not change from here on, so a finger's way is minutes.
    grip.current = {
      pointer: event.pointerId,
      from: event.clientX,
      minutes: wanted,
      perPixel: minutes / (g.right - g.left),
    };
  };
  const minutesUnder = (event: PointerEvent): number | null => {
    const { current } = grip;
    if (!current || current.pointer !== event.pointerId) return null;
    return clamp(current.minutes + (event.clientX - current.from) * current.perPixel);
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>): void => {
    const minutes = minutesUnder(event);
    if (minutes !== null) onDrag(minutes);
  };
  const onPointerEnd = (event: PointerEvent<SVGGElement>): void => {
    const minutes = minutesUnder(event);
    grip.current = null;
    setHeld(null);
    if (minutes !== null) onDrop(minutes);
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>): void => {
    const step = MINUTE_KEYS[event.key];
    if (step !== undefined) onDrop(clamp(wanted + step));
    else if (event.key === 'Home') onDrop(0);
    else if (event.key === 'End') onDrop(longest);
    else return;
    event.preventDefault();
  };

  return (
    <figure className={styles['line-figure']} ref={box} aria-label="The line">
      <figcaption className="visually-hidden">{lineInWords(forecast, print)}</figcaption>
      {g && (
        <svg viewBox={`0 0 ${g.width} ${g.height}`} height={height} role="group" aria-label="The evening on one clock">
          <g aria-hidden>
            {LANES.map((lane, i) => (
              <g key={lane}>
                <text x={0} y={i * g.laneHeight + 18}>
                  {LANE_NAMES[lane]}
                </text>
                <line
                  x1={g.left}
                  x2={g.width}
                  y1={(i + 1) * g.laneHeight + 2.5}
                  y2={(i + 1) * g.laneHeight + 2.5}
                  stroke="var(--hair)"
                />
              </g>
            ))}
            {g.blocks
              .filter(({ moves }) => moves === null)
              .map((block) => (
                <LineBlock key={block.key} g={g} block={block} />
              ))}
            {g.temperatures.map(({ celsius, y }) => (
              <g key={celsius}>
                <line x1={g.left} x2={g.width} y1={y} y2={y} stroke="var(--hair)" strokeDasharray="2 5" />
                <text x={g.left - 8} y={y + 4} textAnchor="end">
                  {print('temperature', celsius)}
                </text>
              </g>
            ))}
            {g.stretches.map((stretch) => (
              <g key={stretch.key}>
                <path
                  d={stretch.fill}
                  fill={stretch.hot ? 'var(--ember)' : 'var(--steam)'}
                  fillOpacity={stretch.hot ? 0.15 : 0.14}
                />
                <path
                  d={stretch.stroke}
                  fill="none"
                  stroke={stretch.hot ? 'var(--ember)' : 'var(--steam)'}
                  strokeWidth={2.25}
                />
              </g>
            ))}
            <rect
              x={g.target.from}
              y={g.target.top}
              width={Math.max(0, g.right - g.target.from)}
              height={g.target.bottom - g.target.top}
              fill="var(--herb)"
              fillOpacity={0.16}
            />
            <text x={g.target.from + 6} y={g.target.top - 4} style={{ fill: 'var(--herb)', fontWeight: 600 }}>
              {WANTED_WORDS[forecast.plan.target]}
            </text>
            <path d={g.tendernessBand} fill="var(--meat)" fillOpacity={0.2} />
            <path d={g.tenderness} fill="none" stroke="var(--meat)" strokeWidth={2.25} />
            {showCore && <path d={g.core} fill="none" stroke="var(--rim)" strokeWidth={1.5} strokeDasharray="5 4" />}
            <text x={g.pressureLabel.x} y={g.pressureLabel.y} style={{ fill: 'var(--steam)', fontWeight: 600 }}>
              {`pot ${print('temperature', forecast.pot.workingC)}`}
            </text>
            {g.pins.map((pin, i) => (
              <g key={i}>
                {spreads[i] && (
                  <line
                    className={styles['line-spread']}
                    x1={pin.x + g.x(spreads[i].p10) - g.x(0)}
                    x2={pin.x + g.x(spreads[i].p90) - g.x(0)}
                    y1={g.top - 6}
                    y2={g.top - 6}
                  />
                )}
                <line x1={pin.x} x2={pin.x} y1={g.top - 14} y2={g.base} stroke="var(--rim)" strokeDasharray="3 3" />
                <circle
                  cx={pin.x}
                  cy={g.top - 16}
                  r={4.5}
                  fill={pin.up ? 'var(--rim)' : 'var(--card)'}
                  stroke="var(--rim)"
                  strokeWidth={1.5}
                />
                <text
                  x={pin.x + (pin.up || g.pins.length > 2 ? -8 : 8)}
                  y={g.top - 12}
                  textAnchor={pin.up || g.pins.length > 2 ? 'end' : 'start'}
                  style={{ fill: 'var(--rim)' }}
                >
                  {i > 1 ? '' : pin.up ? 'pin up' : 'pin down'}
                </text>
              </g>
            ))}
            <line x1={g.left} x2={g.width} y1={g.base} y2={g.base} stroke="var(--rim)" strokeWidth={1.5} />
            {clockTicks(forecast.clock.startAt, layout.minutes, g.width / 64).map((tick) => (
              <text key={tick.minute} className="figure" x={g.x(tick.minute)} y={g.base + 18} textAnchor="middle">
                {tick.label}
              </text>
            ))}
          </g>
          {g.blocks.map(
            (block) =>
              block.moves !== null && (
                <MovableBlock
                  key={block.key}
                  g={g}
                  block={block}
                  moves={block.moves}
                  at={(minute) => timeAt(forecast, minute)}
                  onMove={onMove}
                />
              ),
          )}
          {g.laterHandles.map((handle) => (
            <StageHandle
              key={handle.stage}
              g={g}
              handle={handle}
              onDrop={(minutes) => onStage(handle.stage, minutes)}
            />
          ))}
          <g
            className="line-handle"
            role="slider"
            tabIndex={0}
            aria-label="Minutes under pressure"
            aria-valuemin={0}
            aria-valuemax={longest}
            aria-valuenow={forecast.pressureMinutes}
            aria-valuetext={`${forecast.pressureMinutes} minutes, ${GRADE_WORDS[forecast.tenderness.grade]}${forecast.clock.startAt === null ? '' : `, begin ${clockTime(forecast.clock.startAt)}`}`}
            onPointerDown={onPointerDown}
            onPointerMove={onPointerMove}
            onPointerUp={onPointerEnd}
            onPointerCancel={onPointerEnd}
            onKeyDown={onKeyDown}
          >
            <rect x={g.handle.x - 44} y={g.top - 10} width={88} height={g.base - g.top + 10} fill="transparent" />
            <line
              x1={g.handle.x}
              x2={g.handle.x}
              y1={LANES.indexOf('pot') * g.laneHeight + 4}
              y2={g.base}
              stroke="var(--ember)"
              strokeWidth={2}
            />
            <rect
              className="knob"
              x={g.handle.x - 40}
              y={g.base - 30}
              width={80}
              height={28}
              rx={7}
              fill="var(--ember)"
            />
            <text
              x={g.handle.x}
              y={g.base - 11}
              textAnchor="middle"
              style={{ fill: 'var(--on-strong)', fontWeight: 700, fontSize: '0.875rem' }}
            >
              {`‹ ${forecast.pressureMinutes} min ›`}
            </text>
          </g>
        </svg>
      )}
    </figure>
  );
}
