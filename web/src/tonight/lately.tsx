import type { LogPage } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { request } from '../api/client';
import { keys, useLearnt } from '../api/queries';
import { learntWords } from '../shared/calibration-words';
import { GRADE_WORDS, dayOf } from '../shared/words';
import styles from './lately.module.css';
import { t, textOf } from '../language/t';

/** Less than this is not worth a word on the first page. */
const WORTH = 0.05;

/** The last cooks, and what they have taught that changes the next plan most. */
export function Lately(): ReactNode {
  const last = useQuery({
    queryKey: [...keys.log, 'lately'],
    queryFn: () => request<LogPage>('GET', '/log?limit=3'),
  }).data;
  const learnt = (useLearnt().data ?? [])
    .filter(({ factor, off }) => !off && Math.abs(factor - 1) >= WORTH)
    .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)))
    .slice(0, 3);
  if (!last || (last.total === 0 && learnt.length === 0)) return null;
  return (
    <div className="columns">
      <section aria-label={t('tonight.lately')}>
        <h2>{t('tonight.lately')}</h2>
        <ul className={styles['lately']}>
          {last.items.map(({ id, name, servedAt, grade, result, source }) => (
            <li key={id}>
              <span className="figure dim">{dayOf(servedAt, 'short')}</span>
              <Link to={`/log/${id}`}>{name}</Link>
              <span className={result === 'short' ? 'attention' : ''}>
                {result === 'short' ? '▲ ' : result === 'past' ? '■ ' : '● '}
                {textOf(
                  grade === null
                    ? source === 'warmed'
                      ? t('log.warmed-and-eaten')
                      : t('log.not-tried')
                    : GRADE_WORDS[grade],
                )}
              </span>
            </li>
          ))}
        </ul>
      </section>
      {learnt.length > 0 && (
        <section aria-label={t('tonight.what-was-learnt')}>
          <h2>{t('tonight.what-was-learnt')}</h2>
          <ul className={styles['lately']}>
            {learnt.map((one) => (
              <li key={one.key}>
                {learntWords(one)}{' '}
                <span className="dim">
                  ({one.cooks === 1 ? t('tonight.one-cook') : t('tonight.cooks', { cooks: one.cooks })})
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
