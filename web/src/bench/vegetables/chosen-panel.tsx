import { CloseOutlined } from '@ant-design/icons';
import type { Forecast, Plan } from '@hervir/core';
import { Button } from 'antd';
import { useEffect, useRef, type ReactNode } from 'react';
import type { Edit } from '../station';
import { GrainFields, OtherFields, VegetableFields } from './item-fields';
import { isChosen, type Chosen, type LaneItem } from './lane-items';
import styles from './lanes.module.css';
import { changedAt, withoutAt, type ItemOf, type ListKind } from './plan-lists';
import { StageFields } from './stage-fields';
import { t } from '../../language/t';

interface Props {
  readonly plan: Plan;
  readonly forecast: Forecast | null;
  readonly items: readonly LaneItem[];
  readonly chosen: Chosen | null;
  /** A field of it has the keyboard or the finger: what opened by itself stays open from now on, whatever becomes of it. */
  readonly onTouch: () => void;
  readonly edit: Edit;
}

/** What is open beside the lanes: the fields of one thing that goes in, or of a stage. */
export function ChosenPanel({ plan, forecast, items, chosen, onTouch, edit }: Props): ReactNode {
  const panel = useRef<HTMLElement>(null);
  const key = chosen === null ? '' : JSON.stringify(chosen);
  const first = useRef(key);
  useEffect(() => {
    // On a phone it lies under the lanes: what was pressed is brought into sight.
    if (key !== '' && key !== first.current) panel.current?.scrollIntoView({ block: 'nearest' });
    first.current = key;
  }, [key]);
  if (chosen === null) {
    return <p className="dim">{t('bench.nothing-goes-in-with-the')}</p>;
  }
  if (chosen.kind === 'stage') {
    return (
      <section ref={panel} className={styles['chosen']}>
        <StageFields id={chosen.place} plan={plan} forecast={forecast} edit={edit} />
      </section>
    );
  }
  const lane = items.find((item) => isChosen(chosen, item));
  const fields = fieldsOf(plan, chosen, lane, edit);
  if (!fields) return null;
  const name = lane?.name ?? t('bench.it');
  return (
    <section
      ref={panel}
      className={styles['chosen']}
      aria-label={name}
      onFocusCapture={onTouch}
      onPointerDownCapture={onTouch}
    >
      <div className={styles['chosen-head']}>
        <h3>{name}</h3>
        <Button
          type="text"
          icon={<CloseOutlined aria-hidden />}
          aria-label={t('bench.take-out', { name: name.toLowerCase() })}
          onClick={() => edit((before) => withoutAt(before, chosen.kind, chosen.index))}
        />
      </div>
      {fields}
    </section>
  );
}

function fieldsOf(
  plan: Plan,
  { kind, index }: Exclude<Chosen, { kind: 'stage' }>,
  lane: LaneItem | undefined,
  edit: Edit,
): ReactNode {
  const own = { plan, number: index + 1, lane };
  const changing =
    <K extends ListKind>(of: K) =>
    (part: Partial<ItemOf<K>>): void =>
      edit((before) => changedAt(before, of, index, part));
  switch (kind) {
    case 'vegetable': {
      const item = plan.vegetables[index];
      return item && <VegetableFields {...own} item={item} change={changing(kind)} />;
    }
    case 'grain': {
      const item = plan.grains[index];
      return item && <GrainFields {...own} item={item} change={changing(kind)} />;
    }
    case 'other': {
      const item = plan.others[index];
      return item && <OtherFields plan={plan} number={index + 1} item={item} change={changing(kind)} />;
    }
  }
}
