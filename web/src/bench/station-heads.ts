import { lowerFirst, type Message, printDuration, type QuantityKind, say } from '@hervir/language';
import {
  cutById,
  cutTitle,
  type DinnerOdds,
  fallsByItself,
  type Forecast,
  inTen,
  liquidById,
  liquidWord,
  type MoveKind,
  partAhead,
  type Plan,
  wholeMinutes,
} from '@hervir/core';
import { LEVEL_TONES, type Tone } from '../shared/verdict';
import { clockTime, FORM_PHRASES } from '../shared/words';
import { t, textOf } from '../language/t';

/** The stations of the bench, in the order of the work. */
export const STATIONS = ['meat', 'sear', 'pot', 'vegetables', 'release', 'sauce', 'clock'] as const;
export type StationKey = (typeof STATIONS)[number];

/** A station in its tab: its verdict in a word with a shape, and for who points at it what it holds. */
export interface StationHead {
  readonly key: StationKey;
  readonly title: string;
  readonly tone: Tone;
  readonly verdict: string;
  readonly summary: string;
}

type Print = (kind: QuantityKind, value: number) => string;

const SCHOOLS: Readonly<Record<Plan['sear']['school'], Message>> = {
  hard: say('bench.hard-every-face-browned'),
  quick: say('bench.quick-a-little-colour'),
  light: say('bench.light-stirred'),
  none: say('bench.none-everything-in-cold'),
};

/**
 * The heads of the seven stations.
 *
 * @param faulty true where a field of the meat is wrong
 * @param odds of dinner; null until they are reckoned
 */
export function stationHeads(
  plan: Plan,
  forecast: Forecast | null,
  print: Print,
  faulty: boolean,
  odds: DinnerOdds | null = null,
): StationHead[] {
  const cut = cutById(plan.meat.cut);
  const sure = forecast ? forecast.tenderness.chance.at + forecast.tenderness.chance.past : 0;
  const wanted = plan.confidence - 0.005;
  return [
    {
      key: 'meat',
      title: t('bench.meat'),
      ...(faulty
        ? ({ tone: 'wrong', verdict: t('bench.cannot-be') } as const)
        : sure >= wanted
          ? ({
              tone: 'fits',
              verdict: t('bench.min', { pressureMinutes: String(forecast?.pressureMinutes ?? '…') }),
            } as const)
          : ({ tone: 'watch', verdict: t('bench.may-be-short') } as const)),
      summary: t('shared.of', {
        mass: print('mass', plan.meat.grams),
        cut: cutTitle(cut),
        formPhrases: FORM_PHRASES[plan.meat.form],
      }),
    },
    searHead(plan, forecast),
    potHead(plan, forecast, print),
    vegetablesHead(plan, forecast, print),
    {
      key: 'release',
      title: t('bench.letting-down'),
      tone: 'fits',
      verdict: forecast ? printDuration(wholeMinutes(forecast.pot.releaseMinutes)) : '…',
      summary:
        plan.release.method === 'quick'
          ? t('bench.valve-opened-at-once')
          : plan.release.method === 'natural'
            ? t('bench.left-alone-until-the-pin')
            : forecast && fallsByItself(forecast.pot)
              ? t('bench.left-alone-the-pin-has')
              : t('bench.min-left-alone-then-the', { naturalMinutes: plan.release.naturalMinutes }),
    },
    sauceHead(plan, forecast, print),
    clockHead(forecast, odds),
  ];
}

/** A dinner that is less sure than this is worth a second look. */
const SURE = 0.5;

function clockHead(forecast: Forecast | null, odds: DinnerOdds | null): StationHead {
  const base = { key: 'clock', title: t('bench.clock') } as const;
  if (!forecast) return { ...base, tone: 'none', verdict: '…', summary: '' };
  const { clock, plan } = forecast;
  const summary = t('bench.in-all', { duration: printDuration(clock.totalMinutes) });
  if (partAhead(plan) === 'day') return { ...base, tone: 'fits', verdict: t('bench.cooked'), summary };
  if (clock.eatAt === null) return { ...base, tone: 'watch', verdict: t('bench.no-dinner-time'), summary };
  const at = clockTime(clock.eatAt);
  if (odds === null) return { ...base, tone: 'none', verdict: at, summary };
  return {
    ...base,
    tone: odds.inTime < SURE ? 'watch' : 'fits',
    verdict: `${at}: ${textOf(inTen(odds.inTime))}`,
    summary,
  };
}

function vegetablesHead(plan: Plan, forecast: Forecast | null, print: Print): StationHead {
  const base = { key: 'vegetables', title: t('bench.vegetables') } as const;
  const items = forecast?.stages.flatMap((stage) => stage.items) ?? [];
  if (plan.vegetables.length + plan.grains.length === 0 || !forecast) {
    return { ...base, tone: 'none', verdict: '', summary: t('bench.none-yet') };
  }
  const missed = items.filter(({ met }) => !met).length;
  const names = items.map(({ name, grams }) => `${lowerFirst(textOf(name))} ${print('mass', grams)}`).join(', ');
  return {
    ...base,
    tone: missed > 0 ? 'watch' : 'fits',
    verdict:
      missed > 0
        ? t('bench.not-as-asked', { missed })
        : forecast.openings === 1
          ? t('bench.one-opening')
          : t('bench.openings', { openings: forecast.openings }),
    summary: names,
  };
}

