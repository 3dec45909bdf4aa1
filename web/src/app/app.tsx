import { QueryClientProvider } from '@tanstack/react-query';
import { App as AntApp, ConfigProvider } from 'antd';
import { lazy, useEffect, useMemo, type ReactNode } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { queryClient } from '../api/queries';
import { useMedia } from '../shared/use-media';
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
const ShoppingRoom = lazy(() => import('../shopping/shopping').then((module) => ({ default: module.ShoppingRoom })));
const Card = lazy(() => import('../card/card').then((module) => ({ default: module.Card })));
const Cook = lazy(() => import('../cook/cook').then((module) => ({ default: module.Cook })));
const CookDoor = lazy(() => import('../cook/cook').then((module) => ({ default: module.CookDoor })));
const Rehearse = lazy(() => import('../rehearse/rehearse').then((module) => ({ default: module.Rehearse })));
const RehearseDoor = lazy(() =>
  import('../rehearse/rehearse-door').then((module) => ({ default: module.RehearseDoor })),
);
const Log = lazy(() => import('../log/log').then((module) => ({ default: module.Log })));
const LogEntryPage = lazy(() => import('../log/entry-page').then((module) => ({ default: module.LogEntryPage })));
const FromRecipe = lazy(() => import('../recipe/from-recipe').then((module) => ({ default: module.FromRecipe })));
const Settings = lazy(() => import('../settings/settings').then((module) => ({ default: module.Settings })));

function useColours(): Colours {
  const wanted = usePreferences((state) => state.colours);
  const dark = useMedia('(prefers-color-scheme: dark)');
  return wanted === 'device' ? (dark ? 'night' : 'day') : wanted;
}

/** Letters of the browser that is set to show them larger: over its usual 16 px. */
const textScale = (): number => (Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16) / 16;

/** Providers and routes. Tonight is in the first load; every other room is fetched when it is opened. */
export function App(): ReactNode {
  const colours = useColours();
  const still = useMedia('(prefers-reduced-motion: reduce)');
  const thumbs = useMedia('(max-width: 47.5em), (pointer: coarse)');
  const theme = useMemo(() => themeOf(colours, still, thumbs, textScale()), [colours, still, thumbs]);
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
                <Route path="cook" element={<CookDoor />} />
                <Route path="cook/:id" element={<Cook />} />
                <Route path="shopping" element={<ShoppingRoom />} />
                <Route path="card/:id" element={<Card />} />
                <Route path="recipe" element={<FromRecipe />} />
                <Route path="rehearse" element={<RehearseDoor />} />
                <Route path="rehearse/:id" element={<Rehearse />} />
                <Route path="times" element={<Times />} />
                <Route path="log" element={<Log />} />
                <Route path="log/:id" element={<LogEntryPage />} />
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
