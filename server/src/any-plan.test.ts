import { inWords } from './language/speech';
import { readPlan } from '@hervir/contract';
import { forecast } from '@hervir/core';
import fc from 'fast-check';
import { anyPlan } from './testing/any-plan';

/** Every number in a document that is none: NaN, or beyond all bounds. */
function unreckoned(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} ${value}`];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, child]) => unreckoned(child, `${path}.${key}`));
}

/** What is wrong with the answer to a plan; nothing where it was reckoned in figures, or refused with its field. */
function wrongWith(input: unknown): string[] {
  const read = readPlan(input);
  if (!read.ok)
    return read.faults.flatMap(({ path, problem }) => (path === '' ? [`no field: ${inWords(problem)}`] : []));
  return unreckoned(forecast(read.value)).slice(0, 5);
}

const of = (cut: string, form: string, grams: number, more: object = {}): object => ({
  format: 'hervir/braise',
  version: 1,
  target: 'fork',
  meat: { cut, form, grams },
  ...more,
});

describe('every plan the schema takes is reckoned, or refused with its field', () => {
  test.each([
    ['pork collar whole 7000 g', of('pork-collar', 'whole', 7000)],
    ['a rack of 12 kg', of('pork-spare-rib', 'rack', 12_000)],
    ['a breast of 15 kg', of('lamb-breast', 'whole', 15_000)],
    ['200 minutes under pressure', of('beef-brisket', 'whole', 2500, { pressureMinutes: 200 })],
    ['360 minutes under pressure', of('goat-neck', 'slices', 1600, { pressureMinutes: 360 })],
  ])('%s', (_what, plan) => {
    expect(wrongWith(plan)).toEqual([]);
  });

  // HERVIR_PLANS=5000 HERVIR_SEED=7 looks further.
  test('random ones, to the ends of every range (property)', () => {
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        expect(wrongWith(plan)).toEqual([]);
      }),
      { numRuns: Number(process.env['HERVIR_PLANS'] ?? 300), seed: Number(process.env['HERVIR_SEED'] ?? 1) },
    );
  });
});
