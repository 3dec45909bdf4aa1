import { listing, quantity, say, type Text } from '@hervir/language/message';
import { meatsOf } from '../plan/meats';
import { vegetableById } from '../catalog/vegetables';
import { cutById, cutTitle } from '../catalog/cuts';
import type { Meat, Plan } from '../plan/plan';
import type { Portion, PortionId } from '../plan/portions';
import type { SauceFigures } from '../stations/sauce';

/** All that a sentence about a move may need: the plan as it is placed, its portions, and the cook's units. */
export interface StepContext {
  readonly plan: Plan;
  readonly portions: readonly Portion[];
  /** Smallest dimension that a vegetable is cut to, cm. */
  readonly sizes: ReadonlyMap<PortionId, number>;
  readonly sauce: SauceFigures;
  /** The text of a caution that applies, at a lid where it belongs to one; null where it does not apply. */
  readonly caution: (code: string, run?: number) => Text | null;
}

/** The portions of a move, in its order. */
export function portionsOfMove({ portions }: StepContext, ids: readonly PortionId[]): Portion[] {
  return ids.flatMap((id) => portions.find((portion) => portion.id === id) ?? []);
}

/** "turnip, freekeh and the bay": names in the middle of a sentence. */
export const named = (context: StepContext, ids: readonly PortionId[]): Text =>
  listing(portionsOfMove(context, ids).map(({ name }) => name));

/** "40 g of tomato paste", "400 ml of stock or broth". */
export function measured({ name, grams, ml }: Portion): Text {
  if (ml !== null) return say('phrase.of', { ml: quantity('volume', ml), name });
  return grams === null ? name : say('phrase.of-2', { grams: quantity('mass', grams), name });
}

export const measuredList = (context: StepContext, ids: readonly PortionId[]): Text =>
  listing(portionsOfMove(context, ids).map(measured));

/** A vegetable with how it is cut, where its name does not say so already. */
export function cutTo(context: StepContext, portion: Portion): Text {
  const { plan, sizes } = context;
  const size = sizes.get(portion.id);
  if (portion.kind !== 'vegetable' || size === undefined || size <= 0) return portion.name;
  const { asNamed } = vegetableById(portion.food ?? '');
  if (!asNamed) return say('phrase.in-pieces', { name: portion.name, size: quantity('length', size) });
  const own = plan.vegetables[portion.index]?.sizeCm;
  return own === undefined ? portion.name : say('phrase.thick', { name: portion.name, own: quantity('length', own) });
}

export const cutList = (context: StepContext, ids: readonly PortionId[]): Text =>
  listing(portionsOfMove(context, ids).map((portion) => cutTo(context, portion)));

/** The cut of a meat portion. */
export function meatOf({ plan }: StepContext, { index }: Pick<Portion, 'index'>): Meat {
  return meatsOf(plan)[index] ?? plan.meat;
}

/** What a cut is called: the cook's own name, or the catalog's. */
export const cutName = (context: StepContext, id: PortionId): Text => {
  const [portion] = portionsOfMove(context, [id]);
  if (!portion) return say('phrase.meat');
  const meat = meatOf(context, portion);
  return meat.name ?? cutTitle(cutById(meat.cut));
};

/** "the cheeks", once: a cook's own name may bring its article. */
export const theCut = (context: StepContext, id: PortionId): Text => {
  const name = cutName(context, id);
  return typeof name === 'string' && /^the /i.test(name) ? name : say('phrase.the', { name });
};

/** "it" where there is one cut, "the shoulder" where there are several. */
export const itOrCut = (context: StepContext, id: PortionId): Text =>
  context.plan.otherMeats.length === 0 ? say('phrase.it') : theCut(context, id);

/** "meat" where there is one cut, its names where there are several. */
export function meatWords(context: StepContext, ids: readonly PortionId[]): Text {
  return context.plan.otherMeats.length === 0 ? say('phrase.meat') : listing(ids.map((id) => cutName(context, id)));
}

/** "the meat", or the cuts by their names. */
export function theMeat(context: StepContext, ids: readonly PortionId[]): Text {
  return context.plan.otherMeats.length === 0 ? say('phrase.the-meat') : listing(ids.map((id) => theCut(context, id)));
}

/** Where the sauce has not been solved. */
export const NO_SAUCE: SauceFigures = {
  ladleOutMl: 0,
  reduceMinutes: 0,
  reducedMl: 0,
  thickenerGrams: 0,
  waterMl: 0,
  thickens: false,
  sauceMl: 0,
  fatMl: 0,
  skimMl: 0,
  bones: false,
};
