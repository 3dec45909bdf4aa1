import type { ReactNode } from 'react';
import { usePreferences } from '../state/preferences';
import { armBell, canSpeak, ring, useBell } from './bell';
import { clsx } from 'clsx';
import styles from './cook.module.css';

/** A browser gives no sound before it was pressed: the room asks, until it may. */
export function BellButton(): ReactNode {
  const armed = useBell((state) => state.armed);
  const loud = usePreferences((state) => state.loud);
  if (armed) {
    return (
      <span className={clsx(styles['bell-state'], styles['bell-on'])}>
        <span aria-hidden>● </span>Sound is on
      </span>
    );
  }
  return (
    <button
      type="button"
      className={clsx('pot-button', styles['bell-arm'])}
      onClick={() => void armBell().then(() => ring('turn', loud))}
    >
      <span aria-hidden>▲ </span>Sound is off: press once
    </button>
  );
}

/** How loud, whether aloud; and what this device cannot do. */
export function BellBar({ awake }: { readonly awake: boolean | null }): ReactNode {
  const { loud, speaks, setAlarms } = usePreferences();
  return (
    <div className={styles['bell-bar']}>
      <label className={styles['bell-choice']}>
        <input type="checkbox" checked={loud} onChange={(event) => setAlarms({ loud: event.target.checked })} />
        Louder
      </label>
      {canSpeak() && (
        <label className={styles['bell-choice']}>
          <input type="checkbox" checked={speaks} onChange={(event) => setAlarms({ speaks: event.target.checked })} />
          Read steps aloud
        </label>
      )}
      <span className={styles['bell-state']}>
        {awake === null
          ? window.isSecureContext
            ? 'This browser cannot keep the screen on'
            : 'Not a secure address: the screen may go dark and this page cannot be installed; all else works'
          : awake
            ? 'The screen stays on'
            : ''}
      </span>
    </div>
  );
}
