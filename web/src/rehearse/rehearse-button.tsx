import { Button } from 'antd';
import type { ReactNode } from 'react';
import { flush } from '../state/bench/keep-bench';
import { useStartRehearsal } from './use-start';
import { t } from '../language/t';

/** Rehearses the plan on the bench, as it stands now. */
export function RehearseButton({
  braiseId,
  disabled,
}: {
  readonly braiseId: string;
  readonly disabled: boolean;
}): ReactNode {
  const { start, busy } = useStartRehearsal();
  return (
    <Button loading={busy} disabled={disabled} onClick={() => void flush().then(() => start({ braiseId }))}>
      {t('app.rehearse')}
    </Button>
  );
}
