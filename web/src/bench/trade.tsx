import { inTen, printDuration, type Alternative, type ReleaseMethod } from '@hervir/core';
import { Fragment, type ReactNode } from 'react';

/** The ways down, and what each gives. */
export const WAYS: Readonly<Record<ReleaseMethod, { label: string; gives: string }>> = {
  natural: { label: 'By itself', gives: 'keeps large meat moist' },
  'natural-then-quick': { label: 'In part', gives: 'so long alone, then the valve: a time to count on' },
  quick: { label: 'Valve', gives: 'on the table soonest, spits when full' },
};

/** The same tenderness by each way down: minutes against minutes. */
export function Trade({ ways }: { readonly ways: readonly Alternative[] }): ReactNode {
  return (
    <table className="trade">
      <caption>Just as tender, just as sure</caption>
      <thead>
        <tr>
          <th scope="col">Let down</th>
          <th scope="col">Pressure</th>
          <th scope="col">Down</th>
          <th scope="col">Table</th>
        </tr>
      </thead>
      <tbody>
        {ways.map((way) => {
          const method = way.release?.method ?? 'natural';
          const later = Math.round(way.laterMinutes);
          return (
            <Fragment key={method}>
              <tr aria-current={way.chosen}>
                <th scope="row">{WAYS[method].label}</th>
                <td className="figure">{way.pressureMinutes}</td>
                <td className="figure">{Math.max(1, Math.round(way.releaseMinutes))}</td>
                <td>
                  {way.chosen || later === 0
                    ? printDuration(way.totalMinutes)
                    : `${Math.abs(later)} min ${later > 0 ? 'later' : 'sooner'}`}
                </td>
              </tr>
              <tr className="detail" aria-current={way.chosen}>
                <td colSpan={4}>
                  {WAYS[method].gives}; the meat {inTen(way.chance.at)} at it, {inTen(way.chance.past)} past
                  {way.textures.map(({ name, texture, met }) => `; ${name.toLowerCase()} ${texture}${met ? '' : ' ■'}`)}
                </td>
              </tr>
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}
