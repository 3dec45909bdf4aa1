import { aromaticKind } from '../larder/aromatics';
import { grainById } from '../larder/grains';
import { vegetableById } from '../larder/vegetables';
import { pieceOf, type Piece } from '../meat/piece';
import { pieceBody, START_C } from '../meat/piece-body';
import { bonelessGrams, fatMl, juiceMl } from '../meat/yield';
import { cookRate, straightCookValue } from '../physics/cook-value';
import type { CookingBody } from '../physics/cooking-body';
import { saturationPressureKPa } from '../physics/steam';
import type { Plan } from '../plan/plan';
import {
  baseTemperatureC,
  causesOf,
  grainSettles,
  LEAST_DEGLAZE_ML,
  LIKELY_K,
  lyingShare,
  SCORCH_C,
  stickingOf,
  type BaseState,
  type BurnCause,
  type Sticking,
} from '../pot/base-temperature';
import { chargesOf, type Charge, type ChargeStage } from '../pot/charge';
import { baseAreaM2, potBuild } from '../pot/cooker';
import {
  CONTACT_W_PER_M2K,
  LEFT_WHEN_SCRAPED_KG,
  PASTE_J_PER_KG_K,
  PLANT_J_PER_KG_K,
  SEAR_BASE_C,
} from '../pot/loading';
import { Pot, type Controls, type Phase, type Stepped } from '../pot/pot-model';
import { UNDER_FOIL_W_PER_M2K } from '../braise/evening';
import { ride, vegetableRider } from '../stations/doneness';
import { SEAR_LOSS } from '../stations/plate';
import { PAN } from '../stations/sear';
import { CookerDevice, type CookerCommand, type Refusal, type Signal } from './cooker-device';
import { searContact, searFor } from './browning';
import { HALF_THAWED_C, LEAK_SHARE, LITTLE, WEAK_SAUTE, type FaultId } from './faults';

/** A base takes so long to follow what is above it, s. From memory. */
const BASE_LAG_S = 20;
/** Scraping in liquid takes two thirds of what sticks off in so many seconds. From memory. */
const SCRAPES_IN_S = 35;
/** What of burnt sugar never comes off. Where the forecast says a film stays. */
const SUGAR_STAYS = 0.12;
/** Browning, minutes at 170 °C, that leaves all the fond there can be. From memory. */
const FULL_FOND = 1.5;
/** A stirred piece lies on each face for a part of the time. Common practice. */
const STIRRED_SHARE = 1 / 3;
/** With less the juice of the meat is all there is to boil, kg. */
const NEARLY_DRY_KG = 0.05;
/** A hot base says so within this of its level, K. */
const HOT_WITHIN_K = 4;
/** Cook value in which two thirds of a plant's water has come out, minutes at 100 °C. From memory. */
const PLANT_JUICE_COOK_VALUE = 15;

/** Where the meat is. */
export type MeatPlace = 'board' | 'base' | 'plate' | 'pot' | 'foil';

/** A vegetable or a grain of the plan. */
export interface Plant {
  readonly kind: 'vegetable' | 'grain';
  readonly id: string;
  readonly grams: number;
  readonly sizeCm: number;
  /** Where the plan has it. */
  readonly place: string;
  where: 'bowl' | 'pot' | 'out';
  /** Minutes at 100 °C. */
  cookValue: number;
  /** When it went in, s; null while it has not. */
  inAt: number | null;
}

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
}

const EVEN: KitchenOdds = { toughness: 1, heat: 1 };

/**
 * A kitchen with one pot: the stepping pot model, the cooker's controls, and the food that is on the board, on the base,
 * in the pot or on a plate. Hands move things; what comes of it follows from the same equations as the forecast, and
 * from browning and scraping, which the forecast takes as done well.
 */
