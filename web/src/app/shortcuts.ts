import { useLayoutEffect } from 'react';
import { useNavigate } from 'react-router';
import { ROOMS } from './rooms';

/** True where a key belongs to what is being typed in. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** True where Space and Enter belong to what has the focus. */
export function isPressing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('button, a, [role="button"], [tabindex]') !== null;
}

/** Hears keys wherever one is: from the moment the room is drawn, so that none pressed as it appears is lost. */
export function useKeys(onKey: (event: KeyboardEvent) => void): void {
  useLayoutEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}

/** Alt with a digit changes room, `?` shows the keys; wherever one is. */
export function useRoomKeys(showKeys: () => void, letterKeys: boolean): void {
  const navigate = useNavigate();
  useKeys((event) => {
    if (event.altKey && /^Digit[1-9]$/.test(event.code)) {
      const room = ROOMS[Number(event.code.slice(5)) - 1];
      if (!room) return;
      event.preventDefault();
      void navigate(room.path);
    } else if (event.key === '?' && letterKeys && !isTyping(event.target)) {
      showKeys();
    }
  });
}
