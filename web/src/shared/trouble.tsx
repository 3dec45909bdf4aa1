import { upperFirst } from '@hervir/language';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Away, Refused } from '../api/client';
import { t } from '../language/t';

/** Something could not be fetched: what, why, and a way to try again. */
export function Trouble({
  what,
  error,
  again,
}: {
  readonly what: string;
  readonly error: Error;
  readonly again: () => void;
}): ReactNode {
  const why =
    error instanceof Away
      ? error.why === null
        ? t('shared.the-server-does-not-answer')
        : `${upperFirst(error.why)}.`
      : error instanceof Refused
        ? error.faults
            .map((fault) => t('shared.allowed', { problem: fault.problem, allowed: fault.allowed }))
            .join('. ')
        : error.message;
  return (
    <div className="card panel" role="alert">
      <strong>{what}</strong>
      <p style={{ margin: '4px 0 10px' }}>{why}</p>
      <Button onClick={again}>{t('shared.try-again')}</Button>
    </div>
  );
}
