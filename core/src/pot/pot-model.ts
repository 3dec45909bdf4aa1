import type { CookingBody } from '../physics/cooking-body';
import { crossing } from '../physics/crossing';
import { latentHeatJPerKg } from '../physics/steam';
import { IMMERSED, type TopLayer } from './contents';
import type { PotBuild } from './cooker';

/** Heat capacity of liquid in a braise, J/kg K: water's. Common practice. */
export const LIQUID_J_PER_KG_K = 4190;
/** The pin rises this far above boiling, and falls back within that far of it, K. Common practice. */
const PIN_UP_K = 1.5;
const PIN_DOWN_K = 1;
/** Time constant of the fall once the valve is open: about 90 s down to boiling. Common practice. */
const VENT_SECONDS = 30;
/** Within this of a threshold the pot is at it, K. */
const AT_MARK_K = 0.01;
/** A step that ends at a threshold ends so near it, K. */
const ON_MARK_K = 0.001;
/** Moist air above a liquid that does not boil, over steam and boiling liquid: 15 of 800 W/m² K. From memory. */
const AIR_OVER_STEAM = 15 / 800;
/** Below this the heater is only keeping warm, and the pressure is on its way down, W. */
const KEEPING_W = 200;

/** What thaws above the liquid is told of its steam so often, s. */
const THAWS_ALOFT_S = 8;
/** So near nothing left, all the heat is taken, W. */
const ALL_TAKEN_W = 2;
/** Of the air to be driven out so much may be left over by a step that drives it all out. */
const NOTHING_LEFT = 5e-4;
/** A top layer that lies in the liquid this far is in it. */
const WET = 0.98;

/** What a hand, or a thermostat, does to the pot during a step. */
export interface Controls {
  /** Heat put into the pot, W: the heater's power times its efficiency, at most. */
  readonly watts: number;
  readonly lid: 'off' | 'on';
  readonly valve: 'closed' | 'open';
  /** Turned down, or switched, to hold working pressure once it is there. Otherwise what is too much leaves as steam. */
  readonly regulated: boolean;
  /** Upper limit of a sauté without liquid, °C. */
  readonly thermostatC?: number;
  /** Heat drawn by meat lying on a dry base, W/K above boiling: it goes into drying its face. */
  readonly contactWPerK?: number;
  /** Steam that gets away past a gasket that does not seal, as the heat it carries off, W. */
  readonly leakW?: number;
}

/** What the pot is doing: derived from its state and its controls, never set. */
export type Phase = 'saute' | 'open' | 'heating' | 'purging' | 'building' | 'pressure' | 'release' | 'venting';
export type PotEvent = 'boils' | 'pinUp' | 'atPressure' | 'pinDown';

/** Running sums of heat and steam since the pot was made. Joules and kilograms. */
export interface Accounts {
  heaterJ: number;
  lostJ: number;
  steamJ: number;
  piecesJ: number;
  purgedKg: number;
  boiledKg: number;
  flashedKg: number;
  /** Heat that came with what was poured, above 0 °C. */
  pouredJ: number;
}

/** How one step went: it may end early, at an event. */
export interface Stepped {
  readonly seconds: number;
  readonly event: PotEvent | null;
  readonly phase: Phase;
}

/**
 * The lumped pot: liquid and metal at one temperature, heater, losses and steam, coupled without lag to the pieces in
 * it, whose own conduction is solved beside. It steps under outside controls and knows nothing of plans or forecasts,
 * so that the forecast and the simulated cooker are the same pot. Working temperatures from steam tables; the rest
 * common practice.
 */
export class Pot {
  private seconds = 0;
  private pinUp = false;
  private purged = 0;
  private pieces: CookingBody[] = [];
  /** Of the load when the lid goes on: what lies on top, and how much of that is in the liquid. */
  top: TopLayer = IMMERSED;
  /** Heat capacity of things without conduction of their own, J/K. */
  private lumpJPerK = 0;
  /** What pieces above the liquid feel in the step at hand, as if steam of that temperature were around them, °C. */
  private readonly aloft = new Map<CookingBody, number>();
  readonly accounts: Accounts = {
    heaterJ: 0,
    lostJ: 0,
    steamJ: 0,
    piecesJ: 0,
    purgedKg: 0,
    boiledKg: 0,
    flashedKg: 0,
    pouredJ: 0,
  };

  /**
   * @param build the pot's fixed figures
   * @param liquidC temperature of metal and liquid
   * @param liquidKg liquid in it
   */
  constructor(
    readonly build: PotBuild,
    private liquidC: number = build.roomC,
    private liquidKg = 0,
  ) {}

