import { inTen, LIMITS, printDuration, type Alternative, type ReleaseMethod } from '@hervir/core';
import { Fragment, type ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import type { Alternatives } from '../workers/reckoning';
import { changing, type StationProps } from './station';

const WAYS: Readonly<Record<ReleaseMethod, { label: string; gives: string }>> = {
  natural: { label: 'By itself', gives: 'keeps large meat moist' },
  'natural-then-quick': { label: 'In part', gives: 'so long alone, then the valve: a time to count on' },
  quick: { label: 'Valve', gives: 'on the table soonest, spits when full' },
};

interface Props extends Omit<StationProps, 'forecast'> {
  readonly alternatives: Alternatives | null;
}

/** Fifth station: how the pressure comes down, and the same tenderness by each way side by side. */
export function ReleaseStation({ plan, edit, faultAt, alternatives }: Props): ReactNode {
  const change = changing(edit, 'release');
  return (
    <div className="fields">
      <Choice
        label="Let down"
        value={plan.release.method}
        options={(Object.keys(WAYS) as ReleaseMethod[]).map((value) => ({ value, label: WAYS[value].label }))}
        onChange={(method) => change({ method })}
      />
      {plan.release.method === 'natural-then-quick' && (
        <Field label="Minutes" fault={faultAt('release.naturalMinutes')}>
          {(id) => (
            <NumberInput
              id={id}
              min={LIMITS.naturalMinutes.min}
              max={LIMITS.naturalMinutes.max}
              value={plan.release.naturalMinutes}
              suffix="min"
              onChange={(naturalMinutes) => naturalMinutes !== null && change({ naturalMinutes })}
            />
          )}
        </Field>
      )}
      {alternatives && <Trade ways={alternatives.releases} />}
      <p className="caution-source">
        Hands and face away from the valve; the lid stays shut until the pin has fallen. Your cooker’s manual comes
        first.
      </p>
    </div>
  );
}

function Trade({ ways }: { readonly ways: readonly Alternative[] }): ReactNode {
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
