import { portionAt, portionsOf } from '../../plan/portions';
import { grainCookValue } from '../../stations/doneness';
import type { PlantShares } from '../../pot/ledger';
import { uptakeShare, waterOutShare } from '../../pot/plant-water';
import { resting } from './later-stages';
import type { Evening } from './evening';

/** Fat taken off, starch stirred in: what is in the pot cooks on, minutes. Common practice. */
const FINISH_MINUTES = 6;

/** How much of its water each plant of an evening gives off, or takes up, by the time it is done. */
export function plantShares({ resolved, staging, run, later, lastPot }: Evening): PlantShares {
  const items = staging.stages.flatMap(({ items: here }) => here);
  const cooked = new Map(items.map(({ portion, cookValue }) => [portion, cookValue]));
  const portions = portionsOf(resolved);
  const stages = later.map(({ standing, history }) => grainCookValue(standing) + grainCookValue(history));
  let finished: number | null = null;
  const finish = (): number => (finished ??= grainCookValue(resting(lastPot, FINISH_MINUTES, 0)));
  /** What cooks on in the pot after its stage: grain through all that follows, vegetables where they are not lifted out. */
  const after = (kind: 'vegetable' | 'grain', place = ''): number => {
    const at = later.findIndex(({ id }) => id === place);
    if (at < 0) return 0;
    if (kind === 'grain') return stages.slice(at + 1).reduce((sum, value) => sum + value, finish());
    return at === later.length - 1 && resolved.servedFrom === 'pot' ? finish() : 0;
  };
  const cookValue = (kind: 'vegetable' | 'grain', at: number): number => {
    const places = kind === 'grain' ? resolved.grains : resolved.vegetables;
    // What nothing is known of has had its time.
    const own = cooked.get(portionAt(portions, kind, at)?.id ?? '') ?? Infinity;
    return own + after(kind, places[at]?.place);
  };
  const aromatic = (at: number): number => {
    const { stage } = resolved.aromatics[at] ?? {};
    const from = stage === undefined ? 0 : later.findIndex(({ id }) => id === stage);
    // Off the heat an onion gives nothing.
    if (from < 0) return 0;
    const under = stage === undefined ? grainCookValue(run.history) : 0;
    return stages.slice(from).reduce((sum, value) => sum + value, under);
  };
  return {
    vegetable: (at) => waterOutShare(cookValue('vegetable', at)),
    aromatic: (at) => waterOutShare(aromatic(at)),
    grain: (at) => uptakeShare(resolved.grains[at]?.grain ?? '', cookValue('grain', at)),
  };
}
