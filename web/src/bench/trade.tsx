import { lowerFirst, type Message, printDuration, say } from '@hervir/language';
import { type Alternative, inTen, type ReleaseMethod, wholeMinutes } from '@hervir/core';
import type { ReactNode } from 'react';
import styles from './trade.module.css';
import { t, textOf } from '../language/t';

/** The ways down, and what each gives. */
export const WAYS: Readonly<Record<ReleaseMethod, { label: Message; gives: Message }>> = {
  natural: { label: say('bench.by-itself'), gives: say('bench.keeps-large-meat-moist') },
  'natural-then-quick': { label: say('bench.in-part'), gives: say('bench.so-long-alone-then-the') },
  quick: { label: say('bench.valve'), gives: say('bench.on-the-table-soonest-spits') },
};

/** What a way gives beside its minutes: its odds, and the textures that another way would not give. */
function givesOf(way: Alternative, ways: readonly Alternative[]): string {
  const odds = ({ chance }: Alternative): string =>
    t('bench.the-meat-at-it-past', { odds: inTen(chance.at), past: inTen(chance.past) });
  const differs = (say: (one: Alternative) => string): boolean => new Set(ways.map(say)).size > 1;
  const textures = way.textures.filter(
    ({ name, met }) =>
      !met || differs((one) => textOf(one.textures.find((other) => other.name === name)?.texture ?? '')),
  );
  return [
    textOf(WAYS[way.release?.method ?? 'natural'].gives),
    ...(differs(odds) ? [odds(way)] : []),
    ...textures.map(({ name, texture, met }) => `${lowerFirst(textOf(name))} ${textOf(texture)}${met ? '' : ' ■'}`),
  ].join('; ');
}

/** The same tenderness by each way down: minutes against minutes. */
export function Trade({ ways }: { readonly ways: readonly Alternative[] }): ReactNode {
  return (
    <table className={styles['trade']}>
      <caption>{t('bench.just-as-tender-just-as')}</caption>
      <thead>
        <tr>
          <th scope="col">{t('bench.let-down')}</th>
          <th scope="col">{t('bench.pressure')}</th>
          <th scope="col">{t('bench.down')}</th>
          <th scope="col">{t('bench.table')}</th>
          <th scope="col" className={styles['gives']}>
            {t('bench.what-it-gives')}
          </th>
        </tr>
      </thead>
      <tbody>
        {ways.map((way) => {
          const method = way.release?.method ?? 'natural';
          const later = Math.round(way.laterMinutes);
          return (
            <tr key={method} aria-current={way.chosen}>
              <th scope="row">{textOf(WAYS[method].label)}</th>
              <td className="figure">{way.pressureMinutes}</td>
              <td className="figure">{wholeMinutes(way.releaseMinutes)}</td>
              <td>
                {way.chosen || later === 0
                  ? printDuration(way.totalMinutes)
                  : t('bench.min-6', { later: Math.abs(later), isLater: later > 0 })}
              </td>
              <td className={styles['gives']}>{givesOf(way, ways)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
