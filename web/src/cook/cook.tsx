import { upperFirst } from '@hervir/language';
import { isTheDay } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import type { CookRecord } from '@hervir/contract';
import { Refused, request } from '../api/client';
import { keys, useRunning, useSettings } from '../api/queries';
import { isPressing, isTyping, useKeys } from '../app/shortcuts';
import { Nothing } from '../shared/nothing';
import { Trouble } from '../shared/trouble';
import { useUnits } from '../shared/use-units';
import { receiveCooks, useCooks } from '../state/cooks-store';
import { keptRunning } from '../state/device-cooks';
import { usePreferences } from '../state/preferences';
import { useForecast } from '../workers/use-forecast';
import { actionsOf, lastWords, type CookActions } from './actions';
import { AfterCard } from './after-card';
import { speak } from './bell';
import { BellBar, BellButton } from './bell-bar';
import { CookLine } from './cook-line';
import { DinnerCard } from './dinner-card';
import { useClockKnown } from './kitchen-clock';
import { LinkedCooker } from './linked-cooker';
import { MeanwhileCard } from './meanwhile-card';
import { NextCard } from './next-card';
import { NowCard } from './now-card';
import { ThrowAway } from './throw-away';
import { useCook, type LiveCook } from './use-cook';
import { useMeat } from './use-meat';
import { useWakeLock } from './use-wake-lock';
import { clsx } from 'clsx';
import styles from './cook.module.css';
import { rich, t, textOf } from '../language/t';

/** At the pot without a cook named: the one that runs, or how to begin one. */
export function CookDoor(): ReactNode {
  const running = useRunning();
  if (running.isPending) return <p className="room dim">{t('app.opening')}</p>;
  // With the server away, what this device kept is what there is.
  const [cook] = running.error ? Object.values(keptRunning()) : running.data;
  if (cook) return <Navigate to={`/cook/${cook.id}`} replace />;
  if (running.error) {
    return (
      <div className="room">
        <Trouble what={t('cook.what-is-on-the-fire')} error={running.error} again={() => void running.refetch()} />
      </div>
    );
  }
  return (
    <Nothing
      title={t('cook.nothing-is-on-the-fire')}
      ways={[
        { label: t('cook.to-the-bench'), to: '/bench' },
        { label: t('cook.rehearse-first'), to: '/rehearse' },
      ]}
    >
      {t('cook.open-a-plan-on-the')}
    </Nothing>
  );
}

/** One cook, at the pot. */
export function Cook(): ReactNode {
  const { id = '' } = useParams();
  const cook = useCook(id);
  const clockKnown = useClockKnown((clock) => clock.known);
  const opened = useQuery({
    queryKey: keys.cook(id),
    queryFn: async () => {
      const record = await request<CookRecord>('GET', `/cooks/${id}`);
      receiveCooks([record]);
      return record;
    },
    staleTime: Infinity,
    gcTime: 0,
  });
  // Before the kitchen's clock is known, a countdown would be one by a clock that may say another day.
  if (cook && clockKnown) return <AtThePot key={id} cook={cook} />;
  if (opened.error instanceof Refused && opened.error.status === 404) {
    return (
      <Nothing title={t('cook.this-cook-is-not-here')} ways={[{ label: t('app.back-to-tonight'), to: '/' }]}>
        {t('cook.it-was-never-begun-in')}
      </Nothing>
    );
  }
  if (opened.error) {
    return (
      <div className="room">
        <Trouble what={t('cook.the-cook-cannot-be-opened')} error={opened.error} again={() => void opened.refetch()} />
      </div>
    );
  }
  return <p className="room dim">{t('app.opening')}</p>;
}

