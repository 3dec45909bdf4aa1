import { liquidWord } from '../larder/liquids';
import type { Plan } from '../plan/plan';
import type { Printer } from '../units/quantity';

/** What mends something: a code, what it needs to be said, and the change of the plan that pressing it makes. */
export type RemedyFact = RemedyCode & { readonly change: Partial<Plan> | null };

type Plain =
  | 'scrape'
  | 'sear-in-pan'
  | 'sear-in-wide-pan'
  | 'sear-in-pan-and-throw'
  | 'no-sugar'
  | 'rack'
  | 'level-grain'
  | 'medium-flame'
  | 'nothing'
  | 'cut-in-two'
  | 'pat-dry'
  | 'salt-late'
  | 'salt-early';

type RemedyCode =
  | { readonly code: Plain; readonly values: Readonly<Record<string, never>> }
  | { readonly code: 'deglaze'; readonly values: { readonly ml: number; readonly liquid: string } }
  | {
      readonly code: 'keep-for-after' | 'lay-on-top' | 'pour-on-top';
      readonly values: { readonly ingredient: string };
    }
  | {
      readonly code: 'pour-more' | 'pour-less' | 'broth-out' | 'pour-before-lid';
      readonly values: { readonly ml: number };
    }
  | { readonly code: 'less-broth-out'; readonly values: { readonly ml: number; readonly insteadOfMl: number } }
  | { readonly code: 'runs'; readonly values: { readonly runs: number; readonly grams: number } }
  | { readonly code: 'larger-pot'; readonly values: { readonly litres: number } }
  | { readonly code: 'batches'; readonly values: { readonly batches: number } };

/** A remedy as it can be read and pressed. */
export type Remedy = RemedyFact & { readonly text: string };

const PLAIN: Readonly<Record<Plain, string>> = {
  scrape: 'Scrape the base clean as it bubbles',
  'sear-in-pan': 'Sear in a pan',
  'sear-in-wide-pan': 'Sear in a wide pan',
  'sear-in-pan-and-throw': 'Sear in a pan and throw away what sticks',
  'no-sugar': 'Leave the sugar out of the rub',
  rack: 'Stand the meat on a rack',
  'level-grain': 'Level the grain on top and do not stir',
  'medium-flame': 'Bring it up on a medium flame',
  nothing: 'Nothing to mend: this is a clean base at its heat',
  'cut-in-two': 'Cut it in two',
  'pat-dry': 'Pat it dry, twice',
  'salt-late': 'Salt at the last moment',
  'salt-early': 'Salt an hour ahead',
};

function textOf(fact: RemedyFact, print: Printer): string {
  const volume = (ml: number): string => print.quantity('volume', ml);
  switch (fact.code) {
    case 'deglaze':
      return `Deglaze with ${volume(fact.values.ml)} of ${liquidWord(fact.values.liquid)} and scrape the base clean`;
    case 'keep-for-after':
      return `Keep the ${liquidWord(fact.values.ingredient)} for after pressure`;
    case 'lay-on-top':
      return `Lay the ${liquidWord(fact.values.ingredient)} on top and do not stir`;
    case 'pour-on-top':
      return `Pour the ${liquidWord(fact.values.ingredient)} on top and do not stir`;
    case 'pour-more':
      return `Pour ${volume(fact.values.ml)} more`;
    case 'pour-less':
      return `Pour ${volume(fact.values.ml)} less`;
    case 'broth-out':
      return `Take ${volume(fact.values.ml)} of broth out first`;
    case 'less-broth-out':
      return `Take ${volume(fact.values.ml)} of broth out, not ${volume(fact.values.insteadOfMl)}`;
    case 'pour-before-lid':
      return `Pour ${volume(fact.values.ml)} of hot stock before this lid`;
    case 'runs':
      return `Cook it in ${fact.values.runs} runs: this one with ${print.quantity('mass', fact.values.grams)} of meat`;
    case 'larger-pot':
      return `A pot of ${print.litres(fact.values.litres)} would hold it`;
    case 'batches':
      return `Sear in ${fact.values.batches} batches`;
    default:
      return PLAIN[fact.code];
  }
}

/**
 * A remedy with its words.
 *
 * @param fact code, values and change
 * @param print the cook's units
 */
export const remedyInWords = (fact: RemedyFact, print: Printer): Remedy => ({ ...fact, text: textOf(fact, print) });
