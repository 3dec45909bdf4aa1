import { type Message, printDuration, say } from '@hervir/language';
import {
  inTen,
  shiftIso,
  spareOf,
  withSpare,
  type Cause,
  type DinnerOdds,
  type Forecast,
  type Plan,
} from '@hervir/core';
import { area, curveMonotoneX, scaleLinear } from 'd3';
import { Radio } from 'antd';
import type { ReactNode } from 'react';
import { useWidth } from '../shared/use-width';
import { clockTime } from '../shared/words';
import { useBeside } from '../workers/use-beside';
import type { Edit } from './station';
import styles from './dinner-odds.module.css';
import { rich, t, textOf } from '../language/t';

const CAUSE_WORDS: Readonly<Record<Cause, Message>> = {
  animal: say('bench.the-animal-tougher-than-most'),
  heater: say('bench.the-heater'),
  losses: say('bench.how-fast-the-pot-cools'),
  steam: say('bench.steam-before-the-pin'),
  board: say('bench.the-board'),
  sear: say('bench.the-sear'),
  hands: say('bench.hands-at-the-lid-the'),
};

/** Below this a cause is not spoken of. */
const WORTH_SAYING = 0.08;
/** How sure a cook may choose to be. */
const CHOICES: readonly number[] = [0.5, 0.7, 0.8, 0.9, 0.95];

/** How sure dinner is by its time, what makes it early or late, and when to begin to be surer. */
export function DinnerOddsPanel({
  plan,
  forecast,
  edit,
}: {
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly edit: Edit;
}): ReactNode {
  const odds = useBeside('dinner', plan);
  const { eatAt, startAt, tasks } = forecast.clock;
  if (odds === null || eatAt === null || startAt === null) return null;
  const spare = spareOf(plan, tasks);
  const chosen = CHOICES.find((chance) => odds.beginnings.some((one) => one.chance === chance && one.earlier === 0));
  return (
    <section aria-label={t('bench.how-sure-dinner-is')} className="dinner-odds">
      <h3>{t('bench.how-sure-dinner-is')}</h3>
      <p>
        {rich('bench.begun-in-the-fridge-dinner', {
          time: clockTime(startAt),
          cookAhead: Boolean(plan.cookAhead),
          time2: clockTime(eatAt),
          odds: inTen(odds.inTime),
          strong: (words) => <strong>{words}</strong>,
          time3: clockTime(shiftIso(eatAt, odds.p10)),
          time4: clockTime(shiftIso(eatAt, odds.p90)),
        })}
      </p>
      <Spread odds={odds} eatAt={eatAt} />
      <Radio.Group
        aria-label={t('bench.how-sure-dinner-is-to')}
        className={styles['dinner-choices']}
        value={chosen ?? null}
        onChange={({ target }: { readonly target: { readonly value?: unknown } }) => {
          const wanted = odds.beginnings.find(({ chance }) => chance === target.value);
          if (wanted) edit((before) => ({ ...before, ...withSpare(before, tasks, spare + wanted.earlier) }));
        }}
      >
        {odds.beginnings
          .filter(({ chance }) => CHOICES.includes(chance))
          .map(({ chance, earlier }) => (
            <Radio.Button key={chance} value={chance}>
              {textOf(inTen(chance))}: {clockTime(shiftIso(startAt, -earlier))}
            </Radio.Button>
          ))}
      </Radio.Group>
      <p className="dim">
        {spare > 0
          ? t('bench.of-spare-stand-after-the', { duration: printDuration(spare) })
          : t('bench.begun-earlier-what-is-ready')}{' '}
        {upTo(odds)}
      </p>
    </section>
  );
}

/** Whose the spread is, and how often the fork finds the meat tough. */
function upTo({ shares, stillTough }: DinnerOdds): string {
  const named = shares
    .filter(({ share }) => share >= WORTH_SAYING)
    .sort((a, b) => b.share - a.share)
    .map(({ cause, share }) => `${textOf(CAUSE_WORDS[cause])} (${Math.round(share * 100)} %)`);
  const tough =
    stillTough.minutes > 0 && stillTough.chance >= 0.05
      ? t('bench.in-the-fork-finds-it', { odds: inTen(stillTough.chance), duration: printDuration(stillTough.minutes) })
      : '';
  return t('bench.what-spreads-it', { list: named.join(', '), tough });
}

const HEIGHT = 92;
const BASE = 58;
const TOP = 8;
const PAD = 22;
/** Of the one side, so much is shown of the other at the least. */
const ROOM = 0.35;

/** How many of a hundred evenings have dinner at each minute, as a hill over the clock. */
function Spread({ odds, eatAt }: { readonly odds: DinnerOdds; readonly eatAt: string }): ReactNode {
  const [ref, width] = useWidth();
  const { byMinute } = odds;
  const first = byMinute[0]?.minute ?? 0;
  const last = byMinute.at(-1)?.minute ?? 0;
  // Room for the words on either side of the time, also where a dish beside lets dinner be no earlier.
  const x = scaleLinear(
    [Math.min(first, -ROOM * Math.max(1, last)), Math.max(last, -ROOM * first)],
    [PAD, Math.max(PAD + 1, width - PAD)],
  );
  // Over three minutes, for what two thousand evenings have in one is uneven; what ends just in time stands on that side.
  const by = (minute: number): number =>
    minute < first ? 0 : minute >= last ? 1 : (byMinute[minute - first]?.chance ?? 0);
  const heights = Array.from({ length: last - first + 5 }, (_, i) => first - 3 + i).map((minute) => ({
    minute,
    share: by(minute + 2) - by(minute - 1),
  }));
  const y = scaleLinear([0, Math.max(...heights.map(({ share }) => share), 0.01)], [BASE, TOP]);
  const hill = (some: typeof heights): string =>
    area<(typeof heights)[number]>()
      .x(({ minute }) => x(minute))
      .y0(BASE)
      .y1(({ share }) => y(share))
      .curve(curveMonotoneX)(some) ?? '';
  const ticks = x.ticks(Math.max(2, Math.floor(width / 90))).filter((minute) => Math.abs(x(minute) - x(0)) > 40);
  return (
    <div ref={ref} className={styles['dinner-spread']}>
      {width > 0 && (
        <svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={t('bench.dinner-in-time-in-one', {
            odds: inTen(odds.inTime),
            time: clockTime(shiftIso(eatAt, odds.p90)),
          })}
        >
          <path d={hill(heights.filter(({ minute }) => minute <= 0))} className={styles['dinner-intime']} />
          <path d={hill(heights.filter(({ minute }) => minute >= 0))} className={styles['dinner-late']} />
          <line x1={PAD} x2={width - PAD} y1={BASE} y2={BASE} className={styles['dinner-axis']} />
          <line x1={x(0)} x2={x(0)} y1={TOP - 6} y2={BASE + 6} className={styles['dinner-mark']} />
          <text x={x(0)} y={BASE + 20} textAnchor="middle" className="dinner-time">
            {clockTime(eatAt)}
          </text>
          {ticks.map((minute) => (
            <text key={minute} x={x(minute)} y={BASE + 20} textAnchor="middle">
              {clockTime(shiftIso(eatAt, minute))}
            </text>
          ))}
          <text x={x(0) - 8} y={TOP + 6} textAnchor="end">
            {t('bench.in-time')}
          </text>
          <text x={x(0) + 8} y={TOP + 6}>
            {t('bench.late')}
          </text>
        </svg>
      )}
    </div>
  );
}
