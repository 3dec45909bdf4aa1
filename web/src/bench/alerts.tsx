import type { Forecast, Remedy } from '@hervir/core';
import type { ReactNode } from 'react';
import { Remedies } from './remedies';
import type { Edit } from './station';
import styles from './verdicts.module.css';
import type { Text } from '@hervir/language';
import { textOf } from '../language/t';

interface Alert {
  readonly key: string;
  readonly text: Text;
  readonly remedies: readonly Remedy[];
}

/** Cautions that no lid speaks of and that stop a cook all the same. */
const HARD_CAUTIONS: ReadonlySet<string> = new Set(['raw-middle', 'raw-waits']);

/** What must not be missed at any lid: over the fill line, too little liquid, a base that will burn; and raw meat. */
export function alertsOf({ fill, lids, cautions }: Forecast): Alert[] {
  const alerts: Alert[] = [];
  for (const lid of lids) {
    // Under the first lid there is more that mends it: less liquid, two runs, a larger pot.
    const { remedies, text } = lid.run === 1 ? fill : lid.fill;
    if (lid.fill.level === 'over') alerts.push({ key: `fill-${lid.run}`, text, remedies });
    if (lid.liquid.level !== 'ok' || lid.liquid.missingMl > 0) {
      alerts.push({ key: `liquid-${lid.run}`, text: lid.liquid.text, remedies: lid.liquid.remedies });
    }
    if (lid.base.level === 'likely') {
      const mends = lid.base.causes.flatMap((cause) => cause.remedies.filter(({ change }) => change !== null));
      alerts.push({ key: `burn-${lid.run}`, text: lid.base.text, remedies: mends.slice(0, 2) });
    }
  }
  for (const { code, text } of cautions) if (HARD_CAUTIONS.has(code)) alerts.push({ key: code, text, remedies: [] });
  return alerts;
}

/** The alerts, under the sentence, each with what mends it. */
export function BenchAlerts({ forecast, edit }: { readonly forecast: Forecast; readonly edit: Edit }): ReactNode {
  const alerts = alertsOf(forecast);
  if (alerts.length === 0) return null;
  return (
    <div className={styles['bench-alerts']} role="alert">
      {alerts.map(({ key, text, remedies }) => (
        <div key={key} className={styles['bench-alert']}>
          <span>
            <span aria-hidden>■ </span>
            {textOf(text)}
          </span>
          <Remedies remedies={remedies} edit={edit} />
        </div>
      ))}
    </div>
  );
}
