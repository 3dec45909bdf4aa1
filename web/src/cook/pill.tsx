import type { Alarm } from '@hervir/core';
import { useEffect, useMemo, type ReactNode } from 'react';
import { NavLink } from 'react-router';
import { countdownOrOver } from '../shared/words';
import { usePreferences } from '../state/preferences';
import { ring, speak } from './bell';
import { useRunningCooks, type LiveCook } from './use-cook';
import { whereInCook } from './where-in-cook';
import styles from './pill.module.css';
import { t, textOf } from '../language/t';

interface Ringing {
  readonly id: string;
  readonly label: string;
  readonly alarm: Exclude<Alarm, 'none'>;
  readonly cook: string;
}

/** All that rings now, danger first. */
function ringingIn(cooks: readonly LiveCook[]): Ringing[] {
  return cooks
    .flatMap(({ record, state }) =>
      state.timers.flatMap(({ id, label, alarm, rings }): Ringing[] =>
        rings && alarm !== 'none' ? [{ id, label: textOf(label), alarm, cook: record.id }] : [],
      ),
    )
    .sort((a, b) => (a.alarm === b.alarm ? 0 : a.alarm === 'danger' ? -1 : 1));
}

/** Sounds again so often while nobody answers, ms. */
const EVERY: Readonly<Record<Ringing['alarm'], number>> = { turn: 4000, danger: 1800 };

/** Rings by sound, voice and the whole screen, for as long as something is up and nobody has said so. */
function useRinging(ringing: Ringing | undefined): void {
  const { loud, speaks } = usePreferences();
  const alarm = ringing?.alarm;
  const label = ringing?.label;
  useEffect(() => {
    if (alarm === undefined || label === undefined) return;
    ring(alarm, loud);
    if (speaks) speak(label);
    const again = setInterval(() => ring(alarm, loud), EVERY[alarm]);
    document.documentElement.dataset['rings'] = alarm;
    return () => {
      clearInterval(again);
      delete document.documentElement.dataset['rings'];
    };
  }, [alarm, label, loud, speaks]);
}

/**
 * The running cooks in every room: what is counted down, one press from the pot.
 *
 * @param onRings told what the window is to be called while something rings, and null when nothing does
 */
export function Pill({ onRings }: { readonly onRings: (title: string | null) => void }): ReactNode {
  const cooks = useRunningCooks();
  const ringing = useMemo(() => ringingIn(cooks), [cooks]);
  useRinging(ringing[0]);
  const [first] = ringing;
  const say = first?.label ?? '';
  const title = first ? `${first.alarm === 'danger' ? '■' : '▲'} ${first.label}` : null;
  useEffect(() => {
    onRings(title);
    return () => onRings(null);
  }, [onRings, title]);
  return (
    <>
      <div className="pills" role="group" aria-label={t('cook.on-the-fire')}>
        {cooks.map(({ record, state, now }) => {
          const timer = state.timers.find(({ id }) => id === state.now?.step.id) ?? state.timers[0];
          const rings = ringing.some(({ cook }) => cook === record.id);
          const left = timer ? timer.endsAt - now : null;
          return (
            <NavLink key={record.id} to={`/cook/${record.id}`} className={rings ? 'pill rings' : 'pill'}>
              <span className={styles['pill-name']}>
                {rings && <span aria-hidden>▲ </span>}
                {cooks.length > 1 ? record.name : whereInCook(state)}
              </span>
              {left !== null && <span className="figure">{countdownOrOver(left)}</span>}
              <span className="visually-hidden">{t('cook.at-the-pot', { name: record.name })}</span>
            </NavLink>
          );
        })}
      </div>
      <span className="visually-hidden" role="alert">
        {say}
      </span>
    </>
  );
}
