import type { Forecast, Plan } from '@hervir/core';
import { Tabs } from 'antd';
import type { ReactNode } from 'react';
import type { Alternatives } from '../workers/reckoning';
import type { Edit } from './station';
import { BaseVerdict } from './base-verdict';
import { ClockPanel } from './clock-panel';
import { WhatIf } from './what-if';

const STEP_NAMES = {
  meat: 'Meat',
  sear: 'Sear',
  pot: 'Pot',
  vegetables: 'Vegetables',
  release: 'Letting down',
  plate: 'Plate',
} as const;

interface Props {
  readonly id: string;
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly alternatives: Alternatives | null;
  readonly edit: Edit;
}

/** Why it is so, what else there is, when what is done, and what to take care of. */
export function ReasonsPanel({ id, plan, forecast, alternatives, edit }: Props): ReactNode {
  // The base has its own list, with what mends it; the ledger's lines stand in the pot's station.
  const plain = forecast.reasons.filter(
    ({ figure, text }) => figure !== 'burn' && !(figure === 'liquid' && /^[+−]/.test(text)),
  );
  return (
    <section className="vessel panel" aria-label="Why, what if, clock, take care">
      <Tabs
        items={[
          {
            key: 'why',
            label: 'Why',
            children: (
              <>
                <BaseVerdict forecast={forecast} edit={edit} />
                <ul className="reasons">
                  {plain.map((reason) => (
                    <li key={reason.text}>{reason.text}</li>
                  ))}
                </ul>
              </>
            ),
          },
          {
            key: 'what-if',
            label: 'What if',
            children: <WhatIf plan={plan} forecast={forecast} alternatives={alternatives} edit={edit} />,
          },
          {
            key: 'clock',
            label: 'Clock',
            children: <ClockPanel id={id} plan={plan} forecast={forecast} edit={edit} />,
          },
          {
            key: 'care',
            label: 'Take care',
            children: (
              <ul className="reasons">
                {forecast.cautions.map((caution) => (
                  <li key={caution.code}>
                    <strong>{STEP_NAMES[caution.step]}.</strong> {caution.text}
                    <div className="caution-source">Source: {caution.source}</div>
                  </li>
                ))}
              </ul>
            ),
          },
        ]}
      />
    </section>
  );
}
