import { aKitchen, type Person } from './browser';

const kitchen = aKitchen();

/** Presses what the guide says, in its own words. */
async function upToTheLid(person: Person): Promise<void> {
  await person.presses('button', /^All in/);
  await person.presses('button', /^Lid is locked/);
  await person.presses('button', /^Valve closed, started/);
}

describe('rehearse', () => {
  test('a cook burns a pot, reads on the recorder why, does it again with the remedy and passes', async () => {
    const person = await kitchen.comesTo('/rehearse');
    await person.reads('Nothing yet');
    await person.presses('button', 'Begin: Save an unscraped pot');
    await person.finds('region', 'The cooker');
    await person.chooses('300×');
    await upToTheLid(person);
    await person.reads('Not yet: Save an unscraped pot');
    const recorder = await person.page.$eval('[aria-label="Recorder"]', (figure) => figure.textContent ?? '');
    expect(recorder).toMatch(/burn/);
    expect(recorder).toMatch(/the power is cut at 14\d °C/);
    await person.reads(/Scrape the base until nothing sticks before the lid goes on: that made the base \d+ °C hotter/);
    await person.presses('button', 'Do it again');
    await person.finds('region', 'The cooker');
    await person.chooses('300×');
    await person.presses('button', 'Scrape the base');
    await upToTheLid(person);
    await person.reads('Passed: Save an unscraped pot');
    await person.reads('it is the best of the sauce');
    await person.walksTo('/rehearse');
    await person.reads('▲ not yet');
    await person.reads('● passed');
    // Apart from real cooks: nothing is on the fire.
    await person.walksTo('/cook');
    await person.reads('Nothing is on the fire');
    kitchen.stays(person);
  });

  test('a plan from the bench is rehearsed: its burner turned, its lid locked, what the lid forbids refused, and a reload goes on', async () => {
    const person = await kitchen.comesTo('/');
    await person.opensPlan('Beef shin with celeriac and prunes');
    await person.presses('button', 'Rehearse');
    await person.page.waitForFunction(() => location.pathname.startsWith('/rehearse/'));
    await person.finds('region', 'The cooker');
    // A stovetop pot: its burner is in the cook's hand, and its pin is seen.
    await person.presses('button', 'Burner full');
    await person.reads(/valve open/);
    await person.presses('button', 'Lock lid');
    await person.reads(/lid locked/);
    await person.presses('button', 'Scrape the base');
    await person.reads('The lid is on.');
    await person.presses('button', 'Pause');
    await person.reads('paused');
    const clock = await person.page.$eval('.rehearse-clocks', (clocks) => clocks.textContent);
    await person.page.reload({ waitUntil: 'domcontentloaded' });
    await person.reads('lid locked');
    expect(await person.page.$eval('.rehearse-clocks', (clocks) => clocks.textContent)).toBe(clock);
    await person.presses('button', 'End it here');
    await person.reads('That was the rehearsal.');
    kitchen.stays(person);
  });

  test('a real cook is linked to the simulated cooker and let go again', async () => {
    // Who cooks for dinner is not offered one.
    const person = await kitchen.comesTo('/rehearse');
    await person.ticks('Offer the simulated cooker at the pot too: pin, count and end come by themselves');
    await person.walksTo('/');
    await person.opensPlan('Goat neck with quince');
    await person.presses('button', 'Start cooking');
    await person.finds('region', 'Now');
    await person.presses('button', 'Link the simulated cooker');
    await person.finds('region', 'The cooker');
    await person.reads('Pin, count and end come by themselves');
    await person.presses('button', /^Start \d+ minutes under pressure/);
    await person.reads('The lid is not locked.');
    await person.presses('button', 'Unlink the simulated cooker');
    await person.reads('you press what you see');
    kitchen.stays(person);
  });
});
