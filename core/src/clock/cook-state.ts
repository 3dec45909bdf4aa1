import { joined, say, type Text } from '@hervir/language/message';
import type { Grade } from '../meat/tenderness';
import { GRADES } from '../meat/tenderness';
import { moveOf } from '../method/moves';
import type { CookEvent, CookEventKind, Trouble, WEIGHED } from './cook-events';
import type { Alarm, BroughtInBy, Guide, GuideStep, GuideTrack, SectionId } from './guide-step';
import { projected, sourceAt } from './projected';

/** Times of a cook are wall clock, in milliseconds since 1970: deadlines, never counted ticks. */
type Ms = number;

/** A step of the guide with what became of it. */
export interface StepState {
  readonly step: GuideStep;
  /** When its turn came; null while it is ahead. */
  readonly startedAt: Ms | null;
  /** When its turn came, or will if all goes on as planned from now. */
  readonly startsAt: Ms;
  readonly doneAt: Ms | null;
  /** Done before its turn came. */
  readonly earlyAt: Ms | null;
  /** When its minutes are over, from its turn or from what they run from; null while they do not run. */
  readonly dueAt: Ms | null;
  /** Never confirmed: something later happened, so it must have been done. */
  readonly passedOver: boolean;
  /** Ended by what went wrong: what it was to come to did not happen. */
  readonly cutShort: boolean;
  /** Its minutes as they stand now, with what was added. */
  readonly minutes: number;
}

/** One step of a side dish. */
export interface TrackStepState {
  readonly step: GuideTrack['steps'][number];
  readonly startedAt: Ms | null;
  readonly doneAt: Ms | null;
}

/** A side dish under way, waiting or done. */
export interface TrackState {
  readonly id: string;
  readonly name: Text;
  readonly steps: readonly TrackStepState[];
  /** The one whose turn it is; null when all are done. */
  readonly now: TrackStepState | null;
  /** When the next one should begin so that it ends with the meat; null while one runs or all are done. */
  readonly dueAt: Ms | null;
}

/** A countdown. */
export interface Timer {
  readonly id: string;
  readonly label: Text;
  readonly endsAt: Ms;
  readonly alarm: Alarm;
  /** It is up, nobody has said anything about it, and it is not told to wait. */
  readonly rings: boolean;
}

/** An event that changed nothing, and why. */
export interface Ignored {
  readonly event: string;
  readonly reason: Text;
}

/** What a cook is at one moment. */
export interface CookState {
  readonly status: 'waiting' | 'cooking' | 'served' | 'finished';
  readonly startedAt: Ms | null;
  readonly finishedAt: Ms | null;
  readonly steps: readonly StepState[];
  readonly position: number;
  /** The step whose turn it is; null before the start and after the last. */
  readonly now: StepState | null;
  readonly tracks: readonly TrackState[];
  readonly timers: readonly Timer[];
  readonly dinner: { readonly at: Ms; readonly plannedAt: Ms; readonly driftMinutes: number };
  /** Parts of the work that are over: as planned, and as it was. */
  readonly took: readonly { readonly section: SectionId; readonly planned: number; readonly actual: number }[];
  /** What was found last. */
  readonly grade: Grade | null;
  /** What was found at the check that is at hand; null while nothing has been said of it. */
  readonly found: Grade | null;
  /** Burn errors so far. */
  readonly burns: number;
  /** What else went wrong, as it was told. */
  readonly troubles: readonly { readonly event: string; readonly at: Ms; readonly trouble: Trouble }[];
  readonly weights: Readonly<Partial<Record<(typeof WEIGHED)[number], number>>>;
  readonly notes: readonly { readonly event: string; readonly at: Ms; readonly text: string }[];
  /** What undo would take back. */
  readonly last: CookEvent | null;
  readonly ignored: readonly Ignored[];
}

/** What says that a run is over. */
const ENDS: ReadonlySet<CookEventKind> = new Set(['heaterOff', 'pinDown']);

/** What a hand or the cooker does to the pot: seen later than planned steps, it says that those were done too. */
const SEEN: ReadonlySet<CookEventKind> = new Set([
  'sauteOff',
  'lidLocked',
  'valveClosed',
  'pinUp',
  'timerStarted',
  'heaterOff',
  'ventOpened',
  'pinDown',
  'lidOpened',
  'secondRun',
  'served',
]);

/** A pin that sticks is given so much longer, minutes. Common practice. */
const WAIT_FOR_THE_PIN = 10;
/** Quiet for so long after "not yet". */
const NOT_YET_MS = 60_000;
const MINUTE = 60_000;

