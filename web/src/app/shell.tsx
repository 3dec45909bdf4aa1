import { Suspense, useCallback, useEffect, useState, type ReactNode } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { useHealth, useRunning, useSaveSettings, useSettings } from '../api/queries';
import { usePreferences, type Colours } from '../state/preferences';
import { useUnits } from '../shared/use-units';
import { Notices } from './notices';
import { isIn, ROOMS } from './rooms';
import { RoomsNav } from './rooms-nav';
import { useRoomKeys } from './shortcuts';
import { t } from '../language/t';
import { say } from '@hervir/language';
import { later, soon } from '../shared/later';

/** Not in the first load: nothing is on the fire when one only plans. */
const Pill = soon(() => import('../cook/pill').then((module) => module.Pill));
const KeysDialog = later(() => import('./keys-dialog').then((module) => module.KeysDialog));

/** Rooms that have a name for the window's title. */
const TITLED = [
  ...ROOMS,
  { path: '/cook', name: say('app.at-the-pot') },
  { path: '/card', name: say('app.card') },
  { path: '/shopping', name: say('app.what-to-buy') },
  { path: '/recipe', name: say('app.from-a-recipe') },
];

/** The frame of every room: the rail, and what hangs over all of them. */
export function Shell({ colours }: { readonly colours: Colours }): ReactNode {
  const settings = useSettings().data;
  const cooking = (useRunning().data ?? []).length > 0;
  const demo = useHealth().data?.demo ?? false;
  const save = useSaveSettings();
  const { system, print } = useUnits();
  const setColours = usePreferences((state) => state.setColours);
  /** Null until they are asked for. */
  const [keysAt, setKeysAt] = useState<'open' | 'shut' | null>(null);
  const { pathname } = useLocation();
  useRoomKeys(
    useCallback(() => setKeysAt('open'), []),
    settings?.letterKeys ?? true,
  );
  const room = TITLED.find(({ path }) => isIn(pathname, path));
  // What rings calls the window, in whatever room one is.
  const [rings, setRings] = useState<string | null>(null);
  useEffect(() => {
    document.title = rings ?? (room && room.path !== '/' ? t('app.hervir', { name: room.name }) : 'Hervir');
  }, [room, rings]);

  return (
    <>
      <header className="rail">
        <NavLink to="/" className="rail-name" aria-label={t('app.hervir-tonight')}>
          {t('app.hervir-2')}
        </NavLink>
        <RoomsNav />
        {cooking && (
          <Suspense fallback={null}>
            <Pill onRings={setRings} />
          </Suspense>
        )}
        <div className="rail-side">
          {settings && (
            <span className="rail-place">
              {print('altitude', settings.kitchen.altitudeM)}
              {demo ? t('app.demo-kitchen') : ''}
            </span>
          )}
          {settings && (
            <button
              type="button"
              className="rail-button units"
              aria-label={system === 'metric' ? t('app.g-cm-c-change-to') : t('app.lb-in-f-change-to')}
              onClick={() => save.mutate({ ...settings, units: system === 'metric' ? 'us' : 'metric' })}
            >
              {system === 'metric' ? 'g · cm · °C' : 'lb · in · °F'}
            </button>
          )}
          <button type="button" className="rail-button" onClick={() => setColours(colours === 'day' ? 'night' : 'day')}>
            {colours === 'day' ? t('app.night') : t('app.day')}
          </button>
        </div>
      </header>
      <Notices />
      <main>
        <Suspense fallback={<p className="room dim">{t('app.opening')}</p>}>
          <Outlet />
        </Suspense>
      </main>
      {keysAt !== null && (
        <Suspense fallback={null}>
          <KeysDialog open={keysAt === 'open'} onClose={() => setKeysAt('shut')} />
        </Suspense>
      )}
    </>
  );
}
