import type { Remedy } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { Edit } from './station';
import styles from './verdicts.module.css';

/** What mends something: pressed where it can be, said where it cannot. */
export function Remedies({ remedies, edit }: { readonly remedies: readonly Remedy[]; readonly edit: Edit }): ReactNode {
  if (remedies.length === 0) return null;
  return (
    <div className={styles['remedies']}>
      {remedies.map(({ text, change }) =>
        change === null ? (
          <span key={text} className="dim">
            {text}
          </span>
        ) : (
          <Button
            key={text}
            className={styles['wrapping']}
            onClick={() => edit((before) => ({ ...before, ...change }))}
          >
            {text}
          </Button>
        ),
      )}
    </div>
  );
}
