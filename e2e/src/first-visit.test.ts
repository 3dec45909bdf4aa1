import { aKitchen, Person } from './browser';

const kitchen = aKitchen({ demo: false });

describe('a kitchen that is new', () => {
  test('answers at once, and is taught in three steps that change the answer', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    await person.goes('/');
    const minutes = async (): Promise<number> => {
      const shown = await person.page.waitForFunction(
        () => /(\d+) minutes under pressure/.exec(document.body.innerText)?.[1],
      );
      return Number(await shown.jsonValue());
    };
    const atTheSea = await minutes();
    await person.presses('button', 'Medium electric pot, 5.7 l');
    await person.reads('● Medium electric pot');
    await person.writes('textbox', 'Altitude of the kitchen', '1480');
    await person.reads('● 1480 m');
    await person.page.waitForFunction(
      (before: number) => Number(/(\d+) minutes under pressure/.exec(document.body.innerText)?.[1]) > before,
      {},
      atTheSea,
    );
    // A fifth more in thinner air, as the trade has it. Common practice.
    expect((await minutes()) / atTheSea).toBeGreaterThan(1.1);
    await person.presses('button', /^Rehearse: /);
    await person.page.waitForFunction(() => location.pathname.startsWith('/rehearse/'));
    // All three done: they are gone for good.
    await person.goes('/');
    await person.reads('Begin next');
    await person.page.waitForFunction(() => !document.body.innerText.includes('New here?'));
    await person.leaves();
  });

  test('says in every empty room what belongs there, and leads on', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address, { width: 390, height: 844 });
    await person.goes('/bench');
    await person.reads('The bench is empty');
    await person.presses('button', 'Say what you have');
    await person.page.waitForFunction(() => location.pathname === '/');
    await person.walksTo('/cook');
    await person.reads('Nothing is on the fire');
    await person.finds('button', 'Rehearse first');
    await person.walksTo('/log');
    await person.reads('Nothing yet. A cook is in the log once it is closed at the pot');
    await person.walksTo('/log?see=charts');
    await person.reads('Not known yet: no cook told when the pin rose.');
    await person.walksTo('/bench/0e4177b8-253c-4e42-895e-09934a6c47c2');
    await person.reads('This plan is not here');
    await person.presses('button', 'Back to Tonight');
    await person.page.waitForFunction(() => location.pathname === '/');
    expect(person.pageErrors).toEqual([]);
    await person.leaves();
  });
});
