import type { Forecast, LedgerEntry } from '@hervir/core';
import type { ReactNode } from 'react';
import { useUnits } from '../shared/use-units';
import styles from './trade.module.css';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

const STAGE_NAMES: Readonly<Record<LedgerEntry['stage'], Message>> = {
  deglaze: say('bench.deglazing'),
  load: say('bench.loading'),
  heating: say('bench.heating'),
  pressure: say('bench.under-pressure'),
  release: say('bench.letting-down'),
  opened: say('bench.opened'),
  second: say('bench.second-run'),
  simmer: say('bench.open'),
};

/** Every millilitre, from the first splash to the open pot. */
export function LedgerTable({ forecast }: { readonly forecast: Forecast }): ReactNode {
  const { print } = useUnits();
  const { liquid } = forecast;
  return (
    <table className={`${styles['trade']} ${styles['ledger']}`}>
      <caption>{t('bench.where-the-liquid-comes-from')}</caption>
      <tbody>
        {liquid.entries.map(({ stage, what, ml }, i) => (
          <tr key={`${stage}-${textOf(what)}`}>
            <th scope="row">
              {textOf(what)}
              {liquid.entries[i - 1]?.stage !== stage && <small>{textOf(STAGE_NAMES[stage])}</small>}
            </th>
            <td className="figure">
              {ml > 0 ? '+' : '−'}
              {print('volume', Math.abs(ml))}
            </td>
          </tr>
        ))}
        <tr aria-current="true">
          <th scope="row">{t('bench.free-when-the-lid-goes')}</th>
          <td className="figure">{print('volume', liquid.freeAtStartMl)}</td>
        </tr>
        <tr aria-current="true">
          <th scope="row">{t('bench.free-when-it-comes-off')}</th>
          <td className="figure">{print('volume', liquid.freeAtEndMl)}</td>
        </tr>
        <tr>
          <th scope="row">{t('bench.fat-on-it')}</th>
          <td className="figure">{print('volume', liquid.fatMl)}</td>
        </tr>
      </tbody>
    </table>
  );
}
