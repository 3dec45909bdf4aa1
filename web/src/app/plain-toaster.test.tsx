/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { dismissToast, toast, toastTrouble, toastUntilClosed } from '../shared/toast';
import { PlainToaster } from './plain-toaster';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('without the component library a toast is a line that goes by itself; the newest counts', () => {
  render(<PlainToaster />);
  expect(screen.queryByRole('status')).toBeNull();
  act(() => toastTrouble('the server does not answer'));
  expect(screen.getByRole('status').textContent).toBe('the server does not answer');
  act(() => toastUntilClosed('salt', '18:30: Sunday', 'Salt the goat neck'));
  expect(screen.getByRole('status').textContent).toBe('18:30: Sunday: Salt the goat neck');
  act(() => jest.advanceTimersByTime(10_000));
  expect(screen.queryByRole('status')).toBeNull();
  act(() => {
    toast({ key: 'undo', content: 'put away' });
    dismissToast('undo');
  });
  expect(screen.queryByRole('status')).toBeNull();
});
