import type { Printer } from '../units/quantity';

/** Something that goes wrong before the lid is on. */
export type SearTroubleFact =
  | { readonly id: 'wider'; readonly values: { readonly baseDiameterCm: number } }
  | { readonly id: 'steams'; readonly values: { readonly coverage: number } }
  | { readonly id: 'sugar' | 'weak'; readonly values: Readonly<Record<string, never>> }
  | { readonly id: 'wet'; readonly values: { readonly by: 'salt' | 'marinade' } }
  | { readonly id: 'timed'; readonly values: { readonly endsAfter: number; readonly needed: number } };

const WET = {
  salt: 'Salted between 4 and 40 minutes ahead, the meat is wet just when it meets the base: it steams before it browns',
  marinade: 'A marinade leaves the face wet: pat it dry, or it will not brown',
} as const;

/** What goes wrong while it sears. */
export function searTroubleText(fact: SearTroubleFact, print: Printer): string {
  switch (fact.id) {
    case 'wider':
      return `The piece is longer than the base, ${print.quantity('length', fact.values.baseDiameterCm)} across: it does not lie flat, and browns only in part`;
    case 'steams':
      return `It steams: ${Math.round(fact.values.coverage * 100)} % of the base is covered, and meat browns under 55 %`;
    case 'sugar':
      return 'Sugar in the rub burns on the base and turns the sauce bitter';
    case 'wet':
      return WET[fact.values.by];
    case 'timed':
      return `This pot ends its sauté by itself after ${Math.round(fact.values.endsAfter)} min, and ${Math.round(fact.values.needed)} are needed: start it again when it stops`;
    case 'weak':
      return 'A weak sauté: it takes a third longer, and the base needs its minute between batches';
  }
}
