import type { Fault, LogChange, LogEntry } from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { say } from '@hervir/language';
import { BadRequestException } from '@nestjs/common';

/** A dinner is entered on its day, before or after it is eaten, ms. */
const ITS_DAY = 24 * 60 * 60_000;

/** What says itself when it was and what it took: a cook that was guided here. */
export const isGuided = ({ source }: Pick<LogEntry, 'source'>): boolean => source === 'cooked' || source === 'warmed';

/** What is wrong with a dinner that is still to come; null with one that is not. */
export function stillToCome(servedAt: string, nowMs: number): Fault | null {
  if (Date.parse(servedAt) <= nowMs + ITS_DAY) return null;
  return {
    path: 'servedAt',
    problem: say('corrections.is-still-to-come'),
    allowed: say('corrections.today-or-before'),
  };
}

/**
 * Sees that a dinner is not still to come.
 *
 * @throws BadRequestException where it is
 */
export function servedBefore(servedAt: string, nowMs: number): void {
  const fault = stillToCome(servedAt, nowMs);
  if (fault !== null) throw new BadRequestException({ faults: [fault] });
}

/**
 * A cook that was added by hand, or read from a file, with what was wrong in it put right.
 *
 * @param entry its line in the log
 * @param plan what it is cooked again by
 * @param change of its day, its weight and its minutes; everything else stays
 * @throws BadRequestException for a cook that was guided here, and for a dinner that is still to come
 */
export function corrected(
  entry: LogEntry,
  plan: Plan,
  { servedAt, boughtG, minutes }: Pick<LogChange, 'servedAt' | 'boughtG' | 'minutes'>,
  nowMs: number,
): { readonly entry: LogEntry; readonly plan: Plan } {
  const asked = Object.entries({ servedAt, boughtG, minutes }).filter(([, value]) => value !== undefined);
  if (asked.length === 0) return { entry, plan };
  if (isGuided(entry)) {
    const faults = asked.map(([path]): Fault => ({
      path,
      problem: say('corrections.was-guided-here-and-says'),
      allowed: say('corrections.cooks-added-by-hand'),
    }));
    throw new BadRequestException({ faults });
  }
  if (servedAt !== undefined) servedBefore(servedAt, nowMs);
  const grams = boughtG ?? entry.boughtG;
  const trimmedG = entry.trimmedG !== null && entry.trimmedG > grams ? null : entry.trimmedG;
  const pressureMinutes = minutes ?? plan.pressureMinutes;
  return {
    entry: {
      ...entry,
      servedAt: servedAt ?? entry.servedAt,
      boughtG: grams,
      trimmedG,
      pressure: minutes === undefined ? entry.pressure : { planned: minutes, actual: minutes },
    },
    plan: {
      ...plan,
      pressureMinutes,
      meat: { ...plan.meat, grams, trimGrams: trimmedG === null ? 0 : grams - trimmedG },
    },
  };
}
