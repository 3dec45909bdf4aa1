/** @jest-environment jsdom */
import { aheadOf, forecast, type Plan } from '@hervir/core';
import { screen, waitFor, within } from '@testing-library/react';
import { aKitchen, aPlan, kept, openRoom, sent, standAt } from '../testing/kitchen';

const ID = '0e4177b8-253c-4e42-895e-09934a6c47c2';
const sunday = (part: Partial<Plan['meat']> = {}): Plan => {
  const plan = aPlan({ serveAt: '2027-01-17T19:00:00+01:00' });
  return { ...plan, meat: { ...plan.meat, thaw: 'fridge', salted: 'ahead', ...part } };
};
const lastPlan = (kitchen: ReturnType<typeof aKitchen>): Plan | undefined =>
  (sent(kitchen, 'PUT', `/api/braises/${ID}`).at(-1)?.body as { plan: Plan } | undefined)?.plan;

describe('on Friday at nine, for a dinner on Sunday', () => {
  standAt('2027-01-15T09:00:00Z');

  test('Tonight says what is to be done today for Sunday, and one press does it', async () => {
    const plan = sunday();
    const [thaw] = aheadOf(plan, forecast(plan).clock);
    const { user, kitchen } = openRoom('/', aKitchen({ plans: [kept(plan)] }));
    const list = await screen.findByRole('region', { name: 'Before the evening' });
    expect(list.textContent).toMatch(/out of the freezer, into the fridge on a tray/);
    expect(list.textContent).toMatch(/Never on the counter\..*Your food authority comes first/);
    // Salt is for tomorrow evening, and not shown yet.
    expect(list.textContent).not.toMatch(/Salt the/);
    await user.click(within(list).getByRole('button', { name: /^Done: Take the/ }));
    await waitFor(() => expect(Object.keys(lastPlan(kitchen)?.aheadDone ?? {})).toEqual([thaw?.id]));
  });

  test('a plan that asks for nothing before its evening shows nothing of it', async () => {
    openRoom('/', aKitchen({ plans: [kept(aPlan())] }));
    await screen.findByText('Begin next');
    await waitFor(() => expect(screen.queryByText('Looking for plans…')).toBeNull());
    expect(screen.queryByRole('region', { name: 'Before the evening' })).toBeNull();
  });
});

describe('on Sunday at half past four', () => {
  standAt('2027-01-17T15:30:00Z');

  test('on the bench what was forgotten says what it means, and the plan reckons with it by one press', async () => {
    const plan = sunday();
    const { user, kitchen } = openRoom(`/bench/${ID}`, aKitchen({ plans: [kept(plan)] }));
    await user.click(await screen.findByText('Clock', { selector: '.title' }));
    const list = await screen.findByRole('region', { name: 'Before the evening' });
    expect(list.textContent).toMatch(/is still in the freezer: it will be frozen in the middle/);
    const [press] = within(list).getAllByRole('button', { name: /^Reckon with it: The goat neck/ });
    if (!press) throw new Error('no button');
    await user.click(press);
    await waitFor(() => expect(lastPlan(kitchen)?.meat.startsFrom).toBe('frozen'));
    expect(lastPlan(kitchen)?.meat.thaw).toBeUndefined();
  });
});
