import type { Cooker } from '@hervir/core';
import { Button, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import { Refused } from '../api/client';
import { useFocusBack } from '../shared/use-focus-back';
import { CookerFields } from './cooker-fields';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';

interface Props {
  readonly cooker: Cooker;
  readonly isNew: boolean;
  readonly save: (cooker: Cooker) => Promise<void>;
  readonly close: () => void;
}

/** A cooker's figures, each with what is allowed. */
export function CookerForm({ cooker: given, isNew, save, close }: Props): ReactNode {
  useFocusBack();
  const [cooker, setCooker] = useState(given);
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const [saving, setSaving] = useState(false);
  const change = (part: Partial<Cooker>): void => setCooker((before) => ({ ...before, ...part }));

  const submit = async (): Promise<void> => {
    setSaving(true);
    setFaults({});
    try {
      await save({ ...cooker, name: cooker.name.trim() });
    } catch (error) {
      const refused = error instanceof Refused ? error.faults : [];
      setFaults(
        refused.length > 0
          ? Object.fromEntries(
              refused.map(({ path, problem, allowed }) => [path, t('shared.allowed', { problem, allowed })]),
            )
          : { '': whyOf(error) },
      );
    } finally {
      setSaving(false);
    }
  };

  return (
    <Modal
      title={isNew ? t('cookers.a-new-cooker') : t('cookers.change', { name: given.name })}
      open
      onCancel={close}
      // Its buttons stay in sight, however long it is.
      styles={{ body: { maxHeight: 'calc(100dvh - 260px)', overflowY: 'auto' } }}
      footer={[
        <Button key="cancel" onClick={close}>
          {t('cookers.cancel')}
        </Button>,
        <Button key="save" type="primary" loading={saving} onClick={() => void submit()}>
          {isNew ? t('cookers.add-it') : t('cookers.keep')}
        </Button>,
      ]}
    >
      <CookerFields cooker={cooker} faults={faults} change={change} />
      {faults[''] !== undefined && (
        <p role="alert" style={{ color: 'var(--ember)' }}>
          {faults['']}
        </p>
      )}
    </Modal>
  );
}
