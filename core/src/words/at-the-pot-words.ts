import type { Printer } from '../units/quantity';
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
export function catchUpText(fact: CatchUpFact, print: Printer): string {
  const wins = `wins ${Math.round(fact.values.minutes)} min`;
  switch (fact.id) {
    case 'valve': {
      const { now, chance, insteadOf } = fact.values;
      const when = now ? 'Open the valve now' : 'Open the valve as soon as the minutes are over';
      const [then, planned] = [inTen(chance), inTen(insteadOf)];
      const odds = then === planned ? 'as tender as planned' : `${then} instead of ${planned} that it is tender`;
      return `${when}: ${wins}; ${odds}.`;
    }
    case 'rest':
      return `Rest ${fact.values.left} min only: ${wins}; the sauce stays a little thinner.`;
    case 'reduce':
      return `Do not reduce: ${wins}; more than ${print.quantity('volume', fact.values.sauceMl)} of sauce, thinner.`;
    case 'sear':
      return `Sear quickly, two sides: ${wins}; less brown, less deep a sauce.`;
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
export function moreText({ minutes, reheatMinutes, releaseMinutes, tougherBy }: MoreFact): string {
  const by = Math.round(Math.abs(tougherBy) * 100);
  const sort =
    Math.abs(tougherBy) < LIKE_THE_TABLE
      ? 'an animal like the table’s'
      : `an animal ${by} % ${tougherBy > 0 ? 'tougher' : 'more tender'} than usual`;
  return `It reads like ${sort}. Lid back on: ${Math.round(reheatMinutes)} min to come up, ${minutes} more under pressure, ${Math.max(1, Math.round(releaseMinutes))} to vent.`;
}
