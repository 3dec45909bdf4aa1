import {
  cutById,
  cutTitle,
  fallsByItself,
  inTen,
  liquidById,
  liquidWord,
  partAhead,
  printDuration,
  type DinnerOdds,
  type Forecast,
  type Plan,
  type QuantityKind,
  type MoveKind,
} from '@hervir/core';
import { LEVEL_TONES, type Tone } from '../shared/verdict';
import { clockTime, FORM_PHRASES } from '../shared/words';

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

const SCHOOLS: Readonly<Record<Plan['sear']['school'], string>> = {
  hard: 'Hard, every face browned',
  quick: 'Quick, a little colour',
  light: 'Light, stirred',
  none: 'None, everything in cold',
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
      title: 'Meat',
      ...(faulty
        ? ({ tone: 'wrong', verdict: 'cannot be' } as const)
        : sure >= wanted
          ? ({ tone: 'fits', verdict: `${forecast?.pressureMinutes ?? '…'} min` } as const)
          : ({ tone: 'watch', verdict: 'may be short' } as const)),
      summary: `${print('mass', plan.meat.grams)} of ${cutTitle(cut)}, ${FORM_PHRASES[plan.meat.form]}`,
    },
    searHead(plan, forecast),
    potHead(plan, forecast, print),
    vegetablesHead(plan, forecast, print),
    {
      key: 'release',
      title: 'Letting down',
      tone: 'fits',
      verdict: forecast ? printDuration(forecast.pot.releaseMinutes) : '…',
      summary:
        plan.release.method === 'quick'
          ? 'Valve opened at once'
          : plan.release.method === 'natural'
            ? 'Left alone until the pin falls'
            : forecast && fallsByItself(forecast.pot)
              ? 'Left alone: the pin has fallen before the valve is due'
              : `${plan.release.naturalMinutes} min left alone, then the valve`,
    },
    sauceHead(plan, forecast, print),
    clockHead(forecast, odds),
  ];
}

/** A dinner that is less sure than this is worth a second look. */
const SURE = 0.5;

function clockHead(forecast: Forecast | null, odds: DinnerOdds | null): StationHead {
  const base = { key: 'clock', title: 'Clock' } as const;
  if (!forecast) return { ...base, tone: 'none', verdict: '…', summary: '' };
  const { clock, plan } = forecast;
  const summary = `${printDuration(clock.totalMinutes)} in all`;
  if (partAhead(plan) === 'day') return { ...base, tone: 'fits', verdict: 'cooked', summary };
  if (clock.eatAt === null) return { ...base, tone: 'watch', verdict: 'no dinner time', summary };
  const at = clockTime(clock.eatAt);
  if (odds === null) return { ...base, tone: 'none', verdict: at, summary };
  return { ...base, tone: odds.inTime < SURE ? 'watch' : 'fits', verdict: `${at}: ${inTen(odds.inTime)}`, summary };
}

function vegetablesHead(plan: Plan, forecast: Forecast | null, print: Print): StationHead {
  const base = { key: 'vegetables', title: 'Vegetables' } as const;
  const items = forecast?.stages.flatMap((stage) => stage.items) ?? [];
  if (plan.vegetables.length + plan.grains.length === 0 || !forecast) {
    return { ...base, tone: 'none', verdict: '', summary: 'None yet' };
  }
  const missed = items.filter(({ met }) => !met).length;
  const names = items.map(({ name, grams }) => `${name.toLowerCase()} ${print('mass', grams)}`).join(', ');
  return {
    ...base,
    tone: missed > 0 ? 'watch' : 'fits',
    verdict:
      missed > 0 ? `${missed} not as asked` : forecast.openings === 1 ? 'one opening' : `${forecast.openings} openings`,
    summary: names,
  };
}

