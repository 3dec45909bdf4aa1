import { say, type Text } from '@hervir/language/message';
import type { CookEvent, CookEventKind, CookEventPayload } from '../clock/cook-events';
import { cookState, type CookState, type StepState } from '../clock/cook-state';
import type { Guide } from '../clock/guide-step';
import type { Forecast } from '../braise/forecast/forecast-document';
import { gradeOf, meanMelted, TOUGHNESS_CV, type Grade } from '../meat/tenderness';
import { toughnessOf } from '../plan/calibration';
import { guideOf } from '../braise/guide/guide';
import type { Phase } from '../pot/pot-model';
import type { BurnerLevel, CookerCommand, CookerMode, Refusal, SauteLevel, Signal } from './cooker-device';
import { canBeThrownIn, type FaultId } from './faults';
import { moveOf } from '../method/moves';
import { handsBegin, handsEnd } from './hands';
import { EVEN, SimulatedKitchen, type KitchenOdds, type MeatPlace } from './kitchen';
import { seeded, type Random } from '../physics/random';

/** A kitchen's heat against its plate: coefficient of variation. From memory. */
const HEAT_CV = 0.05;
/** What the probe and the scale are wrong by, standard deviations: K and g. Common practice. */
const PROBE_K = 0.15;
const SCALE_G = 1;
/** The grid that time goes by, s: acts fall on it, so that a run is repeated exactly. */
const STEP_S = 2;
/** A frame is told every so many steps, and with every signal. */
const FRAME_STEPS = 2;

/** What the cooker tells of itself at one moment. */
export interface Frame {
  readonly seq: number;
  /** Since the run began, s. */
  readonly atS: number;
  readonly liquidC: number;
  readonly baseC: number;
  readonly coreC: number | null;
  readonly gaugeKPa: number;
  readonly pin: boolean;
  readonly phase: Phase;
  readonly mode: CookerMode;
  readonly level: SauteLevel | BurnerLevel | null;
  readonly watts: number;
  readonly lid: 'off' | 'on';
  readonly valve: 'open' | 'closed';
  readonly keepWarm: boolean;
  /** What its display says; empty on a stovetop pot. */
  readonly display: Text;
  readonly freeMl: number;
  /** Of what can stick, how much is on the base. */
  readonly stuck: number;
  readonly meat: MeatPlace;
  /** How far the faces are browned, minutes at 170 °C; null before the sear. */
  readonly browned: number | null;
  /** Portions in the pot beside the meat. */
  readonly inPot: readonly string[];
  readonly signals: readonly Signal[];
}

/** How a simulated cook is set up: with the same, the same run follows. */
export interface SimulatedSetup {
  readonly seed: number;
  /** Toughness and heat are drawn from the seed instead of being the table's. */
  readonly scatter: boolean;
  /** When it begins, wall clock, ms since 1970. */
  readonly startMs: number;
  /** Faults that are there from the start. */
  readonly faults: readonly FaultId[];
  /** Pressing a step that is not counted takes the minutes it usually takes. */
  readonly handsTakeTime: boolean;
  readonly stepS?: number;
  /** What differs in this kitchen, where it was drawn elsewhere. */
  readonly odds?: Partial<KitchenOdds>;
}

/** What a hand may do whatever the guide says. */
export type HandAct =
  | { readonly do: 'scrape' }
  | { readonly do: 'pour'; readonly ml: number }
  | { readonly do: 'put'; readonly plant: number }
  | { readonly do: 'lift'; readonly plant: number };
/** A base is scraped for so long. Common practice. */
const SCRAPE_MINUTES = 2;

/** The minute of the plan at which the pot comes on. */
export function potMinute(f: Forecast): number {
  const tasks = f.clock.tasks.filter(({ resource }) => resource === 'pot');
  return Math.min(...tasks.map(({ startMinute }) => startMinute));
}

/** What is neither counted nor looked at takes the minutes it usually takes. */
const takesTime = ({ counts, done }: StepState['step']): boolean => !counts && done !== 'checked' && done !== 'served';

/** Log-normal with mean near 1. */
const scattered = (random: Random, cv: number): number => Math.exp(cv * random.normal());

const MODE_WORDS: Readonly<Record<CookerMode, Text>> = {
  off: say('simulated-cook.ready'),
  saute: say('simulated-cook.saute'),
  pressure: say('simulated-cook.coming-up'),
  'keep-warm': say('simulated-cook.warm'),
  burn: say('simulated-cook.burn'),
  burner: '',
};

