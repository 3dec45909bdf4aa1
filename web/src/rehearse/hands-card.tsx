import { lowerFirst } from '@hervir/language';
import type { Reading, RehearsalRecord } from '@hervir/contract';
import {
  canBeThrownIn,
  FAULT_WORDS,
  GRAINS,
  VEGETABLES,
  type CookState,
  type FaultId,
  type GuideStep,
} from '@hervir/core';
import { Checkbox } from 'antd';
import { useState, type ReactNode } from 'react';
import { request } from '../api/client';
import { useUnits } from '../shared/use-units';
import { act, tellRehearsal } from '../state/rehearsal-store';
import { clsx } from 'clsx';
import cookerPanelStyles from './cooker-panel.module.css';
import rehearseStyles from './rehearse.module.css';
import { t, textOf } from '../language/t';

const CUP_ML = 120;

/** What a plant is called. */
function nameOf({ kind, id }: { readonly kind: 'vegetable' | 'grain'; readonly id: string }): string {
  const food = kind === 'grain' ? GRAINS.find((one) => one.id === id) : VEGETABLES.find((one) => one.id === id);
  return lowerFirst(textOf(food?.name ?? id));
}

/** What hands may do whatever the guide says: scrape, pour, put in, lift out; and the probe and the scale. */
export function HandsCard({
  record,
  step,
}: {
  readonly record: RehearsalRecord;
  readonly step: GuideStep | null;
}): ReactNode {
  const { print } = useUnits();
  const [read, setRead] = useState<string | null>(null);
  const ask = async (instrument: string, say: (reading: Reading) => string): Promise<void> => {
    const reading = await request<Reading>('GET', `/rehearsals/${record.id}/instruments/${instrument}`);
    setRead(textOf(reading.refused ?? say(reading)));
  };
  const key = (label: string, press: () => void): ReactNode => (
    <button
      key={label}
      type="button"
      className={cookerPanelStyles['panel-key']}
      disabled={record.finished}
      onClick={press}
    >
      {label}
    </button>
  );
  return (
    <section className={clsx('vessel', 'side-card', rehearseStyles['hands-card'])} aria-label={t('rehearse.hands')}>
      <h2>{t('rehearse.hands')}</h2>
      <div className="panel-row">
        {step &&
          step.done !== 'checked' &&
          key(t('rehearse.skip-this-step'), () => void tellRehearsal(step.done, { step: step.id }, false))}
        {key(t('rehearse.scrape-the-base'), () => void act({ act: 'hand', hand: { do: 'scrape' } }))}
        {key(
          t('rehearse.pour-in', { volume: print('volume', CUP_ML) }),
          () => void act({ act: 'hand', hand: { do: 'pour', ml: CUP_ML } }),
        )}
        {record.plants.map((plant, i) =>
          plant.where === 'bowl'
            ? key(
                t('rehearse.put-in', { nameOf: nameOf(plant) }),
                () => void act({ act: 'hand', hand: { do: 'put', plant: i } }),
              )
            : plant.where === 'pot'
              ? key(
                  t('rehearse.lift-out', { nameOf: nameOf(plant) }),
                  () => void act({ act: 'hand', hand: { do: 'lift', plant: i } }),
                )
              : null,
        )}
        {key(
          t('rehearse.probe-the-meat'),
          () =>
            void ask('probe-meat', ({ celsius = 0 }) =>
              t('rehearse.in-the-middle', { temperature: print('temperature', celsius) }),
            ),
        )}
        {key(
          t('rehearse.weigh-the-meat'),
          () => void ask('scale', ({ grams = 0 }) => t('rehearse.on-the-scale', { mass: print('mass', grams) })),
        )}
      </div>
      {read !== null && (
        <p role="status" className="figure">
          {read}
        </p>
      )}
    </section>
  );
}

/** What goes wrong on purpose. */
export function FaultsCard({
  record,
  state,
}: {
  readonly record: RehearsalRecord;
  readonly state: CookState;
}): ReactNode {
  const on = new Set<FaultId>(record.faults);
  return (
    <section className={clsx('vessel', 'side-card', rehearseStyles['faults-card'])} aria-label={t('rehearse.throw-in')}>
      <h2>{t('rehearse.throw-in')}</h2>
      <ul>
        {FAULT_WORDS.map(({ id, name, what }) => (
          <li key={id} title={textOf(canBeThrownIn(id, state) ? what : t('simulated-cook.what-it-would-spoil-is'))}>
            <Checkbox
              checked={on.has(id)}
              disabled={record.finished || (!on.has(id) && !canBeThrownIn(id, state))}
              onChange={(event) => void act({ act: 'fault', fault: id, on: event.target.checked })}
            >
              {textOf(name)}
            </Checkbox>
          </li>
        ))}
      </ul>
    </section>
  );
}
