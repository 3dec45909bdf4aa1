import type { ReactNode } from 'react';
import { usePreferences } from '../state/preferences';
import { armBell, canSpeak, ring, useBell } from './bell';
import { clsx } from 'clsx';
import styles from './cook.module.css';
import { rich, t } from '../language/t';

/** A browser gives no sound before it was pressed: the room asks, until it may. */
export function BellButton(): ReactNode {
  const armed = useBell((state) => state.armed);
  const loud = usePreferences((state) => state.loud);
  if (armed) {
    return (
      <span className={clsx(styles['bell-state'], styles['bell-on'])}>
        {rich('cook.sound-is-on', { span: (words) => <span aria-hidden>{words}</span> })}
      </span>
    );
  }
  return (
    <button
      type="button"
      className={clsx('pot-button', styles['bell-arm'])}
      onClick={() => void armBell().then(() => ring('turn', loud))}
    >
      {rich('cook.sound-is-off-press-once', { span: (words) => <span aria-hidden>{words}</span> })}
    </button>
  );
}

/** How loud, whether aloud; and what this device cannot do. */
export function BellBar({ awake }: { readonly awake: boolean | null }): ReactNode {
  const { loud, speaks, setAlarms } = usePreferences();
  return (
    <div className={styles['bell-bar']}>
      <label className={styles['bell-choice']}>
        {rich('cook.louder', {
          input: (
            <input type="checkbox" checked={loud} onChange={(event) => setAlarms({ loud: event.target.checked })} />
          ),
        })}
      </label>
      {canSpeak() && (
        <label className={styles['bell-choice']}>
          {rich('cook.read-steps-aloud', {
            input: (
              <input
                type="checkbox"
                checked={speaks}
                onChange={(event) => setAlarms({ speaks: event.target.checked })}
              />
            ),
          })}
        </label>
      )}
      <span className={styles['bell-state']}>
        {awake === null
          ? window.isSecureContext
            ? t('cook.this-browser-cannot-keep-the')
            : t('cook.not-a-secure-address-the')
          : awake
            ? t('cook.the-screen-stays-on')
            : ''}
      </span>
    </div>
  );
}
