import { printDuration } from '@hervir/language';
import { TARGET_BAND, type DinnerOdds, type Forecast } from '@hervir/core';
import { type ReactNode } from 'react';
import { GRADE_WORDS, timeOfMinute } from '../words';
import { LINE_DEGREES } from '../degrees';
import { useUnits } from '../use-units';
import { useWidth } from '../use-width';
import { MovableBlock } from './block';
import { axisWidth } from './frame';
import { lineGeometry, type LineGeometry } from './geometry';
import { ClockAxis, Lanes, MeatCurve, Pins, PotCurve } from './line-scene';
import { PressureHandle } from './pressure-handle';
import { StageHandle } from './stage-handle';
import { usePressureDrag } from './use-pressure-drag';
import styles from './line.module.css';
import { t, textOf } from '../../language/t';

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
  timeOfMinute(clock.startAt, minute) ?? t('shared.min-4', { minute: Math.round(minute) });

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
    (task) => `${timeAt(forecast, task.startMinute)} ${textOf(task.label)}, ${printDuration(task.minutes)}`,
  );
  return t('shared.the-pot-works-at-when', {
    temperature: print('temperature', forecast.pot.workingC),
    gradeWords: GRADE_WORDS[forecast.tenderness.grade],
    list: steps.join('. '),
  });
}

/**
 * The line: the whole evening on one clock, and the end of the pressure run as a handle. Dragging or arrow keys move
 * it; while it is dragged the drawing keeps its scale, so that the handle stays under the finger.
 */
export function Line({
  forecast,
  minutes,
  height,
  onDrag,
  onDrop,
  showCore,
  onMove,
  onStage,
  odds = null,
}: Props): ReactNode {
  const [box, width] = useWidth();
  const { print, system } = useUnits();
  const { clock, plan, pot, tenderness } = forecast;
  const longest = Math.max(forecast.pressureMinutes, tenderness.byMinute.at(-1)?.minutes ?? 0);
  const total = clock.totalMinutes;
  const { held, handlers } = usePressureDrag(axisWidth(width), { minutes, total, longest, onDrag, onDrop });
  const wide = held ?? total * 1.005;
  const g: LineGeometry | null =
    width > 0
      ? lineGeometry(forecast, {
          width,
          height,
          minutes: wide,
          target: TARGET_BAND[plan.target],
          degrees: LINE_DEGREES[system],
        })
      : null;
  /** While the handle is dragged they are not known, and stay away. */
  const spreads = odds === null || held !== null ? [] : pinSpreads(forecast, odds);
  return (
    <figure className={styles['line-figure']} ref={box} aria-label={t('shared.the-line')}>
      <figcaption className="visually-hidden">{lineInWords(forecast, print)}</figcaption>
      {g && (
        <svg
          viewBox={`0 0 ${g.width} ${g.height}`}
          height={height}
          role="group"
          aria-label={t('shared.the-evening-on-one-clock')}
        >
          <g aria-hidden>
            <Lanes g={g} />
            <PotCurve g={g} print={print} workingC={pot.workingC} />
            <MeatCurve g={g} target={plan.target} showCore={showCore} />
            <Pins g={g} spreads={spreads} />
            <ClockAxis g={g} startAt={clock.startAt} minutes={wide} />
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
            <StageHandle key={handle.stage} g={g} handle={handle} onDrop={(later) => onStage(handle.stage, later)} />
          ))}
          <PressureHandle g={g} forecast={forecast} longest={longest} handlers={handlers} />
        </svg>
      )}
    </figure>
  );
}
