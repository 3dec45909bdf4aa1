import type { Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { BatchPlan } from '../shared/batch-plan';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { Remedies } from './remedies';
import type { Edit } from './station';

/** What the sear comes to: each batch from above, its faces, what is wrong with it, and the aromatics in their order. */
export function SearDrawing({ forecast, edit }: { readonly forecast: Forecast; readonly edit: Edit }): ReactNode {
  const { print } = useUnits();
  const { sear, saute } = forecast;
  const seared = forecast.plan.sear.school !== 'none';
  return (
    <section aria-label="The sear">
      {seared && (
        <>
          <BatchPlan forecast={forecast} />
          <p className="field-note">
            {sear.preheatMinutes > 0 && `Base hot in ${Math.round(sear.preheatMinutes)} min; then oil, then dry meat. `}
            {sear.faces.length > 1
              ? `First face ${minutes(sear.faces[0])}, the others ${minutes(sear.faces[1])} each; turn when it lets go by itself.`
              : `Stirred for ${minutes(sear.faces[0])}.`}
            {sear.batches > 1 && ' A minute between batches for the base to come back.'}
          </p>
        </>
      )}
      {saute.troubles.map(({ id, text, remedies }) => (
        <div key={id} className="trouble-note">
          <Verdict tone="watch">{text}</Verdict>
          <Remedies remedies={remedies} edit={edit} />
        </div>
      ))}
      {sear.aromatics.length > 0 && (
        <ol className="turns">
          {sear.aromatics.map(({ id, what, minutes: long, note, grams }) => (
            <li key={id}>
              <strong>{what.join(', ')}</strong> {print('mass', grams)}
              {long > 0 && <span className="figure"> {minutes(long)}</span>}
              <span className="field-note"> {note}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** Minutes as one counts them at the pot: halves, and seconds under a minute. */
function minutes(value: number | undefined): string {
  if (value === undefined) return '';
  if (value < 1) return `${Math.round((value * 60) / 5) * 5} s`;
  const halves = Math.round(value * 2) / 2;
  return `${Math.floor(halves)}${halves % 1 === 0 ? '' : '½'} min`;
}
