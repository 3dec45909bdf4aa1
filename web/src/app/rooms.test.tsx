/** @jest-environment jsdom */
import type { LogItem } from '@hervir/contract';
import { summary, unknown, withEvidence } from '@hervir/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { answer } from '../testing/answer';
import { aKitchen, openRoom, picks, sent, standAt, writes } from '../testing/kitchen';

standAt('2027-01-17T12:00:00Z');

const entry = (part: Partial<LogItem> = {}): LogItem => ({
  id: '8e4177b8-253c-4e42-895e-09934a6c47c2',
  source: 'by-hand',
  servedAt: '2026-11-21T18:00:00Z',
  name: 'Goat shoulder with turnips and bay',
  cut: 'goat-shoulder',
  form: 'chunks',
  cooker: 'The blue one',
  wanted: 'fork',
  grade: 'firm',
  boughtG: 1500,
  trimmedG: 1400,
  cookedG: 900,
  pressure: { planned: 35, actual: 37 },
  toPin: { planned: 8, actual: 11 },
  release: { planned: 12, actual: 12 },
  lateMinutes: 20,
  burns: 0,
  outcome: { moistness: null, sauce: null, vegetables: {} },
  notes: '',
  result: 'short',
  photo: false,
  ...part,
});

describe('the frame', () => {
  test('Alt and a digit change the room, ? shows the keys, and the window is called after the room', async () => {
    const { user } = openRoom('/settings');
    await screen.findByRole('heading', { name: 'Settings' });
    expect(document.title).toBe('Settings · Hervir');
    await user.keyboard('{Alt>}6{/Alt}');
    // Not "At the pot", whose address begins alike.
    await waitFor(() => expect(document.title).toBe('Cookers · Hervir'));
    await user.keyboard('{Alt>}4{/Alt}');
    await waitFor(() => expect(window.location.pathname).toBe('/times'));
    await user.keyboard('?');
    expect((await screen.findByRole('dialog')).textContent).toContain('go to a room');
  });

  test('units and colours change by one press, and are kept', async () => {
    const { user, kitchen } = openRoom('/settings');
    await user.click(await screen.findByRole('button', { name: /change to pounds/ }));
    await waitFor(() => expect(kitchen.settings.units).toBe('us'));
    await user.click(screen.getByRole('button', { name: 'Night' }));
    await waitFor(() => expect(document.documentElement.dataset['theme']).toBe('night'));
    expect(localStorage.getItem('hervir.preferences')).toContain('night');
  });

  test('an address that leads nowhere says so', async () => {
    openRoom('/nowhere');
    expect(await screen.findByText('There is nothing here')).toBeTruthy();
  });
});

