import type { LogCharts } from '@hervir/contract';
import { inTen, shareInterval, TENTH } from '@hervir/core';
import { scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { useWidth } from '../shared/use-width';
import { Chart } from './chart';
import styles from './log.module.css';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

type Promises = LogCharts['promises'];
type Kind = Promises[number]['kind'];

const HEIGHT = 230;
const LEFT = 44;
const BOTTOM = 34;
/** Fewer say nothing yet. */
const ENOUGH = 3;

const KINDS: readonly { readonly kind: Kind; readonly word: Message; readonly sign: string; readonly tone: string }[] =
  [
    { kind: 'tender', word: say('log.promised-tender'), sign: '●', tone: 'var(--meat)' },
    { kind: 'in-time', word: say('log.promised-in-time'), sign: '▲', tone: 'var(--steam)' },
  ];

/** What was promised of one kind, in words: how sure on the whole, and how many came so. */
function told(promises: Promises, kind: Kind, word: Message): string | null {
  const own = promises.filter((one) => one.kind === kind);
  const cooks = own.reduce((sum, one) => sum + one.cooks, 0);
  if (cooks < ENOUGH) return null;
  const kept = own.reduce((sum, one) => sum + one.kept, 0);
  const promised = own.reduce((sum, one) => sum + one.promised * one.cooks, 0) / cooks;
  const [from, to] = shareInterval(kept, cooks, TENTH);
  const fits = promised >= from && promised <= to;
  return t('log.of-on-the-whole-as', {
    cooks,
    word,
    odds: inTen(promised),
    kept,
    fits,
    isKept: kept / cooks < promised,
  });
}

/** Of the cooks that were promised so much, how many came so: on the line the odds are true, above it they were too careful. */
export function Reliability({ promises }: { readonly promises: Promises }): ReactNode {
  const [ref, width] = useWidth();
  const said = KINDS.flatMap(({ kind, word }) => told(promises, kind, word) ?? []);
  const answer = said.length === 0 ? t('log.not-known-yet-three-cooks') : said.join(' ');
  const x = scaleLinear([0, 1], [LEFT, Math.max(LEFT + 1, width - 12)]);
  const y = scaleLinear([0, 1], [HEIGHT - BOTTOM, 10]);
  return (
    <Chart question={t('log.can-i-trust-the-odds')} answer={answer}>
      <div ref={ref}>
        {width > 0 && said.length > 0 && (
          <svg width={width} height={HEIGHT} role="img" aria-label={answer}>
            {[0, 0.5, 1].map((share) => (
              <g key={share}>
                <line x1={x(0)} x2={x(1)} y1={y(share)} y2={y(share)} stroke="var(--hair)" />
                <text x={LEFT - 6} y={y(share) + 4} textAnchor="end">
                  {share === 0 ? t('log.none') : share === 1 ? t('log.all') : t('log.half')}
                </text>
                <text
                  x={x(share)}
                  y={HEIGHT - BOTTOM + 16}
                  textAnchor={share === 1 ? 'end' : share === 0 ? 'start' : 'middle'}
                >
                  {share === 0 ? t('log.promised-never') : share === 1 ? t('log.always') : '5 in 10'}
                </text>
              </g>
            ))}
            <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} stroke="var(--rim)" strokeDasharray="5 4" />
            {promises.map(({ kind, promised, cooks, kept }) => {
              const { sign = '●', tone = 'var(--dim)' } = KINDS.find((one) => one.kind === kind) ?? {};
              const [from, to] = shareInterval(kept, cooks, TENTH);
              const at = x(promised) + (kind === 'tender' ? -4 : 4);
              return (
                <g key={`${kind} ${promised}`}>
                  <line x1={at} x2={at} y1={y(from)} y2={y(to)} stroke={textOf(tone)} strokeWidth={2} />
                  <text
                    x={at}
                    y={y(kept / cooks) + 5}
                    textAnchor="middle"
                    style={{ fill: textOf(tone), fontSize: 10 + Math.min(8, Math.sqrt(cooks)) }}
                  >
                    {textOf(sign)}
                    <title>{t('log.of-promised', { kept, cooks, odds: inTen(promised) })}</title>
                  </text>
                </g>
              );
            })}
          </svg>
        )}
      </div>
      <p className={styles['log-legend']}>
        {KINDS.map(({ kind, word, sign, tone }) => (
          <span key={kind} style={{ color: textOf(tone) }}>
            {textOf(sign)} {textOf(word)}
          </span>
        ))}
      </p>
      <p className="dim">{t('log.on-the-dashed-line-the')}</p>
    </Chart>
  );
}
