import { type Message, say, upperFirst } from '@hervir/language';
import { SECTION_WORDS, type CookState, type Delay, type DelayCause, type SectionId } from '@hervir/core';
import { scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import styles from './cause-bars.module.css';
import { t, textOf } from '../language/t';

const CAUSES: Readonly<Partial<Record<DelayCause, Message>>> = {
  start: say('log.begun'),
  burn: say('log.the-burn'),
  again: say('log.tough-back-in'),
  'boils-dry': say('log.boiled-dry'),
  'power-cut': say('log.the-power-cut'),
  'pin-will-not-rise': say('log.the-pin-stayed-down'),
  heat: say('log.pot-put-on'),
};
/** So many causes have a bar of their own; the others are added up with what lies between. */
const MOST = 6;
/** Less is not worth a bar, minutes. */
const WORTH = 0.5;

/** One reason why dinner was not when it was planned. */
export interface CauseBar {
  readonly what: string;
  /** Below nothing where it was gained. */
  readonly minutes: number;
}

/**
 * From the planned dinner to the actual one, cause by cause: the bars add up to how late it was.
 *
 * @param causes what counts most first
 * @param driftMinutes how late dinner was, below nothing for early
 * @example causeBars([{ cause: 'start', minutes: 5 }], 7) // [{ what: 'Begun', minutes: 5 }, { what: 'Between the steps', minutes: 2 }]
 */
export function causeBars(causes: readonly Delay[], driftMinutes: number): CauseBar[] {
  const shown = causes.slice(0, MOST);
  const rest = driftMinutes - shown.reduce((sum, { minutes }) => sum + minutes, 0);
  return [
    ...shown.map(({ cause, minutes }) => ({
      what: textOf(CAUSES[cause] ?? upperFirst(textOf(SECTION_WORDS[cause as SectionId]))),
      minutes,
    })),
    ...(Math.abs(rest) >= WORTH ? [{ what: t('log.between-the-steps'), minutes: rest }] : []),
  ];
}

const signed = (minutes: number): string => {
  const whole = Math.round(minutes);
  return whole === 0 ? '0 min' : t('log.min-2', { value: whole < 0 ? '−' : '+', whole: Math.abs(whole) });
};

interface Props {
  readonly causes: readonly Delay[];
  readonly dinner: CookState['dinner'];
}

/** Why dinner was when it was: a bar to the right for what was lost, to the left for what was gained. */
export function CauseBars({ causes, dinner }: Props): ReactNode {
  const bars = causeBars(causes, dinner.driftMinutes);
  if (bars.length === 0) return null;
  const most = Math.max(...bars.map(({ minutes }) => Math.abs(minutes)), Math.abs(dinner.driftMinutes));
  const x = scaleLinear([-most, most], [0, 100]);
  const row = ({ what, minutes }: CauseBar, whole: boolean): ReactNode => (
    <li key={what} data-whole={whole}>
      <span>{what}</span>
      <span className={styles['track']}>
        <span
          className={minutes < 0 ? styles['gained'] : styles['lost']}
          style={{ left: `${x(Math.min(0, minutes))}%`, width: `${x(Math.abs(minutes)) - 50}%` }}
        />
      </span>
      <span className="figure">{signed(minutes)}</span>
    </li>
  );
  return (
    <section className="vessel side-card" aria-label={t('log.what-made-it-so')}>
      <h2>{t('log.what-made-it-so')}</h2>
      <ul className={styles['bars']}>
        {bars.map((bar) => row(bar, false))}
        {row({ what: t('log.dinner'), minutes: dinner.driftMinutes }, true)}
      </ul>
    </section>
  );
}
