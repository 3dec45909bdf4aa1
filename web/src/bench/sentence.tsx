import { lowerFirst, printDuration, upperFirst } from '@hervir/language';
import { type Forecast, inTen, isHotKind, partAhead, type Stage, TARGET_WORDS, wholeMinutes } from '@hervir/core';
import { Button } from 'antd';
import { Fragment, type ReactNode } from 'react';
import { DinnerTime } from '../shared/dinner-time';
import { Why } from '../shared/why';
import { clockTime, inWords, dayWord } from '../shared/words';
import { mealWords } from '../shared/meal-words';
import { lateStart } from '../shared/late-start';
import { useNow } from '../shared/use-now';
import { useBench } from '../state/bench/bench-store';
import { useFitted } from './use-fitted';
import styles from './bench.module.css';
import { listed, rich, t, textOf } from '../language/t';

/** Longer than this, the sentence would take a third line at 1280 px. */
const FEW_LETTERS = 30;

/** "turnip and freekeh"; more are counted, so that the sentence keeps to two lines and all stations to the window. */
function few(names: readonly string[]): string {
  const all = listed(names);
  return names.length > 2 || all.length > FEW_LETTERS
    ? t('bench.text', { count: names.length, countWords: inWords(names.length) })
    : all;
}

/** "a 3-minute second run", "6 minutes of open simmer": a stage after the first run, as the sentence counts them. */
function stageWords({ kind, minutes, place }: Stage, later: readonly Stage[]): string {
  if (kind === 'simmer') return t('bench.minutes-of-open-simmer', { minutes });
  const runs = later.filter((stage) => stage.kind === 'pressure');
  const run = runs.findIndex((stage) => stage.place === place) === 0 ? t('bench.second') : t('bench.third');
  const which = runs.length > 2 ? t('bench.further') : run;
  return minutes === 0 ? t('bench.a-run-just-up-to', { which }) : t('bench.a-minute-run', { minutes, which });
}

/** The clock that is still ahead: of what is cooked already, its day's. */
const clockAhead = ({ plan, nextDay, clock }: Forecast): Forecast['clock'] =>
  nextDay !== null && partAhead(plan) === 'day' ? nextDay.clock : clock;

interface Props {
  readonly forecast: Forecast;
  readonly onServeAt: (serveAt: string) => void;
  readonly onPropose: () => void;
}

/** When to begin; where that has passed, how late it is and what it makes of dinner. */
function Begins({ forecast, now }: { readonly forecast: Forecast; readonly now: Date }): ReactNode {
  const { plan, reasons } = forecast;
  const day = partAhead(plan) === 'day';
  const kept = plan.cookAhead !== undefined && !day;
  const clock = clockAhead(forecast);
  const figure = day ? 'warmAt' : 'startAt';
  const begin = day ? t('bench.it-is-cooked-begin-to') : t('bench.begin');
  const late = lateStart(clock, now);
  if (late === null) {
    return (
      <>
        {begin}
        <Why figure={figure} reasons={reasons} tone="ember">
          {clockTime(clock.startAt ?? '')}
        </Why>{' '}
        {kept ? t('bench.to-have-it-in-the') : t('bench.to-eat-at')}{' '}
      </>
    );
  }
  if (late.over) {
    return rich('bench.it-is-cooked-and-warming', {
      day,
      duration: printDuration(clock.totalMinutes),
      why: (words) => (
        <Why figure={figure} reasons={reasons} tone="ember">
          {words}
        </Why>
      ),
      kept,
      day2: dayWord(clock.eatAt ?? '', now),
    });
  }
  return rich('bench.now-late-not', {
    begin,
    why: (words) => (
      <Why figure={figure} reasons={reasons} tone="ember">
        {words}
      </Why>
    ),
    duration: printDuration(late.minutes),
    short: mealWords(kept).short,
    time: clockTime(late.dinnerAt),
  });
}

