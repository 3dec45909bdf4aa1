import type { BackupPreview, KeptBackup } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { Button, Modal, Upload } from 'antd';
import { useState, type ReactNode } from 'react';
import { request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { longDay } from '../shared/words';
import { FileFaults } from './file-faults';
import styles from './settings.module.css';
import { rich, t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';
import { toastDone } from '../shared/toast';

/** What a table holds, as a cook would call it. */
const NAMES: Readonly<Record<string, Message>> = {
  braise: say('settings.plans'),
  cooker: say('settings.cookers'),
  cook: say('settings.cooks-at-the-pot'),
  log_entry: say('settings.cooks-in-the-log'),
  rehearsal: say('settings.rehearsals'),
};

/** A backup that may be put back: where it is asked of, and what is sent along. */
interface Source {
  readonly path: string;
  readonly file?: File;
}
const ofFile = (file: File): Source => ({ path: '/backup', file });
const ofKept = (name: string): Source => ({ path: `/backup/kept/${name}` });

const megabytes = (bytes: number): string =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;

/** The whole kitchen as one file, and back; and those that were made by themselves. */
export function BackupCard(): ReactNode {
  const folder = useQuery({
    queryKey: ['where'],
    queryFn: () => request<{ folder: string }>('GET', '/backup/where'),
    staleTime: Infinity,
  });
  const kept = useQuery({ queryKey: keys.keptBackups, queryFn: () => request<KeptBackup[]>('GET', '/backup/kept') });
  const [found, setFound] = useState<{ readonly source: Source; readonly preview: BackupPreview } | null>(null);
  const [wrong, setWrong] = useState<Error | null>(null);
  const [busy, setBusy] = useState<'looking' | 'restoring' | null>(null);
  const look = async (source: Source): Promise<void> => {
    setWrong(null);
    setBusy('looking');
    try {
      setFound({ source, preview: await request<BackupPreview>('POST', `${source.path}/preview`, source.file) });
    } catch (error) {
      setWrong(error as Error);
    } finally {
      setBusy(null);
    }
  };
  const restore = async (): Promise<void> => {
    if (!found) return;
    setBusy('restoring');
    try {
      await request('POST', `${found.source.path}/restore`, found.source.file);
      await queryClient.invalidateQueries();
      setFound(null);
      toastDone(t('settings.the-kitchen-is-as-in'));
    } catch (error) {
      setFound(null);
      setWrong(error as Error);
    } finally {
      setBusy(null);
    }
  };
  // A paired phone may cook, and not carry the kitchen away: the server says so.
  if (folder.error) {
    return (
      <div className="card panel" style={{ marginTop: 16 }}>
        <h2>{t('settings.backup-and-restore')}</h2>
        <p style={{ margin: '4px 0' }}>{t('settings.on-the-machine-that-hervir')}</p>
      </div>
    );
  }
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>{t('settings.backup-and-restore')}</h2>
      <p style={{ margin: '4px 0 10px' }}>
        {rich('settings.everything-is-on-this-computer', {
          known: Boolean(folder.data),
          folder: folder.data && <code>{folder.data.folder}</code>,
        })}
      </p>
      <div className={styles['backup-row']}>
        <Button href="/api/backup" download>
          {t('settings.take-a-backup')}
        </Button>
        <Upload
          accept=".json,application/json"
          showUploadList={false}
          beforeUpload={(file) => (void look(ofFile(file)), false)}
        >
          <Button loading={busy === 'looking'}>{t('settings.restore-from-a-backup')}</Button>
        </Upload>
      </div>
      {kept.data && kept.data.length > 0 && (
        <>
          <h2 style={{ marginTop: 14 }}>{t('settings.made-by-itself-each-day')}</h2>
          <ul className={styles['kept-backups']}>
            {kept.data.map(({ name, made, bytes }) => (
              <li key={name}>
                <a href={`/api/backup/kept/${name}`} download>
                  {longDay(made)}
                </a>{' '}
                <span className="dim figure">{megabytes(bytes)}</span>{' '}
                <Button
                  type="link"
                  onClick={() => void look(ofKept(name))}
                  aria-label={t('settings.restore-2', { day: longDay(made) })}
                >
                  {t('settings.restore')}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {wrong && <FileFaults error={wrong} />}
      <Modal
        title={t('settings.put-this-backup-in-place')}
        open={found !== null}
        okText={t('settings.restore-it')}
        okButtonProps={{ danger: true, loading: busy === 'restoring' }}
        onOk={() => void restore()}
        onCancel={() => setFound(null)}
      >
        {found && (
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">
                  <span className="visually-hidden">{t('settings.what')}</span>
                </th>
                <th scope="col">{t('settings.in-the-backup')}</th>
                <th scope="col">{t('settings.here-now')}</th>
              </tr>
            </thead>
            <tbody>
              {Object.entries(NAMES).map(([table, name]) => (
                <tr key={table}>
                  <th scope="row">{textOf(name)}</th>
                  <td className="figure">{found.preview.holds[table] ?? 0}</td>
                  <td className="figure">{found.preview.here[table] ?? 0}</td>
                </tr>
              ))}
              <tr>
                <th scope="row">{t('settings.photos')}</th>
                <td className="figure">{found.preview.photos}</td>
                <td />
              </tr>
            </tbody>
          </table>
        )}
        {found !== null && found.preview.unreadable > 0 && (
          <p>{t('settings.rows-of-an-older-hervir', { unreadable: found.preview.unreadable })}</p>
        )}
        <p>{t('settings.what-is-here-now-is')}</p>
      </Modal>
    </div>
  );
}
