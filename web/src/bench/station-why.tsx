import type { Forecast, Reason } from '@hervir/core';
import type { ReactNode } from 'react';
import type { StationKey } from './station-heads';
import styles from './station-why.module.css';
import { t, textOf } from '../language/t';

/** The figures that are decided at each station. */
const FIGURES: Readonly<Record<StationKey, readonly string[]>> = {
  meat: ['pressureMinutes', 'tenderness', 'coreC'],
  sear: ['sear'],
  // How full it is, and its base, are verdicts beside it.
  pot: ['workingC', 'minutesToPressure', 'liquid'],
  vegetables: ['stages', 'secondRun'],
  release: ['releaseMinutes'],
  // What is done to the sauce stands beside it step by step, and what it yields under it.
  sauce: [],
  clock: ['startAt', 'warmAt'],
};

type Step = Forecast['cautions'][number]['step'];
/** Where a caution of each step stands. */
const STATION_OF: Readonly<Record<Step, StationKey>> = {
  meat: 'meat',
  sear: 'sear',
  pot: 'pot',
  vegetables: 'vegetables',
  release: 'release',
  plate: 'sauce',
};

/** So many reasons stand open; the others are a press away, so that the panel keeps to the window. */
const OPEN: Readonly<Record<StationKey, number>> = {
  meat: 2,
  sear: 2,
  pot: 0,
  vegetables: 0,
  release: 2,
  sauce: 2,
  clock: 2,
};

/** The reasons that can be said in a line: the base has a list of its own, with what mends it, and so has the ledger. */
export const plainReasons = ({ reasons }: Pick<Forecast, 'reasons'>): Reason[] =>
  reasons.filter(({ figure, text }) => figure !== 'burn' && !(figure === 'liquid' && /^[+−]/.test(textOf(text))));

/** Why the figures of one station are what they are, and what can hurt there. */
export function StationWhy({
  station,
  forecast,
}: {
  readonly station: StationKey;
  readonly forecast: Forecast;
}): ReactNode {
  const plain = plainReasons(forecast);
  const all = FIGURES[station].flatMap((figure) => plain.filter((reason) => reason.figure === figure));
  // What the cook has set stands before what Hervir would say.
  const own = [...all].sort((a, b) => Number(b.code === 'own-minutes') - Number(a.code === 'own-minutes'));
  const open = OPEN[station];
  const cautions = forecast.cautions.filter(({ step }) => STATION_OF[step] === station);
  return (
    <div className={styles['why']}>
      {own.length > 0 && (
        <section aria-label={t('bench.why')}>
          {open > 0 && <h3>{t('bench.why')}</h3>}
          {open > 0 && <List of={own.slice(0, open)} />}
          {own.length > open && (
            <details className="fold">
              <summary>
                {open > 0 ? t('bench.more', { count: own.length - open }) : t('bench.why-2', { count: own.length })}
              </summary>
              <List of={own.slice(open)} />
            </details>
          )}
        </section>
      )}
      {cautions.length > 0 && (
        <details className="fold">
          <summary>{t('bench.take-care', { count: cautions.length })}</summary>
          <Cautions of={cautions} />
        </details>
      )}
    </div>
  );
}

function List({ of }: { readonly of: readonly Reason[] }): ReactNode {
  return (
    <ul className="reasons">
      {of.map(({ text }) => (
        <li key={textOf(text)}>{textOf(text)}</li>
      ))}
    </ul>
  );
}

/** Cautions, each with where it comes from. */
export function Cautions({ of }: { readonly of: Forecast['cautions'] }): ReactNode {
  return (
    <ul className="reasons">
      {of.map(({ code, text, source }) => (
        <li key={code}>
          <span aria-hidden>▲ </span>
          {textOf(text)}
          <div className="caution-source">{t('bench.source', { source })}</div>
        </li>
      ))}
    </ul>
  );
}
