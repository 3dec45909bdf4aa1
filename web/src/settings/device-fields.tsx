import { Switch } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { usePreferences } from '../state/preferences';

/** What is of this device alone: its colours, and how it calls. */
export function DeviceFields(): ReactNode {
  const { colours, setColours, loud, speaks, setAlarms } = usePreferences();
  return (
    <>
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
    </>
  );
}
