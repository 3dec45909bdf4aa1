import { wholeMinutes, type Alternative } from '@hervir/core';
import type { ReactNode } from 'react';
import { useUnits } from '../shared/use-units';
import { useWidth } from '../shared/use-width';
import { releaseGeometry } from './release-geometry';
import styles from './release-ways.module.css';
import { WAYS } from './trade';
import { t } from '../language/t';

const HEIGHT = 190;

/** The three ways down on one curve of the pot, just as tender and just as sure. */
export function ReleaseWays({ ways }: { readonly ways: readonly Alternative[] }): ReactNode {
  const [box, width] = useWidth();
  const { print } = useUnits();
  const g = width > 0 ? releaseGeometry(ways, width, HEIGHT) : null;
  const words = ways
    .map((way) => {
      const { label } = WAYS[way.release?.method ?? 'natural'];
      return t('bench.min-under-pressure-open-min', {
        label,
        pressureMinutes: way.pressureMinutes,
        releaseMinutes: wholeMinutes(way.releaseMinutes),
      });
    })
    .join('; ');
  return (
    <section aria-label={t('bench.three-ways-down')}>
      <h3 className={styles['title']}>{t('bench.three-ways-down-just-as')}</h3>
      <div ref={box}>
        {g && (
          <svg className={styles['curve']} height={HEIGHT} role="img" aria-label={words}>
            {g.y.ticks(4).map((celsius) => (
              <g key={celsius}>
                <line className={styles['grid']} x1={0} x2={width} y1={g.y(celsius)} y2={g.y(celsius)} />
                <text x={2} y={g.y(celsius) - 3}>
                  {print('temperature', celsius)}
                </text>
              </g>
            ))}
            {g.ways.map(({ key, chosen, path, open }) => (
              <g key={key}>
                <path className={`${styles['way']} ${chosen ? '' : styles['other']}`} d={path} />
                <circle className={styles['open']} cx={open.x} cy={open.y} r={4.5} />
              </g>
            ))}
            <line className={styles['base']} x1={0} x2={width} y1={g.base} y2={g.base} />
            {g.x.ticks(6).map((minute) => (
              <text key={minute} className="figure" x={g.x(minute)} y={g.base + 15} textAnchor="middle">
                {minute}
              </text>
            ))}
          </svg>
        )}
      </div>
      <p className="field-note">{t('bench.minutes-from-the-lid-on')}</p>
    </section>
  );
}
