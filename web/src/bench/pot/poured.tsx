import { liquidWord, LIMITS, type Plan, type PouredLiquid } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { ItemRows } from '../../shared/item-rows';
import { QuantityInput } from '../../shared/quantity-input';
import { useUnits } from '../../shared/use-units';
import type { StationProps } from '../station';
import { WhenStage } from '../when-stage';
import { POURED } from './liquid-options';
import styles from '../lists.module.css';
import { t, textOf } from '../../language/t';
import { say } from '@hervir/language';
import { labelled } from '../../language/labelled';

const SCHOOLS = {
  minimum: say('bench.minimum'),
  'half-buried': say('bench.half'),
  covered: say('bench.covered'),
  submerged: say('bench.under'),
} as const;
const HOT_C = 90;
const COLD_C = 20;
/** From here on it is hot. */
const HOT_FROM_C = 60;

type Warmth = 'cold' | 'hot' | 'frozen';
/** Thawed before the evening, it is poured cold. */
const POURED_AS: Readonly<Record<Warmth, Pick<PouredLiquid, 'temperatureC' | 'frozen'>>> = {
  cold: { temperatureC: COLD_C, frozen: undefined },
  hot: { temperatureC: HOT_C, frozen: undefined },
  frozen: { temperatureC: COLD_C, frozen: true },
};
const WARMTHS = [
  { value: 'cold' as const, label: say('bench.cold') },
  { value: 'hot' as const, label: say('bench.hot') },
  { value: 'frozen' as const, label: say('bench.frozen-2') },
];
const warmthOf = ({ temperatureC, frozen }: PouredLiquid): Warmth =>
  frozen === true ? 'frozen' : temperatureC >= HOT_FROM_C ? 'hot' : 'cold';

/** What is poured in, how much of each, and how much each school would pour. */
export function Poured({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const fault = faultAt('liquids') ?? faultAt('liquids[0].ml');
  return (
    <>
      <ItemRows
        label={t('bench.liquid')}
        items={plan.liquids}
        nameOf={({ liquid }) => textOf(liquidWord(liquid))}
        blank={(): Plan['liquids'][number] => ({
          liquid: plan.liquids.length === 0 ? 'stock' : 'water',
          ml: 200,
          temperatureC: COLD_C,
        })}
        most={12}
        addLabel={t('bench.add-a-liquid')}
        onChange={(liquids) => edit((before) => ({ ...before, liquids }))}
        rest={{
          words: (item) => textOf(WARMTHS.find(({ value }) => value === warmthOf(item))?.label ?? ''),
          fields: (item, change) => (
            <>
              <Select<Warmth>
                aria-label={t('bench.how-warm', { liquidWord: liquidWord(item.liquid) })}
                value={warmthOf(item)}
                options={labelled(WARMTHS)}
                onChange={(next) => change(POURED_AS[next])}
              />
              <WhenStage
                plan={plan}
                of={textOf(liquidWord(item.liquid))}
                value={item.stage}
                onChange={(stage) => change({ stage })}
              />
            </>
          ),
        }}
      >
        {({ liquid, ml }, change, i) => (
          <>
            <Select
              aria-label={i === 0 ? t('bench.liquid') : t('bench.liquid-2', { i: i + 1 })}
              value={liquid}
              options={labelled(POURED)}
              popupMatchSelectWidth={260}
              onChange={(next) => change({ liquid: next })}
            />
            <QuantityInput
              label={i === 0 ? t('bench.how-much-3') : t('bench.how-much-liquid', { i: i + 1 })}
              kind="volume"
              value={ml}
              range={LIMITS.liquidMl}
              onChange={(next) => next !== undefined && change({ ml: next })}
            />
          </>
        )}
      </ItemRows>
      {fault !== undefined && (
        <span className="field-fault" role="alert">
          {fault}
        </span>
      )}
      <Schools plan={plan} forecast={forecast} edit={edit} />
    </>
  );
}

/** Two amounts are the same, ml. */
const SAME_ML = 6;

/** How much each school would pour of the first liquid: one press takes it. */
function Schools({ plan, forecast, edit }: Omit<StationProps, 'faultAt'>): ReactNode {
  const { print } = useUnits();
  const schools = forecast?.liquid.schools ?? [];
  const [first] = plan.liquids;
  if (!first || schools.length === 0) return null;
  const pour = (ml: number): void =>
    edit((before) => ({ ...before, liquids: before.liquids.map((item, i) => (i === 0 ? { ...item, ml } : item)) }));
  return (
    <div className={styles['schools']} role="group" aria-label={t('bench.how-much-liquid-by-school')}>
      {schools.map(({ school, pourMl }) => (
        <button
          key={school}
          type="button"
          className="school"
          aria-pressed={Math.abs(first.ml - pourMl) < SAME_ML}
          onClick={() => pour(pourMl)}
        >
          {textOf(SCHOOLS[school])}
          <span className="figure">{print('volume', pourMl)}</span>
        </button>
      ))}
    </div>
  );
}
