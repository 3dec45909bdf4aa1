import { scaleLinear } from 'd3';
import type { LaneOf } from './lane-items';
import { t } from '../../language/t';

/** A lane is never drawn for fewer minutes than this. */
const SHORTEST = 6;
/** Beyond the stage's own minutes, so that its end can be dragged further. */
const ROOM = 1.4;
/** A window that goes on for hours is not worth the room of all others: of its length so much is shown. */
const LONGEST_SHARE = 2.2;

/** Where a minute of a lane is drawn, in percent of its width. */
export interface LaneScale {
  readonly minutes: number;
  readonly at: (minute: number) => number;
}

/**
 * The minutes that a lane shows, one scale for all that is in it: to a good deal past its end, and past the windows of
 * what goes in.
 *
 * @param lane with its minutes
 * @returns percent of the width for a minute, held within the lane
 * @example laneScale({ minutes: 10, items: [] }).at(7) // 50
 */
export function laneScale({ minutes, items }: Pick<LaneOf, 'minutes' | 'items'>): LaneScale {
  const own = Math.max(minutes ?? 0, ...items.map(({ window }) => window?.minutes ?? 0));
  const edges = items.flatMap(({ window }) => [window?.from ?? 0, window?.to ?? 0]);
  const most = Math.max(
    SHORTEST,
    own * ROOM,
    Math.min(Math.max(0, ...edges) * 1.1, Math.max(SHORTEST, own) * LONGEST_SHARE),
  );
  const scale = scaleLinear([0, most], [0, 100]).clamp(true);
  return { minutes: most, at: (minute) => scale(minute) };
}

/** The bar of a window on its lane, percent; null where nothing of it would be seen. */
export function windowBar(
  scale: LaneScale,
  window: { readonly from: number | null; readonly to: number | null },
): { readonly left: number; readonly width: number } | null {
  if (window.from === null) return null;
  const left = scale.at(window.from);
  const width = scale.at(window.to ?? Number.POSITIVE_INFINITY) - left;
  return width > 0 ? { left, width } : null;
}

/** Whether so many minutes lie in a window. */
export const isWithin = (
  window: { readonly from: number | null; readonly to: number | null },
  minutes: number,
): boolean => window.from !== null && minutes >= window.from - 0.5 && minutes < (window.to ?? Number.POSITIVE_INFINITY);

/** A window in words that are as short as its row: "3–8 min", "from 20 min". */
export function windowWords({ from, to }: { readonly from: number | null; readonly to: number | null }): string {
  if (from === null) return t('bench.never-here');
  if (to === null) return t('bench.from-min', { from: Math.ceil(from) });
  const [first, last] = [Math.ceil(from - 0.5), Math.max(0, Math.floor(to - 1e-6))];
  return first >= last ? t('bench.min-7', { last }) : t('bench.min-8', { first, last });
}
