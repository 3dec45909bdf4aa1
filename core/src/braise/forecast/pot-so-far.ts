import type { Happened, SoFar } from '../../clock/so-far';
import type { Move } from '../../method/moves';
import { pieceOf } from '../../meat/piece';
import { pieceBody, START_C, WET_SURFACE } from '../../meat/piece-body';
import type { CookingBody } from '../../physics/cooking-body';
import { meatsOf } from '../../plan/meats';
import type { Meat, Plan } from '../../plan/plan';
import { portionsOf, type Portion, type PortionId } from '../../plan/portions';
import { chargesOf, type Charge } from '../../pot/charge';
import { SIMMER_SHARE } from '../../pot/later-stage';
import { PLANT_J_PER_KG_K } from '../../pot/loading';
import type { Controls, Pot } from '../../pot/pot-model';
import { atFull, heatOff, heatUp, STANDING_OPEN, stepFor, type Follow } from '../../pot/pressure-run';
import { potUnderLid, startMeats } from './kitchen-pot';
import { UNDER_FOIL_W_PER_M2K } from './later-stages';
import { juicesOf } from './main-run';

/** What a burnt pot gets to be scraped in, ml. Common practice: a cup. */
export const CLEARING_ML = 240;
/** A valve that is open lets a pot down in less, minutes. */
const LONGEST_VENT = 15;

/** Steps of the search for the heat that brings the pin up when it really came up. */
const SEARCH = 14;
/** Heat is looked for between these, times the plan's. */
const HEAT: readonly [number, number] = [0.3, 3];

