import type { BackupPreview, KeptBackup } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { App, Button, Modal, Upload } from 'antd';
import { useState, type ReactNode } from 'react';
import { request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { longDay } from '../shared/words';
import { FileFaults } from './file-faults';
import styles from './settings.module.css';

/** What a table holds, as a cook would call it. */
const NAMES: Readonly<Record<string, string>> = {
  braise: 'plans',
  cooker: 'cookers',
  cook: 'cooks at the pot',
  log_entry: 'cooks in the log',
  rehearsal: 'rehearsals',
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
  const { message } = App.useApp();
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
      void message.success('The kitchen is as in the backup.');
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
        <h2>Backup and restore</h2>
        <p style={{ margin: '4px 0' }}>On the machine that Hervir runs on.</p>
      </div>
    );
  }
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>Backup and restore</h2>
      <p style={{ margin: '4px 0 10px' }}>
        Everything is on this computer{folder.data && ', in '}
        {folder.data && <code>{folder.data.folder}</code>}. A backup is one file with all of it: plans, cookers, cooks,
        log, photos, what was learnt. It is read back before you get it.
      </p>
      <div className={styles['backup-row']}>
        <Button href="/api/backup" download>
          Take a backup
        </Button>
        <Upload
          accept=".json,application/json"
          showUploadList={false}
          beforeUpload={(file) => (void look(ofFile(file)), false)}
        >
          <Button loading={busy === 'looking'}>Restore from a backup…</Button>
        </Upload>
      </div>
      {kept.data && kept.data.length > 0 && (
        <>
          <h2 style={{ marginTop: 14 }}>Made by itself, each day for a fortnight</h2>
          <ul className={styles['kept-backups']}>
            {kept.data.map(({ name, made, bytes }) => (
              <li key={name}>
                <a href={`/api/backup/kept/${name}`} download>
                  {longDay(made)}
                </a>{' '}
                <span className="dim figure">{megabytes(bytes)}</span>{' '}
                <Button type="link" onClick={() => void look(ofKept(name))} aria-label={`Restore ${longDay(made)}`}>
                  Restore…
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {wrong && <FileFaults error={wrong} />}
      <Modal
        title="Put this backup in place of everything?"
        open={found !== null}
        okText="Restore it"
        okButtonProps={{ danger: true, loading: busy === 'restoring' }}
        onOk={() => void restore()}
        onCancel={() => setFound(null)}
      >
        {found && (
          <table className="plain-table">
            <thead>
              <tr>
                <th scope="col">
                  <span className="visually-hidden">What</span>
                </th>
                <th scope="col">in the backup</th>
                <th scope="col">here now</th>
              </tr>
            </thead>
            <tbody>
              {Object.entries(NAMES).map(([table, name]) => (
                <tr key={table}>
                  <th scope="row">{name}</th>
                  <td className="figure">{found.preview.holds[table] ?? 0}</td>
                  <td className="figure">{found.preview.here[table] ?? 0}</td>
                </tr>
              ))}
              <tr>
                <th scope="row">photos</th>
                <td className="figure">{found.preview.photos}</td>
                <td />
              </tr>
            </tbody>
          </table>
        )}
        {found !== null && found.preview.unreadable > 0 && (
          <p>
            {found.preview.unreadable} rows of an older Hervir in it cannot be read by this one, and are not put back.
          </p>
        )}
        <p>What is here now is lost, unless you take a backup of it first.</p>
      </Modal>
    </div>
  );
}
