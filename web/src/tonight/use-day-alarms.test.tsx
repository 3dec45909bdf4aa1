/** @jest-environment jsdom */
import type { AheadTask } from '@hervir/core';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { Toaster } from '../app/toaster';
import { cameUp, useDayAlarms, type DayAlarm } from './use-day-alarms';

const AT = '2027-01-16T18:30:00+01:00';
const alarm = (part: Partial<AheadTask> = {}): DayAlarm => ({
  of: 'Sunday',
  task: { id: 'salt:meat-1', kind: 'salt', name: 'goat neck', at: AT, doneAt: null, ...part } as AheadTask,
});
const minute = (n: number): number => Date.parse(AT) + n * 60_000;

describe('which hours have come', () => {
  test.each([
    ['between two looks at the clock it has', minute(-1), minute(0), 1],
    ['before it has not', minute(-2), minute(-1), 0],
    ['once it has come it does not come again', minute(0), minute(1), 0],
    ['a page that slept for ten minutes still says it', minute(-1), minute(10), 1],
    ['one that slept for half a day does not ring for what is long late', minute(-1), minute(720), 0],
  ])('%s', (_, since, now, many) => {
    expect(cameUp([alarm()], since, now)).toHaveLength(many);
  });

  test('what is done, or has no hour, never rings', () => {
    expect(cameUp([alarm({ doneAt: AT }), alarm({ at: null })], minute(-1), minute(1))).toEqual([]);
  });
});

/** The page, at a time of its clock. */
function Page({ alarms, at }: { readonly alarms: readonly DayAlarm[]; readonly at: number }): null {
  useDayAlarms(alarms, new Date(at));
  return null;
}

test('with the page open it says so when the hour comes, until it is put away', async () => {
  const alarms = [alarm()];
  const page = (at: number): ReactNode => (
    <>
      <Page alarms={alarms} at={at} />
      <Toaster />
    </>
  );
  const { rerender } = render(page(minute(-1)));
  expect(screen.queryByRole('alert')).toBeNull();
  rerender(page(minute(0)));
  const said = await screen.findByRole('alert');
  expect(said.textContent).toMatch(/18:30: Sunday.*Salt the goat neck/);
  await userEvent.click(screen.getByRole('button', { name: /close/i }));
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  // It does not come back at the next look at the clock.
  rerender(page(minute(1)));
  expect(screen.queryByRole('alert')).toBeNull();
});
