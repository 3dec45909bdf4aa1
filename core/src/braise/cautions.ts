import { cutById } from '../larder/cuts';
import { liquidById } from '../larder/liquids';
import type { Plan } from '../plan/plan';
import type { BurnVerdict } from '../pot/base-temperature';
import type { Fill } from '../pot/fill';
import type { Ledger } from '../pot/ledger';

/** Where in the work a caution belongs. */
export type Step = 'meat' | 'sear' | 'pot' | 'vegetables' | 'release' | 'plate';

/** Something that can hurt, said at the step where it can. */
export interface Caution {
  readonly code: string;
  readonly step: Step;
  readonly text: string;
  readonly source: string;
}

const MANUAL = "the cooker's manual; national extension services; from memory";

/** What the reckoning found that a caution may hang on. */
export interface Found {
  readonly fill: Pick<Fill, 'over'>;
  readonly burn: Pick<BurnVerdict, 'level'>;
  readonly liquid: Pick<Ledger, 'belowMinimum'>;
}

interface Rule extends Caution {
  readonly when: (plan: Plan, found: Found) => boolean;
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
    when: (plan) => plan.meat.startsFrom === 'frozen',
  },
  {
    code: 'marinade-raw',
    step: 'meat',
    text: 'A marinade that held raw meat is cooked with it or thrown away, never spooned on later as it is.',
    source: 'USDA FSIS; from memory',
    when: (plan) => plan.meat.marinade !== null,
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
    when: (_, { fill }) => fill.over,
  },
  {
    code: 'under-minimum',
    step: 'pot',
    text: 'Less liquid than this cooker’s minimum: it can boil dry before the pin rises. Pour more first.',
    source: MANUAL,
    when: (_, { liquid }) => liquid.belowMinimum,
  },
  {
    code: 'burn-likely',
    step: 'pot',
    text: 'The base is likely to burn as planned. If it does: power off, let the pin fall, open as the manual says, and never force the lid.',
    source: MANUAL,
    when: (_, { burn }) => burn.level === 'likely',
  },
  {
    code: 'blender',
    step: 'sear',
    text: 'Hot liquid in a closed blender blows its lid: fill it half at most, vent the lid, hold a cloth over it.',
    source: 'common practice',
    when: (plan) => plan.additions.some(({ apart }) => apart?.steps.includes('blend') === true),
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
    when: (plan) => plan.grains.some((item) => item.grain === 'kidney-bean-soaked'),
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
    when: (plan) => plan.release.method === 'quick' && plan.grains.length > 0,
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
    when: (plan) => plan.meat.boneIn && cutById(plan.meat.cut).boneShare > 0,
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
 * @example cautionsFor(plan, forecast(plan)).some((caution) => caution.code === 'lid-steam') // true
 */
export function cautionsFor(plan: Plan, found: Found): Caution[] {
  return RULES.filter((rule) => rule.when(plan, found)).map(({ code, step, text, source }) => ({
    code,
    step,
    text,
    source,
  }));
}
