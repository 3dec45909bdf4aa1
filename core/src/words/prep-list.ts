import { boardOf, type BoardMove } from '../method/board';
import type { Move, MoveKind } from '../method/moves';
import { stepsOf, type Method } from '../method/step';
import type { Plan } from '../plan/plan';
import { portionsOf, type PortionId } from '../plan/portions';
import { upperFirst } from '../units/list';
import type { Printer } from '../units/quantity';
import { boardSentence } from './board-words';
import { NO_SAUCE, portionsOfMove, type Told } from './told';
import { aromaticSteps } from '../stations/aromatics';

/** Something to do on the board, before anything is hot. */
export interface PrepStep {
  readonly id: string;
  readonly kind: MoveKind;
  readonly text: string;
  readonly minutes: number;
  /** On the board tonight, or hours before. */
  readonly when: 'ahead' | 'board';
  readonly meat: boolean;
}

/** A bowl, with what goes into the pot in the same moment. */
export interface Bowl {
  readonly moment: string;
  readonly items: readonly { readonly id: PortionId; readonly what: string; readonly grams: number }[];
}

/** What a sentence about a plan that is not reckoned yet is made of. */
function toldOfPlan(plan: Plan, print: Printer): Told {
  return { plan, portions: portionsOf(plan), print, sizes: new Map(), sauce: NO_SAUCE, caution: () => null };
}

/**
 * The prep list in board order: what is done hours ahead, then vegetables, raw meat last.
 *
 * @param plan the plan, every vegetable in its place
 * @param print the cook's units
 * @returns steps with their minutes; the meat's are the last on the board
 * @example prepSteps(plan, printerFor('metric')).filter((step) => step.when === 'board').at(-1)?.meat // true
 */
export function prepSteps(plan: Plan, print: Printer): PrepStep[] {
  const told = toldOfPlan(plan, print);
  const board = boardOf(plan, told.portions);
  const said = (moves: readonly BoardMove[], when: PrepStep['when'], meat: boolean): PrepStep[] =>
    moves.flatMap(({ move, minutes }, i) => {
      const text = boardSentence(told, move);
      const id = `${when}-${meat ? 'meat' : 'plants'}-${i + 1}`;
      return text === null ? [] : [{ id, kind: move.kind, text, minutes, when, meat }];
    });
  return [
    ...said(board.ahead, 'ahead', true),
    ...said(board.vegetables, 'board', false),
    ...said(board.meat, 'board', true),
  ];
}

const AFTER = 'After the pressure';

/** When a bowl is emptied; null for a move that empties none. */
function momentOf(plan: Plan, move: Move, opened: boolean, first: boolean): string | null {
  switch (move.kind) {
    case 'fry': {
      if (move.setAside) return 'Sautéed first and set aside';
      const turn = aromaticSteps(plan.aromatics).find(({ id }) => id === move.group);
      if (turn?.group === 'garlic') return 'Last, half a minute before the liquid';
      return first ? 'Into the hot fat' : 'Then';
    }
    case 'put':
      if (opened) return AFTER;
      if (move.layer === 'stirred-in') return 'Stirred into the liquid';
      if (move.layer === 'under') return 'Under the meat';
      return move.layer === 'in' ? 'With the liquid' : 'On top, not stirred';
    case 'stir-in':
      return AFTER;
    case 'cook-apart':
      return 'Cooked apart';
    case 'sear':
      return move.beside.length > 0 ? 'Beside the meat in the first batch' : null;
    default:
      return null;
  }
}

/** What is weighed into a bowl; meat, liquids and fat are not. */
const BOWLED: ReadonlySet<string> = new Set(['aromatic', 'addition', 'vegetable', 'grain', 'other']);

/**
 * Bowls by the moment their contents go into the pot.
 *
 * @param f a forecast, for its plan, portions and method
 * @param print the cook's units
 * @example bowlsOf(forecast(plan), printerFor('metric')).length // 0
 */
export function bowlsOf(
  f: { readonly plan: Plan; readonly method: Method; readonly portions: Told['portions'] },
  print: Printer,
): Bowl[] {
  const told = { ...toldOfPlan(f.plan, print), portions: f.portions };
  const bowls = new Map<string, { id: PortionId; what: string; grams: number }[]>();
  const emptied = new Set<PortionId>();
  let opened = false;
  let fried = false;
  for (const { moves } of stepsOf(f.method)) {
    for (const move of moves) {
      if (move.kind === 'open') opened = true;
      const moment = momentOf(f.plan, move, opened, !fried);
      if (move.kind === 'fry' && !move.setAside) fried = true;
      if (moment === null) continue;
      const ids = move.kind === 'sear' ? move.beside : 'portions' in move ? move.portions : [];
      for (const portion of portionsOfMove(told, ids)) {
        if (!BOWLED.has(portion.kind) || emptied.has(portion.id)) continue;
        emptied.add(portion.id);
        const items = bowls.get(moment) ?? [];
        items.push({ id: portion.id, what: upperFirst(portion.name), grams: portion.grams ?? 0 });
        bowls.set(moment, items);
      }
    }
  }
  return [...bowls].map(([moment, items]) => ({ moment, items }));
}
