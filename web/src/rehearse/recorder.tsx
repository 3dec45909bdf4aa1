import { type Message, say, upperFirst } from '@hervir/language';
import { LIKELY_K, type Forecast, type Frame } from '@hervir/core';
import type { ReactNode } from 'react';
import { STRIP_DEGREES } from '../shared/degrees';
import { useUnits } from '../shared/use-units';
import { useWidth } from '../shared/use-width';
import { strip, wordRows, type SignalMark, type Strip, type Trace } from './recorder-geometry';
import { clsx } from 'clsx';
import styles from './rehearse.module.css';
import { t, textOf } from '../language/t';

const HEIGHT = 218;
/** From here on a longer label has room, px; and how wide a letter of it is. */
const WIDE = 560;
const LETTER = 6.9;
const COLOUR: Readonly<Record<Trace['key'], string>> = {
  liquid: 'var(--steam)',
  base: 'var(--ember)',
  core: 'var(--meat)',
  gauge: 'var(--rim)',
};
const NAME: Readonly<Record<Trace['key'], Message>> = {
  liquid: say('rehearse.liquid'),
  base: say('rehearse.base-2'),
  core: say('rehearse.middle'),
  gauge: say('rehearse.pressure-2'),
};
const DASH: Readonly<Record<Trace['key'], string | undefined>> = {
  liquid: undefined,
  base: undefined,
  core: '6 4',
  gauge: undefined,
};
const SIGN: Readonly<Record<string, Message>> = {
  pinUp: say('rehearse.pin'),
  counting: say('rehearse.counts'),
  ended: say('rehearse.ended'),
  pinDown: say('rehearse.pin-2'),
  burn: say('rehearse.burn'),
  scorch: say('rehearse.scorch'),
  lidLocked: say('rehearse.lid-on'),
  lidOpened: say('rehearse.lid-off'),
};

/** Labels at the right edge keep this far apart, px. */
const APART = 15;
/** Words of signals stand in so many rows above the gauge. */
const SIGN_ROWS = 3;

/** End labels, moved apart from top to bottom. */
function labels(traces: readonly Trace[]): { trace: Trace; y: number }[] {
  let last = -Infinity;
  return traces
    .filter((trace) => trace.end !== null)
    .sort((a, b) => (a.end?.[1] ?? 0) - (b.end?.[1] ?? 0))
    .map((trace) => {
      last = Math.max(trace.end?.[1] ?? 0, last + APART);
      return { trace, y: last };
    });
}

interface Sign extends SignalMark {
  readonly word: string;
  readonly at: number;
  readonly anchor: 'start' | 'end';
  /** Counted from the lowest; null where it would lie over others: its line stands without a word. */
  readonly row: number | null;
}

/** The signals of the cooker with their words, none over another. */
function signsOf({ marks, right }: Pick<Strip, 'marks' | 'right'>): Sign[] {
  const signs = marks.map(({ x, signal }) => {
    const word = textOf(SIGN[signal] ?? '');
    const long = word.length * LETTER;
    const before = x + 3 + long > right;
    const at = before ? x - 4 : x + 3;
    return { x, signal, word, at, anchor: before ? ('end' as const) : ('start' as const), long };
  });
  const spans = signs.map(({ at, anchor, long }) =>
    anchor === 'end' ? ([at - long, at] as const) : ([at, at + long] as const),
  );
  const rows = wordRows(spans, SIGN_ROWS);
  return signs.map((sign, i) => ({ ...sign, row: rows[i] ?? null }));
}

