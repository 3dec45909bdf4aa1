import { QueryClientProvider } from '@tanstack/react-query';
import { App as AntApp, ConfigProvider } from 'antd';
import { lazy, useEffect, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { queryClient } from '../api/queries';
import { usePreferences } from '../state/preferences';
import { Tonight } from '../tonight/tonight';
import { NothingHere } from './nothing-here';
import { Shell } from './shell';
import { themeOf, type Colours } from './theme';

const Bench = lazy(() => import('../bench/bench').then((module) => ({ default: module.Bench })));
const BenchDoor = lazy(() => import('../bench/bench').then((module) => ({ default: module.BenchDoor })));
const Times = lazy(() => import('../times/times').then((module) => ({ default: module.Times })));
const Cookers = lazy(() => import('../cookers/cookers').then((module) => ({ default: module.Cookers })));
const Rescue = lazy(() => import('../rescue/rescue').then((module) => ({ default: module.Rescue })));
const Settings = lazy(() => import('../settings/settings').then((module) => ({ default: module.Settings })));

const dark = window.matchMedia('(prefers-color-scheme: dark)');

function useColours(): Colours {
  const wanted = usePreferences((state) => state.colours);
  const device = useSyncExternalStore(
    (changed) => {
      dark.addEventListener('change', changed);
      return () => dark.removeEventListener('change', changed);
    },
    () => dark.matches,
  );
  return wanted === 'device' ? (device ? 'night' : 'day') : wanted;
}

/** Providers and routes. Tonight is in the first load; every other room is fetched when it is opened. */
export function App(): ReactNode {
  const colours = useColours();
  const theme = useMemo(() => themeOf(colours), [colours]);
  useEffect(() => {
    document.documentElement.dataset['theme'] = colours;
  }, [colours]);
  return (
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      <AntApp>
        <QueryClientProvider client={queryClient}>
          <BrowserRouter>
            <Routes>
              <Route element={<Shell colours={colours} />}>
                <Route index element={<Tonight />} />
                <Route path="bench" element={<BenchDoor />} />
                <Route path="bench/:id" element={<Bench />} />
                <Route path="times" element={<Times />} />
                <Route path="cookers" element={<Cookers />} />
                <Route path="rescue" element={<Rescue />} />
                <Route path="rescue/:topic" element={<Rescue />} />
                <Route path="settings" element={<Settings />} />
                <Route path="*" element={<NothingHere />} />
              </Route>
            </Routes>
          </BrowserRouter>
        </QueryClientProvider>
      </AntApp>
    </ConfigProvider>
  );
}
