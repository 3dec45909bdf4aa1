import { meatsOf } from '../plan/meats';
import { pieceOf, type Piece } from '../meat/piece';
import { pieceBody, START_C, WET_SURFACE } from '../meat/piece-body';
import { bonelessGrams, fatMl, juiceMl } from '../meat/yield';
import type { CookingBody } from '../physics/cooking-body';
import type { Meat, Plan } from '../plan/plan';
import type { Portion, PortionId } from '../plan/portions';
import type { Pot } from '../pot/pot-model';
import { UNDER_FOIL_W_PER_M2K } from '../braise/forecast/later-stages';
import { SEAR_LOSS } from '../stations/plate';

/** Where the meat is. */
export type MeatPlace = 'board' | 'base' | 'plate' | 'pot' | 'foil';

/** One cut in the kitchen. */
interface Cut {
  readonly portion: PortionId;
  readonly meat: Meat;
  readonly piece: Piece;
  body: CookingBody | null;
  at: MeatPlace;
  /** Let go by the time it was lifted out, ml. */
  juice: number;
}

/** The cuts of a simulated kitchen: where each is, and what it has let go of. */
export class Meats {
  private readonly cuts: Cut[];
  /** Cuts in the pot, in the order of its bodies. */
  private inPot: Cut[] = [];

  constructor(plan: Plan, portions: readonly Portion[]) {
    this.cuts = meatsOf(plan).flatMap((meat, i) => {
      const portion = portions.find(({ kind, index }) => kind === 'meat' && index === i);
      const piece = pieceOf(meat);
      return portion ? [{ portion: portion.id, meat, piece, body: null, at: 'board' as const, juice: 0 }] : [];
    });
  }

  /** The plan's own cut. */
  get first(): Cut {
    return this.cuts[0] as Cut;
  }

  has(portion: PortionId): boolean {
    return this.cuts.some((cut) => cut.portion === portion);
  }

  of(portion: PortionId): Cut {
    return this.cuts.find((cut) => cut.portion === portion) ?? this.first;
  }

  /** Those in the pot, the flat ones of which lie on its base. */
  get inside(): readonly Cut[] {
    return this.inPot;
  }

  /** Puts one in, raw or from under its foil. */
  putIn(portion: PortionId, pot: Pot, startC?: number): void {
    const cut = this.of(portion);
    if (cut.at === 'pot') return;
    cut.body =
      cut.body === null
        ? pieceBody(cut.meat, cut.piece, startC ?? START_C[cut.meat.startsFrom], { middle: true })
        : cut.body.withSurface(WET_SURFACE);
    pot.add(cut.body);
    this.inPot = [...this.inPot, cut];
    cut.at = 'pot';
  }

  /** Lifts one out, under foil. */
  liftOut(portion: PortionId, pot: Pot): void {
    const cut = this.of(portion);
    if (cut.at !== 'pot' || !cut.body) return;
    cut.juice = this.juiceOf(cut);
    const others = this.inPot.filter((one) => one !== cut);
    pot.takeOut();
    pot.add(...others.flatMap(({ body }) => body ?? []));
    this.inPot = others;
    cut.body = cut.body.withSurface(UNDER_FOIL_W_PER_M2K);
    cut.at = 'foil';
  }

  /** What waits under foil cools in the kitchen's air. */
  waits(seconds: number, roomC: number): void {
    for (const { at, body } of this.cuts) if (at === 'foil') body?.advance(seconds, roomC, roomC);
  }

  private juiceOf({ at, body, meat, juice }: Cut): number {
    if (at === 'foil' || !body) return juice;
    // What it has let go of it does not take back as it cools.
    return at === 'pot' ? Math.max(juice, juiceMl(meat, body.body.heatK(), body.meanCookValue())) : 0;
  }

  /** Juice let go so far, ml. */
  get juiceMl(): number {
    return this.cuts.reduce((sum, cut) => sum + this.juiceOf(cut), 0);
  }

  /** Boneless meat of the plan's own cut as a scale would show it now, g. */
  grams(seared: boolean): number {
    const { meat, body } = this.first;
    const raw = bonelessGrams(meat);
    if (!body) return Math.max(0, meat.grams - meat.trimGrams);
    const rendered = fatMl(meat) * -Math.expm1(-body.meanCookValue() / 60);
    return raw - this.juiceOf(this.first) - rendered - (seared ? raw * SEAR_LOSS : 0);
  }
}