/** What a strip recorder would draw: liquid, base and middle of the meat against the cut-out, the pressure below. */
export function Recorder({
  frames,
  forecast,
}: {
  readonly frames: readonly Frame[];
  readonly forecast: Forecast;
}): ReactNode {
  const [ref, width] = useWidth();
  const { print, system } = useUnits();
  const now = frames.at(-1);
  const cutoutC = forecast.burn.cutoutC - LIKELY_K;
  const g =
    width > 0 && now
      ? strip(frames, {
          width,
          height: HEIGHT,
          cutoutC,
          highestKPa: forecast.plan.cooker.gaugeKPa,
          degrees: STRIP_DEGREES[system],
        })
      : null;
  // With the lid off nothing is cut: a searing base is hotter than that.
  const lidOnX = g?.marks.find(({ signal }) => signal === 'lidLocked')?.x;
  const scorches = forecast.burn.kind === 'scorch';
  // The bench speaks of the hottest spot, the recorder of the whole base: both figures stand here.
  const limit = t('rehearse.the-power-is-cut-at', { scorches, temperature: print('temperature', cutoutC) });
  const spot = t('rehearse.its-hottest-spot-at', { temperature: print('temperature', forecast.burn.cutoutC) });
  const label = `${lidOnX === undefined ? t('rehearse.with-the-lid-on') : ''}${limit}${width > WIDE ? `, ${spot}` : ''}`;
  const words = now
    ? t('rehearse.liquid-base-middle-of-the', {
        liquid: print('temperature', now.liquidC),
        base: print('temperature', now.baseC),
        coreC: now.coreC === null,
        core: print('temperature', now.coreC ?? 0),
        gaugeKPa: Math.round(now.gaugeKPa),
        limit: upperFirst(limit),
        spot,
      })
    : '';
  return (
    <figure className={clsx('vessel', styles['recorder'])} aria-label={t('rehearse.recorder')}>
      <figcaption className="visually-hidden">{words}</figcaption>
      <div ref={ref}>
        {g && (
          <svg width={width} height={HEIGHT} role="img" aria-label={words}>
            {g.degrees.map(({ y, celsius }) => (
              <g key={celsius}>
                <line x1={g.left} x2={g.right} y1={y} y2={y} stroke="var(--hair)" />
                <text x={g.left - 5} y={y + 4} textAnchor="end">
                  {print('temperature', celsius).replace(/ .*/, '')}
                </text>
              </g>
            ))}
            {g.minutes.map(({ x, minute }) => (
              <text key={minute} x={x} y={HEIGHT - 4} textAnchor="middle" className="figure">
                {t('rehearse.min-2', { minute })}
              </text>
            ))}
            <line x1={g.left} x2={g.right} y1={g.floor} y2={g.floor} stroke="var(--rim)" />
            {lidOnX !== undefined && (
              <line
                x1={lidOnX}
                x2={g.right}
                y1={g.cutoutY}
                y2={g.cutoutY}
                stroke="var(--ember)"
                strokeWidth={1.5}
                strokeDasharray="3 4"
              />
            )}
            {signsOf(g).map(({ x, signal, word, at, anchor, row }, i) => (
              <g key={`${signal}-${i}`}>
                <line x1={x} x2={x} y1={12} y2={g.floor} stroke="var(--dim)" strokeDasharray="1 4" />
                {row !== null && (
                  <text
                    x={at}
                    y={g.gaugeTop - 2 - row * 14}
                    textAnchor={anchor}
                    style={signal === 'burn' || signal === 'scorch' ? { fill: 'var(--ember)', fontWeight: 700 } : {}}
                  >
                    {word}
                  </text>
                )}
              </g>
            ))}
            {g.traces.map(({ key, path }) => (
              <path
                key={key}
                d={path}
                fill="none"
                stroke={COLOUR[key]}
                strokeWidth={key === 'base' ? 2.75 : 2}
                strokeDasharray={DASH[key]}
                strokeLinejoin="round"
              />
            ))}
            <text
              className={styles['recorder-limit']}
              x={lidOnX === undefined ? 40 : Math.max(40, Math.min(lidOnX + 6, width - 60 - label.length * LETTER))}
              y={g.cutoutY - 5}
            >
              {label}
            </text>
            {labels(g.traces).map(({ trace, y }) => (
              <text key={trace.key} x={width - 58} y={y + 4} style={{ fill: COLOUR[trace.key], fontWeight: 700 }}>
                {textOf(NAME[trace.key])}
              </text>
            ))}
          </svg>
        )}
      </div>
    </figure>
  );
}
