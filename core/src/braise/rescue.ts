import type { Printer } from '../units/quantity';
import type { Forecast } from './forecast-document';

/** What can go wrong that has its own page of steps. */
export const RESCUE_TOPICS = ['burn', 'pin-will-not-rise', 'boils-dry', 'crowded-and-grey'] as const;
export type RescueTopic = (typeof RESCUE_TOPICS)[number];

/** What to do, first to last; reasons after. */
export interface Rescue {
  readonly topic: RescueTopic;
  readonly title: string;
  /** How to know that this is it. */
  readonly sign: string;
  readonly caution: string;
  readonly steps: readonly string[];
  readonly why: readonly string[];
}

export const RESCUE_TITLES: Readonly<Record<RescueTopic, { readonly title: string; readonly sign: string }>> = {
  burn: {
    title: 'Burn error, or it smells of scorching',
    sign: 'The pot says burn or hot and stops; or a sharp smell',
  },
  'pin-will-not-rise': { title: 'The pin will not rise', sign: 'Steam for minutes, or none at all, and no pin' },
  'boils-dry': { title: 'It is boiling dry', sign: 'Much steam for a long time; a hiss at the base' },
  'crowded-and-grey': { title: 'The meat is grey and wet', sign: 'It simmers in its juice instead of browning' },
};

const LID =
  'Never force the lid: wait for the pin to fall, hands and face away from the valve, and tilt it away from you. Your cooker’s manual comes first.';

function burn(f: Forecast | null, print: Printer): Pick<Rescue, 'steps' | 'why'> {
  const stovetop = f?.plan.cooker.kind === 'stovetop';
  const steps = [
    stovetop ? 'Heat off. Lift the pot off the burner.' : 'Press cancel. Leave the lid locked.',
    'Let the pressure down as the manual says; wait for the pin.',
    'Lid off, away from you. Lift the meat out onto a plate.',
    'Taste a spoon of the sauce. Bitter: pour it off into another pot without scraping, and do not use what sticks.',
    'Not bitter: pour the liquid into a bowl, and scrape the base clean with hot water and a wooden edge.',
  ];
  const thick = f?.burn.causes.some(({ cause }) => cause === 'thickened') === true;
  const dry = f ? f.liquid.belowMinimum || f.burn.causes.some(({ cause }) => cause === 'dry') : false;
  const grain = f?.burn.causes.some(({ cause }) => cause === 'grain') === true;
  if (thick) steps.push('Leave the thick part out: it goes back on top, not stirred, or after the pressure.');
  if (grain) steps.push('Lift the grain off the base and level it on top of the meat.');
  if (f) {
    steps.push(
      `Liquid back in, and ${dry || thick ? `${print.quantity('volume', Math.max(120, f.liquid.minimumMl / 2))} of water with it` : 'a splash of water with it'}: at least ${print.quantity('volume', f.liquid.minimumMl)} in all.`,
    );
    const done = f.tenderness.minutesToSafe;
    steps.push(
      done === null
        ? 'Meat back on top, and go on at once: partly cooked meat is never put aside.'
        : `Meat back on top, and go on at once. The middle is past ${print.quantity('temperature', 63)} about ${Math.round(done)} min after the lid first went on; before that, partly cooked meat is never put aside.`,
    );
  } else {
    steps.push('Liquid back in with a splash of water: at least the cooker’s minimum. Meat on top, and go on at once.');
  }
  steps.push('Count the minutes it was under pressure as done; add the rest.');
  const why = f
    ? [f.burn.text, ...f.burn.causes.map(({ text, kelvin }) => `${text}: +${print.rise(kelvin)}.`)]
    : [
        'The base gets hotter than the liquid when something sticks to it, when the liquid is thick, or when there is too little of it.',
      ];
  return { steps, why };
}

