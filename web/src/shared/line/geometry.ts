import { isMovable, type CurvePoint, type Forecast, type ScheduledTask } from '@hervir/core';
import { clamped, linear, type Linear } from '../linear';
import { area, curveMonotoneX, line } from 'd3';
import { language, t, textOf } from '../../language/t';
import { type Message, printClock, say } from '@hervir/language';

/** The lanes above the curve, top to bottom. */
export const LANES = ['board', 'hands', 'pot', 'side-burner'] as const;
export type Lane = (typeof LANES)[number];

export const LANE_NAMES: Readonly<Record<Lane, Message>> = {
  board: say('shared.board'),
  hands: say('shared.hands'),
  pot: say('shared.pot'),
  'side-burner': say('shared.side'),
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
  readonly x: Linear;
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
  /** The ends of the runs and simmers that follow: each a number that can be dragged. */
  readonly laterHandles: readonly {
    readonly stage: string;
    readonly name: string;
    readonly minutes: number;
    readonly x: number;
    readonly from: number;
  }[];
  readonly pressureLabel: { readonly x: number; readonly y: number };
}

const LEFT = 58;
const RIGHT = 14;
const LANE_HEIGHT = 21;
const AXIS = 21;
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

/** One `case` for every kind of work: what it is drawn as, and what it is called where there is little room. */
function drawnAs({ work, label, resource }: ScheduledTask): {
  readonly tone: Tone;
  readonly label: string;
  readonly sauteing: boolean;
} {
  const as = (tone: Tone, short: string, sauteing = false): ReturnType<typeof drawnAs> => ({
    tone,
    label: short,
    sauteing,
  });
  const handsOn: Tone = resource === 'hands' ? 'ember' : resource === 'side-burner' ? 'brass' : 'ember-soft';
  switch (work.kind) {
    case 'board':
      return work.board === 'meat' ? as('meat', t('told.meat')) : as('herb', t('task.vegetables'));
    case 'later-board':
      return as('herb', textOf(label));
    case 'heat':
      return as('ember-soft', t('shared.heat'));
    case 'sear':
      return as(handsOn, t('shared.sear'), true);
    case 'fry':
      return as('ember-soft', t('shared.aromatics'), true);
    case 'marinade':
    case 'deglaze':
      return as('ember-soft', t('shared.scrape'), true);
    case 'load':
      return as('ember-soft', t('shared.load'));
    case 'come-up':
      return as('steam-soft', t('shared.heating'));
    case 'pressure':
      return as(
        'steam',
        work.run === 1
          ? t('shared.under-pressure')
          : work.run === 2
            ? t('shared.2nd')
            : t('shared.run', { run: work.run }),
      );
    case 'let-down':
      return as('steam-soft', work.run === 1 ? t('shared.let-down') : t('shared.vent'));
    case 'open':
      return as('ember-soft', t('shared.open'));
    case 'fill':
      return as('ember-soft', t('shared.fill'));
    case 'boil':
      return as('steam-soft', t('shared.heating'));
    case 'simmer':
      return as('steam-soft', t('shared.simmer'));
    case 'finish':
      return as(handsOn, t('shared.sauce'));
    case 'rest':
      return as('steam-soft', t('shared.rest'));
    case 'plate':
      return as('ember', t('shared.plate'));
    case 'put-away':
      return work.move === 'ice-bath' ? as('steam-soft', t('shared.in-ice-water')) : as('ember-soft', t('shared.away'));
    case 'day':
      return as(work.move === 'warm' ? 'steam-soft' : handsOn, textOf(label));
    case 'apart':
    case 'cook-apart':
      return as('brass', textOf(label));
    case 'side':
      return as(resource === 'board' ? 'herb' : handsOn, textOf(label));
  }
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
      before.title = `${before.title}; ${textOf(task.label)}`;
      return;
    }
    found.push({ task, last: task, lane, tone, label, title: textOf(task.label), start: task.startMinute, end });
  };
  for (const task of tasks) {
    const { tone, label, sauteing } = drawnAs(task);
    if (task.resource === 'pot') push(task, 'pot', tone, sauteing ? t('shared.saute') : label);
    else push(task, task.resource, tone, label);
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

/** How wide the time axis of a drawing is, px. */
export const axisWidth = (width: number): number => Math.max(0, width - RIGHT - LEFT);

/**
 * Lays out the line: one clock, lanes above, the pot's temperature and the meat's tenderness below.
 *
 * @param forecast what is drawn
 * @param layout how large, and how many minutes wide
 */
export function lineGeometry(forecast: Forecast, { width, height, minutes, target }: Layout): LineGeometry {
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
  const { tasks } = forecast.clock;
  const ofRun = (kind: 'come-up' | 'pressure' | 'let-down', run: number): ScheduledTask | undefined =>
    tasks.find(({ work }) => work.kind === kind && work.run === run);
  const heating = ofRun('come-up', 1)?.startMinute ?? 0;
  const pressure = ofRun('pressure', 1);
  const release = ofRun('let-down', 1);
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
      ...laterPins(forecast).map((pin) => ({ ...pin, x: x(pin.minute) })),
    ],
    handle: { x: x(pressureEnd), from: x(pressure?.startMinute ?? pressureEnd) },
    laterHandles: laterHandles(forecast).map(({ stage, name, minutes, from, to }) => ({
      stage,
      name,
      minutes,
      x: x(to),
      from: x(from),
    })),
    pressureLabel: { x: x(pressure?.startMinute ?? 0) + 4, y: y(forecast.pot.workingC) - 8 },
  };
}

/** When the pin rises and falls again in the runs that follow. */
function laterPins({ clock, pot }: Forecast): { readonly minute: number; readonly up: boolean }[] {
  return clock.tasks.flatMap(({ work, startMinute, minutes }) => {
    if (work.kind !== 'come-up' || work.run === 1) return [];
    const release = clock.tasks.find((task) => task.work.kind === 'let-down' && task.work.run === work.run);
    const up = pot.curve.find((point) => point.minute >= startMinute && point.gaugeKPa > 0);
    return [
      { minute: up?.minute ?? startMinute + minutes, up: true },
      ...(release ? [{ minute: release.startMinute + release.minutes, up: false }] : []),
    ];
  });
}

/** Where the minutes of each later stage begin and end. */
function laterHandles({
  clock,
  stages,
}: Forecast): { stage: string; name: string; minutes: number; from: number; to: number }[] {
  const runs = clock.tasks.filter(({ work }) => work.kind === 'come-up' && work.run > 1);
  return stages.flatMap(({ place, kind, name, minutes }) => {
    if (kind === 'simmer') {
      const task = clock.tasks.find(({ work }) => work.kind === 'simmer' && work.stage === place);
      const from = task?.startMinute;
      return from === undefined
        ? []
        : [{ stage: place, name: name || t('shared.open-simmer'), minutes, from, to: from + minutes }];
    }
    if (kind !== 'pressure') return [];
    const at = stages.filter((one) => one.kind === 'pressure').findIndex((one) => one.place === place);
    const up = runs[at];
    if (!up) return [];
    const from = up.startMinute + up.minutes;
    return [{ stage: place, name: name || t('shared.second-run'), minutes, from, to: from + minutes }];
  });
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
        ? t('shared.min-2', { at })
        : printClock(
            `${String(Math.floor(at / 60) % 24).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`,
            language(),
          );
    ticks.push({ minute: at - begin, label });
  }
  return ticks;
}
