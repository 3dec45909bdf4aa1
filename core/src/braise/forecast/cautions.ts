import { say, type Text } from '@hervir/language/message';
import { meatsOf } from '../../plan/meats';
import { cutById } from '../../catalog/cuts';
import { liquidById } from '../../catalog/liquids';
import type { Plan } from '../../plan/plan';
import type { BurnLevel } from '../../pot/base-temperature';
import { CAUTION_WORDS, type CautionCode } from '../../words/caution-words';
import type { LiquidLevel } from './lid';

/** Where in the work a caution belongs. */
export type Step = 'meat' | 'sear' | 'pot' | 'vegetables' | 'release' | 'plate';

/** Something that can hurt, said at the step where it can. */
export interface Caution {
  readonly code: CautionCode;
  readonly step: Step;
  readonly text: Text;
  readonly source: Text;
  /** The lids it stands at, counted from one; null where it is not a lid's. */
  readonly runs: readonly number[] | null;
}

/** Sources are named from memory: none was open when these were written. */
const MANUAL = say('cautions.the-cookers-manual-national-extension');

/** A lid as far as it can hurt. */
export interface LidFacts {
  readonly run: number;
  readonly over: boolean;
  readonly liquid: LiquidLevel;
  readonly missingMl: number;
  readonly base: BurnLevel;
  /** The valve is opened at once on something that foams or swells. */
  readonly foams: boolean;
}

/** What the reckoning found that a caution may hang on. */
export interface Found {
  readonly lids: readonly LidFacts[];
  /** Whether every cut's middle passes 63 °C, with its rest. */
  readonly middleIsSafe: boolean;
  /** Minutes that meat from the kitchen lies there before the lid goes on, and minutes it may. */
  readonly inTheWarm: { readonly minutes: number; readonly most: number };
  /** Where it is cooked ahead: whether it cools within its hours. */
  readonly coolsInTime: boolean;
}

interface Rule extends Omit<Caution, 'runs' | 'text'> {
  readonly when: (plan: Plan, found: Found) => boolean;
  /** Of a lid: it stands at those for which this is so, and applies where there is one. */
  readonly at?: (lid: LidFacts) => boolean;
}

const always = (): boolean => true;

/**
 * Every caution there is, each with the step it stands at and when it applies. Its words stand in `words/caution-words.ts`.
 */
