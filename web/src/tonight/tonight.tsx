import {
  cutById,
  inTen,
  LIMITS,
  TARGET_WORDS,
  DEFAULT_KITCHEN,
  shiftIso,
  type Forecast,
  upperFirst,
} from '@hervir/core';
import { Button, Select, Spin } from 'antd';
import { lazy, Suspense, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useCookers, useCreateBraise, useHealth, useRunning, useSettings } from '../api/queries';
import { QuantityInput } from '../shared/quantity-input';
import { TimeInput } from '../shared/time-input';
import { lateStart } from '../shared/late-start';
import { mealWords } from '../shared/meal-words';
import { useNow } from '../shared/use-now';
import { clockTime, CUT_OPTIONS, dayOptions, dayWord, FORM_PHRASES, inSentence } from '../shared/words';
import { useBeside } from '../workers/use-beside';
import { useForecast } from '../workers/use-forecast';
import { usePreferences } from '../state/preferences';
import { Plans } from './plans';
import { firstAsked, keepAsked, planOf, type Asked } from './sentence';
import { Sketch } from './sketch';
import { clsx } from 'clsx';
import styles from './tonight.module.css';

/** Not in the first load: it stands below the plans. */
const Lately = lazy(() => import('./lately').then((module) => ({ default: module.Lately })));

/** Not in the first load: nobody asks why before there is an answer. */
const ForPeople = lazy(() => import('./for-people').then((module) => ({ default: module.ForPeople })));
const KeptList = lazy(() => import('../kept/kept-list').then((module) => ({ default: module.KeptList })));
const WhyDrawer = lazy(() => import('./why-drawer').then((module) => ({ default: module.WhyDrawer })));

/** Only in a kitchen that is new. */
const FirstSteps = lazy(() => import('./first-steps').then((module) => ({ default: module.FirstSteps })));

/** Nor this: it comes with the first cook. */
const OnTheFire = lazy(() => import('../cook/on-the-fire').then((module) => ({ default: module.OnTheFire })));

