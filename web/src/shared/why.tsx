import type { Reason } from '@hervir/core';
import { Popover } from 'antd';
import type { ReactNode } from 'react';
import { textOf } from '../language/t';

interface Props {
  readonly figure: string;
  readonly reasons: readonly Reason[];
  readonly tone?: 'ember' | 'steam' | 'meat';
  readonly children: ReactNode;
  /** Something to change the figure with, below its reasons. */
  readonly control?: ReactNode;
}

/** A figure that answers "why?" when pressed. */
export function Why({ figure, reasons, tone, children, control }: Props): ReactNode {
  const own = reasons.filter((reason) => reason.figure === figure);
  return (
    <Popover
      trigger="click"
      placement="bottomLeft"
      content={
        <div style={{ maxWidth: 380 }}>
          <ul className="reasons">
            {own.map((reason) => (
              <li key={textOf(reason.text)}>{textOf(reason.text)}</li>
            ))}
          </ul>
          {control}
        </div>
      }
    >
      <button type="button" className={`why ${tone ?? ''}`} aria-haspopup="dialog">
        {children}
      </button>
    </Popover>
  );
}
