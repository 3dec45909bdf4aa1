import { upperFirst } from '@hervir/language';
import { inTen, TARGET_WORDS, wholeMinutes, type Forecast } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { lateStart } from '../shared/late-start';
import { mealWords } from '../shared/meal-words';
import { clockTime, dayWord, isToday } from '../shared/words';
import type { Beginnings } from './beginning';
import styles from './tonight.module.css';
import { rich, t, textOf } from '../language/t';

interface AnswerProps {
  readonly forecast: Forecast | null;
  readonly fault: string | null | undefined;
  readonly allowed: string | undefined;
  readonly now: Date;
  /** When to begin; null where nobody has said when to eat. */
  readonly beginning: Beginnings | null;
  /** Goes by the other beginning from now on. */
  readonly onOther: () => void;
}

/** When to begin, how long it takes and how sure that is; what is wrong where it cannot be cooked. */
export function Answer({ forecast, fault, allowed, now, beginning, onOther }: AnswerProps): ReactNode {
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
  const late = lateStart(forecast.clock, now);
  const sure = inTen(chance.at + chance.past);
  const odds = t('tonight.that', { sure: upperFirst(textOf(sure)), targetWords: TARGET_WORDS[forecast.plan.target] });
  const below = t('tonight.minutes-under-pressure-for-the', {
    pressureMinutes: forecast.pressureMinutes,
    releaseMinutes: wholeMinutes(forecast.pot.releaseMinutes),
    odds,
  });
  if (beginning === null) return <p>{below}</p>;
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
          time: clockTime(beginning.taken.at),
          value: isToday(beginning.taken.at, now) ? (
            ''
          ) : (
            <small style={{ fontSize: '0.5em', fontWeight: 500 }}> {dayWord(beginning.taken.at, now)}</small>
          ),
        })}
      </div>
      <p>
        {below} <InTime forecast={forecast} beginning={beginning} onOther={onOther} />
      </p>
    </>
  );
}

/** How sure dinner is by its time, and the other time to begin, taken by a press; nothing until that is reckoned. */
function InTime({
  forecast: { plan, clock },
  beginning: { taken, other },
  onOther,
}: {
  readonly forecast: Forecast;
  readonly beginning: Beginnings;
  readonly onOther: () => void;
}): ReactNode {
  if (taken.inTime === null || clock.eatAt === null) return null;
  return (
    <>
      {textOf(mealWords(plan.cookAhead !== undefined).by)} {clockTime(clock.eatAt)}: {textOf(inTen(taken.inTime))}
      {other !== null && other.inTime !== null && (
        <>
          {'; '}
          <Button type="link" size="small" className={styles['other-beginning']} onClick={onOther}>
            {t('tonight.begun', { time: clockTime(other.at), odds: inTen(other.inTime) })}
          </Button>
        </>
      )}
      .
    </>
  );
}