describe('Settings', () => {
  test('the height of the kitchen is kept; a refusal is told and put back', async () => {
    const { kitchen, user } = openRoom('/settings');
    const height = await screen.findByLabelText('Altitude');
    await user.clear(height);
    await user.type(height, '640{Enter}');
    await waitFor(() => expect(kitchen.settings.kitchen.altitudeM).toBe(640));
    // Once, not letter by letter: a kitchen is never at 6 m, nor at 64.
    expect(sent(kitchen, 'PUT', '/api/settings')).toHaveLength(1);
    kitchen.answers['PUT /api/settings'] = () =>
      answer({ faults: [{ path: 'kitchen.roomC', problem: 'too hot', allowed: '0 to 45 °C' }] }, 400);
    await writes(user, 'Room', '30');
    expect(await screen.findByText(/Not saved: .*too hot/)).toBeTruthy();
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Room').value).toBe('19 °C'));
  });

  test('a file that is no backup is refused in words, and nothing is put back', async () => {
    const { kitchen, user } = openRoom('/settings');
    await screen.findByText('Restore from a backup…');
    const choose = (text: string): void => {
      const [input] = [...document.querySelectorAll('input[type="file"]')];
      const file = new File([text], 'kitchen.json', { type: 'application/json' });
      fireEvent.change(input as HTMLElement, { target: { files: [file] } });
    };
    kitchen.answers['POST /api/backup/preview'] = () =>
      answer({ faults: [{ path: '', problem: 'is not JSON', allowed: 'a backup of Hervir' }] }, 400);
    choose('not json at all');
    expect((await screen.findByRole('alert')).textContent).toContain('is not JSON; allowed: a backup of Hervir');
    expect(sent(kitchen, 'POST', '/api/backup/restore')).toEqual([]);
    // It went as the file it is, not through the page's memory.
    expect(sent(kitchen, 'POST', '/api/backup/preview')[0]?.body).toBeInstanceOf(Blob);
    await user.keyboard('{Escape}');
  });

  test('a backup made by itself is shown with its day, looked into, and put back when that is meant', async () => {
    const kitchen = aKitchen();
    const name = 'hervir-2026-11-05.json';
    kitchen.answers['GET /api/backup/kept'] = () =>
      answer([{ name, made: '2026-11-05T04:00:00.000Z', bytes: 2_345_678 }], 200);
    const preview = { holds: { braise: 7 }, here: { braise: 3 }, photos: 2, unreadable: 1 };
    kitchen.answers[`POST /api/backup/kept/${name}/preview`] = () => answer(preview, 200);
    kitchen.answers[`POST /api/backup/kept/${name}/restore`] = () => answer(preview, 200);
    const { user } = openRoom('/settings', kitchen);
    await screen.findByText('2.3 MB');
    await user.click(screen.getByRole('button', { name: 'Restore Thursday 5 November' }));
    const dialog = await screen.findByRole('dialog');
    expect(dialog.textContent).toMatch(/plans\s*7\s*3/);
    expect(dialog.textContent).toContain('1 rows of an older Hervir');
    await user.click(within(dialog).getByRole('button', { name: 'Restore it' }));
    await waitFor(() => expect(sent(kitchen, 'POST', `/api/backup/kept/${name}/restore`)).toHaveLength(1));
  });

  test('a table is shown before it is kept: how far it is read, what is new, and what is wrong with it', async () => {
    const kitchen = aKitchen();
    const reading = { id: 'one', phase: 'reading', rows: 40, reckoned: 10, known: 3, first: [], faults: [] };
    let now: object = reading;
    kitchen.answers['POST /api/log/imports'] = () => answer(reading, 201);
    kitchen.answers['GET /api/log/imports/one'] = () => answer(now, 200);
    kitchen.answers['POST /api/log/imports/one/keep'] = () => answer({ added: 37, known: 3, faults: [] }, 200);
    const { user } = openRoom('/settings', kitchen);
    await screen.findByText('Read a CSV in…');
    const choose = (): void => {
      const input = [...document.querySelectorAll('input[type="file"]')].at(-1);
      fireEvent.change(input as HTMLElement, { target: { files: [new File(['date;cut'], 'notebook.csv')] } });
    };
    choose();
    const dialog = await screen.findByRole('dialog');
    expect(dialog.textContent).toContain('40 cooks, 3 of them in the log already.');
    const add = within(dialog).getByRole<HTMLButtonElement>('button', { name: 'Add 37 cooks' });
    expect([add.disabled, within(dialog).getByRole('progressbar').getAttribute('aria-valuenow')]).toEqual([true, '27']);
    now = { ...reading, phase: 'ready', reckoned: 37 };
    await waitFor(() => expect(add.disabled).toBe(false));
    await user.click(add);
    await screen.findByText('37 cooks added; 3 were there already.');

    now = {
      ...reading,
      phase: 'refused',
      faults: [{ path: 'line 5, served at', problem: '"soon" is not a datetime', allowed: 'a date' }],
    };
    choose();
    await screen.findByText(/line 5, served at: "soon" is not a datetime/);
  });
});

describe('Cookers', () => {
  test('a dialog gives the keyboard back to what opened it', async () => {
    const { user } = openRoom('/cookers');
    const [change] = await screen.findAllByRole('button', { name: /^Change / });
    await user.click(change as HTMLElement);
    await screen.findByRole('dialog');
    await user.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(document.activeElement).toBe(change);
  });

  test('a cooker is added from a starting set, with its own name and figures; an impossible one is refused at its field', async () => {
    const { kitchen, user } = openRoom('/cookers');
    await user.click(await screen.findByRole('button', { name: /Add a cooker/ }));
    await user.click(await screen.findByText('Large stovetop pot, 8 l'));
    const dialog = await screen.findByRole('dialog');
    const name = within(dialog).getByLabelText('Name');
    await user.clear(name);
    await user.type(name, 'The old steel one');
    kitchen.answers['POST /api/cookers'] = () =>
      answer({ faults: [{ path: 'gaugeKPa', problem: '400 is too large', allowed: '20 to 120 kPa' }] }, 400);
    const keep = within(dialog)
      .getAllByRole('button')
      .find(({ className }) => className.includes('primary')) as HTMLElement;
    await user.click(keep);
    expect(await within(dialog).findByText(/too large|20 to 120/)).toBeTruthy();
    delete kitchen.answers['POST /api/cookers'];
    await waitFor(() => expect(keep.className).not.toContain('loading'));
    await user.click(keep);
    await waitFor(() =>
      expect(kitchen.cookers.at(-1)?.cooker).toMatchObject({
        name: 'The old steel one',
        kind: 'stovetop',
        litres: 8,
      }),
    );
  });

  test('what the log has taught stands beside its pot, with the cooks it rests on, and can be switched off', async () => {
    const sixSlowCooks = Array.from({ length: 6 }, () => ({ at: Math.log(0.8) }));
    const taught = sixSlowCooks.reduce((known, evidence) => withEvidence(known, evidence, 1), unknown('heat'));
    const kitchen = aKitchen({
      learnt: [
        {
          key: 'heat:The blue one',
          kind: 'heat',
          of: 'The blue one',
          off: false,
          short: 0,
          past: 0,
          ...summary(taught),
        },
      ],
    });
    kitchen.answers['PUT /api/learning/heat%3AThe%20blue%20one'] = () => answer({});
    kitchen.answers['PUT /api/learning/heat:The blue one'] = () => answer({});
    const { user } = openRoom('/cookers', kitchen);
    const use = await screen.findByRole('switch', { name: /^Use it: / });
    expect(use.closest('section, li')?.textContent).toMatch(/6|six/);
    await user.click(use);
    await waitFor(() => expect(sent(kitchen, 'PUT', '/api/learning/')).toMatchObject([{ body: { off: true } }]));
  });
});

