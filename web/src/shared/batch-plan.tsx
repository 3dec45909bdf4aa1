import { batchLayouts, type Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { inWords } from './words';
import { t } from '../language/t';

/** Batches drawn; the rest are said. */
const SHOWN = 4;
const SIZE = 102;

/** The base seen from above, a circle a batch, its pieces in their places. */
export function BatchPlan({ forecast }: { readonly forecast: Forecast }): ReactNode {
  const { sear, piece } = forecast;
  const { stirred } = sear;
  if (sear.batches === 0) return null;
  const layouts = batchLayouts(sear);
  const shown = layouts.slice(0, SHOWN);
  const scale = (SIZE - 6) / sear.baseDiameterCm;
  return (
    <div className="batches">
      {shown.map(({ placed, fits }, i) => (
        <figure key={i}>
          <svg
            width={SIZE}
            height={SIZE}
            viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`}
            role="img"
            aria-label={
              stirred
                ? t('shared.all-pieces-at-once-stirred', { count: piece.count })
                : t('shared.batch-with-air-between-them', {
                    i: i + 1,
                    count: placed.length,
                    countWords: inWords(placed.length),
                    fits,
                  })
            }
          >
            <circle r={SIZE / 2 - 2} fill="none" stroke="var(--rim)" strokeWidth={2.5} />
            <clipPath id={`base-${i}`}>
              <circle r={SIZE / 2 - 3} />
            </clipPath>
            <g clipPath={`url(#base-${i})`}>
              {placed.map(({ x, y, width, height }, k) => (
                <rect
                  key={k}
                  x={(x - width / 2) * scale}
                  y={(y - height / 2) * scale}
                  width={width * scale}
                  height={height * scale}
                  rx={2.5}
                  fill="var(--meat)"
                  fillOpacity={fits || stirred ? 0.75 : 0.45}
                  stroke={fits || stirred ? 'var(--rim)' : 'var(--ember)'}
                  strokeWidth={1}
                />
              ))}
            </g>
          </svg>
          <figcaption>
            {stirred
              ? t('shared.stirred')
              : t('shared.text', { count: placed.length, countWords: inWords(placed.length) })}
          </figcaption>
        </figure>
      ))}
      {layouts.length > SHOWN && <span className="dim">{t('shared.and-more', { count: layouts.length - SHOWN })}</span>}
    </div>
  );
}
