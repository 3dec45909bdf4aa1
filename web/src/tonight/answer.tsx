import { upperFirst } from '@hervir/language';
import { inTen, shiftIso, TARGET_WORDS, wholeMinutes, type Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { lateStart } from '../shared/late-start';
import { mealWords } from '../shared/meal-words';
import { clockTime, dayWord, isToday } from '../shared/words';
import { useBeside } from '../workers/use-beside';
import styles from './tonight.module.css';
import { rich, t, textOf } from '../language/t';

interface AnswerProps {
  readonly forecast: Forecast | null;
  readonly fault: string | null | undefined;
  readonly allowed: string | undefined;
  readonly now: Date;
}

/** When to begin, how long it takes and how sure that is; what is wrong where it cannot be cooked. */
export function Answer({ forecast, fault, allowed, now }: AnswerProps): ReactNode {
  if (fault !== null && fault !== undefined) {
    return (
      <div role="alert" id="tonight-fault">
        <div className={styles['answer-begin']} style={{ fontSize: '1.75rem' }}>
          {t('tonight.this-cannot-be-cooked-as')}
        </div>
        <p>
          {fault}
          {allowed === undefined ? '' : t('tonight.allowed', { allowed })}
        </p>
      </div>
    );
  }
  if (forecast === null) {
    return (
      <p className="dim" role="status">
        {t('tonight.reckoning')}
      </p>
    );
  }
  const { chance } = forecast.tenderness;
  const { startAt } = forecast.clock;
  const late = lateStart(forecast.clock, now);
  const sure = inTen(chance.at + chance.past);
  const odds = t('tonight.that', { sure: upperFirst(textOf(sure)), targetWords: TARGET_WORDS[forecast.plan.target] });
  const below = t('tonight.minutes-under-pressure-for-the', {
    pressureMinutes: forecast.pressureMinutes,
    releaseMinutes: wholeMinutes(forecast.pot.releaseMinutes),
    odds,
  });
  if (startAt === null) return <p>{below}</p>;
  if (late !== null) {
    return (
      <>
        <div className={styles['answer-begin']}>{t('tonight.begin-now')}</div>
        <p>
          {rich('tonight.too-late-for-begun-now', {
            time: clockTime(forecast.clock.eatAt ?? ''),
            dinner: clockTime(late.dinnerAt),
            strong: (words) => <strong>{words}</strong>,
            below,
          })}
        </p>
      </>
    );
  }
  return (
    <>
      <div className={styles['answer-begin']}>
        {rich('tonight.begin', {
          time: clockTime(startAt),
          value: isToday(startAt, now) ? (
            ''
          ) : (
            <small style={{ fontSize: '0.5em', fontWeight: 500 }}> {dayWord(startAt, now)}</small>
          ),
        })}
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
      {textOf(mealWords(forecast.plan.cookAhead !== undefined).by)} {clockTime(eatAt)}: {textOf(inTen(odds.inTime))}
      {surer && surer.earlier > 0
        ? t('tonight.begun', { time: clockTime(shiftIso(startAt, -surer.earlier)), odds: inTen(FAIRLY_SURE) })
        : ''}
      .
    </>
  );
}
