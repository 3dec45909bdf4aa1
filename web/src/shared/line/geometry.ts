import { isMovable, type CurvePoint, type Forecast, type ScheduledTask } from '@hervir/core';
import { area, curveMonotoneX, line, scaleLinear, type ScaleLinear } from 'd3';

/** The lanes above the curve, top to bottom. */
export const LANES = ['board', 'hands', 'pot', 'side-burner'] as const;
export type Lane = (typeof LANES)[number];

export const LANE_NAMES: Readonly<Record<Lane, string>> = {
  board: 'Board',
  hands: 'Hands',
  pot: 'Pot',
  'side-burner': 'Side',
};

/** What a block is drawn as: colour and fill follow from it. */
export type Tone = 'herb' | 'meat' | 'ember' | 'ember-soft' | 'steam' | 'steam-soft' | 'brass';

export interface Block {
  readonly key: string;
  readonly lane: Lane;
  readonly x: number;
  readonly width: number;
  readonly label: string;
  /** Whole words of what is done, for a title. */
  readonly title: string;
  readonly tone: Tone;
  /** The task that moves when it is moved; null where it stays where the pot has it. */
  readonly moves: { readonly task: string; readonly earlier: number; readonly startMinute: number } | null;
}

/** A stretch of the pot's temperature of one colour. */
export interface Stretch {
  readonly key: string;
  readonly hot: boolean;
  readonly fill: string;
  readonly stroke: string;
}

export interface LineGeometry {
  readonly x: ScaleLinear<number, number>;
  readonly width: number;
  readonly height: number;
  readonly top: number;
  readonly laneHeight: number;
  readonly base: number;
  readonly left: number;
  /** Where the time axis ends. */
  readonly right: number;
  readonly blocks: readonly Block[];
  readonly stretches: readonly Stretch[];
  readonly tenderness: string;
  readonly tendernessBand: string;
  readonly core: string;
  /** Vertical extent of the target's band. */
  readonly target: { readonly top: number; readonly bottom: number; readonly from: number };
  readonly temperatures: readonly { readonly celsius: number; readonly y: number }[];
  readonly pins: readonly { readonly x: number; readonly up: boolean }[];
  readonly handle: { readonly x: number; readonly from: number };
  readonly pressureLabel: { readonly x: number; readonly y: number };
}

const LEFT = 58;
const RIGHT = 14;
const LANE_HEIGHT = 24;
const AXIS = 26;
const LOWEST_C = 20;
const HIGHEST_C = 190;

interface Layout {
  readonly width: number;
  readonly height: number;
  /** Minutes that the drawing is wide; more than the plan's own while its handle is dragged. */
  readonly minutes: number;
  /** The target's band, as shares of melted collagen. */
  readonly target: readonly [number, number];
}

const SAUTE = new Set(['saute', 'open']);

function toneOf(task: ScheduledTask): Tone {
  if (task.id.startsWith('board-meat')) return 'meat';
  if (task.resource === 'board') return 'herb';
  if (task.resource === 'side-burner') return 'brass';
  switch (task.id) {
    case 'pressure':
    case 'second-pressure':
      return 'steam';
    case 'heating':
    case 'release':
    case 'second-heating':
    case 'second-release':
    case 'simmer-heating':
    case 'simmer':
    case 'rest':
      return 'steam-soft';
    default:
      return task.resource === 'hands' ? 'ember' : 'ember-soft';
  }
}

const SHORT: Readonly<Record<string, string>> = {
  'board-vegetables': 'vegetables',
  'board-meat': 'meat',
  'heat-pot': 'heat',
  aromatics: 'aromatics',
  deglaze: 'scrape',
  load: 'load',
  heating: 'heating',
  pressure: 'under pressure',
  release: 'let down',
  open: 'open',
  rest: 'rest',
  'second-load': 'fill',
  'second-heating': 'heating',
  'second-pressure': '2nd',
  'second-release': 'vent',
  'second-open': 'open',
  'simmer-load': 'fill',
  'simmer-heating': 'heating',
  simmer: 'simmer',
  plate: 'plate',
};

/** Steps that follow on with one meaning have one short name. */
function labelOf({ id, label }: ScheduledTask): string {
  if (id.startsWith('sear-')) return 'sear';
  if (id.startsWith('aromatics')) return 'aromatics';
  if (id.startsWith('finish-')) return 'sauce';
  return SHORT[id] ?? label;
}

interface Run {
  readonly task: ScheduledTask;
  /** The last of what is drawn as one: moved, it takes what comes before it along. */
  last: ScheduledTask;
  readonly lane: Lane;
  readonly tone: Tone;
  label: string;
  title: string;
  start: number;
  end: number;
}

