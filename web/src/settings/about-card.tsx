import type { Health } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { longDay } from '../shared/words';

/** Which Hervir this is, how its machine is, and whose work is in it. */
export function AboutCard(): ReactNode {
  const { data } = useQuery({ queryKey: ['health'], queryFn: () => request<Health>('GET', '/health') });
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>About</h2>
      <p style={{ margin: '4px 0' }}>
        Hervir {data?.version}.{' '}
        {data?.lastBackup
          ? `The last backup it made by itself is of ${longDay(data.lastBackup.made)}.`
          : 'It makes a backup by itself once a day.'}{' '}
        <a href="/licences.txt">Licences of the fonts and of everything else that is in it</a>.
      </p>
    </div>
  );
}
