import type { Lan } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Refused, request } from '../api/client';
import { queryClient } from '../api/queries';
import { longDay } from '../shared/words';
import styles from './settings.module.css';

const LAN = ['lan'] as const;

/** A phone propped against the salt: how it comes in, and which ones have. Shown on Hervir's own machine only. */
export function PhoneCard(): ReactNode {
  const lan = useQuery({ queryKey: LAN, queryFn: () => request<Lan>('GET', '/lan'), refetchInterval: 5000 });
  // On a paired phone this is not told; there is nothing to do there.
  if (lan.error instanceof Refused || !lan.data) return null;
  const { addresses, code, qr, devices } = lan.data;
  const forget = async (id: string): Promise<void> => {
    await request('DELETE', `/lan/devices/${id}`);
    await queryClient.invalidateQueries({ queryKey: LAN });
  };
  return (
    <section className="card panel" aria-label="A phone on the counter" style={{ marginTop: 16 }}>
      <h2>A phone on the counter</h2>
      {code === null || qr === null ? (
        <p style={{ marginTop: 4 }}>
          Hervir listens to this machine only. Started with <code className="figure">npm start -- --lan</code> it lets
          phones of this house in, each with a code.
        </p>
      ) : (
        <div className={styles['phone-card']}>
          <img
            src={`data:image/svg+xml,${encodeURIComponent(qr)}`}
            width={148}
            height={148}
            alt={`QR code of ${addresses[0] ?? ''}/pair`}
          />
          <div>
            <p>
              With the phone in this house’s network, point its camera here, or type{' '}
              <strong className="figure">{addresses.join(' or ')}</strong>. It warns once that it does not know the
              certificate: that was made here. Then give the code:
            </p>
            <p className={styles['pairing-code']}>{`${code.slice(0, 4)} ${code.slice(4)}`}</p>
            <details className="fold">
              <summary>So that the phone keeps Hervir when this machine is away</summary>
              <p>
                It keeps only what it trusts. On the phone open{' '}
                <strong className="figure">{addresses[0] ?? ''}/certificate</strong> and install what it gives as a CA
                certificate, in the phone’s settings for security; on some phones it is then switched on under
                certificate trust. It vouches for addresses inside a house, for no site of the world. Its key lies in
                Hervir’s data folder: take it off the phone again if that folder is ever in other hands.
              </p>
            </details>
          </div>
        </div>
      )}
      {devices.length > 0 && (
        <ul className={styles['phone-list']}>
          {devices.map(({ id, name, pairedAt }) => (
            <li key={id}>
              {name}, since {longDay(pairedAt)}{' '}
              <Button size="small" onClick={() => void forget(id)}>
                Forget<span className="visually-hidden"> {name}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