/** Blocks of the lanes; what follows on in one lane with one meaning is drawn as one. */
function runs(tasks: readonly ScheduledTask[]): Run[] {
  const found: Run[] = [];
  const push = (task: ScheduledTask, lane: Lane, tone: Tone, label: string): void => {
    const before = found.filter((run) => run.lane === lane).at(-1);
    const end = task.startMinute + task.minutes;
    if (before && before.label === label && Math.abs(before.end - task.startMinute) < 0.01) {
      before.end = end;
      before.last = task;
      before.title = `${before.title}; ${task.label}`;
      return;
    }
    found.push({ task, last: task, lane, tone, label, title: task.label, start: task.startMinute, end });
  };
  for (const task of tasks) {
    const label = labelOf(task);
    if (task.resource === 'pot') {
      const sauteing = task.id.startsWith('sear-') || task.id.startsWith('aromatics') || task.id === 'deglaze';
      push(task, 'pot', toneOf(task), sauteing ? 'sauté' : label);
    } else {
      push(task, task.resource, toneOf(task), label);
    }
    if (task.handsOn && task.resource === 'pot') push(task, 'hands', 'ember', label);
  }
  return found;
}

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
 * Lays out the line: one clock, lanes above, the pot's temperature and the meat's tenderness below.
 *
 * @param forecast what is drawn
 * @param layout how large, and how many minutes wide
 */
export function lineGeometry(forecast: Forecast, { width, height, minutes, target }: Layout): LineGeometry {
  const top = 4 + LANES.length * LANE_HEIGHT + 26;
  const base = height - AXIS;
  const x = scaleLinear([0, minutes], [LEFT, width - RIGHT]);
  const y = scaleLinear([LOWEST_C, HIGHEST_C], [base, top]).clamp(true);
  // Tenderness has no unit of its own: it climbs over the same height, nothing melted at the base.
  const soft = scaleLinear([0, 1], [base, top + 14]);
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
  const tasks = new Map(forecast.clock.tasks.map((task) => [task.id, task]));
  const heating = tasks.get('heating')?.startMinute ?? 0;
  const pressure = tasks.get('pressure');
  const release = tasks.get('release');
  const pressureEnd = pressure ? pressure.startMinute + pressure.minutes : (release?.startMinute ?? heating);
  const pinDown = release ? release.startMinute + release.minutes : pressureEnd;
  const first = cooking[0];
  return {
    x,
    width,
    height,
    top,
    base,
    left: LEFT,
    right: width - RIGHT,
    laneHeight: LANE_HEIGHT,
    blocks: runs(forecast.clock.tasks).map((run) => ({
      key: `${run.lane}-${run.task.id}`,
      lane: run.lane,
      x: x(run.start),
      width: Math.max(3, x(run.end) - x(run.start)),
      label: run.label,
      title: run.title,
      tone: run.tone,
      moves: isMovable(run.last) ? { task: run.last.id, earlier: run.last.movedMinutes, startMinute: run.start } : null,
    })),
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
    target: { top: soft(target[1]), bottom: soft(target[0]), from: x(first?.minute ?? 0) },
    temperatures: [20, 60, 100, 140, 180].map((celsius) => ({ celsius, y: y(celsius) })),
    pins: [
      { x: x(heating + forecast.pot.minutesToPin), up: true },
      { x: x(pinDown), up: false },
      ...secondPins(forecast, tasks).map((pin) => ({ ...pin, x: x(pin.minute) })),
    ],
    handle: { x: x(pressureEnd), from: x(pressure?.startMinute ?? pressureEnd) },
    pressureLabel: { x: x(pressure?.startMinute ?? 0) + 4, y: y(forecast.pot.workingC) - 8 },
  };
}

/** When the pin rises and falls again in a second run. */
function secondPins(
  forecast: Forecast,
  tasks: ReadonlyMap<string, ScheduledTask>,
): { readonly minute: number; readonly up: boolean }[] {
  const heating = tasks.get('second-heating');
  const release = tasks.get('second-release');
  if (!heating || !release) return [];
  const up = forecast.pot.curve.find((point) => point.minute >= heating.startMinute && point.gaugeKPa > 0);
  return [
    { minute: up?.minute ?? heating.startMinute + heating.minutes, up: true },
    { minute: release.startMinute + release.minutes, up: false },
  ];
}

/** Fits a label to a block: whole, or not at all, for half a word helps nobody. */
export function fitting(label: string, width: number): string {
  return label.length * 6.6 + 10 <= width ? label : '';
}

/**
 * Clock marks along the axis: every so many minutes of the wall clock, not more than fit.
 *
 * @param startAt ISO 8601, or null to count from the start
 * @param minutes how long the line is
 * @param most how many marks fit
 */
export function clockTicks(startAt: string | null, minutes: number, most: number): { minute: number; label: string }[] {
  const step = [5, 10, 15, 30, 60, 120].find((candidate) => minutes / candidate <= most) ?? 240;
  const begin =
    startAt === null
      ? 0
      : Number(startAt.slice(11, 13)) * 60 + Number(startAt.slice(14, 16)) + Number(startAt.slice(17, 19)) / 60;
  const ticks: { minute: number; label: string }[] = [];
  for (let at = Math.ceil(begin / step) * step; at - begin <= minutes; at += step) {
    const label =
      startAt === null
        ? `${at} min`
        : `${String(Math.floor(at / 60) % 24).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
    ticks.push({ minute: at - begin, label });
  }
  return ticks;
}
