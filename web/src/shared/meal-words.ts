/** What the end of a cook is called: a dinner, or, cooked ahead, its place in the fridge. */
export interface MealWords {
  /** Heading of the card that says when. */
  readonly title: string;
  /** "dinner 19:00", "in the fridge 19:00". */
  readonly short: string;
  /** "On the table by", "In the fridge by". */
  readonly by: string;
  readonly over: string;
}

const DINNER: MealWords = { title: 'Dinner', short: 'dinner', by: 'On the table by', over: 'on the table' };
const AWAY: MealWords = {
  title: 'In the fridge',
  short: 'in the fridge',
  by: 'In the fridge by',
  over: 'in the fridge',
};

/**
 * Words for the end of a cook.
 *
 * @param kept whether it is cooked ahead, and ends in the fridge
 */
export const mealWords = (kept: boolean): MealWords => (kept ? AWAY : DINNER);
