import type { CurvePoint, Forecast } from '@hervir/core';
import { area, curveMonotoneX, line } from 'd3';
import { clamped, linear, type Linear } from '../linear';
import { AXIS, LANE_HEIGHT, LANES, LEFT, RIGHT } from './frame';

const LOWEST_C = 20;
const HIGHEST_C = 190;

export interface Layout {
  readonly width: number;
  readonly height: number;
  /** Minutes that the drawing is wide; more than the plan's own while its handle is dragged. */
  readonly minutes: number;
}

/** A stretch of the pot's temperature of one colour. */
export interface Stretch {
  readonly key: string;
  readonly hot: boolean;
  readonly fill: string;
  readonly stroke: string;
}

/** The pot's temperature and the meat's tenderness over one clock. */
export interface Curves {
  readonly x: Linear;
  /** °C. */
  readonly y: (celsius: number) => number;
  /** Shares of melted collagen: tenderness has no unit of its own, and climbs over the same height. */
  readonly soft: Linear;
  readonly top: number;
  readonly base: number;
  readonly left: number;
  /** Where the time axis ends. */
  readonly right: number;
  readonly stretches: readonly Stretch[];
  readonly tenderness: string;
  readonly tendernessBand: string;
  readonly core: string;
}

const SAUTE = new Set(['saute', 'open']);

/** Splits the curve where the sauté ends, each part carrying the point it shares with the next. */
function stretchesOf(points: readonly CurvePoint[]): CurvePoint[][] {
  const parts: CurvePoint[][] = [];
  for (const point of points) {
    const part = parts.at(-1);
    const hot = SAUTE.has(point.phase);
    if (part && part[0] && SAUTE.has(part[0].phase) === hot) part.push(point);
    else parts.push(part ? [{ ...(part.at(-1) as CurvePoint), phase: point.phase }, point] : [point]);
  }
  return parts;
}

/**
 * Lays out the curves of an evening: below the lanes, nothing melted at the base.
 *
 * @param forecast what is drawn
 * @param layout how large, and how many minutes wide
 */
export function lineCurves(forecast: Forecast, { width, height, minutes }: Layout): Curves {
  const top = 4 + LANES.length * LANE_HEIGHT + 26;
  const base = height - AXIS;
  const x = linear([0, minutes], [LEFT, width - RIGHT]);
  const y = clamped([LOWEST_C, HIGHEST_C], [base, top]);
  // Tenderness has no unit of its own: it climbs over the same height, nothing melted at the base.
  const soft = linear([0, 1], [base, top + 14]);
  const { curve } = forecast.pot;
  const cooking = curve.filter((point) => point.melted !== null);
  const temperature = line<CurvePoint>(
    (p) => x(p.minute),
    (p) => y(p.liquidC),
  ).curve(curveMonotoneX);
  const filled = area<CurvePoint>(
    (p) => x(p.minute),
    base,
    (p) => y(p.liquidC),
  ).curve(curveMonotoneX);
  return {
    x,
    y,
    soft,
    top,
    base,
    left: LEFT,
    right: width - RIGHT,
    stretches: stretchesOf(curve).map((points, i) => ({
      key: `${i}`,
      hot: SAUTE.has(points.at(-1)?.phase ?? 'open'),
      fill: filled(points) ?? '',
      stroke: temperature(points) ?? '',
    })),
    tenderness:
      line<CurvePoint>(
        (p) => x(p.minute),
        (p) => soft(p.melted ?? 0),
      ).curve(curveMonotoneX)(cooking) ?? '',
    tendernessBand:
      area<CurvePoint>(
        (p) => x(p.minute),
        (p) => soft(p.meltedRange?.[0] ?? 0),
        (p) => soft(p.meltedRange?.[1] ?? 0),
      ).curve(curveMonotoneX)(cooking) ?? '',
    core:
      line<CurvePoint>(
        (p) => x(p.minute),
        (p) => y(p.coreC ?? LOWEST_C),
      ).curve(curveMonotoneX)(cooking) ?? '',
  };
}
