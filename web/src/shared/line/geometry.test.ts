import { forecast, newPlan, TARGET_BAND } from '@hervir/core';
import { printed } from '../../language/t';
import { LINE_DEGREES } from '../degrees';
import { clockTicks, fitting, lineGeometry } from './geometry';

const known = forecast({
  ...newPlan({ cut: 'goat-neck', form: 'slices', grams: 1600, serveAt: '2027-01-17T19:00:00+01:00' }),
  deglaze: { liquid: 'stock', ml: 120, scraped: true },
});
const layout = {
  width: 820,
  height: 338,
  minutes: known.clock.totalMinutes,
  target: TARGET_BAND.fork,
  degrees: [20, 100, 180],
};
const g = lineGeometry(known, layout);

describe('the line', () => {
  test('puts the handle at the end of the pressure run, and the pins before and after it', () => {
    const pressure = known.clock.tasks.find(({ id }) => id === 'pressure');
    expect(g.handle.x).toBeCloseTo(g.x((pressure?.startMinute ?? 0) + known.pressureMinutes), 6);
    const [up, down] = g.pins;
    expect(up?.x).toBeLessThan(g.handle.from);
    expect(down?.x).toBeGreaterThan(g.handle.x);
  });

  test('draws batches that follow on as one block, and hands-on pot work in both lanes', () => {
    expect(g.blocks.filter(({ lane, label }) => lane === 'hands' && label === 'sear')).toHaveLength(1);
    expect(g.blocks.filter(({ lane, label }) => lane === 'pot' && label === 'sauté')).toHaveLength(1);
    expect(g.blocks.find(({ lane, label }) => lane === 'hands' && label === 'sear')?.title).toContain(
      'Sear batch 1 of',
    );
  });

  test('keeps every block inside the frame', () => {
    for (const block of g.blocks) {
      expect(block.x).toBeGreaterThanOrEqual(g.left - 0.01);
      expect(block.x + block.width).toBeLessThanOrEqual(g.width);
    }
  });

  test('has paths without holes', () => {
    for (const path of [
      g.tenderness,
      g.tendernessBand,
      g.core,
      ...g.stretches.flatMap(({ fill, stroke }) => [fill, stroke]),
    ]) {
      expect(path.length).toBeGreaterThan(10);
      expect(path).not.toContain('NaN');
    }
  });

  test('the band of the target lies above its own foot', () => {
    expect(g.target.top).toBeLessThan(g.target.bottom);
  });
});

describe('clock marks', () => {
  test('fall on round times of the wall clock', () => {
    expect(clockTicks('2027-01-17T16:52:00+01:00', 40, 4).map(({ label }) => label)).toEqual([
      '17:00',
      '17:10',
      '17:20',
      '17:30',
    ]);
    expect(clockTicks('2027-01-17T23:55:00+01:00', 30, 4)[1]).toEqual({ minute: 15, label: '00:10' });
  });

  test('count from the start where there is no clock', () => {
    expect(clockTicks(null, 60, 3).map(({ label }) => label)).toEqual(['0 min', '30 min', '60 min']);
  });
});

test('a label that does not fit is left out whole', () => {
  expect(fitting('under pressure', 200)).toBe('under pressure');
  expect(fitting('under pressure', 40)).toBe('');
});

test('its degrees are round as they are read, and all of them are on it', () => {
  const metric = LINE_DEGREES.metric.map((celsius) => printed('temperature', celsius, 'metric'));
  const us = LINE_DEGREES.us.map((celsius) => printed('temperature', celsius, 'us'));
  expect(metric).toEqual(['20 °C', '60 °C', '100 °C', '140 °C', '180 °C']);
  expect(us).toEqual(['100 °F', '200 °F', '300 °F']);
  for (const degrees of Object.values(LINE_DEGREES)) {
    for (const { y } of lineGeometry(known, { ...layout, degrees }).temperatures) {
      expect(y).toBeGreaterThan(g.laneHeight * 4);
      expect(y).toBeLessThan(layout.height);
    }
  }
});
