import type { Reason } from '@hervir/core';
import { Drawer } from 'antd';
import type { ReactNode } from 'react';
import { t, textOf } from '../language/t';

interface Props {
  readonly open: boolean;
  readonly reasons: readonly Reason[];
  readonly onClose: () => void;
}

/** The reasons behind the answer, beside it. */
export function WhyDrawer({ open, reasons, onClose }: Props): ReactNode {
  return (
    <Drawer title={t('tonight.why-these-minutes')} open={open} onClose={onClose} size={420}>
      <ul className="reasons">
        {reasons.map((reason) => (
          <li key={textOf(reason.text)}>{textOf(reason.text)}</li>
        ))}
      </ul>
    </Drawer>
  );
}
