import { dayOf } from '../shared/words';
import type { ImportReport, LogImport } from '@hervir/contract';
import { Button, Modal, Progress, Upload } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import { Refused, request } from '../api/client';
import { queryClient } from '../api/queries';
import { cutName } from '../log/words';
import { useUnits } from '../shared/use-units';
import { FileFaults } from './file-faults';
import { clsx } from 'clsx';
import styles from './settings.module.css';
import { t } from '../language/t';
import { toastDone } from '../shared/toast';

/** How often it is asked how far a file is, ms. */
const LOOK_EVERY = 300;

/** The log as a table for a spreadsheet, and back: shown before anything is kept. */
export function LogFileCard(): ReactNode {
  const { print } = useUnits();
  const [file, setFile] = useState<LogImport | null>(null);
  const [wrong, setWrong] = useState<Error | null>(null);
  const { id, phase } = file ?? {};

  useEffect(() => {
    if (id === undefined || phase !== 'reading') return undefined;
    const look = setInterval(() => {
      request<LogImport>('GET', `/log/imports/${id}`).then(
        (now) => {
          if (now.phase !== 'refused') setFile((there) => (there?.id === now.id ? now : there));
          else {
            setFile(null);
            setWrong(new Refused(400, now.faults, null));
          }
        },
        (error: unknown) => {
          setFile(null);
          setWrong(error as Error);
        },
      );
    }, LOOK_EVERY);
    return () => clearInterval(look);
  }, [id, phase]);

  const begin = async (chosen: File): Promise<void> => {
    setWrong(null);
    try {
      // Whatever the system calls it, it is a table.
      setFile(await request<LogImport>('POST', '/log/imports', new Blob([chosen], { type: 'text/csv' })));
    } catch (error) {
      setWrong(error as Error);
    }
  };
  const takeBack = (): void => {
    if (id === undefined) return;
    setFile(null);
    void request('DELETE', `/log/imports/${id}`).catch(() => undefined);
  };
  const keep = async (): Promise<void> => {
    if (file === null) return;
    setFile({ ...file, phase: 'writing' });
    try {
      const { added, known } = await request<ImportReport>('POST', `/log/imports/${file.id}/keep`);
      await queryClient.invalidateQueries();
      toastDone(t('settings.cooks-added-were-there-already', { added, known }));
    } catch (error) {
      setWrong(error as Error);
    } finally {
      setFile(null);
    }
  };

  const fresh = file === null ? 0 : file.rows - file.known;
  return (
    <div className="card panel" style={{ marginTop: 16 }}>
      <h2>{t('settings.the-log-as-a-table')}</h2>
      <p style={{ margin: '4px 0 10px' }}>{t('settings.a-date-and-a-cut')}</p>
      <div className={styles['backup-row']}>
        <Button href="/api/log/file.csv" download>
          {t('settings.save-as-csv')}
        </Button>
        <Upload
          accept=".csv,.tsv,.txt,text/csv"
          showUploadList={false}
          beforeUpload={(chosen) => (void begin(chosen), false)}
        >
          <Button>{t('settings.read-a-csv-in')}</Button>
        </Upload>
      </div>
      {wrong && <FileFaults error={wrong} />}
      <Modal
        title={file?.phase === 'reading' ? t('settings.reading-the-file') : t('settings.add-these-to-the-log')}
        open={file !== null}
        okText={t('settings.add-cooks', { fresh })}
        okButtonProps={{ disabled: file?.phase !== 'ready' || fresh === 0, loading: file?.phase === 'writing' }}
        onOk={() => void keep()}
        cancelText={t('settings.cancel')}
        cancelButtonProps={{ disabled: file?.phase === 'writing' }}
        onCancel={takeBack}
      >
        {file && (
          <>
            <p aria-live="polite">
              {file.rows === 0
                ? t('settings.looking-through-its-lines')
                : t('settings.cooks-of-them-in-the', { rows: file.rows, known: file.known })}
            </p>
            {file.phase === 'reading' && (
              <Progress
                aria-label={t('settings.how-far-it-is-read')}
                percent={fresh > 0 ? Math.round((100 * file.reckoned) / fresh) : 0}
              />
            )}
            {file.first.length > 0 && (
              <table className={clsx('plain-table', styles['first-rows'])}>
                <thead>
                  <tr>
                    <th scope="col">{t('settings.day')}</th>
                    <th scope="col">{t('settings.dish')}</th>
                    <th scope="col">{t('settings.cut')}</th>
                    <th scope="col">{t('settings.weight')}</th>
                  </tr>
                </thead>
                <tbody>
                  {file.first.map((entry) => (
                    <tr key={entry.id}>
                      <td className={styles['unbroken']}>{dayOf(entry.servedAt, 'dated')}</td>
                      <td>{entry.name}</td>
                      <td>{cutName(entry.cut)}</td>
                      <td className={clsx('figure', styles['unbroken'])}>{print('mass', entry.boughtG)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            {fresh > file.first.length && file.first.length > 0 && (
              <p>{t('settings.and-more-2', { fresh: fresh - file.first.length })}</p>
            )}
          </>
        )}
      </Modal>
    </div>
  );
}
