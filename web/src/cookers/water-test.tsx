import { waterTest, type Cooker, type Kitchen } from '@hervir/core';
import { Button, InputNumber, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import { Field } from '../shared/field';
import { useFocusBack } from '../shared/use-focus-back';

interface Props {
  readonly cooker: Cooker;
  readonly kitchen: Kitchen;
  readonly take: (watts: number) => Promise<void>;
  readonly close: () => void;
}

const STEPS: readonly string[] = [
  'Look at gasket, valve and pin. Pour in one litre of cold water; the pot itself is cold too.',
  'Lock the lid, close the valve, full heat. Start a clock.',
  'Stop it when the pin rises. Heat off; let it down as the manual says, hands and face away from the valve.',
];

/** The guided way to find out a heater: time a litre of water to the pin. */
export function WaterTest({ cooker, kitchen, take, close }: Props): ReactNode {
  useFocusBack();
  const [waterC, setWaterC] = useState<number | null>(15);
  const [minutes, setMinutes] = useState<number | null>(null);
  const [saving, setSaving] = useState(false);
  const [sorry, setSorry] = useState<string | null>(null);
  const found = ((): { watts: number; heatW: number } | string | null => {
    if (waterC === null || minutes === null) return null;
    try {
      return waterTest(cooker, kitchen, waterC, minutes);
    } catch (error) {
      return error instanceof RangeError ? error.message : 'it could not be reckoned';
    }
  })();
  const known = typeof found === 'object' ? found : null;
  return (
    <Modal
      title={`Time a litre of water in ${cooker.name}`}
      open
      onCancel={close}
      footer={[
        <Button key="leave" onClick={close}>
          Cancel
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
          {known === null ? 'Take the watts' : `Take ${known.watts} W`}
        </Button>,
      ]}
    >
      <ol style={{ paddingInlineStart: 20, margin: '0 0 12px' }}>
        {STEPS.map((step) => (
          <li key={step} style={{ marginBottom: 4 }}>
            {step}
          </li>
        ))}
      </ol>
      <div className="fields" style={{ gap: 8 }}>
        <Field label="Water was">
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
        <Field label="To the pin" fault={typeof found === 'string' ? found : undefined}>
          {(id) => (
            <InputNumber
              id={id}
              min={1}
              max={120}
              step={0.5}
              suffix="min"
              value={minutes}
              style={{ width: '100%' }}
              onChange={setMinutes}
            />
          )}
        </Field>
      </div>
      {known && (
        <p role="status" style={{ marginTop: 12 }}>
          <strong>{known.heatW} W</strong> reach the pot: at the usual efficiency of its kind a heater of about{' '}
          {known.watts} W.
        </p>
      )}
      {sorry !== null && (
        <p role="alert" style={{ color: 'var(--ember)', marginTop: 8 }}>
          Not kept: {sorry}
        </p>
      )}
    </Modal>
  );
}
