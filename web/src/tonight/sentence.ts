import { usualCooker } from '../shared/usual-cooker';
import { cutById, newPlan, type Cooker, type Form, type Kitchen, type Plan } from '@hervir/core';
import { remember, remembered } from '../shared/session';
import { USUAL_TIME, usualDay } from '../shared/usual-dinner';
import { daysFrom, wallClockOn } from '../shared/words';

/** What the gaps of the sentence hold. */
export interface Asked {
  readonly grams: number;
  readonly cut: string;
  readonly form: Form;
  readonly cookerId: string | null;
  readonly time: string;
  /** YYYY-MM-DD */
  readonly day: string;
  /** How many eat, where that was said; the usual number otherwise. */
  readonly servings?: number;
}

const KEY = 'hervir.asked';

const isOver = ({ day }: Asked, now: Date): boolean => daysFrom(day, now) < 0;

/** The same, of the next supper where its day is over: a page stays open on the counter overnight. */
export const stillAhead = (asked: Asked, now: Date): Asked =>
  isOver(asked, now) ? { ...asked, day: usualDay(now) } : asked;

/** Filled in so that it answers at once: a usual supper, at the next seven o'clock that can be made. */
export function firstAsked(now: Date): Asked {
  const fallback: Asked = {
    grams: 1500,
    // What is braised most often. Common practice.
    cut: 'beef-chuck',
    form: 'chunks',
    cookerId: null,
    time: USUAL_TIME,
    day: usualDay(now),
  };
  const kept = remembered(KEY) as Asked | null;
  try {
    if (kept && cutById(kept.cut).forms.includes(kept.form) && !isOver(kept, now)) return kept;
  } catch {
    // A cut that this Hervir does not know: begin afresh.
  }
  return fallback;
}

/** Remembers the sentence on this device, until the browser is closed. */
export const keepAsked = (asked: Asked): void => remember(KEY, asked);

/** The plan a sentence means. */
export function planOf(asked: Asked, cooker: Cooker | undefined, kitchen: Kitchen, confidence: number): Plan {
  return {
    ...newPlan({
      cut: asked.cut,
      form: asked.form,
      grams: asked.grams,
      cooker: cooker ?? usualCooker(),
      kitchen,
      serveAt: wallClockOn(asked.day, asked.time),
    }),
    confidence,
    ...(asked.servings === undefined ? {} : { servings: asked.servings }),
  };
}
