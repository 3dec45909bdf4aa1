import type { Forecast, ScheduledTask } from '@hervir/core';
import { printClock } from '@hervir/language';
import { language, t } from '../../language/t';
import { lineCurves, type Curves, type Layout } from './curves';
import { LANE_HEIGHT } from './frame';
import { laneBlocks, type Block } from './lane-blocks';

export interface LineGeometry extends Curves {
  readonly width: number;
  readonly height: number;
  readonly laneHeight: number;
  readonly blocks: readonly Block[];
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

/**
 * Lays out the line: one clock, lanes above, the pot's temperature and the meat's tenderness below.
 *
 * @param forecast what is drawn
 * @param layout how large, and how many minutes wide
 */
export function lineGeometry(
  forecast: Forecast,
  layout: Layout & {
    /** The target's band, as shares of melted collagen. */
    readonly target: readonly [number, number];
    /** Where temperature is marked, °C. */
    readonly degrees: readonly number[];
  },
): LineGeometry {
  const { width, height, target, degrees } = layout;
  const curves = lineCurves(forecast, layout);
  const { x, y, soft } = curves;
  const { tasks } = forecast.clock;
  const ofRun = (kind: 'come-up' | 'pressure' | 'let-down', run: number): ScheduledTask | undefined =>
    tasks.find(({ work }) => work.kind === kind && work.run === run);
  const heating = ofRun('come-up', 1)?.startMinute ?? 0;
  const pressure = ofRun('pressure', 1);
  const release = ofRun('let-down', 1);
  const pressureEnd = pressure ? pressure.startMinute + pressure.minutes : (release?.startMinute ?? heating);
  const pinDown = release ? release.startMinute + release.minutes : pressureEnd;
  const first = forecast.pot.curve.find((point) => point.melted !== null);
  return {
    ...curves,
    width,
    height,
    laneHeight: LANE_HEIGHT,
    blocks: laneBlocks(tasks, x),
    target: { top: soft(target[1]), bottom: soft(target[0]), from: x(first?.minute ?? 0) },
    temperatures: degrees.map((celsius) => ({ celsius, y: y(celsius) })),
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
