import { isLanguage, LANGUAGES } from '@hervir/language';
import { Select, Switch } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { usePreferences } from '../state/preferences';
import { chooseLanguage, chosenLanguage } from '../language/choice';
import { t } from '../language/t';

const languages = Object.entries(LANGUAGES);

/** What is of this device alone: its language, its colours, and how it calls. */
export function DeviceFields(): ReactNode {
  const { colours, setColours, loud, speaks, setAlarms } = usePreferences();
  return (
    <>
      <Field label={t('settings.language')}>
        {(id) => (
          <Select<string>
            id={id}
            value={chosenLanguage() ?? 'device'}
            options={[
              { value: 'device', label: t('settings.as-the-browser') },
              ...languages.map(([value, { name }]) => ({ value, label: name })),
            ]}
            onChange={(value) => chooseLanguage(isLanguage(value) ? value : null)}
          />
        )}
      </Field>
      <Choice
        label={t('settings.colours')}
        value={colours}
        options={[
          { value: 'device', label: t('settings.as-the-device') },
          { value: 'day', label: t('settings.day') },
          { value: 'night', label: t('settings.night') },
        ]}
        onChange={setColours}
      />
      <Field label={t('settings.louder-alarms')} note={t('settings.on-this-device-at-full')}>
        {(id) => (
          <span>
            <Switch id={id} checked={loud} onChange={(on) => setAlarms({ loud: on })} />
          </span>
        )}
      </Field>
      <Field label={t('settings.read-steps-aloud')} note={t('settings.on-this-device-each-step')}>
        {(id) => (
          <span>
            <Switch id={id} checked={speaks} onChange={(on) => setAlarms({ speaks: on })} />
          </span>
        )}
      </Field>
    </>
  );
}