/** What a signal of the cooker says to the cook's fold. */
const TELLS: Readonly<Partial<Record<Signal, CookEventKind>>> = {
  pinUp: 'pinUp',
  counting: 'timerStarted',
  ended: 'heaterOff',
  pinDown: 'pinDown',
  burn: 'burn',
  lidLocked: 'lidLocked',
  lidOpened: 'lidOpened',
  valveClosed: 'valveClosed',
  valveOpened: 'ventOpened',
  cancelled: 'sauteOff',
  started: 'secondRun',
};
/** Comes by itself, whatever the cook is at. */
const BY_ITSELF: ReadonlySet<Signal> = new Set(['pinUp', 'counting', 'ended', 'pinDown', 'burn']);

/** A guide of an older version names no food: hands take what today's guide of the same plan has at that step. */
function withMoves(guide: Guide, f: Forecast): Guide {
  if (guide.steps.every(({ moves }) => moves.length > 0)) return guide;
  const today = new Map(guideOf(f).steps.map(({ id, moves }) => [id, moves]));
  return {
    ...guide,
    steps: guide.steps.map((step) => (step.moves.length > 0 ? step : { ...step, moves: today.get(step.id) ?? [] })),
  };
}

/**
 * A cook with a simulated cooker: hands follow what is pressed in the guide, the cooker follows its controls, and what
 * it signals goes into the cook's events by itself. Time goes by on a grid; the same setup and the same acts at the same
 * seconds give the same run.
 */
export class SimulatedCook {
  readonly kitchen: SimulatedKitchen;
  readonly frames: Frame[] = [];
  readonly events: CookEvent[] = [];
  private readonly random: Random;
  /** Time goes by in steps of so many seconds. */
  readonly stepS: number;
  private stepped = 0;
  private folded: CookState;
  /** Hands are at it: what the cooker signals then, they know. */
  private byHand = false;
  /** Steps that were said to be done and were not. */
  readonly leftOut: string[] = [];

  readonly guide: Guide;

  /**
   * @param f the plan's forecast
   * @param guide its guide
   * @param setup seed, faults and clock
   */
  constructor(
    readonly f: Forecast,
    guide: Guide,
    readonly setup: SimulatedSetup,
  ) {
    this.guide = withMoves(guide, f);
    this.random = seeded(setup.seed);
    this.stepS = setup.stepS ?? STEP_S;
    const drawn = {
      toughness: scattered(this.random, TOUGHNESS_CV),
      heat: scattered(this.random, HEAT_CV),
    };
    const sizes = new Map(
      f.stages.flatMap(({ items }) => items.map(({ portion, sizeCm }) => [portion, sizeCm] as const)),
    );
    const plan = { ...f.plan, ...f.placed };
    this.kitchen = new SimulatedKitchen(plan, { ...EVEN, ...(setup.scatter ? drawn : {}), ...setup.odds }, sizes);
    for (const id of setup.faults) this.kitchen.setFault(id, true);
    this.folded = cookState(guide, [], setup.startMs);
    this.frame([]);
  }

  /** Since it began, s. */
  get seconds(): number {
    return this.stepped * this.stepS;
  }

  /** Wall clock of the rehearsal, ms since 1970. */
  get nowMs(): number {
    return this.setup.startMs + this.seconds * 1000;
  }

  /** The cook as it stands. */
  get state(): CookState {
    return cookState(this.guide, this.events, this.nowMs);
  }

  /** The step whose turn it is, as of the last event. */
  get now(): StepState | null {
    return this.folded.now;
  }

  /** Mean share of collagen melted in this animal. */
  get melted(): number {
    const { meat, toughness } = this.kitchen;
    return meat ? meanMelted(meat, toughnessOf(this.f.plan) * toughness) : 0;
  }

  /** The meat as it was when the lid came off last. */
  opened: { readonly grade: Grade; readonly melted: number; readonly coreC: number } | null = null;

  /** Minutes under pressure for the meat, the first run and all that were added. */
  get pressureMinutes(): number {
    return this.state.steps
      .filter(
        ({ step, startedAt, doneAt }) =>
          step.run === 1 && moveOf(step.moves, 'hold') !== undefined && startedAt !== null && doneAt !== null,
      )
      .reduce((sum, { startedAt, doneAt }) => sum + ((doneAt ?? 0) - (startedAt ?? 0)) / 60_000, 0);
  }

  /** By how many minutes the valve was opened before its time. */
  get ventedEarly(): number {
    const natural = this.state.steps.find(({ step }) => step.run === 1 && moveOf(step.moves, 'leave') !== undefined);
    if (!natural || natural.startedAt === null || natural.doneAt === null || this.pinFellByItself) return 0;
    return Math.max(0, natural.step.minutes - (natural.doneAt - natural.startedAt) / 60_000);
  }

