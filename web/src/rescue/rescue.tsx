import type { BraiseRecord } from '@hervir/contract';
import { RESCUE_TITLES, RESCUE_TOPICS, rescueFor, type RescueTopic } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useEffect, type ReactNode } from 'react';
import { Link, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { request } from '../api/client';
import { keys, useBraises } from '../api/queries';
import type { LiveCook } from '../cook/use-cook';
import { whereInCook } from '../cook/where-in-cook';
import { clockAt } from '../shared/words';
import { usePreferences } from '../state/preferences';
import { useForecast } from '../workers/use-forecast';
import { useCookAtHand, type CookAtHand } from './use-cook-at-hand';
import { WhatHappened } from './what-happened';
import { clsx } from 'clsx';
import styles from './rescue.module.css';
import { t, textOf } from '../language/t';

/** What goes wrong, and what to do now: steps first, reasons after, with the figures of a plan where there is one. */
export function Rescue(): ReactNode {
  const [search] = useSearchParams();
  const cook = search.get('cook');
  return cook === null ? <Room at={null} /> : <RescueInACook id={cook} />;
}

/** The same with a cook under way, which is followed for it. */
function RescueInACook({ id }: { readonly id: string }): ReactNode {
  return <Room at={useCookAtHand(id)} />;
}

interface AtHand {
  readonly at: CookAtHand | null;
}

function Room({ at }: AtHand): ReactNode {
  const { topic } = useParams();
  const known = RESCUE_TOPICS.find((one) => one === topic);
  // A page that is opened from below another begins at its top.
  useEffect(() => {
    window.scrollTo(0, 0);
  }, [topic]);
  return (
    <div className="room rescue">
      {at !== null && <BackToThePot cook={at.cook} />}
      <h1>{textOf(known ? RESCUE_TITLES[known].title : t('app.rescue'))}</h1>
      {known ? <Steps topic={known} at={at} /> : <Topics />}
    </div>
  );
}

/** From a running cook one came, and to it one goes back. */
function BackToThePot({ cook: { record, state } }: { readonly cook: LiveCook }): ReactNode {
  return (
    <p className={styles['rescue-cook']}>
      <Link to={`/cook/${record.id}`} className={styles['pot-link']}>
        {t('rescue.back-to-the-pot')}
      </Link>
      <span className="dim">
        {t('rescue.dinner', {
          name: record.name,
          whereInCook: whereInCook(state).toLowerCase(),
          time: clockAt(state.dinner.at, record.guide.eatAt),
        })}
      </span>
    </p>
  );
}

function Topics(): ReactNode {
  const { search } = useLocation();
  return (
    <>
      <p className="dim">{t('rescue.what-do-you-see-steps')}</p>
      <ul className={clsx('cards', styles['rescue-topics'])}>
        {RESCUE_TOPICS.map((topic) => (
          <li key={topic} className="vessel">
            <Link to={`/rescue/${topic}${search}`}>
              <strong>{textOf(RESCUE_TITLES[topic].title)}</strong>
              <span className="dim">{textOf(RESCUE_TITLES[topic].sign)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Which plan this is about: the one named in the address, else the one last on the bench. */
function usePlanAtHand(): {
  id: string | null;
  choose: (id: string) => void;
  plans: { value: string; label: string }[];
} {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const last = usePreferences((state) => state.lastPlan);
  const braises = useBraises().data ?? [];
  const asked = search.get('plan');
  const wanted = asked ?? last;
  const there = asked === 'none' ? undefined : braises.find(({ id }) => id === wanted);
  return {
    id: there?.id ?? null,
    choose: (id) => void navigate({ search: `?plan=${id}` }, { replace: true }),
    plans: [
      { value: 'none', label: t('rescue.no-plan-in-general') },
      ...braises.map(({ id, name }) => ({ value: id, label: name })),
    ],
  };
}

function Steps({ topic, at }: AtHand & { readonly topic: RescueTopic }): ReactNode {
  const { search } = useLocation();
  const { id, choose, plans } = usePlanAtHand();
  const record = useQuery({
    queryKey: [...keys.braise(id ?? 'none'), 'rescue'],
    queryFn: () => request<BraiseRecord>('GET', `/braises/${id ?? ''}`),
    enabled: id !== null,
  }).data;
  const cooking = at !== null;
  const { forecast } = useForecast(at?.cook.record.plan ?? (id === null ? null : (record?.plan ?? null)));
  const { steps, why, caution, sign } = rescueFor(
    topic,
    id === null && !cooking ? null : forecast,
    at?.figures ?? null,
  );
  const list = (
    <ol className={styles['rescue-steps']}>
      {steps.map((step) => (
        <li key={textOf(step)}>{textOf(step)}</li>
      ))}
    </ol>
  );
  return (
    <>
      <p className="dim">{textOf(sign)}.</p>
      <p className={styles['rescue-caution']} role="note">
        <span aria-hidden>▲ </span>
        {textOf(caution)}
      </p>
      {at === null ? (
        list
      ) : (
        <WhatHappened key={topic} topic={topic} at={at}>
          {list}
        </WhatHappened>
      )}
      <h2>{t('rescue.why')}</h2>
      <ul className="reasons">
        {why.map((reason) => (
          <li key={textOf(reason)}>{textOf(reason)}</li>
        ))}
      </ul>
      <div className={styles['rescue-plan']}>
        {!cooking && (
          <>
            <label htmlFor="rescue-plan">{t('rescue.figures-of')}</label>
            <Select
              id="rescue-plan"
              value={id ?? 'none'}
              options={plans}
              onChange={choose}
              popupMatchSelectWidth={false}
            />
          </>
        )}
        <Link to={`/rescue${cooking ? search : ''}`}>{t('rescue.something-else-is-wrong')}</Link>
      </div>
    </>
  );
}
