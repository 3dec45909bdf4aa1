import type { RehearsalRecord } from '@hervir/contract';
import { cookState, endsInFridge, exerciseById } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Refused, request } from '../api/client';
import { useSettings } from '../api/queries';
import { actionsVia, type CookActions } from '../cook/actions';
import { usePotKeys } from '../cook/cook';
import { driftWords, ON_TIME } from '../cook/drift-words';
import { MeanwhileCard } from '../cook/meanwhile-card';
import { NowCard } from '../cook/now-card';
import type { LiveCook } from '../cook/use-cook';
import { useTick } from '../cook/use-tick';
import { mealWords } from '../shared/meal-words';
import { Trouble } from '../shared/trouble';
import { clockAt } from '../shared/words';
import { act, rehearsalMs, tellRehearsal, useRehearsal, watchRehearsal } from '../state/rehearsal-store';
import { useForecast } from '../workers/use-forecast';
import { CookerPanel } from './cooker-panel';
import { DebriefCard } from './debrief-card';
import { FaultsCard, HandsCard } from './hands-card';
import { LiveSection } from './live-section';
import { PaceBar } from './pace-bar';
import { Recorder } from './recorder';
import { clsx } from 'clsx';
import rehearseStyles from './rehearse.module.css';
import cookerPanelStyles from './cooker-panel.module.css';
import { rich, t, textOf } from '../language/t';

/** A rehearsal: the room at the pot, with a simulated cooker beside it. */
export function Rehearse(): ReactNode {
  const { id = '' } = useParams();
  const opened = useQuery({
    queryKey: ['rehearsal', id],
    queryFn: () => request<RehearsalRecord>('GET', `/rehearsals/${id}`),
    staleTime: Infinity,
    gcTime: 0,
  });
  const record = opened.data;
  useEffect(() => (record ? watchRehearsal(record) : undefined), [record]);
  if (opened.error instanceof Refused && opened.error.status === 404) {
    return (
      <div className="room">
        <h1>{t('rehearse.this-rehearsal-is-not-here')}</h1>
        <p style={{ marginTop: 8 }}>
          {rich('rehearse.it-was-thrown-away-or', { link: (words) => <Link to="/rehearse">{words}</Link> })}
        </p>
      </div>
    );
  }
  if (opened.error) {
    return (
      <div className="room">
        <Trouble
          what={t('rehearse.the-rehearsal-cannot-be-opened')}
          error={opened.error}
          again={() => void opened.refetch()}
        />
      </div>
    );
  }
  return record ? <AtTheSimulatedPot key={id} /> : <p className="room dim">{t('app.opening')}</p>;
}

/** The rehearsal as a cook at this moment, by its own clock. */
function useLive(): LiveCook | null {
  const tick = useTick();
  const record = useRehearsal((state) => state.record);
  const clock = useRehearsal((state) => state.clock);
  return useMemo(() => {
    if (!record) return null;
    // Read at every tick and whenever the cooker tells the time.
    const now = tick > 0 ? rehearsalMs({ clock }) : 0;
    return { record, now, state: cookState(record.guide, record.events, now) };
  }, [record, clock, tick]);
}

function AtTheSimulatedPot(): ReactNode {
  const live = useLive();
  return live ? <Room cook={live} /> : <p className="room dim">{t('app.opening')}</p>;
}

const nothing = (): void => undefined;

function Room({ cook }: { readonly cook: LiveCook }): ReactNode {
  const record = useRehearsal((state) => state.record) as RehearsalRecord;
  const frames = useRehearsal((state) => state.frames);
  const speed = useRehearsal((state) => state.clock.speed);
  const refused = useRehearsal((state) => state.refused);
  const reached = useRehearsal((state) => state.reached);
  const letterKeys = useSettings().data?.letterKeys ?? true;
  const { forecast } = useForecast(record.plan);
  const exercise = record.exercise === null ? null : exerciseById(record.exercise);
  const actions: CookActions = {
    ...actionsVia(cook, (kind, payload) => void tellRehearsal(kind, payload)),
    // What has been done to a pot is done.
    undo: nothing,
  };
  const burn = (): void => void tellRehearsal('burn');
  usePotKeys(cook, actions, letterKeys, burn);
  const frame = frames.at(-1);
  return (
    <div className={clsx('room', rehearseStyles['rehearse-room'])}>
      <div className={rehearseStyles['rehearse-head']}>
        <h1>{textOf(exercise?.name ?? record.name)}</h1>
        <dl className="rehearse-clocks">
          <div>
            <dt>{t('rehearse.now-2')}</dt>
            <dd className="figure">{clockAt(cook.now, record.guide.eatAt)}</dd>
          </div>
          <div>
            <dt>{textOf(mealWords(endsInFridge(record.guide)).short)}</dt>
            <dd className="figure">{clockAt(cook.state.dinner.at, record.guide.eatAt)}</dd>
          </div>
        </dl>
        <span className={cook.state.dinner.driftMinutes >= ON_TIME ? 'dinner-drift late' : 'dinner-drift'}>
          {driftWords(cook.state.dinner)}
        </span>
        {!record.finished && <PaceBar pace={record.pace} speed={speed} />}
        {!record.finished && (
          <button type="button" className={cookerPanelStyles['panel-key']} onClick={() => void act({ act: 'end' })}>
            {t('rehearse.end-it-here')}
          </button>
        )}
      </div>
      {exercise && !record.finished && <p className="dim">{textOf(exercise.task)}</p>}
      <p className={rehearseStyles['rehearse-said']} role="alert">
        {!reached
          ? rich('rehearse.the-server-is-away-time', { span: (words) => <span aria-hidden>{words}</span> })
          : refused !== null && (
              <>
                <span aria-hidden>▲ </span>
                {refused}
              </>
            )}
      </p>
      <div className={rehearseStyles['rehearse-grid']} data-over={record.finished}>
        <div className={rehearseStyles['rehearse-main']}>
          {record.finished ? (
            <DebriefCard record={record} />
          ) : (
            <NowCard
              cook={cook}
              actions={actions}
              keysShown={letterKeys}
              aside={null}
              onWrong={burn}
              fork={record.fork}
            />
          )}
          {frame && !record.finished && (
            <div className={rehearseStyles['rehearse-stack']}>
              <CookerPanel
                frame={frame}
                cooker={record.plan.cooker}
                minutes={forecast?.pressureMinutes ?? 30}
                onCommand={(command) => void act({ act: 'command', command })}
              />
              <MeanwhileCard cook={cook} actions={actions} whereAny />
            </div>
          )}
          {frame && forecast && !record.finished && <Recorder frames={frames} forecast={forecast} />}
        </div>
        <div className={rehearseStyles['rehearse-side']}>
          {frame && forecast && <LiveSection frame={frame} forecast={forecast} />}
          {/* Over, what was drawn stands beside what is said of it. */}
          {frame && forecast && record.finished && <Recorder frames={frames} forecast={forecast} />}
          {!record.finished && <HandsCard record={record} step={cook.state.now?.step ?? null} />}
          {!record.finished && <FaultsCard record={record} state={cook.state} />}
        </div>
      </div>
    </div>
  );
}
