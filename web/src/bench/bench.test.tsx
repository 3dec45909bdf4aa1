/** @jest-environment jsdom */
import type { Plan } from '@hervir/core';
import { act, screen, waitFor, within } from '@testing-library/react';
import type { UserEvent } from '@testing-library/user-event';
import { queryClient } from '../api/queries';
import { answer } from '../testing/answer';
import {
  aKitchen,
  aPlan,
  chooses,
  kept,
  openRoom,
  picks,
  sent,
  standAt,
  writes,
  type PretendKitchen,
} from '../testing/kitchen';

standAt('2027-01-17T12:00:00Z');

const ID = '0e4177b8-253c-4e42-895e-09934a6c47c2';

/** The bench with a plan on it, once it has been reckoned. */
async function bench(part: Partial<Plan> = {}): Promise<{ kitchen: PretendKitchen; user: UserEvent }> {
  const opened = openRoom(`/bench/${ID}`, aKitchen({ plans: [kept(aPlan(part))] }));
  await screen.findByText(/minutes/, { selector: '.why' });
  return opened;
}

/** Opens a station by its title. */
async function station(user: UserEvent, title: string): Promise<void> {
  await user.click(screen.getByText(title, { selector: '.title' }));
}

/** Turns to a page of everything together. */
async function tab(user: UserEvent, name: string): Promise<void> {
  await user.click(screen.getByRole('button', { name: 'Why, what if, care' }));
  await user.click(await screen.findByText(name, { selector: '.ant-tabs-tab-btn' }));
}

/** The plan as it was last sent to be kept. */
async function saved(kitchen: PretendKitchen, is: (plan: Plan) => void): Promise<void> {
  await waitFor(() => {
    const last = sent(kitchen, 'PUT', `/api/braises/${ID}`).at(-1)?.body as { plan: Plan } | undefined;
    if (!last) throw new Error('nothing was sent');
    is(last.plan);
  });
}

