import { registerSW } from 'virtual:pwa-register';
import { useServer } from '../api/server-store';

/** What a browser hands out that can install a page; not in the DOM's types. */
interface InstallOffer extends Event {
  prompt(): Promise<void>;
}

/** Keeps the application on this device, where the browser allows that, and tells the server store how it went. */
export function keepOnDevice(): void {
  const set = useServer.setState;
  window.addEventListener('beforeinstallprompt', (event) => {
    // The browser's own bar would come up over a room; Settings has a button instead.
    event.preventDefault();
    set({ install: () => void (event as InstallOffer).prompt().then(() => set({ install: null })) });
  });
  if (!('serviceWorker' in navigator)) {
    set({ onDevice: 'impossible' });
    return;
  }
  const take = registerSW({
    onOfflineReady: () => set({ onDevice: 'kept' }),
    onNeedRefresh: () => set({ renew: () => void take(true) }),
    onRegisteredSW: (_address, registration) => {
      if (registration?.active) set({ onDevice: 'kept' });
    },
    // A certificate the browser does not trust, a private window, a full disk: everything else still works.
    onRegisterError: () => set({ onDevice: 'impossible' }),
  });
}
