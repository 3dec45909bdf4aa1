import { quantity } from '@hervir/language';
import { inTen, type Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { LEVEL_TONES, Verdict } from '../shared/verdict';
import { Remedies } from './remedies';
import type { Edit } from './station';
import styles from './verdicts.module.css';
import { t, textOf } from '../language/t';

/** The base against its cut-out: each cause with its share, and what mends it. */
export function BaseVerdict({ forecast, edit }: { readonly forecast: Forecast; readonly edit: Edit }): ReactNode {
  const { burn } = forecast;
  return (
    <section aria-label={t('bench.the-base')} className="base-verdict">
      <Verdict tone={LEVEL_TONES[burn.level]}>{textOf(burn.text)}</Verdict>
      <p className="dim">{t('bench.how-often-such-a-pot', { odds: inTen(burn.chance) })}</p>
      <ul className={styles['causes']}>
        {burn.causes.map(({ cause, text, kelvin, remedies }) => (
          <li key={cause}>
            <span>{textOf(text)}</span>
            <span className="figure">+{textOf(quantity('rise', kelvin))}</span>
            {burn.level !== 'safe' && (
              <Remedies remedies={remedies.filter(({ change }) => change !== null)} edit={edit} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