/** Where a factor stops being too low, by halving on its logarithm. */
export function between([from, to]: readonly [number, number], tooLow: (factor: number) => boolean): number {
  let [low, high] = [from, to];
  for (let i = 0; i < SEARCH; i += 1) {
    const middle = Math.sqrt(low * high);
    if (tooLow(middle)) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}

/** The same pot with a heater that gives another share of its heat. */
export const withHeat = (pot: Pot, share: number): Pot =>
  pot.clone({ ...pot.build, lidOnShare: pot.build.lidOnShare * share });

/** The share of the heat with which the pin rises when it really rose. */
export function heatThatFits(pot: Pot, plan: Plan, toPin: number): number {
  return between(HEAT, (share) => {
    const heated = heatUp(withHeat(pot, share), plan.cooker);
    return heated === null || heated.toPin > toPin;
  });
}

/** What a pot does until something is done to it. */
type Mode = 'cold' | 'full' | 'off' | 'venting' | 'boiling' | 'gentle' | 'hard';

/**
 * A pot that goes through what really happened to it, move by move: the plan's pot, with the minutes that were pressed and
 * not the planned ones. Its meat is in it, or under foil, as the moves have it.
 */
export class PotSoFar {
  pot: Pot;
  private readonly portions: readonly Portion[];
  private readonly charges: readonly Charge[];
  private inPot: PortionId[];
  private readonly bodies = new Map<PortionId, CookingBody>();
  private readonly foil = new Set<PortionId>();
  /** Juice of each cut that is liquid like the rest already, ml. */
  private readonly counted = new Map<PortionId, number>();
  private mode: Mode = 'full';

  /**
   * @param plan as cooked
   * @param pin minutes from the lid to the pin as it was; null where nobody saw it
   * @param options whether the middle of a piece is solved finely enough to be shown
   * @throws PlanError where the plan cannot be reckoned
   */
  constructor(
    private readonly plan: Plan,
    pin: number | null,
    options?: { readonly middle: boolean },
  ) {
    const cold = potUnderLid(plan, options);
    this.pot = withHeat(cold, pin === null ? 1 : heatThatFits(cold, plan, pin));
    this.portions = portionsOf(plan);
    this.charges = chargesOf(plan);
    const cuts = meatsOf(plan);
    const there = startMeats(plan).map(({ meat }) => cuts.indexOf(meat as (typeof cuts)[number]));
    this.inPot = there.flatMap((index) => this.meatPortion(index)?.id ?? []);
    this.inPot.forEach((id, i) => this.bodies.set(id, this.pot.bodies[i] as CookingBody));
  }

  /** The plan's own cut, wherever it is; undefined while it is not cooked. */
  get meat(): CookingBody | undefined {
    return this.bodies.get(this.meatPortion(0)?.id ?? '');
  }

  private meatPortion(index: number): Portion | undefined {
    return this.portions.find((portion) => portion.kind === 'meat' && portion.index === index);
  }

  /** Goes through all that happened. */
  follow(steps: readonly Happened[], follow?: Follow): this {
    for (const step of steps) this.through(step, follow);
    return this;
  }

  private through({ moves, minutes, over }: Happened, follow?: Follow): void {
    for (const move of moves) this.begin(move);
    if (minutes > 0) {
      stepFor(this.pot, minutes, this.controls(), follow);
      this.waits(minutes);
    }
    if (over) for (const move of moves) this.end(move);
  }

  private controls(): Controls {
    const { pot, plan } = this;
    switch (this.mode) {
      case 'full':
        return atFull(pot);
      case 'off':
        return heatOff(plan.cooker);
      case 'venting':
        return { ...heatOff(plan.cooker), watts: 0, valve: 'open' };
      case 'boiling':
        return { ...STANDING_OPEN, watts: pot.build.heaterW };
      case 'gentle':
      case 'hard':
        return { ...STANDING_OPEN, watts: pot.build.heaterW * SIMMER_SHARE[this.mode] };
      case 'cold':
        return STANDING_OPEN;
    }
  }

  /** What begins with a move. What is not of the pot leaves it as it is. */
  private begin(move: Move): void {
    switch (move.kind) {
      case 'come-up':
      case 'hold':
        this.mode = 'full';
        return;
      case 'leave':
      case 'without-power':
        this.mode = 'off';
        return;
      case 'vent':
      case 'pin-falls':
      case 'clear':
      case 'see-to':
        this.mode = 'venting';
        return;
      case 'boil':
      case 'reduce':
        this.mode = 'boiling';
        return;
      case 'simmer':
        this.mode = move.heat;
        return;
      case 'lift':
        if (move.to === 'foil') this.liftOut(move.portions);
        return;
      case 'ladle':
        this.pot.ladle(move.ml / 1000);
        return;
      default:
        return;
    }
  }

  /** What a move has done when it is over. */
  private end(move: Move): void {
    switch (move.kind) {
      case 'hold':
        this.mode = 'off';
        return;
      case 'open':
      case 'see-to':
        this.openUp();
        return;
      case 'clear':
        this.openUp();
        this.pot.pour(CLEARING_ML / 1000, this.pot.build.roomC);
        return;
      case 'heat-off':
      case 'reduce':
        this.mode = 'cold';
        return;
      case 'simmer':
        if (move.goesOn !== true) this.mode = 'cold';
        return;
      case 'put':
      case 'pour':
      case 'stir-in':
      case 'fold-in':
      case 'put-back':
        this.putIn(move.portions);
        return;
      case 'thicken':
        this.pot.pour(move.waterMl / 1000, this.pot.build.roomC);
        return;
      default:
        return;
    }
  }

  /** The lid is off: whatever pressure the reckoning still has has gone, and the juice is liquid like the rest. */
  private openUp(): void {
    this.mode = 'venting';
    stepFor(this.pot, LONGEST_VENT, this.controls(), undefined, () => !this.pot.pinIsUp);
    this.pot.openLid();
    this.mode = 'cold';
    for (const id of this.inPot) {
      const body = this.bodies.get(id);
      const meat = this.meatAt(id);
      if (!body || !meat) continue;
      const all = juicesOf([meat], [body]);
      this.pot.pour(Math.max(0, all - (this.counted.get(id) ?? 0)) / 1000, this.pot.temperatureC);
      this.counted.set(id, Math.max(all, this.counted.get(id) ?? 0));
    }
  }

  private meatAt(id: PortionId): Meat | undefined {
    const portion = this.portions.find((one) => one.id === id);
    return portion?.kind === 'meat' ? meatsOf(this.plan)[portion.index] : undefined;
  }

  private setInPot(ids: PortionId[]): void {
    this.inPot = ids;
    this.pot.takeOut();
    this.pot.add(...ids.flatMap((id) => this.bodies.get(id) ?? []));
  }

  private liftOut(ids: readonly PortionId[]): void {
    for (const id of ids) {
      const body = this.bodies.get(id);
      if (!body || !this.inPot.includes(id)) continue;
      this.bodies.set(id, body.withSurface(UNDER_FOIL_W_PER_M2K));
      this.foil.add(id);
    }
    this.setInPot(this.inPot.filter((id) => !ids.includes(id)));
  }

  private putIn(ids: readonly PortionId[]): void {
    const back = ids.filter((id) => this.meatAt(id) && !this.inPot.includes(id));
    for (const id of back) {
      const meat = this.meatAt(id) as Meat;
      const waited = this.bodies.get(id);
      const raw = (): CookingBody => pieceBody(meat, pieceOf(meat), START_C[meat.startsFrom], { middle: true });
      this.bodies.set(id, waited?.withSurface(WET_SURFACE) ?? raw());
      this.foil.delete(id);
    }
    if (back.length > 0) this.setInPot([...this.inPot, ...back]);
    for (const id of ids) {
      const charge = this.charges.find((one) => one.portion === id);
      if (charge) this.pot.pour(charge.waterMl / 1000, charge.temperatureC);
      else if (!this.meatAt(id)) this.pot.pour(0, this.pot.build.roomC, this.coldJPerK(id));
    }
  }

  private coldJPerK(id: PortionId): number {
    const grams = this.portions.find((one) => one.id === id)?.grams ?? 0;
    return (grams / 1000) * PLANT_J_PER_KG_K;
  }

  private waits(minutes: number): void {
    const { roomC } = this.plan.kitchen;
    for (const id of this.foil) this.bodies.get(id)?.advance(minutes * 60, roomC, roomC);
  }
}

/**
 * The pot of a cook as it is now.
 *
 * @param plan as cooked
 * @param so what has happened, from soFar
 * @param options whether the middle of a piece is solved finely enough to be shown
 * @throws PlanError where the plan cannot be reckoned
 */
export function potSoFar(plan: Plan, so: SoFar, options?: { readonly middle: boolean }): PotSoFar {
  return new PotSoFar(plan, so.pin, options).follow(so.steps);
}
