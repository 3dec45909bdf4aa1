import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

/** What an arrow or a page key adds, where to the right is more minutes. */
export const MINUTE_KEYS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
};

/** Whole minutes from none to the most there may be. */
export const withinMinutes =
  (most: number) =>
  (minutes: number): number =>
    Math.min(most, Math.max(0, Math.round(minutes)));

interface Options {
  readonly value: number;
  readonly clamp: (minutes: number) => number;
  /** What one pixel to the right is worth, minutes: less than nothing where to the left is more. */
  readonly perPixel: number;
  readonly keys: Readonly<Record<string, number>>;
  readonly onDrop: (minutes: number) => void;
}

export interface Minutes {
  /** What is dragged to; null while nothing is. */
  readonly dragged: number | null;
  /** For the element that is dragged. */
  readonly handlers: {
    readonly onPointerDown: (event: PointerEvent<Element>) => void;
    readonly onPointerMove: (event: PointerEvent<Element>) => void;
    readonly onPointerUp: (event: PointerEvent<Element>) => void;
    readonly onPointerCancel: (event: PointerEvent<Element>) => void;
    readonly onKeyDown: (event: KeyboardEvent<Element>) => void;
  };
}

/** Minutes that are dragged along the line or moved with the arrow keys, and kept once they are let go. */
export function useMinutes({ value, clamp, perPixel, keys, onDrop }: Options): Minutes {
  const [dragged, setDragged] = useState<number | null>(null);
  const grip = useRef<{ readonly pointer: number; readonly from: number } | null>(null);
  const under = (event: PointerEvent): number | null =>
    grip.current?.pointer === event.pointerId ? clamp(value + (event.clientX - grip.current.from) * perPixel) : null;
  const onPointerEnd = (event: PointerEvent<Element>): void => {
    const wanted = under(event);
    grip.current = null;
    setDragged(null);
    if (wanted !== null && wanted !== value) onDrop(wanted);
  };
  return {
    dragged,
    handlers: {
      onPointerDown: (event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        grip.current = { pointer: event.pointerId, from: event.clientX };
      },
      onPointerMove: (event) => setDragged((before) => under(event) ?? before),
      onPointerUp: onPointerEnd,
      onPointerCancel: onPointerEnd,
      onKeyDown: (event) => {
        const step = keys[event.key];
        if (step !== undefined) onDrop(clamp(value + step));
        else if (event.key === 'Home') onDrop(0);
        else return;
        event.preventDefault();
      },
    },
  };
}
