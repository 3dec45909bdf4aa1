import type { Alternative } from '@hervir/core';
import { curveMonotoneX, extent, line, max, min, scaleLinear, type ScaleLinear } from 'd3';

type Point = Alternative['curve'][number];

export interface ReleaseGeometry {
  /** Minutes from the lid on. */
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
  readonly base: number;
  readonly ways: readonly {
    readonly key: string;
    readonly chosen: boolean;
    readonly path: string;
    readonly open: { readonly x: number; readonly y: number };
  }[];
}

/** Before the first of them ends so much is shown, and after the last is open, minutes. */
const BEFORE = 6;
const AFTER = 2;
const EDGE = { left: 8, right: 12, top: 10, axis: 20 };

/**
 * Lays out how the pot cools by each way down, from a little before the first heat is off.
 *
 * @param ways the same tenderness by each way
 * @param width px
 * @param height px
 */
export function releaseGeometry(ways: readonly Alternative[], width: number, height: number): ReleaseGeometry {
  const from = (min(ways, ({ endMinute }) => endMinute) ?? 0) - BEFORE;
  const to = (max(ways, ({ curve }) => curve.at(-1)?.minute ?? 0) ?? 0) + AFTER;
  const base = height - EDGE.axis;
  const x = scaleLinear([from, to], [EDGE.left, width - EDGE.right]);
  const shown = ways.map((way) => ({ way, points: way.curve.filter(({ minute }) => minute >= from) }));
  const [low = 90, high = 120] = extent(shown.flatMap(({ points }) => points.map(({ liquidC }) => liquidC)));
  const y = scaleLinear([low - 1, high + 1], [base, EDGE.top]);
  const path = line<Point>(
    ({ minute }) => x(minute),
    ({ liquidC }) => y(liquidC),
  ).curve(curveMonotoneX);
  return {
    x,
    y,
    base,
    ways: shown.map(({ way, points }) => {
      const open = points.at(-1);
      return {
        key: way.release?.method ?? 'natural',
        chosen: way.chosen,
        path: path(points) ?? '',
        open: { x: x(open?.minute ?? 0), y: y(open?.liquidC ?? 0) },
      };
    }),
  };
}
