import { capital, say, type Text } from '@hervir/language/message';
import { boardOf, type BoardMove } from '../method/board';
import type { Move, MoveKind } from '../method/moves';
import { stepsOf, type Method } from '../method/step';
import type { Plan } from '../plan/plan';
import { portionsOf, type PortionId } from '../plan/portions';
import { boardSentence } from './board-words';
import { NO_SAUCE, portionsOfMove, type StepContext } from './step-context';
import { aromaticSteps } from '../stations/aromatics';

/** Something to do on the board, before anything is hot. */
export interface PrepStep {
  readonly id: string;
  readonly kind: MoveKind;
  readonly text: Text;
  readonly minutes: number;
  /** On the board tonight, or hours before. */
  readonly when: 'ahead' | 'board';
  readonly meat: boolean;
}

/** A bowl, with what goes into the pot in the same moment. */
export interface Bowl {
  readonly moment: Text;
  readonly items: readonly { readonly id: PortionId; readonly what: Text; readonly grams: number }[];
}

/** What a sentence about a plan that is not reckoned yet is made of. */
function stepContextOfPlan(plan: Plan): StepContext {
  return { plan, portions: portionsOf(plan), sizes: new Map(), sauce: NO_SAUCE, caution: () => null };
}

/**
 * The prep list in board order: what is done hours ahead, then vegetables, raw meat last.
 *
 * @param plan the plan, every vegetable in its place
 * @returns steps with their minutes; the meat's are the last on the board
 * @example prepSteps(plan).filter((step) => step.when === 'board').at(-1)?.meat // true
 */
export function prepSteps(plan: Plan): PrepStep[] {
  const context = stepContextOfPlan(plan);
  const board = boardOf(plan, context.portions);
  const said = (moves: readonly BoardMove[], when: PrepStep['when'], meat: boolean): PrepStep[] =>
    moves.flatMap(({ move, minutes }, i) => {
      const text = boardSentence(context, move);
      const id = `${when}-${meat ? 'meat' : 'plants'}-${i + 1}`;
      return text === null ? [] : [{ id, kind: move.kind, text, minutes, when, meat }];
    });
  return [
    ...said(board.ahead, 'ahead', true),
    ...said(board.vegetables, 'board', false),
    ...said(board.meat, 'board', true),
  ];
}

const AFTER = say('prep-list.after-the-pressure');

/** When a bowl is emptied; null for a move that empties none. */
function momentOf(plan: Plan, move: Move, opened: boolean, first: boolean): Text | null {
  switch (move.kind) {
    case 'fry': {
      if (move.setAside) return say('prep-list.sauteed-first-and-set-aside');
      const turn = aromaticSteps(plan.aromatics).find(({ id }) => id === move.group);
      if (turn?.group === 'garlic') return say('prep-list.last-half-a-minute-before');
      return first ? say('prep-list.into-the-hot-fat') : say('prep-list.then');
    }
    case 'put':
      if (opened) return AFTER;
      if (move.layer === 'stirred-in') return say('prep-list.stirred-into-the-liquid');
      if (move.layer === 'under') return say('prep-list.under-the-meat');
      return move.layer === 'in' ? say('prep-list.with-the-liquid') : say('prep-list.on-top-not-stirred');
    case 'stir-in':
      return AFTER;
    case 'cook-apart':
      return say('prep-list.cooked-apart');
    case 'sear':
      return move.beside.length > 0 ? say('prep-list.beside-the-meat-in-the') : null;
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
 * @example bowlsOf(forecast(plan)).length // 0
 */
export function bowlsOf(f: {
  readonly plan: Plan;
  readonly method: Method;
  readonly portions: StepContext['portions'];
}): Bowl[] {
  const context = { ...stepContextOfPlan(f.plan), portions: f.portions };
  const bowls = new Map<string, { moment: Text; items: { id: PortionId; what: Text; grams: number }[] }>();
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
      for (const portion of portionsOfMove(context, ids)) {
        if (!BOWLED.has(portion.kind) || emptied.has(portion.id)) continue;
        emptied.add(portion.id);
        const key = JSON.stringify(moment);
        const bowl = bowls.get(key) ?? { moment, items: [] };
        bowl.items.push({ id: portion.id, what: capital(portion.name), grams: portion.grams ?? 0 });
        bowls.set(key, bowl);
      }
    }
  }
  return [...bowls.values()];
}
