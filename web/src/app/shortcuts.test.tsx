/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ReactNode } from 'react';
import { isPressing, isTyping, useKeys } from './shortcuts';

let heard: string[];
beforeEach(() => (heard = []));

function Room(): ReactNode {
  const [count, setCount] = useState(0);
  useKeys(({ key }) => {
    heard.push(`${key}${count}`);
    setCount(count + 1);
  });
  return (
    <>
      <input aria-label="Words" />
      <textarea aria-label="Notes" />
      <button type="button">
        <span>Press</span>
      </button>
      <p>Nothing to press</p>
    </>
  );
}

describe('keys of a room', () => {
  test('are heard from the moment it is drawn, each once, by what the room knows then', async () => {
    const { unmount } = render(<Room />);
    const user = userEvent.setup();
    await user.keyboard('m');
    await user.keyboard('pu');
    expect(heard).toEqual(['m0', 'p1', 'u2']);
    unmount();
    await user.keyboard('b');
    expect(heard).toHaveLength(3);
  });

  test('belong to a field while something is typed in it', () => {
    render(<Room />);
    expect(isTyping(screen.getByLabelText('Words'))).toBe(true);
    expect(isTyping(screen.getByLabelText('Notes'))).toBe(true);
    expect(isTyping(screen.getByRole('button'))).toBe(false);
    expect(isTyping(null)).toBe(false);
  });

  test('Space belongs to a button that has the focus, also to the words inside it', () => {
    render(<Room />);
    expect(isPressing(screen.getByRole('button'))).toBe(true);
    expect(isPressing(screen.getByText('Press'))).toBe(true);
    expect(isPressing(screen.getByText('Nothing to press'))).toBe(false);
    expect(isPressing(document.body)).toBe(false);
  });
});
