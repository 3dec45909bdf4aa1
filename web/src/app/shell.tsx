import { Modal } from 'antd';
import { lazy, Suspense, useCallback, useEffect, useState, type ReactNode } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { useHealth, useRunning, useSaveSettings, useSettings } from '../api/queries';
import { usePreferences } from '../state/preferences';
import { useUnits } from '../shared/use-units';
import { Notices } from './notices';
import { isIn, ROOMS } from './rooms';
import { RoomsNav } from './rooms-nav';
import { useRoomKeys } from './shortcuts';
import type { Colours } from './theme';

/** Not in the first load: nothing is on the fire when one only plans. */
const Pill = lazy(() => import('../cook/pill').then((module) => ({ default: module.Pill })));

const KEYS: readonly (readonly [string, string])[] = [
  ['Alt 1 … 9', 'go to a room'],
  ['1 … 7', 'open a station on the bench'],
  ['0', 'on the bench: why, what if and care together'],
  ['← →', 'on the line: a minute less or more under pressure'],
  ['Page ↓ ↑', 'on the line: five minutes'],
  ['Ctrl Z, Ctrl Y', 'undo and redo on the bench'],
  ['Space', 'at the pot: what the big button says'],
  ['P  M  B  U', 'at the pot: pin up, one more minute, burn, undo'],
  ['?', 'these keys'],
];

/** Rooms that have a name for the window's title. */
const TITLED = [
  ...ROOMS,
  { path: '/cook', name: 'At the pot' },
  { path: '/card', name: 'Card' },
  { path: '/shopping', name: 'What to buy' },
  { path: '/recipe', name: 'From a recipe' },
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
    document.title = rings ?? (room && room.path !== '/' ? `${room.name} · Hervir` : 'Hervir');
  }, [room, rings]);

  return (
    <>
      <header className="rail">
        <NavLink to="/" className="rail-name" aria-label="Hervir, tonight">
          hervir
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
              {demo ? ' · demo kitchen' : ''}
            </span>
          )}
          {settings && (
            <button
              type="button"
              className="rail-button units"
              aria-label={
                system === 'metric'
                  ? 'g · cm · °C: change to pounds and inches'
                  : 'lb · in · °F: change to grams and centimetres'
              }
              onClick={() => save.mutate({ ...settings, units: system === 'metric' ? 'us' : 'metric' })}
            >
              {system === 'metric' ? 'g · cm · °C' : 'lb · in · °F'}
            </button>
          )}
          <button type="button" className="rail-button" onClick={() => setColours(colours === 'day' ? 'night' : 'day')}>
            {colours === 'day' ? 'Night' : 'Day'}
          </button>
        </div>
      </header>
      <Notices />
      <main>
        <Suspense fallback={<p className="room dim">Opening…</p>}>
          <Outlet />
        </Suspense>
      </main>
      <Modal title="Keys" open={keysShown} onCancel={() => setKeysShown(false)} footer={null}>
        <dl style={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '8px 24px', margin: 0 }}>
          {KEYS.map(([key, what]) => (
            <div key={key} style={{ display: 'contents' }}>
              <dt className="figure" style={{ fontWeight: 700 }}>
                {key}
              </dt>
              <dd style={{ margin: 0 }}>{what}</dd>
            </div>
          ))}
        </dl>
        <p className="dim" style={{ marginTop: 12 }}>
          Single keys can be switched off in Settings.
        </p>
      </Modal>
    </>
  );
}