describe('Log', () => {
  test('lists cooks with what came of them, and says when nothing is like what is looked for', async () => {
    const kitchen = aKitchen({
      log: [
        entry(),
        entry({
          id: '9e4177b8-253c-4e42-895e-09934a6c47c2',
          name: 'Oxtail',
          grade: 'fork',
          result: 'as-wanted',
          lateMinutes: 0,
          burns: 1,
        }),
      ],
    });
    const { user } = openRoom('/log', kitchen);
    const list = await screen.findByRole('list', { name: 'Cooks' });
    expect(list.textContent).toMatch(/firm, not fork-tender/);
    expect(list.textContent).toMatch(/20 min late/);
    expect(list.textContent).toMatch(/burn error/);
    kitchen.log = [];
    await user.type(screen.getByLabelText('Look for words'), 'venison');
    expect(await screen.findByText('Nothing in the log is like that.')).toBeTruthy();
    expect(sent(kitchen, 'GET', '/api/log?').at(-1)?.path).toContain('text=venison');
  });

  test('filters go to the server by their keys', async () => {
    const kitchen = aKitchen({ log: [entry()] });
    const { user } = openRoom('/log', kitchen);
    await picks(user, 'Animal', /goat/i);
    await picks(user, 'Sorted', /tough/i);
    await waitFor(() => {
      const last = sent(kitchen, 'GET', '/api/log?').at(-1)?.path ?? '';
      expect(last).toContain('species=goat');
      expect(last).toContain('sort=toughest');
    });
  });

  test('one cook: how it came out is said afterwards, and kept', async () => {
    const kitchen = aKitchen({ log: [entry()] });
    const { user } = openRoom('/log/8e4177b8-253c-4e42-895e-09934a6c47c2', kitchen);
    const came = await screen.findByRole('region', { name: 'How it came out' });
    await writes(user, 'Cooked meat, weighed', '950 g');
    await waitFor(() => expect(sent(kitchen, 'PUT', '/api/log/').at(-1)?.body).toMatchObject({ cookedG: 950 }));
    const words = within(came).getByLabelText('Words');
    await user.type(words, 'more bay');
    fireEvent.blur(words);
    await waitFor(() => expect(sent(kitchen, 'PUT', '/api/log/').at(-1)?.body).toMatchObject({ notes: 'more bay' }));
    expect(screen.getByRole('region', { name: 'Planned and actual' }).textContent).toMatch(/35 min.*37 min/);
  });

  test('one that cannot be thrown away stays where it is, and says why', async () => {
    const kitchen = aKitchen({ log: [entry()] });
    const { user } = openRoom('/log/8e4177b8-253c-4e42-895e-09934a6c47c2', kitchen);
    await user.click(await screen.findByRole('button', { name: 'Delete' }));
    kitchen.answers['DELETE /api/log/8e4177b8-253c-4e42-895e-09934a6c47c2'] = () =>
      answer({ faults: [{ path: '', problem: 'the disk is full', allowed: 'space' }] }, 507);
    await user.click(await screen.findByRole('button', { name: 'Delete it' }));
    expect(await screen.findByText(/the disk is full/i)).toBeTruthy();
    expect(window.location.pathname).toBe('/log/8e4177b8-253c-4e42-895e-09934a6c47c2');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(entry().name);
  });

  test('a past cook is added with no more than its day, cut, weight and what came of it', async () => {
    const kitchen = aKitchen();
    kitchen.answers['POST /api/log'] = (body) => answer({ ...entry(), id: (body as { id: string }).id }, 201);
    const { user } = openRoom('/log', kitchen);
    await user.click(await screen.findByRole('button', { name: 'Add a past cook' }));
    const dialog = await screen.findByRole('dialog');
    const keep = within(dialog)
      .getAllByRole('button')
      .find(({ className }) => className.includes('primary')) as HTMLElement;
    await user.click(keep);
    await waitFor(() => expect(sent(kitchen, 'POST', '/api/log')).toHaveLength(1));
    expect(sent(kitchen, 'POST', '/api/log')[0]?.body).toMatchObject({
      grade: expect.any(String) as string,
      minutes: expect.any(Number) as number,
      plan: { meat: { cut: expect.any(String) as string } },
    });
  });
});

