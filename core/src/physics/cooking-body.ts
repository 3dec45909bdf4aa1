import type { HeatBody } from './conduction/heat-body';
import { ThawingBrick } from './conduction/thawing';
import { tabulatedExp } from './tabulated-exp';
import { COOK_Z_C, cookRate, straightCookValue } from './cook-value';
import { SAFE_C } from './food-safety';

/** Modes a direction: 4 keep the cook value within 1 %, and a cooked piece's within 0.1 %; 6 keep the middle within 0.2 K. */
export const MODES = 4;
export const MODES_OF_MIDDLE = 6;
const LN10_PER_Z = Math.LN10 / COOK_Z_C;

/** Pieces of which only the heat they take is asked. */
class Beneath {
  constructor(
    private readonly body: HeatBody,
    private readonly capacityJPerK: number,
  ) {}

  get longestStep(): number {
    return this.body.longestStep;
  }

  heatK(): number {
    return this.body.heatK();
  }

  heatJ(): number {
    return this.capacityJPerK * this.body.heatK();
  }

  response(seconds: number, surroundingsC: number): { steady: number; perRamp: number } {
    const { steady, perRamp } = this.body.meanResponse(seconds, surroundingsC);
    return { steady: this.capacityJPerK * steady, perRamp: this.capacityJPerK * perRamp };
  }

  advance(seconds: number, fromC: number, toC: number): void {
    this.body.advance(seconds, fromC, toC);
  }

  clone(): Beneath {
    return new Beneath(this.body.clone(), this.capacityJPerK);
  }

  withSurface(surface: number): Beneath {
    return new Beneath(this.body.withSurface(surface), this.capacityJPerK);
  }
}

/**
 * A body that keeps its cook value at every node as it heats: the whole idea of the reckoning in one object. Between
 * two steps each node's temperature is taken as a straight line and its rate integrated exactly.
 */
export class CookingBody {
  private temperatures: Float64Array;
  private rates: Float64Array;
  private next: Float64Array;
  private elapsed = 0;
  private safeAt: number | null = null;
  private coreNow: number;
  private coreSum = 0;
  /** Minutes at 100 °C at each node. */
  cookValues: Float64Array;
  /**
   * Of loose pieces that are piled higher than the liquid: those beneath. The body itself is then the uppermost layer, which
   * has steam only when there is some to spare: it has had least, and decides. Null where all lie alike.
   */
  beneath: Beneath | null = null;
  /** Piled above the liquid, and not yet in steam that wants nothing from it. */
  inAir = false;

  /**
   * @param body its conduction, at its start
   * @param capacityJPerK heat capacity of all the pieces it stands for together
   * @param loose more than one piece: they can be piled
   * @param middle a finer solution of the same body, where the temperature of its middle is to be shown
   */
  constructor(
    private heated: HeatBody,
    private capacityJPerK: number,
    private middle: HeatBody = heated,
    readonly loose = false,
  ) {
    const count = heated.nodeCount;
    this.cookValues = new Float64Array(count);
    this.temperatures = heated.field(new Float64Array(count));
    this.rates = this.temperatures.map(cookRate);
    this.next = new Float64Array(count);
    this.coreNow = middle.coreC();
  }

  /** Heat capacity of the pieces it stands for, without those beneath, J/K. */
  get heatCapacityJPerK(): number {
    return this.capacityJPerK;
  }

  /**
   * Piles loose pieces: a share of them lies beneath, the rest on top.
   *
   * @param share beneath, above 0 and below 1
   */
  pile(share: number): void {
    if (!this.loose || this.beneath !== null) return;
    this.beneath = new Beneath(this.body.clone(), this.capacityJPerK * share);
    this.capacityJPerK *= 1 - share;
    this.inAir = true;
  }

  /** Its conduction, as it is solved now. */
  get body(): HeatBody {
    return this.heated;
  }

  /** Volume weight of each node. */
  get weights(): Float64Array {
    return this.body.nodeWeights;
  }

  /** Temperature of the very middle, °C. */
  get coreC(): number {
    return this.coreNow;
  }

  /** Minutes from its start at which the middle passed 63 °C; null when it has not. */
  get minutesToSafe(): number | null {
    return this.safeAt;
  }

