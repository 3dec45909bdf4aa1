/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { openRoom } from '../testing/kitchen';
import { isIn, ROOMS } from './rooms';
import { textOf } from '../language/t';

test('four rooms stand in a thumb’s bar, and the others are two presses away', async () => {
  expect(ROOMS.filter(({ thumb }) => thumb).map(({ name }) => textOf(name))).toEqual([
    'Tonight',
    'Bench',
    'Log',
    'Rescue',
  ]);
  const { user } = openRoom('/');
  await user.click(await screen.findByRole('button', { name: 'More' }));
  const others = await screen.findByRole('dialog');
  expect(within(others).getByText('More rooms')).toBeTruthy();
  expect(within(others).getAllByRole('link')).toHaveLength(ROOMS.length - 4);
  await user.click(within(others).getByRole('link', { name: /^Times/ }));
  await waitFor(() => expect(window.location.pathname).toBe('/times'));
  // There the bar says where one is, and what hung over the page is shut.
  const here = await screen.findByRole('button', { name: 'Times', hidden: true });
  expect(here.getAttribute('aria-expanded')).toBe('false');
});

test.each([
  ['/', '/', true],
  ['/log', '/', false],
  ['/log/5', '/log', true],
  ['/logbook', '/log', false],
])('%s is in %s: %p', (pathname, path, is) => {
  expect(isIn(pathname, path)).toBe(is);
});
