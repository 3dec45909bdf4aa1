import type { CookingBody } from '../physics/cooking-body';
import { saturationPressureKPa } from '../physics/steam';
import type { Piece } from '../meat/piece';
import type { Plan } from '../plan/plan';
import { portionsOf, type Portion, type PortionId } from '../plan/portions';
import {
  baseTemperatureC,
  causesOf,
  fondOf,
  grainSettles,
  LEAST_DEGLAZE_ML,
  LIKELY_K,
  lyingShare,
  scrapedInJuice,
  STICKING,
  type BaseState,
  type BurnCause,
  BASE_LAG_S,
} from '../pot/base-temperature';
import { MELTED_IN } from '../pot/charge';
import { topLayer } from '../pot/contents';
import { baseAreaM2, potBuild } from '../pot/cooker';
import { LEFT_WHEN_SCRAPED_KG, PLANT_J_PER_KG_K } from '../pot/loading';
import { Pot, type Controls, type Phase, type Stepped } from '../pot/pot-model';
import { CookerDevice, type CookerCommand, type Refusal, type Signal } from './cooker-device';
import { HALF_THAWED_C, LEAK_SHARE, WEAK_SAUTE, type FaultId } from './faults';
import { Meats, type MeatPlace } from './meats';
import { Plants, type Plant } from './plants';
import { Poured } from './poured';
import { Searing } from './searing';

export type { MeatPlace } from './meats';
export type { Plant } from './plants';

/** What of burnt sugar never comes off. Where the forecast says a film stays. */
const SUGAR_STAYS = STICKING.film / STICKING['sugar-crust'];
/** With less the juice of the meat is all there is to boil, kg. */
const NEARLY_DRY_KG = 0.05;
/** A hot base says so within this of its level, K. */
const HOT_WITHIN_K = 4;

/** A burn error, or a scorched base. */
export interface Trip {
  readonly atS: number;
  readonly baseC: number;
  readonly liquidC: number;
  readonly freeMl: number;
  readonly causes: readonly BurnCause[];
  readonly kind: 'cut-out' | 'scorch';
}

/** What differs from the plan in this kitchen. */
export interface KitchenOdds {
  /** Times the table's toughness. */
  readonly toughness: number;
  /** Times the cooker's heat. */
  readonly heat: number;
  /** Of what is scraped up, so much stays stuck. */
  readonly stuck: number;
  /** Its base cuts out so far below what the cooker is known for, K. */
  readonly tripsBelowK: number;
}

/** Nothing differs; hot spots and crumbs that stay stuck are not drawn, so that what the forecast calls likely does happen. */
export const EVEN: KitchenOdds = { toughness: 1, heat: 1, stuck: 0, tripsBelowK: LIKELY_K };

/**
 * A kitchen with one pot: the stepping pot model, the cooker's controls, and the food that is on the board, on the base,
 * in the pot or on a plate. Hands move things; what comes of it follows from the same equations as the forecast, and
 * from browning and scraping, which the forecast takes as done well. Each part of it has a file of its own: the sear, the
 * cuts, the plants and what is poured; here they meet the pot and its base.
 */
export class SimulatedKitchen {
  readonly device: CookerDevice;
  readonly pot: Pot;
  readonly faults = new Set<FaultId>();
  /** All that were ever thrown in, called off or not. */
  readonly thrown = new Set<FaultId>();
  /** How long there was no power, s. */
  darkS = 0;
  readonly trips: Trip[] = [];
  readonly toughness: number;
  readonly searing: Searing;
  readonly meats: Meats;
  readonly greens: Plants;
  readonly poured: Poured;
  private readonly portions: readonly Portion[];
  /** Signals since they were last taken. */
  private told: Signal[] = [];
  private aromaticsIn = false;
  /** What was fried and stays, g: it weighs on the pot once the sauté is over. */
  private friedG = 0;
  private scraping: 'liquid' | 'juice' | null = null;
  /** What deglazes is in, and nothing else yet. */
  private deglazing = false;
  /** Juice that is liquid like the rest, ml. */
  private juicePouredMl = 0;
  private baseNow: number;
  private hottest = 0;
  private elapsed = 0;
  private openedOnce = false;
  private wasHot = false;
  private scorching = false;
  private phaseNow: Phase = 'saute';
  private wattsNow = 0;
  private lidTries = 0;
  readonly areaM2: number;

