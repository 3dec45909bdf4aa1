import type { ReactNode } from 'react';
import { Nothing } from '../shared/nothing';

/** An address that leads nowhere. */
export function NothingHere(): ReactNode {
  return (
    <Nothing title="There is nothing here" ways={[{ label: 'Back to Tonight', to: '/' }]}>
      The address leads to no room.
    </Nothing>
  );
}