  /** Temperature of liquid and metal, °C. */
  get temperatureC(): number {
    return this.liquidC;
  }

  get liquidKgNow(): number {
    return this.liquidKg;
  }

  get minutes(): number {
    return this.seconds / 60;
  }

  get pinIsUp(): boolean {
    return this.pinUp;
  }

  get bodies(): readonly CookingBody[] {
    return this.pieces;
  }

  /**
   * A copy with its own state and its own pieces, for trying out what comes next.
   *
   * @param build where the copy is another pot than the plan's: one that gives less heat
   */
  clone(build = this.build): Pot {
    const copy = new Pot(build, this.liquidC, this.liquidKg);
    copy.top = this.top;
    Object.assign(copy, { seconds: this.seconds, pinUp: this.pinUp, purged: this.purged, lumpJPerK: this.lumpJPerK });
    copy.pieces = this.pieces.map((piece) => piece.clone());
    Object.assign(copy.accounts, this.accounts);
    return copy;
  }

  /**
   * Piles what is loose: before there is steam to spare the uppermost layer is in moist air, as far as it is not in the
   * liquid; then it has the steam that the heater can give it. What lies beneath takes its steam first.
   */
  pile(): void {
    if (this.top.wet > WET) return;
    for (const piece of this.pieces) piece.pile(1 - this.top.share);
  }

  /** What the first piece felt in the last step, where it lies above the liquid, °C; null where it lies in it, or in steam. */
  get aloftC(): number | null {
    const [first] = this.pieces;
    return first?.inAir === true ? (this.aloft.get(first) ?? null) : null;
  }

  /** Puts pieces into the pot. */
  add(...pieces: CookingBody[]): void {
    this.pieces.push(...pieces);
  }

  /**
   * The lid comes off after the pin has fallen: what was purged is air again, and the next run starts with a new purge.
   *
   * @throws Error while the pin is up: a lid under pressure does not open
   */
  openLid(): void {
    if (this.pinUp) throw new Error('the pin is up: the lid does not open');
    this.purged = 0;
  }

  /** Takes every piece out. */
  takeOut(): CookingBody[] {
    const out = this.pieces;
    this.pieces = [];
    return out;
  }

  /**
   * Pours liquid, or adds something small, and lets it come to one temperature with the pot. What a hot base cannot
   * share without passing boiling leaves as steam.
   *
   * @param kg of liquid; 0 for a solid given by its heat capacity
   * @param temperatureC of what is added
   * @param lumpJPerK heat capacity of small solids, J/K
   */
  pour(kg: number, temperatureC: number, lumpJPerK = 0): void {
    const before = this.capacity();
    const added = kg * LIQUID_J_PER_KG_K + lumpJPerK;
    if (added <= 0) return;
    const mixed = (before * this.liquidC + added * temperatureC) / (before + added);
    this.liquidKg += kg;
    this.lumpJPerK += lumpJPerK;
    this.accounts.pouredJ += added * temperatureC;
    this.liquidC = mixed;
    if (mixed > this.build.boilingC && kg > 0 && !this.pinUp) {
      const surplus = (mixed - this.build.boilingC) * (before + added);
      this.liquidC = this.build.boilingC;
      this.boilOff(surplus, 'boiledKg');
    }
  }

  /**
   * Ladles liquid out, with the heat in it; never more than there is.
   *
   * @param kg wanted
   * @returns kg taken
   */
  ladle(kg: number): number {
    const taken = Math.min(kg, this.liquidKg);
    this.liquidKg -= taken;
    this.accounts.pouredJ -= taken * LIQUID_J_PER_KG_K * this.liquidC;
    return taken;
  }

  /** Heat held by liquid, metal and small solids above 0 °C, J. */
  storedJ(): number {
    return this.capacity() * this.liquidC;
  }

  private capacity(): number {
    return this.build.metalJPerK + this.lumpJPerK + this.liquidKg * LIQUID_J_PER_KG_K;
  }

  /** Steam takes latent heat, and the heat of the water it was. */
  private boilOff(joules: number, account: 'purgedKg' | 'boiledKg' | 'flashedKg'): void {
    const kg = joules / latentHeatJPerKg(Math.min(140, Math.max(60, this.liquidC)));
    const gone = Math.min(kg, Math.max(0, this.liquidKg));
    this.accounts[account] += gone;
    this.accounts.steamJ += joules + gone * LIQUID_J_PER_KG_K * this.liquidC;
    this.liquidKg -= gone;
  }

