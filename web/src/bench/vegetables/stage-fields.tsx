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
import { t, textOf } from '../../language/t';
import { type Message, say } from '@hervir/language';
import { labelled } from '../../language/labelled';

const RELEASES: readonly { value: Release['method']; label: Message }[] = [
  { value: 'quick', label: say('bench.valve-at-once') },
  { value: 'natural-then-quick', label: say('bench.10-min-then-the-valve') },
  { value: 'natural', label: say('bench.left-alone') },
];
const BROTH = [
  { value: 'poured-over' as const, label: say('bench.poured-over-at-the-table') },
  { value: 'kept' as const, label: say('bench.kept-for-later') },
  { value: 'thrown' as const, label: say('bench.thrown-away') },
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
  const worked = forecast?.stages.find(({ place }) => place === id);
  const lid = forecast?.lids.find((one) => one.stage === id);
  const change = (part: Partial<PlannedStage>): void =>
    edit((before) => ({ ...before, ...withStage(before, id, part) }));
  const own = plan.stages.some((one) => one.id === id);
  const pressure = stage.kind === 'pressure';
  const method = stage.release?.method ?? 'quick';
  return (
    <fieldset className={styles['stage-fields']} aria-label={textOf(name)}>
      <legend>{textOf(name)}</legend>
      <Field label={t('bench.minutes')}>
        {(field) => (
          <NumberInput
            id={field}
            min={0}
            max={LIMITS.pressureMinutes.max}
            value={stage.minutes}
            placeholder={worked ? t('bench.proposed', { minutes: Math.round(worked.minutes) }) : ''}
            suffix={t('bench.min-2')}
            onChange={(minutes) => change({ minutes })}
          />
        )}
      </Field>
      {pressure ? (
        <Field label={t('bench.let-down')}>
          {(field) => (
            <Select
              id={field}
              value={method}
              options={labelled(RELEASES)}
              onChange={(next) => change({ release: { method: next, naturalMinutes: next === 'quick' ? 0 : 10 } })}
            />
          )}
        </Field>
      ) : (
        <Choice
          label={t('bench.heat')}
          value={stage.heat ?? 'gentle'}
          options={[
            { value: 'gentle', label: t('bench.gentle') },
            { value: 'hard', label: t('bench.hard') },
          ]}
          note={stage.heat === 'hard' ? t('bench.the-sauce-reduces-while-it') : undefined}
          onChange={(heat) => change({ heat })}
        />
      )}
      <Choice
        label={t('bench.the-meat')}
        value={stage.meat}
        options={[
          { value: 'out', label: t('bench.under-foil') },
          { value: 'in', label: t('bench.stays-in-2') },
        ]}
        note={
          stage.meat === 'in'
            ? t('bench.it-goes-on-cooking-the')
            : forecast?.foil
              ? t('bench.its-middle-is-at-when', { temperature: print('temperature', forecast.foil.coreC) })
              : undefined
        }
        onChange={(meat) => change({ meat })}
      />
      <Field
        label={t('bench.broth-out')}
        note={
          lid
            ? t('bench.are-left-when-the-lid', {
                volume: print('volume', lid.liquid.atLockMl),
                wanted: print('volume', lid.liquid.minimumMl),
              })
            : undefined
        }
      >
        {(field) => (
          <div className={styles['stacked']}>
            <QuantityInput
              id={field}
              label={t('bench.broth-out')}
              kind="volume"
              value={stage.takeOutMl}
              range={LIMITS.liquidMl}
              onChange={(takeOutMl) => takeOutMl !== undefined && change({ takeOutMl })}
            />
            {stage.takeOutMl > 0 && (
              <Select
                aria-label={t('bench.what-becomes-of-it')}
                value={stage.broth}
                options={labelled(BROTH)}
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
            aria-label={t('bench.name-of-the-stage')}
            value={stage.name ?? ''}
            maxLength={60}
            placeholder={textOf(name)}
            onChange={({ target }) => change({ name: target.value === '' ? undefined : target.value })}
          />
          <Button type="text" onClick={() => edit((before) => withoutStage(before, id))}>
            {t('bench.take-this-stage-out')}
          </Button>
        </div>
      )}
    </fieldset>
  );
}
