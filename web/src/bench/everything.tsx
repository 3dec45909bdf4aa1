import type { Forecast, Plan } from '@hervir/core';
import { Drawer, Tabs } from 'antd';
import type { ReactNode } from 'react';
import type { Alternatives } from '../workers/forecast-more';
import { BaseVerdict } from './base-verdict';
import type { Edit } from './station';
import { Cautions, plainReasons } from './station-why';
import { WhatIf } from './what-if';
import { t, textOf } from '../language/t';

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly alternatives: Alternatives | null;
  readonly edit: Edit;
}

/** All of it together: why every figure is so, what else there is, and everything to take care of. */
export function Everything({ open, onClose, plan, forecast, alternatives, edit }: Props): ReactNode {
  return (
    <Drawer title={t('bench.why-what-if-care')} open={open} onClose={onClose} size="large">
      <Tabs
        items={[
          {
            key: 'why',
            label: t('bench.why'),
            children: (
              <>
                <BaseVerdict forecast={forecast} edit={edit} />
                <ul className="reasons">
                  {plainReasons(forecast).map(({ text }) => (
                    <li key={textOf(text)}>{textOf(text)}</li>
                  ))}
                </ul>
              </>
            ),
          },
          {
            key: 'what-if',
            label: t('bench.what-if'),
            children: <WhatIf plan={plan} forecast={forecast} alternatives={alternatives} edit={edit} />,
          },
          { key: 'care', label: t('bench.take-care-2'), children: <Cautions of={forecast.cautions} /> },
        ]}
      />
    </Drawer>
  );
}