  /**
   * @param plan every default filled in, every vegetable in its place
   * @param odds what differs from the table in this kitchen
   * @param sizes what vegetables are cut to, cm, by portion
   * @throws PlanError naming the field that makes the plan impossible
   */
  constructor(
    readonly plan: Plan,
    private readonly odds: KitchenOdds = EVEN,
    sizes: ReadonlyMap<PortionId, number> = new Map(),
  ) {
    const build = potBuild(plan.cooker, plan.kitchen, plan.heat, plan.learnt);
    this.pot = new Pot({ ...build, heaterW: build.heaterW * odds.heat });
    this.device = new CookerDevice(plan.cooker);
    this.toughness = odds.toughness;
    this.areaM2 = baseAreaM2(plan.cooker.baseDiameterCm);
    this.portions = portionsOf(plan);
    this.searing = new Searing(this.areaM2);
    this.meats = new Meats(plan, this.portions);
    this.greens = new Plants(plan, this.portions, sizes);
    this.poured = new Poured(plan, this.faults);
    this.baseNow = build.roomC;
  }

  get seconds(): number {
    return this.elapsed;
  }

  get phase(): Phase {
    return this.phaseNow;
  }

  /** Heat that goes into the pot now, W. */
  get watts(): number {
    return this.wattsNow;
  }

  get baseC(): number {
    return this.baseNow;
  }

  /** The hottest the base has been with the lid on, °C. */
  get hottestC(): number {
    return this.hottest;
  }

  get stuckShare(): number {
    return this.searing.stuck;
  }

  get coverage(): number {
    return this.searing.coverage;
  }

  /** The plan's own cut, once it has been in the pot. */
  get meat(): CookingBody | null {
    return this.meats.first.body;
  }

  get meatAt(): MeatPlace {
    return this.meats.first.at;
  }

  get piece(): Piece {
    return this.meats.first.piece;
  }

  get plants(): readonly Plant[] {
    return this.greens.all;
  }

  /** How often somebody tried to open it under pressure. */
  get triedUnderPressure(): number {
    return this.lidTries;
  }

  get gaugeKPa(): number {
    const { pinIsUp, temperatureC, build } = this.pot;
    return pinIsUp && temperatureC > build.boilingC
      ? Math.max(0, saturationPressureKPa(temperatureC) - build.airKPa)
      : 0;
  }

  /** Mean browning of the faces that were seared, minutes at 170 °C; null where nothing was. */
  get browned(): number | null {
    return this.searing.browned;
  }

  /** Free liquid with the meat's juice in it, ml: what the base has above it. */
  get freeMl(): number {
    const juice = Math.max(0, this.meats.juiceMl - this.juicePouredMl);
    return Math.max(0, this.pot.liquidKgNow * 1000 + juice - this.greens.drunkMl);
  }

  /** Free liquid with what has come out of the vegetables: what there is for a sauce, ml. */
  get sauceMl(): number {
    const juice = Math.max(0, this.juiceMl - this.juicePouredMl);
    const onTop = this.openedOnce ? this.poured.onTopMl : 0;
    return Math.max(0, this.pot.liquidKgNow * 1000 + juice - this.greens.drunkMl) + onTop;
  }

  private get juiceMl(): number {
    return this.meats.juiceMl + this.greens.juiceMl;
  }

  /** Starch in the liquid, grams of cornstarch. */
  get starchNow(): number {
    return this.poured.bindsG(this.openedOnce ? 1 : 0);
  }

  /** Boneless meat as a scale would show it now, g. */
  get meatGrams(): number {
    return this.meats.grams(this.browned !== null);
  }

  /** Takes the signals since last time. */
  signals(): Signal[] {
    const told = this.told;
    this.told = [];
    return told;
  }

  private readonly tell = (signal: Signal): void => {
    this.told.push(signal);
  };

  /** Throws a fault in, or calls it off. */
  setFault(id: FaultId, on: boolean): void {
    if (on) {
      this.faults.add(id);
      this.thrown.add(id);
    } else this.faults.delete(id);
    if (id === 'power-cut') this.device.power(!on);
    if (id === 'weak-saute') this.device.sauteFactor = on ? WEAK_SAUTE : 1;
  }

