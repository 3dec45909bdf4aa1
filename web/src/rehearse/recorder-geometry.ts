import type { Frame } from '@hervir/core';
import { line, scaleLinear } from 'd3';

/** A line of the recorder. */
export interface Trace {
  readonly key: 'liquid' | 'base' | 'core' | 'gauge';
  readonly path: string;
  /** Where its last point lies, px. */
  readonly end: readonly [number, number] | null;
}

/** A signal of the cooker, marked on the strip. */
export interface SignalMark {
  readonly x: number;
  readonly signal: string;
}

/** The strip in px. */
export interface Strip {
  /** Between these the lines are drawn. */
  readonly left: number;
  readonly right: number;
  readonly traces: readonly Trace[];
  readonly cutoutY: number;
  readonly marks: readonly SignalMark[];
  readonly minutes: readonly { readonly x: number; readonly minute: number }[];
  readonly degrees: readonly { readonly y: number; readonly celsius: number }[];
  readonly floor: number;
  readonly gaugeTop: number;
}

const PADDING = { left: 36, right: 62, top: 12, bottom: 20 };
/** The gauge has a strip of its own below the temperatures, px. */
const GAUGE = 34;
const GAP = 8;
/** More points than this are not seen. */
const MOST_POINTS = 700;
/** A word of the time axis has so much room, px. */
const TICK = 56;
const LOWEST_C = 0;
/** Signals that say something on a strip. */
const MARKED = new Set(['pinUp', 'counting', 'ended', 'pinDown', 'burn', 'scorch', 'lidLocked', 'lidOpened']);

/**
 * Puts words beside one another into rows, so that none lies over another.
 *
 * @param spans where each word begins and ends, px, in the order in which they are placed
 * @param rows so many there are
 * @returns the row of each, the lowest free one; null for a word that finds no room
 * @example wordRows([[0, 40], [30, 70], [35, 75]], 2) // [0, 1, null]
 */
export function wordRows(spans: readonly (readonly [number, number])[], rows: number): (number | null)[] {
  const taken: (readonly [number, number])[][] = Array.from({ length: rows }, () => []);
  return spans.map(([from, to]) => {
    const row = taken.findIndex((words) => words.every(([start, end]) => to <= start || from >= end));
    if (row < 0) return null;
    taken[row]?.push([from, to]);
    return row;
  });
}

/** Every so many frames one is drawn, the last always. */
function thinned(frames: readonly Frame[]): Frame[] {
  const every = Math.max(1, Math.ceil(frames.length / MOST_POINTS));
  return frames.filter(({ signals }, i) => i % every === 0 || i === frames.length - 1 || signals.includes('burn'));
}

/**
 * Lays the recorder's strip out: temperatures of liquid, base and core against the cut-out, and the gauge below.
 *
 * @param frames telemetry in order, at least one
 * @param options size in px, where the power is cut and where temperature is marked, °C
 * @example strip(frames, { width: 800, height: 220, cutoutC: 145, highestKPa: 72, degrees: [100] }).traces.length // 4
 */
export function strip(
  frames: readonly Frame[],
  options: {
    readonly width: number;
    readonly height: number;
    readonly cutoutC: number;
    readonly highestKPa: number;
    readonly degrees: readonly number[];
  },
): Strip {
  const { width, height, cutoutC, highestKPa } = options;
  const points = thinned(frames);
  const from = frames[0]?.atS ?? 0;
  const to = Math.max(from + 600, frames.at(-1)?.atS ?? 0);
  const x = scaleLinear([from, to], [PADDING.left, width - PADDING.right]);
  const floor = height - PADDING.bottom;
  const gaugeTop = floor - GAUGE;
  const highest = Math.max(cutoutC + 15, ...points.map(({ baseC }) => baseC));
  const y = scaleLinear([LOWEST_C, highest], [gaugeTop - GAP, PADDING.top]).clamp(true);
  const p = scaleLinear([0, Math.max(1, highestKPa)], [floor, gaugeTop]);
  const trace = (key: Trace['key'], at: (frame: Frame) => number | null): Trace => {
    const there = points.filter((frame) => at(frame) !== null);
    const last = there.at(-1);
    const draw = line<Frame>()
      .x((frame) => x(frame.atS))
      .y((frame) => at(frame) as number);
    return {
      key,
      path: draw(there) ?? '',
      end: last === undefined ? null : [x(last.atS), at(last) as number],
    };
  };
  const span = (to - from) / 60;
  const most = Math.min(9, Math.floor((width - PADDING.left - PADDING.right) / TICK));
  const step = [5, 10, 15, 30, 60, 120].find((minutes) => span / minutes <= most) ?? 240;
  const first = Math.ceil(from / 60 / step) * step;
  return {
    left: PADDING.left,
    right: width - PADDING.right,
    traces: [
      trace('gauge', ({ gaugeKPa }) => p(gaugeKPa)),
      trace('core', ({ coreC }) => (coreC === null ? null : y(coreC))),
      trace('liquid', ({ liquidC }) => y(liquidC)),
      trace('base', ({ baseC }) => y(baseC)),
    ],
    cutoutY: y(cutoutC),
    marks: frames.flatMap(({ atS, signals }) =>
      signals.filter((signal) => MARKED.has(signal)).map((signal) => ({ x: x(atS), signal })),
    ),
    minutes: Array.from({ length: Math.floor((to / 60 - first) / step) + 1 }, (_, i) => {
      const minute = first + i * step;
      return { x: x(minute * 60), minute };
    }),
    degrees: options.degrees.filter((celsius) => celsius < highest).map((celsius) => ({ y: y(celsius), celsius })),
    floor,
    gaugeTop,
  };
}
