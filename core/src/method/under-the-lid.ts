import type { Plan, Release, StageId } from '../plan/plan';
import { type Line, NONE, step } from './line';
import type { Step } from './step';

/** Common practice, minutes. */
export const OPEN_MINUTES = 2;
/** Shares of a block's minutes that its parts take. Common practice. */
export const LOCK_MINUTES = 0.5;
export const VALVE_MINUTES = 0.25;

/** A hand at the valve; the rest is the pin falling. */
const VENT_MINUTES = 0.25;
export const LID_MINUTES = 0.5;

/** Up to pressure, held, and let down. */
export function underTheLid(
  line: Line,
  plan: Plan,
  prefix: string,
  { run, stage }: { readonly run: number; readonly stage: StageId },
  minutes: {
    readonly toPin: number | null;
    readonly toTimer: number;
    readonly pressure: number;
    readonly release: number;
  },
  release: Release,
): void {
  const counts = plan.cooker.timerStarts === 'pressure';
  const { toPin, toTimer } = minutes;
  const pin = toPin === null ? null : Math.min(toTimer, toPin);
  const heating =
    pin !== null && counts && toTimer - pin > NONE
      ? [
          step(`${prefix}pin`, [{ kind: 'come-up', run, until: 'pin' }], pin, false),
          step(`${prefix}timer`, [{ kind: 'come-up', run, until: 'count' }], toTimer - pin, false),
        ]
      : [
          step(
            `${prefix}pin`,
            [{ kind: 'come-up', run, until: pin === null && counts ? 'count' : 'pin' }],
            toTimer,
            false,
          ),
        ];
  line.add(`${prefix}heating`, { kind: 'come-up', run }, 'pot', heating, false);
  const hold = step(`${prefix}pressure`, [{ kind: 'hold', run }], minutes.pressure, false);
  if (minutes.pressure > 0) line.add(`${prefix}pressure`, { kind: 'pressure', run, stage }, 'pot', [hold], false);
  const quick = release.method === 'quick';
  // With no minutes to hold it the heat still has to go off, and on a burner that is a hand's work.
  const off = minutes.pressure <= 0 && plan.cooker.kind === 'stovetop' ? [hold] : [];
  line.add(
    `${prefix}release`,
    { kind: 'let-down', run },
    'pot',
    [...off, ...letDown(prefix, run, minutes.release, release)],
    quick,
  );
}

function letDown(prefix: string, run: number, minutes: number, release: Release): Step[] {
  const fall = (left: number): Step => step(`${prefix}pin-down`, [{ kind: 'pin-falls', run }], left, false);
  if (release.method === 'quick') {
    const vent = Math.min(VENT_MINUTES, minutes);
    return [step(`${prefix}vent`, [{ kind: 'vent', run }], vent), fall(Math.max(0, minutes - VENT_MINUTES))];
  }
  const alone = (until: number | null, takes: number): Step =>
    step(`${prefix}natural`, [{ kind: 'leave', run, minutes: until }], takes, false);
  if (release.method === 'natural') return [alone(null, minutes)];
  const { naturalMinutes } = release;
  const byItself = minutes <= naturalMinutes + NONE;
  return [alone(naturalMinutes, byItself ? minutes : naturalMinutes), fall(byItself ? 0 : minutes - naturalMinutes)];
}
