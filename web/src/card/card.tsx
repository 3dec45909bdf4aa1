import { lowerFirst, printDuration, upperFirst } from '@hervir/language';
import type { BraiseRecord } from '@hervir/contract';
import {
  aheadCaution,
  aheadText,
  bowlsOf,
  cutById,
  cutTitle,
  type Forecast,
  type Guide,
  guideOf,
  moveOf,
  prepSteps,
  TARGET_WORDS,
  wholeMinutes,
} from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { request } from '../api/client';
import { keys } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useUnits } from '../shared/use-units';
import {
  clockTime,
  inWords,
  dayWord,
  FORM_PHRASES,
  inSentence,
  longDay,
  potMinutes,
  timeOfMinute,
} from '../shared/words';
import { useForecast } from '../workers/use-forecast';
import { clsx } from 'clsx';
import styles from './card.module.css';
import { orNull, rich, t, textOf } from '../language/t';

/** So many steps fill a printed page; with more of them they are printed smaller. */
const MOST_ROWS = 40;

/** "Seared in two batches, 7 min the first face, 3½ min each other. " */
function seared({ sear }: Forecast): string {
  if (sear.batches === 0) return '';
  const [first, other] = sear.faces;
  const faces =
    other === undefined
      ? t('card.in-all', { minutes: potMinutes(first) })
      : t('card.the-first-face-each-other', { minutes: potMinutes(first), otherMinutes: potMinutes(other) });
  return t('card.seared-in', { batches: sear.batches, batchesWords: inWords(sear.batches), faces });
}

/** The plan on one sheet, for the wall above the stove: what to prepare, when what is done, and what to take care of. */
export function Card(): ReactNode {
  const { id = '' } = useParams();
  const { print } = useUnits();
  const record = useQuery({
    queryKey: [...keys.braise(id), 'card'],
    queryFn: () => request<BraiseRecord>('GET', `/braises/${id}`),
  });
  const { forecast } = useForecast(record.data?.plan ?? null);
  const [today] = useState(() => new Date());
  if (record.error) {
    return (
      <div className="room">
        <Trouble what={t('card.the-card-cannot-be-shown')} error={record.error} again={() => void record.refetch()} />
      </div>
    );
  }
  if (!record.data || !forecast) return <p className="room dim">{t('app.opening')}</p>;
  const { plan, clock } = forecast;
  const guide = guideOf(forecast);
  // What has its own day stands with it, and not a second time among tonight's.
  const dated = new Set<string>(clock.startAt === null ? [] : ['salt-ahead', 'marinate', 'thaw', 'soak']);
  const prep = prepSteps({ ...plan, ...forecast.placed }).filter(({ kind }) => !dated.has(kind));
  const bowls = bowlsOf(forecast);
  const rows = rowsOf(clock, guide);
  const before = forecast.ahead.filter(({ kind }) => kind !== 'warm' && kind !== 'cook');
  const day = forecast.nextDay && {
    ...forecast.nextDay.clock,
    rows: rowsOf(forecast.nextDay.clock, guideOf(forecast, 'day')),
  };
  return (
    <div className="room">
      <div className={styles['card-actions']}>
        <Button type="primary" onClick={() => window.print()}>
          {t('card.print')}
        </Button>
        <Link to={`/bench/${id}`}>{t('card.back-to-the-bench')}</Link>
      </div>
      <article className={rows.length > MOST_ROWS ? clsx(styles['sheet'], styles['dense']) : styles['sheet']}>
        <header>
          <h1>{plan.name === '' ? upperFirst(textOf(cutTitle(cutById(plan.meat.cut)))) : plan.name}</h1>
          <p>
            {rich('card.of-min-under-pressure-in', {
              mass: print('mass', plan.meat.grams),
              cut: cutTitle(cutById(plan.meat.cut)),
              strong: (words) => <strong>{words}</strong>,
              formPhrases: FORM_PHRASES[plan.meat.form],
              seared: seared(forecast),
              startAt:
                clock.startAt !== null &&
                clock.eatAt !== null &&
                rich('card.begin-to-have-it-in', {
                  time: clockTime(clock.startAt),
                  strong: (words) => <strong>{words}</strong>,
                  cookAhead: Boolean(plan.cookAhead),
                  ready: clockTime(clock.eatAt),
                  day: dayWord(clock.eatAt, today),
                }),
              pressureMinutes: forecast.pressureMinutes,
              name: inSentence(plan.cooker.name),
              releaseMinutes: wholeMinutes(forecast.pot.releaseMinutes),
              targetWords: TARGET_WORDS[plan.target],
              servings: plan.servings,
              duration: printDuration(clock.totalMinutes),
              handsOn: printDuration(clock.handsOnMinutes),
            })}
          </p>
        </header>
        <section>
          {before.length > 0 && (
            <>
              <h2>{t('card.before-the-evening')}</h2>
              <ul className="ticks">
                {before.map((task) => (
                  <li key={task.id}>
                    {task.at !== null && (
                      <strong>
                        {longDay(task.at)}, {clockTime(task.at)}:{' '}
                      </strong>
                    )}
                    {textOf(aheadText(task))}. {orNull(aheadCaution(task))}
                  </li>
                ))}
              </ul>
            </>
          )}
          <h2>{t('card.prepare')}</h2>
          <ul className="ticks">
            {prep.map(({ id: step, text }) => (
              <li key={step}>{textOf(text)}</li>
            ))}
          </ul>
          {bowls.length > 0 && (
            <dl>
              {bowls.map(({ moment, items }, i) => (
                <div key={`${textOf(moment)}-${i}`}>
                  <dt>{textOf(moment)}</dt>
                  <dd>
                    {items.map(({ what, grams }) => `${lowerFirst(textOf(what))} ${print('mass', grams)}`).join(', ')}
                  </dd>
                </div>
              ))}
            </dl>
          )}
          <h2>{t('card.take-care')}</h2>
          <ul className={styles['care']}>
            {forecast.cautions.map(({ code, text }) => (
              <li key={code}>{textOf(text)}</li>
            ))}
          </ul>
        </section>
        <section>
          <h2>{t('card.do')}</h2>
          <Steps rows={rows} startAt={clock.startAt} />
          {day !== null && (
            <>
              <h2>
                {day.startAt === null
                  ? t('card.the-day-it-is-eaten')
                  : t('card.to-eat-at', { day: longDay(day.startAt), time: clockTime(day.eatAt ?? '') })}
              </h2>
              <Steps rows={day.rows} startAt={day.startAt} />
            </>
          )}
        </section>
      </article>
    </div>
  );
}

