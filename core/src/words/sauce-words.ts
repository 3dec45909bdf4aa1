import { bySystem, capital, listing, quantity, say, type Text } from '@hervir/language/message';
import { liquidById } from '../catalog/liquids';
import { thickenerById } from '../catalog/thickeners';
import type { Move } from '../method/moves';
import type { Plan } from '../plan/plan';
import { byEye } from './by-eye';
import { cutList, measuredList, named, portionsOfMove, theMeat, type StepContext } from './step-context';

/** Spoons to the half, for who measures so. */
const spoons = (grams: number, gramsATablespoon: number): Text =>
  quantity('tablespoons', Math.max(1, Math.round((grams / gramsATablespoon) * 2)) / 2);

/** What is fished out, by name: spent vegetables, bones. */
export function fishedNames(context: StepContext, move: Extract<Move, { kind: 'fish-out' }>): Text[] {
  const names = portionsOfMove(context, move.portions).map(({ kind, name }) =>
    kind === 'vegetable' ? say('sauce.spent', { name }) : name,
  );
  return move.bones ? [...names, say('sauce.bones')] : names;
}

/** "8 g of cornstarch (1 tbsp)". */
function starchWords(thickener: Plan['finish']['thickener'], grams: number): { amount: Text; how: Text } {
  if (thickener === 'none') return { amount: '', how: '' };
  const { name, gramsATablespoon, how } = thickenerById(thickener);
  const spooned = spoons(grams, gramsATablespoon);
  const amount = bySystem(
    say('sauce.g-of', { grams: Math.round(grams), name, spooned }),
    say('sauce.of', { spooned, name }),
  );
  return { amount, how };
}

const THEN = {
  kept: say('sauce.keep-it-broth-for-later'),
  thrown: say('sauce.throw-it-away'),
  'poured-over': say('sauce.keep-it-hot-to-pour'),
  'put-back': say('sauce.keep-it'),
} as const;

/** The sentence of a move that finishes the sauce; null for a move that does not. */
export function sauceSentence(context: StepContext, move: Move): Text | null {
  const { plan } = context;
  const volume = (ml: number): Text => quantity('volume', ml);
  switch (move.kind) {
    case 'lift':
      return move.to === 'foil'
        ? say('sauce.lift-out-under-foil', { theMeat: theMeat(context, move.portions) })
        : say('sauce.lift-the-vegetables-out-onto');
    case 'fish-out':
      return say('sauce.fish-out', { list: listing(fishedNames(context, move)) });
    case 'stir-down':
      return say('sauce.stir-what-lay-on-top', { named: named(context, move.portions) });
    case 'ladle':
      return say('sauce.ladle-out-and', { ml: volume(move.ml), then: THEN[move.then] });
    case 'skim':
      return say('sauce.take-the-fat-off-with', { ml: byEye(move.ml) });
    case 'strain':
      return strainSentence(context, move);
    case 'blend':
      return say('sauce.blend-the-soft-vegetables-in');
    case 'reduce':
      return say('sauce.bring-it-to-the-boil', { minutes: move.minutes, toMl: volume(move.toMl), meatIn: move.meatIn });
    case 'thicken': {
      const { amount, how } = starchWords(plan.finish.thickener, move.grams);
      return say('sauce.stir-into-of-cold-water', { amount, waterMl: volume(move.waterMl), how });
    }
    case 'stir-in':
      return stirInSentence(context, move);
    case 'fold-in':
      return say('sauce.fold-in', { named: named(context, move.portions) });
    case 'put':
      return say('sauce.off-the-heat-in', { cutList: cutList(context, move.portions) });
    case 'put-back':
      return backSentence(context, move);
    case 'pull':
      return say('sauce.pull-the-meat-with-two');
    case 'crisp':
      return say('sauce.crisp-the-shreds-under-the');
    case 'rest':
      return say('sauce.rest-min-it-thickens-as', { minutes: Math.round(move.minutes) });
    case 'season':
      return say('sauce.fresh-herbs-and-acid-now');
    default:
      return null;
  }
}

function strainSentence(context: StepContext, { solids, portions }: Extract<Move, { kind: 'strain' }>): Text {
  const what = portions.length > 0 ? named(context, portions) : say('sauce.what-the-sieve-holds');
  switch (solids) {
    case 'thrown':
      return portions.length > 0 ? say('sauce.strain-it-thrown-away-their', { what }) : say('sauce.strain-it');
    case 'kept':
      return say('sauce.strain-it-keep-beside-it', { what });
    case 'put-back':
      return say('sauce.strain-it-kept-warm-back', { what });
  }
}

function stirInSentence(context: StepContext, { portions, cooked }: Extract<Move, { kind: 'stir-in' }>): Text {
  const what = measuredList(context, portions);
  // Dry into hot sauce it makes lumps, and raw it tastes of flour. Common practice.
  if (cooked) return say('sauce.whisk-smooth-with-cold-water', { what });
  const dairy = portionsOfMove(context, portions).some(
    ({ kind, food }) => kind === 'addition' && food !== null && liquidById(food).kind === 'dairy',
  );
  return dairy ? say('sauce.off-the-heat-stir-in', { what }) : say('sauce.stir-in', { what });
}

function backSentence(context: StepContext, { portions }: Extract<Move, { kind: 'put-back' }>): Text {
  const moved = portionsOfMove(context, portions);
  if (moved.every(({ kind }) => kind === 'meat')) {
    return say('sauce.back-into-the-sauce-to', { theMeat: capital(theMeat(context, portions)) });
  }
  return say('sauce.back-into-the-sauce', { named: named(context, portions) });
}
