import { LIMITS, type Cooker, type QuantityKind, type Range } from '@hervir/core';
import { Button, Input, InputNumber, Modal, Switch } from 'antd';
import { useState, type ReactNode } from 'react';
import { Refused } from '../api/client';
import { Choice, Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { useFocusBack } from '../shared/use-focus-back';

interface Props {
  readonly cooker: Cooker;
  readonly isNew: boolean;
  readonly save: (cooker: Cooker) => Promise<void>;
  readonly close: () => void;
}

interface NumberRow {
  readonly key: 'litres' | 'baseDiameterCm' | 'gaugeKPa' | 'watts' | 'minimumLiquidMl' | 'burnCutoutC';
  readonly label: string;
  readonly range: Range;
  /** Typed and printed in the cook's units; a plain number with the range's own unit where there is none. */
  readonly kind?: QuantityKind;
  readonly note?: string;
}

const NUMBERS: readonly NumberRow[] = [
  { key: 'litres', label: 'Holds', range: LIMITS.litres, kind: 'capacity' },
  {
    key: 'baseDiameterCm',
    label: 'Base across',
    range: LIMITS.baseDiameterCm,
    kind: 'length',
    note: 'Inside, where meat can lie.',
  },
  {
    key: 'gaugeKPa',
    label: 'Pressure',
    range: LIMITS.gaugeKPa,
    kind: 'pressure',
    note: 'The high setting, in kPa, bar or psi.',
  },
  { key: 'watts', label: 'Heater', range: LIMITS.watts, note: 'From its plate, or time a litre of water.' },
  {
    key: 'minimumLiquidMl',
    label: 'At least',
    range: LIMITS.minimumLiquidMl,
    kind: 'volume',
    note: 'The manual’s minimum liquid. Never less.',
  },
  {
    key: 'burnCutoutC',
    label: 'Burns at',
    range: LIMITS.burnCutoutC,
    kind: 'temperature',
    note: 'Of the base; as it stands where nobody knows.',
  },
];

const WATTS_STEP = 50;

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
      const found = error instanceof Refused ? error.faults : [];
      setFaults(
        found.length > 0
          ? Object.fromEntries(found.map(({ path, problem, allowed }) => [path, `${problem}; allowed: ${allowed}`]))
          : { '': error instanceof Error ? error.message : String(error) },
      );
    } finally {
      setSaving(false);
    }
  };

  return (
    <Modal
      title={isNew ? 'A new cooker' : `Change ${given.name}`}
      open
      onCancel={close}
      // Its buttons stay in sight, however long it is.
      styles={{ body: { maxHeight: 'calc(100dvh - 260px)', overflowY: 'auto' } }}
      footer={[
        <Button key="cancel" onClick={close}>
          Cancel
        </Button>,
        <Button key="save" type="primary" loading={saving} onClick={() => void submit()}>
          {isNew ? 'Add it' : 'Keep'}
        </Button>,
      ]}
    >
      <div className="fields" style={{ gap: 8 }}>
        <Field label="Name" fault={faults['name']}>
          {(id) => (
            <Input
              id={id}
              value={cooker.name}
              maxLength={60}
              onChange={(event) => change({ name: event.target.value })}
            />
          )}
        </Field>
        <Choice
          label="Kind"
          value={cooker.kind}
          options={[
            { value: 'electric', label: 'Electric' },
            { value: 'stovetop', label: 'Stovetop' },
          ]}
          onChange={(kind) =>
            change({
              kind,
              timerStarts: kind === 'electric' ? 'pressure' : 'pin',
              burner: kind === 'electric' ? 'electric' : 'gas',
            })
          }
        />
        {cooker.kind === 'stovetop' && (
          <Choice
            label="On"
            value={cooker.burner}
            options={[
              { value: 'gas', label: 'Gas' },
              { value: 'electric', label: 'Electric, induction' },
            ]}
            onChange={(burner) => change({ burner })}
          />
        )}
        {NUMBERS.map(({ key, label, range, kind, note }) => (
          <Field key={key} label={label} fault={faults[key]} note={note}>
            {(id) =>
              kind === undefined ? (
                <InputNumber
                  id={id}
                  style={{ width: '100%' }}
                  min={range.min}
                  max={range.max}
                  step={WATTS_STEP}
                  suffix={range.unit}
                  value={cooker[key]}
                  onChange={(value) => value !== null && change({ [key]: value })}
                />
              ) : (
                <QuantityInput
                  id={id}
                  label={label}
                  kind={kind}
                  value={cooker[key]}
                  range={range}
                  onChange={(value) => value !== undefined && change({ [key]: value })}
                />
              )
            }
          </Field>
        ))}
        {cooker.kind === 'electric' && (
          <Field label="Sauté ends" fault={faults['sauteMinutes']} note="Only where it ends by itself.">
            {(id) => (
              <InputNumber
                id={id}
                style={{ width: '100%' }}
                min={LIMITS.sauteMinutes.min}
                max={LIMITS.sauteMinutes.max}
                suffix="min"
                placeholder="never by itself"
                value={cooker.sauteMinutes ?? null}
                onChange={(value) => change({ sauteMinutes: value ?? undefined })}
              />
            )}
          </Field>
        )}
        <Choice
          label="Counts from"
          value={cooker.timerStarts}
          options={[
            { value: 'pin', label: 'The pin' },
            { value: 'pressure', label: 'Full pressure' },
          ]}
          onChange={(timerStarts) => change({ timerStarts })}
        />
        <Field label="Keep warm off" note="Switched off before the release: it would slow it.">
          {(id) => (
            <span>
              <Switch id={id} checked={cooker.keepWarmOff} onChange={(keepWarmOff) => change({ keepWarmOff })} />
            </span>
          )}
        </Field>
        {faults[''] !== undefined && (
          <p role="alert" style={{ color: 'var(--ember)' }}>
            {faults['']}
          </p>
        )}
      </div>
    </Modal>
  );
}
