import {
  LIMITS,
  placeName,
  stageOf,
  withStage,
  type Forecast,
  type Plan,
  type PlannedStage,
  type Release,
} from '@hervir/core';
import { Button, Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../../shared/field';
import { NumberInput } from '../../shared/number-input';
import { QuantityInput } from '../../shared/quantity-input';
import { useUnits } from '../../shared/use-units';
import type { Edit } from '../station';
import { withoutStage } from './plan-changes';
import styles from '../stages.module.css';

const RELEASES: readonly { value: Release['method']; label: string }[] = [
  { value: 'quick', label: 'valve at once' },
  { value: 'natural-then-quick', label: '10 min, then the valve' },
  { value: 'natural', label: 'left alone' },
];
const BROTH = [
  { value: 'poured-over' as const, label: 'poured over at the table' },
  { value: 'kept' as const, label: 'kept for later' },
  { value: 'thrown' as const, label: 'thrown away' },
];

interface Props {
  readonly id: string;
  readonly plan: Plan;
  readonly forecast: Forecast | null;
  readonly edit: Edit;
}

/** A stage after the first run: minutes, release or heat, meat in or out, broth out. */
export function StageFields({ id, plan, forecast, edit }: Props): ReactNode {
  const { print } = useUnits();
  const stage = stageOf(plan, id);
  const name = placeName(plan, id);
  const found = forecast?.stages.find(({ place }) => place === id);
  const lid = forecast?.lids.find((one) => one.stage === id);
  const change = (part: Partial<PlannedStage>): void =>
    edit((before) => ({ ...before, ...withStage(before, id, part) }));
  const own = plan.stages.some((one) => one.id === id);
  const pressure = stage.kind === 'pressure';
  const method = stage.release?.method ?? 'quick';
  return (
    <fieldset className={styles['stage-fields']} aria-label={name}>
      <legend>{name}</legend>
      <Field label="Minutes">
        {(field) => (
          <NumberInput
            id={field}
            min={0}
            max={LIMITS.pressureMinutes.max}
            value={stage.minutes}
            placeholder={found ? `${Math.round(found.minutes)} proposed` : ''}
            suffix="min"
            onChange={(minutes) => change({ minutes })}
          />
        )}
      </Field>
      {pressure ? (
        <Field label="Let down">
          {(field) => (
            <Select
              id={field}
              value={method}
              options={[...RELEASES]}
              onChange={(next) => change({ release: { method: next, naturalMinutes: next === 'quick' ? 0 : 10 } })}
            />
          )}
        </Field>
      ) : (
        <Choice
          label="Heat"
          value={stage.heat ?? 'gentle'}
          options={[
            { value: 'gentle', label: 'Gentle' },
            { value: 'hard', label: 'Hard' },
          ]}
          note={stage.heat === 'hard' ? 'The sauce reduces while it cooks.' : undefined}
          onChange={(heat) => change({ heat })}
        />
      )}
      <Choice
        label="The meat"
        value={stage.meat}
        options={[
          { value: 'out', label: 'Under foil' },
          { value: 'in', label: 'Stays in' },
        ]}
        note={
          stage.meat === 'in'
            ? 'It goes on cooking: the first run is shorter for it.'
            : forecast?.foil
              ? `Its middle is at ${print('temperature', forecast.foil.coreC)} when it is served.`
              : undefined
        }
        onChange={(meat) => change({ meat })}
      />
      <Field
        label="Broth out"
        note={
          lid
            ? `${print('volume', lid.liquid.atLockMl)} are left when the lid goes on again; the cooker wants ${print('volume', lid.liquid.minimumMl)}.`
            : undefined
        }
      >
        {(field) => (
          <div className={styles['stacked']}>
            <QuantityInput
              id={field}
              label="Broth out"
              kind="volume"
              value={stage.takeOutMl}
              range={LIMITS.liquidMl}
              onChange={(takeOutMl) => takeOutMl !== undefined && change({ takeOutMl })}
            />
            {stage.takeOutMl > 0 && (
              <Select
                aria-label="What becomes of it"
                value={stage.broth}
                options={BROTH}
                popupMatchSelectWidth={200}
                onChange={(broth) => change({ broth })}
              />
            )}
          </div>
        )}
      </Field>
      {own && (
        <div className={styles['stage-own']}>
          <Input
            aria-label="Name of the stage"
            value={stage.name ?? ''}
            maxLength={60}
            placeholder={name}
            onChange={({ target }) => change({ name: target.value === '' ? undefined : target.value })}
          />
          <Button type="text" onClick={() => edit((before) => withoutStage(before, id))}>
            Take this stage out
          </Button>
        </div>
      )}
    </fieldset>
  );
}
