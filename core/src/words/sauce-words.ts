import { liquidById } from '../larder/liquids';
import { thickenerById } from '../larder/thickeners';
import type { Move } from '../method/moves';
import type { Plan } from '../plan/plan';
import { listed, upperFirst } from '../units/list';
import { cutList, measuredList, named, portionsOfMove, theMeat, type Told } from './told';

/** Grams, with spoons beside them for who measures so. */
function spoons(grams: number, gramsATablespoon: number): string {
  const halves = Math.max(1, Math.round((grams / gramsATablespoon) * 2)) / 2;
  const whole = Math.floor(halves);
  return `${whole > 0 ? whole : ''}${halves % 1 === 0 ? '' : '½'} tbsp`;
}

/** What is fished out, by name: spent vegetables, bones. */
export function fishedNames(told: Told, move: Extract<Move, { kind: 'fish-out' }>): string[] {
  const names = portionsOfMove(told, move.portions).map(({ kind, name }) =>
    kind === 'vegetable' ? `spent ${name}` : name,
  );
  return move.bones ? [...names, 'bones'] : names;
}

/** "8 g of cornstarch (1 tbsp)". */
function starchWords(
  { print }: Told,
  thickener: Plan['finish']['thickener'],
  grams: number,
): { amount: string; how: string } {
  if (thickener === 'none') return { amount: '', how: '' };
  const { name, gramsATablespoon, how } = thickenerById(thickener);
  const spooned = spoons(grams, gramsATablespoon);
  const amount = print.system === 'metric' ? `${Math.round(grams)} g of ${name} (${spooned})` : `${spooned} of ${name}`;
  return { amount, how };
}

const THEN = {
  kept: 'keep it: broth for later',
  thrown: 'throw it away',
  'poured-over': 'keep it hot, to pour over',
  'put-back': 'keep it',
} as const;

/** The sentence of a move that finishes the sauce; null for a move that does not. */
export function sauceSentence(told: Told, move: Move): string | null {
  const { plan, print } = told;
  const volume = (ml: number): string => print.quantity('volume', ml);
  switch (move.kind) {
    case 'lift':
      return move.to === 'foil'
        ? `Lift ${theMeat(told, move.portions)} out, under foil`
        : 'Lift the vegetables out onto the dish: left in the hot sauce they go on softening';
    case 'fish-out':
      return `Fish out ${listed(fishedNames(told, move))}`;
    case 'stir-down':
      return `Stir what lay on top into the sauce: ${named(told, move.portions)}`;
    case 'ladle':
      return `Ladle ${volume(move.ml)} out and ${THEN[move.then]}`;
    case 'skim':
      return `Take the fat off with a spoon or a separator, about ${volume(move.ml)}; keep it for frying`;
    case 'strain':
      return strainSentence(told, move);
    case 'blend':
      return 'Blend the soft vegetables in: half full at most, lid vented, a cloth over it';
    case 'reduce':
      return `Bring it to the boil on full sauté, lid off, and reduce ${move.minutes} min to ${volume(move.toMl)}${move.meatIn ? '; the meat stays in it' : ''}`;
    case 'thicken': {
      const { amount, how } = starchWords(told, plan.finish.thickener, move.grams);
      return `Stir ${amount} into ${volume(move.waterMl)} of cold water, pour it in and stir; ${how}`;
    }
    case 'stir-in':
      return stirInSentence(told, move);
    case 'fold-in':
      return `Fold in ${named(told, move.portions)}`;
    case 'put':
      return `Off the heat, ${cutList(told, move.portions)} in`;
    case 'put-back':
      return backSentence(told, move);
    case 'pull':
      return 'Pull the meat with two forks on a separate plate';
    case 'crisp':
      return 'Crisp the shreds under the grill, spread out on a tray';
    case 'rest':
      return `Rest ${Math.round(move.minutes)} min: it thickens as it cools`;
    case 'season':
      return 'Fresh herbs and acid now; salt last, by taste';
    default:
      return null;
  }
}

function strainSentence(told: Told, { solids, portions }: Extract<Move, { kind: 'strain' }>): string {
  const what = portions.length > 0 ? named(told, portions) : 'what the sieve holds';
  switch (solids) {
    case 'thrown':
      return portions.length > 0 ? `Strain it; ${what}: thrown away, their work is done` : 'Strain it';
    case 'kept':
      return `Strain it; keep ${what} beside it`;
    case 'put-back':
      return `Strain it; ${what}: kept warm, back in at the end`;
  }
}

function stirInSentence(told: Told, { portions, cooked }: Extract<Move, { kind: 'stir-in' }>): string {
  const what = measuredList(told, portions);
  // Dry into hot sauce it makes lumps, and raw it tastes of flour. Common practice.
  if (cooked) return `Whisk ${what} smooth with cold water, stir it in; simmer 5 min, until the raw taste is gone`;
  const dairy = portionsOfMove(told, portions).some(
    ({ kind, food }) => kind === 'addition' && food !== null && liquidById(food).kind === 'dairy',
  );
  return `${dairy ? 'Off the heat, stir in' : 'Stir in'} ${what}`;
}

function backSentence(told: Told, { portions }: Extract<Move, { kind: 'put-back' }>): string {
  const found = portionsOfMove(told, portions);
  if (found.every(({ kind }) => kind === 'meat')) {
    return `${upperFirst(theMeat(told, portions))} back into the sauce, to warm through`;
  }
  return `${named(told, portions)} back into the sauce`;
}