  private get pinFellByItself(): boolean {
    const down = this.frames.findIndex(({ signals }) => signals.includes('pinDown'));
    return down >= 0 && this.frames[down]?.valve === 'closed';
  }

  /** What a fork finds. */
  get grade(): Grade {
    return gradeOf(this.melted);
  }

  /**
   * Goes on to a moment, step by step.
   *
   * @param seconds since the run began; rounded down to the grid
   */
  advanceTo(seconds: number): void {
    const wanted = Math.floor(seconds / this.stepS + 1e-9);
    while (this.stepped < wanted) {
      this.kitchen.advance(this.stepS);
      this.stepped += 1;
      const signals = this.kitchen.signals();
      this.hear(signals);
      if (signals.length > 0 || this.stepped % FRAME_STEPS === 0) this.frame(signals);
    }
  }

  /** Now, and never the same moment twice: events are told apart by their times. */
  private moment(): string {
    const last = this.events.at(-1);
    const after = last === undefined ? 0 : Date.parse(last.at) + 1;
    return new Date(Math.max(this.nowMs, after)).toISOString();
  }

  /** An event as this run makes it, its id drawn from the seed. */
  private make(kind: CookEventKind, payload: CookEventPayload): CookEvent {
    return { id: this.uuid(), kind, at: this.moment(), payload };
  }