function sauceHead(plan: Plan, forecast: Forecast | null, print: Print): StationHead {
  const base = { key: 'sauce', title: t('bench.sauce') } as const;
  if (!forecast) return { ...base, tone: 'none', verdict: '…', summary: '' };
  const { finish } = forecast;
  const doing = finish.steps
    .map(({ kind }) => textOf(FINISH_WORDS[kind] ?? ''))
    // Cream and quince paste are both stirred in: said once.
    .filter((word, i, all) => word !== '' && all.indexOf(word) === i);
  return {
    ...base,
    tone: 'fits',
    verdict: print('volume', finish.sauceMl),
    summary: [...doing, t('bench.feeds', { servings: plan.servings })].join(', '),
  };
}

const FINISH_WORDS: Readonly<Partial<Record<MoveKind, Message>>> = {
  'fish-out': say('bench.fish-out'),
  ladle: say('bench.ladle-out'),
  skim: say('bench.skim'),
  strain: say('bench.strain'),
  blend: say('bench.blend'),
  reduce: say('bench.reduce'),
  thicken: say('bench.thicken'),
  'stir-in': say('bench.stir-in'),
  'stir-down': say('bench.stir-in'),
  'fold-in': say('bench.fold-in'),
  crisp: say('bench.crisp'),
};

const TROUBLE_WORDS = {
  steams: say('bench.crowded'),
  wider: say('bench.too-wide'),
  sugar: say('bench.sugar-burns'),
  wet: say('bench.wet'),
  timed: say('bench.timed-saute'),
  weak: say('bench.weak-saute'),
} as const;

function searHead(plan: Plan, forecast: Forecast | null): StationHead {
  const batches = forecast?.sear.batches ?? 0;
  const [trouble] = forecast?.saute.troubles ?? [];
  return {
    key: 'sear',
    title: t('bench.sear'),
    tone: trouble ? 'watch' : 'fits',
    verdict: textOf(
      trouble
        ? TROUBLE_WORDS[trouble.id]
        : batches === 0
          ? t('bench.no-sear')
          : t('bench.1-batch-batches-min', { batches, minutes: Math.round(forecast?.sear.minutes ?? 0) }),
    ),
    summary: `${textOf(SCHOOLS[plan.sear.school])}${plan.sear.school !== 'none' && plan.sear.where === 'pan' ? t('bench.in-a-pan') : ''}`,
  };
}

function potHead(plan: Plan, forecast: Forecast | null, print: Print): StationHead {
  const poured = [...(plan.deglaze ? [plan.deglaze] : []), ...plan.liquids];
  const more = plan.additions.map(
    ({ ingredient, when }) => `${textOf(liquidWord(ingredient))} ${textOf(WHEN_WORDS[when])}`,
  );
  const base = { key: 'pot', title: t('bench.pot') } as const;
  const summary =
    [...poured.map((item) => `${textOf(liquidById(item.liquid).name)} ${print('volume', item.ml)}`), ...more].join(
      ', ',
    ) || t('bench.nothing-poured');
  if (!forecast) return { ...base, tone: 'none', verdict: '…', summary };
  const { burn, fill, liquid } = forecast;
  // Every lid counts: what was fine under the first says nothing of the next.
  const { lids } = forecast;
  const later = (text: string, of: (lid: Forecast['lids'][number]) => boolean): string =>
    lids[0] && of(lids[0]) ? text : t('bench.second-lid', { text });
  const over = (lid: Forecast['lids'][number]): boolean => lid.fill.level === 'over';
  const short = (lid: Forecast['lids'][number]): boolean => lid.liquid.level === 'short';
  const dry = (lid: Forecast['lids'][number]): boolean => lid.liquid.level === 'dry';
  if (fill.over || lids.some(over))
    return { ...base, tone: 'wrong', verdict: later(t('bench.over-the-line'), over), summary };
  if (liquid.belowMinimum || lids.some(short))
    return { ...base, tone: 'wrong', verdict: later(t('bench.under-the-minimum'), short), summary };
  if (lids.some(dry)) return { ...base, tone: 'wrong', verdict: later(t('bench.boils-dry'), dry), summary };
  return {
    ...base,
    tone: LEVEL_TONES[burn.level],
    verdict: t('bench.base', { temperature: print('temperature', burn.baseC) }),
    summary,
  };
}

const WHEN_WORDS = {
  fried: say('bench.fried'),
  'stirred-in': say('bench.stirred-in'),
  'on-top': say('bench.on-top'),
  after: say('bench.after'),
} as const;
