import { untilItBoils } from '../../pot/later-stage';
import { underFoil } from './later-stages';
import { WET_SURFACE } from '../../meat/piece-body';
import type { Opened } from '../../method/figures';
import type { Pot } from '../../pot/pot-model';
import { STANDING_OPEN, stepFor } from '../../pot/pressure-run';

/**
 * Minutes for an opened pot to boil again on full heat: it has cooled while the fat was taken off, and the meat in it takes
 * its share.
 *
 * @param last the pot when its last stage was over, with the meat that was in it
 * @param opened how long it has stood open, what was ladled out and where the meat is
 * @returns 0 where it boils still
 */
export function boilsAgain(last: Pot, { minutes, ladledMl, meat }: Opened): number {
  const pot = last.clone();
  const out = meat === 'in' ? [] : pot.takeOut();
  pot.ladle(ladledMl / 1000);
  stepFor(pot, minutes, STANDING_OPEN);
  if (meat === 'back')
    pot.add(...out.map((body) => underFoil(body, minutes, pot.build.roomC).withSurface(WET_SURFACE)));
  return untilItBoils(pot);
}
