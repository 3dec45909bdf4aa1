import { quantity, say, type Text } from '@hervir/language/message';

/** Something that goes wrong before the lid is on. */
export type SearTroubleFact =
  | { readonly id: 'wider'; readonly values: { readonly baseDiameterCm: number } }
  | { readonly id: 'steams'; readonly values: { readonly coverage: number } }
  | { readonly id: 'sugar' | 'weak'; readonly values: Readonly<Record<string, never>> }
  | { readonly id: 'wet'; readonly values: { readonly by: 'salt' | 'marinade' } }
  | { readonly id: 'timed'; readonly values: { readonly endsAfter: number; readonly needed: number } };

const WET = {
  salt: say('sear.salted-between-4-and-40'),
  marinade: say('sear.a-marinade-leaves-the-face'),
} as const;

/** What goes wrong while it sears. */
export function searTroubleText(fact: SearTroubleFact): Text {
  switch (fact.id) {
    case 'wider':
      return say('sear.the-piece-is-longer-than', {
        baseDiameterCm: quantity('length', fact.values.baseDiameterCm),
      });
    case 'steams':
      return say('sear.it-steams-of-the-base', { coverage: Math.round(fact.values.coverage * 100) });
    case 'sugar':
      return say('sear.sugar-in-the-rub-burns');
    case 'wet':
      return WET[fact.values.by];
    case 'timed':
      return say('sear.this-pot-ends-its-saute', {
        endsAfter: Math.round(fact.values.endsAfter),
        needed: Math.round(fact.values.needed),
      });
    case 'weak':
      return say('sear.a-weak-saute-it-takes');
  }
}
