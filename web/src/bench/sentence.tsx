import {
  inTen,
  isHotKind,
  listed,
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
  return minutes === 0 ? `a ${which} run, pin up and down` : `a ${minutes}-minute ${which} run`;
}

interface Props {
  readonly forecast: Forecast;
  readonly onServeAt: (serveAt: string) => void;
  readonly onPropose: () => void;
}

/** When to begin; where that has passed, how late it is and what it makes of dinner. */
function Begins({
  clock,
  kept,
  reasons,
  now,
}: Pick<Forecast, 'clock' | 'reasons'> & { readonly kept: boolean; readonly now: Date }): ReactNode {
  const late = lateStart(clock, now);
  if (late === null) {
    return (
      <>
        Begin{' '}
        <Why figure="startAt" reasons={reasons} tone="ember">
          {clockTime(clock.startAt ?? '')}
        </Why>{' '}
        {kept ? 'to have it in the fridge at' : 'to eat at'}{' '}
      </>
    );
  }
  if (late.over) {
    return (
      <>
        It takes{' '}
        <Why figure="startAt" reasons={reasons} tone="ember">
          {printDuration(clock.totalMinutes)}
        </Why>
        ; {kept ? 'its evening' : 'its dinner'} is over, {dayWord(clock.eatAt ?? '', now)} at{' '}
      </>
    );
  }
  return (
    <>
      Begin{' '}
      <Why figure="startAt" reasons={reasons} tone="ember">
        now
      </Why>
      , {printDuration(late.minutes)} late: {mealWords(kept).short} {clockTime(late.dinnerAt)}, not{' '}
    </>
  );
}

/** The whole plan in one line, each figure pressable for its why. */
export function BenchSentence({ forecast, onServeAt, onPropose }: Props): ReactNode {
  const { clock, sear, pot, tenderness, reasons, plan } = forecast;
  const later = forecast.stages.filter(({ kind }) => isHotKind(kind));
  const sure = inTen(tenderness.chance.at + tenderness.chance.past);
  const now = useNow();
  return (
    <p
      className={
        later.length > 1 ? 'bench-sentence longer' : later.length > 0 ? 'bench-sentence long' : 'bench-sentence'
      }
    >
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
          <Begins clock={clock} kept={plan.cookAhead !== undefined} reasons={reasons} now={now} />
          <Why
            figure="eatAt"
            reasons={reasons}
            tone="ember"
            control={<DinnerTime now={now} serveAt={plan.serveAt} onServeAt={onServeAt} />}
          >
            {clockTime(clock.eatAt)}
          </Why>
          {plan.cookAhead && plan.serveAt !== null && `, eaten ${dayWord(plan.serveAt, now)}`}:{' '}
        </>
      )}
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
      to let down,{' '}
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
      {Math.round(clock.handsOnMinutes)} of it hands-on.{' '}
      <Why figure="tenderness" reasons={reasons} tone="meat">
        {upperFirst(sure)}
      </Why>{' '}
      that {TARGET_WORDS[plan.target]}.
    </p>
  );
}