export class SimulatedKitchen {
  readonly device: CookerDevice;
  readonly pot: Pot;
  readonly piece: Piece;
  readonly plants: Plant[];
  readonly faults = new Set<FaultId>();
  readonly trips: Trip[] = [];
  readonly toughness: number;
  /** Signals since they were last taken. */
  private told: Signal[] = [];
  private readonly riders = new Map<Plant, CookingBody>();
  private meatBody: CookingBody | null = null;
  meatAt: MeatPlace = 'board';
  private onBase = 0;
  /** Most of the base that was covered in the sear. */
  coverage = 0;
  private inPan = false;
  /** Browning of each face, minutes at 170 °C, weighted by the pieces that lay on it. */
  private faces: { minutes: number; pieces: number; share: number }[] = [];
  private filmKg = 0;
  private aromaticsIn = false;
  private aromaticsDone = false;
  private stuck = 0;
  private scraping = false;
  private readonly poured = new Set<Charge>();
  private readonly charges: readonly Charge[];
  /** As spooned: with the paste stirred in, its starch is in the liquid. */
  private starchG = 0;
  private onTopMl = 0;
  private juicePouredMl = 0;
  private meatJuice = 0;
  /** Cook value that the aromatics got, for their juice. */
  private plantMinutes = 0;
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
   * @throws PlanError naming the field that makes the plan impossible
   */
  constructor(
    readonly plan: Plan,
    odds: KitchenOdds = EVEN,
    sizes: ReadonlyMap<string, number> = new Map(),
  ) {
    const build = potBuild(plan.cooker, plan.kitchen, plan.heat, plan.learnt);
    this.pot = new Pot({ ...build, heaterW: build.heaterW * odds.heat });
    this.device = new CookerDevice(plan.cooker);
    this.piece = pieceOf(plan.meat);
    this.toughness = odds.toughness;
    this.charges = chargesOf(plan);
    this.areaM2 = baseAreaM2(plan.cooker.baseDiameterCm);
    this.baseNow = build.roomC;
    this.plants = [
      ...plan.vegetables.map(({ vegetable, grams, sizeCm, place }) => ({
        kind: 'vegetable' as const,
        id: vegetable,
        grams,
        sizeCm: sizeCm ?? sizes.get(vegetable) ?? vegetableById(vegetable).usualCm,
        place,
      })),
      ...plan.grains.map(({ grain, grams, place }) => ({ kind: 'grain' as const, id: grain, grams, sizeCm: 0, place })),
    ].map((plant) => ({ ...plant, where: 'bowl' as const, cookValue: 0, inAt: null }));
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
    return this.stuck;
  }

  get meat(): CookingBody | null {
    return this.meatBody;
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
    const pieces = this.faces.reduce((sum, face) => sum + face.pieces, 0);
    return pieces === 0 ? null : this.faces.reduce((sum, face) => sum + face.minutes * face.pieces, 0) / pieces;
  }

  /** Free liquid with the juices in it, ml: what the base has above it. */
  get freeMl(): number {
    return Math.max(0, this.pot.liquidKgNow * 1000 + this.meatJuiceMl() - this.juicePouredMl - this.takenUpMl());
  }

  /** Free liquid with what has come out of the vegetables: what there is for a sauce, ml. */
  get sauceMl(): number {
    return this.freeMl + this.plantJuiceMl() + (this.openedOnce ? this.onTopMl : 0);
  }

  /** Starch in the liquid, grams of cornstarch. */
  get starchNow(): number {
    return this.starchG + (this.openedOnce ? this.topStarch() : 0);
  }

  /** Boneless meat as a scale would show it now, g. */
  get meatGrams(): number {
    const raw = bonelessGrams(this.plan.meat);
    const body = this.meatBody;
    if (!body) return Math.max(0, this.plan.meat.grams - this.plan.meat.trimGrams);
    const rendered = fatMl(this.plan.meat) * -Math.expm1(-body.meanCookValue() / 60);
    return raw - this.meatJuiceMl() - rendered - (this.browned === null ? 0 : raw * SEAR_LOSS);
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
    if (on) this.faults.add(id);
    else this.faults.delete(id);
    if (id === 'power-cut') this.device.power(!on);
    if (id === 'weak-saute') this.device.sauteFactor = on ? WEAK_SAUTE : 1;
  }

  /** A control of the cooker, pressed or turned. */
  command(command: CookerCommand): Refusal {
    const refused = this.device.obey(command, this.pot.pinIsUp, this.tell);
    if (refused !== null && command.do === 'lid') this.lidTries += 1;
    if (refused === null && command.do === 'lid' && command.to === 'off') this.pot.openLid();
    return refused;
  }

  // What hands do. Each stands for itself: done too early or not at all, it has its consequence.

  /** Lays a batch onto the hot base, or into a pan; one that is stirred shares its minutes among its faces. */
  lay(pieces: number, { pan, stirred }: { readonly pan: boolean; readonly stirred: boolean }): void {
    this.onBase = this.faults.has('crowded') ? this.piece.count : pieces;
    this.inPan = pan;
    this.filmKg = 0;
    this.meatAt = 'base';
    this.coverage = Math.max(this.coverage, this.covered() / (pan ? PAN_M2 : this.areaM2));
    this.faces.push({ minutes: 0, pieces: this.onBase, share: stirred ? STIRRED_SHARE : 1 });
  }

