import { inTen, printDuration, type Alternative, type ReleaseMethod } from '@hervir/core';
import type { ReactNode } from 'react';
import styles from './trade.module.css';

/** The ways down, and what each gives. */
export const WAYS: Readonly<Record<ReleaseMethod, { label: string; gives: string }>> = {
  natural: { label: 'By itself', gives: 'keeps large meat moist' },
  'natural-then-quick': { label: 'In part', gives: 'so long alone, then the valve: a time to count on' },
  quick: { label: 'Valve', gives: 'on the table soonest, spits when full' },
};

/** What a way gives beside its minutes: its odds, and the textures that another way would not give. */
function givesOf(way: Alternative, ways: readonly Alternative[]): string {
  const odds = ({ chance }: Alternative): string => `the meat ${inTen(chance.at)} at it, ${inTen(chance.past)} past`;
  const differs = (say: (one: Alternative) => string): boolean => new Set(ways.map(say)).size > 1;
  const textures = way.textures.filter(
    ({ name, met }) => !met || differs((one) => one.textures.find((other) => other.name === name)?.texture ?? ''),
  );
  return [
    WAYS[way.release?.method ?? 'natural'].gives,
    ...(differs(odds) ? [odds(way)] : []),
    ...textures.map(({ name, texture, met }) => `${name.toLowerCase()} ${texture}${met ? '' : ' ■'}`),
  ].join('; ');
}

/** The same tenderness by each way down: minutes against minutes. */
export function Trade({ ways }: { readonly ways: readonly Alternative[] }): ReactNode {
  return (
    <table className={styles['trade']}>
      <caption>Just as tender, just as sure</caption>
      <thead>
        <tr>
          <th scope="col">Let down</th>
          <th scope="col">Pressure</th>
          <th scope="col">Down</th>
          <th scope="col">Table</th>
          <th scope="col" className={styles['gives']}>
            What it gives
          </th>
        </tr>
      </thead>
      <tbody>
        {ways.map((way) => {
          const method = way.release?.method ?? 'natural';
          const later = Math.round(way.laterMinutes);
          return (
            <tr key={method} aria-current={way.chosen}>
              <th scope="row">{WAYS[method].label}</th>
              <td className="figure">{way.pressureMinutes}</td>
              <td className="figure">{Math.max(1, Math.round(way.releaseMinutes))}</td>
              <td>
                {way.chosen || later === 0
                  ? printDuration(way.totalMinutes)
                  : `${Math.abs(later)} min ${later > 0 ? 'later' : 'sooner'}`}
              </td>
              <td className={styles['gives']}>{givesOf(way, ways)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
