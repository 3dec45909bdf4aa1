import type { Plan } from '../plan/plan';
import type { PortionId } from '../plan/portions';
import { chargesOf, type Charge } from '../pot/charge';
import { PASTE_J_PER_KG_K } from '../pot/loading';
import type { Pot } from '../pot/pot-model';
import { LITTLE, type FaultId } from './faults';

/** What is poured, spooned and strewn into a simulated pot, and what of it thickens. */
export class Poured {
  private readonly charges: readonly Charge[];
  private readonly done = new Set<PortionId>();
  /** What keeps the liquid from moving, and what binds a sauce, grams of cornstarch. */
  private stirredG = 0;
  private boundG = 0;
  private onTop: Charge[] = [];

  constructor(
    plan: Plan,
    private readonly faults: ReadonlySet<FaultId>,
  ) {
    this.charges = chargesOf(plan);
  }

  has(portion: PortionId): boolean {
    return this.charges.some((charge) => charge.portion === portion);
  }

  /** Pours or spoons a portion in, once; what is laid on top stays there until it is stirred down. */
  pour(portion: PortionId, pot: Pot): void {
    const charge = this.charges.find((one) => one.portion === portion);
    if (!charge || this.done.has(portion)) return;
    this.done.add(portion);
    const early = charge.stage === 'deglaze' || charge.stage === 'load' || charge.stage === 'on-top';
    const share = early && this.faults.has('little-liquid') ? LITTLE : 1;
    if (charge.stage === 'on-top' && !this.faults.has('paste-stirred')) {
      pot.pour(0, charge.temperatureC, (charge.volumeMl / 1000) * PASTE_J_PER_KG_K);
      this.onTop.push(charge);
      return;
    }
    pot.pour((charge.waterMl / 1000) * share, charge.temperatureC);
    this.stirredG += charge.starchG;
    this.boundG += charge.bindsG;
  }

  /** What lay on top goes into the liquid. */
  stirDown(pot: Pot): void {
    for (const { waterMl, starchG, bindsG } of this.onTop) {
      pot.pour(waterMl / 1000, pot.temperatureC);
      this.stirredG += starchG;
      this.boundG += bindsG;
    }
    this.onTop = [];
  }

  /** Starch and water from elsewhere: a slurry. */
  stirIn(starchG: number): void {
    this.stirredG += starchG;
    this.boundG += starchG;
  }

  /** What binds the sauce, g: what was stirred in, and what lies on top once it is opened. */
  bindsG(melted: number): number {
    return this.boundG + melted * this.onTop.reduce((sum, { bindsG }) => sum + bindsG, 0);
  }

  /** Starch in the liquid, g: what was stirred in, and a share of what lies on top. */
  starchG(melted: number): number {
    return this.stirredG + melted * this.onTop.reduce((sum, { starchG }) => sum + starchG, 0);
  }

  /** Water of what lies on top, ml. */
  get onTopMl(): number {
    return this.onTop.reduce((sum, { waterMl }) => sum + waterMl, 0);
  }
}
