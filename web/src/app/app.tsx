import { QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { Suspense, useEffect, useMemo, type ReactNode } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { queryClient } from '../api/queries';
import { useMedia } from '../shared/use-media';
import { useToasts } from '../shared/toast';
import { usePreferences, type Colours } from '../state/preferences';
import { Tonight } from '../tonight/tonight';
import { NothingHere } from './nothing-here';
import { PlainToaster } from './plain-toaster';
import { Shell } from './shell';
import { themeOf } from './theme';
import { later, soon } from '../shared/later';
import { speakIn, useWords } from '../language/t';
import { useUnits } from '../shared/use-units';

const Bench = later(() => import('../bench/bench').then((module) => module.Bench));
const BenchDoor = later(() => import('../bench/bench').then((module) => module.BenchDoor));
const Times = later(() => import('../times/times').then((module) => module.Times));
const Cookers = later(() => import('../cookers/cookers').then((module) => module.Cookers));
const Rescue = later(() => import('../rescue/rescue').then((module) => module.Rescue));
const ShoppingRoom = later(() => import('../shopping/shopping').then((module) => module.ShoppingRoom));
const Card = later(() => import('../card/card').then((module) => module.Card));
const Cook = later(() => import('../cook/cook').then((module) => module.Cook));
const CookDoor = later(() => import('../cook/cook').then((module) => module.CookDoor));
const Rehearse = later(() => import('../rehearse/rehearse').then((module) => module.Rehearse));
const RehearseDoor = later(() => import('../rehearse/rehearse-door').then((module) => module.RehearseDoor));
const Log = later(() => import('../log/log').then((module) => module.Log));
const LogEntryPage = later(() => import('../log/entry-page').then((module) => module.LogEntryPage));
const FromRecipe = later(() => import('../recipe/from-recipe').then((module) => module.FromRecipe));
const Toaster = soon(() => import('./toaster').then((module) => module.Toaster), PlainToaster);
const Settings = later(() => import('../settings/settings').then((module) => module.Settings));

function useColours(): Colours {
  const wanted = usePreferences((state) => state.colours);
  const dark = useMedia('(prefers-color-scheme: dark)');
  return wanted === 'device' ? (dark ? 'night' : 'day') : wanted;
}

/** What was just done, said over every room. */
function Toasts(): ReactNode {
  const ever = useToasts((state) => state.ever);
  return (
    ever && (
      <Suspense fallback={null}>
        <Toaster />
      </Suspense>
    )
  );
}

/** Letters of the browser that is set to show them larger: over its usual 16 px. */
const textScale = (): number => (Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || 16) / 16;

/**
 * What is said is in these words and units from here down. Others draw every room again where it stands: what a cook has
 * opened, typed and may undo stays.
 */
function Rooms({ colours }: { readonly colours: Colours }): ReactNode {
  speakIn(useUnits().system);
  useWords();
  return (
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
  );
}

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
      <QueryClientProvider client={queryClient}>
        <BrowserRouter>
          <Rooms colours={colours} />
        </BrowserRouter>
        <Toasts />
      </QueryClientProvider>
    </ConfigProvider>
  );
}
