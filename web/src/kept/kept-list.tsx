import type { StoredKept } from '@hervir/contract';
import { aheadText, keptCaution, keptUntil, WARM_WAYS, type AheadTask, type Kept } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { AheadRow } from '../shared/ahead-list';
import { DinnerTime } from '../shared/dinner-time';
import { undoToast } from '../shared/undo-toast';
import { useUnits } from '../shared/use-units';
import { inWords, longDay, WARM_WORDS, wallClockOf } from '../shared/words';
import { forecastWorker } from '../workers/forecast-worker';
import { useDayAlarms } from '../tonight/use-day-alarms';
import type { Answer } from '../workers/answer';
import { useKept, useKeptActions } from './use-kept';
import styles from './kept-list.module.css';
import { orNull, t, textOf } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

/** What is left of meals: where it lies and until when it is good; used up, thrown away, or chosen for a meal. */
export function KeptList({ now }: { readonly now: Date }): ReactNode {
  const { data } = useKept();
  const kept = [...(data ?? [])].sort((a, b) => Date.parse(keptUntil(a.kept)) - Date.parse(keptUntil(b.kept)));
  if (kept.length === 0) return null;
  return (
    <section aria-label={t('kept.kept')} className="kept">
      <h2>{t('kept.in-the-fridge-and-the')}</h2>
      <ul className={styles['kept-list']}>
        {kept.map((one) => (
          <KeptItem key={one.id} stored={one} now={now} />
        ))}
      </ul>
    </section>
  );
}

function KeptItem({ stored: { id, kept }, now }: { readonly stored: StoredKept; readonly now: Date }): ReactNode {
  const { print } = useUnits();
  const actions = useKeptActions();
  const [choosing, setChoosing] = useState(false);
  const { name, portions, grams, place, since, eatAt, warm } = kept;
  const until = keptUntil(kept);
  const past = Date.parse(until) < now.getTime();
  const save = async (next: Partial<Kept>, said?: string): Promise<void> => {
    try {
      await actions.save(id, { ...kept, ...next });
      if (said !== undefined) undoToast(id, said, () => void save(kept));
    } catch (error) {
      toastTrouble(whyOf(error));
    }
  };
  const choose = choosing ? t('kept.not-now') : eatAt === null ? t('kept.eat-it') : t('kept.another-time');
  return (
    <li className="card" aria-label={name}>
      <p>
        <strong>{name}</strong>{' '}
        <span className="dim">
          {t('kept.in-the-since', {
            portions,
            portionsWords: inWords(portions),
            mass: print('mass', grams),
            place,
            day: longDay(since),
          })}
        </span>
      </p>
      <p className={past ? styles['kept-past'] : 'dim'}>
        {past ? t('kept.its-day-was', { day: longDay(until) }) : t('kept.good-until', { day: longDay(until) })}
      </p>
      {eatAt !== null && (
        <KeptTasks
          kept={kept}
          now={now}
          onDone={({ kind }) =>
            kind === 'thaw-fridge'
              ? void save({ place: 'fridge', since: wallClockOf(now) })
              : void save({ gone: 'eaten' }, t('kept.is-eaten', { name }))
          }
        />
      )}
      {choosing && (
        <div className={styles['kept-choose']}>
          <DinnerTime
            now={now}
            serveAt={eatAt}
            onServeAt={(at) => {
              setChoosing(false);
              void save({ eatAt: at });
            }}
          />
          <Select
            aria-label={t('kept.warmed-how')}
            value={warm}
            options={WARM_WAYS.map((value) => ({ value, label: textOf(WARM_WORDS[value]) }))}
            onChange={(value) => void save({ warm: value })}
          />
        </div>
      )}
      <div className={styles['kept-press']}>
        <Button
          type={eatAt === null && !past ? 'primary' : 'default'}
          aria-label={`${choose}: ${name}`}
          onClick={() => setChoosing(!choosing)}
        >
          {choose}
        </Button>
        {eatAt !== null && (
          <Button aria-label={t('kept.not-for-a-meal-2', { name })} onClick={() => void save({ eatAt: null })}>
            {t('kept.not-for-a-meal')}
          </Button>
        )}
        <Button
          aria-label={t('kept.used-up-2', { name })}
          onClick={() => void save({ gone: 'eaten' }, t('kept.is-used-up', { name }))}
        >
          {t('kept.used-up')}
        </Button>
        <Button
          type={past ? 'primary' : 'default'}
          aria-label={t('kept.thrown-away-2', { name })}
          onClick={() => void save({ gone: 'thrown' }, t('kept.is-thrown-away', { name }))}
        >
          {t('kept.thrown-away')}
        </Button>
        {place === 'fridge' && (
          <Button
            aria-label={t('kept.freeze-it-2', { name })}
            onClick={() =>
              void save({ place: 'freezer', since: wallClockOf(now) }, t('kept.is-in-the-freezer', { name }))
            }
          >
            {t('kept.freeze-it')}
          </Button>
        )}
      </div>
    </li>
  );
}

const NONE: readonly AheadTask[] = [];

/** What its meal asks for, each with its hour. */
function KeptTasks({
  kept,
  now,
  onDone,
}: {
  readonly kept: Kept;
  readonly now: Date;
  readonly onDone: (task: AheadTask) => void;
}): ReactNode {
  const query = useQuery({
    queryKey: ['kept-tasks', kept],
    queryFn: async (): Promise<Answer<AheadTask[]>> => forecastWorker('beside').keptTasks(kept),
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  }).data;
  const tasks = query?.ok === true ? query.value : NONE;
  const alarms = useMemo(() => tasks.map((task) => ({ of: kept.name, task })), [tasks, kept.name]);
  useDayAlarms(alarms, now);
  if (tasks.length === 0) return null;
  return (
    <div className="ahead-box">
      <ul className="ahead-list">
        {tasks.map((task) => (
          <AheadRow key={task.id} task={task} now={now} caution={orNull(keptCaution(task))}>
            <Button
              type="primary"
              aria-label={t('kept.done-2', { aheadText: aheadText(task) })}
              onClick={() => onDone(task)}
            >
              {t('kept.done')}
            </Button>
          </AheadRow>
        ))}
      </ul>
    </div>
  );
}
