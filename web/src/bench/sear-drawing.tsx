import type { Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { BatchPlan } from '../shared/batch-plan';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { potMinutes } from '../shared/words';
import { Remedies } from './remedies';
import type { Edit } from './station';
import listsStyles from './lists.module.css';
import { t, textOf } from '../language/t';

/** What the sear comes to: each batch from above, its faces, what is wrong with it, and the aromatics in their order. */
export function SearDrawing({ forecast, edit }: { readonly forecast: Forecast; readonly edit: Edit }): ReactNode {
  const { print } = useUnits();
  const { sear, saute } = forecast;
  const seared = forecast.plan.sear.school !== 'none';
  return (
    <section aria-label={t('bench.the-sear-2')}>
      {seared && (
        <>
          <BatchPlan forecast={forecast} />
          <p className="field-note">
            {sear.preheatMinutes > 0 &&
              t('bench.base-hot-in-min-then', { preheatMinutes: Math.round(sear.preheatMinutes) })}
            {sear.faces.length > 1
              ? t('bench.first-face-the-others-each', {
                  minutes: potMinutes(sear.faces[0]),
                  otherMinutes: potMinutes(sear.faces[1]),
                })
              : t('bench.stirred-for', { minutes: potMinutes(sear.faces[0]) })}
            {sear.batches > 1 && t('bench.a-minute-between-batches-for')}
          </p>
        </>
      )}
      {saute.troubles.map(({ id, text, remedies }) => (
        <div key={id} className="trouble-note">
          <Verdict tone="watch">{textOf(text)}</Verdict>
          <Remedies remedies={remedies} edit={edit} />
        </div>
      ))}
      {sear.aromatics.length > 0 && (
        <ol className={listsStyles['turns']}>
          {sear.aromatics.map(({ id, what, minutes: long, note, grams }) => (
            <li key={id}>
              <strong>{what.map(textOf).join(', ')}</strong> {print('mass', grams)}
              {long > 0 && <span className="figure"> {potMinutes(long)}</span>}
              <span className="field-note"> {textOf(note)}</span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
