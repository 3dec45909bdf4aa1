import { printDuration, upperFirst } from '@hervir/language';
import {
  afterBusyPot,
  clashesOf,
  partAhead,
  scheduleTogether,
  type Forecast,
  type TimeSaver,
  type Plan,
} from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useBraises } from '../api/queries';
import { AheadList } from '../shared/ahead-list';
import { DinnerTime } from '../shared/dinner-time';
import { LinkButton } from '../shared/link-button';
import { useBusyPots } from '../shared/use-busy-pots';
import { useOnTheFire } from '../shared/use-on-the-fire';
import { useNow } from '../shared/use-now';
import { useReckoned } from '../shared/use-reckoned';
import { Verdict } from '../shared/verdict';
import { clockAt, clockTime, dayWord, inSentence } from '../shared/words';
import { forecastWorker } from '../workers/forecast-worker';
import type { Answer } from '../workers/answer';
import { CookAheadPanel } from './cook-ahead';
import { DinnerOddsPanel } from './dinner-odds';
import { Sides } from './sides';
import type { Edit } from './station';
import styles from './clock-panel.module.css';
import { rich, t, textOf } from '../language/t';

interface Props {
  readonly id: string;
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly edit: Edit;
}

/** Farther off than this a day says more than hours. */
const SOON_MINUTES = 12 * 60;

/** The clock: when to begin at the latest, what clashes and what mends it, side dishes, other braises, and ways out. */
export function ClockPanel({ id, plan, forecast, edit }: Props): ReactNode {
  const { clock } = forecast;
  const now = useNow();
  // Of what is cooked already only its day is ahead: nothing of the evening is late, or could be made shorter.
  const cooked = partAhead(plan) === 'day';
  const clashes = clashesOf(clock.tasks);
  const left = clock.startAt === null ? null : (Date.parse(clock.startAt) - now.getTime()) / 60_000;
  const late = !cooked && left !== null && left < -1;
  // The day it is eaten stands with what is cooked ahead.
  const before = forecast.ahead.filter(({ kind }) => kind !== 'warm' && kind !== 'cook');
  const moved = Object.keys(plan.moved).length > 0;
  return (
    <div className={styles['clock-panel']}>
      <section aria-label={t('bench.when-to-begin')}>
        {clock.startAt === null || left === null ? (
          <>
            <p className="dim">{t('bench.say-when-you-eat-and')}</p>
            <DinnerTime now={now} onServeAt={(serveAt) => edit((before) => ({ ...before, serveAt }))} />
          </>
        ) : cooked ? (
          <Verdict tone="fits">{t('bench.it-is-cooked-what-is')}</Verdict>
        ) : late ? (
          <Verdict tone="wrong">
            {t('bench.too-late-for-what-makes', { duration: printDuration(-left), time: clockTime(clock.eatAt ?? '') })}
          </Verdict>
        ) : (
          <Verdict tone="fits">
            {t('bench.begin-at-the-latest', {
              time: clockTime(clock.startAt),
              value:
                left < SOON_MINUTES
                  ? t('bench.from-now', { duration: printDuration(left) })
                  : dayWord(clock.startAt, now),
            })}
          </Verdict>
        )}
        {!cooked && (
          <p className="dim">
            {t('bench.in-all-your-hands-busy', {
              duration: printDuration(clock.totalMinutes),
              handsOn: printDuration(clock.handsOnMinutes),
              moved,
            })}
          </p>
        )}
        {moved && (
          <Button size="small" onClick={() => edit((before) => ({ ...before, moved: {} }))}>
            {t('bench.all-as-late-as-they')}
          </Button>
        )}
        {plan.cutLater && (
          <Button size="small" onClick={() => edit((before) => ({ ...before, cutLater: false }))}>
            {t('bench.cut-everything-before-the-meat')}
          </Button>
        )}
        {clashes.map(({ text }) => (
          <Verdict key={textOf(text)} tone="watch">
            {textOf(text)}
          </Verdict>
        ))}
      </section>
      {before.length > 0 && (
        <section aria-label={t('bench.before-the-evening')}>
          <h3>{t('bench.before-the-evening')}</h3>
          <AheadList plan={plan} tasks={before} startAt={clock.startAt} now={now} onChange={edit} />
        </section>
      )}
      <CookAheadPanel plan={plan} forecast={forecast} now={now} edit={edit} />
      {!cooked && (
        <>
          {!late && <DinnerOddsPanel plan={plan} forecast={forecast} edit={edit} />}
          <Mends plan={plan} wanted={late || clashes.length > 0} edit={edit} />
        </>
      )}
      <Sides plan={plan} edit={edit} />
      {!cooked && <ThisEvening id={id} plan={plan} forecast={forecast} />}
      <section aria-label={t('bench.take-it-along')}>
        <h3>{t('bench.take-it-along')}</h3>
        <div className={styles['clock-ways']}>
          {plan.serveAt !== null && (
            <Button href={`/api/braises/${id}/calendar.ics`} download>
              {t('bench.calendar-with-alarms')}
            </Button>
          )}
          <LinkButton to={`/card/${id}`}>{t('bench.one-page-card')}</LinkButton>
          <LinkButton to={`/shopping?plan=${id}`}>{t('app.what-to-buy')}</LinkButton>
          <Button href={`/api/braises/${id}/card.md`} download="card.md">
            {t('bench.card-as-text')}
          </Button>
          <Button href={`/api/braises/${id}/recipe.jsonld`} download="recipe.jsonld">
            {t('bench.as-a-recipe-file')}
          </Button>
        </div>
      </section>
    </div>
  );
}

