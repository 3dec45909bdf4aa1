import type { BackupPreview, ImportReport } from '@hervir/contract';
import { useQuery } from '@tanstack/react-query';
import { App, Button, Modal, Upload } from 'antd';
import { useState, type ReactNode } from 'react';
import { Refused, request } from '../api/client';
import { queryClient } from '../api/queries';

/** What a table holds, as a cook would call it. */
const NAMES: Readonly<Record<string, string>> = {
  braise: 'plans',
  cooker: 'cookers',
  cook: 'cooks at the pot',
  log_entry: 'cooks in the log',
  rehearsal: 'rehearsals',
};

/** Every fault of a file, line by line. */
function Faults({ error }: { readonly error: Error | ImportReport }): ReactNode {
  const faults = error instanceof Refused || !(error instanceof Error) ? error.faults : [];
  if (error instanceof Error && faults.length === 0) return <p role="alert">{error.message}</p>;
  return (
    <ul className="reasons" role="alert">
      {faults.slice(0, 20).map(({ path, problem, allowed }) => (
        <li key={path + problem}>
          <span aria-hidden>▲ </span>
          {path}: {problem}; allowed: {allowed}
        </li>
      ))}
      {faults.length > 20 && <li>and {faults.length - 20} more</li>}
    </ul>
  );
}

/** The whole kitchen as one file, and back; the log as a table for a spreadsheet. */
export function BackupCard(): ReactNode {
  const { message } = App.useApp();
  const folder = useQuery({
    queryKey: ['where'],
    queryFn: () => request<{ folder: string }>('GET', '/backup/where'),
    staleTime: Infinity,
  }).data?.folder;
  const [found, setFound] = useState<{ readonly document: unknown; readonly preview: BackupPreview } | null>(null);
  const [wrong, setWrong] = useState<Error | ImportReport | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      const document: unknown = JSON.parse(await file.text());
      setFound({ document, preview: await request<BackupPreview>('POST', '/backup/preview', document) });
    } catch (error) {
      setWrong(
        error instanceof SyntaxError ? new Error('That file is not JSON: nothing was changed.') : (error as Error),
      );
    }
  };
  const restore = async (): Promise<void> => {
    if (!found) return;
    setBusy(true);
    try {
      await request('POST', '/backup/restore', found.document);
      await queryClient.invalidateQueries();
      setFound(null);
      void message.success('The kitchen is as in the backup.');
    } catch (error) {
      setFound(null);
      setWrong(error as Error);
    } finally {
      setBusy(false);
    }
  };
  const readLog = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      const report = await request<ImportReport>('POST', '/log/file.csv', { text: await file.text() });
      if (report.faults.length > 0) setWrong(report);
      else {
        await queryClient.invalidateQueries();
        void message.success(`${report.added} cooks added; ${report.known} were there already.`);
      }
    } catch (error) {
      setWrong(error as Error);
    }
  };
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>Backup and restore</h2>
      <p style={{ margin: '4px 0 10px' }}>
        Everything is on this computer{folder === undefined ? '' : ', in '}
        {folder !== undefined && <code>{folder}</code>}. A backup is one file with all of it: plans, cookers, cooks,
        log, photos, what was learnt.
      </p>
      <div className="backup-row">
        <Button href="/api/backup" download>
          Take a backup
        </Button>
        <Upload
          accept=".json,application/json"
          showUploadList={false}
          beforeUpload={(file) => (void look(file), false)}
        >
          <Button>Restore from a backup…</Button>
        </Upload>
      </div>
      <h2 style={{ marginTop: 14 }}>The log as a table</h2>
      <div className="backup-row" style={{ marginTop: 6 }}>
        <Button href="/api/log/file.csv" download>
          Save as CSV
        </Button>
        <Upload accept=".csv,text/csv" showUploadList={false} beforeUpload={(file) => (void readLog(file), false)}>
          <Button>Read a CSV in…</Button>
        </Upload>
      </div>
      {wrong && <Faults error={wrong} />}
      <Modal
        title="Put this backup in place of everything?"
        open={found !== null}
        okText="Restore it"
        okButtonProps={{ danger: true, loading: busy }}
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
            </tbody>
          </table>
        )}
        <p>What is here now is lost, unless you take a backup of it first.</p>
      </Modal>
    </div>
  );
}
