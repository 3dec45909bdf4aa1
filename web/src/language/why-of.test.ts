import { whyOf } from './why-of';

test('what an error says, whatever was thrown', () => {
  expect(whyOf(new TypeError('the disk is full'))).toBe('the disk is full');
  expect(whyOf('no such plan')).toBe('no such plan');
  expect(whyOf(undefined)).toBe('undefined');
});