  private purgeDone(): boolean {
    return this.purged >= this.build.purgeKg * (1 - 2 * NOTHING_LEFT);
  }

  private phaseUnder(controls: Controls): Phase {
    const { boilingC, workingC } = this.build;
    if (this.liquidKg <= 0 && this.pieces.length === 0) return 'saute';
    if (controls.lid === 'off') return 'open';
    if (this.pinUp) {
      if (controls.valve === 'open') return 'venting';
      if (controls.watts <= KEEPING_W) return 'release';
      return this.liquidC >= workingC - AT_MARK_K ? 'pressure' : 'building';
    }
    if (controls.valve === 'open') return 'open';
    if (this.liquidC >= boilingC - AT_MARK_K && !this.purgeDone()) return 'purging';
    return 'heating';
  }

  /**
   * Steps the pot, at the longest to the end of the step or to the next event.
   *
   * @param controls held through the step
   * @param seconds above 0
   * @returns how long it ran, and what happened at its end
   */
  step(controls: Controls, seconds: number): Stepped {
    const phase = this.phaseUnder(controls);
    // A thawing piece is coupled step by step, which holds only for short ones.
    const longest = this.pieces.reduce((most, { inAir, longestStep }) => {
      const thaws = Number.isFinite(longestStep);
      return Math.min(most, inAir && thaws ? Math.min(longestStep, THAWS_ALOFT_S) : longestStep);
    }, seconds);
    // Once the air is driven out steam fills the pot, and all lie alike.
    const steam = controls.lid === 'on' && this.purgeDone();
    for (const piece of this.pieces) {
      if (piece.inAir && steam) piece.inAir = false;
      if (piece.inAir) this.leaveInAir(piece);
    }
    return this.stepIn(phase, controls, longest);
  }

  private stepIn(phase: Phase, controls: Controls, seconds: number): Stepped {
    switch (phase) {
      case 'venting':
        return this.vent(controls, seconds);
      case 'purging':
        return this.boil(controls, seconds, phase, 'purgedKg', this.build.purgeKg - this.purged);
      case 'open':
        if (this.liquidC >= this.build.boilingC - AT_MARK_K)
          return this.boil(controls, seconds, phase, 'boiledKg', Infinity);
        return this.drift(controls, seconds, phase, [[this.build.boilingC, 'boils']]);
      case 'pressure':
        return this.hold(controls, seconds);
      case 'saute':
        return this.saute(controls, seconds);
      case 'heating':
        return this.drift(
          controls,
          seconds,
          phase,
          this.purgeDone() ? [[this.build.boilingC + PIN_UP_K, 'pinUp']] : [[this.build.boilingC, 'boils']],
        );
      case 'building':
      case 'release':
        return this.drift(controls, seconds, phase, [
          [this.build.workingC, 'atPressure'],
          [this.build.boilingC + PIN_DOWN_K, 'pinDown'],
        ]);
    }
  }

  /** Above the liquid there is moist air: as if steam were there, little above the piece's own temperature. */
  private leaveInAir(piece: CookingBody): void {
    // Of a piece with ice in it the heat it holds is no temperature.
    const heat = piece.body.heatK();
    const own = heat < 0 ? Math.min(0, piece.coreC) : heat;
    const { wet } = this.top;
    this.aloft.set(piece, own + (wet + (1 - wet) * AIR_OVER_STEAM) * (this.liquidC - own));
  }

  /** Heat the pieces would take if the pot's temperature stayed, and how much more for every K/s of rise. */
  private uptake(seconds: number): { steady: number; perRamp: number } {
    const sum = this.uptakeInLiquid(seconds);
    for (const piece of this.pieces) {
      if (piece.inAir) sum.steady += this.uptakeAloft(piece, seconds, this.aloft.get(piece) as number);
    }
    return sum;
  }

  /** The same of what lies in the liquid, or in steam that wants nothing. */
  private uptakeInLiquid(seconds: number): { steady: number; perRamp: number } {
    let steady = 0;
    let perRamp = 0;
    for (const piece of this.pieces) {
      const response = (piece.inAir ? piece.beneath : piece)?.response(seconds, this.liquidC);
      steady += response?.steady ?? 0;
      perRamp += response?.perRamp ?? 0;
    }
    return { steady, perRamp };
  }

  /** Heat that pieces above the liquid take in a step, J. */
  private uptakeAloft(piece: CookingBody, seconds: number, aroundC: number): number {
    return piece.heatCapacityJPerK * piece.body.meanResponse(seconds, aroundC).steady;
  }

