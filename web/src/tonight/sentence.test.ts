/** @jest-environment jsdom */
import { COOKER_SETS, DEFAULT_KITCHEN } from '@hervir/core';
import { firstAsked, keepAsked, planOf, stillAhead } from './sentence';

const noon = new Date(2027, 0, 17, 12, 0);
const evening = new Date(2027, 0, 17, 18, 20);
beforeEach(() => sessionStorage.clear());

describe('the sentence of Tonight', () => {
  test('is filled in so that it answers at once: seven o’clock today, and tomorrow where today is too late', () => {
    expect(firstAsked(noon)).toMatchObject({ time: '19:00', day: '2027-01-17', cut: 'beef-chuck', grams: 1500 });
    expect(firstAsked(evening).day).toBe('2027-01-18');
  });

  test('is remembered until the browser is closed, and not beyond its day', () => {
    const asked = { ...firstAsked(noon), cut: 'beef-shin', form: 'slices', grams: 2100 } as const;
    keepAsked(asked);
    expect(firstAsked(evening)).toEqual(asked);
    expect(firstAsked(new Date(2027, 0, 18, 9, 0)).cut).toBe('beef-chuck');
  });

  test('keeps what was asked while its day goes on, and moves to the next supper when it is over', () => {
    const asked = { ...firstAsked(noon), grams: 2100 };
    expect(stillAhead(asked, new Date(2027, 0, 17, 23, 59))).toBe(asked);
    expect(stillAhead(asked, new Date(2027, 0, 18, 0, 0))).toEqual({ ...asked, day: '2027-01-18' });
    expect(stillAhead(asked, new Date(2027, 0, 20, 18, 20))).toEqual({ ...asked, day: '2027-01-21' });
    const later = { ...asked, day: '2027-01-24' };
    expect(stillAhead(later, evening)).toBe(later);
  });

  test.each([
    ['no JSON', '{'],
    ['a cut that is none', JSON.stringify({ ...firstAsked(noon), cut: 'unicorn' })],
    ['a form its cut is not sold in', JSON.stringify({ ...firstAsked(noon), cut: 'lamb-shank', form: 'ribs' })],
    ['nothing', 'null'],
  ])('begins afresh where what was kept is %s', (_what, kept) => {
    sessionStorage.setItem('hervir.asked', kept);
    expect(firstAsked(noon).cut).toBe('beef-chuck');
  });

  test('goes on where the browser keeps nothing', () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('full');
    });
    expect(() => keepAsked(firstAsked(noon))).not.toThrow();
    full.mockRestore();
  });

  test('means a plan: its weight, cut and form, the pot, the height, how sure, and dinner by this device’s clock', () => {
    const [small] = COOKER_SETS;
    const asked = { ...firstAsked(noon), grams: 1800 };
    const plan = planOf(
      asked,
      small && { ...small.cooker, name: 'Small' },
      { ...DEFAULT_KITCHEN, altitudeM: 1480 },
      0.9,
    );
    expect(plan).toMatchObject({
      meat: { cut: 'beef-chuck', form: 'chunks', grams: 1800 },
      kitchen: { altitudeM: 1480 },
      confidence: 0.9,
    });
    expect(plan.cooker.litres).toBe(small?.cooker.litres);
    expect(plan.serveAt).toMatch(/^2027-01-17T19:00:00[+-]\d\d:\d\d$/);
    expect(Date.parse(plan.serveAt ?? '')).toBe(new Date(2027, 0, 17, 19, 0).getTime());
  });
});
