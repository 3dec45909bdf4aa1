import { printerFor, sectionsOf, type Forecast, type SectionStage } from '@hervir/core';
import { Segmented } from 'antd';
import { useMemo, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useWidth } from '../use-width';
import { useUnits } from '../use-units';
import { LEVEL_TONES, MARKS } from '../verdict';
import { NARROW, sectionGeometry } from './geometry';

const TONE = { safe: 'var(--herb)', watch: 'var(--brass)', likely: 'var(--ember)' } as const;
const WORD = { safe: 'safe', watch: 'watch it', likely: 'burns' } as const;
const FOND_PX = { clean: 0, film: 2, fond: 5, 'sugar-crust': 7 } as const;

interface Props {
  readonly forecast: Forecast;
  readonly height: number;
  /** Pressing a layer opens the station it is decided at. */
  readonly onStation: (key: 'meat' | 'sear' | 'pot' | 'vegetables') => void;
  /** Stands to the right of the pot. */
  readonly beside?: ReactNode;
}

/** The pot cut open, to scale, stage by stage. */
export function SectionDrawing({ forecast, height, onStation, beside }: Props): ReactNode {
  const [box, width] = useWidth();
  const { system, print } = useUnits();
  const sections = useMemo(() => sectionsOf(forecast, printerFor(system)), [forecast, system]);
  const [wanted, setWanted] = useState<SectionStage>('lid-on');
  const section = sections.find(({ stage }) => stage === wanted) ?? sections.find(({ stage }) => stage === 'lid-on');
  if (!section) return null;
  const { stage } = section;
  const g = width > 0 ? sectionGeometry(section, { width, height }) : null;
  const { burn, fill, saute } = forecast;
  const level = stage === 'sear' ? saute.level : stage === 'lid-on' ? burn.level : 'safe';
  const limit = stage === 'sear' ? saute.limitC : burn.cutoutC;
  const words: Readonly<Record<'fill' | 'liquid' | 'minimum', string>> = {
    fill: fill.limit === 0.5 ? '½ full' : '⅔ full',
    liquid: print('volume', section.freeMl),
    minimum: 'minimum',
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
        aria-label="Moment of the section"
        value={stage}
        options={sections.map((one) => ({ value: one.stage, label: one.title }))}
        onChange={setWanted}
      />
      <div className="section-and-stages">
        <div ref={box} className="section-box">
          <p className="visually-hidden">{section.text}</p>
          {g && (
            <svg width={width} height={height} className="section-drawing" role="group" aria-label="The section">
              <text x={2} y={14}>
                <tspan className="section-figure">{printerFor(system).litres(fill.litres)}</tspan>
                <tspan dx={8} style={fill.over ? { fill: 'var(--ember)', fontWeight: 700 } : {}}>
                  {fill.over ? '■ ' : ''}
                  {Math.round(fill.share * 100)} % full{fill.over ? ', over the line' : ''}
                </tspan>
              </text>
              {g.liquidTop < g.floor - 0.5 && (
                <g {...pressable('pot', `Liquid, ${words.liquid}: open Pot and liquid`)}>
                  <rect
                    x={g.left}
                    y={g.liquidTop}
                    width={g.right - g.left}
                    height={g.floor - g.liquidTop}
                    fill="var(--brass)"
                    opacity={0.22}
                  />
                </g>
              )}
              {g.rackY !== null && (
                <g {...pressable('pot', 'Rack: open Pot and liquid')}>
                  <line
                    x1={g.left + 4}
                    x2={g.right - 4}
                    y1={g.rackY}
                    y2={g.rackY}
                    stroke="var(--rim)"
                    strokeWidth={2.5}
                  />
                  {[0.15, 0.5, 0.85].map((at) => {
                    const x = g.left + at * (g.right - g.left);
                    return (
                      <line key={at} x1={x} x2={x} y1={g.rackY ?? 0} y2={g.floor} stroke="var(--rim)" strokeWidth={2} />
                    );
                  })}
                </g>
              )}
              {g.pieces.length > 0 && (
                <g {...pressable('meat', 'Meat: open its station')}>
                  {g.pieces.map((piece, i) => (
                    <rect
                      key={i}
                      x={piece.x}
                      y={piece.y}
                      width={piece.width}
                      height={piece.height}
                      rx={Math.min(10, piece.height / 3)}
                      transform={`rotate(${piece.turn} ${piece.x + piece.width / 2} ${piece.y + piece.height / 2})`}
                      fill="var(--meat)"
                      fillOpacity={0.8}
                      stroke="var(--rim)"
                      strokeWidth={1.5}
                    />
                  ))}
                </g>
              )}
              {g.top && (
                <g {...pressable('vegetables', `On top, ${top}: open Vegetables and grains`)}>
                  <rect
                    x={g.left + 6}
                    y={g.top.y}
                    width={g.right - g.left - 12}
                    height={g.top.height}
                    rx={4}
                    fill="var(--herb)"
                    fillOpacity={0.55}
                    stroke="var(--herb)"
                  />
                </g>
              )}
              {FOND_PX[section.sticking] > 0 && (
                <rect
                  x={g.left + 6}
                  y={g.floor - FOND_PX[section.sticking] - 1}
                  width={g.right - g.left - 12}
                  height={FOND_PX[section.sticking]}
                  rx={2}
                  fill="var(--brass)"
                />
              )}
              <path
                d={`M${g.left - 10},${g.rim} H${g.left} V${g.floor - 8} q0,8 8,8 H${g.right - 8} q8,0 8,-8 V${g.rim} H${g.right + 10}`}
                fill="none"
                stroke="var(--rim)"
                strokeWidth={4}
                strokeLinecap="round"
                strokeLinejoin="round"
                pointerEvents="none"
              />
              {stage === 'lid-on' && (
                <path
                  d={`M${g.left - 10},${g.rim - 5} H${g.right + 10} M${(g.left + g.right) / 2 - 12},${g.rim - 11} h24`}
                  stroke="var(--rim)"
                  strokeWidth={5}
                  strokeLinecap="round"
                  pointerEvents="none"
                />
              )}
              {g.marks.map(({ key, y, labelY }) => {
                const colour = key === 'fill' ? 'var(--ember)' : key === 'minimum' ? 'var(--steam)' : 'var(--brass)';
                return (
                  <g key={key} pointerEvents="none">
                    <line
                      x1={g.left - (key === 'liquid' ? 0 : 6)}
                      x2={g.right + (key === 'liquid' ? 0 : 6)}
                      y1={y}
                      y2={y}
                      stroke={colour}
                      strokeWidth={1.5}
                      strokeDasharray={key === 'liquid' ? undefined : '5 4'}
                    />
                    <text x={g.right + 12} y={labelY + 4} fill={colour} style={{ fill: colour, fontWeight: 600 }}>
                      {words[key]}
                    </text>
                  </g>
                );
              })}
              <g
                {...pressable(
                  stage === 'sear' ? 'sear' : 'pot',
                  `Base at ${print('temperature', section.baseC)}, ${WORD[level]}: open ${stage === 'sear' ? 'Sear' : 'Pot and liquid'}`,
                )}
              >
                <rect
                  x={g.left + 4}
                  y={g.floor + 8}
                  width={g.right - g.left - 8}
                  height={9}
                  rx={4}
                  fill={TONE[level]}
                />
              </g>
              <g aria-hidden>
                <text x={g.left + 4} y={g.floor + 35} style={{ fill: TONE[level], fontWeight: 700 }}>
                  {MARKS[LEVEL_TONES[level]]} {print('temperature', section.baseC)}
                </text>
                <text
                  x={width < NARROW ? g.left + 4 : width - 2}
                  y={g.floor + (width < NARROW ? 51 : 35)}
                  textAnchor={width < NARROW ? 'start' : 'end'}
                >
                  {stage === 'opened' || stage === 'deglaze'
                    ? 'boiling'
                    : stage === 'sear'
                      ? `to ${print('temperature', limit)}`
                      : `${burn.kind === 'scorch' ? 'scorches at' : 'cuts out at'} ${print('temperature', limit)}`}
                </text>
              </g>
            </svg>
          )}
        </div>
        {beside}
      </div>
    </div>
  );
}
