import type { Forecast, LedgerEntry } from '@hervir/core';
import type { ReactNode } from 'react';
import { useUnits } from '../shared/use-units';
import styles from './trade.module.css';

const STAGE_NAMES: Readonly<Record<LedgerEntry['stage'], string>> = {
  deglaze: 'Deglazing',
  load: 'Loading',
  heating: 'Heating',
  pressure: 'Under pressure',
  release: 'Letting down',
  opened: 'Opened',
  second: 'Second run',
  simmer: 'Open',
};

/** Every millilitre, from the first splash to the open pot. */
export function LedgerTable({ forecast }: { readonly forecast: Forecast }): ReactNode {
  const { print } = useUnits();
  const { liquid } = forecast;
  return (
    <table className={`${styles['trade']} ${styles['ledger']}`}>
      <caption>Where the liquid comes from and goes</caption>
      <tbody>
        {liquid.entries.map(({ stage, what, ml }, i) => (
          <tr key={`${stage}-${what}`}>
            <th scope="row">
              {what}
              {liquid.entries[i - 1]?.stage !== stage && <small>{STAGE_NAMES[stage]}</small>}
            </th>
            <td className="figure">
              {ml > 0 ? '+' : '−'}
              {print('volume', Math.abs(ml))}
            </td>
          </tr>
        ))}
        <tr aria-current="true">
          <th scope="row">free when the lid goes on</th>
          <td className="figure">{print('volume', liquid.freeAtStartMl)}</td>
        </tr>
        <tr aria-current="true">
          <th scope="row">free when it comes off</th>
          <td className="figure">{print('volume', liquid.freeAtEndMl)}</td>
        </tr>
        <tr>
          <th scope="row">fat on it</th>
          <td className="figure">{print('volume', liquid.fatMl)}</td>
        </tr>
      </tbody>
    </table>
  );
}
