/** @jest-environment jsdom */
import type { LogChange, LogItem } from '@hervir/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { standAt } from '../testing/kitchen';
import { CorrectionsCard } from './corrections-card';
import type { EntryActions } from './use-entry';

standAt('2027-01-17T12:00:00Z');

const ITEM = {
  servedAt: '2026-09-12T17:00:00.000Z',
  boughtG: 1600,
  pressure: { planned: 40, actual: 40 },
} as LogItem;

function opened(): LogChange[] {
  const changes: LogChange[] = [];
  const change = (part: LogChange): Promise<void> => {
    changes.push(part);
    return Promise.resolve();
  };
  const nothingElse = new QueryClient({ defaultOptions: { queries: { enabled: false } } });
  render(
    <QueryClientProvider client={nothingElse}>
      <CorrectionsCard item={ITEM} entry={{ change } as EntryActions} />
    </QueryClientProvider>,
  );
  return changes;
}

test('the day of a past cook is one that was: another is said at its field, and nothing is changed', () => {
  const changes = opened();
  const day = screen.getByLabelText('Day');
  for (const wrong of ['2030-01-01', '']) {
    fireEvent.change(day, { target: { value: wrong } });
    expect(screen.getByRole('alert').textContent).toMatch(/today or before/);
    fireEvent.blur(day);
    expect(changes).toEqual([]);
  }
  fireEvent.change(day, { target: { value: '2026-10-03' } });
  expect(screen.queryByRole('alert')).toBeNull();
  fireEvent.blur(day);
  // Its hour stays.
  expect(changes.map(({ servedAt }) => servedAt?.slice(0, 10))).toEqual(['2026-10-03']);
  expect(Date.parse(changes[0]?.servedAt ?? '') % 3_600_000).toBe(0);
});

test('its weight and its minutes are put right, each by itself', async () => {
  const changes = opened();
  const user = userEvent.setup();
  const weight = screen.getByLabelText('How much meat');
  await user.clear(weight);
  await user.type(weight, '1.2 kg{Enter}');
  const minutes = screen.getByLabelText('Under pressure');
  await user.clear(minutes);
  await user.type(minutes, '38{Enter}');
  expect(changes).toEqual([{ boughtG: 1200 }, { minutes: 38 }]);
});
