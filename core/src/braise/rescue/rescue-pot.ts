import { HELD_HOT_C, SAFE_C } from '../../physics/cooking-body';
import type { RescueFrom, RescueText } from './rescue-from';

/** A base that burnt. */
export function burn({ f, print, cook }: RescueFrom): RescueText {
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
    const done = cook?.meat ? cook.meat.safeAfter : f.tenderness.minutesToSafe;
    const core = cook?.meat ? ` It is at ${print.quantity('temperature', cook.meat.coreC)} in the middle now.` : '';
    steps.push(
      done === null
        ? `Meat back on top, and go on at once: partly cooked meat is never put aside.${core}`
        : `Meat back on top, and go on at once. The middle is past ${print.quantity('temperature', SAFE_C)} about ${Math.round(done)} min after the lid first went on; before that, partly cooked meat is never put aside.${core}`,
    );
  } else {
    steps.push('Liquid back in with a splash of water: at least the cooker’s minimum. Meat on top, and go on at once.');
  }
  steps.push(
    cook && cook.underPressure > 0
      ? `${Math.round(cook.underPressure)} min under pressure are done: ${Math.round(cook.toGo)} more when the pin is up again.`
      : 'Count the minutes it was under pressure as done; add the rest.',
  );
  const why = f
    ? [f.burn.text, ...f.burn.causes.map(({ text, kelvin }) => `${text}: +${print.rise(kelvin)}.`)]
    : [
        'The base gets hotter than the liquid when something sticks to it, when the liquid is thick, or when there is too little of it.',
      ];
  return { steps, why };
}

/** No pressure comes. */
export function pinWillNotRise({ f, print, cook }: RescueFrom): RescueText {
  return {
    steps: [
      ...(cook && cook.sinceLid !== null && f
        ? [
            `The lid has been on for ${Math.round(cook.sinceLid)} min; this pot needs about ${Math.round(f.pot.minutesToPin)}.`,
          ]
        : []),
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

/** The liquid is going. */
export function boilsDry({ f, print }: RescueFrom): RescueText {
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

/** A crowded pan. */
export function grey({ f }: RescueFrom): RescueText {
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

/** The pot is quiet and the pin stays. */
export function pinWillNotFall({ f, print, cook }: RescueFrom): RescueText {
  const rest = f ? f.pot.naturalReleaseMinutes : 20;
  return {
    steps: [
      'Heat off and keep-warm off: check both.',
      `Give it time: left alone this pot needs about ${Math.round(rest)} min.`,
      'Open the valve with a spoon handle, hands and face to the side. No steam at all: the pressure is gone.',
      'No steam, and the pin still up: it sticks. Tap the lid beside it with the spoon; do not push the pin in.',
      'Still up: a cold wet cloth on the metal of the lid, never on the valve, for two minutes; where the manual forbids it, only wait.',
      'Wait another ten minutes before you try the lid. Wash the pin and its hole before the next cook.',
    ],
    why: [
      cook?.meat
        ? `The pot is at about ${print.quantity('temperature', cook.meat.liquidC)}: the pin falls near ${print.quantity('temperature', f?.pot.boilingC ?? 100)}, where water boils here.`
        : 'The pin falls when the inside is at the pressure of the room; food or a dry ring can hold it up.',
    ],
  };
}

/** A whole cut rests so long at its safe temperature. USDA FSIS safe minimum internal temperature chart; from memory. */
const SAFE_REST_MINUTES = 3;

/** The heat went off by itself. */
export function powerCut({ f, print, cook }: RescueFrom): RescueText {
  const celsius = (value: number): string => print.quantity('temperature', value);
  const meat = cook?.meat ?? null;
  // With its rest of three minutes.
  const safe = meat !== null && meat.safeAfter !== null && (cook?.sinceLid ?? 0) - meat.safeAfter >= SAFE_REST_MINUTES;
  const onward = [
    'A gas or camping burner is a way to go on: into another pot with its liquid, at a simmer, lid ajar.',
    'When the power is back: lid on, up to pressure again, and the rest of the minutes.',
  ];
  if (meat === null) {
    return {
      steps: [
        'Leave the lid shut: a locked pot holds its heat.',
        'Note the time the heat went off.',
        `Had the middle of the meat been past ${celsius(SAFE_C)} for three minutes, it is cooked through: it keeps while the pot is above ${celsius(HELD_HOT_C)}.`,
        `It had not, or you do not know: go on within two hours in all between ${celsius(5)} and ${celsius(57)}, or throw it away.`,
        ...onward,
      ],
      why: [
        'What matters is how long the meat lies lukewarm: bacteria grow there, and some leave poisons that cooking does not undo.',
      ],
    };
  }
  const hot = Math.round(meat.hotForMinutes);
  const when = hot >= 240 ? 'four hours and more' : `about ${hot} min`;
  return {
    steps: safe
      ? [
          `It is safe as it stands: the middle passed ${celsius(SAFE_C)} ${Math.round(meat.safeAfter ?? 0)} min after the lid went on, and is at ${celsius(meat.coreC)} now.`,
          `Leave the lid shut: the pot stays above ${celsius(HELD_HOT_C)} for ${when}, and the meat goes on softening.`,
          `Back within that: up to pressure again${cook && cook.toGo > 0 ? `, ${Math.round(cook.toGo)} min more` : ''}.`,
          'Longer than that: cool it quickly in shallow containers and into the fridge; finish it tomorrow, boiling hot all through.',
          ...onward.slice(0, 1),
        ]
      : [
          meat.safeAfter === null
            ? `The middle is only at ${celsius(meat.coreC)}: it is not cooked through.`
            : `The middle is at ${celsius(meat.coreC)}, and has been past ${celsius(SAFE_C)} for less than three minutes.`,
          `Leave the lid shut: the pot stays above ${celsius(HELD_HOT_C)} for ${when}, and the middle still warms up.`,
          'Go on by another heat within that time; partly cooked meat is never put aside.',
          `Not possible within two hours of the pot falling below ${celsius(HELD_HOT_C)}: throw it away.`,
          ...onward,
        ],
    why: [
      `${Math.round(cook?.sinceLid ?? 0)} min since the lid went on${f ? `, ${Math.round(cook?.underPressure ?? 0)} of ${f.pressureMinutes} under pressure` : ''}. Liquid ${celsius(meat.liquidC)}, middle ${celsius(meat.coreC)}.`,
    ],
  };
}

/** No pressure, and it does not turn. */
export function lidStuck(): RescueText {
  return {
    steps: [
      'Is the pin down, and no steam at the open valve? Only then go on.',
      'Heat off; wait ten minutes: a pot that cools draws its lid down.',
      'Open the valve to let air in: it may hiss as it goes in.',
      'Turn by the handles with both hands, without a lever and without force.',
      'Still held: warm it for half a minute with the valve open, heat off, and try again.',
      'Not even then: leave it, and look in the manual. Next time a smear of oil on the gasket, where the manual allows it.',
    ],
    why: [
      'Cooling steam leaves less than the room’s pressure inside: the air outside holds the lid. Or the gasket sticks to the rim.',
    ],
  };
}
