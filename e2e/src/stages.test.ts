import { aKitchen, type Person } from './browser';

const kitchen = aKitchen();

/** A whole goat leg with three vegetables and freekeh, kept through the interface's own server and opened on the bench. */
async function opensTheLeg(more: object = {}): Promise<Person> {
  const id = crypto.randomUUID();
  const vegetables = ['carrot', 'turnip', 'cabbage'].map((vegetable) => ({ vegetable, grams: 400, texture: 'tender' }));
  const plan = {
    format: 'hervir/braise',
    version: 1,
    name: 'Leg of goat for walkers',
    target: 'fork',
    servings: 6,
    meat: { cut: 'goat-leg', form: 'whole', grams: 1800 },
    kitchen: { altitudeM: 1480, roomC: 19 },
    vegetables,
    grains: [{ grain: 'freekeh', grams: 120 }],
    finish: { thickener: 'potato-starch', body: 'coating', sauceMl: 400 },
    ...more,
  };
  await kitchen.asks('POST', '/braises', { id, plan });
  const person = await kitchen.comesTo(`/bench/${id}`);
  await person.finds('slider', 'Minutes under pressure');
  await person.reads('2 openings');
  return person;
}

describe('vegetables in stages', () => {
  test('a whole leg, three vegetables and freekeh: one second run, every texture met; carrots dragged to the start go into the sauce', async () => {
    const person = await opensTheLeg();
    await person.reads(/a \d-minute second run/);
    await person.opens('Vegetables');
    for (const name of ['Carrot', 'Turnip', 'Cabbage quarters']) {
      await person.finds('button', new RegExp(`^${name} ?tender ?\\(second run;`));
    }
    await person.finds('button', /^Cracked freekeh ?\(second run/);

    const chip = await (await person.finds('button', /^Carrot ?tender ?\(second run/)).boundingBox();
    const start = await (
      await person.page.waitForSelector('::-p-xpath(//section[@aria-label="From the start"])')
    )?.boundingBox();
    if (!chip || !start) throw new Error('the stages are not drawn');
    await person.page.mouse.move(chip.x + chip.width / 2, chip.y + chip.height / 2);
    await person.page.mouse.down();
    for (let i = 1; i <= 10; i += 1) {
      const part = i / 10;
      await person.page.mouse.move(
        chip.x + chip.width / 2 + (start.x + 60 - chip.x - chip.width / 2) * part,
        chip.y + chip.height / 2 + (start.y + start.height / 2 - chip.y - chip.height / 2) * part,
      );
    }
    await person.page.mouse.up();
    await person.finds('button', /^Carrot ?into the sauce ?\(from the start, not as asked/);
    await person.reads('1 not as asked');
    await person.presses('button', 'Undo');
    await person.finds('button', /^Carrot ?tender ?\(second run/);
    kitchen.stays(person);
  });

  test('by keyboard: an arrow moves a vegetable on, and the consequence is told at its station', async () => {
    const person = await opensTheLeg();
    await person.opens('Vegetables');
    await (await person.finds('button', /^Turnip ?tender ?\(second run/)).focus();
    await person.page.keyboard.press('ArrowLeft');
    await person.finds('button', /^Turnip ?into the sauce ?\(from the start/);
    // The keyboard went along with it.
    await person.page.waitForFunction(() => document.activeElement?.textContent?.startsWith('■ Turnip') === true);
    await person.reads('From the start: into the sauce');
    await person.reads(/Elsewhere: second run, tender/);
    await person.picks('Place of turnip', 'second run');
    await person.finds('button', /^Turnip ?tender ?\(second run/);
    kitchen.stays(person);
  });

  test('the sauce is told in grams and millilitres, or in the spoons and cups the cook has set', async () => {
    const person = await opensTheLeg();
    await person.opens('Sauce');
    await person.reads(/Stir \d+ g of potato starch \(.* tbsp\) into \d+ ml of cold water/);
    await person.presses('button', 'g · cm · °C: change to pounds and inches');
    await person.reads(/Stir [\d½]+ tbsp of potato starch into [\d½¼⅓ ]+(tbsp|tsp|cup) of cold water/);
    await person.presses('button', 'lb · in · °F: change to grams and centimetres');
    await person.reads(/Stir \d+ g of potato starch/);
    kitchen.stays(person);
  });

  test('for other numbers of people it says what changes before it is taken', async () => {
    const person = await opensTheLeg();
    await person.opens('Sauce');
    await person.writes('spinbutton', 'For', '9');
    await person.reads(/Minutes under pressure: \d+ becomes \d+; the piece is [\d.]+ cm thick/);
    await person.presses('button', 'Make it for 9');
    await person.opens('Meat');
    await person.seesIn('textbox', 'As bought', '2.7 kg');
    kitchen.stays(person);
  });
});

describe('the clock', () => {
  test('a side dish is added and put earlier on the line by keyboard and by hand; the calendar and the card go along', async () => {
    const tomorrow = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    const person = await opensTheLeg({ serveAt: `${tomorrow}T19:00:00+01:00` });
    await person.opens('Clock');
    await person.reads(/Begin \d{2}:\d{2} at the latest/);
    await (await person.finds('combobox', 'Add a side dish')).click();
    await (await person.page.waitForSelector('.ant-select-dropdown ::-p-text(Bread)', { visible: true }))?.click();
    await person.reads('Bread');
    const bread = await person.finds('slider', /^Bread: Warm it in the oven: earlier by/);
    const later = (): Promise<string | null> => bread.evaluate((block) => block.getAttribute('aria-valuetext'));
    expect(await later()).toMatch(/as late as it can$/);
    await bread.evaluate((block) => (block as unknown as { focus(): void }).focus());
    await person.page.keyboard.press('ArrowLeft');
    await person.page.waitForFunction(
      (block: Element) => /1 min earlier$/.test(block.getAttribute('aria-valuetext') ?? ''),
      {},
      bread,
    );
    const box = await bread.boundingBox();
    if (!box) throw new Error('the block is not drawn');
    await person.page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await person.page.mouse.down();
    await person.page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 5 });
    await person.page.mouse.up();
    await person.page.waitForFunction((block: Element) => Number(block.getAttribute('aria-valuenow')) > 5, {}, bread);
    await person.presses('button', 'All as late as they can be');
    await person.page.waitForFunction((block: Element) => block.getAttribute('aria-valuenow') === '0', {}, bread);
    await person.finds('link', 'Calendar with alarms');
    await person.presses('link', 'One-page card');
    await person.finds('button', 'Print');
    await person.reads('Bread: Warm it in the oven');
    const pdf = Buffer.from(await person.page.pdf({ preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
    kitchen.stays(person);
  });
});