/** Space is the big button; single letters are the rest, unless something else has the focus. */
export function usePotKeys(cook: LiveCook, actions: CookActions, letterKeys: boolean, onBurn: () => void): void {
  useKeys((event) => {
    if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
    if (document.querySelector('.ant-modal-wrap:not([style*="display: none"])')) return;
    const { state } = cook;
    if (event.code === 'Space') {
      if (isPressing(event.target)) return;
      event.preventDefault();
      // What the big button says, whatever it says: there is one at most.
      document.querySelector<HTMLButtonElement>('.big-button:enabled')?.click();
      return;
    }
    if (!letterKeys) return;
    switch (event.key.toLowerCase()) {
      case 'p': {
        const pin = state.steps.find(({ step: one, doneAt }) => one.done === 'pinUp' && doneAt === null);
        if (pin) actions.tell('pinUp', { step: pin.step.id });
        break;
      }
      case 'm':
        actions.more();
        break;
      case 'b':
        onBurn();
        break;
      case 'u':
        actions.undo();
        break;
      default:
    }
  });
}

/** The line under the clock while the meat cooks on. */
function asideOf(
  cook: LiveCook,
  coreC: number | null,
  print: (kind: 'temperature', value: number) => string,
): string | null {
  const section = cook.state.now?.step.section;
  if (coreC === null) return null;
  if (section === 'letting-down')
    return t('cook.the-meat-is-still-cooking', { temperature: print('temperature', coreC) });
  if (section === 'pressure' || section === 'coming-up') {
    return t('cook.in-the-middle-of-the', { temperature: print('temperature', coreC) });
  }
  return null;
}

function AtThePot({ cook }: { readonly cook: LiveCook }): ReactNode {
  const { record, state } = cook;
  const settings = useSettings().data;
  const { print } = useUnits();
  const navigate = useNavigate();
  const reached = useCooks((store) => store.reached);
  const why = useCooks((store) => store.why);
  const refused = useCooks((store) => store.refused[record.id]);
  const speaks = usePreferences((store) => store.speaks);
  const actions = actionsOf(cook);
  // The line is that of the evening; on the day nothing comes under pressure to get tender.
  const day = isTheDay(record.guide);
  const { forecast } = useForecast(day ? null : record.plan);
  const { meat, so } = useMeat(state.status === 'finished' ? null : cook);
  const letterKeys = settings?.letterKeys ?? true;
  const awake = useWakeLock(state.status === 'cooking');
  const burn = (): void => {
    actions.tell('burn');
    void navigate(`/rescue/burn?cook=${record.id}`, { state: { told: true } });
  };
  usePotKeys(cook, actions, letterKeys, burn);
  const title = state.now?.step.title;
  useEffect(() => {
    if (speaks && title !== undefined) speak(textOf(title));
  }, [speaks, title]);
  const over = state.status === 'served' || state.status === 'finished';
  const undo = lastWords(cook);
  return (
    <div className={clsx('room', styles['pot-room'])}>
      {!reached && (
        <p className={clsx('notice', styles['pot-away'])} role="status">
          {rich('cook.what-you-press-is-kept', {
            span: (words) => <span aria-hidden>{words}</span>,
            value: why === null ? t('shared.the-server-is-away') : upperFirst(why),
          })}
        </p>
      )}
      <div className={styles['pot-grid']}>
        {over ? (
          <AfterCard cook={cook} actions={actions} />
        ) : (
          <NowCard
            cook={cook}
            actions={actions}
            keysShown={letterKeys}
            aside={asideOf(cook, meat?.coreC ?? null, print)}
            onWrong={() => void navigate(`/rescue?cook=${record.id}`)}
          />
        )}
        <div className={styles['pot-side']}>
          <DinnerCard cook={cook} actions={actions} />
          {!over && <NextCard cook={cook} />}
          <MeanwhileCard cook={cook} actions={actions} />
          <div className="now-others">
            <BellButton />
            {undo !== null && (
              <button type="button" className="pot-button" onClick={actions.undo}>
                {t('cook.undo', { undo })}
              </button>
            )}
          </div>
        </div>
      </div>
      {refused && (
        <p role="alert" className={styles['pot-refused']}>
          {rich('cook.not-kept-allowed', {
            span: (words) => <span aria-hidden>{words}</span>,
            problem: refused.problem,
            allowed: refused.allowed,
          })}
        </p>
      )}
      {forecast && <CookLine cook={cook} forecast={forecast} meat={meat} so={so} />}
      <BellBar awake={awake} />
      {!over && !day && <LinkedCooker cook={cook} />}
      {!over && <ThrowAway id={record.id} />}
    </div>
  );
}
