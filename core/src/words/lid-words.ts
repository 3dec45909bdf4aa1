import { lowered, quantity, say, type Text } from '@hervir/language/message';
import type { Fill } from '../pot/fill';

/** A sentence about a lid, with its name before it where it is not the first. */
export const atLid = (run: number, text: Text): Text =>
  run === 1 ? text : say('lid.at', { second: run === 2, run, text: lowered(text) });

/** How full a pot is at a lid. */
export function fillText(
  fill: Pick<Fill, 'litres' | 'limit' | 'over' | 'overflows'>,
  potLitres: number,
  run: number,
): Text {
  const line = fill.limit === 0.5 ? say('lid.half') : say('lid.two-thirds');
  const held = say('lid.in-a-pot-of', {
    litres: quantity('litres', fill.litres),
    potLitres: quantity('capacity', potLitres),
  });
  const most = quantity('litres', fill.limit * potLitres);
  if (!fill.over) return atLid(run, say('lid.under-its-line-at', { held, line, most }));
  return atLid(
    run,
    fill.overflows ? say('lid.it-does-not-go-in', { held }) : say('lid.over-the-line-and-at', { held, most, line }),
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
export function liquidText(liquid: LidLiquid, run: number): Text {
  const volume = (ml: number): Text => quantity('volume', ml);
  const { atLockMl, minimumMl, lowestMl, missingMl, level } = liquid;
  const missing = missingMl > 0 ? say('lid.are-missing-for-what-drinks', { missingMl: volume(missingMl) }) : '';
  switch (level) {
    case 'short':
      return atLid(
        run,
        say('lid.less-than-the-cookers-minimum', { atLockMl: volume(atLockMl), minimumMl: volume(minimumMl), missing }),
      );
    case 'dry':
      return atLid(
        run,
        say('lid.it-runs-dry-before-the', { atLockMl: volume(atLockMl), lowestMl: volume(lowestMl), missing }),
      );
    case 'ok':
      return atLid(
        run,
        say('lid.of-free-liquid-when-the', {
          atLockMl: volume(atLockMl),
          lowestMl: volume(lowestMl),
          minimumMl: volume(minimumMl),
          missing,
        }),
      );
  }
}
