import type { Health } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { request } from '../api/client';
import { longDay } from '../shared/words';
import { rich, t } from '../language/t';

/** Which Hervir this is, how its machine is, and whose work is in it. */
export function AboutCard(): ReactNode {
  const { data } = useQuery({ queryKey: ['health'], queryFn: () => request<Health>('GET', '/health') });
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>{t('settings.about')}</h2>
      <p style={{ margin: '4px 0' }}>
        {rich('settings.hervir-the-last-backup-it', {
          version: data?.version ?? '',
          lastBackup: Boolean(data?.lastBackup),
          day: data?.lastBackup ? longDay(data.lastBackup.made) : '',
          a: (words) => <a href="/licences.txt">{words}</a>,
        })}
      </p>
      <p style={{ margin: '4px 0' }}>{t('settings.made-to-be-used-by')}</p>
    </div>
  );
}
