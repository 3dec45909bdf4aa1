import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import type { LogPage } from '@hervir/contract';
import Database from 'libsql';
import { DATABASE_FILE } from '../database/data-folder';
import { openKitchen, OXTAIL, type TestKitchen } from '../testing/kitchen';
import { countOfWords } from './log-query';

let kitchen: TestKitchen;
beforeAll(async () => {
  kitchen = await openKitchen();
  for (const notes of ['Jamón serrano at the end', 'for the walkers, jam beside', 'a snowed-in evening, 2.5 h']) {
    await keeps(notes);
  }
});
afterAll(() => kitchen.close());

/** A past cook with notes; its number. */
async function keeps(notes: string, plan: object = OXTAIL): Promise<string> {
  const id = randomUUID();
  const past = { id, servedAt: '2026-11-05T19:00:00Z', plan, minutes: 45, grade: 'fork', notes };
  expect((await kitchen.send('POST', '/api/log', past)).status).toBe(201);
  return id;
}

async function found(text: string, more = ''): Promise<string[]> {
  const { body } = await kitchen.send('GET', `/api/log?text=${encodeURIComponent(text)}${more}`);
  const { items, total } = body as LogPage;
  expect(total).toBe(items.length);
  return items.map(({ notes }) => notes).sort();
}

/** Asks the database whether its index of words is the words of the lines; throws where it is not. */
function compare(file: string): void {
  const db = new Database(file);
  try {
    db.exec("insert into log_words (log_words, rank) values ('integrity-check', 1)");
  } finally {
    db.close();
  }
}

describe('words of the log', () => {
  test.each([
    ['jamon', ['Jamón serrano at the end'], 'without its accent'],
    ['JAMÓN', ['Jamón serrano at the end'], 'in capitals'],
    ['jam', ['Jamón serrano at the end', 'for the walkers, jam beside'], 'by how it begins'],
    ['the jam walk', ['for the walkers, jam beside'], 'several, in any order'],
    ['alkers', [], 'not from its middle'],
    ['snowed-in', ['a snowed-in evening, 2.5 h'], 'with a sign in it, as it stands'],
    ['owed-in 2.5', ['a snowed-in evening, 2.5 h'], 'with signs, from its middle'],
    ['"jam" OR walkers', [], 'no language of its own'],
    ['NEAR(jam', [], 'nor that of the database'],
    ['oxtail AND', [], '“and” is a word'],
  ])('%s finds %j: %s', async (text, notes) => {
    expect(await found(text)).toEqual(notes);
  });

  test('are counted with other things asked as they are alone', async () => {
    expect(await found('jam', '&cut=beef-oxtail&sort=heaviest')).toHaveLength(2);
    expect(await found('jam', '&cut=goat-neck')).toEqual([]);
    expect(await found('jam', '&from=2026-11-06')).toEqual([]);
    const page = { sort: 'newest', limit: 20, offset: 0 } as const;
    expect(countOfWords({ ...page, text: 'jam' })?.values).toEqual(['"jam" *']);
    expect(countOfWords({ ...page, text: 'jam', cut: 'goat-neck' })).toBeNull();
    expect(countOfWords({ ...page, text: 'jam 2.5' })).toBeNull();
    expect(countOfWords(page)).toBeNull();
  });

  test('go along with every way a line is written: changed, thrown away, put back from a file', async () => {
    const file = join(kitchen.folder, DATABASE_FILE);
    const id = await keeps('too much clove');
    expect(await found('clove')).toHaveLength(1);
    await kitchen.send('PUT', `/api/log/${id}`, { notes: 'too much mace' });
    expect([await found('clove'), await found('mace')]).toEqual([[], ['too much mace']]);
    const backup = (await kitchen.send('GET', '/api/backup')).body;
    await kitchen.send('DELETE', `/api/log/${id}`);
    expect(await found('mace')).toEqual([]);
    compare(file);
    expect((await kitchen.send('POST', '/api/backup/restore', backup)).status).toBe(200);
    expect(await found('mace')).toHaveLength(1);
    compare(file);
  });

  test('a copy as an update makes it has its words too, although its lines have moved up', async () => {
    const gone = await keeps('gone by then');
    await keeps('last of all');
    await kitchen.send('DELETE', `/api/log/${gone}`);
    const copy = join(kitchen.folder, 'copy.sqlite');
    const db = new Database(join(kitchen.folder, DATABASE_FILE));
    db.exec(`vacuum into '${copy}'`);
    db.close();
    compare(copy);
    // The comparison itself notices a line that was written past the index.
    const past = new Database(copy);
    past.exec('drop trigger log_words_changed');
    past.exec("update log_entry set words = 'other'");
    past.close();
    expect(() => compare(copy)).toThrow(/malformed/);
  });
});
