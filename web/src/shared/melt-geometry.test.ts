import { longestOf, meltGeometry, type MeltWay } from './melt-geometry';

const way = (part: Partial<MeltWay> = {}): MeltWay => ({
  key: 'slices',
  curve: [0, 10, 20, 30, 40].map((minute) => ({ minute, liquidC: 113, melted: minute / 50 })),
  endMinute: 25,
  ...part,
});
const layout = { width: 212, height: 101, target: [0.7, 0.8] as const };

describe('how the collagen goes, drawn', () => {
  test('begins at the left, ends at the right, and its marks stand on the curve', () => {
    const { ways, base } = meltGeometry([way()], layout);
    const [one] = ways;
    expect(one?.melted).toMatch(/^M6,100/);
    expect(one?.open).toEqual({ x: 206, y: base - 0.8 * (base - 6) });
    // Between two points of the curve: no higher than the next of them.
    expect(one?.end.x).toBeCloseTo(6 + (25 / 40) * 200, 6);
    expect(one?.end.y).toBeCloseTo(base - 0.6 * (base - 6), 6);
  });

  test('the target lies where its shares are, the more tender the higher', () => {
    const { target, base } = meltGeometry([way()], layout);
    expect(target.top).toBeLessThan(target.bottom);
    expect(target.bottom).toBeCloseTo(base - 0.7 * (base - 6), 6);
  });

  test('several on one scale: half as long is half as wide', () => {
    const short = way({ key: 'bite', curve: way().curve.slice(0, 3), endMinute: 15 });
    expect(longestOf([way(), short])).toBe(40);
    const [long, brief] = meltGeometry([way(), short], layout).ways;
    expect((brief?.open.x ?? 0) - 6).toBeCloseTo(((long?.open.x ?? 0) - 6) / 2, 6);
    const alone = meltGeometry([short], { ...layout, minutes: 40 }).ways[0];
    expect(alone?.open.x).toBe(brief?.open.x);
  });

  test('with nothing to draw it draws nothing', () => {
    expect(meltGeometry([], layout).ways).toEqual([]);
    expect(longestOf([])).toBe(0);
  });
});