  /** Turns what lies on the base. */
  turn(): void {
    if (this.onBase > 0) this.faces.push({ minutes: 0, pieces: this.onBase, share: 1 });
  }

  /** Takes the batch out onto the plate. */
  take(): void {
    this.onBase = 0;
    this.filmKg = 0;
    this.meatAt = 'plate';
  }

  aromatics(): void {
    this.aromaticsIn = true;
    this.aromaticsDone = true;
  }

  private share(): number {
    return this.faults.has('little-liquid') ? LITTLE : 1;
  }

  private pourStage(stage: ChargeStage): void {
    for (const charge of this.charges) {
      if (charge.stage !== stage || this.poured.has(charge)) continue;
      this.poured.add(charge);
      const kg = (charge.waterMl / 1000) * this.share();
      if (stage === 'on-top' && !this.faults.has('paste-stirred')) {
        this.pot.pour(0, charge.temperatureC, (charge.volumeMl / 1000) * PASTE_J_PER_KG_K);
        this.onTopMl += charge.waterMl;
        continue;
      }
      this.pot.pour(kg, charge.temperatureC);
      this.starchG += charge.starchG;
    }
  }

  private topStarch(): number {
    return this.charges
      .filter((charge) => charge.stage === 'on-top' && this.poured.has(charge) && !this.faults.has('paste-stirred'))
      .reduce((sum, { starchG }) => sum + starchG, 0);
  }

  /** Pours what deglazes; scraping begins, where the hand scrapes and there is enough to scrape in. */
  deglaze(scrape: boolean): void {
    this.aromaticsIn = false;
    this.pourStage('deglaze');
    if (scrape && !this.faults.has('not-scraped')) this.scrape();
  }

  scrape(): void {
    this.scraping = this.pot.liquidKgNow * 1000 >= LEAST_DEGLAZE_ML * 0.9;
  }

  stopScraping(): void {
    this.scraping = false;
  }

  /** Everything of the start goes in: meat, liquid, what lies on top. */
  load(): void {
    this.onBase = 0;
    this.aromaticsIn = false;
    this.scraping = false;
    this.pourStage('deglaze');
    this.pourStage('load');
    this.pourStage('on-top');
    const aromatics = this.plan.aromatics.reduce((sum, { grams }) => sum + grams, 0);
    if (aromatics > 0) this.pot.pour(0, this.pot.build.roomC, (aromatics / 1000) * PLANT_J_PER_KG_K);
    for (const plant of this.plants) {
      if (plant.place === 'start' || plant.place === 'flavour-only') this.put(plant);
    }
    if (this.meatBody === null) {
      const { startsFrom } = this.plan.meat;
      const startC = this.faults.has('frozen-middle') ? HALF_THAWED_C : START_C[startsFrom];
      this.meatBody = pieceBody(this.plan.meat, this.piece, startC, { middle: true });
    }
    if (this.meatAt !== 'pot') this.pot.add(this.meatBody);
    this.meatAt = 'pot';
  }

  /** Puts a vegetable or a grain in, as cold as the kitchen; once. */
  put(plant: Plant): void {
    if (plant.where !== 'bowl') return;
    plant.where = 'pot';
    plant.inAt = this.elapsed;
    const share = plant.kind === 'grain' && plant.place === 'start' ? 0.5 : 1;
    this.pot.pour(0, this.pot.build.roomC, ((plant.grams * share) / 1000) * PLANT_J_PER_KG_K);
    if (plant.kind === 'vegetable') this.riders.set(plant, vegetableRider(plant.id, plant.sizeCm));
  }

  /** Puts everything of a place in. */
  putAll(place: string): void {
    for (const plant of this.plants) if (plant.place === place) this.put(plant);
  }

  /** Takes a vegetable out: it stops cooking. */
  lift(plant: Plant): void {
    if (plant.where === 'pot') plant.where = 'out';
  }

  liftAll(): void {
    for (const plant of this.plants) this.lift(plant);
  }