interface Row {
  readonly key: string;
  readonly minute: number;
  readonly text: string;
  /** How it lies in the pot, where that is more than its title says. */
  readonly detail: string;
  /** Of a side dish. */
  readonly aside: boolean;
}

/** Every step with its minute: the main work and the side dishes in one order. */
function rowsOf({ tasks }: Forecast['clock'], guide: Guide): Row[] {
  const startOf = new Map(tasks.map(({ id, startMinute }) => [id, startMinute]));
  const rows: Row[] = [];
  let minute = 0;
  let task = '';
  for (const step of guide.steps) {
    if (step.task !== task) {
      task = step.task;
      minute = startOf.get(task) ?? minute;
    }
    // Turning a piece, or a valve, is no line of its own on a sheet.
    const face = moveOf(step.moves, 'sear')?.face ?? 1;
    const valve = step.minutes < 0.2 && moveOf(step.moves, 'heat') === undefined;
    if (face === 1 && !valve) {
      const filled = step.moves.some(({ kind }) => kind === 'put' || kind === 'plate');
      rows.push({
        key: step.id,
        minute,
        text: textOf(step.title),
        detail: textOf(filled ? step.detail : ''),
        aside: false,
      });
    }
    if (step.runsFrom === null) minute += step.minutes;
  }
  for (const { id, name, steps } of guide.tracks) {
    for (const step of steps) {
      rows.push({
        key: `${id}-${step.id}`,
        minute: guide.totalMinutes - step.beforeDinner,
        text: `${textOf(name)}: ${textOf(step.title)}`,
        detail: '',
        aside: true,
      });
    }
  }
  return rows.sort((a, b) => a.minute - b.minute);
}

function Steps({ rows, startAt }: { readonly rows: readonly Row[]; readonly startAt: string | null }): ReactNode {
  const at = (minutes: number): string => timeOfMinute(startAt, minutes) ?? `+${Math.round(minutes)}`;
  return (
    <ol className="steps">
      {rows.map(({ key, minute, text, detail, aside }) => (
        <li key={key} className={aside ? styles['aside'] : ''}>
          <span className="figure">{at(minute)}</span>
          <span>
            {text}
            {detail !== '' && <small>{detail}</small>}
          </span>
        </li>
      ))}
    </ol>
  );
}