  private uuid(): string {
    const hex = Array.from({ length: 32 }, () => Math.floor(this.random.next() * 16).toString(16));
    hex[12] = '4';
    hex[16] = (8 + Math.floor(this.random.next() * 4)).toString(16);
    return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)]
      .map((part) => part.join(''))
      .join('-');
  }

  /** What the cooker signals becomes an event, where it says something new. */
  private hear(signals: readonly Signal[]): void {
    for (const signal of signals) {
      const kind = TELLS[signal];
      const itself = BY_ITSELF.has(signal);
      if (kind === undefined || this.folded.startedAt === null) continue;
      // A pot without electronics tells nothing: its pin is seen, and pressed.
      if (itself && !this.kitchen.device.electric) continue;
      const { now } = this.folded;
      // While a burnt pot is let down to be cleared, its pin says nothing of the run to come.
      if ((signal === 'pinDown' || signal === 'ended') && now?.step.section === 'load') continue;
      if (!itself && (this.byHand || now === null || (now.step.done !== kind && now.step.otherwise?.done !== kind)))
        continue;
      this.take(this.make(kind, { byCooker: true }));
    }
  }

  /** Adds an event, folds anew, and lets hands begin what has come to its turn. False where it changed nothing. */
  private take(event: CookEvent): boolean {
    const before = this.folded.now?.step.id;
    const next = cookState(this.guide, [...this.events, event], Math.max(this.nowMs, Date.parse(event.at)));
    if (next.ignored.some((one) => one.event === event.id)) return false;
    this.events.push(event);
    this.folded = next;
    const { now } = next;
    if (now && now.step.id !== before) this.work(() => handsBegin(this.kitchen, now.step));
    return true;
  }

  /** Hands do something: what the cooker signals meanwhile is their own doing. */
  private work(what: () => void): void {
    this.byHand = true;
    what();
    const signals = this.kitchen.signals();
    this.hear(signals);
    if (signals.length > 0) this.frame(signals);
    this.byHand = false;
  }

  /** Minutes of the next pressure run, from a step on. */
  private minutesAhead(id: string): number {
    const { steps } = this.folded;
    const from = steps.findIndex(({ step }) => step.id === id);
    return Math.round(steps.slice(from).find(({ step }) => step.done === 'heaterOff')?.minutes ?? 0);
  }

  /**
   * Something was pressed in the guide: hands do it, and what must have been done before it, and it is told.
   *
   * @param event with its step named, where it ends one
   * @param hands whether they really do it: left undone, it is only said to be done
   * @returns why it cannot be done, or null; then nothing was told either
   */
  press(event: CookEvent, hands = true): Refusal {
    const { handsTakeTime } = this.setup;
    const target = this.ended(event);
    const { now } = this.folded;
    if (hands && handsTakeTime && target !== null && now?.step.id === target.step.id && takesTime(now.step)) {
      this.takeTime(now.step.minutes);
    }
    const told = handsTakeTime ? { ...event, at: this.moment() } : event;
    const reason = (handsTakeTime ? this.unseen(event, target) : null) ?? this.reasonAgainst(told);
    if (reason !== null) return reason;
    if (hands && target !== null) {
      const refused = this.handsUpTo(target, event);
      if (refused !== null) return refused;
    } else if (target !== null) {
      this.leftOut.push(target.step.id);
    }
    if (event.kind === 'minutesAdded' && now?.step.done === 'heaterOff') {
      this.kitchen.device.minutes += event.payload.minutes ?? 0;
    }
    this.take(told);
    return null;
  }

  /** In a rehearsal nothing is said that is not so: a pin that is down is not up, and no step is jumped over. */
  private unseen({ kind }: CookEvent, target: StepState | null): Refusal {
    const { pot, device } = this.kitchen;
    if (kind === 'pinUp' && !pot.pinIsUp) return say('simulated-cook.the-pin-is-still-down');
    if (kind === 'pinDown' && pot.pinIsUp) return say('simulated-cook.the-pin-is-still-up');
    if (kind === 'timerStarted' && device.electric && device.counted === null)
      return say('simulated-cook.it-does-not-count-yet');
    const ahead = target !== null && target.step.id !== this.folded.now?.step.id;
    return ahead && target.step.earlyFromMinute === null ? say('simulated-cook.something-before-it-is-not') : null;
  }

  /** The step that an event ends; null where it ends none. */
  private ended({ kind, payload }: CookEvent): StepState | null {
    const { steps, position } = this.folded;
    const ends = ({ step }: StepState): boolean => step.done === kind || step.otherwise?.done === kind;
    const ended =
      payload.step === undefined
        ? steps.slice(position).find(ends)
        : steps.find((one) => one.step.id === payload.step && (ends(one) || kind === 'stepDone'));
    return ended?.doneAt === null && !['checked', 'minutesAdded', 'burn'].includes(kind) ? ended : null;
  }

  /** Hands do every step up to one, that one too. */
  private handsUpTo(target: StepState, { kind }: CookEvent): Refusal {
    const { steps, position } = this.folded;
    let refused: Refusal = null;
    const upTo = steps.findIndex(({ step }) => step.id === target.step.id);
    // A step that may be done before its turn has nothing passed over before it.
    const from = target.step.earlyFromMinute !== null && upTo > position ? upTo : position;
    for (let i = from; i <= upTo && refused === null; i += 1) {
      const step = (steps[i] as StepState).step;
      const otherwise = i === upTo && kind !== step.done && kind === step.otherwise?.done;
      const minutes = this.minutesAhead(step.id);
      this.work(() => {
        if (i > position) handsBegin(this.kitchen, step);
        refused = handsEnd(this.kitchen, this.f, step, { otherwise, minutes });
      });
    }
    return refused;
  }

  /** Why an event would change nothing; null where it would. */
  private reasonAgainst(event: CookEvent): Text | null {
    const at = Math.max(this.nowMs, Date.parse(event.at));
    const { ignored } = cookState(this.guide, [...this.events, event], at);
    return ignored.find((one) => one.event === event.id)?.reason ?? null;
  }

  /**
   * Something was told of a real cook that this run goes along with: hands do what belongs to it. Where the cooker would
   * not have it, the event counts all the same: the cook is the truth.
   */
  follow(event: CookEvent): void {
    if (this.press(event) !== null) this.take(event);
  }

  /** Hands need so long for what is not counted. */
  private takeTime(minutes: number): void {
    const begun = this.folded.now?.startedAt ?? this.nowMs;
    const until = begun + minutes * 60_000;
    if (until > this.nowMs) this.advanceTo((until - this.setup.startMs) / 1000);
  }

  /**
   * Begins where the pot comes on: what is done at the board before that has been done, as planned. Once.
   */
  begin(): void {
    if (this.folded.startedAt !== null) return;
    const fromMinute = potMinute(this.f);
    const plannedMs = this.setup.startMs - fromMinute * 60_000;
    const told = (kind: CookEventKind, atMs: number, payload: CookEventPayload): boolean =>
      this.take({ id: this.uuid(), kind, at: new Date(atMs).toISOString(), payload });
    told('started', plannedMs, {});
    for (const { step } of this.folded.steps) {
      const task = this.f.clock.tasks.find(({ id }) => id === step.task);
      if (step.section !== 'board' || !task) return;
      // What the plan has beside the heating pot is done by then too: in a rehearsal there is nothing to cut.
      const minute = Math.min(fromMinute, task.startMinute + task.minutes);
      told('stepDone', plannedMs + minute * 60_000, { step: step.id });
    }
  }

  /** Says of itself that something was done, as a hand would press it. */
  does(kind: CookEventKind, payload: CookEventPayload): Refusal {
    return this.press(this.make(kind, payload));
  }

  /** Something is done that no step of the guide asks for. */
  hand(act: HandAct): Refusal {
    const { kitchen } = this;
    if (kitchen.device.lid === 'on') return say('simulated-cook.the-lid-is-on');
    const plant = 'plant' in act ? kitchen.plants[act.plant] : undefined;
    switch (act.do) {
      case 'scrape':
        if (kitchen.pot.liquidKgNow <= 0) return say('simulated-cook.nothing-to-scrape-with-pour');
        kitchen.scrape();
        this.advanceTo(this.seconds + SCRAPE_MINUTES * 60);
        kitchen.stopScraping();
        break;
      case 'pour':
        kitchen.pot.pour(act.ml / 1000, kitchen.pot.build.roomC);
        break;
      case 'put':
        if (!plant) return say('simulated-cook.there-is-nothing-like-that');
        if (plant.where !== 'bowl') return say('simulated-cook.it-is-in-already');
        kitchen.put(plant);
        break;
      case 'lift':
        if (plant?.where !== 'pot') return say('simulated-cook.it-is-not-in-the');
        kitchen.lift(plant);
        break;
    }
    this.frame([]);
    return null;
  }

  /** A control of the cooker itself. */
  command(command: CookerCommand): Refusal {
    const refused = this.kitchen.command(command);
    const signals = this.kitchen.signals();
    this.hear(signals);
    this.frame(signals);
    return refused;
  }

  /** A fault is thrown in, or called off. */
  fault(id: FaultId, on: boolean): Refusal {
    if (on && !canBeThrownIn(id, this.folded)) return say('simulated-cook.what-it-would-spoil-is');
    this.kitchen.setFault(id, on);
    this.frame([]);
    return null;
  }

  /** The probe thermometer, held into the meat or into the liquid: only with the lid off. */
  probe(into: 'meat' | 'liquid'): { readonly celsius: number } | { readonly refused: Text } {
    const { kitchen } = this;
    if (kitchen.device.lid === 'on') return { refused: say('simulated-cook.the-lid-is-on') };
    const celsius = into === 'meat' ? kitchen.meat?.coreC : kitchen.pot.temperatureC;
    if (celsius === undefined) return { refused: say('simulated-cook.the-meat-is-not-in') };
    return { celsius: Math.round((celsius + PROBE_K * this.noise()) * 10) / 10 };
  }

  /** The kitchen scale with the boneless meat on it. */
  weigh(): number {
    return Math.max(0, Math.round(this.kitchen.meatGrams + SCALE_G * this.noise()));
  }

  /** What an instrument is wrong by at this moment: reading it changes nothing of the run. */
  private noise(): number {
    return seeded(this.setup.seed + this.stepped).normal();
  }

  private display(): Text {
    const { device } = this.kitchen;
    if (!device.electric) return '';
    if (device.dead) return '';
    const left = device.leftMinutes;
    if (device.mode === 'pressure' && left !== null) {
      const seconds = Math.ceil(left * 60 - 1e-6);
      return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
    }
    return MODE_WORDS[device.mode];
  }

  private frame(signals: readonly Signal[]): void {
    const { kitchen } = this;
    if (signals.includes('lidOpened') && kitchen.meatAt === 'pot' && kitchen.meat) {
      this.opened = { grade: this.grade, melted: this.melted, coreC: kitchen.meat.coreC };
    }
    const { device, pot } = kitchen;
    this.frames.push({
      seq: this.frames.length,
      atS: this.seconds,
      liquidC: round(pot.temperatureC),
      baseC: round(kitchen.baseC),
      coreC: kitchen.meat ? round(kitchen.meat.coreC) : null,
      gaugeKPa: round(kitchen.gaugeKPa),
      pin: pot.pinIsUp,
      phase: kitchen.phase,
      mode: device.mode,
      level: device.mode === 'saute' ? device.saute : device.mode === 'burner' ? device.burner : null,
      watts: Math.round(kitchen.watts),
      lid: device.lid,
      valve: device.valve,
      keepWarm: device.keepWarm,
      display: this.display(),
      freeMl: Math.round(kitchen.freeMl),
      stuck: Math.round(kitchen.stuckShare * 100) / 100,
      meat: kitchen.meatAt,
      browned: kitchen.browned === null ? null : round(kitchen.browned),
      inPot: kitchen.plants.filter(({ where }) => where === 'pot').map(({ portion }) => portion),
      signals,
    });
  }
}

const round = (value: number): number => Math.round(value * 100) / 100;