  /**
   * The pot boils: its steam condenses on what lies above the liquid, as much as the heater gives and no more.
   *
   * @param spareJ heat that is left for it in the step
   */
  private steamAloft(seconds: number, spareJ: number): void {
    let wanted = 0;
    let wantedColder = 0;
    const above = this.pieces.filter(({ inAir }) => inAir);
    for (const piece of above) {
      wanted += this.uptakeAloft(piece, seconds, this.liquidC);
      wantedColder += this.uptakeAloft(piece, seconds, this.liquidC - 1);
    }
    // Uptake goes in a straight line with the temperature around.
    const missing = Math.max(0, wanted - Math.max(0, spareJ)) / Math.max(1e-9, wanted - wantedColder);
    for (const piece of above) {
      const least = this.aloft.get(piece) as number;
      this.aloft.set(piece, Math.max(Math.min(least, this.liquidC), this.liquidC - missing));
    }
  }

  /** Heat that steam carries off past the gasket, W: nothing while there is no steam, or no lid. */
  private leak({ leakW = 0, lid }: Controls): number {
    return lid === 'on' && this.liquidKg > 0 && this.liquidC >= this.build.boilingC - AT_MARK_K ? leakW : 0;
  }

  /** The slope, K/s, at which heater, losses, pot and pieces balance over a step. */
  private slope(controls: Controls, seconds: number): number {
    const { lossWPerK, roomC } = this.build;
    const { steady, perRamp } = this.uptake(seconds);
    const given = (controls.watts - this.leak(controls) - lossWPerK * (this.liquidC - roomC)) * seconds - steady;
    return given / (this.capacity() * seconds + (lossWPerK * seconds * seconds) / 2 + perRamp);
  }

  /** Free heating or cooling, up to the first threshold crossed. */
  private drift(
    controls: Controls,
    seconds: number,
    phase: Phase,
    marks: readonly (readonly [number, PotEvent])[],
  ): Stepped {
    let run = seconds;
    let slope = this.slope(controls, run);
    for (const [mark, name] of marks) {
      const gap = mark - this.liquidC;
      const rising = name !== 'pinDown';
      if (rising ? gap <= 0 || slope * run < gap : gap >= 0 || slope * run > gap) continue;
      run = crossing((after) => this.slope(controls, after) * after, gap, run, ON_MARK_K);
      slope = this.slope(controls, run);
    }
    const from = this.liquidC;
    const leaked = this.leak(controls) * run;
    const left = this.move(run, from + slope * run, controls.watts);
    if (leaked > 0) this.boilOff(leaked, 'boiledKg');
    // Nothing is left but where a thawing piece took more or less than it was foretold to: the pot makes it good.
    this.liquidC += (left - leaked) / this.capacity();
    if (!this.pinUp && phase === 'purging' && this.liquidC > this.build.boilingC) {
      this.boilOff((this.liquidC - this.build.boilingC) * this.capacity(), 'boiledKg');
      this.liquidC = this.build.boilingC;
    }
    const event =
      marks.find(([mark, name]) =>
        name === 'pinDown'
          ? this.liquidC <= mark + AT_MARK_K && slope < 0
          : from < mark - AT_MARK_K && this.liquidC >= mark - AT_MARK_K,
      )?.[1] ?? null;
    if (event === 'pinUp') this.pinUp = true;
    if (event === 'pinDown') this.pinUp = false;
    return { seconds: run, event, phase };
  }

  /** Moves pot and pieces to a temperature, and books heater and losses; returns what heat is left over, J. */
  private move(seconds: number, toC: number, watts: number): number {
    const from = this.liquidC;
    const lost = this.build.lossWPerK * ((from + toC) / 2 - this.build.roomC) * seconds;
    let taken = 0;
    for (const piece of this.pieces) {
      const before = piece.heatJ();
      if (piece.inAir) {
        const around = this.aloft.get(piece) as number;
        piece.advanceAlone(seconds, around, around);
        piece.beneath?.advance(seconds, from, toC);
      } else piece.advance(seconds, from, toC);
      taken += piece.heatJ() - before;
    }
    const given = watts * seconds;
    this.accounts.heaterJ += given;
    this.accounts.lostJ += lost;
    this.accounts.piecesJ += taken;
    const left = given - lost - taken - this.capacity() * (toC - from);
    this.liquidC = toC;
    this.seconds += seconds;
    return left;
  }

