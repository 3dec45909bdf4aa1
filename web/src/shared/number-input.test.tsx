/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ReactNode } from 'react';
import { NumberInput } from './number-input';

let kept: (number | null)[];
beforeEach(() => (kept = []));

/** A field in a room that keeps what it is told, or puts it back. */
function Room({ refuses = false }: { readonly refuses?: boolean }): ReactNode {
  const [value, setValue] = useState<number | null>(19);
  return (
    <>
      <label htmlFor="field">Room</label>
      <NumberInput
        id="field"
        min={0}
        max={45}
        value={value}
        onChange={(next) => {
          kept.push(next);
          if (!refuses) setValue(next);
        }}
      />
      <button type="button" onClick={() => setValue(7)}>
        another device
      </button>
    </>
  );
}
const field = (): HTMLInputElement => screen.getByLabelText('Room');

describe('a number', () => {
  test('counts once, when Enter is pressed, not letter by letter', async () => {
    const user = userEvent.setup();
    render(<Room />);
    await user.clear(field());
    await user.type(field(), '24');
    expect(kept).toEqual([]);
    await user.keyboard('{Enter}');
    expect(kept).toEqual([24]);
    expect(field().value).toBe('24');
  });

  test('counts when its field is left, and only then if it is another', async () => {
    const user = userEvent.setup();
    render(<Room />);
    await user.click(field());
    await user.tab();
    expect(kept).toEqual([]);
    await user.clear(field());
    await user.type(field(), '30');
    await user.tab();
    expect(kept).toEqual([30]);
  });

  test('beyond its range it is set right into it, and told as that', async () => {
    const user = userEvent.setup();
    render(<Room />);
    await user.clear(field());
    await user.type(field(), '99{Enter}');
    expect(kept).toEqual([45]);
    expect(field().value).toBe('45');
  });

  test('an arrow key moves it by one, at once', async () => {
    const user = userEvent.setup();
    render(<Room />);
    await user.click(field());
    await user.keyboard('{ArrowUp}');
    expect(kept).toEqual([20]);
    await user.keyboard('{ArrowDown}{ArrowDown}');
    expect(kept.at(-1)).toBe(18);
  });

  test('emptied it is nothing', async () => {
    const user = userEvent.setup();
    render(<Room />);
    await user.clear(field());
    await user.keyboard('{Enter}');
    expect(kept).toEqual([null]);
  });

  test('what was refused is put back', async () => {
    const user = userEvent.setup();
    render(<Room refuses />);
    await user.clear(field());
    await user.type(field(), '24{Enter}');
    expect(kept).toEqual([24]);
    expect(field().value).toBe('19');
  });

  test('what changes elsewhere shows at once', async () => {
    const user = userEvent.setup();
    render(<Room />);
    await user.click(screen.getByRole('button', { name: 'another device' }));
    expect(field().value).toBe('7');
    expect(kept).toEqual([]);
  });
});