function sauceHead(plan: Plan, forecast: Forecast | null, print: Print): StationHead {
  const base = { key: 'sauce', title: 'Sauce' } as const;
  if (!forecast) return { ...base, tone: 'none', verdict: '…', summary: '' };
  const { finish } = forecast;
  const doing = finish.steps
    .map(({ kind }) => FINISH_WORDS[kind] ?? '')
    // Cream and quince paste are both stirred in: said once.
    .filter((word, i, all) => word !== '' && all.indexOf(word) === i);
  return {
    ...base,
    tone: 'fits',
    verdict: print('volume', finish.sauceMl),
    summary: [...doing, `feeds ${plan.servings}`].join(', '),
  };
}

const FINISH_WORDS: Readonly<Partial<Record<MoveKind, string>>> = {
  'fish-out': 'fish out',
  ladle: 'ladle out',
  skim: 'skim',
  strain: 'strain',
  blend: 'blend',
  reduce: 'reduce',
  thicken: 'thicken',
  'stir-in': 'stir in',
  'stir-down': 'stir in',
  'fold-in': 'fold in',
  crisp: 'crisp',
};

const TROUBLE_WORDS = {
  steams: 'crowded',
  wider: 'too wide',
  sugar: 'sugar burns',
  wet: 'wet',
  timed: 'timed sauté',
  weak: 'weak sauté',
} as const;

function searHead(plan: Plan, forecast: Forecast | null): StationHead {
  const batches = forecast?.sear.batches ?? 0;
  const [trouble] = forecast?.saute.troubles ?? [];
  return {
    key: 'sear',
    title: 'Sear',
    tone: trouble ? 'watch' : 'fits',
    verdict: trouble
      ? TROUBLE_WORDS[trouble.id]
      : batches === 0
        ? 'no sear'
        : `${batches === 1 ? '1 batch' : `${batches} batches`}, ${Math.round(forecast?.sear.minutes ?? 0)} min`,
    summary: `${SCHOOLS[plan.sear.school]}${plan.sear.school !== 'none' && plan.sear.where === 'pan' ? ', in a pan' : ''}`,
  };
}

function potHead(plan: Plan, forecast: Forecast | null, print: Print): StationHead {
  const poured = [...(plan.deglaze ? [plan.deglaze] : []), ...plan.liquids];
  const more = plan.additions.map(({ ingredient, when }) => `${liquidWord(ingredient)} ${WHEN_WORDS[when]}`);
  const base = { key: 'pot', title: 'Pot' } as const;
  const summary =
    [...poured.map((item) => `${liquidById(item.liquid).name} ${print('volume', item.ml)}`), ...more].join(', ') ||
    'Nothing poured';
  if (!forecast) return { ...base, tone: 'none', verdict: '…', summary };
  const { burn, fill, liquid } = forecast;
  // Every lid counts: what was fine under the first says nothing of the next.
  const { lids } = forecast;
  const later = (text: string, of: (lid: Forecast['lids'][number]) => boolean): string =>
    lids[0] && of(lids[0]) ? text : `${text}, second lid`;
  const over = (lid: Forecast['lids'][number]): boolean => lid.fill.level === 'over';
  const short = (lid: Forecast['lids'][number]): boolean => lid.liquid.level === 'short';
  const dry = (lid: Forecast['lids'][number]): boolean => lid.liquid.level === 'dry';
  if (fill.over || lids.some(over)) return { ...base, tone: 'wrong', verdict: later('over the line', over), summary };
  if (liquid.belowMinimum || lids.some(short))
    return { ...base, tone: 'wrong', verdict: later('under the minimum', short), summary };
  if (lids.some(dry)) return { ...base, tone: 'wrong', verdict: later('boils dry', dry), summary };
  return { ...base, tone: LEVEL_TONES[burn.level], verdict: `base ${print('temperature', burn.baseC)}`, summary };
}

const WHEN_WORDS = { fried: 'fried', 'stirred-in': 'stirred in', 'on-top': 'on top', after: 'after' } as const;