describe('Times', () => {
  test('a cut is pressed for its minutes over weight, and a weight is moved along them', async () => {
    const { user } = openRoom('/times');
    await user.click(await screen.findByRole('button', { name: /beef chuck ?, minutes over weight/ }));
    const weight = await screen.findByRole('slider', { name: 'Weight' });
    const minutes = (): number => Number(/fork (\d+) min/.exec(weight.getAttribute('aria-valuetext') ?? '')?.[1]);
    const before = minutes();
    expect(before).toBeGreaterThan(30);
    act(() => weight.focus());
    await user.keyboard('{PageUp}{PageUp}');
    expect(Number(weight.getAttribute('aria-valuenow'))).toBe(1850);
    expect(minutes()).toBeGreaterThan(before);
    await user.keyboard('{PageDown}{PageDown}');
    expect(minutes()).toBe(before);
  });

  test('the wall chart is reckoned for this kitchen, row by row, and can be printed', async () => {
    openRoom('/times');
    const chart = await screen.findByRole('region', { name: 'The chart' });
    await waitFor(() => expect(chart.textContent).toMatch(/goat neck/i));
    await waitFor(() => expect(screen.getByRole('button', { name: /[Pp]rint/ }).hasAttribute('disabled')).toBe(false));
    const figures = [...(chart.textContent ?? '').matchAll(/\d+/g)].map(Number);
    expect(figures.length).toBeGreaterThan(100);
  });
});

describe('Rescue', () => {
  test.each(['burn', 'still-tough', 'power-cut'])('%s: steps come first, reasons after', async (topic) => {
    openRoom(`/rescue/${topic}`);
    const steps = await screen.findAllByRole('listitem');
    expect(steps.length).toBeGreaterThan(1);
    const why = screen.queryByRole('heading', { name: 'Why' });
    if (why) {
      // DOM order is reading order: 4 means "follows".
      expect((steps[0] as HTMLElement).compareDocumentPosition(why) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
    }
  });
});

describe('Rehearse', () => {
  test('six exercises, each with its pass mark; one is begun by a press', async () => {
    const kitchen = aKitchen();
    const { user } = openRoom('/rehearse', kitchen);
    const list = await screen.findByRole('list', { name: 'Exercises' });
    expect(within(list).getAllByRole('listitem')).toHaveLength(6);
    expect(list.textContent?.match(/Passed when: /g)).toHaveLength(6);
    await user.click(within(list).getAllByRole('button')[0] as HTMLElement);
    await waitFor(() => expect(sent(kitchen, 'POST', '/api/rehearsals')).toHaveLength(1));
    expect(sent(kitchen, 'POST', '/api/rehearsals')[0]?.body).toMatchObject({ exercise: expect.any(String) as string });
    // It could not be begun here: that is said, and the room stays.
    expect(await screen.findByText(/Not begun/)).toBeTruthy();
  });
});

describe('From a recipe', () => {
  test('what cannot be read is refused in words, and the text stays', async () => {
    const kitchen = aKitchen();
    kitchen.answers['POST /api/recipes/read'] = () =>
      answer(
        { faults: [{ path: 'text', problem: 'no meat was found in it', allowed: 'beef, pork, lamb or goat' }] },
        400,
      );
    const { user } = openRoom('/recipe', kitchen);
    const box = await screen.findByLabelText<HTMLTextAreaElement>('The recipe');
    await user.type(box, 'A cup of tea');
    await user.click(
      screen.getAllByRole('button').find(({ className }) => className.includes('primary')) as HTMLElement,
    );
    expect(await screen.findByText(/no meat was found in it/)).toBeTruthy();
    expect(box.value).toBe('A cup of tea');
  });
});
