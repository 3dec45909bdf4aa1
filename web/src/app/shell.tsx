import { Modal } from 'antd';
import { Suspense, useCallback, useEffect, useState, type ReactNode } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { useHealth, useRunning, useSaveSettings, useSettings } from '../api/queries';
import { usePreferences } from '../state/preferences';
import { useUnits } from '../shared/use-units';
import { Notices } from './notices';
import { isIn, ROOMS } from './rooms';
import { RoomsNav } from './rooms-nav';
import { useRoomKeys } from './shortcuts';
import type { Colours } from './theme';
import { t, textOf } from '../language/t';
import { type Message, say, type Text } from '@hervir/language';
import { later } from '../language/load';

/** Not in the first load: nothing is on the fire when one only plans. */
const Pill = later(() => import('../cook/pill').then((module) => module.Pill));

const KEYS: readonly (readonly [Text, Message])[] = [
  [say('app.alt-1-9'), say('app.go-to-a-room')],
  ['1 … 7', say('app.open-a-station-on-the')],
  ['0', say('app.on-the-bench-why-what')],
  ['← →', say('app.on-the-line-a-minute')],
  [say('app.page'), say('app.on-the-line-five-minutes')],
  [say('app.ctrl-z-ctrl-y'), say('app.undo-and-redo-on-the')],
  [say('app.space'), say('app.at-the-pot-what-the')],
  ['P  M  B  U', say('app.at-the-pot-pin-up')],
  ['?', say('app.these-keys')],
];

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
  const [keysShown, setKeysShown] = useState(false);
  const { pathname } = useLocation();
  useRoomKeys(
    useCallback(() => setKeysShown(true), []),
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
      <Modal title={t('app.keys')} open={keysShown} onCancel={() => setKeysShown(false)} footer={null}>
        <dl style={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '8px 24px', margin: 0 }}>
          {KEYS.map(([key, what]) => (
            <div key={textOf(key)} style={{ display: 'contents' }}>
              <dt className="figure" style={{ fontWeight: 700 }}>
                {textOf(key)}
              </dt>
              <dd style={{ margin: 0 }}>{textOf(what)}</dd>
            </div>
          ))}
        </dl>
        <p className="dim" style={{ marginTop: 12 }}>
          {t('app.single-keys-can-be-switched')}
        </p>
      </Modal>
    </>
  );
}
