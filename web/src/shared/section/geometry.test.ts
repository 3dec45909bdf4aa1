import { forecast, newPlan, sectionsOf, type Plan } from '@hervir/core';
import { sectionGeometry } from './geometry';

const BOX = { width: 360, height: 228 };

function lidOn(more: Partial<Plan> = {}): ReturnType<typeof sectionGeometry> {
  const plan = { ...newPlan({ cut: 'beef-chuck', form: 'chunks', grams: 1400 }), ...more };
  const section = sectionsOf(forecast(plan)).find(({ stage }) => stage === 'lid-on');
  if (!section) throw new Error('no section');
  return sectionGeometry(section, BOX);
}

describe('the section', () => {
  test('is to scale: the pot is as wide over high as it is in the kitchen, and stays in its box', () => {
    const g = lidOn();
    // 21.5 cm over the height of 5.7 l on that base, 15.7 cm.
    expect((g.right - g.left) / (g.floor - g.rim)).toBeCloseTo(21.5 / 15.7, 2);
    expect(g.left).toBeGreaterThanOrEqual(0);
    expect(g.right).toBeLessThanOrEqual(BOX.width);
    expect(g.rim).toBeGreaterThanOrEqual(0);
    expect(g.floor).toBeLessThanOrEqual(BOX.height);
  });

  test('every piece lies between the walls and on or above the floor', () => {
    for (const { x, y, width, height } of lidOn().pieces) {
      expect(x).toBeGreaterThanOrEqual(lidOn().left - 0.01);
      expect(x + width).toBeLessThanOrEqual(lidOn().right + 0.01);
      expect(y + height).toBeLessThanOrEqual(lidOn().floor + 0.01);
    }
  });

  test('a rack lifts the meat, more liquid stands higher, and neither leaves the pot', () => {
    const lowest = (g: ReturnType<typeof sectionGeometry>): number =>
      Math.max(...g.pieces.map(({ y, height }) => y + height));
    expect(lowest(lidOn({ rack: true }))).toBeLessThan(lowest(lidOn()) - 5);
    expect(lidOn({ rack: true }).rackY).not.toBeNull();
    const flooded = lidOn({ liquids: [{ liquid: 'water', ml: 9000, temperatureC: 20 }] });
    expect(flooded.liquidTop).toBeLessThan(lidOn().liquidTop);
    expect(flooded.liquidTop).toBeGreaterThanOrEqual(flooded.rim - 0.01);
  });

  test('the words beside the lines never stand on each other', () => {
    for (const ml of [150, 300, 800, 2000, 3000]) {
      const ys = lidOn({ liquids: [{ liquid: 'water', ml, temperatureC: 20 }] }).marks.map(({ labelY }) => labelY);
      ys.slice(1).forEach((y, i) => expect(y - (ys[i] as number)).toBeGreaterThanOrEqual(16));
    }
  });
});