function noPin(f: Forecast | null, print: Printer): Pick<Rescue, 'steps' | 'why'> {
  return {
    steps: [
      'Look at the valve first: is it closed? Close it with a spoon handle, not with your hand over it.',
      'Steam from under the rim: heat off, let it cool a little, lid off; seat the gasket, wipe the rim, lock again.',
      'No steam at all: give it time.' +
        (f
          ? ` This pot needs about ${Math.round(f.pot.minutesToPin)} min to the pin with this load.`
          : ' A full, cold pot needs twenty minutes and more.'),
      `After ${f ? Math.round(f.pot.minutesToPin * 1.5) : 30} min without a pin: heat off, open, and measure the liquid. Under ${f ? print.quantity('volume', f.liquid.minimumMl) : 'the minimum'}: pour more.`,
      'Still nothing: check the pin for food, and the gasket for cracks, as the manual shows. Finish the braise at a simmer with the lid ajar meanwhile.',
    ],
    why: f
      ? [
          `${Math.round(f.plan.cooker.watts)} W have ${print.litres(f.fill.litres)} to heat: ${Math.round(f.pot.minutesToPin)} min to the pin, ${Math.round(f.pot.minutesToPressure)} to full pressure.`,
        ]
      : ['An open valve is the commonest mistake; a gasket that does not sit is the next.'],
  };
}

function dry(f: Forecast | null, print: Printer): Pick<Rescue, 'steps' | 'why'> {
  return {
    steps: [
      'Heat off now.',
      'Do not pour cold water on a dry, smoking base: let it stand a minute.',
      'Wait for the pin, open away from you, and look: brown is fine, black is not.',
      `Pour hot water or stock up to ${f ? print.quantity('volume', Math.max(f.liquid.minimumMl, f.liquid.freeAtStartMl)) : 'the minimum and a cup over'}; scrape.`,
      'Valve closed, gasket seated, lid locked; then heat again.',
    ],
    why: f
      ? [
          `A closed pot loses little: about ${print.quantity('volume', -f.liquid.entries.filter((e) => e.stage === 'heating').reduce((s, e) => s + e.ml, 0))} before the pin. More means the valve is open or the gasket leaks.`,
        ]
      : ['A closed pot loses only a few spoons before the pin. More means the valve is open or the gasket leaks.'],
  };
}

function grey(f: Forecast | null): Pick<Rescue, 'steps' | 'why'> {
  return {
    steps: [
      'Meat out onto a plate, all of it; keep the juice.',
      'Pour the juice off into a cup. Let the base come back to full heat, two minutes, and a spoon of oil.',
      f && f.sear.batches > 0
        ? `Dry the meat and sear ${f.sear.batchSizes.join(', then ')} ${f.sear.perBatch === 1 ? 'piece' : 'pieces'} at a time, none touching.`
        : 'Dry the meat and sear fewer pieces at a time, none touching.',
      'Brown one face well rather than all of them a little: the sauce does not mind.',
      'The juice goes in with the liquid.',
    ],
    why: f
      ? [
          `Meat browns while it covers up to 55 % of the base; from 70 % it steams. A batch of ${f.sear.perBatch} covers ${Math.round(f.sear.coverage * 100)} %.`,
        ]
      : ['Meat browns while it covers up to half of the base; from two thirds on its water cannot get away.'],
  };
}

const BUILD: Readonly<Record<RescueTopic, (f: Forecast | null, print: Printer) => Pick<Rescue, 'steps' | 'why'>>> = {
  burn,
  'pin-will-not-rise': noPin,
  'boils-dry': dry,
  'crowded-and-grey': grey,
};

/**
 * What to do now, step by step, with the figures of the plan where there is one.
 *
 * @param topic what is wrong
 * @param f the plan's forecast, or null
 * @param print the cook's units
 * @example rescueFor('burn', null, printerFor('metric')).steps[0] // 'Press cancel. Leave the lid locked.'
 */
export function rescueFor(topic: RescueTopic, f: Forecast | null, print: Printer): Rescue {
  const caution =
    topic === 'crowded-and-grey' ? 'Hot fat spits on wet meat: dry it first, lay it in away from you.' : LID;
  return { topic, ...RESCUE_TITLES[topic], caution, ...BUILD[topic](f, print) };
}
