import type { Grade } from '../meat/tenderness';

/** Everything that can be told of a cook. Append-only: what was wrong is undone by another event, never changed. */
export const COOK_EVENTS = [
  'started',
  'stepStarted',
  'stepDone',
  'flipped',
  'batchDone',
  'sauteOff',
  'lidLocked',
  'valveClosed',
  'pinUp',
  'timerStarted',
  'minutesAdded',
  'notYet',
  'burn',
  'heaterOff',
  'ventOpened',
  'pinDown',
  'lidOpened',
  'checked',
  'secondRun',
  'weighed',
  'tasted',
  'note',
  'served',
  'finished',
  'undone',
] as const;
export type CookEventKind = (typeof COOK_EVENTS)[number];

/** What was put on the scale. */
export const WEIGHED = ['bought', 'trimmed', 'cooked'] as const;

/** What an event says beside its kind; every key belongs to some kinds only. */
export interface CookEventPayload {
  /** The step of the guide it speaks of. Without one, the next step that its kind can end. */
  readonly step?: string | undefined;
  /** minutesAdded: how many. */
  readonly minutes?: number | undefined;
  /** minutesAdded after a check: the lid goes back on, with so long up and down again. */
  readonly again?: { readonly reheatMinutes: number; readonly releaseMinutes: number } | undefined;
  /** checked. */
  readonly grade?: Grade | undefined;
  /** weighed. */
  readonly what?: (typeof WEIGHED)[number] | undefined;
  readonly grams?: number | undefined;
  /** note, tasted. */
  readonly text?: string | undefined;
  /** undone: the event that is taken back. */
  readonly event?: string | undefined;
  /** True where the linked cooker told it, not a hand. */
  readonly byCooker?: boolean | undefined;
}

/** One thing that happened in a cook. */
export interface CookEvent {
  /** Made by the client, so that a repeated send changes nothing. */
  readonly id: string;
  readonly kind: CookEventKind;
  /** Wall clock, ISO 8601 with an offset. */
  readonly at: string;
  readonly payload: CookEventPayload;
}