interface Working {
  step: GuideStep;
  startedAt: Ms | null;
  doneAt: Ms | null;
  passedOver: boolean;
  cutShort: boolean;
  minutes: number;
  /** Done before its turn. */
  earlyAt: Ms | null;
}

const fresh = (step: GuideStep): Working => ({
  step,
  startedAt: null,
  doneAt: null,
  passedOver: false,
  cutShort: false,
  minutes: step.minutes,
  earlyAt: null,
});

/** The step that asks what a piece is like. */
export const isCheck = ({ done }: Pick<GuideStep, 'done'>): boolean => done === 'checked';

/** Makes steps that come in again, told apart by what brought them in. */
const copies =
  (broughtInBy: BroughtInBy, time: number) =>
  (step: GuideStep, minutes = step.minutes): GuideStep => ({
    ...step,
    id: `${broughtInBy}-${time}-${step.id}`,
    broughtInBy,
    minutes,
  });

/** Events in the order they happened; what was taken back is left out, and what took it back. */
export function eventsThatCount(events: readonly CookEvent[]): { kept: CookEvent[]; ignored: Ignored[] } {
  const ordered = events
    .map((event) => ({ event, ms: Date.parse(event.at) }))
    .sort((a, b) => a.ms - b.ms || (a.event.id < b.event.id ? -1 : a.event.id > b.event.id ? 1 : 0));
  const byId = new Map<string, CookEvent>();
  // Sent twice, it happened once: the first of them.
  for (const { event } of ordered) if (!byId.has(event.id)) byId.set(event.id, event);
  const unique = [...byId.values()];
  const gone = new Set<string>();
  const ignored: Ignored[] = [];
  // From the last back: an undo that was itself taken back takes nothing back.
  for (const event of [...unique].reverse()) {
    if (event.kind !== 'undone' || gone.has(event.id)) continue;
    const target = byId.get(event.payload.event ?? '');
    if (!target) ignored.push({ event: event.id, reason: say('cook-state.names-no-event-of-this') });
    else if (target.kind === 'started')
      ignored.push({ event: event.id, reason: say('cook-state.the-start-cannot-be-taken') });
    else if (target.id === event.id)
      ignored.push({ event: event.id, reason: say('cook-state.cannot-take-itself-back') });
    else gone.add(target.id);
  }
  return { kept: unique.filter(({ id, kind }) => kind !== 'undone' && !gone.has(id)), ignored };
}

/** The fold while it runs: steps may be put in, so it works on a copy. */
class Fold {
  readonly steps: Working[];
  readonly tracks: Map<string, { startedAt: Ms | null; doneAt: Ms | null }>;
  readonly quiet = new Map<string, Ms>();
  readonly ignored: Ignored[] = [];
  readonly weights: Partial<Record<(typeof WEIGHED)[number], number>> = {};
  readonly notes: { event: string; at: Ms; text: string }[] = [];
  readonly troubles: { event: string; at: Ms; trouble: Trouble }[] = [];
  position = 0;
  startedAt: Ms | null = null;
  finishedAt: Ms | null = null;
  grade: Grade | null = null;
  found: Grade | null = null;
  burns = 0;
  again = 0;
  last: CookEvent | null = null;

  constructor(readonly guide: Guide) {
    this.steps = guide.steps.map(fresh);
    this.tracks = new Map(
      guide.tracks.flatMap(({ steps }) => steps.map(({ id }) => [id, { startedAt: null, doneAt: null }])),
    );
  }

  get now(): Working | undefined {
    return this.startedAt === null ? undefined : this.steps[this.position];
  }

  /** When the minutes of a step began to run. */
  runsSince({ step, startedAt }: Working): Ms | null {
    return sourceAt(this.steps, step) ?? startedAt;
  }

  deadline(working: Working): Ms | null {
    const since = this.runsSince(working);
    return since === null ? null : since + working.minutes * MINUTE;
  }

  /** Steps whose end nobody needs to press end when their time is up. */
  advance(to: Ms): void {
    for (;;) {
      const { now } = this;
      if (!now?.step.endsByItself) return;
      const deadline = this.deadline(now);
      if (deadline === null || deadline > to) return;
      this.complete(deadline);
    }
  }

  /** Ends the step whose turn it is by what went wrong in it. */
  cutShort(at: Ms): void {
    const { now } = this;
    if (now) now.cutShort = true;
    this.complete(at);
  }

