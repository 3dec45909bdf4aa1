import type { Fill } from '../pot/fill';
import { lowerFirst } from '../units/list';
import type { Printer } from '../units/quantity';

/** "At the second lid": nothing before the first, which needs no name. */
const which = (run: number): string => (run === 1 ? '' : run === 2 ? 'At the second lid: ' : `At lid ${run}: `);

/** A sentence about a lid, with its name before it where it is not the first. */
export const atLid = (run: number, text: string): string => (run === 1 ? text : `${which(run)}${lowerFirst(text)}`);

/** How full a pot is at a lid. */
export function fillText(
  fill: Pick<Fill, 'litres' | 'limit' | 'over' | 'overflows'>,
  potLitres: number,
  run: number,
  print: Printer,
): string {
  const line = fill.limit === 0.5 ? 'half' : 'two thirds';
  const held = `${print.litres(fill.litres)} in a pot of ${print.litres(potLitres)}`;
  const most = print.litres(fill.limit * potLitres);
  if (!fill.over) return atLid(run, `${held}: under its line at ${line}, ${most}.`);
  return atLid(
    run,
    fill.overflows ? `It does not go in: ${held}.` : `Over the line: ${held}, and at most ${most}, ${line} of it.`,
  );
}

/** The free liquid of a lid, for its words. */
interface LidLiquid {
  readonly atLockMl: number;
  readonly minimumMl: number;
  readonly lowestMl: number;
  readonly missingMl: number;
  readonly level: 'ok' | 'short' | 'dry';
}

/** The free liquid at a lid, and what is missing. */
export function liquidText(liquid: LidLiquid, run: number, print: Printer): string {
  const volume = (ml: number): string => print.quantity('volume', ml);
  const { atLockMl, minimumMl, lowestMl, missingMl, level } = liquid;
  const missing = missingMl > 0 ? ` ${volume(missingMl)} are missing for what drinks in it: it stays hard.` : '';
  switch (level) {
    case 'short':
      return atLid(
        run,
        `Less than the cooker’s minimum: ${volume(atLockMl)} of free liquid, and it wants ${volume(minimumMl)}.${missing}`,
      );
    case 'dry':
      return atLid(
        run,
        `It runs dry before the pin falls: ${volume(atLockMl)} when the lid goes on, ${volume(lowestMl)} at the least.${missing}`,
      );
    case 'ok':
      return atLid(
        run,
        `${volume(atLockMl)} of free liquid when the lid goes on, ${volume(lowestMl)} at the least; the cooker wants ${volume(minimumMl)}.${missing}`,
      );
  }
}
