import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { LIMITS, SIDES, type Plan, type Resource } from '@hervir/core';
import { Button, Checkbox, Input, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { NumberInput } from '../shared/number-input';
import type { Edit } from './station';
import styles from './clock-panel.module.css';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';
import { labelled } from '../language/labelled';

type Side = Plan['sides'][number];
type SideTask = Side['tasks'][number];

const WHERE: readonly { readonly value: Resource; readonly label: Message }[] = [
  { value: 'side-burner', label: say('bench.side-burner') },
  { value: 'board', label: say('bench.board') },
  { value: 'hands', label: say('bench.hands') },
];
const OWN = 'own';
const blank = (): SideTask => ({ label: t('bench.step'), minutes: 10, handsOn: false, resource: 'side-burner' });

/** Side dishes of the dinner, from the built-in set or one's own, each with its steps; they end with the meat. */
export function Sides({ plan, edit }: { readonly plan: Plan; readonly edit: Edit }): ReactNode {
  const [opened, setOpened] = useState<number | null>(null);
  const set = (sides: Side[]): void => edit((before) => ({ ...before, sides }));
  const add = (name: string): void => {
    const known = SIDES.find((side) => textOf(side.name) === name);
    const side = known
      ? {
          name: textOf(known.name),
          tasks: known.tasks.map((task) => ({ ...task, label: textOf(task.label) })),
        }
      : { name: t('bench.my-side-dish'), tasks: [blank()] };
    set([...plan.sides, side]);
    if (!known) setOpened(plan.sides.length);
  };
  const change = (at: number, part: Partial<Side>): void =>
    set(plan.sides.map((side, i) => (i === at ? { ...side, ...part } : side)));
  return (
    <section aria-label={t('bench.side-dishes')}>
      <h3>{t('bench.side-dishes')}</h3>
      <ul className={styles['side-list']}>
        {plan.sides.map((side, i) => {
          const minutes = side.tasks.reduce((sum, task) => sum + task.minutes, 0);
          return (
            <li key={i}>
              <div className={styles['side-head']}>
                <strong>{side.name}</strong>
                <span className="dim">
                  {t('bench.one-step-steps-min', { count: side.tasks.length, minutes: Math.round(minutes) })}
                </span>
                <Button size="small" aria-expanded={opened === i} onClick={() => setOpened(opened === i ? null : i)}>
                  {opened === i ? t('bench.done') : t('bench.steps')}
                  <span className="visually-hidden">{t('bench.of-2', { name: side.name })}</span>
                </Button>
                <Button
                  size="small"
                  icon={<DeleteOutlined aria-hidden />}
                  aria-label={t('bench.leave-out', { name: side.name })}
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
          aria-label={t('bench.add-a-side-dish')}
          value={null}
          placeholder={t('bench.add-a-side-dish')}
          style={{ width: 'min(100%, 12.5rem)' }}
          options={[
            ...SIDES.map(({ name }) => ({ value: textOf(name), label: textOf(name) })),
            { value: OWN, label: t('bench.one-of-my-own') },
          ]}
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
        aria-label={t('bench.name-of-the-side-dish')}
        value={side.name}
        maxLength={60}
        onChange={(event) => event.target.value.trim() !== '' && onChange({ name: event.target.value })}
      />
      {side.tasks.map((task, i) => (
        <div key={i} className={styles['side-step']}>
          <Input
            aria-label={t('bench.step-2', { i: i + 1 })}
            value={task.label}
            maxLength={120}
            onChange={(event) => event.target.value.trim() !== '' && set(i, { label: event.target.value })}
          />
          <NumberInput
            aria-label={t('bench.minutes-of-step', { i: i + 1 })}
            min={1}
            max={LIMITS.taskMinutes.max}
            value={task.minutes}
            suffix={t('bench.min-2')}
            style={{ width: '6.5rem' }}
            onChange={(minutes) => minutes !== null && set(i, { minutes })}
          />
          <Select
            aria-label={t('bench.where-step', { i: i + 1 })}
            value={task.resource}
            style={{ width: '7.5rem' }}
            options={labelled(WHERE)}
            onChange={(resource) => set(i, { resource })}
          />
          <Checkbox checked={task.handsOn} onChange={(event) => set(i, { handsOn: event.target.checked })}>
            {t('bench.hands-on')}
          </Checkbox>
          <Button
            size="small"
            icon={<DeleteOutlined aria-hidden />}
            aria-label={t('bench.take-step-out', { i: i + 1 })}
            disabled={side.tasks.length === 1}
            onClick={() => onChange({ tasks: side.tasks.filter((_, at) => at !== i) })}
          />
        </div>
      ))}
      <Button
        size="small"
        icon={<PlusOutlined aria-hidden />}
        disabled={side.tasks.length >= 30}
        onClick={() => onChange({ tasks: [...side.tasks, blank()] })}
      >
        {t('bench.a-step')}
      </Button>
    </div>
  );
}
