import { PlusOutlined } from '@ant-design/icons';
import type { Plan } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import styles from './lanes.module.css';
import { MOST, type Added } from './plan-changes';
import { type Message, say } from '@hervir/language';
import { textOf } from '../../language/t';

const ADDS: readonly {
  readonly what: Added;
  readonly label: Message;
  readonly short: Message;
  readonly full: (plan: Plan) => boolean;
}[] = [
  {
    what: 'vegetable',
    label: say('bench.add-a-vegetable'),
    short: say('bench.vegetable'),
    full: ({ vegetables }) => vegetables.length >= MOST.vegetable,
  },
  {
    what: 'grain',
    label: say('bench.add-a-grain-or-bean'),
    short: say('bench.grain-or-bean'),
    full: ({ grains }) => grains.length >= MOST.grain,
  },
  {
    what: 'other',
    label: say('bench.add-other-food'),
    short: say('bench.other'),
    full: ({ others }) => others.length >= MOST.other,
  },
  {
    what: 'pressure',
    label: say('bench.add-a-run-under-pressure'),
    short: say('bench.run'),
    full: ({ stages }) => stages.length >= MOST.stage,
  },
  {
    what: 'simmer',
    label: say('bench.add-a-simmer'),
    short: say('bench.simmer'),
    full: ({ stages }) => stages.length >= MOST.stage,
  },
];

/** What can be added to the lanes: something that goes in, or a stage. */
export function AddButtons({ plan, onAdd }: { readonly plan: Plan; readonly onAdd: (what: Added) => void }): ReactNode {
  return (
    <div className={styles['adds']}>
      {ADDS.filter(({ full }) => !full(plan)).map(({ what, label, short }) => (
        <Button key={what} icon={<PlusOutlined aria-hidden />} aria-label={textOf(label)} onClick={() => onAdd(what)}>
          {textOf(short)}
        </Button>
      ))}
    </div>
  );
}
