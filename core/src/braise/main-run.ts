import type { Piece } from '../meat/piece';
import { pieceBody, START_C } from '../meat/piece-body';
import { juiceMl } from '../meat/yield';
import { saturationPressureKPa } from '../physics/steam';
import type { CookingBody } from '../physics/cooking-body';
import { toughnessOf } from '../plan/learnt';
import type { Plan } from '../plan/plan';
import type { BaseMoment } from '../pot/base-temperature';
import type { Accounts, Pot } from '../pot/pot-model';
import { COMING_UP, heatUp, letDown, runOn, type Follow, type Stretch } from '../pot/pressure-run';
import type { CurvePoint } from './forecast-document';
import { meltedAt, tooWeak } from './timing';

/** The range of the tenderness band: a tenth and nine tenths of a normal variable. */
const TENTH = 1.2816;

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
  /** The pot on its way up, for its base. */
  readonly moments: readonly BaseMoment[];
  /** From lid on to the fallen pin, for whatever rides along. */
  readonly history: readonly Stretch[];
  readonly opened: Readonly<Accounts>;
  /** The pot when its pin has fallen, the meat still in it. */
  readonly pot: Pot;
}

/** Points of the curve, from the pot as it steps; the meat is told apart from the pot, which may have lost it. */
export function recorder(
  curve: CurvePoint[],
  toughness: number,
  airKPa: number,
  offset: number,
  meat: (pot: Pot) => CookingBody | undefined = (pot) => pot.bodies[0],
): Follow {
  return ({ phase }, pot) => {
    const piece = meat(pot);
    const sealed = pot.pinIsUp && pot.temperatureC > pot.build.boilingC;
    curve.push({
      minute: pot.minutes + offset,
      liquidC: pot.temperatureC,
      coreC: piece ? piece.coreC : null,
      gaugeKPa: sealed ? Math.max(0, saturationPressureKPa(pot.temperatureC) - airKPa) : 0,
      phase,
      melted: piece ? meltedAt(piece, toughness, 0) : null,
      meltedRange: piece ? [meltedAt(piece, toughness, TENTH), meltedAt(piece, toughness, -TENTH)] : null,
    });
  };
}

/**
 * Runs the first run of a plan.
 *
 * @param plan the plan
 * @param piece its pieces
 * @param loaded the pot when its lid goes on, without the meat
 * @param minutes under pressure
 * @throws PlanError when the heater cannot bring the pot to pressure
 */
export function mainRun(plan: Plan, piece: Piece, loaded: Pot, minutes: number): MainRun {
  const toughness = toughnessOf(plan);
  const pot = loaded.clone();
  const lidOn = pot.minutes;
  pot.add(pieceBody(plan.meat, piece, START_C[plan.meat.startsFrom], { middle: true }));
  const curve: CurvePoint[] = [];
  const moments: BaseMoment[] = [];
  const history: Stretch[] = [];
  const draw = recorder(curve, toughness, pot.build.airKPa, -lidOn);
  const record: Follow = (stretch, now) => {
    draw(stretch, now);
    history.push(stretch);
    if (!COMING_UP.has(stretch.phase)) return;
    const [meat] = now.bodies;
    const juice = meat ? juiceMl(plan.meat, meat.body.heatK(), meat.meanCookValue()) : 0;
    moments.push({ minute: now.minutes - lidOn, liquidC: now.temperatureC, freeMl: now.liquidKgNow * 1000 + juice });
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
    moments,
    history,
    opened: { ...pot.accounts },
    pot,
  };
}