  /** The pot is open between two runs: the juice is liquid like the rest, broth and meat come out. */
  refill(): void {
    this.openedOnce = true;
    const juice = this.meatJuiceMl() + this.startPlantJuice() - this.juicePouredMl;
    this.pot.pour(Math.max(0, juice) / 1000, this.pot.temperatureC);
    this.juicePouredMl += Math.max(0, juice);
    if (this.plan.meatInSecondRun === 'out') this.meatOut();
    if (this.plan.brothOutMl > 0) this.pot.ladle(this.plan.brothOutMl / 1000);
  }

  /** Lifts the meat out, under foil. */
  meatOut(): void {
    if (this.meatAt !== 'pot' || !this.meatBody) return;
    this.meatJuice = this.meatJuiceMl();
    this.pot.takeOut();
    this.meatBody = this.meatBody.withSurface(UNDER_FOIL_W_PER_M2K);
    this.meatAt = 'foil';
  }

  /** A burnt base is cleared: lifted out, scraped, all back in with more liquid. */
  clear(moreMl: number): void {
    this.stuck = 0;
    this.filmKg = 0;
    this.pot.pour(moreMl / 1000, this.pot.build.roomC);
    if (this.device.mode === 'burn') this.command({ do: 'cancel' });
  }

  /** The lid is off for good: what lay on top is stirred in. */
  opened(): void {
    this.openedOnce = true;
  }

  ladle(ml: number): void {
    this.pot.ladle(ml / 1000);
  }

  /** Stirs in what was kept for after pressure. */
  after(): void {
    this.pourStage('after');
  }

  /** Stirs starch in, grams of cornstarch, with its water. */
  thicken(starchG: number, waterMl: number): void {
    this.starchG += starchG;
    this.pot.pour(waterMl / 1000, this.pot.build.roomC);
  }

  private meatJuiceMl(): number {
    if (this.meatAt === 'foil' || !this.meatBody) return this.meatJuice;
    if (this.meatAt !== 'pot') return 0;
    return juiceMl(this.plan.meat, this.meatBody.body.heatK(), this.meatBody.meanCookValue());
  }

  private startPlantJuice(): number {
    return this.plants
      .filter(({ kind, place, inAt }) => kind === 'vegetable' && inAt !== null && place !== 'second-run')
      .reduce((sum, { id, grams }) => sum + grams * vegetableById(id).juiceShare, 0);
  }

  /** Water of vegetables and aromatics that is not counted as poured, ml. */
  private plantJuiceMl(): number {
    const out = (cookValue: number): number => -Math.expm1(-cookValue / PLANT_JUICE_COOK_VALUE);
    const vegetables = this.plants
      .filter(({ kind, inAt }) => kind === 'vegetable' && inAt !== null)
      .filter(({ place }) => this.juicePouredMl === 0 || place === 'second-run' || place === 'simmer')
      .reduce((sum, { id, grams, cookValue }) => sum + grams * vegetableById(id).juiceShare * out(cookValue), 0);
    const aromatics = this.plan.aromatics
      .filter(({ then }) => then !== 'set-aside')
      .reduce((sum, { ingredient, grams }) => sum + grams * aromaticKind(ingredient).juiceShare, 0);
    return vegetables + (this.aromaticsDone ? aromatics * out(this.plantMinutes) : 0);
  }

  /** What grain has drunk, ml. */
  private takenUpMl(): number {
    return this.plants
      .filter(({ kind, inAt }) => kind === 'grain' && inAt !== null)
      .reduce((sum, { id, grams, cookValue }) => {
        const { uptakeMlPerG, boilMinutes } = grainById(id);
        return sum + grams * uptakeMlPerG * Math.min(1, cookValue / boilMinutes[0]);
      }, 0);
  }

  /** What sticks to this base before it is scraped. */
  private get sticking(): Sticking {
    return stickingOf({ ...this.plan, deglaze: null });
  }

  /** The base as it is, for its temperature. */
  private baseState(watts: number): BaseState {
    const { plan, piece, areaM2, freeMl } = this;
    return {
      liquidC: this.pot.temperatureC,
      fluxWPerM2: watts / areaM2,
      freeMl,
      baseAreaM2: areaM2,
      starchG: this.starchG,
      sticking: this.sticking,
      stickingShare: this.stuck,
      lyingShare: this.meatAt === 'pot' ? lyingShare(plan, piece, areaM2) : 0,
      grainSettled: grainSettles({ grains: plan.grains.filter((_, i) => this.grainIn(i)) }, freeMl),
    };
  }

