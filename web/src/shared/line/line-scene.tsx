import type { Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { WANTED_WORDS } from '../words';
import { LineBlock } from './block';
import { LANES } from './frame';
import { clockTicks, type LineGeometry } from './geometry';
import { LANE_NAMES } from './lane-blocks';
import styles from './line.module.css';
import { t, textOf } from '../../language/t';

type Print = (kind: 'temperature', value: number) => string;

/** The lanes with their names, and what stands still in them. */
export function Lanes({ g }: { readonly g: LineGeometry }): ReactNode {
  return (
    <>
      {LANES.map((lane, i) => (
        <g key={lane}>
          <text x={0} y={i * g.laneHeight + 18}>
            {textOf(LANE_NAMES[lane])}
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
    </>
  );
}

/** The pot's temperature, hot stretches apart, over its own marks. */
export function PotCurve({
  g,
  print,
  workingC,
}: {
  readonly g: LineGeometry;
  readonly print: Print;
  readonly workingC: number;
}): ReactNode {
  return (
    <>
      {g.temperatures.map(({ celsius, y }) => (
        <g key={celsius}>
          <line x1={g.left} x2={g.width} y1={y} y2={y} stroke="var(--hair)" strokeDasharray="2 5" />
          <text x={g.left - 8} y={y + 4} textAnchor="end">
            {print('temperature', celsius)}
          </text>
        </g>
      ))}
      {g.stretches.map(({ key, hot, fill, stroke }) => (
        <g key={key}>
          <path d={fill} fill={hot ? 'var(--ember)' : 'var(--steam)'} fillOpacity={hot ? 0.15 : 0.14} />
          <path d={stroke} fill="none" stroke={hot ? 'var(--ember)' : 'var(--steam)'} strokeWidth={2.25} />
        </g>
      ))}
      <text x={g.pressureLabel.x} y={g.pressureLabel.y} style={{ fill: 'var(--steam)', fontWeight: 600 }}>
        {t('shared.pot-2', { temperature: print('temperature', workingC) })}
      </text>
    </>
  );
}

/** How the meat softens towards what is wanted, with its spread; its middle where that is asked for. */
export function MeatCurve({
  g,
  target,
  showCore,
}: {
  readonly g: LineGeometry;
  readonly target: Forecast['plan']['target'];
  readonly showCore: boolean;
}): ReactNode {
  return (
    <>
      <rect
        x={g.target.from}
        y={g.target.top}
        width={Math.max(0, g.right - g.target.from)}
        height={g.target.bottom - g.target.top}
        fill="var(--herb)"
        fillOpacity={0.16}
      />
      <text x={g.target.from + 6} y={g.target.top - 4} style={{ fill: 'var(--herb)', fontWeight: 600 }}>
        {textOf(WANTED_WORDS[target])}
      </text>
      <path d={g.tendernessBand} fill="var(--meat)" fillOpacity={0.2} />
      <path d={g.tenderness} fill="none" stroke="var(--meat)" strokeWidth={2.25} />
      {showCore && <path d={g.core} fill="none" stroke="var(--rim)" strokeWidth={1.5} strokeDasharray="5 4" />}
    </>
  );
}

interface PinsProps {
  readonly g: LineGeometry;
  /** How far each is off in eight of ten evenings, minutes; nothing while that is not known. */
  readonly spreads: readonly { readonly p10: number; readonly p90: number }[];
}

/** When the pin rises and falls. */
export function Pins({ g, spreads }: PinsProps): ReactNode {
  return g.pins.map((pin, i) => {
    const before = pin.up || g.pins.length > 2;
    return (
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
          x={pin.x + (before ? -8 : 8)}
          y={g.top - 12}
          textAnchor={before ? 'end' : 'start'}
          style={{ fill: 'var(--rim)' }}
        >
          {i > 1 ? '' : pin.up ? t('shared.pin-up') : t('shared.pin-down')}
        </text>
      </g>
    );
  });
}

interface AxisProps {
  readonly g: LineGeometry;
  readonly startAt: string | null;
  /** Minutes that the drawing is wide. */
  readonly minutes: number;
}

/** The clock under it all. */
export function ClockAxis({ g, startAt, minutes }: AxisProps): ReactNode {
  return (
    <>
      <line x1={g.left} x2={g.width} y1={g.base} y2={g.base} stroke="var(--rim)" strokeWidth={1.5} />
      {clockTicks(startAt, minutes, g.width / 64).map((tick) => (
        <text key={tick.minute} className="figure" x={g.x(tick.minute)} y={g.base + 18} textAnchor="middle">
          {tick.label}
        </text>
      ))}
    </>
  );
}
