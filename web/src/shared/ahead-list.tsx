import { upperFirst } from '@hervir/language';
import {
  aheadCaution,
  aheadText,
  lateOnes,
  missedText,
  partAhead,
  type AheadTask,
  type Plan,
  withAheadDone,
} from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Verdict } from './verdict';
import { clockTime, dayWord, wallClockOf } from './words';
import { clsx } from 'clsx';
import styles from './ahead-list.module.css';
import { orNull, rich, t, textOf } from '../language/t';

interface Props {
  readonly plan: Plan;
  readonly tasks: readonly AheadTask[];
  /** When the evening begins; null where dinner has no time. */
  readonly startAt: string | null;
  readonly now: Date;
  /** Changes the plan: done with, undone, or reckoned with as it really is. */
  readonly onChange: (change: (plan: Plan) => Plan) => void;
  /** Begins the day of what is cooked, step by step; left out where another button does. */
  readonly onWarm?: () => void;
}

/** When something is done: the day first, for the hour says little days before. */
function When({ task, now }: { readonly task: AheadTask; readonly now: Date }): ReactNode {
  if (task.doneAt !== null) {
    return (
      <span className={clsx(styles['ahead-when'], 'done')}>
        {t('shared.done', { day: dayWord(task.doneAt, now), time: clockTime(task.doneAt) })}
      </span>
    );
  }
  if (task.at === null || task.latestAt === null) return null;
  const differs = task.latest - task.best > 1;
  if (Date.parse(task.at) < now.getTime()) {
    return (
      <span className={styles['ahead-when']}>
        {rich('shared.now-was-for', {
          time: clockTime(task.at),
          day: dayWord(task.at, now),
          small: (words) => <small className="dim">{words}</small>,
        })}
      </span>
    );
  }
  return (
    <span className={styles['ahead-when']}>
      {upperFirst(dayWord(task.at, now))}, {clockTime(task.at)}
      {differs && (
        <small className="dim">
          {t('shared.by-at-the-latest', { time: clockTime(task.latestAt), day: dayWord(task.latestAt, now) })}
        </small>
      )}
    </span>
  );
}

/** One thing with its day and hour, what it is, and what can be pressed. */
export function AheadRow({
  task,
  now,
  caution,
  late,
  children,
}: {
  readonly task: AheadTask;
  readonly now: Date;
  readonly caution: string | null;
  /** What it means that it was not done in time. */
  readonly late?: ReactNode;
  readonly children: ReactNode;
}): ReactNode {
  return (
    <li>
      <When task={task} now={now} />
      <span className={styles['ahead-what']}>
        {textOf(aheadText(task))}
        {caution !== null && <small className="caution-source">{caution}</small>}
        {late}
      </span>
      <span className={styles['ahead-press']}>{children}</span>
    </li>
  );
}

/** What is done before the evening: each with its day and hour, done with one press; what is late says what it means. */
export function AheadList({ plan, tasks, startAt, now, onChange, onWarm }: Props): ReactNode {
  const late = new Map(
    (startAt === null ? [] : lateOnes(plan, tasks, startAt, now.getTime())).map((one) => [one.task.id, one]),
  );
  return (
    <div className="ahead-box">
      <ul className="ahead-list">
        {tasks.map((task) => {
          const missed = late.get(task.id);
          const warms = onWarm !== undefined && task.kind === 'warm' && partAhead(plan) === 'day';
          return (
            <AheadRow
              key={task.id}
              task={task}
              now={now}
              caution={orNull(aheadCaution(task))}
              late={missed && <Verdict tone="watch">{textOf(missedText(missed))}</Verdict>}
            >
              {missed && missed.plan !== plan && (
                <Button
                  aria-label={t('shared.reckon-with-it-2', { missedText: missedText(missed) })}
                  onClick={() => onChange(() => missed.plan)}
                >
                  {t('shared.reckon-with-it')}
                </Button>
              )}
              {warms && (
                <Button
                  type="primary"
                  aria-label={t('shared.start-2', { aheadText: aheadText(task) })}
                  onClick={onWarm}
                >
                  {t('shared.start')}
                </Button>
              )}
              <Button
                type={task.doneAt === null && !missed && !warms ? 'primary' : 'default'}
                aria-label={`${task.doneAt === null ? t('shared.done-2') : t('shared.not-done')}: ${textOf(aheadText(task))}`}
                onClick={() =>
                  onChange((before) => withAheadDone(before, task.id, task.doneAt === null ? wallClockOf(now) : null))
                }
              >
                {task.doneAt === null ? t('shared.done-2') : t('shared.not-done')}
              </Button>
            </AheadRow>
          );
        })}
      </ul>
    </div>
  );
}
