import { quantity, say, type Text } from '@hervir/language/message';
import { wholeMinutes } from '../units/round';
import { inTen } from './odds-words';

/** Something that brings a late dinner nearer: what it is, and what it costs. */
export type CatchUpFact =
  | {
      readonly id: 'valve';
      readonly values: {
        readonly minutes: number;
        /** Its turn has come. */
        readonly now: boolean;
        readonly chance: number;
        readonly insteadOf: number;
      };
    }
  | { readonly id: 'rest'; readonly values: { readonly minutes: number; readonly left: number } }
  | { readonly id: 'reduce'; readonly values: { readonly minutes: number; readonly sauceMl: number } }
  | { readonly id: 'sear'; readonly values: { readonly minutes: number } };

/** "Open the valve now: wins 8 min; 7 in 10 instead of 8 in 10 that it is tender." */
export function catchUpText(fact: CatchUpFact): Text {
  const wins = say('at-the-pot.wins-min', { minutes: Math.round(fact.values.minutes) });
  switch (fact.id) {
    case 'valve': {
      const { now, chance, insteadOf } = fact.values;
      const when = now ? say('at-the-pot.open-the-valve-now') : say('at-the-pot.open-the-valve-as-soon');
      const [then, planned] = [inTen(chance), inTen(insteadOf)];
      const odds =
        then === planned
          ? say('at-the-pot.as-tender-as-planned')
          : say('at-the-pot.instead-of-that-it-is', { then, planned });
      return say('at-the-pot.valve', { when, wins, odds });
    }
    case 'rest':
      return say('at-the-pot.rest-min-only-the-sauce', { left: fact.values.left, wins });
    case 'reduce':
      return say('at-the-pot.do-not-reduce-more-than', {
        wins,
        sauceMl: quantity('volume', fact.values.sauceMl),
      });
    case 'sear':
      return say('at-the-pot.sear-quickly-two-sides-less', { wins });
  }
}

/** What meat that is not there yet still needs. */
export interface MoreFact {
  readonly minutes: number;
  readonly reheatMinutes: number;
  readonly releaseMinutes: number;
  /** How much tougher than usual this animal seems. */
  readonly tougherBy: number;
}

/** Nearer to the table's than so much it is the table's. */
const LIKE_THE_TABLE = 0.05;

/** "It reads like an animal 20 % tougher than usual. Lid back on: …" */
export function moreText({ minutes, reheatMinutes, releaseMinutes, tougherBy }: MoreFact): Text {
  const by = Math.round(Math.abs(tougherBy) * 100);
  const sort =
    Math.abs(tougherBy) < LIKE_THE_TABLE
      ? say('at-the-pot.an-animal-like-the-tables')
      : say('at-the-pot.an-animal-more-tender-than', { by, tougherBy: tougherBy > 0 });
  return say('at-the-pot.it-reads-like-lid-back', {
    sort,
    reheatMinutes: Math.round(reheatMinutes),
    minutes,
    value: wholeMinutes(releaseMinutes),
  });
}
