import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { LIMITS, SIDES, type Plan, type Resource } from '@hervir/core';
import { Button, Checkbox, Input, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { NumberInput } from '../shared/number-input';
import type { Edit } from './station';
import styles from './clock-panel.module.css';

type Side = Plan['sides'][number];
type SideTask = Side['tasks'][number];

const WHERE: readonly { readonly value: Resource; readonly label: string }[] = [
  { value: 'side-burner', label: 'side burner' },
  { value: 'board', label: 'board' },
  { value: 'hands', label: 'hands' },
];
const OWN = 'own';
const BLANK: SideTask = { label: 'Step', minutes: 10, handsOn: false, resource: 'side-burner' };

/** Side dishes of the dinner, from the built-in set or one's own, each with its steps; they end with the meat. */
export function Sides({ plan, edit }: { readonly plan: Plan; readonly edit: Edit }): ReactNode {
  const [opened, setOpened] = useState<number | null>(null);
  const set = (sides: Side[]): void => edit((before) => ({ ...before, sides }));
  const add = (name: string): void => {
    const known = SIDES.find((side) => side.name === name);
    const side = known
      ? { name: known.name, tasks: known.tasks.map((task) => ({ ...task })) }
      : { name: 'My side dish', tasks: [BLANK] };
    set([...plan.sides, side]);
    if (!known) setOpened(plan.sides.length);
  };
  const change = (at: number, part: Partial<Side>): void =>
    set(plan.sides.map((side, i) => (i === at ? { ...side, ...part } : side)));
  return (
    <section aria-label="Side dishes">
      <h3>Side dishes</h3>
      <ul className={styles['side-list']}>
        {plan.sides.map((side, i) => {
          const minutes = side.tasks.reduce((sum, task) => sum + task.minutes, 0);
          return (
            <li key={i}>
              <div className={styles['side-head']}>
                <strong>{side.name}</strong>
                <span className="dim">
                  {side.tasks.length === 1 ? 'one step' : `${side.tasks.length} steps`}, {Math.round(minutes)} min
                </span>
                <Button size="small" aria-expanded={opened === i} onClick={() => setOpened(opened === i ? null : i)}>
                  {opened === i ? 'Done' : 'Steps'}
                  <span className="visually-hidden"> of {side.name}</span>
                </Button>
                <Button
                  size="small"
                  icon={<DeleteOutlined aria-hidden />}
                  aria-label={`Leave out ${side.name}`}
                  onClick={() => {
                    setOpened(null);
                    set(plan.sides.filter((_, at) => at !== i));
                  }}
                />
              </div>
              {opened === i && <Steps side={side} onChange={(part) => change(i, part)} />}
            </li>
          );
        })}
      </ul>
      {plan.sides.length < 8 && (
        <Select
          aria-label="Add a side dish"
          value={null}
          placeholder="Add a side dish"
          style={{ width: 'min(100%, 12.5rem)' }}
          options={[...SIDES.map(({ name }) => ({ value: name, label: name })), { value: OWN, label: 'One of my own' }]}
          onChange={(name: string | null) => name !== null && add(name)}
        />
      )}
    </section>
  );
}

/** Name and steps of one side dish. */
function Steps({
  side,
  onChange,
}: {
  readonly side: Side;
  readonly onChange: (part: Partial<Side>) => void;
}): ReactNode {
  const set = (at: number, part: Partial<SideTask>): void =>
    onChange({ tasks: side.tasks.map((task, i) => (i === at ? { ...task, ...part } : task)) });
  return (
    <div className={styles['side-steps']}>
      <Input
        aria-label="Name of the side dish"
        value={side.name}
        maxLength={60}
        onChange={(event) => event.target.value.trim() !== '' && onChange({ name: event.target.value })}
      />
      {side.tasks.map((task, i) => (
        <div key={i} className={styles['side-step']}>
          <Input
            aria-label={`Step ${i + 1}`}
            value={task.label}
            maxLength={120}
            onChange={(event) => event.target.value.trim() !== '' && set(i, { label: event.target.value })}
          />
          <NumberInput
            aria-label={`Minutes of step ${i + 1}`}
            min={1}
            max={LIMITS.taskMinutes.max}
            value={task.minutes}
            suffix="min"
            style={{ width: '6.5rem' }}
            onChange={(minutes) => minutes !== null && set(i, { minutes })}
          />
          <Select
            aria-label={`Where, step ${i + 1}`}
            value={task.resource}
            style={{ width: '7.5rem' }}
            options={[...WHERE]}
            onChange={(resource) => set(i, { resource })}
          />
          <Checkbox checked={task.handsOn} onChange={(event) => set(i, { handsOn: event.target.checked })}>
            hands-on
          </Checkbox>
          <Button
            size="small"
            icon={<DeleteOutlined aria-hidden />}
            aria-label={`Take step ${i + 1} out`}
            disabled={side.tasks.length === 1}
            onClick={() => onChange({ tasks: side.tasks.filter((_, at) => at !== i) })}
          />
        </div>
      ))}
      <Button
        size="small"
        icon={<PlusOutlined aria-hidden />}
        disabled={side.tasks.length >= 30}
        onClick={() => onChange({ tasks: [...side.tasks, BLANK] })}
      >
        A step
      </Button>
    </div>
  );
}
