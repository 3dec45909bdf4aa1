import { useRef, useState, type PointerEvent } from 'react';
import { MINUTE_KEYS, withinMinutes, type Minutes } from './use-minutes';

/** Wider while it is dragged, so that the end has somewhere to go. */
const ROOM = 1.12;

interface Options {
  /** What the handle was last moved to: ahead of the forecast while that is being reckoned. */
  readonly minutes: number;
  /** Of the whole evening. */
  readonly total: number;
  readonly longest: number;
  readonly onDrag: (minutes: number) => void;
  readonly onDrop: (minutes: number) => void;
}

/** The end of the run under a finger or the arrow keys. */
export interface PressureDrag {
  /** Minutes the drawing is wide while it is dragged; null when it fits the plan. */
  readonly held: number | null;
  readonly handlers: Minutes['handlers'];
}

/**
 * Moves the end of the run: while it is dragged the drawing keeps its scale, so that the handle stays under the finger.
 *
 * @param axis how wide the time axis is, px; 0 before it is drawn
 */
export function usePressureDrag(axis: number, { minutes, total, longest, onDrag, onDrop }: Options): PressureDrag {
  const [held, setHeld] = useState<number | null>(null);
  const grip = useRef<{ pointer: number; from: number; minutes: number; perPixel: number } | null>(null);
  const clamp = withinMinutes(longest);
  const under = (event: PointerEvent): number | null => {
    const { current } = grip;
    if (!current || current.pointer !== event.pointerId) return null;
    return clamp(current.minutes + (event.clientX - current.from) * current.perPixel);
  };
  const end = (event: PointerEvent): void => {
    const wanted = under(event);
    grip.current = null;
    setHeld(null);
    if (wanted !== null) onDrop(wanted);
  };
  return {
    held,
    handlers: {
      onPointerDown: (event) => {
        if (axis <= 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        const wide = total * ROOM;
        setHeld(wide);
        // The pixel scale does not change from here on, so a finger's way is minutes.
        grip.current = { pointer: event.pointerId, from: event.clientX, minutes, perPixel: wide / axis };
      },
      onPointerMove: (event) => {
        const wanted = under(event);
        if (wanted !== null) onDrag(wanted);
      },
      onPointerUp: end,
      onPointerCancel: end,
      onKeyDown: (event) => {
        const step = MINUTE_KEYS[event.key];
        if (step !== undefined) onDrop(clamp(minutes + step));
        else if (event.key === 'Home') onDrop(0);
        else if (event.key === 'End') onDrop(longest);
        else return;
        event.preventDefault();
      },
    },
  };
}
