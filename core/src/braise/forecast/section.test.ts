import type { Plan } from '../../plan/plan';
import { DEFAULT_COOKER } from '../../plan/defaults';
import { planFor, secondRun } from '../../testing/fixtures';
import { forecast } from './forecast';
import { sectionsOf, type Section, type SectionStage } from './section';
import { speakIn } from '../../testing/said-in-english';

const neck = planFor('goat-neck', 'slices', 1600, {
  deglaze: { liquid: 'cider', ml: 150, scraped: true },
  liquids: [{ liquid: 'stock', ml: 400, temperatureC: 20 }],
});
const turnip: Plan['vegetables'][number] = { vegetable: 'turnip', grams: 450, texture: 'tender', place: 'second-run' };
const cut = (plan: Plan): Map<SectionStage, Section> =>
  new Map(sectionsOf(forecast(plan)).map((section) => [section.stage, section]));
const at = (plan: Plan, stage: SectionStage): Section => {
  const drawn = cut(plan).get(stage);
  if (!drawn) throw new Error(`no section "${stage}"`);
  return drawn;
};

describe('the pot cut open', () => {
  test('is to scale: litres are what fits between base and rim, by a cylinder’s volume', () => {
    const { diameterCm, heightCm } = at(neck, 'lid-on');
    expect((Math.PI * diameterCm ** 2 * heightCm) / 4 / 1000).toBeCloseTo(DEFAULT_COOKER.litres, 6);
  });

  test('the fill line is at two thirds, at half with what swells (common practice; the manual comes first)', () => {
    const { fillLineCm, heightCm } = at(neck, 'lid-on');
    expect(fillLineCm / heightCm).toBeCloseTo(2 / 3, 2);
    const grain = { ...neck, grains: [{ grain: 'barley-pearl', grams: 120, place: 'start' as const }] };
    expect(at(grain, 'lid-on').fillLineCm / at(grain, 'lid-on').heightCm).toBeCloseTo(1 / 2, 2);
  });

  test('has a section for every moment that this plan has, in the order of the work', () => {
    expect([...cut(neck).keys()]).toEqual(['sear', 'deglaze', 'lid-on', 'opened']);
    expect([...cut({ ...neck, vegetables: [turnip] }).keys()]).toEqual([
      'sear',
      'deglaze',
      'lid-on',
      'second-run',
      'opened',
    ]);
    const cold: Plan = { ...neck, deglaze: null, sear: { ...neck.sear, school: 'none' } };
    expect([...cut(cold).keys()]).toEqual(['lid-on', 'opened']);
    expect([...cut({ ...neck, sear: { ...neck.sear, where: 'pan' } }).keys()]).not.toContain('sear');
  });

  test('while it is seared there is no liquid, and the base is hot; deglazed there is what was poured, less what boiled away', () => {
    expect(at(neck, 'sear')).toMatchObject({ liquidCm: 0, freeMl: 0 });
    expect(at(neck, 'sear').baseC).toBeGreaterThan(150);
    const { freeMl, sticking } = at(neck, 'deglaze');
    expect(freeMl).toBeGreaterThan(60);
    expect(freeMl).toBeLessThan(150);
    expect(sticking).not.toBe('fond');
  });

  test('what sticks is drawn until it is scraped: a fond, a film, burnt sugar', () => {
    const unscraped: Plan = { ...neck, deglaze: { liquid: 'cider', ml: 150, scraped: false } };
    expect(at(unscraped, 'lid-on').sticking).toBe('fond');
    expect(at(neck, 'lid-on').sticking).not.toBe('fond');
    const sugared: Plan = { ...neck, meat: { ...neck.meat, rub: { grams: 40, sugar: true } } };
    expect(at(sugared, 'sear').sticking).toBe('sugar-crust');
    expect(at({ ...neck, sear: { ...neck.sear, school: 'none' } }, 'lid-on').sticking).toBe('clean');
  });

  test('the free liquid of the drawing is the ledger’s, at the lid and when it comes off', () => {
    const f = forecast(neck);
    const sections = cut(neck);
    expect(sections.get('lid-on')?.freeMl).toBeCloseTo(f.liquid.freeAtStartMl, 6);
    expect(sections.get('opened')?.freeMl).toBeCloseTo(f.liquid.freeAtEndMl, 6);
    // Meat gives juice: it stands higher when it is opened.
    expect(sections.get('opened')?.liquidCm).toBeGreaterThan(sections.get('lid-on')?.liquidCm ?? 99);
  });

  test('a rack lifts the bed; a paste lies over it', () => {
    const whole = planFor('beef-brisket-flat', 'whole', 1600, { rack: true });
    expect(at(whole, 'lid-on').rackCm).toBeGreaterThan(1);
    expect(at(neck, 'lid-on').rackCm).toBe(0);
    const paste: Plan = { ...neck, additions: [{ ingredient: 'quince-paste', grams: 160, when: 'on-top' }] };
    expect(at(paste, 'lid-on').topCm).toBeGreaterThan(0);
    expect(at(paste, 'lid-on').topWhat).toContain('paste');
  });

  test('what lies over the meat makes the pot fuller and leaves the meat’s own bed as it is', () => {
    const bare = at({ ...neck, vegetables: [], grains: [] }, 'lid-on');
    const covered = at({ ...neck, vegetables: [{ ...turnip, place: 'start' }], grains: [] }, 'lid-on');
    expect(bare.topWhat).toBe('');
    expect(covered.topWhat).toBe('vegetables and grain');
    expect(covered.bedCm).toBeCloseTo(bare.bedCm, 6);
    // 450 g of turnip: 450 ml or a little less, with some air between the pieces, over the base of the pot.
    const areaCm2 = (Math.PI / 4) * DEFAULT_COOKER.baseDiameterCm ** 2;
    expect((covered.topCm - bare.topCm) * areaCm2).toBeGreaterThan(400);
    expect((covered.topCm - bare.topCm) * areaCm2).toBeLessThan(1000);
  });

  test('in the second run the vegetables lie there, and the meat is out under foil, or in', () => {
    const out = at({ ...neck, vegetables: [turnip], stages: secondRun({ meat: 'out' }) }, 'second-run');
    expect(out).toMatchObject({ piece: null, bedCm: 0, sticking: 'clean' });
    expect(out.topWhat).toContain('turnip');
    expect(out.text).toContain('out under foil');
    const inside = at({ ...neck, vegetables: [turnip], stages: secondRun({ meat: 'in' }) }, 'second-run');
    expect(inside.piece).not.toBeNull();
    expect(inside.bedCm).toBeGreaterThan(0);
  });

  test('has all of it in words, in the cook’s units', () => {
    for (const { text, title } of cut({ ...neck, vegetables: [turnip] }).values()) {
      expect(text).toMatch(/^[A-Z].*\.$/);
      expect(title).not.toBe('');
    }
    speakIn('us');
    const us = sectionsOf(forecast(neck)).map(({ text }) => text);
    speakIn('metric');
    expect(us.join(' ')).toMatch(/°F/);
    expect(us.join(' ')).not.toMatch(/°C|\bml\b|\bcm\b/);
  });
});
