import type { Settings as Stored } from '@hervir/contract';
import { kitchenAirKPa, LIMITS } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { SURE, sureWords } from '../shared/sure-words';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

const PREP_SPEEDS: readonly (readonly [number, Message])[] = [
  [0.6, say('settings.quick-six-minutes-in-ten')],
  [0.8, say('settings.brisk-eight-in-ten')],
  [1, say('settings.as-usual')],
  [1.3, say('settings.without-hurry-a-third-more')],
  [1.6, say('settings.with-company-half-as-much')],
  [2, say('settings.slowly-twice-as-long')],
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
      <Field label={t('settings.altitude')} note={t('settings.air-is-thinner-higher-up')}>
        {(id) => (
          <QuantityInput
            id={id}
            label={t('settings.altitude')}
            kind="altitude"
            value={kitchen.altitudeM}
            range={LIMITS.altitudeM}
            onChange={(altitudeM) => altitudeM !== undefined && change({ kitchen: { ...kitchen, altitudeM } })}
          />
        )}
      </Field>
      <Field label={t('settings.air-pressure')} note={t('settings.measured-at-the-kitchen-not')}>
        {(id) => (
          <QuantityInput
            id={id}
            label={t('settings.air-pressure')}
            kind="pressure"
            value={kitchen.airKPa}
            range={LIMITS.airKPa}
            derived={kitchenAirKPa({ ...kitchen, airKPa: undefined })}
            onChange={(airKPa) => change({ kitchen: { ...kitchen, airKPa } })}
          />
        )}
      </Field>
      <Field label={t('settings.room')}>
        {(id) => (
          <QuantityInput
            id={id}
            label={t('settings.room')}
            kind="temperature"
            value={kitchen.roomC}
            range={LIMITS.roomC}
            onChange={(roomC) => roomC !== undefined && change({ kitchen: { ...kitchen, roomC } })}
          />
        )}
      </Field>
      <Field label={t('settings.at-the-board')} note={t('settings.your-minutes-for-washing-and')}>
        {(id) => (
          <Select
            id={id}
            value={kitchen.prepFactor ?? 1}
            options={PREP_SPEEDS.map(([value, label]) => ({ value, label: textOf(label) }))}
            onChange={(prepFactor) => change({ kitchen: { ...kitchen, prepFactor } })}
          />
        )}
      </Field>
      <Field label={t('settings.how-sure')} note={t('settings.the-chance-of-being-tender')}>
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
