import { joined, lowered, quantity, say } from '@hervir/language/message';
import { wholeMinutes } from '../../units/round';
import { starchFor } from '../../stations/sauce';
import { thickenerById } from '../../catalog/thickeners';
import type { RescueFrom, RescueText } from './rescue-from';

/** Not there yet. */
export function stillTooTough({ f, cook }: RescueFrom): RescueText {
  const more = cook?.more ?? null;
  return {
    steps: [
      say('rescue-food.try-a-second-piece-the'),
      more
        ? say('rescue-food.lid-back-on-min-more', {
            minutes: more.minutes,
            reheatMinutes: Math.round(more.reheatMinutes),
            value: wholeMinutes(more.releaseMinutes),
          })
        : say('rescue-food.lid-back-on-for-a'),
      say('rescue-food.look-at-the-liquid-first'),
      say('rescue-food.vegetables-that-are-done-come'),
      say('rescue-food.no-time-slice-it-thin'),
    ],
    why: [
      more?.text ??
        (f
          ? say('rescue-food.reckoned-for-as-much-as', {
              cookValueMean: f.tenderness.cookValueMean,
              temperature: quantity('temperature', 100),
            })
          : say('rescue-food.collagen-melts-by-temperature-and')),
    ],
  };
}

const COATING_ML = 240;

/** It does not coat. */
export function tooThin({ f }: RescueFrom): RescueText {
  const ml = f?.finish.sauceMl ?? COATING_ML;
  const { grams, waterMl } = starchFor('cornstarch', 'coating', ml);
  const { name } = thickenerById('cornstarch');
  return {
    steps: [
      say('rescue-food.meat-and-vegetables-out-first'),
      say('rescue-food.stir-of-into-of-cold', {
        grams: quantity('mass', grams),
        name,
        waterMl: quantity('volume', waterMl),
        ml: quantity('volume', ml),
      }),
      say('rescue-food.or-reduce-on-full-heat', {
        known: Boolean(f),
        volume: quantity('volume', Math.max(1, (f?.plan.cooker.watts ?? 0) * 0.02)),
      }),
      say('rescue-food.or-blend-in-a-cup'),
      say('rescue-food.ten-minutes-rest-thickens-it'),
    ],
    why: [say('rescue-food.meat-gives-a-fifth-of')],
  };
}

/** Nobody will pour so much. */
export function tooMuch({ f }: RescueFrom): RescueText {
  const spare = f ? f.finish.sauceMl - 80 * f.plan.servings : 0;
  return {
    steps: [
      spare > 50
        ? say('rescue-food.ladle-about-out-that-leaves', {
            spare: quantity('volume', Math.round(spare / 50) * 50),
            volume: quantity('volume', 80),
          })
        : say('rescue-food.ladle-out-what-is-over'),
      say('rescue-food.thicken-or-reduce-only-what'),
      say('rescue-food.what-was-ladled-out-is'),
      f
        ? say('rescue-food.next-time-pour-less-this', { minimumMl: quantity('volume', f.liquid.minimumMl) })
        : say('rescue-food.next-time-pour-less-the'),
    ],
    why: f
      ? [
          say('rescue-food.free-at-the-start-became', {
            freeAtStartMl: quantity('volume', f.liquid.freeAtStartMl),
            freeAtEndMl: quantity('volume', f.liquid.freeAtEndMl),
          }),
        ]
      : [say('rescue-food.the-meats-own-juice-comes')],
  };
}

/** Too much salt. */
export function tooSalty({ f }: RescueFrom): RescueText {
  return {
    steps: [
      say('rescue-food.ladle-a-third-of-the', {
        known: Boolean(f),
        third: quantity('volume', (f?.finish.sauceMl ?? 0) / 3),
      }),
      say('rescue-food.thicken-again-for-the-new'),
      say('rescue-food.something-unsalted-takes-it-up'),
      say('rescue-food.a-little-acid-or-cream'),
      say('rescue-food.next-time-salt-last-by'),
    ],
    why: [say('rescue-food.salt-stays-when-water-goes')],
  };
}

/** The vegetables need longer than the meat. */
export function vegetablesRaw({ f }: RescueFrom): RescueText {
  const raw = f?.stages.flatMap(({ items }) => items).filter(({ vegetable }) => vegetable !== undefined) ?? [];
  return {
    steps: [
      say('rescue-food.meat-out-under-foil'),
      say('rescue-food.cut-the-pieces-in-half'),
      say('rescue-food.two-minutes-under-pressure-again'),
      say('rescue-food.or-into-a-covered-bowl'),
      ...(raw.length > 0
        ? [
            say('rescue-food.in-this-pot-smaller-next', {
              list: joined(
                raw.map(({ name, sizeCm }) => joined([lowered(name), quantity('length', sizeCm)], ', ')),
                '; ',
              ),
            }),
          ]
        : []),
    ],
    why: [say('rescue-food.a-piece-twice-as-thick')],
  };
}

/** Tender and dry. */
export function meatDry({ f }: RescueFrom): RescueText {
  const past = f?.tenderness.grade === 'threads';
  return {
    steps: [
      say('rescue-food.slice-it-thin-across-the'),
      say('rescue-food.a-spoon-of-its-own'),
      say('rescue-food.serve-it-under-the-sauce'),
      past ? say('rescue-food.fewer-minutes-next-time-it') : say('rescue-food.next-time-let-it-down'),
      say('rescue-food.a-marbled-cut-or-a'),
    ],
    why: [say('rescue-food.juice-is-lost-by-temperature')],
  };
}