  /** A control of the cooker, pressed or turned. */
  command(command: CookerCommand): Refusal {
    const refused = this.device.obey(command, this.pot.pinIsUp, this.tell);
    if (refused !== null && command.do === 'lid') this.lidTries += 1;
    if (refused === null && command.do === 'lid' && command.to === 'off') this.pot.openLid();
    if (refused === null && command.do === 'lid' && command.to === 'on' && !this.openedOnce) this.pileLoad();
    return refused;
  }

  // What hands do. Each stands for itself: done too early or not at all, it has its consequence.

  /** Lays a batch of a cut onto the hot base, or into a pan. */
  lay(
    portion: PortionId,
    pieces: number,
    { pan, stirred }: { readonly pan: boolean; readonly stirred: boolean },
  ): void {
    const cut = this.meats.of(portion);
    this.searing.lay(cut.piece, this.faults.has('crowded') ? cut.piece.count : pieces, pan, stirred);
    cut.at = 'base';
  }

  /** Turns what lies on the base. */
  turn(): void {
    this.searing.turn();
  }

  /** Takes the batch out onto the plate. */
  take(portion: PortionId): void {
    this.searing.take();
    this.meats.of(portion).at = 'plate';
  }

  /** Aromatics go into the hot fat; what they give may be what the base is scraped in. */
  fry(
    portions: readonly PortionId[],
    { setAside, scrapes }: { readonly setAside: boolean; readonly scrapes: boolean },
  ): void {
    this.aromaticsIn = true;
    for (const portion of this.found(portions)) {
      if (portion.kind === 'addition') this.poured.pour(portion.id, this.pot);
      if (portion.kind !== 'aromatic' || setAside) continue;
      this.greens.aromatic(portion.id, portion.index, true);
      this.friedG += portion.grams ?? 0;
    }
    if (scrapes && scrapedInJuice(this.plan) && !this.faults.has('not-scraped')) this.scraping = 'juice';
  }

  private found(ids: readonly PortionId[]): Portion[] {
    return ids.flatMap((id) => this.portions.find((portion) => portion.id === id) ?? []);
  }

  /** The sauté is over: what was fried and stays is in the pot, as hot as its water. */
  private friedIsIn(): void {
    this.aromaticsIn = false;
    if (this.friedG <= 0) return;
    this.pot.pour(0, this.pot.build.boilingC, (this.friedG / 1000) * PLANT_J_PER_KG_K);
    this.friedG = 0;
  }

  /** Pours what deglazes; scraping begins, where the hand scrapes and there is enough to scrape in. */
  deglaze(portion: PortionId, scrape: boolean): void {
    this.friedIsIn();
    this.scraping = null;
    this.deglazing = true;
    this.poured.pour(portion, this.pot);
    if (scrape && !this.faults.has('not-scraped')) this.scrape();
  }

  scrape(): void {
    this.scraping = this.pot.liquidKgNow * 1000 >= LEAST_DEGLAZE_ML * 0.9 ? 'liquid' : null;
  }

  stopScraping(): void {
    this.scraping = null;
    this.deglazing = false;
  }

  /** Everything of a move goes in: meat, liquid, greens; what is in already stays as it is. */
  putIn(ids: readonly PortionId[]): void {
    this.searing.take();
    this.friedIsIn();
    this.stopScraping();
    for (const portion of this.found(ids)) {
      if (portion.kind === 'meat') this.putMeat(portion.id);
      else if (portion.kind === 'vegetable' || portion.kind === 'grain') {
        const plant = this.greens.of(portion.id);
        if (plant) this.put(plant);
      } else if (portion.kind === 'aromatic' || portion.kind === 'other') {
        if (portion.kind === 'aromatic') this.greens.aromatic(portion.id, portion.index, true);
        this.pot.pour(0, this.pot.build.roomC, ((portion.grams ?? 0) / 1000) * PLANT_J_PER_KG_K);
      } else this.poured.pour(portion.id, this.pot);
    }
    // A hot base that liquid is poured onto is quenched at once.
    if (this.pot.liquidKgNow > NEARLY_DRY_KG) this.baseNow = Math.min(this.baseNow, this.pot.temperatureC);
  }

  private putMeat(portion: PortionId): void {
    this.meats.putIn(portion, this.pot, this.faults.has('frozen-middle') ? HALF_THAWED_C : undefined);
  }

