import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { clockAt, countdownOrOver } from '../shared/words';
import type { CookActions } from './actions';
import { useRunningCooks, type LiveCook } from './use-cook';
import { t, textOf } from '../language/t';

interface Item {
  readonly key: string;
  readonly when: string;
  readonly what: string;
  /** Runs: how long still; below zero, how long over. */
  readonly left: number | null;
  readonly rings: boolean;
  readonly button: { readonly name: string; readonly press: () => void } | null;
  readonly to?: string;
}

/** Soon enough to be shown beside the main work, ms. */
const SOON = 45 * 60_000;

function items({ state, record, now }: LiveCook, actions: CookActions): Item[] {
  const items: Item[] = [];
  for (const { name, now: at, dueAt } of state.tracks) {
    if (!at) continue;
    const { step, startedAt } = at;
    const timer = state.timers.find(({ id }) => id === step.id);
    if (startedAt !== null) {
      items.push({
        key: step.id,
        when: t('cook.now'),
        what: `${textOf(name)}: ${textOf(step.title)}`,
        left: startedAt + step.minutes * 60_000 - now,
        rings: timer?.rings === true,
        button: { name: t('cook.done-2'), press: () => actions.tell('stepDone', { step: step.id }) },
      });
    } else if (dueAt !== null && dueAt - now < SOON) {
      items.push({
        key: step.id,
        when: dueAt <= now ? t('cook.now') : clockAt(dueAt, record.guide.eatAt),
        what: `${textOf(name)}: ${textOf(step.title)}`,
        left: null,
        rings: timer?.rings === true,
        button: { name: t('cook.begun-2'), press: () => actions.tell('stepStarted', { step: step.id }) },
      });
    }
  }
  state.steps.forEach(({ step, startsAt, doneAt }, i) => {
    if (i <= state.position || doneAt !== null) return;
    const timer = state.timers.find(({ id }) => id === step.id);
    if (timer) {
      items.push({
        key: step.id,
        when: t('cook.now'),
        what: textOf(step.title),
        left: timer.endsAt - now,
        rings: timer.rings,
        button: null,
      });
    } else if (step.earlyFromMinute !== null && !state.timers.some(({ id }) => id === state.steps[i + 1]?.step.id)) {
      const heat = state.steps[i + 1];
      const due = startsAt - (heat?.minutes ?? 0) * 60_000;
      items.push({
        key: step.id,
        when: due <= now ? t('cook.now') : clockAt(due, record.guide.eatAt),
        what: textOf(step.title),
        left: null,
        rings: false,
        button: { name: textOf(step.button), press: () => actions.tell(step.done, { step: step.id }) },
      });
    }
  });
  return items;
}

/**
 * What runs or is to be begun beside the main work: side dishes, the heating pot, another cook.
 *
 * @param whereAny only there while there is something, where room is short
 */
export function MeanwhileCard({
  cook,
  actions,
  whereAny = false,
}: {
  readonly cook: LiveCook;
  readonly actions: CookActions;
  readonly whereAny?: boolean;
}): ReactNode {
  const others = useRunningCooks()
    .filter(({ record }) => record.id !== cook.record.id)
    .map(({ record, state, now }): Item => {
      const timer = state.timers[0];
      return {
        key: record.id,
        when: t('cook.now'),
        what: `${record.name}: ${textOf(state.now?.step.title ?? t('cook.served-2'))}`,
        left: timer ? timer.endsAt - now : null,
        rings: timer?.rings === true,
        button: null,
        to: `/cook/${record.id}`,
      };
    });
  const all = [...items(cook, actions), ...others];
  if (whereAny && all.length === 0) return null;
  return (
    <section className="vessel side-card" aria-label={t('cook.meanwhile')}>
      <h2>{t('cook.meanwhile')}</h2>
      {all.length === 0 ? (
        <p className="dim">{t('cook.nothing-is-waiting-for-you')}</p>
      ) : (
        <ul className="ahead">
          {all.map(({ key, when, what, left, rings, button, to }) => (
            <li key={key} className={rings ? 'rings' : ''}>
              <span className="figure">{when}</span>
              <span>
                {to === undefined ? what : <Link to={to}>{what}</Link>}
                {left !== null && <small className="figure">{countdownOrOver(left)}</small>}
              </span>
              {button && (
                <button type="button" className="pot-button small" onClick={button.press}>
                  {button.name}
                  <span className="visually-hidden">: {what}</span>
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
