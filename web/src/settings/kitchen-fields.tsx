import type { Settings as Stored } from '@hervir/contract';
import { kitchenAirKPa, LIMITS } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { SURE, sureWords } from '../shared/sure-words';

const PREP_SPEEDS: readonly (readonly [number, string])[] = [
  [0.6, 'Quick: six minutes in ten'],
  [0.8, 'Brisk: eight in ten'],
  [1, 'As usual'],
  [1.3, 'Without hurry: a third more'],
  [1.6, 'With company: half as much again and more'],
  [2, 'Slowly: twice as long'],
];

interface Props {
  readonly settings: Stored;
  readonly change: (part: Partial<Stored>) => void;
}

/** The kitchen's air and warmth, how fast its cook is at the board, and how sure a plan should be. */
export function KitchenFields({ settings, change }: Props): ReactNode {
  const { kitchen } = settings;
  return (
    <>
      <Field label="Altitude" note="Air is thinner higher up: the pot works cooler and the minutes grow.">
        {(id) => (
          <QuantityInput
            id={id}
            label="Altitude"
            kind="altitude"
            value={kitchen.altitudeM}
            range={LIMITS.altitudeM}
            onChange={(altitudeM) => altitudeM !== undefined && change({ kitchen: { ...kitchen, altitudeM } })}
          />
        )}
      </Field>
      <Field
        label="Air pressure"
        note="Measured at the kitchen, not reduced to the sea: it overrules the altitude. Leave empty otherwise."
      >
        {(id) => (
          <QuantityInput
            id={id}
            label="Air pressure"
            kind="pressure"
            value={kitchen.airKPa}
            range={LIMITS.airKPa}
            derived={kitchenAirKPa({ ...kitchen, airKPa: undefined })}
            onChange={(airKPa) => change({ kitchen: { ...kitchen, airKPa } })}
          />
        )}
      </Field>
      <Field label="Room">
        {(id) => (
          <QuantityInput
            id={id}
            label="Room"
            kind="temperature"
            value={kitchen.roomC}
            range={LIMITS.roomC}
            onChange={(roomC) => roomC !== undefined && change({ kitchen: { ...kitchen, roomC } })}
          />
        )}
      </Field>
      <Field
        label="At the board"
        note="Your minutes for washing and cutting, against the usual. New plans count with it."
      >
        {(id) => (
          <Select
            id={id}
            value={kitchen.prepFactor ?? 1}
            options={PREP_SPEEDS.map(([value, label]) => ({ value, label }))}
            onChange={(prepFactor) => change({ kitchen: { ...kitchen, prepFactor } })}
          />
        )}
      </Field>
      <Field label="How sure" note="The chance of being tender that Hervir aims its minutes at, for new plans.">
        {(id) => (
          <Select
            id={id}
            value={settings.confidence}
            options={SURE.map((value) => ({ value, label: sureWords(value) }))}
            onChange={(confidence) => change({ confidence })}
          />
        )}
      </Field>
    </>
  );
}
