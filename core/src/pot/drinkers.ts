import { grainById } from '../catalog/grains';
import { straightCookValue } from '../physics/cook-value';
import { uptakeShare } from './plant-water';
import type { Stretch } from './pressure-run';
import type { PortionId } from '../plan/portions';

interface Drinker {
  readonly portion: PortionId;
  /** All it takes up when it is cooked, ml. */
  readonly wantsMl: number;
  readonly grain: string;
  cookValue: number;
}

const drunkBy = ({ grain, wantsMl, cookValue }: Drinker): number => wantsMl * uptakeShare(grain, cookValue);

/** Grain, pulses and noodles in the pot: what they have taken up so far, as they cook. */
export class Drinkers {
  private readonly in: Drinker[] = [];

  /** Puts some in. */
  add(grains: readonly { readonly portion: PortionId; readonly grain: string; readonly grams: number }[]): void {
    for (const { portion, grain, grams } of grains) {
      this.in.push({ portion, grain, wantsMl: grams * grainById(grain).uptakeMlPerG, cookValue: 0 });
    }
  }

  get any(): boolean {
    return this.in.length > 0;
  }

  /** They go through a stretch of the pot. */
  readonly follow = ({ seconds, fromC, toC }: Stretch): void => {
    if (this.in.length === 0) return;
    const gained = straightCookValue(seconds / 60, fromC, toC);
    for (const drinker of this.in) drinker.cookValue += gained;
  };

  /** Taken up so far where there is enough, ml. */
  get drunkMl(): number {
    return this.in.reduce((sum, drinker) => sum + drunkBy(drinker), 0);
  }

  /** What each has drunk so far, ml. */
  get each(): ReadonlyMap<PortionId, number> {
    return new Map(this.in.map((drinker) => [drinker.portion, drunkBy(drinker)]));
  }

  /** A copy, for trying what comes next. */
  clone(): Drinkers {
    const copy = new Drinkers();
    copy.in.push(...this.in.map((drinker) => ({ ...drinker })));
    return copy;
  }
}
