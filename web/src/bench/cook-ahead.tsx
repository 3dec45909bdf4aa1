import {
  COOK_AHEAD,
  COOLS,
  LIMITS,
  printDuration,
  readyAt,
  shiftIso,
  WARM_WAYS,
  type Forecast,
  type Plan,
} from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { AheadList } from '../shared/ahead-list';
import { Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { clockTime, dayWord, WARM_WORDS } from '../shared/words';
import type { Edit } from './station';
import styles from './clock-panel.module.css';

const SAME_EVENING = 0;
/** How long before it is eaten, hours. */
const WHEN = [
  { value: SAME_EVENING, label: 'when it is cooked' },
  { value: 9, label: 'the same day, 9 hours later' },
  { value: 24, label: 'the evening after' },
  { value: 48, label: 'two evenings after' },
  { value: 72, label: 'three evenings after' },
];
interface Props {
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly now: Date;
  readonly edit: Edit;
}

/** Cooked a day before it is eaten: how it is cooled, kept and warmed, and the clock of its day. */
export function CookAheadPanel({ plan, forecast, now, edit }: Props): ReactNode {
  const { cookAhead } = plan;
  const change = (part: Partial<typeof cookAhead>): void =>
    edit((before) => ({ ...before, cookAhead: { ...COOK_AHEAD, ...before.cookAhead, ...part } }));
  /** An evening that is over cannot be cooked in: then it is cooked when it was to be eaten, and eaten so much later. */
  const eatenLater = (value: number): void =>
    edit((before) => {
      const next = { ...before, cookAhead: { ...COOK_AHEAD, ...before.cookAhead, hours: value } };
      const ready = readyAt(next);
      const over = ready !== null && Date.parse(ready) < now.getTime();
      const { serveAt } = before;
      return over && serveAt !== null ? { ...next, serveAt: shiftIso(serveAt, value * 60) } : next;
    });
  const hours = cookAhead?.hours ?? SAME_EVENING;
  const own = WHEN.some(({ value }) => value === hours) ? [] : [{ value: hours, label: `${hours} hours later` }];
  return (
    <section aria-label="Cooked ahead">
      <h3>Cooked ahead</h3>
      <Field
        label="Eaten"
        note={cookAhead ? undefined : 'A braise is often better the day after, and its fat lifts off cold.'}
      >
        {(id) => (
          <Select
            id={id}
            value={hours}
            options={[...WHEN, ...own]}
            onChange={(value) =>
              value === SAME_EVENING ? edit((before) => ({ ...before, cookAhead: undefined })) : eatenLater(value)
            }
          />
        )}
      </Field>
      {cookAhead && forecast.nextDay && (
        <KeptUntil
          plan={plan}
          forecast={forecast}
          kept={forecast.nextDay}
          now={now}
          cookAhead={cookAhead}
          change={change}
          edit={edit}
        />
      )}
    </section>
  );
}

function KeptUntil({
  plan,
  forecast,
  kept,
  edit,
  now,
  cookAhead,
  change,
}: {
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly edit: Edit;
  readonly kept: NonNullable<Forecast['nextDay']>;
  readonly now: Date;
  readonly cookAhead: NonNullable<Plan['cookAhead']>;
  readonly change: (part: Partial<NonNullable<Plan['cookAhead']>>) => void;
}): ReactNode {
  const { print } = useUnits();
  const { cooling, bathMinutes, iceKg, ways, warmed, fatMl, clock, readyAt } = kept;
  const at = (minute: number): string =>
    clock.startAt === null ? `+${Math.round(minute)} min` : clockTime(shiftIso(clock.startAt, minute));
  const fresh = [...plan.vegetables, ...plan.grains].length > 0;
  return (
    <>
      <Field label="Deep in its containers">
        {(id) => (
          <QuantityInput
            id={id}
            label="Deep in its containers"
            kind="length"
            value={cookAhead.depthCm}
            range={LIMITS.depthCm}
            onChange={(depthCm) => depthCm !== undefined && change({ depthCm })}
          />
        )}
      </Field>
      <Verdict tone={cooling.inTime ? 'fits' : 'wrong'}>
        {bathMinutes > 0
          ? `${bathMinutes} min in ice water, about ${print('mass', iceKg * 1000)} of ice, then the fridge: `
          : 'Into the fridge: '}
        from {print('temperature', COOLS.fromC)} to {print('temperature', COOLS.firstC)} in{' '}
        {printDuration(cooling.minutesTo21)}, to {print('temperature', COOLS.allC)} in{' '}
        {printDuration(cooling.minutesTo5)}.{cooling.inTime ? '' : ' It may take 2 h and 6 h at most: shallower.'}
      </Verdict>
      {kept.cutFirst && <p className="dim">Whole it cools too slowly: it is sliced before it is put away.</p>}
      {readyAt !== null && (
        <p>
          In the fridge by <strong>{clockTime(readyAt)}</strong> {dayWord(readyAt, now)}.
          {fatMl > 0 && ` About ${print('volume', fatMl)} of fat lifts off cold.`}
        </p>
      )}
      <Field
        label="Warmed"
        note={`To ${print('temperature', 74)} in the middle. What cooling and warming add to the meat is in its odds and minutes.`}
      >
        {(id) => (
          <Select
            id={id}
            value={warmed.way}
            options={WARM_WAYS.map((value) => {
              const minutes = ways[value];
              return {
                value,
                label: `${WARM_WORDS[value]}${minutes === null ? ': too little liquid' : `, ${Math.round(minutes)} min`}`,
                disabled: minutes === null,
              };
            })}
            onChange={(warm) => change({ warm })}
          />
        )}
      </Field>
      <h4>
        {clock.startAt === null
          ? 'The day it is eaten'
          : `Begin ${clockTime(clock.startAt)} ${dayWord(clock.startAt, now)}`}
      </h4>
      <ul className={styles['day-tasks']}>
        {clock.tasks.map(({ id, label, startMinute, minutes }) => (
          <li key={id}>
            <span className="figure">{at(startMinute)}</span> {label}{' '}
            <small className="dim">{printDuration(minutes)}</small>
          </li>
        ))}
        <li>
          <span className="figure">{at(clock.totalMinutes)}</span> On the table
        </li>
      </ul>
      <AheadList
        plan={plan}
        tasks={forecast.ahead.filter(({ kind }) => kind === 'cook' || kind === 'warm')}
        startAt={forecast.clock.startAt}
        now={now}
        onChange={edit}
      />
      {fresh && (
        <p className="dim">
          Vegetables and grain left to Hervir are cooked on the day; what is cooked with the meat goes soft.
        </p>
      )}
    </>
  );
}
