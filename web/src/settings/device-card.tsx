import { Button } from 'antd';
import type { ReactNode } from 'react';
import { useServer } from '../api/server-store';
import { t } from '../language/t';

/** Whether Hervir is kept on this device, what that is good for, and how to put it among the device's own programs. */
export function DeviceCard(): ReactNode {
  const { onDevice, install } = useServer();
  return (
    <section className="card panel" aria-label={t('settings.on-this-device')} style={{ marginTop: 16 }}>
      <h2>{t('settings.on-this-device')}</h2>
      <p style={{ margin: '4px 0 10px' }}>
        {onDevice === 'kept'
          ? t('settings.hervir-is-kept-here-it')
          : onDevice === 'impossible'
            ? t('settings.this-browser-does-not-keep')
            : t('settings.being-kept-on-this-device')}
      </p>
      {install !== null && <Button onClick={install}>{t('settings.install')}</Button>}
    </section>
  );
}