/** The first room: one sentence with gaps that answers as it is filled, before anything is saved. */
export function Tonight(): ReactNode {
  const now = useNow();
  const [asked, setAsked] = useState<Asked>(() => firstAsked(now));
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
  useEffect(() => keepAsked(asked), [asked]);

  const change = (part: Partial<Asked>): void => setAsked((before) => ({ ...before, ...part }));
  const cut = cutById(asked.cut);
  const open = (): void => {
    if (plan === null) return;
    create.mutate(plan, { onSuccess: ({ id }) => void navigate(`/bench/${id}`) });
  };

  return (
    <div className="room">
      <h1 className="visually-hidden">Tonight</h1>
      <div className={styles['sentence-gaps']} role="group" aria-label="What is for dinner">
        I have{' '}
        <span className={styles['gap']}>
          <QuantityInput
            label="How much meat"
            kind="mass"
            value={asked.grams}
            range={LIMITS.meatGrams}
            fitText
            describedBy="tonight-fault"
            onFault={setGramsFault}
            onChange={(grams) => grams !== undefined && change({ grams })}
          />
        </span>{' '}
        of{' '}
        <span className={styles['gap']}>
          <Select
            aria-label="Which cut"
            value={asked.cut}
            showSearch={{
              filterOption: (typed, option) => {
                const text = `${String(option?.label ?? '')} ${String((option as { also?: string } | undefined)?.also ?? '')}`;
                return text.toLowerCase().includes(typed.toLowerCase());
              },
            }}
            popupMatchSelectWidth={240}
            options={CUT_OPTIONS}
            onChange={(id) => {
              const { forms } = cutById(id);
              change({ cut: id, form: forms.includes(asked.form) ? asked.form : (forms[0] ?? 'whole') });
            }}
          />
        </span>
        ,{' '}
        <span className={styles['gap']}>
          <Select
            aria-label="Cut how"
            value={asked.form}
            popupMatchSelectWidth={200}
            options={cut.forms.map((form) => ({ value: form, label: FORM_PHRASES[form] }))}
            onChange={(form) => change({ form })}
          />
        </span>
        , for{' '}
        <span className={styles['gap']}>
          <Select
            aria-label="Which cooker"
            value={cooker?.id ?? 'usual'}
            popupMatchSelectWidth={240}
            options={
              cookers && cookers.length > 0
                ? cookers.map(({ id, cooker: { name } }) => ({ value: id, label: inSentence(name) }))
                : [{ value: 'usual', label: 'an electric pot' }]
            }
            onChange={(cookerId) => change({ cookerId })}
          />
        </span>
        , and we eat at{' '}
        <span className={styles['gap']}>
          <TimeInput
            label="When we eat"
            value={asked.time}
            style={{ width: '4.2em' }}
            describedBy="tonight-fault"
            onFault={setTimeFault}
            onChange={(time) => change({ time })}
          />
        </span>{' '}
        <span className={styles['gap']}>
          <Select
            aria-label="Which day"
            value={asked.day}
            popupMatchSelectWidth={180}
            options={dayOptions(asked.day, now)}
            onChange={(day) => change({ day })}
          />
        </span>
        .
      </div>

      <section className={clsx('vessel', styles['answer'])} aria-label="The answer" aria-live="polite">
        <div>
          <Answer
            forecast={forecast}
            fault={typedFault ?? fault?.problem ?? broken}
            allowed={typedFault === null ? fault?.allowed : undefined}
            now={now}
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
            Open on the bench
          </Button>
          <Button onClick={() => void navigate('/recipe')}>From a recipe</Button>
          <Button
            onClick={() => {
              setWhyShown(true);
              setWhyAsked(true);
            }}
            disabled={forecast === null}
          >
            Why these minutes
          </Button>
          {create.error && (
            <p role="alert" style={{ color: 'var(--ember)' }}>
              Not kept: {create.error.message}
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

interface AnswerProps {
  readonly forecast: Forecast | null;
  readonly fault: string | null | undefined;
  readonly allowed: string | undefined;
  readonly now: Date;
}

function Answer({ forecast, fault, allowed, now }: AnswerProps): ReactNode {
  if (fault !== null && fault !== undefined) {
    return (
      <div role="alert" id="tonight-fault">
        <div className={styles['answer-begin']} style={{ fontSize: '1.75rem' }}>
          This cannot be cooked as it stands
        </div>
        <p>
          {fault}
          {allowed === undefined ? '' : `. Allowed: ${allowed}`}
        </p>
      </div>
    );
  }
  if (forecast === null) return <Spin description="Reckoning" />;
  const { chance } = forecast.tenderness;
  const { startAt } = forecast.clock;
  const late = lateStart(forecast.clock, now);
  const sure = inTen(chance.at + chance.past);
  const odds = `${upperFirst(sure)} that ${TARGET_WORDS[forecast.plan.target]}.`;
  const below = `${forecast.pressureMinutes} minutes under pressure, ${Math.round(forecast.pot.releaseMinutes)} for the pressure to fall. ${odds}`;
  if (startAt === null) return <p>{below}</p>;
  if (late !== null) {
    return (
      <>
        <div className={styles['answer-begin']}>Begin now</div>
        <p>
          Too late for {clockTime(forecast.clock.eatAt ?? '')}: begun now, dinner is at{' '}
          <strong>{clockTime(late.dinnerAt)}</strong>. {below}
        </p>
      </>
    );
  }
  return (
    <>
      <div className={styles['answer-begin']}>
        Begin {clockTime(startAt)}
        {dayWord(startAt, now) === 'today' ? (
          ''
        ) : (
          <small style={{ fontSize: '0.5em', fontWeight: 500 }}> {dayWord(startAt, now)}</small>
        )}
      </div>
      <p>
        {below} <InTime forecast={forecast} />
      </p>
    </>
  );
}

/** How sure one may want a dinner to be before one sits down to wait for it. */
const FAIRLY_SURE = 0.8;

/** How sure dinner is by its time, and when to begin to be fairly sure; nothing until that is reckoned. */
function InTime({ forecast }: { readonly forecast: Forecast }): ReactNode {
  const odds = useBeside('dinner', forecast.plan);
  const { startAt, eatAt } = forecast.clock;
  const surer = odds?.beginnings.find(({ chance }) => chance === FAIRLY_SURE);
  if (odds === null || startAt === null || eatAt === null) return null;
  return (
    <>
      {mealWords(forecast.plan.cookAhead !== undefined).by} {clockTime(eatAt)}: {inTen(odds.inTime)}
      {surer && surer.earlier > 0
        ? `; begun ${clockTime(shiftIso(startAt, -surer.earlier))}, ${inTen(FAIRLY_SURE)}`
        : ''}
      .
    </>
  );
}
