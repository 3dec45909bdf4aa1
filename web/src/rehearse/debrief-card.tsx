import type { RehearsalRecord } from '@hervir/contract';
import { EXERCISE_LIST, exerciseById } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useStartRehearsal } from './use-start';
import { clsx } from 'clsx';
import styles from './rehearse.module.css';
import { t, textOf } from '../language/t';

/** How it went, each thing against the plan, and the two things to do differently. */
export function DebriefCard({ record }: { readonly record: RehearsalRecord }): ReactNode {
  const navigate = useNavigate();
  const { start, busy } = useStartRehearsal();
  const { debrief, mark } = record;
  const exercise = record.exercise === null ? null : exerciseById(record.exercise);
  const next = exercise ? EXERCISE_LIST[EXERCISE_LIST.indexOf(exercise) + 1] : undefined;
  const passed = mark === 'passed';
  const again = (): void => void start(exercise ? { exercise: exercise.id } : { plan: record.plan });
  return (
    <section className={clsx('vessel', 'now-card', styles['debrief'])} aria-label={t('rehearse.debrief')}>
      <p className="now-part">{t('rehearse.debrief')}</p>
      <h1 className="now-title">
        {exercise === null
          ? t('rehearse.that-was-the-rehearsal')
          : passed
            ? t('rehearse.passed', { name: exercise.name })
            : t('rehearse.not-yet', { name: exercise.name })}
      </h1>
      {exercise && (
        <p className={passed ? styles['debrief-learnt'] : 'now-detail'}>
          {textOf(passed ? exercise.learnt : t('rehearse.passed-when', { passMark: exercise.passMark }))}
        </p>
      )}
      {debrief && debrief.lines.length > 0 && (
        <table className={clsx('plain-table', styles['debrief-lines'])}>
          <thead>
            <tr>
              <th scope="col">
                <span className="visually-hidden">{t('rehearse.what')}</span>
              </th>
              <th scope="col">{t('rehearse.planned')}</th>
              <th scope="col">{t('rehearse.came-out')}</th>
            </tr>
          </thead>
          <tbody>
            {debrief.lines.map(({ topic, title, planned, was, good }) => (
              <tr key={topic}>
                <th scope="row">{textOf(title)}</th>
                <td>{textOf(planned)}</td>
                <td className={good ? styles['good'] : styles['bad']}>
                  <span aria-hidden>{good ? '● ' : '▲ '}</span>
                  {textOf(was)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {debrief && (
        <>
          <h2>{debrief.differently.length > 0 ? t('rehearse.next-time') : t('rehearse.nothing-to-do-differently')}</h2>
          <ol className="reasons">
            {debrief.differently.map((text) => (
              <li key={textOf(text)}>{textOf(text)}</li>
            ))}
          </ol>
        </>
      )}
      <div className="now-buttons">
        {passed && next ? (
          <button
            type="button"
            className="big-button"
            disabled={busy}
            onClick={() => void start({ exercise: next.id })}
          >
            {t('rehearse.next', { name: next.name })}
          </button>
        ) : (
          <button type="button" className="big-button" disabled={busy} onClick={again}>
            {t('rehearse.do-it-again')}
          </button>
        )}
        <div className="now-others">
          {passed && next && (
            <Button size="large" onClick={again}>
              {t('rehearse.do-it-again')}
            </Button>
          )}
          <Button size="large" onClick={() => void navigate('/rehearse')}>
            {t('rehearse.back-to-the-exercises')}
          </Button>
        </div>
      </div>
    </section>
  );
}
