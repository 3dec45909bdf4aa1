import { meatsOf } from '../../plan/meats';
import { cutById } from '../../larder/cuts';
import { liquidById } from '../../larder/liquids';
import type { Plan } from '../../plan/plan';
import type { BurnLevel } from '../../pot/base-temperature';
import type { LiquidLevel } from './lid';

/** Where in the work a caution belongs. */
export type Step = 'meat' | 'sear' | 'pot' | 'vegetables' | 'release' | 'plate';

/** Something that can hurt, said at the step where it can. */
export interface Caution {
  readonly code: string;
  readonly step: Step;
  readonly text: string;
  readonly source: string;
  /** The lids it stands at, counted from one; null where it is not a lid's. */
  readonly runs: readonly number[] | null;
}

const MANUAL = "the cooker's manual; national extension services; from memory";

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
}

interface Rule extends Omit<Caution, 'runs'> {
  readonly when: (plan: Plan, found: Found) => boolean;
  /** Of a lid: it stands at those for which this is so, and applies where there is one. */
  readonly at?: (lid: LidFacts) => boolean;
}

const always = (): boolean => true;

/**
 * Every caution there is, each with the step it stands at and when it applies. A new one goes here and nowhere else.
 */
const RULES: readonly Rule[] = [
  {
    code: 'board-order',
    step: 'meat',
    text: 'Vegetables before raw meat on the board; wash hands, knife and board after the meat.',
    source: 'USDA FSIS, basics for handling food safely; from memory',
    when: always,
  },
  {
    code: 'frozen-start',
    step: 'meat',
    text: 'Frozen meat may go under pressure as it is. Never start it in a slow cooker, and do not thaw it on the counter.',
    source: 'USDA FSIS, thawing and slow-cooker guidance; from memory',
    when: (plan) => meatsOf(plan).some(({ startsFrom }) => startsFrom === 'frozen'),
  },
  {
    code: 'frozen-sear',
    step: 'sear',
    text: 'Frozen meat spits in hot fat and steams instead of browning: wipe the ice off, stand back, or leave the sear out.',
    source: 'common practice',
    when: (plan) => plan.sear.school !== 'none' && meatsOf(plan).some(({ startsFrom }) => startsFrom === 'frozen'),
  },
  {
    code: 'marinade-raw',
    step: 'meat',
    text: 'A marinade that held raw meat is cooked with it or thrown away, never spooned on later as it is.',
    source: 'USDA FSIS; from memory',
    when: (plan) => meatsOf(plan).some(({ marinade }) => marinade !== null),
  },
  {
    code: 'no-frying',
    step: 'sear',
    text: 'Sear with the lid off and little oil. Never deep-fry or pressure-fry in a pressure cooker.',
    source: MANUAL,
    when: (plan) => plan.sear.school !== 'none',
  },
  {
    code: 'sugar-rub',
    step: 'sear',
    text: 'Sugar in the rub burns on the base: sear in a pan and throw away what sticks.',
    source: 'common practice',
    when: (plan) => plan.meat.rub?.sugar === true && plan.sear.school !== 'none' && plan.sear.where === 'pot',
  },
  {
    code: 'check-gasket',
    step: 'pot',
    text: 'Look at gasket, valve and pin before you lock the lid. Keep to the minimum liquid and the fill line of your cooker’s manual.',
    source: MANUAL,
    when: always,
  },
  {
    code: 'over-fill',
    step: 'pot',
    text: 'Over the fill line: food can block the valve, and the pot spits when it opens. At most two thirds, half with what swells or foams. Do not lock the lid on it; your cooker’s manual comes first.',
    source: MANUAL,
    when: always,
    at: ({ over }) => over,
  },
  {
    code: 'under-minimum',
    step: 'pot',
    text: 'Less liquid than this cooker’s minimum: it can boil dry before the pin rises. Pour more first.',
    source: MANUAL,
    when: always,
    at: ({ liquid }) => liquid === 'short',
  },
  {
    code: 'boils-dry',
    step: 'pot',
    text: 'The liquid runs out under this lid before the pin falls: what drinks in it takes it all. Pour more first, and never less than the cooker’s minimum.',
    source: MANUAL,
    when: always,
    at: ({ liquid }) => liquid === 'dry',
  },
  {
    code: 'grain-dry',
    step: 'pot',
    text: 'Grain, pulses or noodles have less water than they drink: they stay hard, and raw pulses can make you ill. Pour what is missing.',
    source: 'common practice',
    when: always,
    at: ({ missingMl }) => missingMl > 0,
  },
  {
    code: 'raw-waits',
    step: 'pot',
    text: 'Raw meat is not left in the pot or in a warm kitchen to wait: at most two hours above 5 °C in all, one where it is over 32 °C. Keep it in the fridge and begin by hand. Your local food-safety authority comes first.',
    source: 'USDA FSIS, danger zone; US FDA Food Code 2022, 3-501.16; from memory',
    when: (plan, { inTheWarm }) => plan.waitsMinutes > 0 || inTheWarm.minutes > inTheWarm.most,
  },
  {
    code: 'raw-middle',
    step: 'release',
    text: 'The middle of the meat does not come to 63 °C in these minutes: it is raw there. Measure it at the check; lid back on until it is. Partly cooked meat is never put aside. Your local food-safety authority comes first.',
    source: 'USDA FSIS safe minimum internal temperature chart; from memory',
    when: (_, { middleIsSafe }) => !middleIsSafe,
  },
  {
    code: 'burn-likely',
    step: 'pot',
    text: 'The base is likely to burn as planned. If it does: power off, let the pin fall, open as the manual says, and never force the lid.',
    source: MANUAL,
    when: always,
    at: ({ base }) => base === 'likely',
  },
  {
    code: 'blender',
    step: 'sear',
    text: 'Hot liquid in a closed blender blows its lid: fill it half at most, vent the lid, hold a cloth over it.',
    source: 'common practice',
    when: (plan) => plan.finish.blend || plan.additions.some(({ apart }) => apart?.steps.includes('blend') === true),
  },
  {
    code: 'chilli-fumes',
    step: 'sear',
    text: 'Toasted chillies give off fumes: window open, face away, and wash your hands after.',
    source: 'common practice',
    when: (plan) =>
      plan.additions.some(
        ({ ingredient, apart }) => ingredient === 'chilli-blend' && apart?.steps.includes('toast') === true,
      ),
  },
  {
    code: 'watch-burner',
    step: 'pot',
    text: 'A pressure pot on a burner is not left alone.',
    source: MANUAL,
    when: (plan) => plan.cooker.kind === 'stovetop',
  },
  {
    code: 'kidney-bean',
    step: 'vegetables',
    text: 'Kidney beans are poisonous raw: soak, throw the water away, boil hard 30 minutes (10 at the very least). Never slow-cook them from dry.',
    source: 'US FDA, Bad Bug Book, phytohaemagglutinin; from memory',
    when: (plan) => plan.grains.some(({ grain, grams }) => grain === 'kidney-bean-soaked' && grams > 0),
  },
  {
    code: 'lid-steam',
    step: 'release',
    text: 'Hands and face away from the valve. Wait for the pin to fall, never force the lid, and tilt it away from you. Your cooker’s manual comes first.',
    source: MANUAL,
    when: always,
  },
  {
    code: 'quick-foams',
    step: 'release',
    text: 'A full, starchy or foaming pot spits when the valve is opened at once: let it down naturally for some minutes first.',
    source: MANUAL,
    when: always,
    at: ({ foams }) => foams,
  },
  {
    code: 'keep-warm',
    step: 'release',
    text: 'Keep warm is switched off before the minutes end, or the pressure falls slowly and the meat cooks on. Food kept warm later is held at 60 °C or above.',
    source: 'US FDA Food Code 2022, 3-501.16; from memory',
    when: (plan) => plan.cooker.kind === 'electric',
  },
  {
    code: 'stopped-cook',
    step: 'release',
    text: 'If the cook is stopped half-way, finish it now: partly cooked meat is never put aside. Whole cuts are safe from 63 °C in the middle and a 3 minute rest.',
    source:
      'USDA FSIS safe minimum internal temperature chart; from memory. Your local food-safety authority comes first.',
    when: always,
  },
  {
    code: 'bone-splinters',
    step: 'plate',
    text: 'Look for splinters of bone before you pull the meat.',
    source: 'common practice',
    when: (plan) => meatsOf(plan).some(({ boneIn, cut }) => boneIn && cutById(cut).boneShare > 0),
  },
  {
    code: 'alcohol-stays',
    step: 'plate',
    text: 'Wine and beer do not boil off entirely. For a table without alcohol take stock and a spoon of vinegar.',
    source: 'common practice',
    when: (plan) =>
      [...(plan.deglaze ? [plan.deglaze] : []), ...plan.liquids].some(
        // Only what holds alcohol has an alternative without.
        ({ liquid }) => liquidById(liquid).alcoholFreeAlternative !== '',
      ),
  },
  {
    code: 'cooling',
    step: 'plate',
    text: 'What is left goes into shallow containers and the fridge within two hours; reheat it to 74 °C.',
    source: 'US FDA Food Code 2022, 3-501.14; USDA FSIS; from memory. Your local food-safety authority comes first.',
    when: always,
  },
];

/**
 * The cautions a plan needs, in the order of the work.
 *
 * @param plan the plan
 * @param found what the reckoning found of its fill, base and liquid
 * @example cautionsFor(plan, { lids: [], middleIsSafe: true, inTheWarm: { minutes: 0, most: 120 } }).some((caution) => caution.code === 'lid-steam') // true
 */
export function cautionsFor(plan: Plan, found: Found): Caution[] {
  return RULES.flatMap(({ code, step, text, source, when, at }) => {
    const runs = at ? found.lids.filter((lid) => at(lid)).map(({ run }) => run) : null;
    return when(plan, found) && runs?.length !== 0 ? [{ code, step, text, source, runs }] : [];
  });
}
