import type { BraiseSummary } from '@hervir/contract';
import { Button } from 'antd';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { usePlanActions } from '../api/queries';
import styles from './tonight.module.css';

/** Not in the first load: it is asked for. */
const DinnerTime = lazy(() => import('../shared/dinner-time').then((module) => ({ default: module.DinnerTime })));

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
      setWrong(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className={styles['say-when']}>
      <Button aria-expanded={asked} aria-label={`Say when we eat ${plan.name}`} onClick={() => setAsked(!asked)}>
        {plan.serveAt === null ? 'Say when we eat' : 'Another day'}
      </Button>
      {asked && (
        <Suspense fallback={null}>
          <DinnerTime now={now} busy={busy} onServeAt={(serveAt) => void eatAt(serveAt)} />
        </Suspense>
      )}
      {wrong !== null && <p role="alert">Not kept: {wrong}</p>}
    </div>
  );
}
