import { printQuantity, type QuantityKind } from '@hervir/language';
import { dinnerOdds, forecast, inTen, newPlan, type DinnerOdds, type Plan } from '@hervir/core';
import { stationHeads, type StationHead } from './station-heads';
import { textOf } from '../language/t';

const quantity = (kind: QuantityKind, value: number): string => printQuantity(kind, value, 'metric');
const neck: Plan = {
  ...newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600 }),
  deglaze: { liquid: 'cider', ml: 150, scraped: true },
  liquids: [{ liquid: 'stock', ml: 400, temperatureC: 20 }],
};
const heads = (plan: Plan, reckoned = true, faulty = false): Map<string, StationHead> =>
  new Map(stationHeads(plan, reckoned ? forecast(plan) : null, quantity, faulty).map((head) => [head.key, head]));

describe('the heads of the stations', () => {
  test('are seven, in the order of the work, and each has its verdict in words', () => {
    const found = [...heads(neck).values()];
    expect(found.map(({ key }) => key)).toEqual(['meat', 'sear', 'pot', 'vegetables', 'release', 'sauce', 'clock']);
    for (const { key, verdict } of found) expect([key, verdict !== '']).toEqual([key, key !== 'vegetables']);
  });

  test('the clock: how sure dinner is, a time that is missing, and what is cooked already', () => {
    const serveAt = '2027-01-17T19:00:00+01:00';
    const clock = (plan: Plan, odds: DinnerOdds | null = null): StationHead | undefined =>
      stationHeads(plan, forecast(plan), quantity, false, odds).find(({ key }) => key === 'clock');
    expect(clock(neck)).toMatchObject({ tone: 'watch', verdict: 'no dinner time' });
    expect(clock({ ...neck, serveAt })).toMatchObject({ tone: 'none', verdict: '19:00' });
    const odds = dinnerOdds(forecast({ ...neck, serveAt }));
    expect(clock({ ...neck, serveAt }, odds)?.verdict).toBe(`19:00: ${textOf(inTen(odds.inTime))}`);
    const cooked: Plan = {
      ...neck,
      serveAt,
      cookAhead: { hours: 24, depthCm: 5, warm: 'stove' },
      aheadDone: { cook: '2027-01-16T19:00:00+01:00' },
    };
    expect(clock(cooked)).toMatchObject({ tone: 'fits', verdict: 'cooked' });
  });

  test('say what the plan holds before anything is reckoned', () => {
    const found = heads(neck, false);
    expect(found.get('meat')?.summary).toBe('1.6 kg of goat neck, in slices');
    expect(found.get('pot')).toMatchObject({ tone: 'none', verdict: '…' });
    expect(found.get('pot')?.summary).toContain('Dry cider 150 ml');
    expect(found.get('sauce')).toMatchObject({ tone: 'none', verdict: '…' });
  });

  test('the meat: minutes where it is sure enough, a warning where it is not, and what cannot be', () => {
    expect(heads(neck).get('meat')).toMatchObject({ tone: 'fits', verdict: `${forecast(neck).pressureMinutes} min` });
    expect(heads({ ...neck, pressureMinutes: 8 }).get('meat')).toMatchObject({
      tone: 'watch',
      verdict: 'may be short',
    });
    expect(heads(neck, true, true).get('meat')).toMatchObject({ tone: 'wrong', verdict: 'cannot be' });
  });

  test('the sear: batches and minutes, none, or what is wrong with it', () => {
    expect(heads(neck).get('sear')?.verdict).toMatch(/^\d batch(es)?, \d+ min$/);
    expect(heads({ ...neck, sear: { ...neck.sear, school: 'none' } }).get('sear')).toMatchObject({
      verdict: 'no sear',
      summary: 'None, everything in cold',
    });
    expect(heads({ ...neck, sear: { ...neck.sear, batches: 1 } }).get('sear')).toMatchObject({
      tone: 'watch',
      verdict: 'crowded',
    });
    expect(heads({ ...neck, sear: { ...neck.sear, where: 'pan' } }).get('sear')?.summary).toContain(', in a pan');
  });

  test('the pot: its base, and what cannot be cooked so', () => {
    expect(heads(neck).get('pot')).toMatchObject({ tone: 'fits' });
    expect(heads(neck).get('pot')?.verdict).toMatch(/^base 1\d\d °C$/);
    const full = { ...neck, liquids: [{ liquid: 'stock', ml: 4800, temperatureC: 20 }] };
    expect(heads(full).get('pot')).toMatchObject({ tone: 'wrong', verdict: 'over the line' });
    const dry = { ...neck, deglaze: null, liquids: [{ liquid: 'stock', ml: 60, temperatureC: 20 }] };
    expect(heads(dry).get('pot')).toMatchObject({ tone: 'wrong', verdict: 'under the minimum' });
    const paste: Plan = { ...neck, additions: [{ ingredient: 'tomato-paste', grams: 60, when: 'stirred-in' }] };
    expect(heads(paste).get('pot')?.summary).toContain('tomato paste stirred in');
    expect(heads({ ...neck, deglaze: null, liquids: [] }, false).get('pot')?.summary).toBe('Nothing poured');
  });

  test('vegetables: none yet, in so many openings, or not as asked', () => {
    expect(heads(neck).get('vegetables')).toMatchObject({ tone: 'none', summary: 'None yet' });
    const turnip = { vegetable: 'turnip', grams: 450, texture: 'tender', place: 'auto' } as const;
    const staged = heads({ ...neck, vegetables: [turnip] }).get('vegetables');
    expect(staged).toMatchObject({ tone: 'fits', summary: 'turnip 450 g' });
    expect(staged?.verdict).toMatch(/opening/);
    const early = heads({ ...neck, vegetables: [{ ...turnip, place: 'start' }] }).get('vegetables');
    expect(early).toMatchObject({ tone: 'watch', verdict: '1 not as asked' });
  });

  test('a valve that comes too late is not spoken of: the pin has fallen, and the minutes beside it say when', () => {
    const plan: Plan = { ...neck, release: { method: 'natural-then-quick', naturalMinutes: 45 } };
    const head = heads(plan).get('release');
    expect(head?.summary).toBe('Left alone: the pin has fallen before the valve is due');
    expect(Number.parseInt(head?.verdict ?? '', 10)).toBeLessThan(45);
  });

  test.each([
    ['natural', 'Left alone until the pin falls'],
    ['quick', 'Valve opened at once'],
    ['natural-then-quick', '5 min left alone, then the valve'],
  ] as const)('letting down, %s', (method, summary) => {
    expect(heads({ ...neck, release: { method, naturalMinutes: 5 } }).get('release')?.summary).toBe(summary);
  });

  test('the sauce: how much, and what is done to it, each thing once', () => {
    const plan: Plan = {
      ...neck,
      finish: { ...neck.finish, strain: 'thrown', skim: true },
      additions: [
        { ingredient: 'cream', grams: 80, when: 'after' },
        { ingredient: 'quince-paste', grams: 20, when: 'after' },
      ],
    };
    const sauce = heads(plan).get('sauce');
    expect(sauce?.verdict).toMatch(/ml$/);
    expect(sauce?.summary).toMatch(/strain/);
    expect(sauce?.summary.match(/stir in/g)).toHaveLength(1);
    expect(sauce?.summary).toContain(`feeds ${plan.servings}`);
  });
});
