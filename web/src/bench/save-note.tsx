import { upperFirst } from '@hervir/language';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { takeTheirs, useBench } from '../state/bench/bench-store';
import { keepMine } from '../state/bench/keep-bench';
import { t } from '../language/t';

/** Where the last edit is, in a word; and the choice when two devices changed one plan. */
export function SaveNote(): ReactNode {
  const save = useBench((state) => state.save);
  switch (save.kind) {
    case 'saved':
      return (
        <span className="save-state" role="status">
          {t('bench.saved')}
        </span>
      );
    case 'unsaved':
    case 'saving':
      return (
        <span className="save-state" role="status">
          {t('bench.saving')}
        </span>
      );
    case 'away':
      return (
        <span
          className="save-state"
          role="status"
          style={{ color: 'var(--brass)', fontWeight: 700, whiteSpace: 'normal' }}
        >
          {t('bench.kept-here-sent-by-itself', {
            value: save.why === null ? t('shared.the-server-is-away') : upperFirst(save.why),
          })}
        </span>
      );
    case 'refused':
      return (
        <span
          className="save-state"
          role="status"
          style={{ color: 'var(--ember)', fontWeight: 700, whiteSpace: 'normal' }}
        >
          {t('bench.not-saved-mend-the-marked')}
        </span>
      );
    case 'conflict':
      return (
        <div role="alert" className="card panel" style={{ maxWidth: 340 }}>
          {save.theirs.deletedAt === null ? t('bench.this-plan-was-also-changed') : t('bench.this-plan-was-put-away')}
          <div style={{ display: 'flex', gap: 8, marginTop: 8 }}>
            <Button onClick={() => void keepMine()}>
              {save.theirs.deletedAt === null ? t('bench.keep-mine') : t('bench.bring-it-back-with-my')}
            </Button>
            {save.theirs.deletedAt === null && <Button onClick={takeTheirs}>{t('bench.take-theirs')}</Button>}
          </div>
        </div>
      );
  }
}
