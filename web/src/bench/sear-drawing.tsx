import type { Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { BatchPlan } from '../shared/batch-plan';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { potMinutes } from '../shared/words';
import { Remedies } from './remedies';
import type { Edit } from './station';
import listsStyles from './lists.module.css';

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
              ? `First face ${potMinutes(sear.faces[0])}, the others ${potMinutes(sear.faces[1])} each; turn when it lets go by itself.`
              : `Stirred for ${potMinutes(sear.faces[0])}.`}
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
        <ol className={listsStyles['turns']}>
          {sear.aromatics.map(({ id, what, minutes: long, note, grams }) => (
            <li key={id}>
              <strong>{what.join(', ')}</strong> {print('mass', grams)}
              {long > 0 && <span className="figure"> {potMinutes(long)}</span>}
              <span className="field-note"> {note}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
