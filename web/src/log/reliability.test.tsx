/** @jest-environment jsdom */
import type { LogCharts } from '@hervir/contract';
import { render, screen } from '@testing-library/react';
import { Reliability } from './reliability';

type Promises = LogCharts['promises'];

const figure = (promises: Promises): string => {
  render(<Reliability promises={promises} />);
  return screen.getByRole('heading', { name: 'Can I trust the odds?' }).parentElement?.textContent ?? '';
};

test('few cooks say nothing yet', () => {
  expect(figure([{ kind: 'tender', promised: 0.8, cooks: 2, kept: 2 }])).toContain('Not known yet');
});

test('as the odds said, fewer, more: by what so many cooks leave open', () => {
  const text = figure([
    { kind: 'tender', promised: 0.8, cooks: 10, kept: 8 },
    { kind: 'tender', promised: 0.6, cooks: 5, kept: 3 },
    { kind: 'in-time', promised: 0.9, cooks: 20, kept: 9 },
  ]);
  expect(text).toContain('Of 15 promised tender, 7 in 10 on the whole, 11 were: as the odds said.');
  expect(text).toContain('Of 20 promised in time, 9 in 10 on the whole, 9 were: fewer than the odds said.');
});
