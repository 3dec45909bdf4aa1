import { printDuration, upperFirst } from '@hervir/language';
import type { LogItem } from '@hervir/contract';
import { runTimesOf, SECTION_WORDS, type CookState } from '@hervir/core';
import type { ReactNode } from 'react';
import { t, textOf } from '../language/t';

/** Every lid of a cook, and every part of a day, planned against actual; of one that was not cooked here, what its line says. */
function plannedAndActual(
  item: LogItem,
  state: CookState | null,
): (readonly [string, { readonly planned: number | null; readonly actual: number | null }])[] {
  if (state === null) {
    return [
      [t('log.to-the-pin'), item.toPin],
      [t('log.under-pressure'), item.pressure],
      [t('log.letting-down'), item.release],
    ];
  }
  if (item.source === 'warmed') {
    return state.took.map(({ section, planned, actual }) => [
      upperFirst(textOf(SECTION_WORDS[section])),
      { planned, actual },
    ]);
  }
  return runTimesOf(state).flatMap(({ run, toPin, pressure, release }) => {
    const at = run === 1 ? '' : t('log.lid', { run });
    return [
      [t('log.coming-to-pressure', { at }), toPin] as const,
      [t('log.under-pressure-2', { at }), pressure] as const,
      [t('log.letting-down-2', { at }), release] as const,
    ];
  });
}

interface Props {
  readonly item: LogItem;
  /** Null for a cook that was not guided here. */
  readonly state: CookState | null;
}

/** Part by part, what it was to take and what it took. */
export function PlannedCard({ item, state }: Props): ReactNode {
  return (
    <section className="vessel side-card" aria-label={t('log.planned-and-actual')}>
      <h2>{t('log.planned-and-actual')}</h2>
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">{t('log.part')}</th>
            <th scope="col">{t('log.planned')}</th>
            <th scope="col">{t('log.was')}</th>
          </tr>
        </thead>
        <tbody>
          {plannedAndActual(item, state).map(([name, { planned, actual }]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="figure">{planned === null ? '–' : printDuration(planned)}</td>
              <td className="figure">{actual === null ? '–' : printDuration(actual)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
