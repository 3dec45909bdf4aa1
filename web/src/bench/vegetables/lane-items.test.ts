import { forecast, newPlan, type Plan } from '@hervir/core';
import { firstChosen, isShown, lanesOf, movedTo, placesFor } from './lane-items';
import { withOneMore, withoutStage } from './plan-changes';
import { withoutAt } from './plan-lists';

const plan: Plan = {
  ...newPlan({ cut: 'goat-shoulder', form: 'chunks', grams: 1500 }),
  vegetables: [
    { vegetable: 'turnip', grams: 450, texture: 'tender', place: 'second-run' },
    { vegetable: 'carrot', grams: 300, texture: 'tender', place: 'start' },
  ],
  grains: [{ grain: 'freekeh', grams: 120, place: 'second-run' }],
  others: [{ name: 'olives', grams: 50, place: 'end' }],
};
const known = forecast(plan);
const lanes = lanesOf(known.plan, known);
const lane = (place: string) => lanes.find((one) => one.place === place);

describe('the lanes', () => {
  test('are the stages in the order of the evening, each with what goes in and its minutes', () => {
    expect(lanes.map(({ place }) => place)).toEqual([
      'start',
      'second-run',
      'simmer',
      'off-heat',
      'folded-in',
      'flavour-only',
      'end',
    ]);
    expect(lane('start')).toMatchObject({ minutes: known.pressureMinutes, fixed: false });
    expect(lane('second-run')?.items.map(({ name }) => name)).toEqual(['Turnip', 'Cracked freekeh']);
    expect(lane('end')?.items.map(({ name }) => name)).toEqual(['olives']);
    expect(lanes.filter(isShown).map(({ place }) => place)).toEqual(['start', 'second-run', 'end']);
  });

  test('every cooked thing is in one lane and has its window there; what is only weighed has none', () => {
    const items = lanes.flatMap(({ items: here }) => here);
    expect(items).toHaveLength(4);
    expect(items.filter(({ window }) => window !== undefined)).toHaveLength(3);
    expect(items.find(({ kind }) => kind === 'other')?.window).toBeUndefined();
  });

  test('what is not as asked is opened first', () => {
    expect(firstChosen(lanes)).toMatchObject({ kind: 'vegetable', index: 1, name: 'Carrot' });
    expect(firstChosen([])).toBeNull();
  });

  test('olives go in at the very end, vegetables do not; and what was moved is moved', () => {
    expect(placesFor({ kind: 'other' }, lanes)).toContain('end');
    expect(placesFor({ kind: 'vegetable' }, lanes)).not.toContain('end');
    expect(movedTo(plan, { kind: 'vegetable', index: 1 }, 'simmer').vegetables.map(({ place }) => place)).toEqual([
      'second-run',
      'simmer',
    ]);
    expect(movedTo(plan, { kind: 'other', index: 0 }, 'start').others[0]?.place).toBe('start');
    expect(movedTo(plan, { kind: 'grain', index: 0 }, 'simmer').grains[0]?.place).toBe('simmer');
  });
});

describe('what is added and taken out', () => {
  test('is opened, and leaves the rest as it was', () => {
    const more = withOneMore(plan, 'vegetable');
    expect(more.chosen).toEqual({ kind: 'vegetable', index: 2 });
    // What is there already is not proposed again.
    expect(more.plan.vegetables[2]?.vegetable).toBe('potato-waxy');
    expect(withoutAt(more.plan, 'vegetable', 2)).toEqual(plan);
    expect(withOneMore(plan, 'grain').plan.grains).toHaveLength(2);
    expect(withOneMore(plan, 'other').plan.others).toHaveLength(2);
  });

  test('a second simmer has an id of its own; taken out, what went in at it is left to Hervir', () => {
    const one = withOneMore(plan, 'simmer').plan;
    const two = withOneMore(one, 'simmer');
    expect(two.plan.stages.map(({ id }) => id)).toEqual(['simmer', 'simmer-1']);
    expect(two.chosen).toEqual({ kind: 'stage', place: 'simmer-1' });
    const used = movedTo(two.plan, { kind: 'vegetable', index: 1 }, 'simmer-1');
    const without = withoutStage(used, 'simmer-1');
    expect(without.stages.map(({ id }) => id)).toEqual(['simmer']);
    expect(without.vegetables[1]?.place).toBe('auto');
  });
});