  /** Ends the step whose turn it is, and gives the next its turn. */
  complete(at: Ms, passedOver = false): void {
    const step = this.steps[this.position];
    if (!step) return;
    step.doneAt = Math.max(at, step.startedAt ?? at);
    step.passedOver = passedOver;
    // The next check is asked anew.
    this.found = null;
    this.position += 1;
    const next = this.steps[this.position];
    if (!next) return;
    next.startedAt = step.doneAt;
    if (next.earlyAt !== null) this.complete(next.earlyAt);
  }

  /** Puts steps in before the one at a place. */
  insert(at: number, steps: readonly GuideStep[]): void {
    this.steps.splice(at, 0, ...steps.map(fresh));
  }

  refuse(event: CookEvent, reason: Text): void {
    this.ignored.push({ event: event.id, reason });
  }

  apply(event: CookEvent): void {
    const at = Date.parse(event.at);
    if (event.kind === 'started') {
      if (this.startedAt !== null) return this.refuse(event, say('cook-state.the-cook-has-begun-already'));
      this.startedAt = at;
      const [first] = this.steps;
      if (first) first.startedAt = at;
      return;
    }
    if (this.startedAt === null) return this.refuse(event, say('cook-state.the-cook-has-not-begun'));
    if (this.finishedAt !== null && !['note', 'weighed'].includes(event.kind)) {
      return this.refuse(event, say('cook-state.the-cook-is-finished'));
    }
    this.advance(at);
    const reason = this.change(event, at);
    if (reason === null) this.last = event;
    else this.refuse(event, reason);
  }

  /** Null where the event had its effect; otherwise why not. */
  private change(event: CookEvent, at: Ms): Text | null {
    const { payload } = event;
    switch (event.kind) {
      case 'note':
        this.notes.push({ event: event.id, at, text: payload.text ?? '' });
        return null;
      case 'weighed':
        if (payload.what === undefined || payload.grams === undefined)
          return say('cook-state.says-nothing-of-what-was');
        this.weights[payload.what] = payload.grams;
        return null;
      case 'notYet':
        this.quiet.set(payload.step ?? this.now?.step.id ?? '', at + NOT_YET_MS);
        return null;
      case 'finished':
        this.finishedAt = at;
        return null;
      case 'burn':
        this.burns += 1;
        return this.cleared('burn', this.burns, at);
      case 'wentWrong':
        return this.wentWrong(event, at);
      case 'minutesAdded':
        return this.addMinutes(event, at);
      case 'checked':
        return this.check(event, at);
      case 'stepStarted':
        return this.startTrack(event, at);
      default:
        return this.end(event, at);
    }
  }

  private startTrack({ payload }: CookEvent, at: Ms): Text | null {
    const side = this.tracks.get(payload.step ?? '');
    if (!side) return say('cook-state.names-no-step-of-a');
    if (side.startedAt !== null) return say('cook-state.has-begun-already');
    side.startedAt = at;
    return null;
  }

  /** A side dish goes on by itself from one step to the next. */
  private endTrack(id: string, at: Ms): Text | null {
    const side = this.tracks.get(id);
    if (!side) return say('cook-state.names-no-step-of-this');
    if (side.doneAt !== null) return say('cook-state.is-done-already');
    side.startedAt ??= at;
    side.doneAt = Math.max(at, side.startedAt);
    const track = this.guide.tracks.find(({ steps }) => steps.some((step) => step.id === id));
    const index = track?.steps.findIndex((step) => step.id === id) ?? -1;
    for (const before of track?.steps.slice(0, index) ?? []) {
      const earlier = this.tracks.get(before.id);
      if (!earlier) continue;
      earlier.startedAt ??= at;
      earlier.doneAt ??= at;
    }
    const own = track?.steps[index];
    const next = track?.steps[index + 1];
    // What follows at once begins at once; what has to wait for dinner is begun by hand.
    const follows = own && next && own.beforeDinner - own.minutes - next.beforeDinner < 1;
    const after = next ? this.tracks.get(next.id) : undefined;
    if (follows && after) after.startedAt ??= side.doneAt;
    return null;
  }

