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
  'wentWrong',
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

/** What can go wrong in a cook, with a page of steps of its own. */
export const TROUBLES = [
  'burn',
  'pin-will-not-rise',
  'pin-will-not-fall',
  'boils-dry',
  'crowded-and-grey',
  'still-tough',
  'too-thin',
  'too-much',
  'too-salty',
  'vegetables-raw',
  'meat-dry',
  'power-cut',
  'lid-stuck',
] as const;
export type Trouble = (typeof TROUBLES)[number];

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
  /** wentWrong: what it was. A burn has a kind of its own. */
  readonly trouble?: Trouble | undefined;
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
