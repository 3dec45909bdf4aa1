import { printDuration, say } from '@hervir/language';
import { COOK_AHEAD, COOLS, LIMITS, readyAt, shiftIso, WARM_WAYS, type Forecast, type Plan } from '@hervir/core';
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
import { rich, t, textOf } from '../language/t';
import { labelled } from '../language/labelled';

const SAME_EVENING = 0;
/** How long before it is eaten, hours. */
const WHEN = [
  { value: SAME_EVENING, label: say('bench.when-it-is-cooked') },
  { value: 9, label: say('bench.the-same-day-9-hours') },
  { value: 24, label: say('bench.the-evening-after') },
  { value: 48, label: say('bench.two-evenings-after') },
  { value: 72, label: say('bench.three-evenings-after') },
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
  const own = WHEN.some(({ value }) => value === hours)
    ? []
    : [{ value: hours, label: t('bench.hours-later', { hours }) }];
  return (
    <section aria-label={t('bench.cooked-ahead')}>
      <h3>{t('bench.cooked-ahead')}</h3>
      <Field label={t('bench.eaten-2')} note={cookAhead ? undefined : t('bench.a-braise-is-often-better')}>
        {(id) => (
          <Select
            id={id}
            value={hours}
            options={labelled([...WHEN, ...own])}
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
    clock.startAt === null
      ? t('bench.min-3', { minute: Math.round(minute) })
      : clockTime(shiftIso(clock.startAt, minute));
  const fresh = [...plan.vegetables, ...plan.grains].length > 0;
  return (
    <>
      <Field label={t('bench.deep-in-its-containers')}>
        {(id) => (
          <QuantityInput
            id={id}
            label={t('bench.deep-in-its-containers')}
            kind="length"
            value={cookAhead.depthCm}
            range={LIMITS.depthCm}
            onChange={(depthCm) => depthCm !== undefined && change({ depthCm })}
          />
        )}
      </Field>
      <Verdict tone={cooling.inTime ? 'fits' : 'wrong'}>
        {t('bench.min-in-ice-water-about', {
          inIceWater: bathMinutes > 0,
          bathMinutes: bathMinutes,
          mass: print('mass', iceKg * 1000),
          temperature: print('temperature', COOLS.fromC),
          temperature2: print('temperature', COOLS.firstC),
          duration: printDuration(cooling.minutesTo21),
          temperature3: print('temperature', COOLS.allC),
          duration2: printDuration(cooling.minutesTo5),
          inTime: cooling.inTime,
        })}
      </Verdict>
      {kept.cutFirst && <p className="dim">{t('bench.whole-it-cools-too-slowly')}</p>}
      {readyAt !== null && (
        <p>
          {rich('bench.in-the-fridge-by-about', {
            time: clockTime(readyAt),
            strong: (words) => <strong>{words}</strong>,
            day: dayWord(readyAt, now),
            fatMl: fatMl > 0,
            volume: print('volume', fatMl),
          })}
        </p>
      )}
      <Field
        label={t('bench.warmed')}
        note={t('bench.to-in-the-middle-what', { temperature: print('temperature', 74) })}
      >
        {(id) => (
          <Select
            id={id}
            value={warmed.way}
            options={WARM_WAYS.map((value) => {
              const minutes = ways[value];
              return {
                value,
                label: `${textOf(WARM_WORDS[value])}${minutes === null ? t('bench.too-little-liquid') : t('bench.min-4', { minutes: Math.round(minutes) })}`,
                disabled: minutes === null,
              };
            })}
            onChange={(warm) => change({ warm })}
          />
        )}
      </Field>
      <h4>
        {clock.startAt === null
          ? t('bench.the-day-it-is-eaten')
          : t('bench.begin-2', { time: clockTime(clock.startAt), day: dayWord(clock.startAt, now) })}
      </h4>
      <ul className={styles['day-tasks']}>
        {clock.tasks.map(({ id, label, startMinute, minutes }) => (
          <li key={id}>
            <span className="figure">{at(startMinute)}</span> {textOf(label)}{' '}
            <small className="dim">{printDuration(minutes)}</small>
          </li>
        ))}
        <li>
          {rich('bench.on-the-table', {
            at: at(clock.totalMinutes),
            span: (words) => <span className="figure">{words}</span>,
          })}
        </li>
      </ul>
      <AheadList
        plan={plan}
        tasks={forecast.ahead.filter(({ kind }) => kind === 'cook' || kind === 'warm')}
        startAt={forecast.clock.startAt}
        now={now}
        onChange={edit}
      />
      {fresh && <p className="dim">{t('bench.vegetables-and-grain-left-to')}</p>}
    </>
  );
}