const RULES: readonly Rule[] = [
  {
    code: 'board-order',
    step: 'meat',
    source: say('cautions.usda-fsis-basics-for-handling'),
    when: always,
  },
  {
    code: 'frozen-start',
    step: 'meat',
    source: say('cautions.usda-fsis-thawing-and-slow'),
    when: (plan) => meatsOf(plan).some(({ startsFrom }) => startsFrom === 'frozen'),
  },
  {
    code: 'frozen-sear',
    step: 'sear',
    source: say('cautions.common-practice'),
    when: (plan) => plan.sear.school !== 'none' && meatsOf(plan).some(({ startsFrom }) => startsFrom === 'frozen'),
  },
  {
    code: 'marinade-raw',
    step: 'meat',
    source: say('cautions.usda-fsis'),
    when: (plan) => meatsOf(plan).some(({ marinade }) => marinade !== null),
  },
  {
    code: 'no-frying',
    step: 'sear',
    source: MANUAL,
    when: (plan) => plan.sear.school !== 'none',
  },
  {
    code: 'sugar-rub',
    step: 'sear',
    source: say('cautions.common-practice'),
    when: (plan) => plan.meat.rub?.sugar === true && plan.sear.school !== 'none' && plan.sear.where === 'pot',
  },
  {
    code: 'check-gasket',
    step: 'pot',
    source: MANUAL,
    when: always,
  },
  {
    code: 'over-fill',
    step: 'pot',
    source: MANUAL,
    when: always,
    at: ({ over }) => over,
  },
  {
    code: 'under-minimum',
    step: 'pot',
    source: MANUAL,
    when: always,
    at: ({ liquid }) => liquid === 'short',
  },
  {
    code: 'boils-dry',
    step: 'pot',
    source: MANUAL,
    when: always,
    at: ({ liquid }) => liquid === 'dry',
  },
  {
    code: 'grain-dry',
    step: 'pot',
    source: say('cautions.common-practice'),
    when: always,
    at: ({ missingMl }) => missingMl > 0,
  },
  {
    code: 'raw-waits',
    step: 'pot',
    source: say('cautions.usda-fsis-danger-zone-us'),
    when: (plan, { inTheWarm }) => plan.waitsMinutes > 0 || inTheWarm.minutes > inTheWarm.most,
  },
  {
    code: 'raw-middle',
    step: 'release',
    source: say('cautions.usda-fsis-safe-minimum-internal'),
    when: (_, { middleIsSafe }) => !middleIsSafe,
  },
  {
    code: 'burn-likely',
    step: 'pot',
    source: MANUAL,
    when: always,
    at: ({ base }) => base === 'likely',
  },
  {
    code: 'blender',
    step: 'sear',
    source: say('cautions.common-practice'),
    when: (plan) => plan.finish.blend || plan.additions.some(({ apart }) => apart?.steps.includes('blend') === true),
  },
  {
    code: 'chilli-fumes',
    step: 'sear',
    source: say('cautions.common-practice'),
    when: (plan) =>
      plan.additions.some(
        ({ ingredient, apart }) => ingredient === 'chilli-blend' && apart?.steps.includes('toast') === true,
      ),
  },
  {
    code: 'watch-burner',
    step: 'pot',
    source: MANUAL,
    when: (plan) => plan.cooker.kind === 'stovetop',
  },
  {
    code: 'kidney-bean',
    step: 'vegetables',
    source: say('cautions.us-fda-bad-bug-book'),
    when: (plan) => plan.grains.some(({ grain, grams }) => grain === 'kidney-bean-soaked' && grams > 0),
  },
  {
    code: 'lid-steam',
    step: 'release',
    source: MANUAL,
    when: always,
  },
  {
    code: 'quick-foams',
    step: 'release',
    source: MANUAL,
    when: always,
    at: ({ foams }) => foams,
  },
  {
    code: 'keep-warm',
    step: 'release',
    source: say('cautions.us-fda-food-code-2022'),
    when: (plan) => plan.cooker.kind === 'electric',
  },
  {
    code: 'stopped-cook',
    step: 'release',
    source: say('cautions.usda-fsis-safe-minimum-internal-temperature'),
    when: always,
  },
  {
    code: 'bone-splinters',
    step: 'plate',
    source: say('cautions.common-practice'),
    when: (plan) => meatsOf(plan).some(({ boneIn, cut }) => boneIn && cutById(cut).boneShare > 0),
  },
  {
    code: 'alcohol-stays',
    step: 'plate',
    source: say('cautions.common-practice'),
    when: (plan) =>
      [...(plan.deglaze ? [plan.deglaze] : []), ...plan.liquids].some(
        // Only what holds alcohol has an alternative without.
        ({ liquid }) => liquidById(liquid).alcoholFreeAlternative !== '',
      ),
  },
  {
    code: 'cools-slowly',
    step: 'plate',
    source: say('cautions.us-fda-food-code-2022-3'),
    when: (plan, { coolsInTime }) => plan.cookAhead !== undefined && !coolsInTime,
  },
  {
    code: 'warm-through',
    step: 'plate',
    source: say('cautions.usda-fsis-leftovers-and-food'),
    when: ({ cookAhead }) => cookAhead !== undefined,
  },
  {
    code: 'cooling',
    step: 'plate',
    source: say('cautions.us-fda-food-code-2022-3-501'),
    when: always,
  },
];

/**
 * The cautions a plan needs, in the order of the work.
 *
 * @param plan the plan
 * @param found what the reckoning found of its fill, base and liquid
 * @example cautionsFor(plan, { lids: [], middleIsSafe: true, inTheWarm: { minutes: 0, most: 120 }, coolsInTime: true }).some((caution) => caution.code === 'lid-steam') // true
 */
export function cautionsFor(plan: Plan, found: Found): Caution[] {
  return RULES.flatMap(({ code, step, source, when, at }) => {
    const runs = at ? found.lids.filter((lid) => at(lid)).map(({ run }) => run) : null;
    const text = CAUTION_WORDS[code];
    return when(plan, found) && runs?.length !== 0 ? [{ code, step, text, source, runs }] : [];
  });
}
