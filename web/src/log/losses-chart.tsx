import type { LogCharts } from '@hervir/contract';
import type { ReactNode } from 'react';
import { Chart } from './chart';
import { MOST_ROWS, StackedRows, type StackedRow } from './stacked-rows';
import { cutName } from './words';
import { t } from '../language/t';
import { say } from '@hervir/language';

type Loss = LogCharts['losses'][number];

/** A part of what was bought. */
interface LossPart {
  readonly what: 'trimmed' | 'lost' | 'plate';
  /** Of what was bought, where the part begins and ends. */
  readonly from: number;
  readonly to: number;
}

/**
 * What became of what was bought of a cut: trimmed off, lost in the pot, and on the plate.
 *
 * @returns parts that follow on from 0 to 1; nothing where the cooked meat was never weighed
 * @example partsOf({ trim: 0.1, cook: 0.5 }).at(-1) // { what: 'plate', from: 0.55, to: 1 }
 */
export function partsOf({ trim, cook }: Pick<Loss, 'trim' | 'cook'>): LossPart[] {
  if (cook === null) return [];
  const off = trim ?? 0;
  const lost = off + (1 - off) * cook;
  const parts: LossPart[] = [
    { what: 'trimmed', from: 0, to: off },
    { what: 'lost', from: off, to: lost },
    { what: 'plate', from: lost, to: 1 },
  ];
  return parts.filter(({ from, to }) => to > from);
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const KINDS = {
  trimmed: { fill: 'var(--brass)', sign: '▲', word: say('log.trimmed-off') },
  lost: { fill: 'var(--steam)', sign: '■', word: say('log.lost-in-the-pot') },
  plate: { fill: 'var(--herb)', sign: '●', word: say('log.on-the-plate') },
} as const;
/** Narrower, a part has no room for its figure, px. */
const WORTH_SAYING = 62;

/** What comes onto the plate of what was bought, cut by cut. */
export function Losses({ losses }: { readonly losses: LogCharts['losses'] }): ReactNode {
  const rows = losses.filter(({ cook }) => cook !== null).slice(0, MOST_ROWS);
  const cooks = rows.reduce((sum, row) => sum + row.cooks, 0);
  const mean = rows.reduce((sum, row) => sum + (row.cook ?? 0) * row.cooks, 0) / Math.max(1, cooks);
  const answer =
    rows.length === 0
      ? t('log.not-known-yet-weigh-the')
      : t('log.cooking-takes-on-the-whole', { percent: percent(mean) });
  const inWords = rows.map(({ cut, trim, cook }) => {
    const trimmed = trim === null ? '' : t('log.trimmed-off-2', { percent: percent(trim) });
    return t('log.lost-in-the-pot-2', { cutName: cutName(cut), trimmed, percent: percent(cook ?? 0) });
  });
  return (
    <Chart question={t('log.how-much-do-i-lose')} answer={answer}>
      <StackedRows
        rows={rows.map(rowOf)}
        kinds={KINDS}
        most={1}
        leastText={WORTH_SAYING}
        label={`${inWords.join('; ')}.`}
      />
    </Chart>
  );
}

/** Shares of what was bought; of the pot, what was lost of what went into it. */
const rowOf = (loss: Loss): StackedRow<LossPart['what']> => ({
  name: cutName(loss.cut),
  parts: partsOf(loss).map(({ what, from, to }) => ({
    kind: what,
    from,
    to,
    text: percent(what === 'lost' ? (loss.cook ?? 0) : to - from),
  })),
});