  /** Puts a vegetable or a grain in, as cold as the kitchen; once. */
  put(plant: Plant): void {
    if (!this.greens.putIn(plant, this.elapsed)) return;
    const share = plant.kind === 'grain' && plant.place === 'start' ? 0.5 : 1;
    this.pot.pour(0, this.pot.build.roomC, ((plant.grams * share) / 1000) * PLANT_J_PER_KG_K);
  }

  /** Takes a vegetable out: it stops cooking. */
  lift(plant: Plant): void {
    if (plant.where === 'pot') plant.where = 'out';
  }

  /** Lifts portions out of the pot: meat under foil, vegetables onto their dish. */
  liftOut(ids: readonly PortionId[]): void {
    for (const { id, kind } of this.found(ids)) {
      if (kind === 'meat') this.meats.liftOut(id, this.pot);
      const plant = this.greens.of(id);
      if (plant) this.lift(plant);
    }
  }

  /** What was lifted out goes back: meat warms through, and so does what was cooked already. */
  putBack(ids: readonly PortionId[]): void {
    for (const { id, kind } of this.found(ids)) if (kind === 'meat') this.meats.putIn(id, this.pot);
  }

  /** A burnt base is cleared: lifted out, scraped, all back in with more liquid. */
  clear(moreMl: number): void {
    this.searing.clear();
    this.pot.pour(moreMl / 1000, this.pot.build.roomC);
    if (this.device.mode === 'burn') this.command({ do: 'cancel' });
  }

  /** The lid is off: juice is liquid like the rest, and what lay on top can be stirred in. */
  opened(): void {
    this.openedOnce = true;
    const juice = Math.max(0, this.juiceMl - this.juicePouredMl);
    this.pot.pour(juice / 1000, this.pot.temperatureC);
    this.juicePouredMl += juice;
  }

  ladle(ml: number): void {
    this.pot.ladle(ml / 1000);
  }

  /** Stirs starch in, grams of cornstarch, with its water. */
  thicken(starchG: number, waterMl: number): void {
    this.poured.stirIn(starchG);
    this.pot.pour(waterMl / 1000, this.pot.build.roomC);
  }

  /** The base as it is, for its temperature. */
  private baseState(watts: number): BaseState {
    const { plan, areaM2, freeMl } = this;
    const flat = this.meats.inside.reduce((most, { piece }) => Math.max(most, lyingShare(plan, piece, areaM2)), 0);
    return {
      liquidC: this.pot.temperatureC,
      fluxWPerM2: watts / areaM2,
      freeMl,
      baseAreaM2: areaM2,
      starchG: this.poured.starchG(this.openedOnce ? MELTED_IN : 0),
      sticking: fondOf(plan),
      stickingShare: this.searing.stuck,
      lyingShare: flat,
      grainSettled: grainSettles({ grains: this.greens.grainsIn }, freeMl),
    };
  }

  /** Time goes by. */
  advance(seconds: number): void {
    const end = this.elapsed + seconds;
    while (end - this.elapsed > 1e-6) this.step(Math.min(end - this.elapsed, this.countsFor()));
  }

  /** Seconds until the cooker's minutes are over. */
  private countsFor(): number {
    const left = this.device.leftMinutes;
    return left === null ? Number.POSITIVE_INFINITY : Math.max(0.001, left * 60);
  }

  private controls(): Controls {
    const { device, pot } = this;
    const leak = this.faults.has('gasket-leaks') ? LEAK_SHARE * pot.build.heaterW : 0;
    return {
      watts: device.watts(pot.build),
      lid: device.lid,
      valve: device.valve,
      regulated: device.regulated,
      thermostatC: device.thermostatC,
      contactWPerK: this.searing.contact(this.aromaticsIn),
      ...(leak > 0 ? { leakW: leak } : {}),
    };
  }

  /** The first lid goes on: what reaches out of the liquid waits for steam. */
  private pileLoad(): void {
    this.pot.top = topLayer(this.plan, this.meats.first.piece, this.pot.liquidKgNow * 1000);
    this.pot.pile();
  }