/** What the evening is made of, each figure pressable. */
function OfTheEvening({ forecast, onPropose }: Omit<Props, 'onServeAt'>): ReactNode {
  const { sear, pot, reasons } = forecast;
  const later = forecast.stages.filter(({ kind }) => isHotKind(kind));
  return rich('bench.minutes-under-pressure-your-own', {
    batches:
      sear.batches > 0 &&
      rich('bench.of-searing', {
        batches: sear.batches,
        batchesWords: inWords(sear.batches),
        why: (words) => (
          <Why figure="sear" reasons={reasons}>
            {words}
          </Why>
        ),
      }),
    pressureMinutes: forecast.pressureMinutes,
    why: (words) => (
      <Why
        figure="pressureMinutes"
        reasons={reasons}
        tone="steam"
        control={
          forecast.ownMinutes && forecast.proposedMinutes !== null ? (
            <Button style={{ marginTop: 8 }} onClick={onPropose}>
              {t('bench.take-the-min-hervir-proposes', { proposedMinutes: forecast.proposedMinutes })}
            </Button>
          ) : undefined
        }
      >
        {words}
      </Why>
    ),
    ownMinutes: forecast.ownMinutes,
    value: wholeMinutes(pot.releaseMinutes),
    why2: (words) => (
      <Why figure="releaseMinutes" reasons={reasons} tone="steam">
        {words}
      </Why>
    ),
    laterRuns: later.map((stage) => (
      <Fragment key={stage.place}>
        {stage.kind === 'pressure' && stage.items.length > 0
          ? t('bench.in', { few: few(stage.items.map(({ name }) => lowerFirst(textOf(name)))) })
          : t('bench.and-then')}
        <Why figure="secondRun" reasons={reasons} tone="steam">
          {stageWords(stage, later)}
        </Why>
        ,{' '}
      </Fragment>
    )),
  });
}

/** What is ahead of a braise that is cooked already. */
function OfTheDay({ forecast: { nextDay, reasons } }: Pick<Props, 'forecast'>): ReactNode {
  return rich('bench.minutes-to-warm-it-through', {
    minutes: Math.round(nextDay?.warmed.minutes ?? 0),
    why: (words) => (
      <Why figure="warmAt" reasons={reasons} tone="steam">
        {words}
      </Why>
    ),
    totalMinutes: Math.round(nextDay?.clock.totalMinutes ?? 0),
  });
}

/** The whole plan in one line, each figure pressable for its why. */
export function BenchSentence({ forecast, onServeAt, onPropose }: Props): ReactNode {
  const { tenderness, reasons, plan } = forecast;
  const clock = clockAhead(forecast);
  const day = partAhead(plan) === 'day';
  const sure = inTen(tenderness.chance.at + tenderness.chance.past);
  const now = useNow();
  const fitted = useFitted(
    forecast,
    useBench(({ dragged }) => dragged !== null),
  );
  return (
    <p ref={fitted} className={styles['bench-sentence']}>
      {rich('bench.your-hands-busy-for-minutes', {
        value:
          clock.startAt === null || clock.eatAt === null ? (
            rich('bench.in-all-no-dinner-time', {
              duration: printDuration(clock.totalMinutes),
              why: (words) => (
                <Why figure="startAt" reasons={reasons} tone="ember">
                  {words}
                </Why>
              ),
              why2: (words) => (
                <Why
                  figure="eatAt"
                  reasons={reasons}
                  tone="ember"
                  control={<DinnerTime now={now} onServeAt={onServeAt} />}
                >
                  {words}
                </Why>
              ),
            })
          ) : (
            <>
              <Begins forecast={forecast} now={now} />
              <Why
                figure="eatAt"
                reasons={reasons}
                tone="ember"
                control={<DinnerTime now={now} serveAt={plan.serveAt} onServeAt={onServeAt} />}
              >
                {clockTime(clock.eatAt)}
              </Why>
              {plan.cookAhead &&
                plan.serveAt !== null &&
                `${day ? ' ' : t('bench.eaten')}${dayWord(plan.serveAt, now)}`}
              :{' '}
            </>
          ),
        ofTheDay: day ? <OfTheDay forecast={forecast} /> : <OfTheEvening forecast={forecast} onPropose={onPropose} />,
        handsOnMinutes: Math.round(clock.handsOnMinutes),
        sure: upperFirst(textOf(sure)),
        why: (words) => (
          <Why figure="tenderness" reasons={reasons} tone="meat">
            {words}
          </Why>
        ),
        targetWords: TARGET_WORDS[plan.target],
      })}
    </p>
  );
}
