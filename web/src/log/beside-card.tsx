import { dayOf } from '../shared/words';
import { printDuration } from '@hervir/language';
import type { LogItem, LogPage } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { request } from '../api/client';
import { keys } from '../api/queries';
import { useUnits } from '../shared/use-units';
import { cameOut, lateWords } from './words';
import { t } from '../language/t';

/** Another cook beside this one. */
export function BesideCard({ item }: { readonly item: LogItem }): ReactNode {
  const [other, setOther] = useState<string | null>(null);
  const { print } = useUnits();
  const like = useQuery({
    queryKey: [...keys.log, 'like', item.cut],
    queryFn: () => request<LogPage>('GET', `/log?cut=${item.cut}&limit=50`),
  });
  const others = (like.data?.items ?? []).filter(({ id }) => id !== item.id);
  const chosen = others.find(({ id }) => id === other);
  const minutes = (value: number | null): string => (value === null ? '–' : printDuration(value));
  const rows: readonly (readonly [string, (one: LogItem) => string])[] = [
    [t('log.meat'), ({ boughtG }) => print('mass', boughtG)],
    [t('log.cooker'), ({ cooker }) => cooker],
    [t('log.to-the-pin'), ({ toPin }) => minutes(toPin.actual)],
    [t('log.under-pressure'), ({ pressure }) => minutes(pressure.actual)],
    [t('log.letting-down'), ({ release }) => minutes(release.actual)],
    [t('log.came-out'), cameOut],
    [t('log.dinner'), ({ lateMinutes }) => lateWords(lateMinutes)],
    [t('log.words'), (one) => one.notes],
  ];
  return (
    <section className="vessel side-card" aria-label={t('log.compare')}>
      <h2>{t('log.beside-another')}</h2>
      {others.length === 0 ? (
        <p className="dim">{t('log.no-other-cook-of-this')}</p>
      ) : (
        <>
          <Select
            aria-label={t('log.compare-with')}
            placeholder={t('log.which-one')}
            style={{ width: 'min(100%, 380px)' }}
            allowClear
            value={other}
            onChange={(id: string | null) => setOther(id ?? null)}
            options={others.map(({ id, name, servedAt }) => ({
              value: id,
              label: `${dayOf(servedAt, 'dated')}, ${name}`,
            }))}
          />
          {chosen && (
            <table className="plain-table">
              <thead>
                <tr>
                  <th scope="col">
                    <span className="visually-hidden">{t('log.what')}</span>
                  </th>
                  <th scope="col">{dayOf(item.servedAt, 'short')}</th>
                  <th scope="col">{dayOf(chosen.servedAt, 'short')}</th>
                </tr>
              </thead>
              <tbody>
                {rows.map(([name, say]) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td>{say(item)}</td>
                    <td>{say(chosen)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </>
      )}
    </section>
  );
}
