import { UNDER_FOIL_W_PER_M2K } from './later-stages';
import { WET_SURFACE } from '../../meat/piece-body';
import type { Opened } from '../../method/figures';
import type { CookingBody } from '../../physics/cooking-body';
import type { Pot } from '../../pot/pot-model';
import { STANDING_OPEN, stepFor } from '../../pot/pressure-run';

/** Nobody waits longer for a pot to boil again, minutes. */
const LONGEST_TO_BOIL = 90;

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
  if (meat === 'back') pot.add(...out.map((body) => waited(body, minutes, pot.build.roomC)));
  const begin = pot.minutes;
  const on = { ...STANDING_OPEN, watts: pot.build.heaterW };
  stepFor(pot, LONGEST_TO_BOIL, on, undefined, () => pot.temperatureC >= pot.build.boilingC - 0.05);
  return pot.minutes - begin;
}

/** A cut that lay under foil for so long. */
function waited(body: CookingBody, minutes: number, roomC: number): CookingBody {
  const foil = body.withSurface(UNDER_FOIL_W_PER_M2K);
  foil.advance(minutes * 60, roomC, roomC);
  return foil.withSurface(WET_SURFACE);
}
