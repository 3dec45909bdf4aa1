import { quantity, say, type Text } from '@hervir/language/message';
import { HELD_HOT_C, SAFE_C } from '../../physics/food-safety';
import type { RescueFrom, RescueText } from './rescue-from';

/** A base that burnt. */
export function burn({ f, cook }: RescueFrom): RescueText {
  const stovetop = f?.plan.cooker.kind === 'stovetop';
  const steps = [
    stovetop ? say('rescue-pot.heat-off-lift-the-pot') : say('rescue-pot.press-cancel-leave-the-lid'),
    say('rescue-pot.let-the-pressure-down-as'),
    say('rescue-pot.lid-off-away-from-you'),
    say('rescue-pot.taste-a-spoon-of-the'),
    say('rescue-pot.not-bitter-pour-the-liquid'),
  ];
  const thick = f?.burn.causes.some(({ cause }) => cause === 'thickened') === true;
  const dry = f ? f.liquid.belowMinimum || f.burn.causes.some(({ cause }) => cause === 'dry') : false;
  const grain = f?.burn.causes.some(({ cause }) => cause === 'grain') === true;
  if (thick) steps.push(say('rescue-pot.leave-the-thick-part-out'));
  if (grain) steps.push(say('rescue-pot.lift-the-grain-off-the'));
  if (f) {
    steps.push(
      say('rescue-pot.liquid-back-in-and-of', {
        dry: dry || thick,
        volume: quantity('volume', Math.max(120, f.liquid.minimumMl / 2)),
        minimumMl: quantity('volume', f.liquid.minimumMl),
      }),
    );
    const done = cook?.meat ? cook.meat.safeAfter : f.tenderness.minutesToSafe;
    const core = cook?.meat
      ? say('rescue-pot.it-is-at-in-the', { coreC: quantity('temperature', cook.meat.coreC) })
      : '';
    steps.push(
      done === null
        ? say('rescue-pot.meat-back-on-top-and', { core })
        : say('rescue-pot.meat-back-on-top-and-go', {
            safeC: quantity('temperature', SAFE_C),
            done: Math.round(done),
            core,
          }),
    );
  } else {
    steps.push(say('rescue-pot.liquid-back-in-with-a'));
  }
  steps.push(
    cook && cook.underPressure > 0
      ? say('rescue-pot.min-under-pressure-are-done', {
          underPressure: Math.round(cook.underPressure),
          toGo: Math.round(cook?.toGo ?? 0),
        })
      : say('rescue-pot.count-the-minutes-it-was'),
  );
  const why = f
    ? [
        f.burn.text,
        ...f.burn.causes.map(({ text, kelvin }) => say('rescue-pot.cause', { text, rise: quantity('rise', kelvin) })),
      ]
    : [say('rescue-pot.the-base-gets-hotter-than')];
  return { steps, why };
}

/** No pressure comes. */
export function pinWillNotRise({ f, cook }: RescueFrom): RescueText {
  return {
    steps: [
      ...(cook && cook.sinceLid !== null && f
        ? [
            say('rescue-pot.the-lid-has-been-on', {
              sinceLid: Math.round(cook.sinceLid),
              minutesToPin: Math.round(f.pot.minutesToPin),
            }),
          ]
        : []),
      say('rescue-pot.look-at-the-valve-first'),
      say('rescue-pot.steam-from-under-the-rim'),
      say('rescue-pot.no-steam-at-all-give', { known: Boolean(f), minutesToPin: Math.round(f?.pot.minutesToPin ?? 0) }),
      say('rescue-pot.after-min-without-a-pin', {
        minutesToPin: f ? Math.round(f.pot.minutesToPin * 1.5) : 30,
        minimumMl: f ? quantity('volume', f.liquid.minimumMl) : say('rescue-pot.the-minimum'),
      }),
      say('rescue-pot.still-nothing-check-the-pin'),
    ],
    why: f
      ? [
          say('rescue-pot.w-have-to-heat-min', {
            watts: Math.round(f.plan.cooker.watts),
            litres: quantity('litres', f.fill.litres),
            minutesToPin: Math.round(f.pot.minutesToPin),
            minutesToPressure: Math.round(f.pot.minutesToPressure),
          }),
        ]
      : [say('rescue-pot.an-open-valve-is-the')],
  };
}

/** The liquid is going. */
export function boilsDry({ f }: RescueFrom): RescueText {
  return {
    steps: [
      say('rescue-pot.heat-off-now'),
      say('rescue-pot.do-not-pour-cold-water'),
      say('rescue-pot.wait-for-the-pin-open'),
      say('rescue-pot.pour-hot-water-or-stock', {
        minimumMl: f
          ? quantity('volume', Math.max(f.liquid.minimumMl, f.liquid.freeAtStartMl))
          : say('rescue-pot.the-minimum-and-a-cup'),
      }),
      say('rescue-pot.valve-closed-gasket-seated-lid'),
    ],
    why: f
      ? [
          say('rescue-pot.a-closed-pot-loses-little', {
            lost: quantity(
              'volume',
              -f.liquid.entries.filter((e) => e.stage === 'heating').reduce((s, e) => s + e.ml, 0),
            ),
          }),
        ]
      : [say('rescue-pot.a-closed-pot-loses-only')],
  };
}

/** Batches one after the other, as said aloud: 4, then 3. */
const inTurn = ([first = 0, ...next]: readonly number[]): Text =>
  next.reduce<Text>((before, size) => say('rescue-pot.then', { first: before, next: String(size) }), String(first));