  /** A pot that boils dry boils the juice away too: it is liquid like the rest once there is little else. */
  private drawOnJuice(): void {
    if (this.meats.inside.length === 0 || this.pot.liquidKgNow >= NEARLY_DRY_KG) return;
    const juice = this.meats.juiceMl - this.juicePouredMl;
    const ml = Math.min(juice, (NEARLY_DRY_KG - this.pot.liquidKgNow) * 1000);
    if (ml <= 0) return;
    this.pot.pour(ml / 1000, this.pot.temperatureC);
    this.juicePouredMl += ml;
  }

  private step(wanted: number): void {
    const { pot, device } = this;
    this.drawOnJuice();
    const fromC = pot.temperatureC;
    const before = pot.accounts.heaterJ;
    // What deglazes bubbles, scraped or not; the cook stops while something is left.
    const controls = this.controls();
    const idle = this.deglazing && pot.liquidKgNow <= LEFT_WHEN_SCRAPED_KG;
    const stepped = pot.step(idle ? { ...controls, watts: 0 } : controls, wanted);
    const { seconds } = stepped;
    this.elapsed += seconds;
    if (this.faults.has('power-cut')) this.darkS += seconds;
    this.phaseNow = stepped.phase;
    this.wattsNow = (pot.accounts.heaterJ - before) / seconds;
    if (pot.liquidKgNow > 0 || stepped.phase !== 'saute') {
      this.greens.advanceAlongside({ seconds, fromC, toC: pot.temperatureC, phase: stepped.phase });
    }
    this.meats.waits(seconds, pot.build.roomC);
    this.searing.advance(seconds, pot.temperatureC, pot.build.boilingC, this.aromaticsIn);
    const wet = this.scraping === 'juice' || (this.scraping === 'liquid' && pot.liquidKgNow > LEFT_WHEN_SCRAPED_KG / 2);
    if (wet) this.searing.scrape(seconds, this.stays());
    this.followBase(seconds, stepped);
    this.happened(stepped, device);
    if (device.counted !== null) {
      device.counted += seconds / 60;
      if ((device.leftMinutes ?? 1) <= 1e-6) {
        device.end();
        this.tell('ended');
      }
    }
  }

  /** Share of what sticks that scraping leaves: a film, where the forecast says one stays. */
  private stays(): number {
    const always =
      fondOf(this.plan) === 'sugar-crust' ? SUGAR_STAYS : this.scraping === 'juice' ? STICKING.film / STICKING.fond : 0;
    return always + (1 - always) * this.odds.stuck;
  }

  /** Pin, pressure and counting. */
  private happened({ event }: Stepped, device: CookerDevice): void {
    const { timerStarts } = this.plan.cooker;
    if (event === 'pinUp') this.tell('pinUp');
    if (event === 'pinDown') this.tell('pinDown');
    const begins = device.mode === 'pressure' && device.counted === null;
    if (!begins) return;
    if (event === (timerStarts === 'pin' ? 'pinUp' : 'atPressure')) {
      device.startCounting();
      this.tell('counting');
    }
  }

  /** The base follows, and where it is too hot under the lid the power goes. */
  private followBase(seconds: number, { phase }: Stepped): void {
    const { pot, device, plan } = this;
    if (phase === 'saute') {
      this.baseNow = pot.temperatureC;
      const hot = device.mode === 'saute' && this.baseNow >= device.thermostatC - HOT_WITHIN_K;
      if (hot && !this.wasHot) this.tell('hot');
      this.wasHot = hot;
      return;
    }
    const state = this.baseState(this.wattsNow);
    const goal = baseTemperatureC(state);
    this.baseNow += (goal - this.baseNow) * -Math.expm1(-seconds / BASE_LAG_S);
    if (device.lid === 'off') return;
    this.hottest = Math.max(this.hottest, this.baseNow);
    const limit = plan.cooker.burnCutoutC - this.odds.tripsBelowK;
    const over = this.baseNow >= limit;
    if (!over) this.scorching = false;
    if (!over || this.scorching || (device.electric && device.mode !== 'pressure')) return;
    const kind = device.electric ? 'cut-out' : 'scorch';
    this.trips.push({
      atS: this.elapsed,
      baseC: this.baseNow,
      liquidC: pot.temperatureC,
      freeMl: state.freeMl,
      causes: causesOf(state, goal),
      kind,
    });
    this.scorching = true;
    if (device.electric) device.trip();
    this.tell(device.electric ? 'burn' : 'scorch');
  }
}
