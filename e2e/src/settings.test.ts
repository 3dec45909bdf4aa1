import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { aKitchen, Person, until } from './browser';

const kitchen = aKitchen();
const folder = mkdtempSync(join(tmpdir(), 'hervir-files-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Chooses a file as a person would in the dialog that a button opens. */
async function chooses(person: Person, button: string, path: string): Promise<void> {
  const [chooser] = await Promise.all([person.page.waitForFileChooser(), person.presses('button', button)]);
  await chooser.accept([path]);
}

describe('files of a kitchen, in Settings', () => {
  test.each([
    ['a laptop', { width: 1280, height: 800 }],
    ['a phone', { width: 390, height: 844 }],
  ])('a notebook is shown before it is kept, and a wrong one is told line by line, on %s', async (_on, size) => {
    const person = await Person.at(kitchen.browser, kitchen.server.address, size);
    await person.goes('/settings');
    const wrong = join(folder, 'wrong.csv');
    writeFileSync(wrong, 'date;cut;weight\nsoon;goat neck;1,5\n');
    await chooses(person, 'Read a CSV in…', wrong);
    await person.reads(/line 2, served at: "soon" is not a datetime/);
    const right = join(folder, `notebook-${size.width}.csv`);
    writeFileSync(
      right,
      `date;cut;weight;minutes;came out;dish\n5.11.2026;goat neck;1.600,5;42;fork;Neck ${size.width}\n`,
    );
    await chooses(person, 'Read a CSV in…', right);
    await person.reads('1 cooks, 0 of them in the log already.');
    await person.reads('5 Nov 2026');
    await person.presses('button', 'Add 1 cooks');
    await person.reads('1 cooks added; 0 were there already.');
    await person.walksTo(`/log?text=${size.width}`);
    await person.reads(`Neck ${size.width}`);
    expect(person.pageErrors).toEqual([]);
    expect(person.strayRequests).toEqual([]);
    await person.leaves();
  });

  test('a backup is taken, looked into and put back; what came in between is gone', async () => {
    const person = await Person.at(kitchen.browser, kitchen.server.address);
    await person.goes('/settings');
    const session = await person.page.createCDPSession();
    await session.send('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
      browserContextId: person.page.browserContext().id ?? '',
    });
    await person.presses('link', 'Take a backup');
    await until(() => Promise.resolve(readdirSync(folder).includes('hervir-backup.json')));
    const file = join(folder, 'hervir-backup.json');
    const { tables } = JSON.parse(readFileSync(file, 'utf8')) as { tables: { braise: { id: string }[] } };
    const [plan] = tables.braise;
    await fetch(`${kitchen.server.address}/api/braises/${plan?.id}`, { method: 'DELETE' });
    await chooses(person, 'Restore from a backup…', file);
    await person.reads('Put this backup in place of everything?');
    await person.presses('button', 'Restore it');
    await person.reads('The kitchen is as in the backup.');
    const plans = (await (await fetch(`${kitchen.server.address}/api/braises`)).json()) as { id: string }[];
    expect(plans.map(({ id }) => id)).toContain(plan?.id);
    expect((await (await fetch(`${kitchen.server.address}/licences.txt`)).text()).slice(0, 400)).toContain(
      'The fonts first',
    );
    await person.leaves();
  });
});
