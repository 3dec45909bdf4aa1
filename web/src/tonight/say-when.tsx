import type { BraiseSummary } from '@hervir/contract';
import { Button } from 'antd';
import { Suspense, useState, type ReactNode } from 'react';
import { usePlanActions } from '../api/queries';
import styles from './tonight.module.css';
import { t } from '../language/t';
import { later } from '../shared/later';
import { whyOf } from '../language/why-of';

/** Not in the first load: it is asked for. */
const DinnerTime = later(() => import('../shared/dinner-time').then((module) => module.DinnerTime));

/** A plan without a dinner ahead is given one where it stands. */
export function SayWhen({ plan, now }: { readonly plan: BraiseSummary; readonly now: Date }): ReactNode {
  const actions = usePlanActions();
  const [asked, setAsked] = useState(false);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const eatAt = async (serveAt: string): Promise<void> => {
    setBusy(true);
    try {
      await actions.eatAt(plan.id, serveAt);
      setAsked(false);
      setWrong(null);
    } catch (error) {
      setWrong(whyOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className={styles['say-when']}>
      <Button
        aria-expanded={asked}
        aria-label={t('tonight.say-when-we-eat', { name: plan.name })}
        onClick={() => setAsked(!asked)}
      >
        {plan.serveAt === null ? t('tonight.say-when-we-eat-2') : t('tonight.another-day')}
      </Button>
      {asked && (
        <Suspense fallback={null}>
          <DinnerTime now={now} busy={busy} onServeAt={(serveAt) => void eatAt(serveAt)} />
        </Suspense>
      )}
      {wrong !== null && <p role="alert">{t('tonight.not-kept', { wrong })}</p>}
    </div>
  );
}