  /** Which step an event ends. */
  private target({ kind, payload }: CookEvent): number {
    if (payload.step !== undefined) return this.steps.findIndex(({ step }) => step.id === payload.step);
    const ends = ({ step }: Working): boolean => step.done === kind || step.otherwise?.done === kind;
    const ahead = this.steps.slice(this.position);
    const ended = ahead.findIndex(ends);
    // Without a step named it speaks of the run at hand, not of the next.
    const opened = ahead.findIndex(({ step }) => step.done === 'lidOpened');
    // What ends does not end a run that has not been locked yet: a cooker of no minutes says so when its lid is off again.
    const locked = ENDS.has(kind) ? ahead.findIndex(({ step }) => moveOf(step.moves, 'lock-and-start')) : -1;
    const beyond = (limit: number): boolean => limit >= 0 && ended > limit;
    return ended < 0 || beyond(opened) || beyond(locked) ? -1 : this.position + ended;
  }

  private end(event: CookEvent, at: Ms): Text | null {
    const { kind, payload } = event;
    if (payload.step !== undefined && this.tracks.has(payload.step)) return this.endTrack(payload.step, at);
    const index = this.target(event);
    const target = this.steps[index];
    if (!target)
      return payload.step === undefined
        ? say('cook-state.ends-no-step-that-is')
        : say('cook-state.names-no-step-of-this');
    const { step } = target;
    const other = step.otherwise?.done === kind;
    if (step.done !== kind && !other && !(isCheck(step) && kind === 'stepDone')) {
      return say('cook-state.does-not-end', { title: step.title });
    }
    if (index < this.position || target.earlyAt !== null) return say('cook-state.is-done-already');
    if (index > this.position) {
      if (step.earlyFromMinute !== null) {
        target.earlyAt = at;
        return null;
      }
      if (!SEEN.has(kind)) return say('cook-state.something-before-it-is-not');
      while (this.position < index) this.complete(at, true);
    }
    this.complete(at);
    const skips = other ? (step.otherwise?.skips ?? 0) : step.skips;
    for (let i = 0; i < skips; i += 1) this.complete(at, true);
    return null;
  }

  private check({ payload }: CookEvent, at: Ms): Text | null {
    if (payload.grade === undefined) return say('cook-state.says-no-grade');
    if (!this.now || !isCheck(this.now.step)) return say('cook-state.the-lid-is-not-off');
    this.grade = payload.grade;
    this.found = payload.grade;
    if (GRADES.indexOf(payload.grade) >= GRADES.indexOf(this.guide.wanted)) this.complete(at);
    return null;
  }

  /** One more minute for what runs; or the lid back on after a check. */
  private addMinutes({ payload }: CookEvent, at: Ms): Text | null {
    const minutes = payload.minutes ?? 0;
    const { now } = this;
    const wanted = payload.step === undefined ? now : this.steps.find(({ step }) => step.id === payload.step);
    if (!wanted || wanted.doneAt !== null) return say('cook-state.the-step-it-speaks-of');
    if (payload.again === undefined) {
      // A minute more is a minute from now, also where it has been up for a while.
      const over = minutes > 0 ? Math.max(0, minutesOf(at - (this.deadline(wanted) ?? at))) : 0;
      wanted.minutes = Math.max(0, wanted.minutes + over + minutes);
      this.quiet.delete(wanted.step.id);
      return null;
    }
    if (wanted !== now || !isCheck(now.step)) return say('cook-state.the-lid-is-not-off');
    this.again += 1;
    const { lock, pin, pressure, vent, pinDown, open, check } = this.guide.again;
    const own = copies('again', this.again);
    const { reheatMinutes, releaseMinutes } = payload.again;
    this.insert(this.position + 1, [
      own(lock),
      own(pin, reheatMinutes),
      own(pressure, minutes),
      own(vent),
      own(pinDown, Math.max(0, releaseMinutes - vent.minutes)),
      own(open),
      own(check),
    ]);
    this.complete(at);
    return null;
  }

  /** Something else went wrong: what it changes of the steps to come; everything is kept as it was told. */
  private wentWrong({ id, payload: { trouble } }: CookEvent, at: Ms): Text | null {
    if (trouble === undefined) return say('cook-state.does-not-say-what-went');
    this.troubles.push({ event: id, at, trouble });
    const time = this.troubles.length;
    switch (trouble) {
      case 'boils-dry':
        return this.cleared(trouble, time, at);
      case 'power-cut':
        return this.interrupted(trouble, time, this.guide.again.powerBack, at);
      case 'pin-will-not-rise': {
        const comesUp = this.now !== undefined && moveOf(this.now.step.moves, 'come-up') !== undefined;
        return comesUp ? this.interrupted(trouble, time, this.guide.again.seeTo, at) : null;
      }
      case 'pin-will-not-fall':
        return this.waitsLonger(at);
      default:
        return null;
    }
  }