  private grainIn(index: number): boolean {
    return this.plants[this.plan.vegetables.length + index]?.where === 'pot';
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

  /** Area that so many pieces cover, m², at most the base's. */
  private covered(pieces = this.onBase, areaM2 = this.areaM2): number {
    const [length, width] = this.piece.dimensionsCm;
    return Math.min(areaM2, (length * width * pieces) / 10_000);
  }

  private controls(): Controls {
    const { device, pot } = this;
    const leak = this.faults.has('gasket-leaks') ? LEAK_SHARE * pot.build.heaterW : 0;
    const coveredM2 = this.inPan ? 0 : this.covered();
    const meat = searContact({ areaM2: this.areaM2, coveredM2 }, this.filmKg);
    return {
      watts: device.watts(pot.build),
      lid: device.lid,
      valve: device.valve,
      regulated: device.regulated,
      thermostatC: device.thermostatC,
      contactWPerK: this.aromaticsIn && coveredM2 === 0 ? this.aromaticContact() : meat,
      ...(leak > 0 ? { leakW: leak } : {}),
    };
  }

  /** Aromatics draw as much from the base as the forecast says: as the meat before them. */
  private aromaticContact(): number {
    const most = Math.max(0, ...this.faces.map(({ pieces }) => pieces));
    return CONTACT_W_PER_M2K * this.covered(most);
  }

  /** A pot that boils dry boils the juice away too: it is liquid like the rest once there is little else. */
  private drawOnJuice(): void {
    if (this.meatAt !== 'pot' || this.pot.liquidKgNow >= NEARLY_DRY_KG) return;
    const juice = this.meatJuiceMl() - this.juicePouredMl;
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
    // A bubbling scrape stops while something is left.
    const controls = this.controls();
    const idle = this.scraping && pot.liquidKgNow <= LEFT_WHEN_SCRAPED_KG;
    const stepped = pot.step(idle ? { ...controls, watts: 0 } : controls, wanted);
    const { seconds } = stepped;
    this.elapsed += seconds;
    this.phaseNow = stepped.phase;
    this.wattsNow = (pot.accounts.heaterJ - before) / seconds;
    this.rideAlong(seconds, fromC, pot.temperatureC);
    this.sear(seconds);
    if (this.scraping && pot.liquidKgNow > LEFT_WHEN_SCRAPED_KG / 2) {
      const stays = this.sticking === 'sugar-crust' ? SUGAR_STAYS : 0;
      this.stuck = stays + (this.stuck - stays) * Math.exp(-seconds / SCRAPES_IN_S);
    }
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

  /** What is in the pot, or under foil, goes through the step with it. */
  private rideAlong(seconds: number, fromC: number, toC: number): void {
    const stretch = [{ seconds, fromC, toC, phase: this.phaseNow }];
    const gained = straightCookValue(seconds / 60, fromC, toC);
    for (const plant of this.plants) {
      if (plant.where !== 'pot') continue;
      const rider = this.riders.get(plant);
      plant.cookValue = rider ? ride(rider, stretch).meanCookValue() : plant.cookValue + gained;
    }
    if (this.pot.liquidKgNow > 0) this.plantMinutes += (cookRate(toC) * seconds) / 60;
    const { roomC } = this.pot.build;
    if (this.meatAt === 'foil') this.meatBody?.advance(seconds, roomC, roomC);
  }

  private sear(seconds: number): void {
    const face = this.faces.at(-1);
    if (this.onBase > 0 && face) {
      const pan = { areaM2: PAN_M2, baseC: SEAR_BASE_C };
      const base = this.inPan ? pan : { areaM2: this.areaM2, baseC: this.pot.temperatureC };
      const coveredM2 = this.covered(this.onBase, base.areaM2);
      const { filmKg, browned } = searFor(
        { ...base, coveredM2, boilingC: this.pot.build.boilingC },
        this.filmKg,
        seconds,
      );
      this.filmKg = filmKg;
      face.minutes += browned * face.share;
      if (!this.inPan) this.stuck = Math.max(this.stuck, Math.min(1, face.minutes / FULL_FOND));
    } else if (this.aromaticsIn && this.faces.length === 0) {
      this.stuck = 1;
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
    // Its hottest spot is hotter than its mean: what the forecast calls likely does happen.
    const limit = (plan.cooker.kind === 'stovetop' ? SCORCH_C : plan.cooker.burnCutoutC) - LIKELY_K;
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

/** A wide pan, m². */
const PAN_M2 = baseAreaM2(PAN.baseDiameterCm);