  /** At boiling: what the pieces and the losses leave over goes off as steam; if they leave nothing, it cools. */
  private boil(
    controls: Controls,
    seconds: number,
    phase: Phase,
    account: 'purgedKg' | 'boiledKg',
    most: number,
  ): Stepped {
    const { lossWPerK, roomC } = this.build;
    if (controls.lid === 'on' && this.pieces.some(({ inAir }) => inAir)) {
      const given = (controls.watts - lossWPerK * (this.liquidC - roomC)) * seconds;
      this.steamAloft(seconds, given - this.uptakeInLiquid(seconds).steady);
    }
    const power = (run: number): number =>
      controls.watts - lossWPerK * (this.liquidC - roomC) - this.uptake(run).steady / run;
    // What lies above takes all there is and no more: that is still boiling.
    if (power(seconds) < -ALL_TAKEN_W) return this.drift(controls, seconds, phase, []);
    const latent = latentHeatJPerKg(this.liquidC);
    const run =
      power(seconds) * seconds > most * latent
        ? crossing((after) => power(after) * after, most * latent, seconds, most * latent * NOTHING_LEFT)
        : seconds;
    const left = this.move(run, this.liquidC, controls.watts);
    if (left >= 0) this.boilOff(left, account);
    else this.liquidC += left / this.capacity();
    // What slips out past the gasket drives no air out through the valve.
    if (account === 'purgedKg') this.purged += Math.max(0, left - this.leak(controls) * run) / latent;
    return { seconds: run, event: null, phase };
  }

  /** At working pressure: held there, or the surplus blown off where nobody turns the heat down. */
  private hold(controls: Controls, seconds: number): Stepped {
    const { lossWPerK, roomC } = this.build;
    const needed = lossWPerK * (this.liquidC - roomC) + this.uptake(seconds).steady / seconds + this.leak(controls);
    if (needed > controls.watts) {
      return this.drift(controls, seconds, 'pressure', [[this.build.boilingC + PIN_DOWN_K, 'pinDown']]);
    }
    // Held: the heater gives just what is needed, which for deep-cooked meat that gives heat back can be nothing.
    const left = this.move(seconds, this.liquidC, controls.regulated ? Math.max(0, needed) : controls.watts);
    if (left > 1e-6) this.boilOff(left, 'boiledKg');
    return { seconds, event: null, phase: 'pressure' };
  }

  /** The valve is open: pressure falls, liquid and meat flash their heat above boiling into steam. */
  private vent(controls: Controls, seconds: number): Stepped {
    const { boilingC } = this.build;
    const gap = this.liquidC - boilingC;
    const down = gap > PIN_DOWN_K ? VENT_SECONDS * Math.log(gap / (PIN_DOWN_K * 0.999)) : 0;
    const run = Math.min(seconds, Math.max(1e-3, down));
    const left = this.move(run, boilingC + gap * Math.exp(-run / VENT_SECONDS), controls.watts);
    this.boilOff(Math.max(0, left), 'flashedKg');
    if (left < 0) this.accounts.lostJ += left;
    if (this.liquidC > boilingC + PIN_DOWN_K) return { seconds: run, event: null, phase: 'venting' };
    this.pinUp = false;
    return { seconds: run, event: 'pinDown', phase: 'venting' };
  }

  /** A dry base under a thermostat: heats, and once hot gives its heat to the meat lying on it. */
  private saute(controls: Controls, seconds: number): Stepped {
    const { lossWPerK, roomC, boilingC } = this.build;
    const contact = controls.contactWPerK ?? 0;
    const capacity = this.capacity();
    const conductance = lossWPerK + contact;
    const settle = (controls.watts + lossWPerK * roomC + contact * boilingC) / conductance;
    const free = settle + (this.liquidC - settle) * Math.exp((-conductance / capacity) * seconds);
    const toC = Math.min(free, Math.max(this.liquidC, controls.thermostatC ?? Infinity));
    const mean = (this.liquidC + toC) / 2;
    const dried = Math.max(0, contact * (mean - boilingC) * seconds);
    const lost = lossWPerK * (mean - roomC) * seconds;
    this.accounts.heaterJ += capacity * (toC - this.liquidC) + lost + dried;
    this.accounts.lostJ += lost + dried;
    this.liquidC = toC;
    this.seconds += seconds;
    // A pot that has boiled dry has no steam to hold its pin up, once the valve is open or what there was has cooled.
    if (this.pinUp && (controls.valve === 'open' || toC <= boilingC + PIN_DOWN_K)) {
      this.pinUp = false;
      return { seconds, event: 'pinDown', phase: 'saute' };
    }
    return { seconds, event: null, phase: 'saute' };
  }
}
