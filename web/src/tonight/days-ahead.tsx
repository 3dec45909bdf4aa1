import type { BraiseSummary } from '@hervir/contract';
import type { AheadTask, Plan } from '@hervir/core';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { usePlanActions } from '../api/queries';
import { useStartCook } from '../cook/use-start-cook';
import { AheadList } from '../shared/ahead-list';
import { useReckoned } from '../shared/use-reckoned';
import { dayWord } from '../shared/words';
import { useDayAlarms } from './use-day-alarms';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

/** What is due within so many hours is worth a place on the first page. */
const SOON_HOURS = 24;
/** What was said to be done stays so long, to be taken back. */
const JUST_DONE_HOURS = 6;

/** What is to be done today for a dinner of another day, across all plans. */
export function DaysAhead({ plans, now }: { readonly plans: readonly BraiseSummary[]; readonly now: Date }): ReactNode {
  const reckoned = useReckoned(plans);
  const actions = usePlanActions();
  const { start } = useStartCook();
  const alarms = useMemo(
    () => plans.flatMap((plan, i) => (reckoned[i]?.ahead ?? []).map((task) => ({ of: plan.name, task }))),
    [plans, reckoned],
  );
  useDayAlarms(alarms, now);
  const soon = now.getTime() + SOON_HOURS * 3_600_000;
  const justDone = now.getTime() - JUST_DONE_HOURS * 3_600_000;
  const due = ({ at, doneAt }: AheadTask): boolean =>
    doneAt === null ? at !== null && Date.parse(at) <= soon : Date.parse(doneAt) >= justDone;
  const waiting = plans.flatMap((plan, i) => {
    const one = reckoned[i] ?? null;
    const tasks = one?.ahead.filter(due) ?? [];
    return one === null || tasks.length === 0 ? [] : [{ plan, one, tasks }];
  });
  if (waiting.length === 0) return null;
  const change = async (id: string, how: (plan: Plan) => Plan): Promise<void> => {
    try {
      await actions.change(id, how);
    } catch (error) {
      toastTrouble(whyOf(error));
    }
  };
  return (
    <section aria-label={t('tonight.before-the-evening')} className="days-ahead">
      <h2>{t('tonight.before-the-evening')}</h2>
      {waiting.map(({ plan, one, tasks }) => (
        <div key={plan.id} className="card">
          <p>
            <Link to={`/bench/${plan.id}`}>
              <strong>{plan.name}</strong>
            </Link>
            {plan.serveAt !== null && (
              <span className="dim">{t('tonight.eaten', { day: dayWord(plan.serveAt, now) })}</span>
            )}
          </p>
          <AheadList
            plan={one.plan}
            tasks={tasks}
            startAt={one.clock.startAt}
            now={now}
            onChange={(how) => void change(plan.id, how)}
            onWarm={() => void start(plan.id, 'day')}
          />
        </div>
      ))}
    </section>
  );
}
