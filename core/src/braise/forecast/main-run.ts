import type { Piece } from '../../meat/piece';
import { pieceBody, START_C } from '../../meat/piece-body';
import { meanMelted } from '../../meat/tenderness';
import { juiceMl } from '../../meat/yield';
import { TENTH } from '../../physics/normal';
import { saturationPressureKPa } from '../../physics/steam';
import type { CookingBody } from '../../physics/cooking-body';
import type { Meat, Plan, StageId } from '../../plan/plan';
import { portionsOf, type PortionId } from '../../plan/portions';
import type { BaseMoment } from '../../pot/base-temperature';
import type { Accounts, Pot } from '../../pot/pot-model';
import { Drinkers } from '../../pot/drinkers';
import { momentsOf } from '../../pot/later-stage';
import { heatUp, letDown, runOn, type Follow, type Stretch } from '../../pot/pressure-run';
import type { CurvePoint } from './curve';
import { tooWeak, toughnessAt } from './timing';

/** A cut that is in the pot under its first lid. */
export interface StartMeat {
  readonly meat: Meat;
  readonly piece: Piece;
}

/** The first run under pressure, followed closely at one length. */
export interface MainRun {
  readonly toPin: number;
  readonly toTimer: number;
  readonly toPressure: number;
  readonly releaseMinutes: number;
  readonly naturalReleaseMinutes: number;
  readonly piece: CookingBody;
  /** Minutes from lid on. */
  readonly curve: readonly CurvePoint[];
  /** The pot under its lid, for its base. */
  readonly moments: readonly BaseMoment[];
  /** Free liquid as the lid is locked, ml. */
  readonly atLockMl: number;
  /** Grain that is in, when the pin has fallen. */
  readonly drinkers: Drinkers;
  /** From lid on to the fallen pin, for whatever rides along. */
  readonly history: readonly Stretch[];
  readonly opened: Readonly<Accounts>;
  /** The pot when its pin has fallen, the meat still in it. */
  readonly pot: Pot;
}

/** Points of the curve, from the pot as it steps; the meat is told apart from the pot, which may have lost it. */
export function recorder(
  curve: CurvePoint[],
  plan: Plan,
  airKPa: number,
  offset: number,
  meat: (pot: Pot) => CookingBody | undefined = (pot) => pot.bodies[0],
): Follow {
  // The range of the tenderness band.
  const [usual, tougher, softer] = [0, TENTH, -TENTH].map((off) => toughnessAt(plan, off)) as [number, number, number];
  return ({ phase }, pot) => {
    const piece = meat(pot);
    const sealed = pot.pinIsUp && pot.temperatureC > pot.build.boilingC;
    curve.push({
      minute: pot.minutes + offset,
      liquidC: pot.temperatureC,
      coreC: piece ? piece.coreC : null,
      gaugeKPa: sealed ? Math.max(0, saturationPressureKPa(pot.temperatureC) - airKPa) : 0,
      phase,
      melted: piece ? meanMelted(piece, usual) : null,
      meltedRange: piece ? [meanMelted(piece, tougher), meanMelted(piece, softer)] : null,
    });
  };
}

/** The meat's juice so far, ml: all cuts that are in. */
export function juicesOf(meats: readonly Meat[], bodies: readonly CookingBody[]): number {
  return bodies.reduce((sum, body, i) => {
    const meat = meats[i];
    return meat ? sum + juiceMl(meat, body.body.heatK(), body.meanCookValue()) : sum;
  }, 0);
}

/**
 * Runs the first run of a plan.
 *
 * @param plan the plan
 * @param meats those that are in from the start, the first cut first
 * @param loaded the pot when its lid goes on, without the meat
 * @param minutes under pressure
 * @throws PlanError when the heater cannot bring the pot to pressure
 */
export function mainRun(plan: Plan, meats: readonly StartMeat[], loaded: Pot, minutes: number): MainRun {
  const pot = loaded.clone();
  const lidOn = pot.minutes;
  pot.add(...meats.map(({ meat, piece }) => pieceBody(meat, piece, START_C[meat.startsFrom], { middle: true })));
  pot.pile();
  const cuts = meats.map(({ meat }) => meat);
  const curve: CurvePoint[] = [];
  const history: Stretch[] = [];
  const drinkers = new Drinkers();
  drinkers.add(grainsAt(plan, 'start'));
  const free = {
    drinks: drinkers.any,
    ml: (now: Pot): number => now.liquidKgNow * 1000 + juicesOf(cuts, now.bodies) - drinkers.drunkMl,
  };
  const base = momentsOf(lidOn, free);
  const atLockMl = free.ml(pot);
  const draw = recorder(curve, plan, pot.build.airKPa, -lidOn);
  const record: Follow = (stretch, now) => {
    draw(stretch, now);
    history.push(stretch);
    drinkers.follow(stretch);
    base.follow(stretch, now);
  };
  draw({ seconds: 0, fromC: pot.temperatureC, toC: pot.temperatureC, phase: 'heating' }, pot);
  const heated = heatUp(pot, plan.cooker, record);
  if (heated === null) throw tooWeak(plan);
  let atPressure = pot.minutes;
  runOn(pot, minutes, 0, record, (minute) => {
    atPressure = minute;
  });
  const untouched = pot.clone();
  const down = letDown(pot, plan.release, plan.cooker, record);
  const natural = letDown(untouched, { method: 'natural', naturalMinutes: 0 }, plan.cooker);
  return {
    toPin: heated.toPin,
    toTimer: heated.toTimer,
    toPressure: atPressure - lidOn,
    releaseMinutes: down.minutes,
    naturalReleaseMinutes: natural.minutes,
    piece: pot.bodies[0] as CookingBody,
    curve,
    moments: base.moments,
    atLockMl,
    history,
    drinkers,
    opened: { ...pot.accounts },
    pot,
  };
}

/** Grain of a plan that goes in at a place, with its portions. */
export function grainsAt(
  plan: Plan,
  place: StageId,
): { readonly portion: PortionId; readonly grain: string; readonly grams: number }[] {
  return portionsOf(plan).flatMap(({ id, kind, index }) => {
    const item = kind === 'grain' ? plan.grains[index] : undefined;
    return item?.place === place ? [{ portion: id, grain: item.grain, grams: item.grams }] : [];
  });
}
