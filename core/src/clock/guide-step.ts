import type { Text } from '@hervir/language/message';
import type { Grade } from '../meat/tenderness';
import type { Move } from '../method/moves';
import type { CookEventKind } from './cook-events';

/** How the end of a step's minutes sounds: a turn of the hand, or something that can do harm if it waits. */
export const GUIDE_ALARMS = ['none', 'turn', 'danger'] as const;
export type Alarm = (typeof GUIDE_ALARMS)[number];

/** The parts of the work; steps are counted by them. */
export const SECTIONS = [
  'board',
  'heat',
  'sear',
  'aromatics',
  'deglaze',
  'load',
  'coming-up',
  'pressure',
  'letting-down',
  'check',
  'later-run',
  'simmer',
  'sauce',
  'plate',
  'put-away',
  'warm',
] as const;
export type SectionId = (typeof SECTIONS)[number];

/** What may bring steps in while a cook is under way. */
export const BROUGHT_IN_BY = ['again', 'burn', 'boils-dry', 'power-cut', 'pin-will-not-rise'] as const;
export type BroughtInBy = (typeof BROUGHT_IN_BY)[number];

/** The evening it is cooked, or, where it is cooked ahead, the day it is warmed and eaten. */
export const GUIDE_PARTS = ['evening', 'day'] as const;
export type GuidePart = (typeof GUIDE_PARTS)[number];

/**
 * Whether a cook is the day of what was cooked ahead: nothing comes under pressure to get tender in it.
 *
 * @example isTheDay({}) // false
 */
export const isTheDay = ({ part }: { readonly part?: GuidePart | undefined }): boolean => part === 'day';

/**
 * Whether a cook ends in the fridge: what is cooked ahead is eaten another day.
 *
 * @example endsInFridge({ steps: [] }) // false
 */
export function endsInFridge({ steps }: { readonly steps: readonly Pick<GuideStep, 'section'>[] }): boolean {
  return steps.at(-1)?.section === 'put-away';
}

/** One instruction at the pot. */
export interface GuideStep {
  readonly id: string;
  /** The task of the clock that it is part of. */
  readonly task: string;
  readonly section: SectionId;
  /** What is done in it, for whoever has to know more than the words. */
  readonly moves: readonly Move[];
  /** The lid it is done under or at, counted from one; null where it is none's. */
  readonly run: number | null;
  /** What brought it in while the cook was under way; null for what was planned. */
  readonly broughtInBy: BroughtInBy | null;
  /** One instruction, in large type. */
  readonly title: Text;
  /** How, or why; empty where the title says it. */
  readonly detail: Text;
  /** The big button: what has happened. */
  readonly button: Text;
  readonly done: CookEventKind;
  /** As planned. */
  readonly minutes: number;
  /** A countdown is shown; without one the minutes are only how long it usually takes. */
  readonly counts: boolean;
  readonly handsOn: boolean;
  readonly alarm: Alarm;
  /** How many of the following steps its end makes needless. */
  readonly skips: number;
  /** What else may have happened instead, and how many of the following steps that makes needless. */
  readonly otherwise: { readonly button: Text; readonly done: CookEventKind; readonly skips: number } | null;
  /** May be done before its turn, from this minute of the plan on. */
  readonly earlyFromMinute: number | null;
  /** Its minutes run from when this step was done, not from when its turn came. */
  readonly runsFrom: string | null;
  /** The cooker ends it, whether anybody presses or not. */
  readonly endsByItself: boolean;
  /** What can hurt here. */
  readonly caution: Text | null;
  /** Minutes of the plan that nothing of the main work is done before it: the hands are elsewhere. */
  readonly waitMinutes: number;
  /** How much of that wait is spare: what has come late by then is taken off it. None when nothing is said. */
  readonly spareMinutes?: number | undefined;
}

/** A side dish, or a sauce made apart: its own steps beside the main ones. */
export interface GuideTrack {
  readonly id: string;
  readonly name: Text;
  readonly steps: readonly {
    readonly id: string;
    readonly title: Text;
    readonly minutes: number;
    readonly handsOn: boolean;
    readonly moves: readonly Move[];
    /** Minutes before dinner that it begins, as planned. */
    readonly beforeDinner: number;
  }[];
}

/** Steps that come in when something has to be done again: more minutes for meat that is not there, a base that burnt. */
export interface AgainSteps {
  readonly clear: GuideStep;
  readonly lock: GuideStep;
  readonly pin: GuideStep;
  readonly pressure: GuideStep;
  readonly vent: GuideStep;
  readonly pinDown: GuideStep;
  readonly open: GuideStep;
  readonly check: GuideStep;
  /** The heat is gone, and back. A guide of before has none. */
  readonly powerBack?: GuideStep;
  /** Everything about a lid that does not seal is looked at. A guide of before has none. */
  readonly seeTo?: GuideStep;
}

/** All there is to do in one cook, in order. */
export interface Guide {
  readonly format: 'hervir/guide';
  readonly version: 2;
  /** Of a plan that is cooked ahead; a guide that does not say is the evening's. */
  readonly part?: GuidePart | undefined;
  readonly steps: readonly GuideStep[];
  readonly tracks: readonly GuideTrack[];
  readonly again: AgainSteps;
  /** From lid on until the minutes count, as planned. */
  readonly heatingMinutes: number;
  readonly totalMinutes: number;
  /** When dinner is, by the plan; null where it named no time. */
  readonly eatAt: string | null;
  /** The grade that is good enough at the check. */
  readonly wanted: Grade;
  /** A cooker that ends its minutes by itself. */
  readonly electric: boolean;
}
