import { useLayoutEffect, useRef, useState } from 'react';
import { useMedia } from '../shared/use-media';

/** Sizes that a sentence may take, over its usual one. */
const SIZES: readonly number[] = [1, 0.93, 0.87, 0.82, 0.77, 0.72];
/** Beside its buttons a sentence is as high as they are, px. */
const BESIDE_BUTTONS = 82;
/** Narrower, its buttons stand under it and it may be as high as it likes. */
const BESIDE = '(min-width: 63.8em)';

/**
 * Keeps a sentence to its height by the size of its letters, so that what stands under it does not move: beside its
 * buttons to theirs, and while a handle is dragged to what it had when it was taken.
 *
 * @param text what it depends on: looked at again when this changes
 * @param held true while something under it is dragged
 * @returns a ref for the sentence
 */
export function useFitted(text: unknown, held: boolean): React.RefObject<HTMLParagraphElement | null> {
  const ref = useRef<HTMLParagraphElement>(null);
  const beside = useMedia(BESIDE);
  const size = useRef(0);
  const heldAt = useRef<number | null>(null);
  const [windowWidth, setWindowWidth] = useState(() => window.innerWidth);
  useLayoutEffect(() => {
    const resized = (): void => setWindowWidth(window.innerWidth);
    window.addEventListener('resize', resized);
    return () => window.removeEventListener('resize', resized);
  }, []);
  useLayoutEffect(() => {
    const sentence = ref.current;
    if (!sentence) return;
    if (held) heldAt.current ??= sentence.offsetHeight;
    else heldAt.current = null;
    const most = Math.min(
      beside ? BESIDE_BUTTONS : Number.POSITIVE_INFINITY,
      heldAt.current ?? Number.POSITIVE_INFINITY,
    );
    // While it is held it is not made larger again: letters that breathe under a drag are worse than small ones.
    if (!held) size.current = 0;
    const set = (): void => sentence.style.setProperty('--fitted', String(SIZES[size.current]));
    set();
    while (sentence.scrollHeight > most + 1 && size.current < SIZES.length - 1) {
      size.current += 1;
      set();
    }
    sentence.style.minHeight = heldAt.current === null ? '' : `${heldAt.current}px`;
  }, [text, held, beside, windowWidth]);
  return ref;
}
