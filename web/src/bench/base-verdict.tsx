import { printerFor, type Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { useUnits } from '../shared/use-units';
import { Remedies, type Edit } from './remedies';

const TONES = { safe: 'fits', watch: 'watch', likely: 'wrong' } as const;
const MARKS = { safe: '●', watch: '▲', likely: '■' } as const;

/** The base against its cut-out: each cause with its share, and what mends it. */
export function BaseVerdict({ forecast, edit }: { readonly forecast: Forecast; readonly edit: Edit }): ReactNode {
  const { system } = useUnits();
  const print = printerFor(system);
  const { burn } = forecast;
  return (
    <section aria-label="The base" className="base-verdict">
      <p className={`verdict ${TONES[burn.level]}`}>
        <span aria-hidden>{MARKS[burn.level]}</span> {burn.text}
      </p>
      <ul className="causes">
        {burn.causes.map(({ cause, text, kelvin, remedies }) => (
          <li key={cause}>
            <span>{text}</span>
            <span className="figure">+{print.rise(kelvin)}</span>
            {burn.level !== 'safe' && (
              <Remedies remedies={remedies.filter(({ change }) => change !== null)} edit={edit} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
