import { waterTest, type Cooker, type Kitchen } from '@hervir/core';
import { Button, InputNumber, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import { Field } from '../shared/field';
import { useFocusBack } from '../shared/use-focus-back';
import { rich, t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

interface Props {
  readonly cooker: Cooker;
  readonly kitchen: Kitchen;
  readonly take: (watts: number) => Promise<void>;
  readonly close: () => void;
}

const STEPS: readonly Message[] = [
  say('cookers.look-at-gasket-valve-and'),
  say('cookers.lock-the-lid-close-the'),
  say('cookers.stop-it-when-the-pin'),
];

/** The guided way to find out a heater: time a litre of water to the pin. */
export function WaterTest({ cooker, kitchen, take, close }: Props): ReactNode {
  useFocusBack();
  const [waterC, setWaterC] = useState<number | null>(15);
  const [minutes, setMinutes] = useState<number | null>(null);
  const [saving, setSaving] = useState(false);
  const [sorry, setSorry] = useState<string | null>(null);
  const result = ((): { watts: number; heatW: number } | string | null => {
    if (waterC === null || minutes === null) return null;
    try {
      return waterTest(cooker, kitchen, waterC, minutes);
    } catch (error) {
      return error instanceof RangeError ? error.message : t('cookers.it-could-not-be-reckoned');
    }
  })();
  const known = typeof result === 'object' ? result : null;
  return (
    <Modal
      title={t('cookers.time-a-litre-of-water', { name: cooker.name })}
      open
      onCancel={close}
      footer={[
        <Button key="leave" onClick={close}>
          {t('cookers.cancel')}
        </Button>,
        <Button
          key="take"
          type="primary"
          disabled={known === null}
          loading={saving}
          onClick={() => {
            if (known === null) return;
            setSaving(true);
            take(known.watts).catch((error: unknown) => {
              setSorry(error instanceof Error ? error.message : String(error));
              setSaving(false);
            });
          }}
        >
          {known === null ? t('cookers.take-the-watts') : t('cookers.take-w', { watts: known.watts })}
        </Button>,
      ]}
    >
      <ol style={{ paddingInlineStart: 20, margin: '0 0 12px' }}>
        {STEPS.map((step) => (
          <li key={textOf(step)} style={{ marginBottom: 4 }}>
            {textOf(step)}
          </li>
        ))}
      </ol>
      <div className="fields" style={{ gap: 8 }}>
        <Field label={t('cookers.water-was')}>
          {(id) => (
            <InputNumber
              id={id}
              min={1}
              max={40}
              suffix="°C"
              value={waterC}
              style={{ width: '100%' }}
              onChange={setWaterC}
            />
          )}
        </Field>
        <Field label={t('cookers.to-the-pin')} fault={typeof result === 'string' ? result : undefined}>
          {(id) => (
            <InputNumber
              id={id}
              min={1}
              max={120}
              step={0.5}
              suffix={t('cookers.min')}
              value={minutes}
              style={{ width: '100%' }}
              onChange={setMinutes}
            />
          )}
        </Field>
      </div>
      {known && (
        <p role="status" style={{ marginTop: 12 }}>
          {rich('cookers.w-reach-the-pot-at', {
            heatW: known.heatW,
            strong: (words) => <strong>{words}</strong>,
            watts: known.watts,
          })}
        </p>
      )}
      {sorry !== null && (
        <p role="alert" style={{ color: 'var(--ember)', marginTop: 8 }}>
          {t('cookers.not-kept', { sorry })}
        </p>
      )}
    </Modal>
  );
}
