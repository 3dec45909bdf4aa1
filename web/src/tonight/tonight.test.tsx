/** @jest-environment jsdom */
import type { Plan } from '@hervir/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { queryClient } from '../api/queries';
import { usePreferences } from '../state/preferences';
import { answer as json } from '../testing/answer';
import { aCook, aKitchen, aPlan, kept, openRoom, picks, sent, standAt } from '../testing/kitchen';

standAt('2027-01-17T13:00:00Z');

const answer = (): HTMLElement => screen.getByRole('region', { name: 'The answer' });
const minutes = async (): Promise<number> => {
  const words = await within(answer()).findByText(/minutes under pressure/);
  return Number(/(\d+) minutes under pressure/.exec(words.textContent ?? '')?.[1]);
};

afterEach(() => usePreferences.getState().setBeginsSure(false));

describe('Tonight', () => {
  test('answers before anything is saved, and again as a gap is filled', async () => {
    const { user, kitchen } = openRoom('/');
    const chunks = await minutes();
    await picks(user, 'Cut how', 'left whole');
    await waitFor(async () => expect(await minutes()).toBeGreaterThan(chunks + 20));
    expect(sent(kitchen, 'POST', '/api/braises')).toEqual([]);
  });

  test('a weight that cannot be cooked is refused at its gap, with what is allowed; the rest stays', async () => {
    const { user } = openRoom('/');
    await minutes();
    const weight = screen.getByRole('textbox', { name: 'How much meat' });
    await user.clear(weight);
    await user.type(weight, '99 kg{Enter}');
    expect((await within(answer()).findByRole('alert')).textContent).toMatch(/cannot be cooked as it stands.*kg/);
    expect(screen.getByRole('button', { name: 'Open on the bench' }).hasAttribute('disabled')).toBe(true);
    await user.clear(weight);
    await user.type(weight, '3 lb 4 oz{Enter}');
    expect(await minutes()).toBeGreaterThan(10);
    expect(within(answer()).queryByRole('alert')).toBeNull();
  });

  test('a time that is none is refused at its gap and left standing; 7 pm is read as one', async () => {
    const { user } = openRoom('/');
    await minutes();
    const time = screen.getByRole<HTMLInputElement>('textbox', { name: 'When we eat' });
    await user.clear(time);
    await user.type(time, '25:99{Enter}');
    expect((await within(answer()).findByRole('alert')).textContent).toMatch(
      /"25:99" is no time of day.*00:00 to 23:59/,
    );
    expect(time.value).toBe('25:99');
    await user.clear(time);
    await user.type(time, '7 pm{Enter}');
    expect(await minutes()).toBeGreaterThan(10);
    expect(time.value).toBe('19:00');
    expect(within(answer()).queryByRole('alert')).toBeNull();
  });

  test('left open overnight it means the next evening, not the one that is over', async () => {
    openRoom('/');
    await minutes();
    const day = (): string =>
      screen.getByRole('combobox', { name: 'Which day' }).closest('.ant-select')?.textContent ?? '';
    expect(day()).toBe('today');
    jest.setSystemTime(new Date('2027-01-17T17:30:00Z'));
    fireEvent(document, new Event('visibilitychange'));
    // What was asked for stands, also where it is late by now.
    await waitFor(() => expect(within(answer()).getByText(/late/)).toBeTruthy());
    expect(day()).toBe('today');
    jest.setSystemTime(new Date('2027-01-18T07:30:00Z'));
    fireEvent(document, new Event('visibilitychange'));
    await waitFor(() => expect(within(answer()).queryByText(/late/)).toBeNull());
    expect(day()).toBe('today');
    expect(sessionStorage.getItem('hervir.asked')).toContain('2027-01-18');
  });

  test('a cut that does not come in that form takes its own usual one', async () => {
    const { user } = openRoom('/');
    await minutes();
    await user.type(await screen.findByRole('combobox', { name: 'Which cut' }), 'oxtail');
    await user.click(await screen.findByText(/oxtail/i, { selector: '.ant-select-item-option-content' }));
    await waitFor(() =>
      expect(screen.getByRole('combobox', { name: 'Cut how' }).closest('.ant-select')?.textContent).toMatch(/pieces/),
    );
  });

  test('says how sure dinner is by its time, and when to begin to be fairly sure', async () => {
    openRoom('/');
    await minutes();
    await waitFor(() =>
      expect(answer().textContent).toMatch(/On the table by 19:00: \d in 10; begun \d\d:\d\d, 8 in 10\./),
    );
  });

  test('who wants dinner fairly sure has that time on top by one press, on the bench too; another press takes it back', async () => {
    const { user, kitchen } = openRoom('/');
    const other = await within(answer()).findByRole('button', { name: /^begun \d\d:\d\d, 8 in 10$/ });
    const begins = (): string => /Begin (\d\d:\d\d)/.exec(answer().textContent ?? '')?.[1] ?? '';
    const own = begins();
    const sure = /\d\d:\d\d/.exec(other.textContent ?? '')?.[0];
    expect(sure?.localeCompare(own)).toBe(-1);
    await user.click(other);
    await waitFor(() => expect(begins()).toBe(sure));
    expect(answer().textContent).toMatch(new RegExp(`On the table by 19:00: 8 in 10; begun ${own}, \\d in 10\\.`));
    await user.click(screen.getByRole('button', { name: 'Open on the bench' }));
    await waitFor(() => expect(window.location.pathname).toMatch(/^\/bench\//));
    await waitFor(() =>
      expect(document.querySelector('.bench-sentence')?.textContent).toMatch(`Begin ${sure} to eat at 19:00`),
    );
    const [made] = sent(kitchen, 'POST', '/api/braises');
    expect(Object.values((made?.body as { plan: Plan } | undefined)?.plan.moved ?? {})).toHaveLength(1);
  });

  test('opened on the bench it becomes a plan, sent once, with the kitchen’s own air and pot', async () => {
    const { user, kitchen } = openRoom('/');
    await minutes();
    await user.click(screen.getByRole('button', { name: 'Open on the bench' }));
    await waitFor(() => expect(window.location.pathname).toMatch(/^\/bench\//));
    const [made] = sent(kitchen, 'POST', '/api/braises');
    expect((made?.body as { plan: Plan } | undefined)?.plan).toMatchObject({
      meat: { cut: 'beef-chuck', form: 'chunks', grams: 1500 },
      cooker: { name: 'The blue one' },
      kitchen: { altitudeM: 1480 },
    });
    expect(sent(kitchen, 'POST', '/api/braises')).toHaveLength(1);
  });

  test('why these minutes is answered in numbers', async () => {
    const { user } = openRoom('/');
    await minutes();
    await user.click(screen.getByRole('button', { name: 'Why these minutes' }));
    const drawer = await screen.findByRole('dialog');
    expect(drawer.textContent).toMatch(/melt \d+ % of the collagen/);
    expect(drawer.textContent).toMatch(/animals differ/);
  });

  test('a plan that cannot be read says so, and the others are there', async () => {
    const kitchen = aKitchen({ plans: [kept(aPlan())] });
    const summary = {
      id: '9b1f3c8e-52c7-4c57-9a64-0f6a2f0c6a10',
      name: 'From another day',
      cut: '',
      form: 'whole',
      grams: 0,
    };
    const other = {
      ...summary,
      cookerName: '',
      serveAt: null,
      revision: 1,
      updatedAt: '2026-11-05T19:00:00Z',
      unreadable: true,
    };
    kitchen.answers['GET /api/braises'] = () => json([other]);
    openRoom('/', kitchen);
    expect(await screen.findByText(/This Hervir cannot read it/)).toBeTruthy();
    expect(screen.getByText('From another day')).toBeTruthy();
  });

  test('shows what to begin next and when, the rest beside it, and says so where there is nothing', async () => {
    const far = kept(
      aPlan({ name: 'Oxtail with chestnuts', serveAt: '2027-01-24T19:00:00+01:00' }),
      '1e4177b8-253c-4e42-895e-09934a6c47c2',
    );
    openRoom('/', aKitchen({ plans: [far, kept(aPlan())] }));
    const next = await screen.findByRole('region', { name: 'Begin next' });
    expect(await within(next).findByText('Goat neck with quince')).toBeTruthy();
    expect(await within(next).findByText(/begin \d{2}:\d{2}/)).toBeTruthy();
    expect(within(screen.getByRole('region', { name: 'Plans' })).getByText('Oxtail with chestnuts')).toBeTruthy();
  });

  test('what was cooked ahead begins its day with one press, step by step', async () => {
    const plan = aPlan({
      cookAhead: { hours: 24, depthCm: 5, warm: 'stove' },
      aheadDone: { cook: '2027-01-16T19:00:00+01:00' },
    });
    const kitchen = aKitchen({ plans: [kept(plan)] });
    const day = aCook(plan, undefined, 'day');
    kitchen.answers['POST /api/cooks'] = () => {
      kitchen.running = [day];
      return json(day);
    };
    const { user } = openRoom('/', kitchen);
    const list = await screen.findByRole('region', { name: 'Before the evening' });
    await user.click(within(list).getByRole('button', { name: /^Start: Lift the fat off/ }));
    await waitFor(() => expect(window.location.pathname).toBe(`/cook/${day.id}`));
    expect(sent(kitchen, 'POST', '/api/cooks')[0]?.body).toMatchObject({ part: 'day', braiseId: kept(plan).id });
  });

  const OXTAIL = '1e4177b8-253c-4e42-895e-09934a6c47c2';
  const beginNext = async (): Promise<string> => {
    const next = await screen.findByRole('region', { name: 'Begin next' });
    await within(next).findByText(/begin (\d|now)/);
    return next.textContent ?? '';
  };

  test('what must be begun first is next, not what is eaten first', async () => {
    const steel = { ...aPlan().cooker, name: 'The steel one' };
    const serveAt = '2027-01-17T20:00:00+01:00';
    const long = kept(aPlan({ name: 'Long leg', serveAt, pressureMinutes: 240, cooker: steel }), OXTAIL);
    openRoom('/', aKitchen({ plans: [kept(aPlan()), long] }));
    await waitFor(async () => expect(await beginNext()).toContain('Long leg'));
  });

  test('another plan that becomes the next one is another card: what was under the finger is not that plan', async () => {
    const later = kept(aPlan({ name: 'Oxtail with chestnuts', serveAt: '2027-01-18T19:00:00+01:00' }), OXTAIL);
    const cook = { ...aCook(), braiseId: kept(aPlan()).id };
    const { kitchen } = openRoom('/', aKitchen({ plans: [kept(aPlan()), later], running: [cook] }));
    const next = await screen.findByRole('region', { name: 'Begin next' });
    const link = await within(next).findByRole('link', { name: /^Oxtail with chestnuts/ });
    kitchen.running = [];
    await act(() => queryClient.invalidateQueries());
    expect(await within(next).findByRole('link', { name: /^Goat neck with quince/ })).not.toBe(link);
    expect(link.isConnected).toBe(false);
  });

  test('two plans of one evening in one pot: it begins earlier than alone, and says for what', async () => {
    openRoom('/', aKitchen({ plans: [kept(aPlan()), kept(aPlan({ name: 'Oxtail with chestnuts' }), OXTAIL)] }));
    await waitFor(async () => expect(await beginNext()).toMatch(/earlier than alone: another plan wants your hands/));
  });

  test('a pot that is on the fire is reckoned with: begun when it is free, and dinner as much later', async () => {
    const soon = kept(aPlan({ name: 'Oxtail with chestnuts', serveAt: '2027-01-17T20:00:00+01:00' }), OXTAIL);
    openRoom('/', aKitchen({ plans: [soon], running: [aCook()] }));
    await waitFor(async () =>
      expect(await beginNext()).toMatch(/dinner 2[0-3]:\d\d: its pot is on the fire with Goat neck/),
    );
  });

  test('a plan without a dinner time is given one where it stands, and is then what to begin next', async () => {
    const { user, kitchen } = openRoom('/', aKitchen({ plans: [kept(aPlan({ serveAt: null }))] }));
    await screen.findByText(/Nothing is waiting/);
    await user.click(await screen.findByRole('button', { name: 'Say when we eat Goat neck with quince' }));
    const then = await screen.findByRole('button', { name: 'Eat then' });
    const time = within(then.closest('form') as HTMLElement).getByRole('textbox', { name: 'When we eat' });
    await user.clear(time);
    await user.type(time, '20:30');
    await user.click(then);
    await waitFor(async () => expect(await beginNext()).toContain('eat 20:30'));
    const [put] = sent(kitchen, 'PUT', '/api/braises/');
    expect((put?.body as { plan: Plan } | undefined)?.plan.serveAt).toMatch(/T20:30:00/);
  });

  test('a time that the server does not keep is said where it was given, and nothing is lost', async () => {
    const kitchen = aKitchen({ plans: [kept(aPlan({ serveAt: null }))] });
    const { user } = openRoom('/', kitchen);
    await user.click(await screen.findByRole('button', { name: 'Say when we eat Goat neck with quince' }));
    kitchen.away = true;
    await user.click(await screen.findByRole('button', { name: 'Eat then' }));
    expect((await screen.findByText(/Not kept: /)).textContent).toMatch(/server/);
    expect(kitchen.plans[0]?.plan.serveAt).toBeNull();
  });

  test('without a server it says so, and offers to try again', async () => {
    const kitchen = aKitchen({ away: true });
    const { user } = openRoom('/', kitchen);
    expect((await screen.findByText('The plans cannot be shown.')).textContent).toBeTruthy();
    expect(await screen.findByText(/The server is away/)).toBeTruthy();
    kitchen.away = false;
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('Goat neck with quince')).toBeTruthy();
  });
});

describe('a new kitchen', () => {
  const newKitchen = (): ReturnType<typeof aKitchen> => {
    const kitchen = aKitchen({
      plans: [],
      cookers: [],
      settings: { units: 'metric', kitchen: { altitudeM: 0, roomC: 20 }, confidence: 0.8, letterKeys: true },
    });
    kitchen.answers['GET /api/health'] = () =>
      ({
        ok: true,
        status: 200,
        headers: { get: () => null },
        json: () => Promise.resolve({ status: 'ok', demo: false }),
      }) as unknown as Response;
    return kitchen;
  };

  test('is asked for its pot and its height; each is kept at once and marked as done', async () => {
    const { user, kitchen } = openRoom('/', newKitchen());
    const steps = await screen.findByRole('region', { name: 'First steps' });
    await user.click(within(steps).getByRole('button', { name: 'Large stovetop pot, 8 l' }));
    expect(await within(steps).findByText('Large stovetop pot')).toBeTruthy();
    expect(kitchen.cookers.map(({ cooker }) => cooker.litres)).toEqual([8]);
    const height = within(steps).getByRole('textbox', { name: 'Altitude of the kitchen' });
    await user.clear(height);
    await user.type(height, '640{Enter}');
    expect(await within(steps).findByText('640 m')).toBeTruthy();
    expect(kitchen.settings.kitchen).toEqual({ altitudeM: 640, roomC: 20 });
  });

  test('a kitchen at the sea can say so too', async () => {
    const { user, kitchen } = openRoom('/', newKitchen());
    const steps = await screen.findByRole('region', { name: 'First steps' });
    await user.click(within(steps).getByRole('button', { name: 'Keep it' }));
    expect(await within(steps).findByText('0 m')).toBeTruthy();
    expect(kitchen.settings.kitchen.altitudeM).toBe(0);
  });

  test('may send the steps away, for good', async () => {
    const { user } = openRoom('/', newKitchen());
    const steps = await screen.findByRole('region', { name: 'First steps' });
    await user.click(within(steps).getByRole('button', { name: 'Not now' }));
    await waitFor(() => expect(screen.queryByRole('region', { name: 'First steps' })).toBeNull());
  });
});
