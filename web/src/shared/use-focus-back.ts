import { useEffect, useState } from 'react';

/** A dialog that is there only while it is open: when it goes, the keyboard goes on from what opened it. */
export function useFocusBack(): void {
  const [opener] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      if (opener instanceof HTMLElement && opener.isConnected) opener.focus();
    },
    [opener],
  );
}
