import {
  isHotPlace,
  LIMITS,
  placeName,
  stageOf,
  withStage,
  type Forecast,
  type Plan,
  type PlannedStage,
  type Release,
} from '@hervir/core';
import { PlusOutlined } from '@ant-design/icons';
import { Button, Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import type { Edit } from './station';

interface Props {
  readonly plan: Plan;
  readonly forecast: Forecast | null;
  readonly edit: Edit;
}

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

/** An id that no stage of the plan has. */
function freshId({ stages }: Plan, kind: PlannedStage['kind']): string {
  let number = 1;
  while (stages.some(({ id }) => id === `${kind}-${number}`)) number += 1;
  return `${kind}-${number}`;
}

/** A stage that the cook adds, as it is usually done. */
function blank(plan: Plan, kind: 'pressure' | 'simmer'): PlannedStage {
  const usual = stageOf({ stages: [] }, kind === 'pressure' ? 'second-run' : 'simmer');
  const own = plan.stages.some(({ id }) => id === usual.id) ? freshId(plan, kind) : usual.id;
  return { ...usual, id: own, minutes: kind === 'pressure' ? 3 : 10, meat: 'in' };
}

/** What follows the first run, stage by stage: minutes, release or heat, meat in or out, broth out. */
export function StagesEditor({ plan, forecast, edit }: Props): ReactNode {
  const done = (forecast?.stages ?? []).map(({ place }) => place).filter((place) => isHotPlace(plan, place));
  const ids = [...new Set([...plan.stages.map(({ id }) => id).filter((id) => isHotPlace(plan, id)), ...done])];
  const shown = ids.filter(
    (id) => done.includes(id) || plan.stages.some((stage) => stage.id === id && stage.minutes !== null),
  );
  const add = (kind: 'pressure' | 'simmer'): void =>
    edit((before) => ({ ...before, stages: [...before.stages, blank(before, kind)] }));
  return (
    <div className="stages-editor">
      {shown.map((id) => (
        <StageFields key={id} id={id} plan={plan} forecast={forecast} edit={edit} />
      ))}
      {plan.stages.length < 6 && (
        <div className="stage-add">
          <Button icon={<PlusOutlined aria-hidden />} onClick={() => add('pressure')}>
            Add a run under pressure
          </Button>
          <Button icon={<PlusOutlined aria-hidden />} onClick={() => add('simmer')}>
            Add a simmer
          </Button>
        </div>
      )}
    </div>
  );
}

function StageFields({ id, plan, forecast, edit }: Props & { readonly id: string }): ReactNode {
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
    <fieldset className="stage-fields" aria-label={name}>
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
          <div className="stacked">
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
        <div className="stage-own">
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

/** Without a stage of the cook's; what went in at it is left to Hervir again. */
function withoutStage(plan: Plan, id: string): Plan {
  const free = <T extends { place: string }>(items: readonly T[]): T[] =>
    items.map((item) => (item.place === id ? { ...item, place: 'auto' } : item));
  const unstaged = <T extends { stage?: string | undefined }>(items: readonly T[]): T[] =>
    items.map((item) => (item.stage === id ? { ...item, stage: undefined } : item));
  return {
    ...plan,
    stages: plan.stages.filter((stage) => stage.id !== id),
    vegetables: free(plan.vegetables),
    grains: free(plan.grains),
    others: plan.others.map((item) => (item.place === id ? { ...item, place: 'start' } : item)),
    liquids: unstaged(plan.liquids),
    additions: unstaged(plan.additions),
    aromatics: unstaged(plan.aromatics),
    otherMeats: plan.otherMeats.map((meat) => ({
      ...meat,
      goesIn: meat.goesIn === id ? 'start' : meat.goesIn,
      comesOut: meat.comesOut === id ? 'end' : meat.comesOut,
    })),
  };
}
