import { say, type Text } from '@hervir/language/message';
import type { CookEventKind } from '../clock/cook-events';
import { KEEP_WARM_W, type PotBuild } from '../pot/cooker';
import { SEAR_BASE_C } from '../pot/loading';
import type { Cooker } from '../plan/plan';

/** Steps of a sauté, and of a burner: shares of the full heat. Common practice. */
export const SAUTE_SHARE = { low: 0.25, mid: 0.5, high: 1 } as const;
export type SauteLevel = keyof typeof SAUTE_SHARE;
export const BURNER_SHARE = { off: 0, low: 0.25, medium: 0.5, hold: 1, full: 1 } as const;
export type BurnerLevel = keyof typeof BURNER_SHARE;
/** A thermostat of each level of sauté with nothing wet in the pot, °C. Common practice. */
const THERMOSTAT_C: Readonly<Record<SauteLevel, number>> = { low: 110, mid: 145, high: SEAR_BASE_C };

/** What can be told to a cooker, or done to it by hand. */
export type CookerCommand =
  | { readonly do: 'saute'; readonly level: SauteLevel }
  | { readonly do: 'pressure'; readonly minutes: number }
  | { readonly do: 'cancel' }
  | { readonly do: 'keepWarm'; readonly on: boolean }
  | { readonly do: 'valve'; readonly to: 'open' | 'closed' }
  | { readonly do: 'lid'; readonly to: 'off' | 'on' }
  | { readonly do: 'burner'; readonly level: BurnerLevel };

/** What a cooker tells by a sound or a light. */
export const SIGNALS = [
  'hot',
  'pinUp',
  'counting',
  'ended',
  'pinDown',
  'burn',
  'scorch',
  'lidLocked',
  'lidOpened',
  'valveClosed',
  'valveOpened',
  'cancelled',
  'started',
] as const;
export type Signal = (typeof SIGNALS)[number];

/** Kinds of events that a cooker with electronics tells by itself. */
export const TOLD_BY_COOKER: ReadonlySet<CookEventKind> = new Set(['pinUp', 'timerStarted', 'heaterOff', 'pinDown']);

export type CookerMode = 'off' | 'saute' | 'pressure' | 'keep-warm' | 'burn' | 'burner';

/** What a cooker answers: nothing, or why it does not obey. */
export type Refusal = Text | null;

/**
 * The controls of a cooker without the pot under them: what is pressed, what it shows, how much heat it asks for. An
 * electric one runs its minutes, keeps warm and cuts the power on a hot base; a stovetop one is a burner and a hand.
 */
export class CookerDevice {
  lid: 'off' | 'on' = 'off';
  valve: 'open' | 'closed' = 'open';
  mode: CookerMode = 'off';
  saute: SauteLevel = 'high';
  burner: BurnerLevel = 'off';
  keepWarm: boolean;
  /** Minutes that were set, and how many of them have run; null while they do not count. */
  minutes = 0;
  counted: number | null = null;
  /** No power reaches it. */
  dead = false;
  /** A sauté that gives less than it should. */
  sauteFactor = 1;

  constructor(private readonly cooker: Cooker) {
    this.keepWarm = !cooker.keepWarmOff;
    if (cooker.kind === 'stovetop') this.mode = 'burner';
  }

  get electric(): boolean {
    return this.cooker.kind === 'electric';
  }

  /**
   * Obeys a command, where it makes sense.
   *
   * @param pinIsUp whether there is pressure under the lid
   * @param tell told of what it signals
   * @returns why it does not obey, or null
   */
  obey(command: CookerCommand, pinIsUp: boolean, tell: (signal: Signal) => void): Refusal {
    switch (command.do) {
      case 'lid':
        return this.moveLid(command.to, pinIsUp, tell);
      case 'valve':
        if (command.to === this.valve) return null;
        this.valve = command.to;
        tell(command.to === 'open' ? 'valveOpened' : 'valveClosed');
        return null;
      case 'burner':
        if (this.electric) return say('cooker-device.this-cooker-has-no-burner');
        this.burner = command.level;
        tell(command.level === 'off' ? 'cancelled' : 'started');
        return null;
      case 'cancel':
        if (!this.electric) this.burner = 'off';
        else if (this.mode !== 'off') this.mode = 'off';
        this.counted = null;
        tell('cancelled');
        return null;
      default:
        return this.electric ? this.run(command, tell) : say('cooker-device.a-stovetop-pot-has-no');
    }
  }

  private moveLid(to: 'off' | 'on', pinIsUp: boolean, tell: (signal: Signal) => void): Refusal {
    if (to === this.lid) return null;
    if (to === 'off' && pinIsUp) return say('cooker-device.the-pin-is-up-the');
    this.lid = to;
    tell(to === 'on' ? 'lidLocked' : 'lidOpened');
    return null;
  }

  private run(
    command: Extract<CookerCommand, { do: 'saute' | 'pressure' | 'keepWarm' }>,
    tell: (signal: Signal) => void,
  ): Refusal {
    if (this.dead) return say('cooker-device.there-is-no-power');
    if (command.do === 'keepWarm') {
      this.keepWarm = command.on;
      if (!command.on && this.mode === 'keep-warm') this.mode = 'off';
      return null;
    }
    if (this.mode === 'burn') return say('cooker-device.it-shows-a-burn-error');
    if (command.do === 'saute') {
      if (this.lid === 'on') return say('cooker-device.saute-is-for-the-open');
      this.mode = 'saute';
      this.saute = command.level;
    } else {
      if (this.lid === 'off') return say('cooker-device.the-lid-is-not-locked');
      this.mode = 'pressure';
      this.minutes = command.minutes;
      this.counted = null;
    }
    tell('started');
    return null;
  }

  /** Heat it asks for now, W into the pot. */
  watts(build: PotBuild): number {
    if (this.dead && this.electric) return 0;
    switch (this.mode) {
      case 'saute':
        return build.heaterW * SAUTE_SHARE[this.saute] * this.sauteFactor;
      case 'pressure':
        return build.heaterW * build.lidOnShare;
      case 'keep-warm':
        return KEEP_WARM_W;
      case 'burner':
        return (
          build.heaterW *
          BURNER_SHARE[this.burner] *
          (this.lid === 'on' && this.burner !== 'low' ? build.lidOnShare : 1) *
          (this.lid === 'off' ? this.sauteFactor : 1)
        );
      case 'off':
      case 'burn':
        return 0;
    }
  }

  /** Whether somebody, or something, holds it at working pressure instead of blowing steam off. */
  get regulated(): boolean {
    return this.electric || this.burner === 'hold';
  }

  /** Most that a dry base gets to, °C. */
  get thermostatC(): number {
    if (this.mode === 'saute') return THERMOSTAT_C[this.saute];
    return SEAR_BASE_C;
  }

  /** The minutes begin to count. */
  startCounting(): void {
    this.counted = 0;
  }

  /** The minutes are over. */
  end(): void {
    this.mode = this.keepWarm ? 'keep-warm' : 'off';
    this.counted = null;
  }

  /** The base is too hot: the power is cut, and stays cut until it is cancelled. */
  trip(): void {
    this.mode = 'burn';
    this.counted = null;
  }

  /** The power goes, or comes back: a program is lost. */
  power(on: boolean): void {
    this.dead = !on;
    if (!on && this.electric) {
      this.mode = 'off';
      this.counted = null;
    }
  }

  /** Minutes still to run; null while none count. */
  get leftMinutes(): number | null {
    return this.counted === null ? null : Math.max(0, this.minutes - this.counted);
  }
}
