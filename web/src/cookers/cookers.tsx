import { PlusOutlined } from '@ant-design/icons';
import type { LearntView, StoredCooker } from '@hervir/contract';
import { COOKER_SETS, heaterEfficiency, workingTemperatureC, type Cooker, type Kitchen } from '@hervir/core';
import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Dropdown } from 'antd';
import { useState, type ReactNode } from 'react';
import { request } from '../api/client';
import { keys, useLearnt } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useKitchen } from '../shared/use-kitchen';
import { useUnits } from '../shared/use-units';
import { CookerForm } from './cooker-form';
import { LearntList } from './learnt-list';
import { WaterTest } from './water-test';

/** The pots of the kitchen. */
export function Cookers(): ReactNode {
  const { print } = useUnits();
  const kitchen = useKitchen();
  const learnt = useLearnt().data ?? [];
  const client = useQueryClient();
  const { message } = App.useApp();
  /** The cooker being changed; `new` with a starting set. */
  const [editing, setEditing] = useState<{ id: string | null; cooker: Cooker } | null>(null);
  const [testing, setTesting] = useState<StoredCooker | null>(null);
  if (kitchen === null) return <p className="room dim">Opening…</p>;
  if ('error' in kitchen) {
    return (
      <div className="room">
        <Trouble what="The cookers cannot be shown." error={kitchen.error} again={kitchen.again} />
      </div>
    );
  }
  const { cookers, settings } = kitchen;
  const changed = (): Promise<void> => client.invalidateQueries({ queryKey: keys.cookers });
  const sorry = (error: unknown): void => void message.error(error instanceof Error ? error.message : String(error));

  const save = async (cooker: Cooker): Promise<void> => {
    if (editing?.id === null || editing === null) await request('POST', '/cookers', cooker);
    else await request('PUT', `/cookers/${editing.id}`, cooker);
    await changed();
    setEditing(null);
  };
  const remove = async ({ id, cooker }: StoredCooker): Promise<void> => {
    await request('DELETE', `/cookers/${id}`);
    await changed();
    const key = `removed-${id}`;
    void message.open({
      key,
      duration: 12,
      content: (
        <span>
          {cooker.name} is taken away; plans keep their copy of it.{' '}
          <Button
            size="small"
            onClick={() => {
              message.destroy(key);
              request('POST', '/cookers', cooker).then(changed).catch(sorry);
            }}
          >
            Undo
          </Button>
        </span>
      ),
    });
  };

  const pots = new Set(cookers.map(({ cooker }) => cooker.name));
  const others = learnt.filter(({ of }) => !pots.has(of));
  return (
    <div className="room">
      <div className="times-head">
        <h1>Cookers</h1>
        <Dropdown
          trigger={['click']}
          menu={{
            items: COOKER_SETS.map((set) => ({
              key: set.id,
              label: `${set.cooker.name}, ${print('capacity', set.cooker.litres)}`,
              onClick: () => setEditing({ id: null, cooker: set.cooker }),
            })),
          }}
        >
          <Button type="primary" icon={<PlusOutlined aria-hidden />}>
            Add a cooker
          </Button>
        </Dropdown>
      </div>
      {cookers.length === 0 && (
        <p className="dim">
          No cookers yet: Hervir reckons with a middling electric pot. Add yours from a starting set and correct what
          its plate and manual say.
        </p>
      )}
      <ul className="cooker-grid">
        {cookers.map((stored) => (
          <Card
            key={stored.id}
            cooker={stored.cooker}
            learnt={learnt.filter(({ of }) => of === stored.cooker.name)}
            kitchen={settings.kitchen}
            onEdit={() => setEditing(stored)}
            onTest={() => setTesting(stored)}
            onRemove={() => void remove(stored).catch(sorry)}
          />
        ))}
      </ul>
      {others.length > 0 && (
        <section className="vessel panel" aria-label="What your cooks have taught" style={{ marginTop: 16 }}>
          <h2>What your cooks have taught</h2>
          <LearntList learnt={others} />
        </section>
      )}
      {editing && (
        <CookerForm
          key={editing.id ?? editing.cooker.name}
          cooker={editing.cooker}
          isNew={editing.id === null}
          save={save}
          close={() => setEditing(null)}
        />
      )}
      {testing && (
        <WaterTest
          cooker={testing.cooker}
          kitchen={settings.kitchen}
          close={() => setTesting(null)}
          take={async (watts) => {
            await request('PUT', `/cookers/${testing.id}`, { ...testing.cooker, watts });
            await changed();
            setTesting(null);
          }}
        />
      )}
    </div>
  );
}

interface CardProps {
  readonly cooker: Cooker;
  readonly learnt: readonly LearntView[];
  readonly kitchen: Kitchen;
  readonly onEdit: () => void;
  readonly onTest: () => void;
  readonly onRemove: () => void;
}

function Card({ cooker, learnt, kitchen, onEdit, onTest, onRemove }: CardProps): ReactNode {
  const { print } = useUnits();
  const figures: readonly (readonly [string, string])[] = [
    ['Size', `${print('capacity', cooker.litres)}, base ${print('length', cooker.baseDiameterCm)}`],
    [
      'Pressure',
      `${print('pressure', cooker.gaugeKPa)}, works at ${print('temperature', workingTemperatureC(cooker.gaugeKPa, kitchen))} here`,
    ],
    ['Heater', `${cooker.watts} W, about ${Math.round(cooker.watts * heaterEfficiency(cooker))} reach the pot`],
    ['Minutes count from', cooker.timerStarts === 'pin' ? 'the pin' : 'full pressure'],
    ['At least', print('volume', cooker.minimumLiquidMl)],
    [
      cooker.kind === 'electric' ? 'Burn error at' : 'Scorches at',
      `about ${print('temperature', cooker.burnCutoutC)} at the base`,
    ],
  ];
  return (
    <li className="vessel panel">
      <h2>{cooker.name}</h2>
      <p className="dim">
        {cooker.kind === 'electric'
          ? 'Electric'
          : `Stovetop, on ${cooker.burner === 'gas' ? 'gas' : 'an electric ring or induction'}`}
      </p>
      <dl className="pairs" style={{ margin: '8px 0 12px' }}>
        {figures.map(([what, figure]) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{figure}</dd>
          </div>
        ))}
      </dl>
      {learnt.length > 0 && <LearntList learnt={learnt} />}
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8 }}>
        <Button onClick={onEdit} aria-label={`Change ${cooker.name}`}>
          Change
        </Button>
        <Button onClick={onTest} aria-label={`Time a litre of water in ${cooker.name}`}>
          Time a litre of water
        </Button>
        <Button type="text" onClick={onRemove} aria-label={`Delete ${cooker.name}`}>
          Delete
        </Button>
      </div>
    </li>
  );
}
