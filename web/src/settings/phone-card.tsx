import type { Lan } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Refused, request } from '../api/client';
import { queryClient } from '../api/queries';
import { longDay } from '../shared/words';
import styles from './settings.module.css';
import { rich, t } from '../language/t';

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
    <section className="card panel" aria-label={t('settings.a-phone-on-the-counter')} style={{ marginTop: 16 }}>
      <h2>{t('settings.a-phone-on-the-counter')}</h2>
      {code === null || qr === null ? (
        <p style={{ marginTop: 4 }}>
          {rich('settings.hervir-listens-to-this-machine', {
            code: (words) => <code className="figure">{words}</code>,
          })}
        </p>
      ) : (
        <div className={styles['phone-card']}>
          <img
            src={`data:image/svg+xml,${encodeURIComponent(qr)}`}
            width={148}
            height={148}
            alt={t('settings.qr-code-of-pair', { addresses: addresses[0] ?? '' })}
          />
          <div>
            <p>
              {rich('settings.with-the-phone-in-this', {
                list: addresses.join(' or '),
                strong: (words) => <strong className="figure">{words}</strong>,
              })}
            </p>
            <p className={styles['pairing-code']}>{`${code.slice(0, 4)} ${code.slice(4)}`}</p>
            <details className="fold">
              <summary>{t('settings.so-that-the-phone-keeps')}</summary>
              <p>
                {rich('settings.it-keeps-only-what-it', {
                  addresses: addresses[0] ?? '',
                  strong: (words) => <strong className="figure">{words}</strong>,
                })}
              </p>
            </details>
          </div>
        </div>
      )}
      {devices.length > 0 && (
        <ul className={styles['phone-list']}>
          {devices.map(({ id, name, pairedAt }) => (
            <li key={id}>
              {rich('settings.since-forget', {
                name,
                day: longDay(pairedAt),
                span: (words) => <span className="visually-hidden">{words}</span>,
                button: (words) => (
                  <Button size="small" onClick={() => void forget(id)}>
                    {words}
                  </Button>
                ),
              })}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
