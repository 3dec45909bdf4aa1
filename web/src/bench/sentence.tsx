import {
  inTen,
  isHotKind,
  listed,
  partAhead,
  printDuration,
  TARGET_WORDS,
  type Forecast,
  type Stage,
  upperFirst,
} from '@hervir/core';
import { Button } from 'antd';
import { Fragment, type ReactNode } from 'react';
import { DinnerTime } from '../shared/dinner-time';
import { Why } from '../shared/why';
import { clockTime, counted, dayWord } from '../shared/words';
import { mealWords } from '../shared/meal-words';
import { lateStart } from '../shared/late-start';
import { useNow } from '../shared/use-now';
import { useBench } from '../state/bench/bench-store';
import { useFitted } from './use-fitted';
import styles from './bench.module.css';

/** Longer than this, the sentence would take a third line at 1280 px. */
const FEW_LETTERS = 30;

/** "turnip and freekeh"; more are counted, so that the sentence keeps to two lines and all stations to the window. */
function few(names: readonly string[]): string {
  const all = listed(names);
  return names.length > 2 || all.length > FEW_LETTERS ? counted(names.length, 'thing', 'things') : all;
}

/** "a 3-minute second run", "6 minutes of open simmer": a stage after the first run, as the sentence counts them. */
function stageWords({ kind, minutes, place }: Stage, later: readonly Stage[]): string {
  if (kind === 'simmer') return `${minutes} minutes of open simmer`;
  const runs = later.filter((stage) => stage.kind === 'pressure');
  const run = runs.findIndex((stage) => stage.place === place) === 0 ? 'second' : 'third';
  const which = runs.length > 2 ? 'further' : run;
  return minutes === 0 ? `a ${which} run, just up to pressure` : `a ${minutes}-minute ${which} run`;
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
  const begin = day ? 'It is cooked: begin to warm it ' : 'Begin ';
  const late = lateStart(clock, now);
  if (late === null) {
    return (
      <>
        {begin}
        <Why figure={figure} reasons={reasons} tone="ember">
          {clockTime(clock.startAt ?? '')}
        </Why>{' '}
        {kept ? 'to have it in the fridge at' : 'to eat at'}{' '}
      </>
    );
  }
  if (late.over) {
    return (
      <>
        {day ? 'It is cooked, and warming takes ' : 'It takes '}
        <Why figure={figure} reasons={reasons} tone="ember">
          {printDuration(clock.totalMinutes)}
        </Why>
        ; {kept ? 'its evening' : 'its dinner'} is over, {dayWord(clock.eatAt ?? '', now)} at{' '}
      </>
    );
  }
  return (
    <>
      {begin}
      <Why figure={figure} reasons={reasons} tone="ember">
        now
      </Why>
      , {printDuration(late.minutes)} late: {mealWords(kept).short} {clockTime(late.dinnerAt)}, not{' '}
    </>
  );
}

/** What the evening is made of, each figure pressable. */
function OfTheEvening({ forecast, onPropose }: Omit<Props, 'onServeAt'>): ReactNode {
  const { sear, pot, reasons } = forecast;
  const later = forecast.stages.filter(({ kind }) => isHotKind(kind));
  return (
    <>
      {sear.batches > 0 && (
        <>
          <Why figure="sear" reasons={reasons}>
            {counted(sear.batches, 'batch', 'batches')}
          </Why>{' '}
          of searing,{' '}
        </>
      )}
      <Why
        figure="pressureMinutes"
        reasons={reasons}
        tone="steam"
        control={
          forecast.ownMinutes && forecast.proposedMinutes !== null ? (
            <Button style={{ marginTop: 8 }} onClick={onPropose}>
              Take the {forecast.proposedMinutes} min Hervir proposes
            </Button>
          ) : undefined
        }
      >
        {forecast.pressureMinutes} minutes
      </Why>{' '}
      under pressure
      {forecast.ownMinutes ? ' (your own)' : ''},{' '}
      <Why figure="releaseMinutes" reasons={reasons} tone="steam">
        {Math.max(1, Math.round(pot.releaseMinutes))}
      </Why>{' '}
      for the pressure to fall,{' '}
      {later.map((stage) => (
        <Fragment key={stage.place}>
          {stage.kind === 'pressure' && stage.items.length > 0
            ? `${few(stage.items.map(({ name }) => name.toLowerCase()))} in `
            : 'then '}
          <Why figure="secondRun" reasons={reasons} tone="steam">
            {stageWords(stage, later)}
          </Why>
          ,{' '}
        </Fragment>
      ))}
    </>
  );
}

/** What is ahead of a braise that is cooked already. */
function OfTheDay({ forecast: { nextDay, reasons } }: Pick<Props, 'forecast'>): ReactNode {
  return (
    <>
      <Why figure="warmAt" reasons={reasons} tone="steam">
        {Math.round(nextDay?.warmed.minutes ?? 0)} minutes
      </Why>{' '}
      to warm it through, {Math.round(nextDay?.clock.totalMinutes ?? 0)} in all,{' '}
    </>
  );
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
      {clock.startAt === null || clock.eatAt === null ? (
        <>
          <Why figure="startAt" reasons={reasons} tone="ember">
            {printDuration(clock.totalMinutes)}
          </Why>{' '}
          in all,{' '}
          <Why figure="eatAt" reasons={reasons} tone="ember" control={<DinnerTime now={now} onServeAt={onServeAt} />}>
            no dinner time yet
          </Why>
          :{' '}
        </>
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
          {plan.cookAhead && plan.serveAt !== null && `${day ? ' ' : ', eaten '}${dayWord(plan.serveAt, now)}`}:{' '}
        </>
      )}
      {day ? <OfTheDay forecast={forecast} /> : <OfTheEvening forecast={forecast} onPropose={onPropose} />}
      your hands busy for {Math.round(clock.handsOnMinutes)} minutes.{' '}
      <Why figure="tenderness" reasons={reasons} tone="meat">
        {upperFirst(sure)}
      </Why>{' '}
      that {TARGET_WORDS[plan.target]}.
    </p>
  );
}
