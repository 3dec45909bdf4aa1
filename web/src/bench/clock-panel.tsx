import type { BraiseRecord } from '@hervir/contract';
import { clashesOf, printDuration, printerFor, together, type Forecast, type Mend, type Plan } from '@hervir/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { request } from '../api/client';
import { keys, useBraises } from '../api/queries';
import { useNow } from '../shared/use-now';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { clockTime, dayWord, inSentence } from '../shared/words';
import { reckoner } from '../workers/reckoner';
import type { Answer } from '../workers/reckoning';
import { Sides } from './sides';
import type { Edit } from './station';

interface Props {
  readonly id: string;
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly edit: Edit;
}

/** Farther off than this a day says more than hours. */
const SOON_MINUTES = 12 * 60;

/** The clock: when to begin at the latest, what clashes and what mends it, side dishes, other braises, and ways out. */
export function ClockPanel({ id, plan, forecast, edit }: Props): ReactNode {
  const { clock } = forecast;
  const now = useNow();
  const clashes = clashesOf(clock.tasks);
  const left = clock.startAt === null ? null : (Date.parse(clock.startAt) - now.getTime()) / 60_000;
  const late = left !== null && left < -1;
  const moved = Object.keys(plan.moved).length > 0;
  return (
    <div className="clock-panel">
      <section aria-label="When to begin">
        {clock.startAt === null || left === null ? (
          <p className="dim">Say in the sentence when you eat, and the clock counts back from there.</p>
        ) : late ? (
          <Verdict tone="wrong">
            {printDuration(-left)} too late for {clockTime(clock.eatAt ?? '')}. What makes it sooner:
          </Verdict>
        ) : (
          <Verdict tone="fits">
            Begin {clockTime(clock.startAt)} at the latest:{' '}
            {left < SOON_MINUTES ? `${printDuration(left)} from now` : dayWord(clock.startAt, now)}.
          </Verdict>
        )}
        <p className="dim">
          {printDuration(clock.totalMinutes)} in all, {printDuration(clock.handsOnMinutes)} of it hands-on.
          {moved
            ? ' Tasks you put earlier lengthen it.'
            : ' Drag a task of the board or the side on the line to put it earlier.'}
        </p>
        {moved && (
          <Button size="small" onClick={() => edit((before) => ({ ...before, moved: {} }))}>
            All as late as they can be
          </Button>
        )}
        {plan.cutLater && (
          <Button size="small" onClick={() => edit((before) => ({ ...before, cutLater: false }))}>
            Cut everything before the meat
          </Button>
        )}
        {clashes.map(({ text }) => (
          <Verdict key={text} tone="watch">
            {text}
          </Verdict>
        ))}
      </section>
      <Mends plan={plan} wanted={late || clashes.length > 0} edit={edit} />
      <Sides plan={plan} edit={edit} />
      <ThisEvening id={id} plan={plan} forecast={forecast} />
      <section aria-label="Take it along">
        <h3>Take it along</h3>
        <div className="clock-ways">
          {plan.serveAt !== null && (
            <Button href={`/api/braises/${id}/calendar.ics`} download>
              Calendar with alarms
            </Button>
          )}
          <Link className="ant-btn ant-btn-default" to={`/card/${id}`}>
            One-page card
          </Link>
          <Button href={`/api/braises/${id}/card.md`} download="card.md">
            Card as text
          </Button>
          <Button href={`/api/braises/${id}/recipe.jsonld`} download="recipe.jsonld">
            As a recipe file
          </Button>
        </div>
      </section>
    </div>
  );
}

/** What makes the evening shorter, each with its cost, each to be pressed. */
function Mends({
  plan,
  wanted,
  edit,
}: {
  readonly plan: Plan;
  readonly wanted: boolean;
  readonly edit: Edit;
}): ReactNode {
  const [opened, setOpened] = useState(false);
  const open = wanted || opened;
  const found = useQuery({
    queryKey: ['mends', plan],
    queryFn: async (): Promise<Answer<Mend[]>> => reckoner('beside').mends(plan),
    // Half a dozen forecasts: only for who looks.
    enabled: open,
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  }).data;
  const mends = found?.ok === true ? found.value : [];
  return (
    <details open={open} className="clock-mends" onToggle={(event) => setOpened(event.currentTarget.open)}>
      <summary>What would make it shorter</summary>
      {found?.ok === true && mends.length === 0 && <p className="dim">Nothing that wins two minutes.</p>}
      <ul className="remedies-list">
        {mends.map(({ text, change }) => (
          <li key={text}>
            {text}{' '}
            {change !== null && (
              <Button size="small" onClick={() => edit((before) => ({ ...before, ...change }))}>
                Take it<span className="visually-hidden">: {text}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Dinners so near each other are one evening's work, ms. */
const ONE_EVENING = 4 * 3_600_000;

/** Other braises of the same evening: one cook, one board, each pot one thing at a time. */
function ThisEvening({ id, plan, forecast }: Omit<Props, 'edit'>): ReactNode {
  const { system } = useUnits();
  const { serveAt } = plan;
  const near = (useBraises().data ?? []).filter(
    (other) =>
      other.id !== id &&
      other.serveAt !== null &&
      serveAt !== null &&
      Math.abs(Date.parse(other.serveAt) - Date.parse(serveAt)) <= ONE_EVENING,
  );
  const others = useQueries({
    queries: near.map((other) => ({
      queryKey: [...keys.braise(other.id), 'evening', other.revision, system],
      queryFn: async (): Promise<{ plan: Plan; forecast: Forecast } | null> => {
        const record = await request<BraiseRecord>('GET', `/braises/${other.id}`);
        const reckoned = await reckoner('beside').forecast(record.plan, system);
        return reckoned.ok ? { plan: record.plan, forecast: reckoned.value } : null;
      },
      staleTime: Infinity,
    })),
  });
  if (serveAt === null || near.length === 0) return null;
  const own = { id, name: plan.name === '' ? 'This one' : plan.name, plan, forecast };
  const all = [
    own,
    ...near.flatMap((other, i) => {
      const data = others[i]?.data;
      return data ? [{ id: other.id, name: other.name, ...data }] : [];
    }),
  ];
  const beside = together(
    all.map((one) => ({
      id: one.id,
      name: one.name,
      pot: inSentence(one.plan.cooker.name),
      clock: { ...one.forecast.clock, eatAt: one.plan.serveAt ?? serveAt },
    })),
    printerFor(system),
  );
  return (
    <section aria-label="This evening">
      <h3>This evening, together</h3>
      <ul className="reasons">
        {beside.map(({ id: one, text }) => (
          <li key={one}>{one === id ? text : <Link to={`/bench/${one}`}>{text}</Link>}</li>
        ))}
      </ul>
    </section>
  );
}
