import { upperFirst } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { takeTheirs, useBench } from '../state/bench/bench-store';
import { keepMine } from '../state/bench/keep-bench';

/** Where the last edit is, in a word; and the choice when two devices changed one plan. */
export function SaveNote(): ReactNode {
  const save = useBench((state) => state.save);
  switch (save.kind) {
    case 'saved':
      return (
        <span className="save-state" role="status">
          Saved
        </span>
      );
    case 'unsaved':
    case 'saving':
      return (
        <span className="save-state" role="status">
          Saving…
        </span>
      );
    case 'away':
      return (
        <span
          className="save-state"
          role="status"
          style={{ color: 'var(--brass)', fontWeight: 700, whiteSpace: 'normal' }}
        >
          ▲ {save.why === null ? 'The server is away' : upperFirst(save.why)}. Kept here, sent by itself.
        </span>
      );
    case 'refused':
      return (
        <span
          className="save-state"
          role="status"
          style={{ color: 'var(--ember)', fontWeight: 700, whiteSpace: 'normal' }}
        >
          ■ Not saved: mend the marked field.
        </span>
      );
    case 'conflict':
      return (
        <div role="alert" className="card panel" style={{ maxWidth: 340 }}>
          {save.theirs.deletedAt === null
            ? 'This plan was also changed on another device.'
            : 'This plan was put away on another device.'}
          <div style={{ display: 'flex', gap: 8, marginTop: 8 }}>
            <Button onClick={() => void keepMine()}>
              {save.theirs.deletedAt === null ? 'Keep mine' : 'Bring it back with my changes'}
            </Button>
            {save.theirs.deletedAt === null && <Button onClick={takeTheirs}>Take theirs</Button>}
          </div>
        </div>
      );
  }
}
