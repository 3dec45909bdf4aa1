import type { BraiseSummary } from '@hervir/contract';
import { Input, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import { usePlanActions } from '../api/queries';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';

/** A plan gets another name. */
export function RenamePlan({ plan, close }: { readonly plan: BraiseSummary; readonly close: () => void }): ReactNode {
  const actions = usePlanActions();
  const [name, setName] = useState(plan.name);
  const [error, setError] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    try {
      await actions.rename(plan.id, name.trim());
      close();
    } catch (caught) {
      setError(whyOf(caught));
    }
  };
  return (
    <Modal
      title={t('tonight.rename-the-plan')}
      open
      okText={t('tonight.rename')}
      onOk={() => void save()}
      onCancel={close}
    >
      <Input
        aria-label={t('tonight.name')}
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
