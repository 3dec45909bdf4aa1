import type { Remedy } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { Edit } from './station';
import styles from './verdicts.module.css';
import { textOf } from '../language/t';

/** What mends something: pressed where it can be, said where it cannot. */
export function Remedies({ remedies, edit }: { readonly remedies: readonly Remedy[]; readonly edit: Edit }): ReactNode {
  if (remedies.length === 0) return null;
  return (
    <div className={styles['remedies']}>
      {remedies.map(({ text, change }) =>
        change === null ? (
          <span key={textOf(text)} className="dim">
            {textOf(text)}
          </span>
        ) : (
          <Button
            key={textOf(text)}
            className={styles['wrapping']}
            onClick={() => edit((before) => ({ ...before, ...change }))}
          >
            {textOf(text)}
          </Button>
        ),
      )}
    </div>
  );
}
