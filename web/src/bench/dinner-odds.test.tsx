/** @jest-environment jsdom */
import {
  dinnerOdds,
  forecast,
  shiftIso,
  summary,
  unknown,
  withCalibration,
  type CalibrationRow,
  type Plan,
} from '@hervir/core';
import { screen, waitFor, within } from '@testing-library/react';
import { answer } from '../testing/answer';
import { aKitchen, aPlan, kept, openRoom, sent, standAt } from '../testing/kitchen';

standAt('2027-01-17T12:00:00Z');

const ID = '0e4177b8-253c-4e42-895e-09934a6c47c2';
const time = (iso: string): string => iso.slice(11, 16);

test('the bench says how sure dinner is; whoever wants it surer begins earlier, and what is to spare is said', async () => {
  const plan = aPlan();
  const base = forecast(plan);
  const odds = dinnerOdds(base);
  const { user, kitchen } = openRoom(`/bench/${ID}`, aKitchen({ plans: [kept(plan)] }));
  await user.click(await screen.findByText('Clock', { selector: '.title' }));
  const panel = await screen.findByRole('region', { name: 'How sure dinner is' });
  expect(panel.textContent).toContain(
    `eight have it between ${time(shiftIso(plan.serveAt ?? '', odds.p10))} and ${time(shiftIso(plan.serveAt ?? '', odds.p90))}`,
  );
  const nine = odds.beginnings.find(({ chance }) => chance === 0.9);
  const begin = time(shiftIso(base.clock.startAt ?? '', -(nine?.earlier ?? 0)));
  await user.click(within(panel).getByText(`9 in 10: ${begin}`));
  await waitFor(() => {
    const last = sent(kitchen, 'PUT', `/api/braises/${ID}`).at(-1)?.body as { plan: Plan } | undefined;
    expect(last?.plan.moved).toEqual({ open: nine?.earlier });
  });
  // The bench begins as was chosen, and the odds are those of what was chosen.
  expect((await screen.findAllByText(begin)).length).toBeGreaterThan(0);
  await waitFor(() => expect(panel.textContent).toContain('of spare stand after the first opening'));
  await waitFor(() =>
    expect(within(panel).getByRole<HTMLInputElement>('radio', { name: /9 in 10/ }).checked).toBe(true),
  );
});

test('what the log has taught counts from the first figure on, also where it comes late', async () => {
  const plan = aPlan();
  const { scatter, apart } = summary(unknown('sear'));
  const row: CalibrationRow = {
    kind: 'sear',
    of: plan.cooker.name,
    factor: 1.4,
    cooks: 20,
    scatter,
    off: false,
    short: 0,
    past: 0,
  };
  const odds = dinnerOdds(forecast(withCalibration(plan, { rows: [row] })));
  const untaught = dinnerOdds(forecast(plan));
  const until = (minutes: number): string => time(shiftIso(plan.serveAt ?? '', minutes));
  expect(until(odds.p90)).not.toBe(until(untaught.p90));
  const kitchen = aKitchen({ plans: [kept(plan)] });
  // A server that takes longer for it than an edit takes to settle.
  const late = new Promise<void>((resolve) => setTimeout(resolve, 600));
  kitchen.answers['GET /api/learning'] = async () => {
    await late;
    return answer([{ ...row, key: `sear:${row.of}`, range: [1.3, 1.5], apart }]);
  };
  const { user } = openRoom(`/bench/${ID}`, kitchen);
  await user.click(await screen.findByText('Clock', { selector: '.title' }));
  const panel = await screen.findByRole('region', { name: 'How sure dinner is' });
  expect(panel.textContent).toContain(`eight have it between ${until(odds.p10)} and ${until(odds.p90)}`);
});
