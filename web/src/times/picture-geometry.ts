import { CHARTED, type TimesCell } from '@hervir/core';
import { curveMonotoneX, extent, line, scaleLinear } from 'd3';

export type Charted = (typeof CHARTED)[number];

/** Room for the minutes at the left, the weights below, and a name at the end of each curve, px. */
const MARGIN = { left: 40, right: 62, top: 12, bottom: 26 };
const WEIGHT_TICKS = 5;
const MINUTE_TICKS = 5;

/** Minutes over weight, as they are drawn. */
export interface PictureGeometry {
  readonly x: (grams: number) => number;
  readonly gramsAt: (x: number) => number;
  readonly range: readonly [number, number];
  readonly top: number;
  readonly base: number;
  readonly left: number;
  readonly right: number;
  readonly weights: readonly { readonly grams: number; readonly x: number }[];
  readonly minutes: readonly { readonly minutes: number; readonly y: number }[];
  readonly curves: readonly {
    readonly target: Charted;
    readonly path: string;
    readonly end: { readonly x: number; readonly y: number };
  }[];
  readonly y: (minutes: number) => number;
}

/** The cells that are known for a target. */
const knownOf = (cells: readonly TimesCell[], target: Charted): { grams: number; minutes: number }[] =>
  cells.flatMap(({ grams, minutes }) => {
    const known = minutes[target];
    return known === null ? [] : [{ grams, minutes: known }];
  });

/**
 * Lays out minutes over weight, a curve for each target.
 *
 * @param cells by rising weight
 * @param size of the drawing, px
 * @returns null where nothing is known of any weight
 */
export function pictureGeometry(
  cells: readonly TimesCell[],
  { width, height }: { readonly width: number; readonly height: number },
): PictureGeometry | null {
  const known = CHARTED.map((target) => ({ target, points: knownOf(cells, target) }));
  const all = known.flatMap(({ points }) => points);
  const [lightest, heaviest] = extent(cells, ({ grams }) => grams);
  if (all.length === 0 || lightest === undefined || heaviest === undefined) return null;
  const [left, right, top, base] = [MARGIN.left, width - MARGIN.right, MARGIN.top, height - MARGIN.bottom];
  const x = scaleLinear([lightest, heaviest], [left, right]).clamp(true);
  const y = scaleLinear([0, Math.max(...all.map(({ minutes }) => minutes))], [base, top]).nice(MINUTE_TICKS);
  const path = line<{ grams: number; minutes: number }>(
    (point) => x(point.grams),
    (point) => y(point.minutes),
  ).curve(curveMonotoneX);
  return {
    x,
    y,
    gramsAt: (at) => x.invert(at),
    range: [lightest, heaviest],
    left,
    right,
    top,
    base,
    weights: x.ticks(WEIGHT_TICKS).map((grams) => ({ grams, x: x(grams) })),
    minutes: y.ticks(MINUTE_TICKS).map((minutes) => ({ minutes, y: y(minutes) })),
    curves: known.flatMap(({ target, points }) => {
      const last = points.at(-1);
      return last ? [{ target, path: path(points) ?? '', end: { x: x(last.grams), y: y(last.minutes) } }] : [];
    }),
  };
}

/**
 * Minutes at a weight between the cells.
 *
 * @returns whole minutes, rounded up as the chart's are; null where they are not known on both sides
 */
export function minutesAt(cells: readonly TimesCell[], target: Charted, grams: number): number | null {
  const after = cells.findIndex((cell) => cell.grams >= grams);
  const high = cells[after];
  const low = cells[Math.max(0, after - 1)];
  const [a, b] = [low?.minutes[target] ?? null, high?.minutes[target] ?? null];
  if (!low || !high || a === null || b === null) return null;
  if (high.grams === low.grams) return b;
  return Math.ceil(a + ((b - a) * (grams - low.grams)) / (high.grams - low.grams) - 1e-9);
}
