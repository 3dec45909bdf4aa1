import type { BraiseSummary } from '@hervir/contract';
import { cutById, cutTitle, printDuration } from '@hervir/core';
import { App, Input, Modal } from 'antd';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useBraises, usePlanActions } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useUndo } from '../shared/use-undo';
import { useUnits } from '../shared/use-units';
import { clockTime, dayWord, FORM_PHRASES } from '../shared/words';
import { mealWords } from '../shared/meal-words';
import { lateStart } from '../shared/late-start';
import { MoreButton } from './more-button';
import { SayWhen } from './say-when';
import { useNext, usePlansAhead, type Begins } from './use-next';
import styles from './tonight.module.css';

const NO_PLANS: readonly BraiseSummary[] = [];

/** From here on the other plans of the evening are worth a word, minutes. */
const TOGETHER = 1;

/** Nor this: few plans reach back over days. */
const DaysAhead = lazy(() => import('./days-ahead').then((module) => ({ default: module.DaysAhead })));

/** Not in the first load: the menu comes when it is asked for. */
const PlanMenu = lazy(() => import('./plan-menu').then((module) => ({ default: module.PlanMenu })));

/** The kept plans: what is next, and the rest. */
export function Plans({ now }: { readonly now: Date }): ReactNode {
  const braises = useBraises();
  const [renaming, setRenaming] = useState<BraiseSummary | null>(null);
  const ahead = usePlansAhead(braises.data ?? NO_PLANS, now);
  const next = useNext(ahead, now);
  if (braises.isPending) {
    return (
      <p className="dim" style={{ marginTop: 24 }}>
        Looking for plans…
      </p>
    );
  }
  if (braises.error) {
    return (
      <div style={{ marginTop: 24 }}>
        <Trouble what="The plans cannot be shown." error={braises.error} again={() => void braises.refetch()} />
      </div>
    );
  }
  const plans = braises.data;
  const rest = plans.filter(({ id }) => id !== next?.plan.id);
  return (
    <>
      <Suspense fallback={null}>
        <DaysAhead plans={ahead} now={now} />
      </Suspense>
      <div className="columns">
        <section aria-label="Begin next">
          <h2>Begin next</h2>
          {next ? (
            <ul className="plan-grid">
              <PlanItem
                plan={next.plan}
                now={now}
                onRename={setRenaming}
                begin={<Begin begins={next.begins} now={now} />}
              />
            </ul>
          ) : (
            <p className="dim">Nothing is waiting. A plan with a dinner ahead shows here.</p>
          )}
        </section>
        <section aria-label="Plans">
          <h2 className={styles['with-link']}>
            Plans <Link to="/shopping">What to buy</Link>
          </h2>
          {plans.length === 0 ? (
            <p className="dim">No plans yet. Fill the sentence above; “Open on the bench” keeps it as a plan.</p>
          ) : rest.length === 0 ? (
            <p className="dim">No others.</p>
          ) : (
            <ul className="plan-grid">
              {rest.map((plan) => (
                <PlanItem key={plan.id} plan={plan} now={now} onRename={setRenaming} />
              ))}
            </ul>
          )}
        </section>
        {renaming && <Rename key={renaming.id} plan={renaming} close={() => setRenaming(null)} />}
      </div>
    </>
  );
}

interface ItemProps {
  readonly plan: BraiseSummary;
  readonly now: Date;
  readonly onRename: (plan: BraiseSummary) => void;
  /** When to begin, where that is worth reckoning. */
  readonly begin?: ReactNode;
}

/** When the next plan begins: the figure one looks for first; where that has passed, what it makes of dinner. */
function Begin({ begins, now }: { readonly begins: Begins | null; readonly now: Date }): ReactNode {
  if (begins === null) return <span className="begin-at">…</span>;
  const { startAt, eatAt, earlierMinutes, after, kept } = begins;
  const meal = mealWords(kept).short;
  const late = lateStart(begins, now);
  if (late !== null) {
    return (
      <span className="begin-at" style={{ color: 'var(--brass)' }}>
        ▲ begin now, {printDuration(late.minutes)} late{' '}
        <small>
          {meal} {clockTime(late.dinnerAt)}
        </small>
      </span>
    );
  }
  if (after !== null) {
    return (
      <span className="begin-at" style={{ color: 'var(--brass)' }}>
        ▲ begin {clockTime(startAt)}{' '}
        <small>
          {dayWord(startAt, now)}, {meal} {clockTime(eatAt)}: its pot is on the fire with {after.pot.name}
        </small>
      </span>
    );
  }
  return (
    <span className="begin-at" style={{ color: 'var(--ember)' }}>
      begin {clockTime(startAt)}{' '}
      <small>
        {dayWord(startAt, now)}
        {earlierMinutes >= TOGETHER
          ? `, ${printDuration(earlierMinutes)} earlier than alone: another plan wants your hands or its pot`
          : ''}
      </small>
    </span>
  );
}

function PlanItem({ plan, now, onRename, begin }: ItemProps): ReactNode {
  const { print } = useUnits();
  const actions = usePlanActions();
  const { message } = App.useApp();
  const undo = useUndo();
  const [menuAsked, setMenuAsked] = useState(false);
  const sorry = (error: unknown): void => void message.error(error instanceof Error ? error.message : String(error));

  const remove = async (): Promise<void> => {
    await actions.remove(plan.id);
    undo(`removed-${plan.id}`, `${plan.name} is put away.`, () => void actions.restore(plan.id).catch(sorry));
  };

  return (
    <li className="card plan-item">
      <Link to={`/bench/${plan.id}`}>
        <strong>{plan.name}</strong>
        {begin}
        <span className="plan-facts">
          <span>
            {plan.unreadable === true
              ? 'This Hervir cannot read it: it can be put away, and is in every backup.'
              : `${print('mass', plan.grams)} of ${cutTitle(cutById(plan.cut))}, ${FORM_PHRASES[plan.form]}`}
          </span>
          <span>
            {plan.serveAt === null ? plan.cookerName : `eat ${clockTime(plan.serveAt)} ${dayWord(plan.serveAt, now)}`}
          </span>
        </span>
      </Link>
      {plan.unreadable !== true && (plan.serveAt === null || Date.parse(plan.serveAt) < now.getTime()) && (
        <SayWhen plan={plan} now={now} />
      )}
      {menuAsked ? (
        <Suspense fallback={<MoreButton name={plan.name} />}>
          <PlanMenu
            name={plan.name}
            onRename={() => onRename(plan)}
            onCopy={() => void actions.copy(plan.id).catch(sorry)}
            onDelete={() => void remove().catch(sorry)}
          />
        </Suspense>
      ) : (
        <MoreButton name={plan.name} aria-haspopup="menu" onClick={() => setMenuAsked(true)} />
      )}
    </li>
  );
}

function Rename({ plan, close }: { readonly plan: BraiseSummary; readonly close: () => void }): ReactNode {
  const actions = usePlanActions();
  const [name, setName] = useState(plan.name);
  const [error, setError] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    try {
      await actions.rename(plan.id, name.trim());
      close();
    } catch (caught) {
      setError(caught instanceof Error ? caught.message : String(caught));
    }
  };
  return (
    <Modal title="Rename the plan" open okText="Rename" onOk={() => void save()} onCancel={close}>
      <Input
        aria-label="Name"
        value={name}
        maxLength={120}
        autoFocus
        onChange={(event) => setName(event.target.value)}
        onPressEnter={() => void save()}
      />
      {error !== null && (
        <p role="alert" style={{ color: 'var(--ember)', marginTop: 8 }}>
          {error}
        </p>
      )}
    </Modal>
  );
}
