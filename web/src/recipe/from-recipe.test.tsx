/** @jest-environment jsdom */
import type { RecipeReading } from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { answer } from '../testing/answer';
import { aKitchen, aPlan, openRoom, picks, sent, standAt, writes, type PretendKitchen } from '../testing/kitchen';

standAt('2027-01-17T12:00:00Z');

const TEXT = 'Stew for a wet evening\n1.5 kg goat shoulder\n2 onions\n1 handful of good cheer';

const READING: RecipeReading = {
  name: 'Stew for a wet evening',
  servings: 6,
  from: 'text',
  lines: [
    {
      text: '1.5 kg goat shoulder',
      as: { kind: 'meat', id: 'goat-shoulder', form: 'chunks' },
      name: 'goat shoulder',
      grams: 1500,
      guess: null,
      when: null,
    },
    {
      text: '2 onions',
      as: { kind: 'aromatic', id: 'onion' },
      name: 'onion',
      grams: 300,
      guess: 'counted, so weighed by what one usually weighs',
      when: 'start',
    },
    {
      text: '1 handful of good cheer',
      as: { kind: 'unknown' },
      name: 'not understood',
      grams: null,
      guess: 'not in the plan: say what it is, or leave it to the cook',
      when: null,
    },
  ],
  method: [],
  plan: aPlan({ serveAt: null }),
  notes: [],
};

function aReader(): PretendKitchen {
  const kitchen = aKitchen();
  kitchen.answers['POST /api/recipes/read'] = () => answer(READING);
  return kitchen;
}

interface AskedFor {
  readonly text: string;
  readonly amounts: Readonly<Record<string, number>>;
  readonly whens: Readonly<Record<string, string>>;
}

const asked = (kitchen: PretendKitchen): AskedFor =>
  sent(kitchen, 'POST', '/api/recipes/read').at(-1)?.body as AskedFor;

describe('From a recipe', () => {
  test('what is unsure stands first; an amount put right is sent, and seen as the cook’s', async () => {
    const { user, kitchen } = openRoom('/recipe', aReader());
    await user.click(await screen.findByRole('textbox', { name: 'The recipe' }));
    await user.paste(TEXT);
    await user.click(screen.getByRole('button', { name: 'Read it' }));
    const table = await screen.findByRole('table', { name: 'Ingredients' });
    const rows = within(table).getAllByRole('row').slice(1);
    expect(rows.map((row) => row.querySelector('td')?.textContent)).toEqual([
      '2 onions',
      '1 handful of good cheer',
      '1.5 kg goat shoulder',
    ]);
    await writes(user, 'How much: 2 onions', '420 g');
    await waitFor(() => expect(asked(kitchen).amounts).toEqual({ '1': 420 }));
    expect(await screen.findByText('● as you said')).toBeTruthy();
  });

  test('when a line goes in is said in its row, of what was not understood too', async () => {
    const { user, kitchen } = openRoom(`/recipe?text=${encodeURIComponent(TEXT)}`, aReader());
    await picks(user, 'Goes in: 2 onions', 'in a second run');
    await waitFor(() => expect(asked(kitchen).whens).toEqual({ '1': 'second-run' }));
    await picks(user, 'Goes in: 1 handful of good cheer', 'off the heat, at the end');
    await waitFor(() => expect(asked(kitchen).whens).toEqual({ '1': 'second-run', '2': 'end' }));
    // The meat goes in when the cooking begins.
    expect(screen.queryByRole('combobox', { name: 'Goes in: 1.5 kg goat shoulder' })).toBeNull();
  });

  test('a text that is too long is said to be, and nothing of it is lost', async () => {
    const { user, kitchen } = openRoom('/recipe', aReader());
    const box = await screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'The recipe' });
    fireEvent.change(box, { target: { value: 'x'.repeat(5_000_001) } });
    await user.click(screen.getByRole('button', { name: 'Read it' }));
    expect((await screen.findByRole('alert')).textContent).toContain('allowed: up to 5 million');
    expect(box.value).toHaveLength(5_000_001);
    expect(sent(kitchen, 'POST', '/api/recipes/read')).toHaveLength(0);
  });

  test('whoever comes back from the plan finds the text and what was put right; the plan has its dinner', async () => {
    const kitchen = aReader();
    const { user } = openRoom('/recipe', kitchen);
    await user.click(await screen.findByRole('textbox', { name: 'The recipe' }));
    await user.paste(TEXT);
    await user.click(screen.getByRole('button', { name: 'Read it' }));
    await user.click(await screen.findByRole('button', { name: 'Make the plan' }));
    await waitFor(() => expect(window.location.pathname).toMatch(/^\/bench\//));
    const made = sent(kitchen, 'POST', '/api/braises').at(-1)?.body as { plan: Plan } | undefined;
    expect(made?.plan.serveAt).toMatch(/^2027-01-17T19:00:00/);
    window.history.back();
    const box = await screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'The recipe' });
    expect(box.value).toBe(TEXT);
    expect(await screen.findByRole('table', { name: 'Ingredients' })).toBeTruthy();
  });

  test('a page shared to Hervir is read at once', async () => {
    const kitchen = aReader();
    openRoom(`/recipe?title=Stew&text=${encodeURIComponent('1.5 kg goat shoulder')}`, kitchen);
    await screen.findByRole('table', { name: 'Ingredients' });
    expect(asked(kitchen).text).toBe('Stew\n1.5 kg goat shoulder');
  });
});
