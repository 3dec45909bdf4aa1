import { Button } from 'antd';
import type { ReactNode } from 'react';
import { useServer } from '../state/server-store';

/** Whether Hervir is kept on this device, what that is good for, and how to put it among the device's own programs. */
export function DeviceCard(): ReactNode {
  const { onDevice, install } = useServer();
  return (
    <section className="card panel" aria-label="On this device" style={{ marginTop: 16 }}>
      <h2>On this device</h2>
      <p style={{ margin: '4px 0 10px' }}>
        {onDevice === 'kept'
          ? 'Hervir is kept here: it opens, and a cook goes on with its alarms, while the server or the network is away. What you press arrives when they are back.'
          : onDevice === 'impossible'
            ? 'This browser does not keep Hervir here, because the address is not a secure one or its certificate is not trusted. An open page goes on without the server all the same; it just cannot be opened anew.'
            : 'Being kept on this device…'}
      </p>
      {install !== null && <Button onClick={install}>Install</Button>}
    </section>
  );
}
