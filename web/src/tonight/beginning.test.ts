import { beginningOf } from './beginning';

const forecast = { clock: { startAt: '2027-01-17T16:44:00+01:00' } } as Parameters<typeof beginningOf>[0];
const odds = {
  inTime: 0.31,
  beginnings: [
    { chance: 0.5, earlier: 4 },
    { chance: 0.8, earlier: 14 },
  ],
};
const noon = new Date('2027-01-17T12:00:00+01:00');
const own = { at: '2027-01-17T16:44:00+01:00', inTime: 0.31, spare: 0 };
const sure = { at: '2027-01-17T16:30:00+01:00', inTime: 0.8, spare: 14 };

describe('when to begin', () => {
  test('is what the plan takes, with the surer time beside it; or the other way round, for who wants it so', () => {
    expect(beginningOf(forecast, odds, false, noon)).toEqual({ taken: own, other: sure });
    expect(beginningOf(forecast, odds, true, noon)).toEqual({ taken: sure, other: own });
  });

  test('is the plan’s own until the odds are reckoned, and where it is sure enough already', () => {
    const unknown = { taken: { ...own, inTime: null }, other: null };
    expect(beginningOf(forecast, null, true, noon)).toEqual(unknown);
    const spared = { inTime: 0.86, beginnings: [{ chance: 0.8, earlier: -3 }] };
    expect(beginningOf(forecast, spared, true, noon)).toEqual({ taken: { ...own, inTime: 0.86 }, other: null });
  });

  test('is never a time that has passed', () => {
    const late = new Date('2027-01-17T16:35:00+01:00');
    expect(beginningOf(forecast, odds, true, late)).toEqual({ taken: own, other: null });
  });

  test('is none where there is no dinner', () => {
    expect(beginningOf({ clock: { startAt: null } } as typeof forecast, odds, true, noon)).toBeNull();
  });
});
