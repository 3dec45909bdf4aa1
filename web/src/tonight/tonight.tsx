import { DEFAULT_KITCHEN, withSpare } from '@hervir/core';
import { Button } from 'antd';
import { Suspense, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useCookers, useCreateBraise, useHealth, useRunning, useSettings } from '../api/queries';
import { lateStart } from '../shared/late-start';
import { useNow } from '../shared/use-now';
import { useBeside } from '../workers/use-beside';
import { useForecast } from '../workers/use-forecast';
import { usePreferences } from '../state/preferences';
import { Answer } from './answer';
import { beginningOf } from './beginning';
import { Gaps } from './gaps';
import { Plans } from './plans';
import { firstAsked, keepAsked, planOf, stillAhead, type Asked } from './sentence';
import { Sketch } from './sketch';
import { clsx } from 'clsx';
import styles from './tonight.module.css';
import { t, textOf } from '../language/t';
import { later, soon } from '../shared/later';

/** Fetched a moment after the first load: what stands below the answer. */
const Lately = soon(() => import('./lately').then((module) => module.Lately));

const ForPeople = soon(() => import('./for-people').then((module) => module.ForPeople));
const KeptList = soon(() => import('../kept/kept-list').then((module) => module.KeptList));

/** Fetched when it is asked for: nobody asks why before there is an answer. */
const WhyDrawer = later(() => import('./why-drawer').then((module) => module.WhyDrawer));

/** Only in a kitchen that is new. */
const FirstSteps = soon(() => import('./first-steps').then((module) => module.FirstSteps));

/** Only while something cooks. */
const OnTheFire = soon(() => import('../cook/on-the-fire').then((module) => module.OnTheFire));

/** The first room: one sentence with gaps that answers as it is filled, before anything is saved. */
export function Tonight(): ReactNode {
  const now = useNow();
  const [asked, setAsked] = useState<Asked>(() => firstAsked(now));
  // Drawn again at once, as what is asked is the next evening's by now.
  const ahead = stillAhead(asked, now);
  if (ahead !== asked) setAsked(ahead);
  const [gramsFault, setGramsFault] = useState<string | null>(null);
  const [timeFault, setTimeFault] = useState<string | null>(null);
  const typedFault = gramsFault ?? timeFault;
  const cookers = useCookers().data;
  const settings = useSettings().data;
  const cooking = (useRunning().data ?? []).length > 0;
  const demo = useHealth().data?.demo;
  const isNew = !usePreferences((state) => state.firstStepsOver) && demo === false;
  const navigate = useNavigate();
  const create = useCreateBraise();
  const [whyShown, setWhyShown] = useState(false);
  /** Once asked for it stays, so that it can close as it opened. */
  const [whyAsked, setWhyAsked] = useState(false);

  const cooker = cookers?.find(({ id }) => id === asked.cookerId) ?? cookers?.[0];
  const plan = useMemo(
    () =>
      settings && cookers
        ? planOf(asked, cooker?.cooker, settings.kitchen ?? DEFAULT_KITCHEN, settings.confidence)
        : null,
    [asked, cooker, cookers, settings],
  );
  const { forecast, fault, broken } = useForecast(plan);
  // Where it is too late, or nobody has said when to eat, nobody asks how sure dinner is.
  const isAhead = forecast !== null && forecast.clock.startAt !== null && lateStart(forecast.clock, now) === null;
  const odds = useBeside('dinner', isAhead ? forecast.plan : null);
  const wantsSure = usePreferences((state) => state.beginsSure);
  const setBeginsSure = usePreferences((state) => state.setBeginsSure);
  const beginning = forecast && beginningOf(forecast, odds, wantsSure, now);
  useEffect(() => keepAsked(asked), [asked]);

  const change = (part: Partial<Asked>): void => setAsked((before) => ({ ...before, ...part }));
  const open = (): void => {
    if (plan === null) return;
    // Begun earlier it has that to spare: what is on the bench begins when this room said.
    const begun = withSpare(plan, forecast?.clock.tasks ?? [], beginning?.taken.spare ?? 0);
    create.mutate({ ...plan, ...begun }, { onSuccess: ({ id }) => void navigate(`/bench/${id}`) });
  };

  return (
    <div className="room">
      <h1 className="visually-hidden">{t('app.tonight')}</h1>
      <Gaps
        asked={asked}
        now={now}
        cookers={cookers}
        cooker={cooker}
        change={change}
        onGramsFault={setGramsFault}
        onTimeFault={setTimeFault}
      />

      <section className={clsx('vessel', styles['answer'])} aria-label={t('tonight.the-answer')} aria-live="polite">
        <div>
          <Answer
            forecast={forecast}
            fault={typedFault ?? (fault ? textOf(fault.problem) : broken)}
            allowed={typedFault === null && fault ? textOf(fault.allowed) : undefined}
            now={now}
            beginning={beginning}
            onOther={() => setBeginsSure(!wantsSure)}
          />
          <Suspense fallback={null}>
            <ForPeople
              cut={asked.cut}
              form={asked.form}
              grams={asked.grams}
              feeds={forecast?.yield.portions ?? null}
              servings={asked.servings}
              onServings={(servings) => change({ servings })}
              onGrams={(grams) => change({ grams })}
            />
          </Suspense>
        </div>
        <div>{forecast && <Sketch forecast={forecast} />}</div>
        <div className={styles['answer-actions']}>
          <Button
            type="primary"
            size="large"
            onClick={open}
            loading={create.isPending}
            disabled={plan === null || fault !== null || typedFault !== null}
          >
            {t('tonight.open-on-the-bench')}
          </Button>
          <Button onClick={() => void navigate('/recipe')}>{t('app.from-a-recipe')}</Button>
          <Button
            onClick={() => {
              setWhyShown(true);
              setWhyAsked(true);
            }}
            disabled={forecast === null}
          >
            {t('tonight.why-these-minutes')}
          </Button>
          {create.error && (
            <p role="alert" style={{ color: 'var(--ember)' }}>
              {t('tonight.not-kept-2', { message: create.error.message })}
            </p>
          )}
        </div>
      </section>

      {cooking && (
        <Suspense fallback={null}>
          <OnTheFire />
        </Suspense>
      )}

      {isNew && (
        <Suspense fallback={null}>
          <FirstSteps />
        </Suspense>
      )}

      <Plans now={now} />

      <Suspense fallback={null}>
        <KeptList now={now} />
      </Suspense>

      <Suspense fallback={null}>
        <Lately />
      </Suspense>

      {whyAsked && (
        <Suspense fallback={null}>
          <WhyDrawer open={whyShown} reasons={forecast?.reasons ?? []} onClose={() => setWhyShown(false)} />
        </Suspense>
      )}
    </div>
  );
}