  /** The pot loses its heat, or is opened, on its way up or under pressure: mended, it comes up again for the rest. */
  private interrupted(by: BroughtInBy, time: number, mended: GuideStep | undefined, at: Ms): string | null {
    const { now } = this;
    if (!now || !mended) return null;
    const own = copies(by, time);
    if (moveOf(now.step.moves, 'come-up')) {
      this.insert(this.position + 1, [own(mended), own(now.step, now.step.minutes)]);
      this.cutShort(at);
    } else if (moveOf(now.step.moves, 'hold')) {
      const left = leftOf(now, at);
      const { pin, pressure } = this.guide.again;
      this.insert(this.position + 1, [own(mended), own(pin, this.guide.heatingMinutes), own(pressure, left)]);
      this.cutShort(at);
    }
    return null;
  }

  /** A pin that stays up is waited for. */
  private waitsLonger(at: Ms): string | null {
    const { now } = this;
    if (!now || !(moveOf(now.step.moves, 'leave') ?? moveOf(now.step.moves, 'pin-falls'))) return null;
    now.minutes = minutesOf(at - (this.runsSince(now) ?? at)) + WAIT_FOR_THE_PIN;
    this.quiet.delete(now.step.id);
    return null;
  }

  /** A burnt base under the lid: cleared, locked and brought up again for what was left of the minutes. */
  private cleared(by: BroughtInBy, time: number, at: Ms): Text | null {
    const { now } = this;
    if (!now) return say('cook-state.the-cook-has-not-begun');
    const closed = moveOf(now.step.moves, 'come-up') !== undefined || moveOf(now.step.moves, 'hold') !== undefined;
    const pressure = this.steps.findIndex(({ step }, i) => i >= this.position && step.done === 'heaterOff');
    if (!closed || pressure < 0) return null;
    const left = leftOf(this.steps[pressure] as Working, at);
    const own = copies(by, time);
    const { clear, lock, pin, pressure: hold } = this.guide.again;
    this.insert(pressure + 1, [own(clear), own(lock), own(pin, this.guide.heatingMinutes), own(hold, left)]);
    while (this.position <= pressure) {
      if (this.now === now) this.cutShort(at);
      else this.complete(at, true);
    }
    return null;
  }
}

const minutesOf = (ms: Ms): number => ms / MINUTE;

/** What is left of a step's minutes, whole ones: all of them where its turn has not come. */
const leftOf = ({ startedAt, minutes }: Working, at: Ms): number =>
  Math.max(0, Math.round(minutes - minutesOf(at - (startedAt ?? at))));

function trackStates(fold: Fold, dinner: Ms): TrackState[] {
  return fold.guide.tracks.map(({ id, name, steps }) => {
    const states = steps.map((step): TrackStepState => {
      const { startedAt, doneAt } = fold.tracks.get(step.id) ?? { startedAt: null, doneAt: null };
      return { step, startedAt, doneAt };
    });
    const now = states.find(({ doneAt }) => doneAt === null) ?? null;
    const dueAt = now && now.startedAt === null ? dinner - now.step.beforeDinner * MINUTE : null;
    return { id, name, steps: states, now, dueAt };
  });
}

/** When a side dish would be ready. */
function trackEnd({ steps, now, dueAt }: TrackState, at: Ms): Ms {
  if (now === null) return 0;
  const rest = steps.slice(steps.indexOf(now) + 1).reduce((sum, { step }) => sum + step.minutes, 0);
  const begun = now.startedAt ?? Math.max(at, dueAt ?? at);
  return Math.max(at, begun + now.step.minutes * MINUTE) + rest * MINUTE;
}

function timersOf(fold: Fold, tracks: readonly TrackState[], now: Ms): Timer[] {
  const timers: Timer[] = [];
  const add = (id: string, label: Text, endsAt: Ms, alarm: Alarm): void => {
    const quietUntil = fold.quiet.get(id) ?? 0;
    timers.push({ id, label, endsAt, alarm, rings: alarm !== 'none' && now >= Math.max(endsAt, quietUntil) });
  };
  fold.steps.forEach((working, i) => {
    const { step } = working;
    if (i < fold.position || (i > fold.position && step.runsFrom === null)) return;
    const endsAt = fold.deadline(working);
    if (endsAt === null || (!step.counts && step.alarm === 'none')) return;
    add(step.id, step.title, endsAt, step.alarm);
  });
  for (const { name, now: at, dueAt } of tracks) {
    if (!at) continue;
    if (at.startedAt !== null)
      add(at.step.id, joined([name, at.step.title], ': '), at.startedAt + at.step.minutes * MINUTE, 'turn');
    else if (dueAt !== null && now >= dueAt) add(at.step.id, joined([name, at.step.title], ': '), dueAt, 'turn');
  }
  return timers.sort((a, b) => a.endsAt - b.endsAt);
}

