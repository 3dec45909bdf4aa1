import type { AsCooked, CookState, CurvePoint, Forecast, Guide, SoFar } from '@hervir/core';
import { area, curveMonotoneX, line, scaleLinear, type ScaleLinear } from 'd3';

/** A point of the line in wall-clock time. */
interface At {
  readonly at: number;
  readonly liquidC: number;
  readonly melted: number | null;
  readonly hot: boolean;
}

export interface CookLineGeometry {
  readonly x: ScaleLinear<number, number>;
  readonly base: number;
  readonly from: number;
  readonly to: number;
  /** What is done, as it really was. */
  readonly past: readonly {
    readonly key: string;
    readonly hot: boolean;
    readonly fill: string;
    readonly stroke: string;
  }[];
  /** What is ahead, as it would be. */
  readonly ahead: string;
  readonly tenderness: string;
  readonly tendernessAhead: string;
  readonly target: { readonly top: number; readonly bottom: number; readonly from: number };
}

const MINUTE = 60_000;
const AXIS = 22;
const LOWEST_C = 15;
const HIGHEST_C = 195;

/**
 * Where a minute of the plan came to lie, or will: between the beginnings of its steps the plan's time is stretched.
 *
 * @param guide the plan's steps
 * @param state the cook
 */
export function warp(guide: Guide, state: CookState): (minute: number) => number {
  // Nothing lies before the cook began, also where its first step was not waited for.
  const planned: number[] = state.startedAt === null ? [] : [0];
  const actual: number[] = state.startedAt === null ? [] : [state.startedAt];
  let minute = 0;
  for (const step of guide.steps) {
    const own = state.steps.find((one) => one.step.id === step.id);
    minute += step.waitMinutes;
    if (own) {
      planned.push(minute);
      actual.push(own.startsAt);
    }
    if (step.runsFrom === null) minute += step.minutes;
  }
  planned.push(minute);
  actual.push(state.dinner.at);
  return scaleLinear(planned, actual);
}

const isHot = ({ phase }: CurvePoint): boolean => phase === 'saute' || phase === 'open';

/** The line of a cook: the plan's curve where it came to lie, and under the lid what the pot really went through. */
function pointsOf(f: Forecast, guide: Guide, state: CookState, meat: AsCooked | null, so: SoFar | null): At[] {
  const place = warp(guide, state);
  const planned = f.pot.curve.map((point): At => ({
    at: place(point.minute),
    liquidC: point.liquidC,
    melted: point.melted,
    hot: isHot(point),
  }));
  if (!meat || !so) return planned;
  const begin = so.lidOnAt;
  const end = begin + so.until * MINUTE;
  const real = meat.curve.map((point): At => ({
    at: begin + point.minute * MINUTE,
    liquidC: point.liquidC,
    melted: point.melted,
    hot: false,
  }));
  // What is ahead goes on from where the meat really is.
  const there = planned.find(({ at, melted }) => at >= end && melted !== null)?.melted ?? meat.melted;
  const shift = meat.melted - there;
  return [
    ...planned.filter(({ at }) => at < begin),
    ...real,
    ...planned
      .filter(({ at }) => at > end)
      .map((point) => ({
        ...point,
        melted: point.melted === null ? null : Math.min(1, Math.max(meat.melted, point.melted + shift)),
      })),
  ];
}

interface Layout {
  readonly width: number;
  readonly height: number;
  readonly now: number;
  readonly target: readonly [number, number];
}

/**
 * Lays out the line of a running cook.
 *
 * @param given the plan's forecast and guide, the cook, and what the pot went through so far
 * @param layout how large, when it is, and the band to be reached
 */
// oxlint-disable-next-line max-lines-per-function -- one drawing from one scale
export function cookLine(
  given: {
    readonly forecast: Forecast;
    readonly guide: Guide;
    readonly state: CookState;
    readonly meat: AsCooked | null;
    readonly so: SoFar | null;
  },
  { width, height, now, target }: Layout,
): CookLineGeometry {
  const { forecast, guide, state, meat, so } = given;
  const from = state.startedAt ?? now;
  const to = Math.max(state.dinner.at, now) + 4 * MINUTE;
  const base = height - AXIS;
  const x = scaleLinear([from, to], [8, width - 8]);
  const y = scaleLinear([LOWEST_C, HIGHEST_C], [base, 6]).clamp(true);
  const soft = scaleLinear([0, 1], [base, 12]);
  const points = pointsOf(forecast, guide, state, meat, so);
  const past = points.filter(({ at }) => at <= now);
  const ahead = points.filter(({ at }) => at >= now);
  const runs: At[][] = [];
  for (const point of past) {
    const run = runs.at(-1);
    if (run?.[0] && run[0].hot === point.hot) run.push(point);
    else runs.push(run ? [{ ...(run.at(-1) as At), hot: point.hot }, point] : [point]);
  }
  const stroke = line<At>(
    ({ at }) => x(at),
    ({ liquidC }) => y(liquidC),
  ).curve(curveMonotoneX);
  const fill = area<At>(
    ({ at }) => x(at),
    base,
    ({ liquidC }) => y(liquidC),
  ).curve(curveMonotoneX);
  const tender = line<At>(
    ({ at }) => x(at),
    ({ melted }) => soft(melted ?? 0),
  ).curve(curveMonotoneX);
  const cooking = (list: readonly At[]): At[] => list.filter(({ melted }) => melted !== null);
  const joined = (list: At[]): At[] => (past.length > 0 ? [past.at(-1) as At, ...list] : list);
  return {
    x,
    base,
    from,
    to,
    past: runs.map((run, i) => ({
      key: `${i}`,
      hot: run.at(-1)?.hot === true,
      fill: fill(run) ?? '',
      stroke: stroke(run) ?? '',
    })),
    ahead: stroke(joined(ahead)) ?? '',
    tenderness: tender(cooking(past)) ?? '',
    tendernessAhead: tender(cooking(joined(ahead))) ?? '',
    target: {
      top: soft(target[1]),
      bottom: soft(target[0]),
      from: x(points.find(({ melted }) => melted !== null)?.at ?? from),
    },
  };
}