  /** A copy with its own state. */
  clone(): CookingBody {
    const body = this.body.clone();
    const copy = Object.create(CookingBody.prototype) as CookingBody;
    return Object.assign(copy, this, {
      heated: body,
      middle: this.middle === this.body ? body : this.middle.clone(),
      temperatures: this.temperatures.slice(),
      rates: this.rates.slice(),
      next: new Float64Array(this.next.length),
      cookValues: this.cookValues.slice(),
      beneath: this.beneath?.clone() ?? null,
    });
  }

  /** The same cook so far, in surroundings of another surface coefficient. */
  withSurface(surface: number): CookingBody {
    const body = this.body.withSurface(surface);
    const lifted = new CookingBody(
      body,
      this.capacityJPerK,
      this.middle === this.body ? undefined : this.middle.withSurface(surface),
      this.loose,
    );
    lifted.beneath = this.beneath?.withSurface(surface) ?? null;
    lifted.cookValues.set(this.cookValues);
    lifted.elapsed = this.elapsed;
    lifted.safeAt = this.safeAt;
    lifted.coreSum = this.coreSum;
    return lifted;
  }

  /** Heat that all it stands for would take over a step in still surroundings, J, and how much more for every K/s they rise. */
  response(seconds: number, surroundingsC: number): { steady: number; perRamp: number } {
    const own = this.body.meanResponse(seconds, surroundingsC);
    const under = this.beneath?.response(seconds, surroundingsC);
    return {
      steady: this.capacityJPerK * own.steady + (under?.steady ?? 0),
      perRamp: this.capacityJPerK * own.perRamp + (under?.perRamp ?? 0),
    };
  }

  /** Heat that all it stands for holds above 0 °C, J. */
  heatJ(): number {
    return this.capacityJPerK * this.body.heatK() + (this.beneath?.heatJ() ?? 0);
  }

  /** Longest step that keeps its coupling to a pot true, s. */
  get longestStep(): number {
    return Math.min(this.body.longestStep, this.beneath?.longestStep ?? Infinity);
  }

  /** Steps all it stands for through surroundings that go in a straight line, and adds what it cooks. */
  advance(seconds: number, fromC: number, toC: number): void {
    this.advanceAlone(seconds, fromC, toC);
    this.beneath?.advance(seconds, fromC, toC);
  }

  /** Steps only those that lie above. */
  advanceAlone(seconds: number, fromC: number, toC: number): void {
    this.body.advance(seconds, fromC, toC);
    if (this.middle !== this.body) this.middle.advance(seconds, fromC, toC);
    const { temperatures, rates, next, cookValues } = this;
    this.body.field(next);
    const minutes = seconds / 60;
    for (let q = 0; q < next.length; q += 1) {
      const to = next[q] as number;
      const rate = tabulatedExp(LN10_PER_Z * (to - 100));
      const gap = LN10_PER_Z * (to - (temperatures[q] as number));
      const before = rates[q] as number;
      const mean = gap > 1e-4 || gap < -1e-4 ? (rate - before) / gap : (rate + before) / 2;
      cookValues[q] = (cookValues[q] as number) + mean * minutes;
      rates[q] = rate;
    }
    this.temperatures = next;
    this.next = temperatures;
    const core = this.middle.coreC();
    this.coreSum += straightCookValue(minutes, this.coreNow, core);
    if (this.safeAt === null && core >= SAFE_C) {
      const share = core > this.coreNow ? (SAFE_C - this.coreNow) / (core - this.coreNow) : 0;
      this.safeAt = this.elapsed + minutes * Math.min(1, Math.max(0, share));
    }
    this.coreNow = core;
    if (this.heated instanceof ThawingBrick && this.heated.thawed) this.handOver(this.heated);
    this.elapsed += minutes;
  }

  /** The last ice is gone: from here on the modes are exact. */
  private handOver(thawed: ThawingBrick): void {
    const { body, values } = thawed.handOver(MODES, this.cookValues);
    this.middle = this.middle === thawed ? body : thawed.handOver(MODES_OF_MIDDLE, this.cookValues).body;
    this.heated = body;
    this.cookValues = values;
    this.temperatures = body.field(new Float64Array(body.nodeCount));
    this.rates = this.temperatures.map(cookRate);
    this.next = new Float64Array(body.nodeCount);
  }

  /** Volume mean of the cook value, minutes at 100 °C. */
  meanCookValue(): number {
    let sum = 0;
    for (let q = 0; q < this.cookValues.length; q += 1) {
      sum += (this.weights[q] as number) * (this.cookValues[q] as number);
    }
    return sum;
  }

  /** Cook value of the very middle, minutes at 100 °C. */
  get coreCookValue(): number {
    return this.coreSum;
  }
}
