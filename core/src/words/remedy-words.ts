import { quantity, say, type Text } from '@hervir/language/message';
import { liquidWord } from '../catalog/liquids';
import type { Plan } from '../plan/plan';

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
export type Remedy = RemedyFact & { readonly text: Text };

const PLAIN: Readonly<Record<Plain, Text>> = {
  scrape: say('remedy.scrape-the-base-clean-as'),
  'sear-in-pan': say('remedy.sear-in-a-pan'),
  'sear-in-wide-pan': say('remedy.sear-in-a-wide-pan'),
  'sear-in-pan-and-throw': say('remedy.sear-in-a-pan-and'),
  'no-sugar': say('remedy.leave-the-sugar-out-of'),
  rack: say('remedy.stand-the-meat-on-a'),
  'level-grain': say('remedy.level-the-grain-on-top'),
  'medium-flame': say('remedy.bring-it-up-on-a'),
  nothing: say('remedy.nothing-to-mend-this-is'),
  'cut-in-two': say('remedy.cut-it-in-two'),
  'pat-dry': say('remedy.pat-it-dry-twice'),
  'salt-late': say('remedy.salt-at-the-last-moment'),
  'salt-early': say('remedy.salt-an-hour-ahead'),
};

function textOf(fact: RemedyFact): Text {
  const volume = (ml: number): Text => quantity('volume', ml);
  switch (fact.code) {
    case 'deglaze':
      return say('remedy.deglaze-with-of-and-scrape', {
        ml: volume(fact.values.ml),
        liquidWord: liquidWord(fact.values.liquid),
      });
    case 'keep-for-after':
      return say('remedy.keep-the-for-after-pressure', { liquidWord: liquidWord(fact.values.ingredient) });
    case 'lay-on-top':
      return say('remedy.lay-the-on-top-and', { liquidWord: liquidWord(fact.values.ingredient) });
    case 'pour-on-top':
      return say('remedy.pour-the-on-top-and', { liquidWord: liquidWord(fact.values.ingredient) });
    case 'pour-more':
      return say('remedy.pour-more', { ml: volume(fact.values.ml) });
    case 'pour-less':
      return say('remedy.pour-less', { ml: volume(fact.values.ml) });
    case 'broth-out':
      return say('remedy.take-of-broth-out-first', { ml: volume(fact.values.ml) });
    case 'less-broth-out':
      return say('remedy.take-of-broth-out-not', {
        ml: volume(fact.values.ml),
        insteadOfMl: volume(fact.values.insteadOfMl),
      });
    case 'pour-before-lid':
      return say('remedy.pour-of-hot-stock-before', { ml: volume(fact.values.ml) });
    case 'runs':
      return say('remedy.cook-it-in-runs-this', {
        runs: fact.values.runs,
        grams: quantity('mass', fact.values.grams),
      });
    case 'larger-pot':
      return say('remedy.a-pot-of-would-hold', { litres: quantity('capacity', fact.values.litres) });
    case 'batches':
      return say('remedy.sear-in-batches', { batches: fact.values.batches });
    default:
      return PLAIN[fact.code];
  }
}

/**
 * A remedy with its words.
 *
 * @param fact code, values and change
 */
export const remedyInWords = (fact: RemedyFact): Remedy => ({ ...fact, text: textOf(fact) });
