import { type Message, type QuantityKind, say } from '@hervir/language';
import { LIMITS, type Cooker, type Range } from '@hervir/core';
import { Input, InputNumber, Switch } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { t, textOf } from '../language/t';

interface NumberRow {
  readonly key: 'litres' | 'baseDiameterCm' | 'gaugeKPa' | 'watts' | 'minimumLiquidMl' | 'burnCutoutC';
  readonly label: Message;
  readonly range: Range;
  /** Typed and printed in the cook's units; a plain number with the range's own unit where there is none. */
  readonly kind?: QuantityKind;
  readonly note?: Message;
}

const NUMBERS: readonly NumberRow[] = [
  { key: 'litres', label: say('cookers.holds'), range: LIMITS.litres, kind: 'capacity' },
  {
    key: 'baseDiameterCm',
    label: say('cookers.base-across'),
    range: LIMITS.baseDiameterCm,
    kind: 'length',
    note: say('cookers.inside-where-meat-can-lie'),
  },
  {
    key: 'gaugeKPa',
    label: say('cookers.pressure'),
    range: LIMITS.gaugeKPa,
    kind: 'pressure',
    note: say('cookers.the-high-setting-in-kpa'),
  },
  { key: 'watts', label: say('cookers.heater'), range: LIMITS.watts, note: say('cookers.from-its-plate-or-time') },
  {
    key: 'minimumLiquidMl',
    label: say('cookers.at-least'),
    range: LIMITS.minimumLiquidMl,
    kind: 'volume',
    note: say('cookers.the-manuals-minimum-liquid-never'),
  },
  {
    key: 'burnCutoutC',
    label: say('cookers.burns-at'),
    range: LIMITS.burnCutoutC,
    kind: 'temperature',
    note: say('cookers.of-the-base-as-it'),
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
      <Field label={t('cookers.name')} fault={faults['name']}>
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
        <Field label={t('cookers.saute-ends')} fault={faults['sauteMinutes']} note={t('cookers.only-where-it-ends-by')}>
          {(id) => (
            <InputNumber
              id={id}
              style={{ width: '100%' }}
              min={LIMITS.sauteMinutes.min}
              max={LIMITS.sauteMinutes.max}
              suffix={t('cookers.min')}
              placeholder={t('cookers.never-by-itself')}
              value={cooker.sauteMinutes ?? null}
              onChange={(value) => change({ sauteMinutes: value ?? undefined })}
            />
          )}
        </Field>
      )}
      <Choice
        label={t('cookers.counts-from')}
        value={cooker.timerStarts}
        options={[
          { value: 'pin', label: t('cookers.the-pin') },
          { value: 'pressure', label: t('cookers.full-pressure') },
        ]}
        onChange={(timerStarts) => change({ timerStarts })}
      />
      <Field label={t('cookers.keep-warm-off')} note={t('cookers.switched-off-before-the-release')}>
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
        label={t('cookers.kind')}
        value={cooker.kind}
        options={[
          { value: 'electric', label: t('cookers.electric') },
          { value: 'stovetop', label: t('cookers.stovetop') },
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
          label={t('cookers.on')}
          value={cooker.burner}
          options={[
            { value: 'gas', label: t('cookers.gas') },
            { value: 'electric', label: t('cookers.electric-induction') },
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
    <Field label={textOf(label)} fault={fault} note={note && textOf(note)}>
      {(id) =>
        kind === undefined ? (
          <InputNumber
            id={id}
            style={{ width: '100%' }}
            min={range.min}
            max={range.max}
            step={WATTS_STEP}
            suffix={textOf(range.unit)}
            value={cooker[key]}
            onChange={(value) => value !== null && change({ [key]: value })}
          />
        ) : (
          <QuantityInput
            id={id}
            label={textOf(label)}
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
