import { printDuration } from '@hervir/language';
import type { BraiseSummary } from '@hervir/contract';
import { cutById, cutTitle } from '@hervir/core';
import { Suspense, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useBraises, usePlanActions } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { undoToast } from '../shared/undo-toast';
import { useUnits } from '../shared/use-units';
import { clockTime, dayWord, FORM_PHRASES } from '../shared/words';
import { mealWords } from '../shared/meal-words';
import { lateStart } from '../shared/late-start';
import { MoreButton } from './more-button';
import { SayWhen } from './say-when';
import { useNext, usePlansAhead, type Begins } from './use-next';
import styles from './tonight.module.css';
import { rich, t } from '../language/t';
import { later, soon } from '../shared/later';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

const NO_PLANS: readonly BraiseSummary[] = [];

/** From here on the other plans of the evening are worth a word, minutes. */
const TOGETHER = 1;

/** Fetched a moment after the first load: few plans reach back over days. */
const DaysAhead = soon(() => import('./days-ahead').then((module) => module.DaysAhead));

/** Fetched when they are asked for. */
const RenamePlan = later(() => import('./rename-plan').then((module) => module.RenamePlan));
const PlanMenu = later(() => import('./plan-menu').then((module) => module.PlanMenu));

/** The kept plans: what is next, and the rest. */
export function Plans({ now }: { readonly now: Date }): ReactNode {
  const braises = useBraises();
  const [renaming, setRenaming] = useState<BraiseSummary | null>(null);
  const ahead = usePlansAhead(braises.data ?? NO_PLANS, now);
  const next = useNext(ahead, now);
  if (braises.isPending) {
    return (
      <p className="dim" style={{ marginTop: 24 }}>
        {t('tonight.looking-for-plans')}
      </p>
    );
  }
  if (braises.error) {
    return (
      <div style={{ marginTop: 24 }}>
        <Trouble
          what={t('shared.the-plans-cannot-be-shown')}
          error={braises.error}
          again={() => void braises.refetch()}
        />
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
        <section aria-label={t('tonight.begin-next')}>
          <h2>{t('tonight.begin-next')}</h2>
          {next ? (
            <ul className="plan-grid">
              <PlanItem
                // Another plan is another card: a menu that is open, or a finger on its way, means the one that was there.
                key={next.plan.id}
                plan={next.plan}
                now={now}
                onRename={setRenaming}
                begin={<Begin begins={next.begins} now={now} />}
              />
            </ul>
          ) : (
            <p className="dim">{t('tonight.nothing-is-waiting-a-plan')}</p>
          )}
        </section>
        <section aria-label={t('tonight.plans')}>
          <h2 className={styles['with-link']}>
            {rich('tonight.plans-what-to-buy', { link: (words) => <Link to="/shopping">{words}</Link> })}
          </h2>
          {plans.length === 0 ? (
            <p className="dim">{t('tonight.no-plans-yet-fill-the')}</p>
          ) : rest.length === 0 ? (
            <p className="dim">{t('tonight.no-others')}</p>
          ) : (
            <ul className="plan-grid">
              {rest.map((plan) => (
                <PlanItem key={plan.id} plan={plan} now={now} onRename={setRenaming} />
              ))}
            </ul>
          )}
        </section>
        {renaming && (
          <Suspense fallback={null}>
            <RenamePlan key={renaming.id} plan={renaming} close={() => setRenaming(null)} />
          </Suspense>
        )}
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
        {rich('tonight.begin-now-late', {
          duration: printDuration(late.minutes),
          meal,
          time: clockTime(late.dinnerAt),
          small: (words) => <small>{words}</small>,
        })}
      </span>
    );
  }
  if (after !== null) {
    return (
      <span className="begin-at" style={{ color: 'var(--brass)' }}>
        {rich('tonight.begin-its-pot-is-on', {
          time: clockTime(startAt),
          day: dayWord(startAt, now),
          meal,
          eatAt: clockTime(eatAt),
          name: after.pot.name,
          small: (words) => <small>{words}</small>,
        })}
      </span>
    );
  }
  return (
    <span className="begin-at" style={{ color: 'var(--ember)' }}>
      {rich('tonight.begin-earlier-than-alone-another', {
        time: clockTime(startAt),
        day: dayWord(startAt, now),
        earlierMinutes: earlierMinutes >= TOGETHER,
        duration: printDuration(earlierMinutes),
        small: (words) => <small>{words}</small>,
      })}
    </span>
  );
}

function PlanItem({ plan, now, onRename, begin }: ItemProps): ReactNode {
  const { print } = useUnits();
  const actions = usePlanActions();
  const [menuAsked, setMenuAsked] = useState(false);
  const sorry = (error: unknown): void => toastTrouble(whyOf(error));

  const remove = async (): Promise<void> => {
    await actions.remove(plan.id);
    undoToast(
      `removed-${plan.id}`,
      t('tonight.is-put-away', { name: plan.name }),
      () => void actions.restore(plan.id).catch(sorry),
    );
  };

  return (
    <li className="card plan-item">
      <Link to={`/bench/${plan.id}`}>
        <strong>{plan.name}</strong>
        {begin}
        <span className="plan-facts">
          <span>
            {plan.unreadable === true
              ? t('tonight.this-hervir-cannot-read-it')
              : t('shared.of', {
                  mass: print('mass', plan.grams),
                  cut: cutTitle(cutById(plan.cut)),
                  formPhrases: FORM_PHRASES[plan.form],
                })}
          </span>
          <span>
            {plan.serveAt === null
              ? plan.cookerName
              : t('tonight.eat', { time: clockTime(plan.serveAt), day: dayWord(plan.serveAt, now) })}
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
