import { LIKELY_K, sectionNow, type Forecast, type Frame } from '@hervir/core';
import type { ReactNode } from 'react';
import { sectionGeometry } from '../shared/section/geometry';
import { PotDrawing, STUCK_PX } from '../shared/section/pot-drawing';
import { useUnits } from '../shared/use-units';
import { useWidth } from '../shared/use-width';
import { clsx } from 'clsx';
import styles from './rehearse.module.css';
import { t, textOf } from '../language/t';

const HEIGHT = 210;

/** How near the base is to where it burns, in colour and word. */
function heat(frame: Frame, cutoutC: number): { tone: string; word: string } {
  if (frame.lid === 'off' && frame.mode === 'saute') return { tone: 'var(--brass)', word: t('rehearse.searing') };
  const left = cutoutC - frame.baseC;
  if (left <= 0) return { tone: 'var(--ember)', word: t('rehearse.burns') };
  return left < 15
    ? { tone: 'var(--brass)', word: t('rehearse.close') }
    : { tone: 'var(--herb)', word: t('rehearse.safe') };
}

/** The pot of the rehearsal cut open, as it is now. */
export function LiveSection({ frame, forecast }: { readonly frame: Frame; readonly forecast: Forecast }): ReactNode {
  const [ref, width] = useWidth();
  const { print } = useUnits();
  const section = sectionNow(forecast, frame);
  const g = width > 0 ? sectionGeometry(section, { width, height: HEIGHT }) : null;
  const { tone, word } = heat(frame, forecast.burn.cutoutC - LIKELY_K);
  return (
    <figure className={clsx('vessel', styles['live-section'])} aria-label={t('rehearse.the-pot-now')}>
      <figcaption className="visually-hidden">{textOf(section.text)}</figcaption>
      <div ref={ref}>
        {g && (
          <svg width={width} height={HEIGHT} className="section-drawing" role="img" aria-label={textOf(section.text)}>
            <text x={10} y={20}>
              <tspan className="section-figure">{print('temperature', frame.liquidC)}</tspan>
              <tspan dx={8}>
                {frame.meat === 'foil'
                  ? t('rehearse.meat-under-foil')
                  : frame.meat === 'plate'
                    ? t('rehearse.meat-on-a-plate')
                    : ''}
              </tspan>
            </text>
            <PotDrawing
              g={g}
              tone={tone}
              lid={frame.lid === 'on'}
              stuckPx={STUCK_PX[section.sticking] * frame.stuck}
              words={{
                fill: t('rehearse.full-2'),
                liquid: print('volume', frame.freeMl),
                minimum: t('rehearse.minimum'),
              }}
            />
            <text x={g.left + 4} y={g.floor + 35} style={{ fill: tone, fontWeight: 700 }}>
              {t('rehearse.base', { temperature: print('temperature', frame.baseC), word })}
            </text>
          </svg>
        )}
      </div>
    </figure>
  );
}
