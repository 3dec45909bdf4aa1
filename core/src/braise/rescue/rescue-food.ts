import { starchFor } from '../../stations/sauce';
import { thickenerById } from '../../larder/thickeners';
import type { RescueFrom, RescueText } from './rescue-from';

/** Not there yet. */
export function stillTooTough({ f, print, cook }: RescueFrom): RescueText {
  const more = cook?.more ?? null;
  return {
    steps: [
      'Try a second piece, the thickest: the middle is the last to be done.',
      more
        ? `Lid back on: ${more.minutes} min more under pressure. ${Math.round(more.reheatMinutes)} min to come up again, ${Math.max(1, Math.round(more.releaseMinutes))} to vent.`
        : 'Lid back on for a quarter of the minutes it has had, at least eight, and a quick release.',
      'Look at the liquid first: under the minimum, pour more, hot.',
      'Vegetables that are done come out before.',
      'No time: slice it thin across the grain and simmer the slices in the sauce.',
    ],
    why: [
      more?.text ??
        (f
          ? `Reckoned for as much as ${f.tenderness.cookValueMean.toFixed(0)} minutes at ${print.quantity('temperature', 100)} do, on average; animals differ by a fifth either way, and the middle of a thick piece lags.`
          : 'Collagen melts by temperature and time; animals differ by a fifth either way, and the middle of a thick piece lags.'),
    ],
  };
}

const COATING_ML = 240;

/** It does not coat. */
export function tooThin({ f, print }: RescueFrom): RescueText {
  const ml = f?.finish.sauceMl ?? COATING_ML;
  const { grams, waterMl } = starchFor('cornstarch', 'coating', ml);
  const { name } = thickenerById('cornstarch');
  return {
    steps: [
      'Meat and vegetables out first: they would go on cooking.',
      `Stir ${print.quantity('mass', grams)} of ${name} into ${print.quantity('volume', waterMl)} of cold water, pour it in, boil a minute: coats ${print.quantity('volume', ml)}.`,
      `Or reduce on full heat, lid off: ${f ? `this pot boils away about ${print.quantity('volume', Math.max(1, f.plan.cooker.watts * 0.02))} a minute` : 'about a spoon and a half a minute at 1 kW'}.`,
      'Or blend in a cup of the soft vegetables: half full at most, lid vented, a cloth over it.',
      'Ten minutes’ rest thickens it too. Salt only now.',
    ],
    why: ['Meat gives a fifth of its weight in juice, and under a lid nothing boils away.'],
  };
}

/** Nobody will pour so much. */
export function tooMuch({ f, print }: RescueFrom): RescueText {
  const spare = f ? f.finish.sauceMl - 80 * f.plan.servings : 0;
  return {
    steps: [
      spare > 50
        ? `Ladle about ${print.quantity('volume', Math.round(spare / 50) * 50)} out: that leaves ${print.quantity('volume', 80)} a plate.`
        : 'Ladle out what is over a small cup a plate.',
      'Thicken or reduce only what stays: a third of the work.',
      'What was ladled out is broth: fridge 3 to 4 days, freezer 2 to 3 months.',
      f
        ? `Next time pour less: this cooker needs ${print.quantity('volume', f.liquid.minimumMl)} at the start.`
        : 'Next time pour less: the cooker’s minimum, with what the meat gives, is enough.',
    ],
    why: f
      ? [
          `${print.quantity('volume', f.liquid.freeAtStartMl)} free at the start became ${print.quantity('volume', f.liquid.freeAtEndMl)}: the rest is the meat’s own juice.`,
        ]
      : ['The meat’s own juice comes on top of what is poured.'],
  };
}

/** Too much salt. */
export function tooSalty({ f, print }: RescueFrom): RescueText {
  return {
    steps: [
      `Ladle a third of the sauce out${f ? `, ${print.quantity('volume', f.finish.sauceMl / 3)},` : ''} and put unsalted stock or water in its place.`,
      'Thicken again for the new volume, without salt.',
      'Something unsalted takes it up on the plate: polenta, mash, rice, beans.',
      'A little acid or cream hides some of it; a potato does not draw it out.',
      'Next time salt last, by taste: a sauce that reduces gets saltier.',
    ],
    why: ['Salt stays when water goes: half the sauce is twice as salty. Bought stock and cured meat bring their own.'],
  };
}

/** The vegetables need longer than the meat. */
export function vegetablesRaw({ f, print }: RescueFrom): RescueText {
  const raw = f?.stages.flatMap(({ items }) => items).filter(({ vegetable }) => vegetable !== undefined) ?? [];
  return {
    steps: [
      'Meat out, under foil.',
      'Cut the pieces in half: half as thick is done in a third of the time.',
      'Two minutes under pressure again and a quick release; or five to ten at a simmer, lid on.',
      'Or into a covered bowl with a spoon of water, in a microwave oven, four minutes.',
      ...(raw.length > 0
        ? [
            `In this pot: ${raw.map(({ name, sizeCm }) => `${name.toLowerCase()}, ${print.quantity('length', sizeCm)}`).join('; ')}. Smaller next time.`,
          ]
        : []),
    ],
    why: ['A piece twice as thick takes nearly four times as long to be warm in the middle.'],
  };
}

/** Tender and dry. */
export function meatDry({ f }: RescueFrom): RescueText {
  const past = f?.tenderness.grade === 'threads';
  return {
    steps: [
      'Slice it thin across the grain, or pull it, and lay it in the hot sauce for ten minutes.',
      'A spoon of its own fat, or butter, into the sauce.',
      'Serve it under the sauce, not beside it.',
      past
        ? 'Fewer minutes next time: it has melted past what it was meant for.'
        : 'Next time let it down naturally: a quick release boils the juice out of it.',
      'A marbled cut, or a larger piece, keeps more.',
    ],
    why: ['Juice is lost by temperature and time: longer makes it softer, never wetter.'],
  };
}
