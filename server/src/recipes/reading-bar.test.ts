import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readStep } from './read-step';

interface Sentence {
  readonly text: string;
  readonly minutes: number | null;
  readonly way: string | null;
  readonly release: string | null;
}

const sample = <T>(name: string): T => JSON.parse(readFileSync(join(__dirname, 'samples', name), 'utf8')) as T;

test('sentences', () => {
  const off: string[] = [];
  for (const { text, minutes, way, release } of sample<Sentence[]>('sentences.json')) {
    const read = readStep(text);
    const same = read.minutes === minutes && (read.way ?? null) === way && read.release === release;
    if (!same) off.push(`${text} => ${read.minutes} ${read.way} ${read.release}; wanted ${minutes} ${way} ${release}`);
  }
  expect(off).toEqual([]);
});

test.each<[string, number | null, string | null, string | null]>([
  [
    'Pressure cook on high for 45 minutes, then natural release for 15 minutes and quick release the rest.',
    45,
    'pressure',
    'natural-then-quick',
  ],
  ['Let the pressure release naturally for 10 minutes, then open the valve.', null, null, 'natural-then-quick'],
  ['Sauté for 5 minutes, then cook at high pressure 25 min.', 25, 'pressure', null],
  ['Cook under pressure for 1 hour 10 minutes.', 70, 'pressure', null],
  ['Simmer, partly covered, 2–2½ hours until tender.', 135, 'simmer', null],
  ['Place in a 150°C oven and cook for 3 to 3 1/2 hours.', 195, 'oven', null],
  ['Cook on low for 8 hours.', 480, 'slow-cooker', null],
  ['Cover and cook on HIGH for 5 hours.', 300, 'slow-cooker-high', null],
  ['Transfer to the slow cooker; cook 6 hrs on low.', 360, 'slow-cooker', null],
  ['Braise at 325 degrees for about 3 hours.', 180, 'oven', null],
  ['Bring to the boil, then simmer very gently for 45 minutes.', 45, 'simmer', null],
  ['Return to the oven for a further 30 minutes, uncovered.', 30, 'oven', null],
  ['Preheat the oven to 160C. Roast 2h30.', 150, 'oven', null],
  ['Rest for 20 minutes before carving.', null, null, null],
  ['Soak the beans overnight, then simmer for 1 hour.', 60, 'simmer', null],
  ['Cook for three-quarters of an hour over a gentle heat.', 45, 'simmer', null],
  ['Simmer for 1-1/2 hours.', 90, 'simmer', null],
  ['Natural release, then remove the lid.', null, null, 'natural'],
  ['Release the pressure at once.', null, null, 'quick'],
  ['Add the potatoes and cook under pressure for 4 minutes more.', 4, 'pressure', null],
  ['Fry the onions for 10 minutes until soft, then 20 minutes more.', null, null, null],
  ['Leave to simmer for 2 hours.', 120, 'simmer', null],
  ['Chill overnight, at least 8 hours.', null, null, null],
  ['Cook, covered, in a low oven (140°C/275°F/Gas 1) for 4 hours.', 240, 'oven', null],
  ['Thirty-five minutes at full pressure.', 35, 'pressure', null],
  ['Serve with bread.', null, null, null],
])('%s', (text, minutes, way, release) => {
  expect(readStep(text)).toMatchObject({ minutes, way, release });
});