/** A crowded pan. */
export function grey({ f }: RescueFrom): RescueText {
  return {
    steps: [
      say('rescue-pot.meat-out-onto-a-plate'),
      say('rescue-pot.pour-the-juice-off-into'),
      f && f.sear.batches > 0
        ? say('rescue-pot.dry-the-meat-and-sear', {
            list: inTurn(f.sear.batchSizes),
            perBatch: f.sear.perBatch,
          })
        : say('rescue-pot.dry-the-meat-and-sear-fewer'),
      say('rescue-pot.brown-one-face-well-rather'),
      say('rescue-pot.the-juice-goes-in-with'),
    ],
    why: f
      ? [
          say('rescue-pot.meat-browns-while-it-covers', {
            perBatch: f.sear.perBatch,
            coverage: Math.round(f.sear.coverage * 100),
          }),
        ]
      : [say('rescue-pot.meat-browns-while-it-covers-up')],
  };
}

/** The pot is quiet and the pin stays. */
export function pinWillNotFall({ f, cook }: RescueFrom): RescueText {
  const rest = f ? f.pot.naturalReleaseMinutes : 20;
  return {
    steps: [
      say('rescue-pot.heat-off-and-keep-warm'),
      say('rescue-pot.give-it-time-left-alone', { rest: Math.round(rest) }),
      say('rescue-pot.open-the-valve-with-a'),
      say('rescue-pot.no-steam-and-the-pin'),
      say('rescue-pot.still-up-a-cold-wet'),
      say('rescue-pot.wait-another-ten-minutes-before'),
    ],
    why: [
      cook?.meat
        ? say('rescue-pot.the-pot-is-at-about', {
            liquidC: quantity('temperature', cook.meat.liquidC),
            boilingC: quantity('temperature', f?.pot.boilingC ?? 100),
          })
        : say('rescue-pot.the-pin-falls-when-the'),
    ],
  };
}

/** A whole cut rests so long at its safe temperature. USDA FSIS safe minimum internal temperature chart; from memory. */
const SAFE_REST_MINUTES = 3;

/** The heat went off by itself. */
export function powerCut({ f, cook }: RescueFrom): RescueText {
  const celsius = (value: number): Text => quantity('temperature', value);
  const meat = cook?.meat ?? null;
  // With its rest of three minutes.
  const safe = meat !== null && meat.safeAfter !== null && (cook?.sinceLid ?? 0) - meat.safeAfter >= SAFE_REST_MINUTES;
  const onward = [say('rescue-pot.a-gas-or-camping-burner'), say('rescue-pot.when-the-power-is-back')];
  if (meat === null) {
    return {
      steps: [
        say('rescue-pot.leave-the-lid-shut-a'),
        say('rescue-pot.note-the-time-the-heat'),
        say('rescue-pot.had-the-middle-of-the', { celsius: celsius(SAFE_C), celsius2: celsius(HELD_HOT_C) }),
        say('rescue-pot.it-had-not-or-you', { cold: celsius(5), hot: celsius(57) }),
        ...onward,
      ],
      why: [say('rescue-pot.what-matters-is-how-long')],
    };
  }
  const hot = Math.round(meat.hotForMinutes);
  const when = hot >= 240 ? say('rescue-pot.four-hours-and-more') : say('rescue-pot.about-min', { hot });
  return {
    steps: safe
      ? [
          say('rescue-pot.it-is-safe-as-it', {
            celsius: celsius(SAFE_C),
            safeAfter: Math.round(meat.safeAfter ?? 0),
            now: celsius(meat.coreC),
          }),
          say('rescue-pot.leave-the-lid-shut-the', { celsius: celsius(HELD_HOT_C), when }),
          say('rescue-pot.back-within-that-up-to', {
            cook: Boolean(cook && cook.toGo > 0),
            toGo: Math.round(cook?.toGo ?? 0),
          }),
          say('rescue-pot.longer-than-that-cool-it'),
          ...onward.slice(0, 1),
        ]
      : [
          meat.safeAfter === null
            ? say('rescue-pot.the-middle-is-only-at', { celsius: celsius(meat.coreC) })
            : say('rescue-pot.the-middle-is-at-and', { now: celsius(meat.coreC), safe: celsius(SAFE_C) }),
          say('rescue-pot.leave-the-lid-shut-the-pot', { celsius: celsius(HELD_HOT_C), when }),
          say('rescue-pot.go-on-by-another-heat'),
          say('rescue-pot.not-possible-within-two-hours', { celsius: celsius(HELD_HOT_C) }),
          ...onward,
        ],
    why: [
      say('rescue-pot.min-since-the-lid-went', {
        sinceLid: Math.round(cook?.sinceLid ?? 0),
        known: Boolean(f),
        underPressure: Math.round(cook?.underPressure ?? 0),
        pressureMinutes: f?.pressureMinutes ?? 0,
        celsius: celsius(meat.liquidC),
        celsius2: celsius(meat.coreC),
      }),
    ],
  };
}

/** No pressure, and it does not turn. */
export function lidStuck(): RescueText {
  return {
    steps: [
      say('rescue-pot.is-the-pin-down-and'),
      say('rescue-pot.heat-off-wait-ten-minutes'),
      say('rescue-pot.open-the-valve-to-let'),
      say('rescue-pot.turn-by-the-handles-with'),
      say('rescue-pot.still-held-warm-it-for'),
      say('rescue-pot.not-even-then-leave-it'),
    ],
    why: [say('rescue-pot.cooling-steam-leaves-less-than')],
  };
}
