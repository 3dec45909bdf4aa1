/** @jest-environment jsdom */
import type { StoredKept } from '@hervir/contract';
import type { Kept } from '@hervir/core';
import { screen, waitFor, within } from '@testing-library/react';
import { aKitchen, openRoom, sent, standAt, type PretendKitchen } from '../testing/kitchen';

standAt('2027-01-17T13:00:00Z');

const NECK: Kept = {
  name: 'Goat neck with quince',
  cut: 'goat-neck',
  portions: 2,
  grams: 800,
  pieceCm: 3,
  depthCm: 5,
  place: 'freezer',
  since: '2027-01-03T21:00:00+01:00',
  eatAt: null,
  warm: 'stove',
  gone: null,
};
const keeping = (...all: readonly Partial<Kept>[]): PretendKitchen =>
  aKitchen({ plans: [], kept: all.map((part, i): StoredKept => ({ id: `k${i}`, kept: { ...NECK, ...part } })) });
const list = (): Promise<HTMLElement> => screen.findByRole('region', { name: 'Kept' });
const last = (kitchen: PretendKitchen): Kept | undefined =>
  sent(kitchen, 'PUT', '/api/kept/').at(-1)?.body as Kept | undefined;

describe('what is left, on Tonight', () => {
  test('where it lies, since when and until when; what must go first stands first', async () => {
    openRoom('/', keeping({}, { name: 'Beef shin', place: 'fridge', since: '2027-01-16T20:00:00+01:00' }));
    const items = within(await list()).getAllByRole('listitem');
    expect(items[0]?.textContent).toMatch(/Beef shin.*in the fridge since Saturday 16 January.*Good until Tuesday 19/);
    expect(items[1]?.textContent).toMatch(/two portions, 800 g, in the freezer since Sunday 3 January/);
  });

  test('past its day it says so once, and does not offer itself first', async () => {
    openRoom('/', keeping({ place: 'fridge', since: '2027-01-10T20:00:00+01:00' }));
    const item = await list();
    expect(item.textContent).toMatch(/Its day was Wednesday 13 January/);
    const primary = (name: RegExp): boolean =>
      within(item).getByRole('button', { name }).classList.contains('ant-btn-primary');
    expect([primary(/^Eat it/), primary(/^Thrown away/)]).toEqual([false, true]);
  });

  test('used up with one press, and back with another', async () => {
    const kitchen = keeping({});
    const { user } = openRoom('/', kitchen);
    await user.click(within(await list()).getByRole('button', { name: /^Used up/ }));
    await waitFor(() => expect(last(kitchen)?.gone).toBe('eaten'));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(last(kitchen)?.gone).toBeNull());
  });

  test('into the freezer its days begin anew', async () => {
    const kitchen = keeping({ place: 'fridge', since: '2027-01-16T20:00:00+01:00' });
    const { user } = openRoom('/', kitchen);
    await user.click(within(await list()).getByRole('button', { name: /^Freeze it/ }));
    await waitFor(() => expect(last(kitchen)).toMatchObject({ place: 'freezer' }));
    expect(Date.parse(last(kitchen)?.since ?? '')).toBe(Date.parse('2027-01-17T13:00:00Z'));
  });

  test('chosen for a meal it says when to thaw and when to warm, and that it is 74 °C in the middle', async () => {
    openRoom('/', keeping({ eatAt: '2027-01-19T19:00:00+01:00' }));
    const item = await list();
    expect(
      await within(item).findByText(/out of the freezer, into the fridge on a tray: thawed in \d+ h/),
    ).toBeTruthy();
    expect(await within(item).findByText(/warm it through: \d+ min until it is on the table/)).toBeTruthy();
    expect(item.textContent).toMatch(/Never on the counter.*To 74 °C in the middle, and only once/);
  });

  test('nothing kept is no heading', async () => {
    openRoom('/', keeping());
    await screen.findByText(/No plans yet/);
    expect(screen.queryByRole('region', { name: 'Kept' })).toBeNull();
  });

  test('from the number of people backwards: so much as it is bought, taken with one press', async () => {
    const { user } = openRoom('/', keeping());
    const group = await screen.findByRole('group', { name: 'How much for how many' });
    await waitFor(() => expect(group.textContent).toMatch(/It feeds about 7/));
    const field = within(group).getByRole('spinbutton', { name: 'How many eat' });
    await user.clear(field);
    await user.type(field, '8{Enter}');
    await user.click(await within(group).findByRole('button', { name: 'Take 1.6 kg' }));
    await waitFor(() =>
      expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'How much meat' }).value).toBe('1.6 kg'),
    );
    expect(within(group).queryByRole('button', { name: /^Take/ })).toBeNull();
  });
});
