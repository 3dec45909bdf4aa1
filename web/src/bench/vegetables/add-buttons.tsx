import { PlusOutlined } from '@ant-design/icons';
import type { Plan } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import styles from './lanes.module.css';
import { MOST, type Added } from './plan-changes';

const ADDS: readonly {
  readonly what: Added;
  readonly label: string;
  readonly short: string;
  readonly full: (plan: Plan) => boolean;
}[] = [
  {
    what: 'vegetable',
    label: 'Add a vegetable',
    short: 'Vegetable',
    full: ({ vegetables }) => vegetables.length >= MOST.vegetable,
  },
  {
    what: 'grain',
    label: 'Add a grain or bean',
    short: 'Grain or bean',
    full: ({ grains }) => grains.length >= MOST.grain,
  },
  {
    what: 'other',
    label: 'Add other food',
    short: 'Other',
    full: ({ others }) => others.length >= MOST.other,
  },
  {
    what: 'pressure',
    label: 'Add a run under pressure',
    short: 'Run',
    full: ({ stages }) => stages.length >= MOST.stage,
  },
  { what: 'simmer', label: 'Add a simmer', short: 'Simmer', full: ({ stages }) => stages.length >= MOST.stage },
];

/** What can be added to the lanes: something that goes in, or a stage. */
export function AddButtons({ plan, onAdd }: { readonly plan: Plan; readonly onAdd: (what: Added) => void }): ReactNode {
  return (
    <div className={styles['adds']}>
      {ADDS.filter(({ full }) => !full(plan)).map(({ what, label, short }) => (
        <Button key={what} icon={<PlusOutlined aria-hidden />} aria-label={label} onClick={() => onAdd(what)}>
          {short}
        </Button>
      ))}
    </div>
  );
}
