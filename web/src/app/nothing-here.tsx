import type { ReactNode } from 'react';
import { Nothing } from '../shared/nothing';
import { t } from '../language/t';

/** An address that leads nowhere. */
export function NothingHere(): ReactNode {
  return (
    <Nothing title={t('app.there-is-nothing-here')} ways={[{ label: t('app.back-to-tonight'), to: '/' }]}>
      {t('app.the-address-leads-to-no')}
    </Nothing>
  );
}
