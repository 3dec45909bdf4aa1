/** @jest-environment jsdom */
import type { CookEvent } from '@hervir/core';
import { screen, waitFor, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';
import { answer } from '../testing/answer';
import { aCook, aKitchen, aPlan, openRoom, sent, standAt, type PretendKitchen } from '../testing/kitchen';

standAt('2027-01-17T15:40:00Z');

async function pot(kitchen = aKitchen({ running: [aCook()] })): Promise<{ kitchen: PretendKitchen; user: UserEvent }> {
  const opened = openRoom(`/cook/${kitchen.running[0]?.id ?? ''}`, kitchen);
  await screen.findByRole('region', { name: 'Now' });
  return opened;
}
const title = (): string => screen.getByRole('heading', { level: 1 }).textContent ?? '';
const big = (): HTMLElement => document.querySelector('[aria-label="Now"] .big-button') as HTMLElement;
/** Everything that was pressed and sent, in order. */
const events = (kitchen: PretendKitchen): CookEvent[] =>
  sent(kitchen, 'POST', '/api/cooks/').flatMap(({ body }) => (body as { events: CookEvent[] }).events);
/** Presses the big button until the room says something. */
async function until(user: UserEvent, wanted: RegExp): Promise<void> {
  for (let i = 0; i < 60 && !wanted.test(title()); i += 1) {
    const before = title();
    await user.click(big());
    await waitFor(() => expect(title()).not.toBe(before));
  }
  expect(title()).toMatch(wanted);
}

describe('on the day of what was cooked ahead', () => {
  const PLAN = aPlan({ cookAhead: { hours: 24, depthCm: 5, warm: 'stove' } });
  const onItsDay = (): PretendKitchen => aKitchen({ running: [aCook(PLAN, undefined, 'day')] });

  test('each step stands as on any evening, and nothing is shown that is only of the evening', async () => {
    const { user } = await pot(onItsDay());
    await until(user, /until its middle is at 74 °C/);
    const room = screen.getByRole('region', { name: 'Now' });
    expect(room.textContent).toMatch(/To 74 °C in the middle, and only once/);
    expect(screen.queryByRole('figure', { name: 'The line of this cook' })).toBeNull();
    expect(screen.queryByLabelText('How sure dinner is')).toBeNull();
    expect(screen.getByRole('region', { name: 'Dinner' }).textContent).toMatch(/^Dinner/);
  });

  test('served it is a dinner: what is left has its place, and no meat is weighed that was warmed', async () => {
    const { user, kitchen } = await pot(onItsDay());
    for (let i = 0; i < 60 && screen.queryByRole('region', { name: 'Served' }) === null; i += 1) {
      const before = title();
      await user.click(big());
      await waitFor(() => expect(title()).not.toBe(before));
    }
    const served = screen.getByRole('region', { name: 'Served' });
    expect(title()).toMatch(/On the table at/);
    expect(within(served).queryByLabelText('Cooked meat, weighed')).toBeNull();
    expect(await within(served).findByRole('group', { name: 'What is left' })).toBeTruthy();
    await user.click(within(served).getByRole('button', { name: 'Close this cook' }));
    await waitFor(() => expect(events(kitchen).at(-1)?.kind).toBe('finished'));
  });
});

describe('at the pot', () => {
  test('one thing to do, a button that says what has happened, and the next thing follows; each press is sent once', async () => {
    const { user, kitchen } = await pot();
    const first = title();
    await user.click(big());
    await waitFor(() => expect(title()).not.toBe(first));
    await waitFor(() => expect(events(kitchen)).toHaveLength(1));
    expect(events(kitchen)[0]?.kind).toBe('stepDone');
    expect(events(kitchen)[0]?.at).toMatch(/^2027-01-17T15:4/);
  });

  test('undo takes back what was pressed, by its name', async () => {
    const { user, kitchen } = await pot();
    const first = title();
    await user.click(big());
    await waitFor(() => expect(title()).not.toBe(first));
    await user.click(await screen.findByRole('button', { name: /^Undo: / }));
    await waitFor(() => expect(title()).toBe(first));
    await waitFor(() => expect(events(kitchen).map(({ kind }) => kind)).toEqual(['stepDone', 'undone']));
  });

  test('Space is the big button, P is pin up where the pin is awaited, M a minute more', async () => {
    const { user, kitchen } = await pot();
    const first = title();
    await user.keyboard(' ');
    await waitFor(() => expect(title()).not.toBe(first));
    await until(user, /pin/i);
    await user.keyboard('p');
    await waitFor(() => expect(events(kitchen).some(({ kind }) => kind === 'pinUp')).toBe(true));
    await user.keyboard('m');
    await waitFor(() =>
      expect(events(kitchen).at(-1)).toMatchObject({ kind: 'minutesAdded', payload: { minutes: 1 } }),
    );
  });

  test('the way to the check: a valve is opened with its caution beside it, six words for the fork, and too firm puts the lid back', async () => {
    const { user, kitchen } = await pot();
    await until(user, /valve/i);
    await until(user, /Try a piece/);
    const now = screen.getByRole('region', { name: 'Now' });
    for (const word of ['Chewy', 'Firm', 'Slices clean', 'Fork turns easily', 'Pulls apart', 'Falls to threads']) {
      expect(now.textContent).toContain(word);
    }
    await user.click(within(now).getByRole('button', { name: /^Firm/ }));
    const back = await within(now).findByRole('button', { name: /^Lid back on(: up| for \d+ min)/ });
    await user.click(back);
    await waitFor(() =>
      expect(events(kitchen).map(({ kind }) => kind)).toEqual(expect.arrayContaining(['checked', 'minutesAdded'])),
    );
    const added = events(kitchen).find(({ kind }) => kind === 'minutesAdded');
    expect(added?.payload.minutes).toBeGreaterThanOrEqual(0);
    expect(added?.payload.again?.reheatMinutes).toBeGreaterThan(0);
  });

  test('every step that can hurt says so where it stands', async () => {
    const { user } = await pot();
    const said = new Set<string>();
    for (let i = 0; i < 60 && !/On the table/.test(title()); i += 1) {
      for (const note of screen.queryAllByRole('note')) said.add(note.textContent ?? '');
      const before = title();
      await user.click(big());
      await waitFor(() => expect(title()).not.toBe(before));
    }
    const all = [...said].join(' | ');
    // The pages of the job that name what can hurt: board, gasket and valve, steam at the valve, lid.
    for (const word of [/raw meat/i, /gasket|rim/i, /valve/i, /lid/i]) expect(all).toMatch(word);
  });

  test('the part of the work is said in words: in the pill, and on the card after it', async () => {
    const { user } = await pot();
    const said = new Set<string>();
    for (let i = 0; i < 60 && !/On the table/.test(title()); i += 1) {
      said.add(within(screen.getByRole('group', { name: 'On the fire' })).getByRole('link').textContent ?? '');
      const before = title();
      await user.click(big());
      await waitFor(() => expect(title()).not.toBe(before));
    }
    const pills = [...said].join(' | ');
    for (const part of ['Board', 'Coming to pressure', 'Letting down']) expect(pills).toContain(part);
    const card = screen.getByRole('region', { name: 'Served' }).textContent ?? '';
    expect(card).toMatch(/Letting down: .*, planned/);
    expect(`${pills} ${card}`).not.toMatch(/letting-down|coming-up|later-run/);
  });

  test('while the server is away presses count, wait here, and say so; then they are sent in order', async () => {
    const { user, kitchen } = await pot();
    kitchen.away = true;
    const first = title();
    await user.click(big());
    await waitFor(() => expect(title()).not.toBe(first));
    const second = title();
    await user.click(big());
    await waitFor(() => expect(title()).not.toBe(second));
    expect(await screen.findByText(/server is away: what you press is kept here/)).toBeTruthy();
    kitchen.away = false;
    await waitFor(() => expect(kitchen.running[0]?.events).toHaveLength(3));
    expect(new Set(kitchen.running[0]?.events.map(({ id }) => id)).size).toBe(3);
  });

  test('a full disk is said in its own words, and what was pressed is not thrown away', async () => {
    const kitchen = aKitchen({ running: [aCook()] });
    const address = `POST /api/cooks/${kitchen.running[0]?.id ?? ''}/events`;
    kitchen.answers[address] = () =>
      answer(
        {
          faults: [
            { path: '', problem: 'the disk of Hervir’s machine is full; nothing was changed', allowed: 'space' },
          ],
        },
        507,
      );
    const { user } = await pot(kitchen);
    await user.click(big());
    expect(await screen.findByText(/disk of Hervir’s machine is full/)).toBeTruthy();
    expect(Object.keys(localStorage).filter((key) => key.startsWith('hervir.press.'))).toHaveLength(1);
    delete kitchen.answers[address];
    await waitFor(() => expect(kitchen.running[0]?.events).toHaveLength(2));
    expect(Object.keys(localStorage).filter((key) => key.startsWith('hervir.press.'))).toHaveLength(0);
  });

  test('a cook that is not to be is thrown away, asked once more; where more has happened meanwhile it stays and says so', async () => {
    const kitchen = aKitchen({ running: [aCook()] });
    const address = `DELETE /api/cooks/${kitchen.running[0]?.id ?? ''}?events=1`;
    const fault = { path: 'revision', problem: 'was saved elsewhere in between', allowed: '3' };
    let there = true;
    kitchen.answers[address] = () => {
      if (there) return answer({ faults: [fault] }, 409);
      kitchen.running = [];
      return answer({});
    };
    const { user } = await pot(kitchen);
    const throwAway = async (): Promise<void> => {
      await user.click(screen.getByRole('button', { name: 'Not cooking after all' }));
      expect(await screen.findByText(/Nothing has been told yet\. The plan stays\./)).toBeTruthy();
      await user.click(await screen.findByRole('button', { name: 'Throw it away' }));
    };
    await throwAway();
    expect(await screen.findByText(/saved elsewhere/, { selector: '[role="alert"]' })).toBeTruthy();
    there = false;
    await throwAway();
    await waitFor(() => expect(window.location.pathname).toBe('/'));
    expect(await screen.findByText(/Thrown away; the plan is still there/)).toBeTruthy();
    expect(sent(kitchen, 'DELETE', '/api/cooks/').length).toBe(2);
  });

  test('something’s wrong leads to Rescue, which knows this cook', async () => {
    const { user } = await pot();
    await user.click(screen.getByRole('button', { name: /wrong/ }));
    await waitFor(() => expect(window.location.pathname).toBe('/rescue'));
    expect(window.location.search).toContain('cook=5e4177b8');
    await user.click(await screen.findByRole('link', { name: /pin will not rise/i }));
    expect((await screen.findAllByText(/valve/i)).length).toBeGreaterThan(0);
  });

  test('a cook that is not there is said, with a way on', async () => {
    openRoom('/cook/7e4177b8-253c-4e42-895e-09934a6c47c2', aKitchen());
    expect(await screen.findByText('This cook is not here')).toBeTruthy();
  });
});
