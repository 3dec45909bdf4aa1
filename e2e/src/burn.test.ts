import { aKitchen, type Person } from './browser';

const kitchen = aKitchen();

/** A plan of the demo, opened on the bench. */
async function opens(plan: string): Promise<Person> {
  const person = await kitchen.comesTo('/');
  await person.reads(plan);
  await person.presses('link', new RegExp(`^${plan}`));
  await person.finds('slider', 'Minutes under pressure');
  await person.reads('Saved');
  return person;
}

describe('no burn error', () => {
  test('a plan made to burn says why at the section, and the remedies pressed one by one make it safe', async () => {
    const person = await opens('Goat neck with quince');
    await person.opens('Pot');
    await person.reads('The base stays well below its cut-out');
    await person.ticks('scraped clean');
    await person.reads('Expect the burn error');
    await person.finds('button', /^Base at 1\d\d °C, burns/);
    await person.presses('button', 'on top: more of fruit paste');
    await person.picks('When, fruit paste', 'stirred in');
    await person.writes('textbox', 'How much fruit paste', '300 g');
    await person.reads('Thickened: what is stirred in');

    await person.presses('button', 'Lay the fruit paste on top and do not stir');
    await person.reads('The brown layer of the sear sticks to the base');
    await person.presses('button', 'Scrape the base clean as it bubbles');
    // By the second lid it has melted in all the same.
    await person.reads('At the second lid: expect the burn error');
    await person.presses('button', 'Keep the fruit paste for after pressure');
    await person.reads('The base stays well below its cut-out');
    await person.finds('button', /^Base at 1\d\d °C, safe/);
    kitchen.stays(person);
  });

  test('over the fill line it cannot be missed, and pouring less mends it; under the minimum likewise', async () => {
    const person = await opens('Pork collar with chestnuts');
    await person.opens('Pot');
    await person.writes('textbox', 'How much', '4 l');
    await person.reads('Over the line');
    await person.reads('over the line');
    await person.presses('button', /^Pour .* less$/);
    await person.reads('under its line at two thirds');
    await person.writes('textbox', 'How much', '50 ml');
    await person.reads('Less than the cooker’s minimum');
    await person.presses('button', /^Pour .* more$/);
    await person.reads(/base 1\d\d °C/);
    await person.opens('Meat');
    kitchen.stays(person);
  });

  test('no liquid at all is said at the liquid, with what is allowed, and nothing is lost', async () => {
    const person = await opens('Pork collar with chestnuts');
    await person.opens('Pot');
    await person.picks('Deglaze', 'Not at all');
    await person.presses('button', 'Take stock or broth out');
    await person.reads('at least 250 ml, the cooker’s minimum');
    await person.presses('button', 'Undo');
    await person.presses('button', 'Undo');
    await person.reads('The base stays well below its cut-out');
    kitchen.stays(person);
  });

  test('one crowded batch steams, is drawn so, and the proposed batches mend it', async () => {
    const person = await opens('Beef shin with celeriac and prunes');
    await person.opens('Sear');
    await person.writes('spinbutton', 'Batches', '1');
    await person.reads('It steams');
    await person.finds('image', /^Batch 1: .*crowded$/);
    await person.presses('button', /^Sear in \d batches$/);
    await person.finds('image', /^Batch 1: .*with air between them$/);
    kitchen.stays(person);
  });

  test('the section’s layers open their stations by keyboard, and its stages have words', async () => {
    const person = await opens('Goat neck with quince');
    await person.opens('Pot');
    await person.focuses('button', 'Meat: open its station');
    await person.page.keyboard.press('Enter');
    await person.finds('textbox', 'As bought');
    // The keyboard goes along: what was pressed is not there any more.
    await person.page.waitForFunction(() => document.activeElement?.getAttribute('role') === 'tab');
    await person.opens('Pot');
    await person.chooses('Opened');
    expect(await person.page.evaluate(() => document.body.textContent)).toMatch(/Opened: .* of free liquid stand/);
    kitchen.stays(person);
  });
});

describe('Rescue', () => {
  test('burn error: steps first, with the figures of the plan last on the bench', async () => {
    const person = await opens('Beef shin with celeriac and prunes');
    await person.presses('link', 'Rescue');
    await person.presses('link', /^Burn error/);
    await person.reads('Never force the lid');
    await person.reads('Lift the pot off the burner');
    await person.reads(/at least 300 ml in all/);
    await person.presses('link', 'Something else is wrong');
    await person.presses('link', /^The pin will not rise/);
    await person.reads('Look at the valve first');
    kitchen.stays(person);
  });
});
