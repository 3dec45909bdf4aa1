import type { CookingBody } from '../../physics/cooking-body';
import type { PortionId } from '../../plan/portions';
import type { Stretch } from '../../pot/pressure-run';
import { grainCookValue, grainWindow, advanceThrough, textureWindow, vegetableRider } from '../../stations/doneness';
import type { Place, Stage, StagedItem } from '../../stations/stages';
import type { Forecast } from './forecast-document';

/** The minutes of its stage in which a vegetable or grain is as it was asked for. */
export interface TextureMinutes {
  readonly portion: PortionId;
  readonly place: Place;
  /** Where it lands: the minutes of its stage, or, in a simmer that waits for it, its own. */
  readonly minutes: number;
  /** First minute at which it is as asked; null where no length of this stage would make it so. */
  readonly from: number | null;
  /** From here on it is past that; null where it never is within {@link LONGEST_MINUTES}. */
  readonly to: number | null;
}

/** No stage is looked at for longer, minutes. */
const LONGEST_MINUTES = 120;

/** What the pot does around a stage: up to its minutes, in them, and after. */
interface Around {
  readonly before: readonly Stretch[];
  readonly holdC: number;
  readonly minutes: number;
  readonly after: readonly Stretch[];
}

/** What follows the heating of a stage. */
const HELD: ReadonlySet<string> = new Set(['pressure', 'simmer', 'let-down']);

type Curve = Forecast['pot']['curve'];

/** °C of the curve at a minute. */
function celsiusAt(curve: Curve, minute: number): number {
  const i = curve.findIndex((point) => point.minute >= minute);
  const [a, b] = [curve[i === -1 ? curve.length - 1 : Math.max(0, i - 1)], curve[i === -1 ? curve.length - 1 : i]];
  if (!a || !b || b.minute === a.minute) return b?.liquidC ?? 0;
  return a.liquidC + ((b.liquidC - a.liquidC) * (minute - a.minute)) / (b.minute - a.minute);
}

/** The curve between two minutes, as stretches. */
function between(curve: Curve, from: number, to: number): Stretch[] {
  const inside = curve.filter(({ minute }) => minute > from && minute < to);
  const points = [
    { minute: from, liquidC: celsiusAt(curve, from), phase: inside[0]?.phase ?? 'open' },
    ...inside,
    { minute: to, liquidC: celsiusAt(curve, to), phase: inside.at(-1)?.phase ?? 'open' },
  ];
  return points.slice(1).flatMap((point, i): Stretch[] => {
    const last = points[i] as (typeof points)[number];
    const seconds = (point.minute - last.minute) * 60;
    const phase = point.phase === 'rest' ? 'open' : point.phase;
    return seconds > 0 ? [{ seconds, fromC: last.liquidC, toC: point.liquidC, phase }] : [];
  });
}

/** What the pot does around a stage of the plan; null where nothing is held there for minutes. */
function aroundOf({ clock, pot, pressureMinutes }: Forecast, stage: Stage): Around | null {
  const { tasks } = clock;
  const filled = tasks.findIndex(({ work }) =>
    stage.kind === 'start' ? work.kind === 'load' : work.kind === 'fill' && work.stage === stage.place,
  );
  const into = tasks[filled];
  const then = tasks.slice(filled + 1);
  const hold = then.find(({ work }) => HELD.has(work.kind));
  if (!into || !hold) return null;
  // A run of no minutes at all is let down as soon as it is up.
  const [start, end] = [hold.startMinute, hold.startMinute + (hold.work.kind === 'let-down' ? 0 : hold.minutes)];
  // From the filled pot on it warms; under pressure it goes on cooking while it is let down.
  const down = hold.work.kind === 'simmer' ? undefined : then.find(({ work }) => work.kind === 'let-down');
  const opens = down ? down.startMinute + down.minutes : end;
  return {
    before: between(pot.curve, into.startMinute + into.minutes, start),
    holdC: celsiusAt(pot.curve, (start + end) / 2),
    minutes: stage.kind === 'start' ? pressureMinutes : stage.minutes,
    after: between(pot.curve, end, opens),
  };
}

const minute = (holdC: number): Stretch => ({ seconds: 60, fromC: holdC, toC: holdC, phase: 'pressure' });

/** Cook value of an item for every whole minute of its stage, from none on, for as long as it is asked. */
function* valuesOf(item: StagedItem, { before, holdC, after }: Around): Generator<number, void, undefined> {
  if (item.vegetable === undefined) {
    const [first, last] = [grainCookValue(before), grainCookValue(after)];
    for (let minutes = 0; ; minutes += 1) yield first + minutes * grainCookValue([minute(holdC)]) + last;
  }
  const body: CookingBody = advanceThrough(vegetableRider(item.vegetable, item.sizeCm), before);
  for (;;) {
    yield advanceThrough(body.clone(), after).meanCookValue();
    advanceThrough(body, [minute(holdC)]);
  }
}

/** The minute, between two whole ones, at which a value is reached; infinite where it is not within the longest. */
function reached(values: readonly number[], wanted: number): number {
  const i = values.findIndex((value) => value >= wanted);
  if (i <= 0) return i === 0 ? 0 : Number.POSITIVE_INFINITY;
  const [a, b] = [values[i - 1] as number, values[i] as number];
  return i - 1 + (wanted - a) / (b - a);
}

function minutesOf(item: StagedItem, stage: Stage, forecast: Forecast): TextureMinutes | null {
  const own = item.minutesBeforeEnd;
  const around =
    own === null
      ? aroundOf(forecast, stage)
      : { before: [], holdC: forecast.pot.boilingC, minutes: own, after: [] as Stretch[] };
  if (!around) return null;
  const [from, to] =
    item.vegetable === undefined ? grainWindow(item.grain ?? '') : textureWindow(item.vegetable, item.wanted);
  const values: number[] = [];
  for (const value of valuesOf(item, around)) {
    values.push(value);
    if (values.length > LONGEST_MINUTES || (value > to && values.length > around.minutes + 1)) break;
  }
  // What it collects after its stage is the same however long that is: it is what the staging knows more than this.
  const more = item.cookValue - (values[Math.round(around.minutes)] ?? 0);
  const [first, last] = [from, to].map((edge) => reached(values, edge - more)) as [number, number];
  return {
    portion: item.portion,
    place: item.place,
    minutes: around.minutes,
    // Past it before its stage has begun: no length would do.
    from: Number.isFinite(first) && last > 0 ? first : null,
    to: Number.isFinite(last) ? last : null,
  };
}

/**
 * In which minutes of its stage each vegetable and grain is as it was asked for, and where it lands: what a stage may be
 * lengthened or shortened to. What goes in off the heat, is folded in, or is there for its flavour has no such minutes.
 *
 * @param forecast with its stages, its curve and its clock
 * @returns one for each item of a run under pressure or a simmer, minutes of that stage
 * Accuracy: the pot is followed on the forecast's own curve, held minutes at one temperature; the edges lie within half a
 * minute of the stages' own cook values (test).
 * @example textureMinutes(forecast(plan)) // []
 */
export function textureMinutes(forecast: Forecast): TextureMinutes[] {
  return forecast.stages.flatMap((stage) =>
    stage.items.flatMap((item) => {
      if (stage.place === 'flavour-only') return [];
      return minutesOf(item, stage, forecast) ?? [];
    }),
  );
}
