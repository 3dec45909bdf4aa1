import { grainById } from '../larder/grains';
import { straightCookValue } from '../physics/cook-value';
import type { Stretch } from './pressure-run';
import type { PortionId } from '../plan/portions';

interface Drinker {
  readonly portion: PortionId;
  /** All it takes up when it is cooked, ml. */
  readonly wantsMl: number;
  /** Cook value at which it has it. */
  readonly cookedAt: number;
  cookValue: number;
}

/** Grain, pulses and noodles in the pot: what they have taken up so far, as they cook. */
export class Drinkers {
  private readonly in: Drinker[] = [];

  /** Puts some in. */
  add(grains: readonly { readonly portion: PortionId; readonly grain: string; readonly grams: number }[]): void {
    for (const { portion, grain, grams } of grains) {
      const { uptakeMlPerG, boilMinutes } = grainById(grain);
      this.in.push({ portion, wantsMl: grams * uptakeMlPerG, cookedAt: boilMinutes[0], cookValue: 0 });
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
    return this.in.reduce(
      (sum, { wantsMl, cookValue, cookedAt }) => sum + wantsMl * Math.min(1, cookValue / cookedAt),
      0,
    );
  }

  /** What each has drunk so far, ml. */
  get each(): ReadonlyMap<PortionId, number> {
    return new Map(
      this.in.map(({ portion, wantsMl, cookValue, cookedAt }) => [
        portion,
        wantsMl * Math.min(1, cookValue / cookedAt),
      ]),
    );
  }

  /** A copy, for trying what comes next. */
  clone(): Drinkers {
    const copy = new Drinkers();
    copy.in.push(...this.in.map((drinker) => ({ ...drinker })));
    return copy;
  }
}
