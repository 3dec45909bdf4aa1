import type { Text } from '@hervir/language/message';
import { aromaticKind } from '../catalog/aromatics';
import { grainById } from '../catalog/grains';
import { vegetableById } from '../catalog/vegetables';
import { straightCookValue } from '../physics/cook-value';
import type { CookingBody } from '../physics/cooking-body';
import type { Plan } from '../plan/plan';
import { stageOf } from '../plan/stage-settings';
import type { Portion, PortionId } from '../plan/portions';
import { uptakeShare, waterOutShare } from '../pot/plant-water';
import type { Stretch } from '../pot/pressure-run';
import { advanceThrough, vegetableRider } from '../stations/doneness';

/** A vegetable or a grain of the plan. */
export interface Plant {
  readonly portion: PortionId;
  readonly kind: 'vegetable' | 'grain';
  readonly id: string;
  /** As the cook calls it. */
  readonly name: Text;
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

const cookedApart = (plan: Plan, place: string): boolean =>
  place !== 'start' && place !== 'flavour-only' && stageOf(plan, place).kind === 'apart';

/** Vegetables, grain and aromatics of a simulated kitchen: what each has been through, given off and drunk. */
export class Plants {
  readonly all: readonly Plant[];
  private readonly riders = new Map<Plant, CookingBody>();
  /** Aromatics that are in the pot, and what they have been through. */
  private readonly aromatics = new Map<PortionId, { grams: number; juiceShare: number; cookValue: number }>();

  constructor(
    private readonly plan: Plan,
    portions: readonly Portion[],
    sizes: ReadonlyMap<PortionId, number>,
  ) {
    this.all = portions.flatMap(({ id: portion, kind, index, food, name, grams }): Plant[] => {
      const id = food ?? '';
      const rest = { portion, id, name, grams: grams ?? 0, where: 'bowl' as const, cookValue: 0, inAt: null };
      if (kind === 'grain') return [{ ...rest, kind, sizeCm: 0, place: plan.grains[index]?.place ?? 'start' }];
      const item = plan.vegetables[index];
      if (kind !== 'vegetable' || !item) return [];
      const sizeCm = item.sizeCm ?? sizes.get(portion) ?? vegetableById(id).usualCm;
      return [{ ...rest, kind, sizeCm, place: item.place }];
    });
  }

  of(portion: PortionId): Plant | undefined {
    return this.all.find((plant) => plant.portion === portion);
  }

  /** Puts one in; false where it is in, or out, already. */
  putIn(plant: Plant, atS: number): boolean {
    if (plant.where !== 'bowl') return false;
    plant.where = 'pot';
    plant.inAt = atS;
    if (plant.kind === 'vegetable') this.riders.set(plant, vegetableRider(plant.id, plant.sizeCm));
    return true;
  }

  /** Puts an aromatic in, or takes it out again. */
  aromatic(portion: PortionId, index: number, isIn: boolean): void {
    const item = this.plan.aromatics[index];
    if (!item || !isIn) this.aromatics.delete(portion);
    else if (!this.aromatics.has(portion)) {
      const { juiceShare } = aromaticKind(item.ingredient);
      this.aromatics.set(portion, { grams: item.grams, juiceShare, cookValue: 0 });
    }
  }

  /** What is in the pot goes through a stretch with it. */
  advanceAlongside(stretch: Stretch): void {
    const { seconds, fromC, toC } = stretch;
    const gained = straightCookValue(seconds / 60, fromC, toC);
    for (const plant of this.all) {
      if (plant.where !== 'pot') continue;
      const rider = this.riders.get(plant);
      plant.cookValue = rider ? advanceThrough(rider, [stretch]).meanCookValue() : plant.cookValue + gained;
    }
    for (const aromatic of this.aromatics.values()) aromatic.cookValue += gained;
  }

  /** Water of vegetables and aromatics so far, ml. */
  get juiceMl(): number {
    const vegetables = this.all
      .filter(({ kind, inAt }) => kind === 'vegetable' && inAt !== null)
      .reduce(
        (sum, { id, grams, cookValue }) => sum + grams * vegetableById(id).juiceShare * waterOutShare(cookValue),
        0,
      );
    return [...this.aromatics.values()].reduce(
      (sum, { grams, juiceShare, cookValue }) => sum + grams * juiceShare * waterOutShare(cookValue),
      vegetables,
    );
  }

  /** What grain has drunk where there is enough, ml. */
  get drunkMl(): number {
    return (
      this.all
        // Cooked apart, it has drunk already.
        .filter(({ kind, inAt, place }) => kind === 'grain' && inAt !== null && !cookedApart(this.plan, place))
        .reduce(
          (sum, { id, grams, cookValue }) => sum + grams * grainById(id).uptakeMlPerG * uptakeShare(id, cookValue),
          0,
        )
    );
  }

  /** Grain stirred in that lies in the pot, for what settles on its base. */
  get grainsIn(): Plan['grains'] {
    return this.plan.grains.filter((_, index) =>
      this.all.some((plant) => plant.kind === 'grain' && plant.where === 'pot' && this.indexOf(plant) === index),
    );
  }

  private indexOf(plant: Plant): number {
    return this.all.filter(({ kind }) => kind === plant.kind).indexOf(plant);
  }
}
