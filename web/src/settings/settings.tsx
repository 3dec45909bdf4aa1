import { kitchenAirKPa, LIMITS } from '@hervir/core';
import type { Settings as Stored } from '@hervir/contract';
import { App, Button, Popconfirm, Select, Switch } from 'antd';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { queryClient, useHealth, useSaveSettings, useSettings } from '../api/queries';
import { Choice, Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { Trouble } from '../shared/trouble';
import { usePreferences } from '../state/preferences';
import { AboutCard } from './about-card';
import { BackupCard } from './backup-card';
import { LogFileCard } from './log-file-card';
import { DeviceCard } from './device-card';
import { PhoneCard } from './phone-card';
import { clsx } from 'clsx';
import styles from './settings.module.css';

const PREP_SPEEDS: readonly (readonly [number, string])[] = [
  [0.6, 'Quick: six minutes in ten'],
  [0.8, 'Brisk: eight in ten'],
  [1, 'As usual'],
  [1.3, 'Without hurry: a third more'],
  [1.6, 'With company: half as much again and more'],
  [2, 'Slowly: twice as long'],
];

/** What is set once: units, the kitchen's air, how sure to be, keys, colours. */
export function Settings(): ReactNode {
  const settings = useSettings();
  if (settings.error) {
    return (
      <div className="room">
        <Trouble what="The settings cannot be shown." error={settings.error} again={() => void settings.refetch()} />
      </div>
    );
  }
  if (!settings.data) return <p className="room dim">Opening…</p>;
  return <Form settings={settings.data} />;
}

function Form({ settings }: { readonly settings: Stored }): ReactNode {
  const save = useSaveSettings();
  const { message } = App.useApp();
  const demo = useHealth().data?.demo ?? false;
  const { colours, setColours, loud, speaks, setAlarms } = usePreferences();
  const change = (part: Partial<Stored>): void =>
    save.mutate({ ...settings, ...part }, { onError: (error) => void message.error(`Not saved: ${error.message}`) });
  const putBack = async (): Promise<void> => {
    try {
      await request('POST', '/demo/reset');
      await queryClient.invalidateQueries();
      void message.success('The demo kitchen is as it came.');
    } catch (error) {
      void message.error(error instanceof Error ? error.message : String(error));
    }
  };
  const { kitchen } = settings;
  return (
    <div className="room" style={{ maxWidth: 680 }}>
      <h1>Settings</h1>
      <div className={clsx('vessel', 'panel', 'fields', styles['settings-fields'])} style={{ marginTop: 16, gap: 12 }}>
        <Choice
          label="Units"
          value={settings.units}
          options={[
            { value: 'metric', label: 'g, cm, °C, ml' },
            { value: 'us', label: 'lb, in, °F, cups' },
          ]}
          onChange={(units) => change({ units })}
        />
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
              options={[0.5, 0.6, 0.7, 0.8, 0.9, 0.95].map((value) => ({
                value,
                label: value === 0.95 ? '19 in 20' : `${Math.round(value * 10)} in 10`,
              }))}
              onChange={(confidence) => change({ confidence })}
            />
          )}
        </Field>
        <Choice
          label="Colours"
          value={colours}
          options={[
            { value: 'device', label: 'As the device' },
            { value: 'day', label: 'Day' },
            { value: 'night', label: 'Night' },
          ]}
          onChange={setColours}
        />
        <Field label="Louder alarms" note="On this device: at full strength, for a noisy kitchen.">
          {(id) => (
            <span>
              <Switch id={id} checked={loud} onChange={(on) => setAlarms({ loud: on })} />
            </span>
          )}
        </Field>
        <Field label="Read steps aloud" note="On this device: each step at the pot as its turn comes.">
          {(id) => (
            <span>
              <Switch id={id} checked={speaks} onChange={(on) => setAlarms({ speaks: on })} />
            </span>
          )}
        </Field>
        <Field label="Single keys" note="Digits on the bench, letters at the pot, and ? for the list of keys.">
          {(id) => (
            <span>
              <Switch id={id} checked={settings.letterKeys} onChange={(letterKeys) => change({ letterKeys })} />
            </span>
          )}
        </Field>
      </div>
      <DeviceCard />
      <PhoneCard />
      <BackupCard />
      <LogFileCard />
      <AboutCard />
      {demo && (
        <div className="card panel" style={{ marginTop: 16 }}>
          <h2>Demo kitchen</h2>
          <p style={{ margin: '4px 0 10px' }}>
            A mountain refuge that does not exist. Everything in it can be put back as it came.
          </p>
          <Popconfirm
            title="Put the demo back?"
            description="Plans made here since are lost."
            okText="Put it back"
            onConfirm={() => void putBack()}
          >
            <Button>Put the demo back</Button>
          </Popconfirm>
        </div>
      )}
    </div>
  );
}
