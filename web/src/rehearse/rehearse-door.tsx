import { clockTime, dayOf, wallClockOf } from '../shared/words';
import type { RehearsalSummary } from '@hervir/contract';
import { EXERCISE_LIST } from '@hervir/core';
import { Button, Checkbox, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { request } from '../api/client';
import { keys, queryClient, useBraises, useRehearsals } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { usePreferences } from '../state/preferences';
import { useStartRehearsal } from './use-start';
import { clsx } from 'clsx';
import styles from './rehearse.module.css';
import { t, textOf } from '../language/t';
import { lowerFirst, say, type Text } from '@hervir/language';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

const MARK_WORDS: Readonly<Record<RehearsalSummary['mark'], Text>> = {
  passed: say('rehearse.passed-2'),
  failed: say('rehearse.not-yet-2'),
  'under-way': '',
};

/** What came of a run, in a few words. */
function outcome({ mark, finished, debrief }: RehearsalSummary): string {
  if (!finished) return t('rehearse.under-way');
  const word = MARK_WORDS[mark];
  if (word !== '') return textOf(word);
  const bad = (debrief?.lines ?? []).filter(({ good }) => !good).map(({ title }) => lowerFirst(textOf(title)));
  return bad.length === 0 ? t('rehearse.as-planned') : `▲ ${bad.join(', ')}`;
}

/** Exercises from easy to hard, a rehearsal of an own plan, and what was rehearsed so far. */
export function RehearseDoor(): ReactNode {
  const rehearsals = useRehearsals();
  const braises = useBraises();
  const { start, busy } = useStartRehearsal();
  const [plan, setPlan] = useState<string | null>(null);
  const [scatter, setScatter] = useState(false);
  const { offersCooker: offers, offerCooker: offer } = usePreferences();
  const passed = new Set(
    (rehearsals.data ?? []).filter(({ mark }) => mark === 'passed').map(({ exercise }) => exercise),
  );
  const first = EXERCISE_LIST.find(({ id }) => !passed.has(id));
  return (
    <div className={clsx('room', styles['rehearse-door'])}>
      <h1>{t('app.rehearse')}</h1>
      <p className="dim">{t('rehearse.a-simulated-cooker-driven-by')}</p>
      <Checkbox checked={offers} onChange={(event) => offer(event.target.checked)}>
        {t('rehearse.offer-the-simulated-cooker-at')}
      </Checkbox>
      <ol className={styles['exercises']} aria-label={t('rehearse.exercises')}>
        {EXERCISE_LIST.map((exercise, i) => (
          <li key={exercise.id} className={clsx('card', styles['exercise'])}>
            <h2>
              {i + 1}. {textOf(exercise.name)}
              {passed.has(exercise.id) && <span className={styles['exercise-passed']}>{t('rehearse.passed-2')}</span>}
            </h2>
            <p>{textOf(exercise.task)}</p>
            <p className="dim">{t('rehearse.passed-when', { passMark: exercise.passMark })}</p>
            <Button
              type={exercise === first ? 'primary' : 'default'}
              disabled={busy}
              aria-label={t('rehearse.begin', { name: exercise.name })}
              onClick={() => void start({ exercise: exercise.id })}
            >
              {passed.has(exercise.id) ? t('rehearse.again') : t('rehearse.begin-2')}
            </Button>
          </li>
        ))}
      </ol>
      <div className="columns">
        <section aria-label={t('rehearse.rehearse-a-plan')}>
          <h2>{t('rehearse.rehearse-a-plan-of-yours')}</h2>
          <div className={styles['rehearse-own']}>
            <Select
              aria-label={t('rehearse.plan-to-rehearse')}
              placeholder={t('rehearse.which-plan')}
              value={plan}
              onChange={setPlan}
              options={(braises.data ?? []).map(({ id, name }) => ({ value: id, label: name }))}
            />
            <Checkbox checked={scatter} onChange={(event) => setScatter(event.target.checked)}>
              {t('rehearse.with-luck-the-animal-may')}
            </Checkbox>
            <Button
              disabled={plan === null || busy}
              onClick={() => plan !== null && void start({ braiseId: plan, scatter })}
            >
              {t('rehearse.rehearse-it')}
            </Button>
          </div>
        </section>
        <section aria-label={t('rehearse.rehearsed-so-far')}>
          <h2>{t('rehearse.rehearsed-so-far')}</h2>
          {rehearsals.error ? (
            <Trouble
              what={t('rehearse.the-rehearsals-cannot-be-shown')}
              error={rehearsals.error}
              again={() => void rehearsals.refetch()}
            />
          ) : (rehearsals.data ?? []).length === 0 ? (
            <p className="dim">{t('rehearse.nothing-yet-the-first-exercise')}</p>
          ) : (
            <Runs runs={rehearsals.data ?? []} />
          )}
        </section>
      </div>
    </div>
  );
}

function Runs({ runs }: { readonly runs: readonly RehearsalSummary[] }): ReactNode {
  const remove = async (id: string): Promise<void> => {
    try {
      await request('DELETE', `/rehearsals/${id}`);
      await queryClient.invalidateQueries({ queryKey: keys.rehearsals });
    } catch (error) {
      toastTrouble(t('shared.not-deleted', { why: whyOf(error) }));
    }
  };
  return (
    <ul className={styles['runs']}>
      {runs.map((run) => (
        <li key={run.id}>
          <span className="figure dim">
            {dayOf(wallClockOf(run.createdAt), 'short')} {clockTime(wallClockOf(run.createdAt))}
          </span>
          <Link to={`/rehearse/${run.id}`}>{run.name}</Link>
          <span>{outcome(run)}</span>
          <Button type="text" aria-label={t('rehearse.delete', { name: run.name })} onClick={() => void remove(run.id)}>
            ×
          </Button>
        </li>
      ))}
    </ul>
  );
}
