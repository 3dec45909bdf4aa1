import type { Forecast, Remedy } from '@hervir/core';
import type { ReactNode } from 'react';
import { Remedies } from './remedies';
import type { Edit } from './station';

interface Alert {
  readonly key: string;
  readonly text: string;
  readonly remedies: readonly Remedy[];
}

/** What must not be missed: over the fill line, under the minimum, a base that will burn. */
export function alertsOf({ fill, liquid, burn }: Forecast): Alert[] {
  const alerts: Alert[] = [];
  if (fill.over) alerts.push({ key: 'fill', text: fill.text, remedies: fill.remedies });
  if (liquid.belowMinimum) {
    alerts.push({
      key: 'minimum',
      text: 'Less liquid than this cooker’s minimum when the lid goes on.',
      remedies: liquid.remedy ? [liquid.remedy] : [],
    });
  }
  if (burn.level === 'likely') {
    const remedies = burn.causes.flatMap((cause) => cause.remedies.filter(({ change }) => change !== null));
    alerts.push({ key: 'burn', text: burn.text, remedies: remedies.slice(0, 2) });
  }
  return alerts;
}

/** The alerts, under the sentence, each with what mends it. */
export function BenchAlerts({ forecast, edit }: { readonly forecast: Forecast; readonly edit: Edit }): ReactNode {
  const alerts = alertsOf(forecast);
  if (alerts.length === 0) return null;
  return (
    <div className="bench-alerts" role="alert">
      {alerts.map(({ key, text, remedies }) => (
        <div key={key} className="bench-alert">
          <span>
            <span aria-hidden>■ </span>
            {text}
          </span>
          <Remedies remedies={remedies} edit={edit} />
        </div>
      ))}
    </div>
  );
}
