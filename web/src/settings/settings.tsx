import type { Settings as Stored } from '@hervir/contract';
import { Switch } from 'antd';
import type { ReactNode } from 'react';
import { useHealth, useSaveSettings, useSettings } from '../api/queries';
import { Choice, Field } from '../shared/field';
import { Trouble } from '../shared/trouble';
import { AboutCard } from './about-card';
import { BackupCard } from './backup-card';
import { LogFileCard } from './log-file-card';
import { DemoCard } from './demo-card';
import { DeviceCard } from './device-card';
import { DeviceFields } from './device-fields';
import { KitchenFields } from './kitchen-fields';
import { PhoneCard } from './phone-card';
import { clsx } from 'clsx';
import styles from './settings.module.css';
import { t } from '../language/t';
import { toastTrouble } from '../shared/toast';

/** What is set once: units, the kitchen's air, how sure to be, keys, colours. */
export function Settings(): ReactNode {
  const settings = useSettings();
  if (settings.error) {
    return (
      <div className="room">
        <Trouble
          what={t('settings.the-settings-cannot-be-shown')}
          error={settings.error}
          again={() => void settings.refetch()}
        />
      </div>
    );
  }
  if (!settings.data) return <p className="room dim">{t('app.opening')}</p>;
  return <Form settings={settings.data} />;
}

function Form({ settings }: { readonly settings: Stored }): ReactNode {
  const save = useSaveSettings();
  const demo = useHealth().data?.demo ?? false;
  const change = (part: Partial<Stored>): void =>
    save.mutate(
      { ...settings, ...part },
      { onError: (error) => toastTrouble(t('shared.not-saved', { why: error.message })) },
    );
  return (
    <div className="room" style={{ maxWidth: 680 }}>
      <h1>{t('app.settings')}</h1>
      <div className={clsx('vessel', 'panel', 'fields', styles['settings-fields'])} style={{ marginTop: 16, gap: 12 }}>
        <Choice
          label={t('settings.units')}
          value={settings.units}
          options={[
            { value: 'metric', label: t('settings.g-cm-c-ml') },
            { value: 'us', label: t('settings.lb-in-f-cups') },
          ]}
          onChange={(units) => change({ units })}
        />
        <KitchenFields settings={settings} change={change} />
        <DeviceFields />
        <Field label={t('settings.single-keys')} note={t('settings.digits-on-the-bench-letters')}>
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
      {demo && <DemoCard />}
    </div>
  );
}