describe('the bench', () => {
  test('says the evening in a sentence whose figures answer why', async () => {
    const { user } = await bench();
    const sentence = document.querySelector('.bench-sentence')?.textContent ?? '';
    expect(sentence).toMatch(
      /^Begin \d\d:\d\d to eat at 19:00: .* minutes under pressure, \d+ for the pressure to fall/,
    );
    await user.click(screen.getByText(/\d+ minutes/, { selector: '.why' }));
    expect((await screen.findAllByText(/melt \d+ % of the collagen/)).length).toBeGreaterThan(0);
  });

  test('every control of the meat changes the plan, and saves by itself', async () => {
    const { user, kitchen } = await bench();
    await chooses(user, 'From', 'Frozen');
    await chooses(user, 'Until', 'Pulls');
    await chooses(user, 'Bone', 'Boned');
    await writes(user, 'As bought', '2 kg');
    await writes(user, 'Trimmed off', '200 g');
    await saved(kitchen, ({ meat, target }) => {
      expect(target).toBe('pulls');
      expect(meat).toMatchObject({ startsFrom: 'frozen', boneIn: false, grams: 2000, trimGrams: 200 });
    });
  });

  test('a thickness out of range is refused at its field with the range, and nothing is sent', async () => {
    const { user, kitchen } = await bench();
    await writes(user, 'Thickness', '70 cm');
    expect(
      (await screen.findByText(/0\.5 cm|0\.5 to|allowed/i, { selector: '[role="alert"], [role="alert"] *' }))
        .textContent,
    ).toMatch(/\d/);
    // What is right goes on being saved; what was refused is in none of it.
    await writes(user, 'As bought', '2 kg');
    await saved(kitchen, ({ meat }) => expect(meat).toMatchObject({ grams: 2000 }));
    for (const { body } of sent(kitchen, 'PUT', '/api/braises')) {
      expect((body as { plan: Plan }).plan.meat.thicknessCm ?? null).toBeNull();
    }
  });

  test('trimming more away than there is, is refused in the cook’s units', async () => {
    const { user } = await bench();
    await writes(user, 'Trimmed off', '5 kg');
    expect(await screen.findByText('5 kg is out of range; allowed: 0 g to 1.58 kg')).toBeTruthy();
  });

  test('undo takes the last edit back, redo brings it again', async () => {
    const { user, kitchen } = await bench();
    await chooses(user, 'Until', 'Slices');
    await saved(kitchen, ({ target }) => expect(target).toBe('slices'));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await saved(kitchen, ({ target }) => expect(target).toBe('fork'));
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    await saved(kitchen, ({ target }) => expect(target).toBe('slices'));
  });

  test('everything is asked anew after the server was away: what was edited stands, and undo goes on', async () => {
    const { user, kitchen } = await bench();
    await chooses(user, 'Until', 'Slices');
    await saved(kitchen, ({ target }) => expect(target).toBe('slices'));
    await act(() => queryClient.invalidateQueries());
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await saved(kitchen, ({ target }) => expect(target).toBe('fork'));
  });

  test('other units change what is said and nothing else: the station stays open, and undo goes on', async () => {
    const { user, kitchen } = await bench();
    await station(user, 'Sauce');
    const sauce = await screen.findByRole('tab', { name: /^Sauce/, selected: true });
    await picks(user, 'Thicken', /Potato starch/i);
    await saved(kitchen, ({ finish }) => expect(finish.thickener).toBe('potato-starch'));
    const said = (): string => document.querySelector('.bench')?.textContent ?? '';
    expect(said()).toMatch(/Stir \d+ g of potato starch .* into \d+ ml of cold water/);
    await user.click(screen.getByRole('button', { name: /change to pounds/ }));
    await waitFor(() => expect(said()).toMatch(/of potato starch.* into [\d½¼¾]+ (tbsp|tsp) of cold water/));
    expect(said()).not.toMatch(/\d ml\b|\d °C/);
    expect(sauce.isConnected).toBe(true);
    expect(sauce.getAttribute('aria-selected')).toBe('true');
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await saved(kitchen, ({ finish }) => expect(finish.thickener).not.toBe('potato-starch'));
  });

  test('the sear: school, pan and order, aromatics added and taken out', async () => {
    const { user, kitchen } = await bench();
    await station(user, 'Sear');
    await chooses(user, 'How hard', 'Quick');
    await chooses(user, 'Seared in', 'A pan');
    await chooses(user, 'First in', 'Onion');
    await saved(kitchen, ({ sear }) =>
      expect(sear).toMatchObject({ school: 'quick', where: 'pan', order: 'onion-first' }),
    );
    const aromatics = screen.getByRole('group', { name: 'Aromatics' });
    const before = within(aromatics).queryAllByRole('button', { name: /^Take / }).length;
    await user.click(within(aromatics).getByRole('button', { name: /Add/ }));
    await saved(kitchen, (plan) => expect(plan.aromatics).toHaveLength(before + 1));
    await user.click(within(aromatics).getAllByRole('button', { name: /^Take / })[0] as HTMLElement);
    await saved(kitchen, (plan) => expect(plan.aromatics).toHaveLength(before));
  });

  test('a pot that would burn says why, and each cause has a remedy that mends it when pressed', async () => {
    const { user, kitchen } = await bench({
      additions: [{ ingredient: 'tomato-paste', grams: 170, when: 'stirred-in' }],
      liquids: [{ liquid: 'stock', ml: 250, temperatureC: 20 }],
      deglaze: null,
      pressureMinutes: 40,
    });
    const alerts = await screen.findAllByText(/Expect the burn error/);
    expect(alerts.length).toBeGreaterThan(0);
    await station(user, 'Pot');
    await chooses(user, 'Meat', 'On a rack');
    await saved(kitchen, ({ rack }) => expect(rack).toBe(true));
    await user.click(screen.getByRole('button', { name: 'stirred in: more of tomato paste' }));
    await picks(user, 'When, tomato paste', 'on top');
    await saved(kitchen, ({ additions }) => expect(additions[0]?.when).toBe('on-top'));
    await picks(user, 'Deglaze', 'Dry cider');
    await saved(kitchen, ({ deglaze }) => expect(deglaze?.liquid).toBe('cider'));
  });

  test('liquid by school is worked out for this pot, and taken by a press', async () => {
    const { user, kitchen } = await bench();
    await station(user, 'Pot');
    const schools = await screen.findByRole('group', { name: 'How much liquid, by school' });
    const [first] = within(schools).getAllByRole('button');
    await user.click(first as HTMLElement);
    await saved(kitchen, ({ liquids, cooker }) => {
      const poured = liquids.reduce((sum, { ml }) => sum + ml, 0);
      expect(poured).toBeGreaterThanOrEqual(0);
      expect(poured).toBeLessThanOrEqual(cooker.litres * 1000);
    });
  });

  test('vegetables and grains are added with a texture, pinned to a place, and taken out', async () => {
    const { user, kitchen } = await bench();
    await station(user, 'Vegetables');
    await user.click(await screen.findByRole('button', { name: /Add a vegetable/ }));
    await saved(kitchen, ({ vegetables }) =>
      expect(vegetables).toMatchObject([{ vegetable: 'carrot', texture: 'tender', place: 'auto' }]),
    );
    await picks(user, 'Texture of carrot', 'soft');
    await picks(user, 'Place of carrot', /second run/i);
    await saved(kitchen, ({ vegetables }) =>
      expect(vegetables).toMatchObject([{ texture: 'soft', place: 'second-run' }]),
    );
    await user.click(screen.getByRole('button', { name: /Add a grain/ }));
    await saved(kitchen, ({ grains }) => expect(grains).toMatchObject([{ grain: 'freekeh', grams: 120 }]));
    await user.click(screen.getByRole('button', { name: 'Second run' }));
    await chooses(user, 'The meat', 'Stays in');
    await saved(kitchen, ({ stages }) => expect(stages).toMatchObject([{ id: 'second-run', meat: 'in' }]));
    const lane = screen.getByRole('region', { name: 'Second run' });
    expect(lane.textContent).toMatch(/Carrot is as asked at (from )?\d+/);
    // Its end is moved by the arrow keys, as that of the first run is on the line.
    act(() => within(lane).getByRole('slider', { name: 'Second run: its minutes' }).focus());
    await user.keyboard('{PageUp}');
    await saved(kitchen, ({ stages }) => expect(stages[0]?.minutes).toBeGreaterThanOrEqual(5));
    await user.click(within(lane).getByRole('button', { name: /^Carrot/ }));
    await user.click(screen.getByRole('button', { name: 'Take carrot out' }));
    await saved(kitchen, ({ vegetables }) => expect(vegetables).toEqual([]));
  });

  test('what opened by itself stays open once it is touched, though it is as asked now and another thing is not', async () => {
    const tender = { grams: 400, texture: 'tender' } as const;
    const { user } = await bench({
      vegetables: [
        { ...tender, vegetable: 'carrot', place: 'auto' },
        { ...tender, vegetable: 'turnip', place: 'start' },
      ],
    });
    await station(user, 'Vegetables');
    // Nothing was pressed: what is not as asked is open.
    await picks(user, 'Place of turnip', /second run/i);
    await screen.findByRole('button', { name: /^Turnip ?tender/ });
    screen.getByRole('combobox', { name: 'Place of turnip' });
    // Moved by keyboard, a thing is opened beside.
    act(() => screen.getByRole('button', { name: /^Carrot/ }).focus());
    await user.keyboard('{ArrowRight}');
    await screen.findByRole('combobox', { name: 'Place of carrot' });
  });

  test('letting down otherwise solves the minutes anew', async () => {
    const { user, kitchen } = await bench();
    const minutes = (): number =>
      Number(/(\d+) minutes under pressure/.exec(document.querySelector('.bench-sentence')?.textContent ?? '')?.[1]);
    const before = minutes();
    await station(user, 'Letting down');
    await chooses(user, 'Let down', 'Valve');
    await saved(kitchen, ({ release }) => expect(release.method).toBe('quick'));
    // Quick instead of fifteen minutes alone: some ten more under pressure. Common practice.
    await waitFor(() => expect(minutes()).toBeGreaterThan(before + 5));
  });

  test('the sauce: thickener, body and how much of it', async () => {
    const { user, kitchen } = await bench();
    await station(user, 'Sauce');
    await picks(user, 'Thicken', /Potato starch/i);
    await saved(kitchen, ({ finish }) => expect(finish.thickener).toBe('potato-starch'));
    await picks(user, 'Body', 'thick');
    await writes(user, 'Sauce', '400 ml');
    await saved(kitchen, ({ finish }) => expect(finish).toMatchObject({ body: 'thick', sauceMl: 400 }));
  });

  test('the end of the run moves by the arrow keys, by five with Page, and back to what is proposed', async () => {
    const { user, kitchen } = await bench();
    const handle = await screen.findByRole('slider', { name: 'Minutes under pressure' });
    const proposed = Number(handle.getAttribute('aria-valuenow'));
    handle.focus();
    await user.keyboard('{ArrowRight}{ArrowRight}{PageDown}');
    await saved(kitchen, ({ pressureMinutes }) => expect(pressureMinutes).toBe(proposed + 2 - 5));
    expect(handle.getAttribute('aria-valuetext')).toMatch(/minutes, /);
  });

  test('what if: other cuts of the same meat beside it, an old recipe’s hours, and still tough', async () => {
    const { user } = await bench();
    const other = await screen.findByRole('region', { name: 'Cut another way' });
    await waitFor(() => expect(other.textContent).toMatch(/\d+ min/));
    await tab(user, 'What if');
    const old = screen.getByRole('region', { name: 'From an old recipe' });
    await writes(user, 'Minutes of the recipe', '210');
    await waitFor(() => expect(old.textContent).toMatch(/\d+ min/));
    const tough = screen.getByRole('region', { name: 'Still tough' });
    await picks(user, 'What the fork finds', /firm/);
    await waitFor(() => expect(tough.textContent).toMatch(/\d+/));
  });

  test('a cut that is cooked one way is shown how it gets tender, and no other way is promised', async () => {
    const plan = aPlan();
    await bench({ meat: { ...plan.meat, cut: 'lamb-shank', form: 'whole', grams: 1600, boneIn: true } });
    const only = await screen.findByRole('region', { name: 'How it gets tender' });
    expect(within(only).getAllByRole('listitem')).toHaveLength(1);
    expect(screen.queryByText('Cut another way')).toBeNull();
  });

  test('the clock: a side dish is put beside, with its steps, and left out again', async () => {
    const { user, kitchen } = await bench();
    await station(user, 'Clock');
    await picks(user, 'Add a side dish', 'Polenta');
    await saved(kitchen, ({ sides }) => expect(sides.map(({ name }) => name)).toEqual(['Polenta']));
    await user.click(await screen.findByRole('button', { name: 'Leave out Polenta' }));
    await saved(kitchen, ({ sides }) => expect(sides).toEqual([]));
  });

  test('cooked ahead: a day later, warmed another way, too deep is said; and back to the same evening', async () => {
    const { user, kitchen } = await bench();
    await station(user, 'Clock');
    await picks(user, 'Eaten', 'the evening after');
    // Yesterday evening is over: it is cooked tonight, and eaten a day later.
    await saved(kitchen, ({ cookAhead, serveAt }) => {
      expect(cookAhead).toEqual({ hours: 24, depthCm: 5, warm: 'stove' });
      expect(serveAt).toBe('2027-01-18T19:00:00+01:00');
    });
    const panel = await screen.findByRole('region', { name: 'Cooked ahead' });
    await waitFor(() => expect(panel.textContent).toMatch(/In the fridge by 19:00/));
    expect(panel.textContent).toMatch(/min in ice water, about .* of ice, then the fridge/);
    expect(document.querySelector('.bench-sentence')?.textContent).toMatch(
      /to have it in the fridge at 19:00, eaten tomorrow/,
    );
    await picks(user, 'Warmed', /covered in the oven, \d+ min/);
    await waitFor(() => expect(panel.textContent).toMatch(/Warm it through in the oven/));
    await writes(user, 'Deep in its containers', '12 cm');
    await waitFor(() => expect(panel.textContent).toMatch(/It may take 2 h and 6 h at most: shallower/));
    await picks(user, 'Eaten', 'when it is cooked');
    await saved(kitchen, ({ cookAhead }) => expect(cookAhead).toBeUndefined());
  });

  test('cooked already, only its day is ahead: when to warm it, and nothing of the evening is late', async () => {
    const { user } = await bench({
      cookAhead: { hours: 24, depthCm: 5, warm: 'stove' },
      aheadDone: { cook: '2027-01-16T19:00:00+01:00' },
    });
    await waitFor(() =>
      expect(document.querySelector('.bench-sentence')?.textContent).toMatch(
        /^It is cooked: begin to warm it \d\d:\d\d to eat at 19:00 today: \d+ minutes to warm it through, \d+ in all/,
      ),
    );
    expect(await screen.findByRole('button', { name: 'Start warming' })).toBeTruthy();
    await station(user, 'Clock');
    const when = await screen.findByRole('region', { name: 'When to begin' });
    expect(when.textContent).toBe('● It is cooked: what is ahead is its day, below.');
    expect(screen.queryByText('What would make it shorter')).toBeNull();
  });

  test('take care: every caution with where it comes from', async () => {
    const { user } = await bench();
    await tab(user, 'Take care');
    const cautions = await screen.findAllByText(/valve/i);
    expect(cautions.length).toBeGreaterThan(0);
    expect(document.body.textContent).toMatch(/manual/i);
  });

  test('digits open stations; not while something is typed', async () => {
    const { user } = await bench();
    await user.keyboard('2');
    expect(await screen.findByRole('group', { name: 'How hard' })).toBeTruthy();
    await user.keyboard('1');
    const weight = await screen.findByLabelText('As bought', { selector: 'input' });
    await user.click(weight);
    await user.keyboard('2');
    expect(screen.queryByRole('group', { name: 'How hard' })).toBeNull();
  });

  test('a plan changed elsewhere asks whose to keep', async () => {
    const { user, kitchen } = await bench();
    const theirs = { ...kept(aPlan({ name: 'Changed on the phone', target: 'pulls' })), revision: 5 };
    kitchen.answers[`PUT /api/braises/${ID}`] = () => answer({ faults: [], current: theirs }, 409);
    await chooses(user, 'Until', 'Slices');
    await screen.findByText(/also changed on another device/);
    await user.click(screen.getByRole('button', { name: 'Take theirs' }));
    await waitFor(() => expect(screen.queryByText(/also changed on another device/)).toBeNull());
    await waitFor(() => expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Changed on the phone'));
  });

  test('what the server’s disk cannot take is said in its words, and kept on the device', async () => {
    const { user, kitchen } = await bench();
    kitchen.answers[`PUT /api/braises/${ID}`] = () =>
      answer(
        {
          faults: [
            { path: '', problem: 'the disk of Hervir’s machine is full; nothing was changed', allowed: 'space' },
          ],
        },
        507,
      );
    await chooses(user, 'Until', 'Slices');
    expect((await screen.findByText(/disk of Hervir’s machine is full/)).textContent).toMatch(/Kept here/);
    expect(localStorage.getItem(`hervir.draft.${ID}`)).toContain('"slices"');
  });
});
