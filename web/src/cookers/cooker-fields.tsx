import { LIMITS, type Cooker, type QuantityKind, type Range } from '@hervir/core';
import { Input, InputNumber, Switch } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';

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

interface Props {
  readonly cooker: Cooker;
  /** What is wrong, by the name of the field. */
  readonly faults: Readonly<Record<string, string>>;
  readonly change: (part: Partial<Cooker>) => void;
}

/** Everything that is asked of a cooker. */
export function CookerFields({ cooker, faults, change }: Props): ReactNode {
  return (
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
      <KindFields cooker={cooker} change={change} />
      {NUMBERS.map((row) => (
        <FigureField key={row.key} row={row} cooker={cooker} fault={faults[row.key]} change={change} />
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
    </div>
  );
}

/** Electric or on a stove, and on what. */
function KindFields({ cooker, change }: Omit<Props, 'faults'>): ReactNode {
  return (
    <>
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
    </>
  );
}

interface FigureProps extends Omit<Props, 'faults'> {
  readonly row: NumberRow;
  readonly fault: string | undefined;
}

/** One figure of a cooker, in the cook's units where it has any. */
function FigureField({ row: { key, label, range, kind, note }, cooker, fault, change }: FigureProps): ReactNode {
  return (
    <Field label={label} fault={fault} note={note}>
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
  );
}
