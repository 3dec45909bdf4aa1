import { CHARTED, type TimesCell } from '@hervir/core';
import { useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { useUnits } from '../shared/use-units';
import { useWidth } from '../shared/use-width';
import styles from './minutes-over-weight.module.css';
import { minutesAt, pictureGeometry, type Charted } from './picture-geometry';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

const HEIGHT = 300;
/** What an arrow and a page key add, g. */
const STEP_G = 50;
const LEAP_G = 250;
const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: STEP_G,
  ArrowUp: STEP_G,
  ArrowLeft: -STEP_G,
  ArrowDown: -STEP_G,
  PageUp: LEAP_G,
  PageDown: -LEAP_G,
};
const NAMES: Readonly<Record<Charted, Message>> = {
  slices: say('times.slices'),
  fork: say('times.fork'),
  pulls: say('times.pulls'),
};
const TONES: Readonly<Record<Charted, string>> = {
  slices: 'var(--brass)',
  fork: 'var(--herb)',
  pulls: 'var(--meat)',
};

/** One cut in one form: three curves over weight, and a weight that is dragged along them to read its minutes. */
export function MinutesOverWeight({ cells }: { readonly cells: readonly TimesCell[] }): ReactNode {
  const [box, width] = useWidth();
  const { print } = useUnits();
  const usual = cells[Math.floor(cells.length / 2)]?.grams ?? 0;
  const [grams, setGrams] = useState(usual);
  const g = width > 0 ? pictureGeometry(cells, { width, height: HEIGHT }) : null;
  const known = CHARTED.map((target) => ({ target, minutes: minutesAt(cells, target, grams) }));
  const read = known
    .map(
      ({ target, minutes }) =>
        `${textOf(NAMES[target])} ${minutes === null ? t('times.not-sure-enough') : t('times.min', { minutes })}`,
    )
    .join(', ');
  const [least, most] = g?.range ?? [0, 0];
  const to = (wanted: number): void => setGrams(Math.min(most, Math.max(least, Math.round(wanted / STEP_G) * STEP_G)));
  const under = (event: PointerEvent<SVGSVGElement>): void => {
    if (g) to(g.gramsAt(event.clientX - event.currentTarget.getBoundingClientRect().left));
  };
  return (
    <section className={styles['picture']} aria-label={t('times.minutes-over-weight')}>
      <dl className={styles['read']}>
        <div>
          <dt>{t('times.at')}</dt>
          <dd>{print('mass', grams)}</dd>
        </div>
        {known.map(({ target, minutes }) => (
          <div key={target} style={{ color: TONES[target] }}>
            <dt>{textOf(NAMES[target])}</dt>
            <dd>{minutes === null ? '–' : t('times.min', { minutes })}</dd>
          </div>
        ))}
      </dl>
      <div ref={box}>
        {width > 0 && !g && <p className="dim">{t('times.no-length-of-run-is')}</p>}
        {g && (
          <svg
            className={styles['drawing']}
            width={width}
            height={HEIGHT}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              under(event);
            }}
            onPointerMove={(event) => event.buttons > 0 && under(event)}
          >
            {g.minutes.map(({ minutes, y }) => (
              <g key={minutes}>
                <line x1={g.left} x2={g.right} y1={y} y2={y} stroke="var(--hair)" />
                <text x={g.left - 6} y={y + 4} textAnchor="end">
                  {minutes}
                </text>
              </g>
            ))}
            {g.weights.map(({ grams: at, x }) => (
              <text key={at} x={x} y={g.base + 20} textAnchor="middle">
                {print('mass', at)}
              </text>
            ))}
            {g.curves.map(({ target, path, end }) => (
              <g key={target} style={{ color: TONES[target] }}>
                <path d={path} fill="none" stroke="currentColor" strokeWidth={2.5} />
                <text x={end.x + 6} y={end.y + 4} className={styles['name']}>
                  {textOf(NAMES[target])}
                </text>
              </g>
            ))}
            <g
              role="slider"
              tabIndex={0}
              aria-label={t('times.weight')}
              aria-valuemin={least}
              aria-valuemax={most}
              aria-valuenow={grams}
              aria-valuetext={`${print('mass', grams)}: ${read}`}
              className={styles['hand']}
              onKeyDown={(event: KeyboardEvent) => {
                const step = KEYS[event.key];
                if (step === undefined) return;
                event.preventDefault();
                to(grams + step);
              }}
            >
              <line x1={g.x(grams)} x2={g.x(grams)} y1={g.top} y2={g.base} stroke="var(--ember)" strokeWidth={1.5} />
              {known.map(({ target, minutes }) =>
                minutes === null ? null : (
                  <circle key={target} cx={g.x(grams)} cy={g.y(minutes)} r={5} style={{ fill: TONES[target] }} />
                ),
              )}
              <rect x={g.x(grams) - 22} y={g.top} width={44} height={g.base - g.top} fill="transparent" />
            </g>
          </svg>
        )}
      </div>
      <p className="dim">{t('times.drag-the-weight-or-move')}</p>
    </section>
  );
}
