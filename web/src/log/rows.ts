/** One row of a chart, px. */
export const ROW = 26;
/** Room for the name of a cut, px. */
export const LABEL_WIDTH = 130;
/** At most so many rows; the rest is rare. */
export const MOST_ROWS = 8;
