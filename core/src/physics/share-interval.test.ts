import { shareInterval } from './share-interval';

// Newcombe 1998, Statistics in Medicine 17, 857, table I, method 3: the published intervals of 19 in 20.
test.each([
  [81, 263, 0.2553, 0.3662],
  [15, 148, 0.0624, 0.1605],
  [0, 20, 0, 0.1611],
  [1, 29, 0.0061, 0.1718],
])('%d of %d lies between what the tables say', (kept, of, from, to) => {
  const [low, high] = shareInterval(kept, of, 1.959964);
  expect(low).toBeCloseTo(from, 4);
  expect(high).toBeCloseTo(to, 4);
});
