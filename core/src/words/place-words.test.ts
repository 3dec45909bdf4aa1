import { stageOf } from '../plan/stage-settings';
import { placeName, placePhrase, placeShort } from './place-words';

const none = { stages: [] };
const roots = { ...stageOf(none, 'second-run'), id: 'a', name: 'Roots' };
const unnamed = { ...stageOf(none, 'simmer'), id: 'b' };

describe('how a place is called', () => {
  it('says the usual ones as cooks do', () => {
    expect(placeName(none, 'second-run')).toBe('Second run');
    expect(placeShort(none, 'off-heat')).toBe('Off heat');
    expect(placePhrase(none, 'simmer')).toBe('in the open simmer');
  });

  it('keeps the name a cook gave a stage, everywhere', () => {
    const plan = { stages: [roots] };
    expect([placeName(plan, 'a'), placeShort(plan, 'a'), placePhrase(plan, 'a')]).toEqual([
      'Roots',
      'Roots',
      'in “Roots”',
    ]);
  });

  it('says the kind of a stage that has no name, never its id', () => {
    const plan = { stages: [unnamed] };
    expect([placeName(plan, 'b'), placePhrase(plan, 'b')]).toEqual(['Simmer', 'in a simmer']);
  });
});
