import { PlusOutlined } from '@ant-design/icons';
import type { LearntView, StoredCooker } from '@hervir/contract';
import { COOKER_SETS, heaterEfficiency, workingTemperatureC, type Cooker, type Kitchen } from '@hervir/core';
import { useQueryClient } from '@tanstack/react-query';
import { Button, Dropdown } from 'antd';
import { useState, type ReactNode } from 'react';
import { request } from '../api/client';
import { keys, useLearnt } from '../api/queries';
import { Trouble } from '../shared/trouble';
import { useKitchen } from '../shared/use-kitchen';
import { useUnits } from '../shared/use-units';
import { CookerForm } from './cooker-form';
import { LearntList } from './calibration-list';
import { WaterTest } from './water-test';
import { rich, t, textOf } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';
import { undoToast } from '../shared/undo-toast';

/** The pots of the kitchen. */
export function Cookers(): ReactNode {
  const { print } = useUnits();
  const kitchen = useKitchen();
  const learnt = useLearnt().data ?? [];
  const client = useQueryClient();
  /** The cooker being changed; `new` with a starting set. */
  const [editing, setEditing] = useState<{ id: string | null; cooker: Cooker } | null>(null);
  const [testing, setTesting] = useState<StoredCooker | null>(null);
  if (kitchen === null) return <p className="room dim">{t('app.opening')}</p>;
  if ('error' in kitchen) {
    return (
      <div className="room">
        <Trouble what={t('cookers.the-cookers-cannot-be-shown')} error={kitchen.error} again={kitchen.again} />
      </div>
    );
  }
  const { cookers, settings } = kitchen;
  const changed = (): Promise<void> => client.invalidateQueries({ queryKey: keys.cookers });
  const sorry = (error: unknown): void => toastTrouble(whyOf(error));

  const save = async (cooker: Cooker): Promise<void> => {
    if (editing?.id === null || editing === null) await request('POST', '/cookers', cooker);
    else await request('PUT', `/cookers/${editing.id}`, cooker);
    await changed();
    setEditing(null);
  };
  const remove = async ({ id, cooker }: StoredCooker): Promise<void> => {
    await request('DELETE', `/cookers/${id}`);
    await changed();
    undoToast(
      `removed-${id}`,
      (button) => rich('cookers.is-taken-away-plans-keep', { name: cooker.name, button }),
      () => void request('POST', '/cookers', cooker).then(changed).catch(sorry),
    );
  };

  const pots = new Set(cookers.map(({ cooker }) => cooker.name));
  const others = learnt.filter(({ of }) => !pots.has(of));
  return (
    <div className="room">
      <div className="times-head">
        <h1>{t('app.cookers')}</h1>
        <Dropdown
          trigger={['click']}
          menu={{
            items: COOKER_SETS.map((set) => ({
              key: set.id,
              label: `${textOf(set.name)}, ${print('capacity', set.cooker.litres)}`,
              onClick: () => setEditing({ id: null, cooker: { ...set.cooker, name: textOf(set.name) } }),
            })),
          }}
        >
          <Button type="primary" icon={<PlusOutlined aria-hidden />}>
            {t('cookers.add-a-cooker')}
          </Button>
        </Dropdown>
      </div>
      {cookers.length === 0 && <p className="dim">{t('cookers.no-cookers-yet-hervir-reckons')}</p>}
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
        <section
          className="vessel panel"
          aria-label={t('cookers.what-your-cooks-have-taught')}
          style={{ marginTop: 16 }}
        >
          <h2>{t('cookers.what-your-cooks-have-taught')}</h2>
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
    [
      t('cookers.size'),
      t('cookers.base', { capacity: print('capacity', cooker.litres), length: print('length', cooker.baseDiameterCm) }),
    ],
    [
      t('cookers.pressure'),
      t('cookers.works-at-here', {
        pressure: print('pressure', cooker.gaugeKPa),
        temperature: print('temperature', workingTemperatureC(cooker.gaugeKPa, kitchen)),
      }),
    ],
    [
      t('cookers.heater'),
      t('cookers.w-about-reach-the-pot', {
        watts: cooker.watts,
        reaching: Math.round(cooker.watts * heaterEfficiency(cooker)),
      }),
    ],
    [
      t('cookers.minutes-count-from'),
      cooker.timerStarts === 'pin' ? t('cookers.the-pin-2') : t('cookers.full-pressure-2'),
    ],
    [t('cookers.at-least'), print('volume', cooker.minimumLiquidMl)],
    [
      cooker.kind === 'electric' ? t('cookers.burn-error-at') : t('cookers.scorches-at'),
      t('cookers.about-at-the-base', { temperature: print('temperature', cooker.burnCutoutC) }),
    ],
  ];
  return (
    <li className="vessel panel">
      <h2>{cooker.name}</h2>
      <p className="dim">
        {cooker.kind === 'electric'
          ? t('cookers.electric')
          : t('cookers.stovetop-on-an-electric-ring', { gas: cooker.burner === 'gas' })}
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
        <Button onClick={onEdit} aria-label={t('cookers.change', { name: cooker.name })}>
          {t('cookers.change-2')}
        </Button>
        <Button onClick={onTest} aria-label={t('cookers.time-a-litre-of-water', { name: cooker.name })}>
          {t('cookers.time-a-litre-of-water-2')}
        </Button>
        <Button type="text" onClick={onRemove} aria-label={t('cookers.delete-2', { name: cooker.name })}>
          {t('cookers.delete')}
        </Button>
      </div>
    </li>
  );
}
