import { dayOf } from '../shared/words';
import type { LogRecord } from '@hervir/contract';
import { cookState, driftCauses } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Popconfirm } from 'antd';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Refused, request } from '../api/client';
import { keys } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useUnits } from '../shared/use-units';
import { BesideCard } from './beside-card';
import { CameOutCard } from './came-out-card';
import { CauseBars } from './cause-bars';
import { CorrectionsCard } from './corrections-card';
import { HappenedCard } from './happened-card';
import { PlannedActual } from './planned-actual';
import { PlannedCard } from './planned-card';
import { useEntry, type EntryActions } from './use-entry';
import { cameOut, cutName, lateWords, RESULT_SHAPES } from './words';
import { clsx } from 'clsx';
import styles from './log.module.css';
import { rich, t } from '../language/t';

/** One cook of the log: planned against actual, how it came out, and what to do next. */
export function LogEntryPage(): ReactNode {
  const { id = '' } = useParams();
  const opened = useQuery({ queryKey: [...keys.log, id], queryFn: () => request<LogRecord>('GET', `/log/${id}`) });
  if (opened.error instanceof Refused && opened.error.status === 404) {
    return (
      <div className="room">
        <h1>{t('log.this-cook-is-not-in')}</h1>
        <p style={{ marginTop: 8 }}>
          {rich('log.it-is-still-running-or', { link: (words) => <Link to="/log">{words}</Link> })}
        </p>
      </div>
    );
  }
  if (opened.error) {
    return (
      <div className="room">
        <Trouble what={t('log.the-cook-cannot-be-shown')} error={opened.error} again={() => void opened.refetch()} />
      </div>
    );
  }
  return opened.data ? <Entry key={id} record={opened.data} /> : <p className="room dim">{t('app.opening')}</p>;
}

function Entry({ record }: { readonly record: LogRecord }): ReactNode {
  const { item, plan, cook } = record;
  const entry = useEntry(record);
  const state = cook ? cookState(cook.guide, cook.events, Date.parse(item.servedAt)) : null;
  return (
    <div className={clsx('room', styles['log-entry'])}>
      <EntryHead record={record} entry={entry} />
      {cook && state && <PlannedActual guide={cook.guide} state={state} eatAt={cook.guide.eatAt} />}
      <div className={styles['log-columns']}>
        <PlannedCard item={item} state={state} />
        {cook && state && <CauseBars causes={driftCauses(state, cook.guide)} dinner={state.dinner} />}
        {(item.source === 'by-hand' || item.source === 'imported') && <CorrectionsCard item={item} entry={entry} />}
        <CameOutCard item={item} plan={plan} entry={entry} />
      </div>
      <HappenedCard record={record} state={state} />
      <BesideCard item={item} />
    </div>
  );
}

/** Which cook it was, how it came out, and what can be done with it. */
function EntryHead({
  record: { item },
  entry,
}: {
  readonly record: LogRecord;
  readonly entry: EntryActions;
}): ReactNode {
  const { print } = useUnits();
  return (
    <>
      <div className="times-head">
        <div>
          <h1>{item.name}</h1>
          <p className="dim">
            {t('log.of', {
              format: dayOf(item.servedAt, 'whole'),
              mass: print('mass', item.boughtG),
              cutName: cutName(item.cut).toLowerCase(),
              cooker: item.cooker,
            })}
          </p>
        </div>
        <div className={styles['log-actions']}>
          <Button type="primary" onClick={() => void entry.again()}>
            {t('log.cook-this-again-with-what')}
          </Button>
          <Popconfirm
            title={t('log.delete-this-cook')}
            description={t('log.what-was-learnt-from-it')}
            okText={t('log.delete-it')}
            onConfirm={() => void entry.remove()}
          >
            <Button type="text">{t('log.delete')}</Button>
          </Popconfirm>
        </div>
      </div>
      <p className={clsx(styles['log-verdict'], styles['log-result'], item.result)}>
        {RESULT_SHAPES[item.result]}
        {cameOut(item)}
        {item.lateMinutes !== null && `; ${lateWords(item.lateMinutes)}`}
        {item.burns > 0 && t('log.burn-errors-2', { burns: item.burns })}
      </p>
    </>
  );
}
