import type { Alternative } from '@hervir/core';
import { curveMonotoneX, line, max, scaleLinear, type ScaleLinear } from 'd3';

/** One way of doing the same, as it is drawn: how the collagen goes, and when the heat is off. */
export interface MeltWay {
  readonly key: string;
  readonly curve: Alternative['curve'];
  /** When the minutes under pressure are over, from the lid on. */
  readonly endMinute: number;
}

export interface MeltGeometry {
  readonly x: ScaleLinear<number, number>;
  readonly base: number;
  readonly target: { readonly top: number; readonly bottom: number };
  readonly ways: readonly {
    readonly key: string;
    readonly melted: string;
    readonly end: { readonly x: number; readonly y: number };
    readonly open: { readonly x: number; readonly y: number };
  }[];
}

interface Layout {
  readonly width: number;
  readonly height: number;
  /** The target's band, shares of melted collagen. */
  readonly target: readonly [number, number];
  /** Minutes that the drawing is wide, where several stand side by side on one scale. */
  readonly minutes?: number | undefined;
}

const EDGE = 6;

/** The last minute of any of them. */
export const longestOf = (ways: readonly MeltWay[]): number => max(ways, ({ curve }) => curve.at(-1)?.minute ?? 0) ?? 0;

/**
 * Lays out how the collagen goes by each way, from the lid on until it is open.
 *
 * @param ways one or several on one scale
 * @param layout px, the band to be reached, and how many minutes are wide
 */
export function meltGeometry(ways: readonly MeltWay[], { width, height, target, minutes }: Layout): MeltGeometry {
  const base = height - 1;
  const x = scaleLinear([0, Math.max(1, minutes ?? longestOf(ways))], [EDGE, width - EDGE]);
  const y = scaleLinear([0, 1], [base, EDGE]).clamp(true);
  const path = line<Alternative['curve'][number]>(
    (point) => x(point.minute),
    (point) => y(point.melted ?? 0),
  ).curve(curveMonotoneX);
  return {
    x,
    base,
    target: { top: y(target[1]), bottom: y(target[0]) },
    ways: ways.map(({ key, curve, endMinute }) => {
      const end = curve.find(({ minute }) => minute >= endMinute) ?? curve.at(-1);
      const open = curve.at(-1);
      return {
        key,
        melted: path([...curve]) ?? '',
        end: { x: x(endMinute), y: y(end?.melted ?? 0) },
        open: { x: x(open?.minute ?? 0), y: y(open?.melted ?? 0) },
      };
    }),
  };
}