/**
 * Minutes of each step as planned, each begun as soon as the one before it is done: of one whose minutes run from an
 * earlier one, what is left of them then.
 */
function plannedMinutes(steps: readonly GuideStep[]): number[] {
  const ends = new Map<string, number>();
  let at = 0;
  return steps.map(({ id, minutes, runsFrom, earlyFromMinute }) => {
    const begun = at;
    const since = runsFrom === null ? undefined : ends.get(runsFrom);
    at = Math.max(begun, (since ?? begun) + minutes);
    ends.set(id, earlyFromMinute ?? at);
    return at - begun;
  });
}

function tookOf(steps: readonly Working[]): CookState['took'] {
  const took = new Map<SectionId, { planned: number; actual: number }>();
  const planned = plannedMinutes(steps.map(({ step }) => step));
  steps.forEach(({ step, startedAt, doneAt, passedOver }, i) => {
    if (startedAt === null || doneAt === null || passedOver) return;
    const sum = took.get(step.section) ?? { planned: 0, actual: 0 };
    // What was brought in was not planned.
    sum.planned += step.broughtInBy === null ? (planned[i] ?? 0) : 0;
    sum.actual += minutesOf(doneAt - startedAt);
    took.set(step.section, sum);
  });
  return [...took].map(([section, sum]) => ({ section, ...sum }));
}

/**
 * What a cook is, from all that happened in it: one pure fold, used by the server and the web alike. Events may come
 * twice, out of order, or make no sense: those change nothing and are named with the reason.
 *
 * @param guide the steps of the plan, as they were when the cook began
 * @param events in any order
 * @param nowMs wall clock, ms since 1970
 * @returns the state at that moment; times in ms since 1970
 * @throws RangeError when an event's time is no time
 * @example cookState(guide, [], 0).status // 'waiting'
 */
export function cookState(guide: Guide, events: readonly CookEvent[], nowMs: Ms): CookState {
  for (const { at } of events)
    if (Number.isNaN(Date.parse(at))) throw new RangeError(`event time "${at}" is not ISO 8601`);
  const fold = new Fold(guide);
  const { kept, ignored } = eventsThatCount(events);
  for (const event of kept) fold.apply(event);
  if (fold.finishedAt === null) fold.advance(nowMs);
  const begun = fold.startedAt ?? nowMs;
  const over = fold.startedAt !== null && fold.position >= fold.steps.length;
  const servedAt = fold.steps.at(-1)?.doneAt ?? nowMs;
  const ahead = projected(fold, nowMs);
  const main = over ? servedAt : ahead.end;
  const tracks = trackStates(fold, main);
  const at = over ? main : Math.max(main, ...tracks.map((track) => trackEnd(track, nowMs)));
  const plannedAt = guide.eatAt === null ? begun + guide.totalMinutes * MINUTE : Date.parse(guide.eatAt);
  const running = fold.startedAt !== null && fold.finishedAt === null;
  const stepStates = fold.steps.map((working, i): StepState => {
    const { step, startedAt, doneAt, earlyAt, passedOver, cutShort, minutes } = working;
    const startsAt = ahead.starts[i] ?? main;
    const dueAt = fold.deadline(working);
    return { step, startedAt, startsAt, doneAt, earlyAt, dueAt, passedOver, cutShort, minutes };
  });
  return {
    status: fold.finishedAt !== null ? 'finished' : over ? 'served' : fold.startedAt === null ? 'waiting' : 'cooking',
    startedAt: fold.startedAt,
    finishedAt: fold.finishedAt,
    steps: stepStates,
    position: fold.position,
    now: (fold.startedAt === null ? undefined : stepStates[fold.position]) ?? null,
    tracks,
    timers: running && !over ? timersOf(fold, tracks, nowMs) : [],
    dinner: { at, plannedAt, driftMinutes: minutesOf(at - plannedAt) },
    took: tookOf(fold.steps),
    grade: fold.grade,
    found: fold.found,
    burns: fold.burns,
    troubles: fold.troubles,
    weights: fold.weights,
    notes: fold.notes,
    last: fold.last,
    ignored: [...ignored, ...fold.ignored],
  };
}
