/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import { useShopping } from '../state/shopping-store';
import { aKitchen, aPlan, kept, openRoom, standAt } from '../testing/kitchen';

standAt('2027-01-17T12:00:00Z');

const NECK = '0e4177b8-253c-4e42-895e-09934a6c47c2';
const OTHER = '1e4177b8-253c-4e42-895e-09934a6c47c2';
const neck = aPlan({ name: 'Goat neck with carrots', aromatics: [{ ingredient: 'carrot', grams: 100 }] });
const other = aPlan({ name: 'Another neck', aromatics: [{ ingredient: 'carrot', grams: 200 }] });

beforeEach(() => useShopping.setState({ plans: [], ticked: [] }));

test('a plan from the bench is bought for as sold, ticked, and copied without what is ticked', async () => {
  const { user } = openRoom(`/shopping?plan=${NECK}`, aKitchen({ plans: [kept(neck), kept(other, OTHER)] }));
  const greens = await screen.findByRole('region', { name: 'Greens and roots' });
  // 100 g peeled of 90 g each.
  expect(greens.textContent).toMatch(/Carrots\s*2 \(about 1[12]\d g\)/);
  expect(within(await screen.findByRole('region', { name: 'Meat' })).getByText('Goat neck')).toBeTruthy();
  await user.click(within(greens).getByRole('checkbox', { name: /Carrots/ }));
  expect(useShopping.getState().ticked).toEqual(['greens:as-sold.carrots']);
  await user.click(screen.getByRole('button', { name: 'Copy as text' }));
  await screen.findByText('The list is copied');
  const text = await navigator.clipboard.readText();
  expect(text).toContain('- Goat neck: ');
  expect(text).not.toContain('Carrots');
});

test('two plans are one list, and what is bought for both says for whom', async () => {
  const { user } = openRoom(`/shopping?plan=${NECK}`, aKitchen({ plans: [kept(neck), kept(other, OTHER)] }));
  await user.click(await screen.findByRole('checkbox', { name: /Another neck/ }));
  await waitFor(() =>
    expect(screen.getByRole('region', { name: 'Greens and roots' }).textContent).toMatch(
      /Carrots\s*4 .*Goat neck with carrots, Another neck/,
    ),
  );
});

test('a list begun for another plan has no ticks of the last one; without plans it says so', async () => {
  useShopping.setState({ plans: [OTHER], ticked: ['greens:as-sold.carrots'] });
  openRoom(`/shopping?plan=${NECK}`, aKitchen({ plans: [kept(neck), kept(other, OTHER)] }));
  await screen.findByRole('region', { name: 'Greens and roots' });
  expect(useShopping.getState()).toMatchObject({ plans: [NECK], ticked: [] });
});

test('with no plans it says where they come from', async () => {
  openRoom('/shopping', aKitchen({ plans: [] }));
  await screen.findByText(/No plans yet/);
});
