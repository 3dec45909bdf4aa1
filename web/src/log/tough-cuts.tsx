import type { LogCharts } from '@hervir/contract';
import type { ReactNode } from 'react';
import { Chart } from './chart';
import { MOST_ROWS, StackedRows, type StackedRow } from './stacked-rows';
import { cutName } from './words';
import { t } from '../language/t';
import { say } from '@hervir/language';

/** How often each cut came out short of what was wanted, as wanted, or past it. */
export function ToughCuts({ cuts }: { readonly cuts: LogCharts['cuts'] }): ReactNode {
  const rows = cuts.slice(0, MOST_ROWS);
  const worst = [...cuts].filter(({ short }) => short > 0).sort((a, b) => b.short - a.short)[0];
  const answer =
    worst === undefined
      ? cuts.length === 0
        ? t('log.not-known-yet-no-cook-was')
        : t('log.none-so-far')
      : t('log.of-came-out-short-of', {
          cutName: cutName(worst.cut),
          short: worst.short,
          cooks: worst.short + worst.asWanted + worst.past,
        });
  const most = Math.max(1, ...rows.map(({ short, asWanted, past }) => short + asWanted + past));
  return (
    <Chart question={t('log.which-cuts-come-out-tough')} answer={answer}>
      <StackedRows rows={rows.map(rowOf)} kinds={KINDS} most={most} label={answer} />
    </Chart>
  );
}

const KINDS = {
  short: { fill: 'var(--brass)', sign: '▲', word: say('log.short-of-it-2') },
  asWanted: { fill: 'var(--herb)', sign: '●', word: say('log.as-wanted-2') },
  past: { fill: 'var(--ember)', sign: '■', word: say('log.past-it-2') },
} as const;

/** How often a cut came out so, one after another; what never happened has no part. */
function rowOf({ cut, ...counts }: LogCharts['cuts'][number]): StackedRow<keyof typeof KINDS> {
  const kinds = (Object.keys(KINDS) as (keyof typeof KINDS)[]).filter((kind) => counts[kind] > 0);
  let at = 0;
  return {
    name: cutName(cut),
    parts: kinds.map((kind) => ({ kind, from: at, to: (at += counts[kind]), text: String(counts[kind]) })),
  };
}
