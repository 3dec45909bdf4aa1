import type { StoredKept } from '@hervir/contract';
import { aheadText, keptCaution, keptUntil, WARM_WAYS, type AheadTask, type Kept } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { App, Button, Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { AheadRow } from '../shared/ahead-list';
import { DinnerTime } from '../shared/dinner-time';
import { useUndo } from '../shared/use-undo';
import { useUnits } from '../shared/use-units';
import { counted, longDay, WARM_WORDS, wallClockOf } from '../shared/words';
import { reckoner } from '../workers/reckoner';
import { useDayAlarms } from '../tonight/use-day-alarms';
import type { Answer } from '../workers/reckoning';
import { useKept, useKeptActions } from './use-kept';
import styles from './kept-list.module.css';

/** What is left of meals: where it lies and until when it is good; used up, thrown away, or chosen for a meal. */
export function KeptList({ now }: { readonly now: Date }): ReactNode {
  const { data } = useKept();
  const kept = [...(data ?? [])].sort((a, b) => Date.parse(keptUntil(a.kept)) - Date.parse(keptUntil(b.kept)));
  if (kept.length === 0) return null;
  return (
    <section aria-label="Kept" className="kept">
      <h2>In the fridge and the freezer</h2>
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
  const { message } = App.useApp();
  const undo = useUndo();
  const [choosing, setChoosing] = useState(false);
  const { name, portions, grams, place, since, eatAt, warm } = kept;
  const until = keptUntil(kept);
  const past = Date.parse(until) < now.getTime();
  const save = async (next: Partial<Kept>, said?: string): Promise<void> => {
    try {
      await actions.save(id, { ...kept, ...next });
      if (said !== undefined) undo(id, said, () => void save(kept));
    } catch (error) {
      void message.error(error instanceof Error ? error.message : String(error));
    }
  };
  const choose = choosing ? 'Not now' : eatAt === null ? 'Eat it' : 'Another time';
  return (
    <li className="card" aria-label={name}>
      <p>
        <strong>{name}</strong>{' '}
        <span className="dim">
          {counted(portions, 'portion', 'portions')}, {print('mass', grams)}, in the {place} since {longDay(since)}
        </span>
      </p>
      <p className={past ? styles['kept-past'] : 'dim'}>
        {past ? `▲ Its day was ${longDay(until)}.` : `Good until ${longDay(until)}.`}
      </p>
      {eatAt !== null && (
        <KeptTasks
          kept={kept}
          now={now}
          onDone={({ kind }) =>
            kind === 'thaw-fridge'
              ? void save({ place: 'fridge', since: wallClockOf(now) })
              : void save({ gone: 'eaten' }, `${name} is eaten.`)
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
            aria-label="Warmed how"
            value={warm}
            options={WARM_WAYS.map((value) => ({ value, label: WARM_WORDS[value] }))}
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
          <Button aria-label={`Not for a meal: ${name}`} onClick={() => void save({ eatAt: null })}>
            Not for a meal
          </Button>
        )}
        <Button aria-label={`Used up: ${name}`} onClick={() => void save({ gone: 'eaten' }, `${name} is used up.`)}>
          Used up
        </Button>
        <Button
          type={past ? 'primary' : 'default'}
          aria-label={`Thrown away: ${name}`}
          onClick={() => void save({ gone: 'thrown' }, `${name} is thrown away.`)}
        >
          Thrown away
        </Button>
        {place === 'fridge' && (
          <Button
            aria-label={`Freeze it: ${name}`}
            onClick={() => void save({ place: 'freezer', since: wallClockOf(now) }, `${name} is in the freezer.`)}
          >
            Freeze it
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
  const { system } = useUnits();
  const found = useQuery({
    queryKey: ['kept-tasks', kept],
    queryFn: async (): Promise<Answer<AheadTask[]>> => reckoner('beside').keptTasks(kept),
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  }).data;
  const tasks = found?.ok === true ? found.value : NONE;
  const alarms = useMemo(() => tasks.map((task) => ({ of: kept.name, task })), [tasks, kept.name]);
  useDayAlarms(alarms, now);
  if (tasks.length === 0) return null;
  return (
    <div className="ahead-box">
      <ul className="ahead-list">
        {tasks.map((task) => (
          <AheadRow key={task.id} task={task} now={now} caution={keptCaution(task, system)}>
            <Button type="primary" aria-label={`Done: ${aheadText(task)}`} onClick={() => onDone(task)}>
              Done
            </Button>
          </AheadRow>
        ))}
      </ul>
    </div>
  );
}
