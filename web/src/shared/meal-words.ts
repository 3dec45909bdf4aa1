import { type Message, say } from '@hervir/language';
/** What the end of a cook is called: a dinner, or, cooked ahead, its place in the fridge. */
export interface MealWords {
  /** Heading of the card that says when. */
  readonly title: Message;
  /** "dinner 19:00", "in the fridge 19:00". */
  readonly short: Message;
  /** "On the table by", "In the fridge by". */
  readonly by: Message;
  readonly over: Message;
}

const DINNER: MealWords = {
  title: say('shared.dinner'),
  short: say('shared.dinner-2'),
  by: say('shared.on-the-table-by'),
  over: say('shared.on-the-table'),
};
const AWAY: MealWords = {
  title: say('shared.in-the-fridge'),
  short: say('shared.in-the-fridge-2'),
  by: say('shared.in-the-fridge-by'),
  over: say('shared.in-the-fridge-2'),
};

/**
 * Words for the end of a cook.
 *
 * @param kept whether it is cooked ahead, and ends in the fridge
 */
export const mealWords = (kept: boolean): MealWords => (kept ? AWAY : DINNER);
