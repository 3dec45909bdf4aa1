import type { Forecast } from '@hervir/core';
import { scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { useUnits } from '../../shared/use-units';
import { longDay } from '../../shared/words';
import styles from './sauce-drawing.module.css';
import stagesStyles from '../stages.module.css';
import { rich, t, textOf } from '../../language/t';

/** One volume between the open pot and the spoon. */
export interface SauceBar {
  readonly what: string;
  /** Below nothing where it is taken away, ml. */
  readonly ml: number;
  readonly whole: boolean;
}

/** Less is a splash that nobody measures, ml. */
const WORTH_ML = 5;

/**
 * Volumes from the open pot to the spoon, in their order; parts and wholes add up.
 *
 * @param f its liquid and its finish
 */
export function sauceBars({ liquid, finish }: Pick<Forecast, 'liquid' | 'finish'>): SauceBar[] {
  const { ladleOutMl, reducedMl, sauceMl } = finish;
  const inPot = liquid.freeAtEndMl;
  const boiledOff = Math.max(0, inPot - ladleOutMl - reducedMl);
  const added = sauceMl - (inPot - ladleOutMl - boiledOff);
  const parts: SauceBar[] = [
    { what: t('bench.ladled-out'), ml: -ladleOutMl, whole: false },
    { what: t('bench.boiled-off'), ml: -boiledOff, whole: false },
    { what: t('bench.stirred-in'), ml: added, whole: false },
  ];
  return [
    { what: t('bench.in-the-open-pot'), ml: inPot, whole: true },
    ...parts.filter(({ ml }) => Math.abs(ml) >= WORTH_ML),
    { what: 'sauce', ml: sauceMl, whole: true },
  ];
}

/** What is done to the sauce, in its order. */
export function ToFinish({ forecast: { finish } }: { readonly forecast: Forecast }): ReactNode {
  return (
    <section aria-label={t('bench.the-finish')} className={styles['finish']}>
      <h3>{t('bench.to-finish')}</h3>
      <ol>
        {finish.steps.map(({ id, text }) => (
          <li key={id + textOf(text)}>{textOf(text)}</li>
        ))}
      </ol>
    </section>
  );
}

/** From pot to spoon: volumes as bars, the plate, and what is left. */
export function SauceDrawing({ forecast }: { readonly forecast: Forecast }): ReactNode {
  const { print } = useUnits();
  const { finish } = forecast;
  return (
    <section aria-label={t('bench.from-pot-to-spoon')} className={styles['finish']}>
      <Bars bars={sauceBars(forecast)} />
      {finish.skimMl > 0 && (
        <p className="dim">{t('bench.of-fat-is-skimmed-off', { volume: print('volume', finish.skimMl) })}</p>
      )}
      <PlateAndLeft forecast={forecast} />
    </section>
  );
}

function Bars({ bars }: { readonly bars: readonly SauceBar[] }): ReactNode {
  const { print } = useUnits();
  const width = scaleLinear([0, Math.max(...bars.map(({ ml }) => Math.abs(ml)), 1)], [0, 100]);
  return (
    <ul className={styles['bars']}>
      {bars.map(({ what, ml, whole }) => (
        <li key={what}>
          <span>{what}</span>
          <span className={styles['track']}>
            <span
              className={whole ? styles['whole'] : ml < 0 ? styles['taken'] : styles['added']}
              style={{ width: `${width(Math.abs(ml))}%` }}
            />
          </span>
          <span className="figure">
            {whole ? '' : ml < 0 ? '−' : '+'}
            {print('volume', Math.abs(ml))}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What comes onto the plate, for how many, and what becomes of the rest. */
function PlateAndLeft({ forecast }: { readonly forecast: Forecast }): ReactNode {
  const { print } = useUnits();
  return (
    <section aria-label={t('bench.the-plate')} className={styles['finish']}>
      <h3>{t('bench.on-the-plate')}</h3>
      <p>{textOf(forecast.finish.platingText)}</p>
      <p className="dim">
        {t('bench.to-of-cooked-meat-servings', {
          mass: print('mass', forecast.yield.cookedGrams[0]),
          most: print('mass', forecast.yield.cookedGrams[1]),
          portions: Math.round(forecast.yield.portions),
        })}
      </p>
      <details className="fold">
        <summary>{t('bench.what-is-left-over')}</summary>
        <ul className={stagesStyles['leftovers']}>
          {forecast.leftovers.steps.map((step) => (
            <li key={textOf(step)}>{textOf(step)}</li>
          ))}
        </ul>
        {forecast.leftovers.useBy && (
          <p>
            {rich('bench.eat-it-from-the-fridge', {
              day: longDay(forecast.leftovers.useBy.fridge),
              strong: (words) => <strong>{words}</strong>,
              frozenUntil: longDay(forecast.leftovers.useBy.freezer),
            })}
          </p>
        )}
        <p className="caution-source">{t('bench.source-us-fda-food-code')}</p>
      </details>
    </section>
  );
}
