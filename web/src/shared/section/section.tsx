import { quantity, say } from '@hervir/language';
import { sectionsOf, type Forecast, type SectionStage } from '@hervir/core';
import { Segmented } from 'antd';
import { useMemo, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useWidth } from '../use-width';
import { useUnits } from '../use-units';
import { LEVEL_TONES, MARKS } from '../verdict';
import { NARROW, sectionGeometry } from './geometry';
import { PotDrawing, STUCK_PX } from './pot-drawing';
import { t, textOf } from '../../language/t';

const TONE = { safe: 'var(--herb)', watch: 'var(--brass)', likely: 'var(--ember)' } as const;
const WORD = { safe: say('shared.safe'), watch: say('shared.watch-it'), likely: say('shared.burns') } as const;

interface Props {
  readonly forecast: Forecast;
  readonly height: number;
  /** Pressing a layer opens the station it is decided at. */
  readonly onStation: (key: 'meat' | 'sear' | 'pot' | 'vegetables') => void;
}

/** The pot cut open, to scale, stage by stage. */
export function SectionDrawing({ forecast, height, onStation }: Props): ReactNode {
  const [box, width] = useWidth();
  const { print } = useUnits();
  const sections = useMemo(() => sectionsOf(forecast), [forecast]);
  const [wanted, setWanted] = useState<SectionStage>('lid-on');
  const section = sections.find(({ stage }) => stage === wanted) ?? sections.find(({ stage }) => stage === 'lid-on');
  if (!section) return null;
  const { stage, moment } = section;
  const lid = moment.kind === 'lid' ? forecast.lids.find(({ run }) => run === moment.run) : undefined;
  const g = width > 0 ? sectionGeometry(section, { width, height }) : null;
  const { burn, saute } = forecast;
  // Each lid speaks for itself; with none on, the first lid's fill is what is asked.
  const { fill } = lid ?? forecast;
  const over = fill.share > fill.limit;
  const seared = moment.kind === 'sear';
  const level = seared ? saute.level : (lid?.base.level ?? 'safe');
  const limit = seared ? saute.limitC : burn.cutoutC;
  const words: Readonly<Record<'fill' | 'liquid' | 'minimum', string>> = {
    fill: t(fill.limit === 0.5 ? 'shared.half-full' : 'shared.two-thirds-full'),
    liquid: print('volume', section.freeMl),
    minimum: t('shared.minimum'),
  };
  const pressable = (key: Parameters<Props['onStation']>[0], label: string): Record<string, unknown> => ({
    role: 'button',
    tabIndex: 0,
    'aria-label': label,
    className: 'section-layer',
    onClick: () => onStation(key),
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key !== 'Enter' && event.key !== ' ') return;
      event.preventDefault();
      onStation(key);
    },
  });
  const top = section.topWhat;

  return (
    <div>
      <Segmented<SectionStage>
        className="choice section-stages"
        aria-label={t('shared.moment-of-the-section')}
        value={stage}
        options={sections.map((one) => ({ value: one.stage, label: textOf(one.title) }))}
        onChange={setWanted}
      />
      <div ref={box} className="section-box">
        <p className="visually-hidden">{textOf(section.text)}</p>
        {g && (
          <svg
            width={width}
            height={height}
            className="section-drawing"
            role="group"
            aria-label={t('shared.the-section')}
          >
            <text x={2} y={14}>
              <tspan className="section-figure">{textOf(quantity('litres', fill.litres))}</tspan>
              <tspan dx={8} style={over ? { fill: 'var(--ember)', fontWeight: 700 } : {}}>
                {t('shared.full-over-the-line', { value: over ? '■ ' : '', share: Math.round(fill.share * 100), over })}
              </tspan>
            </text>
            <PotDrawing
              g={g}
              tone={TONE[level]}
              lid={lid !== undefined}
              stuckPx={STUCK_PX[section.sticking]}
              words={words}
              layers={{
                liquid: pressable('pot', t('shared.liquid-open-pot', { liquid: words.liquid })),
                rack: pressable('pot', t('shared.rack-open-pot')),
                meat: pressable('meat', t('shared.meat-open-its-station')),
                top: pressable('vegetables', t('shared.on-top-open-vegetables', { top })),
                base: pressable(
                  seared ? 'sear' : 'pot',
                  t('shared.base-at-open', {
                    temperature: print('temperature', section.baseC),
                    word: WORD[level],
                    seared,
                  }),
                ),
              }}
            />
            <g aria-hidden>
              <text x={g.left + 4} y={g.floor + 35} style={{ fill: TONE[level], fontWeight: 700 }}>
                {MARKS[LEVEL_TONES[level]]} {print('temperature', section.baseC)}
              </text>
              <text
                x={width < NARROW ? g.left + 4 : width - 2}
                y={g.floor + (width < NARROW ? 51 : 35)}
                textAnchor={width < NARROW ? 'start' : 'end'}
              >
                {moment.kind === 'opened' || moment.kind === 'deglaze'
                  ? t('shared.boiling')
                  : seared
                    ? t('shared.to-2', { temperature: print('temperature', limit) })
                    : `${burn.kind === 'scorch' ? t('shared.scorches-at') : t('shared.cuts-out-at')} ${print('temperature', limit)}`}
              </text>
            </g>
          </svg>
        )}
      </div>
    </div>
  );
}