/** What makes the evening shorter, each with its cost, each to be pressed. */
function Mends({
  plan,
  wanted,
  edit,
}: {
  readonly plan: Plan;
  readonly wanted: boolean;
  readonly edit: Edit;
}): ReactNode {
  const [opened, setOpened] = useState(false);
  const open = wanted || opened;
  const query = useQuery({
    queryKey: ['time-savers', plan],
    queryFn: async (): Promise<Answer<TimeSaver[]>> => forecastWorker('beside').timeSavers(plan),
    // Half a dozen forecasts: only for who looks.
    enabled: open,
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  }).data;
  const savers = query?.ok === true ? query.value : [];
  return (
    <details open={open} className={styles['clock-savers']} onToggle={(event) => setOpened(event.currentTarget.open)}>
      <summary>{t('bench.what-would-make-it-shorter')}</summary>
      {query?.ok === true && savers.length === 0 && <p className="dim">{t('bench.nothing-that-wins-two-minutes')}</p>}
      <ul className={styles['remedies-list']}>
        {savers.map(({ text, change }) => (
          <li key={textOf(text)}>
            {textOf(text)}{' '}
            {change !== null && (
              <Button size="small" onClick={() => edit((before) => ({ ...before, ...change }))}>
                {rich('bench.take-it', { text, span: (words) => <span className="visually-hidden">{words}</span> })}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Dinners so near each other are one evening's work, ms. */
const ONE_EVENING = 4 * 3_600_000;

/** Other braises of the same evening: one cook, one board, each pot one thing at a time. */
function ThisEvening({ id, plan, forecast }: Omit<Props, 'edit'>): ReactNode {
  // What is cooked ahead is at work the evening it is cooked.
  const serveAt = forecast.clock.eatAt;
  const now = useNow();
  const onTheFire = useOnTheFire();
  const near = (useBraises().data ?? []).filter(
    (other) =>
      other.id !== id &&
      !onTheFire.has(other.id) &&
      other.serveAt !== null &&
      serveAt !== null &&
      Math.abs(Date.parse(other.serveAt) - Date.parse(serveAt)) <= ONE_EVENING,
  );
  const others = useReckoned(near);
  const busy = useBusyPots(now)?.get(plan.cooker.name);
  if (serveAt === null) return null;
  const after = busy && busy.braiseId !== id ? afterBusyPot(forecast.clock, busy.freeAt) : null;
  if (near.length === 0 && after === null) return null;
  const all = [
    { id, name: plan.name === '' ? t('bench.this-one') : plan.name, plan, clock: forecast.clock },
    ...near.flatMap((other, i) => {
      const known = others[i];
      return known ? [{ id: other.id, name: other.name, ...known }] : [];
    }),
  ];
  const beside = scheduleTogether(
    all.map((one) => ({
      id: one.id,
      name: one.name,
      pot: inSentence(one.plan.cooker.name),
      clock: { ...one.clock, eatAt: one.clock.eatAt ?? serveAt },
    })),
  );
  return (
    <section aria-label={t('bench.this-evening')}>
      <h3>{t('bench.this-evening-together')}</h3>
      {busy && after && (
        <Verdict tone="watch">
          {t('bench.is-on-the-fire-with', {
            name: upperFirst(inSentence(plan.cooker.name)),
            other: busy.name,
            time: clockAt(busy.freeAt, serveAt),
            begun: clockTime(after.startAt),
            dinner: clockTime(after.eatAt),
          })}
        </Verdict>
      )}
      <ul className="reasons">
        {beside.map(({ id: one, text }) => (
          <li key={one}>{one === id ? textOf(text) : <Link to={`/bench/${one}`}>{textOf(text)}</Link>}</li>
        ))}
      </ul>
    </section>
  );
}
