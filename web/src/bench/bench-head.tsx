import { RedoOutlined, UndoOutlined } from '@ant-design/icons';
import type { Forecast } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { StartButton } from '../cook/start-button';
import { RehearseButton } from '../rehearse/rehearse-button';
import { redo, undo, useBench } from '../state/bench/bench-store';
import { SaveNote } from './save-note';
import { BenchSentence } from './sentence';
import type { Edit } from './station';
import { clsx } from 'clsx';
import styles from './bench.module.css';
import { t } from '../language/t';

interface Props {
  readonly id: string | null;
  readonly forecast: Forecast | null;
  readonly edit: Edit;
}

/** The whole plan in a sentence, and what can be done with it. */
export function BenchHead({ id, forecast, edit }: Props): ReactNode {
  const canUndo = useBench(({ past }) => past.length > 0);
  const canRedo = useBench(({ future }) => future.length > 0);
  return (
    <div className="bench-head">
      {forecast ? (
        <BenchSentence
          forecast={forecast}
          onServeAt={(serveAt) => edit((before) => ({ ...before, serveAt }))}
          onPropose={() => edit((before) => ({ ...before, pressureMinutes: null }))}
        />
      ) : (
        <p className={clsx(styles['bench-sentence'], 'dim')}>{t('shared.reckoning')}</p>
      )}
      <div className={styles['bench-actions']}>
        <SaveNote />
        <Button icon={<UndoOutlined aria-hidden />} aria-label={t('bench.undo')} disabled={!canUndo} onClick={undo} />
        <Button icon={<RedoOutlined aria-hidden />} aria-label={t('bench.redo')} disabled={!canRedo} onClick={redo} />
        {id !== null && <RehearseButton braiseId={id} disabled={forecast === null} />}
        {id !== null && <StartButton braiseId={id} forecast={forecast} />}
      </div>
    </div>
  );
}
