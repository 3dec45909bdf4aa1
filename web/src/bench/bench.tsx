import { RedoOutlined, UndoOutlined } from '@ant-design/icons';
import type { BraiseRecord } from '@hervir/contract';
import { printDuration, type Forecast, type Plan, withStage } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Collapse } from 'antd';
import { useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import { Navigate, useParams } from 'react-router';
import { useStore } from 'zustand';
import { Refused, request } from '../api/client';
import { keys, queryClient, useBraises, useSettings } from '../api/queries';
import { isTyping, useKeys } from '../app/shortcuts';
import { StartButton } from '../cook/start-button';
import { RehearseButton } from '../rehearse/rehearse-button';
import { Line } from '../shared/line/line';
import { SectionDrawing } from '../shared/section/section';
import { Nothing } from '../shared/nothing';
import { Trouble } from '../shared/trouble';
import { MARKS } from '../shared/verdict';
import { useUnits } from '../shared/use-units';
import { flush, redo, undo, useBench } from '../state/bench-store';
import { usePreferences } from '../state/preferences';
import { useBeside } from '../workers/use-beside';
import { useForecast } from '../workers/use-forecast';
import { alertsOf, BenchAlerts } from './alerts';
import { MeatStation } from './meat-station';
import { PotStation } from './pot-station';
import { ReleaseStation } from './release-station';
import { ReasonsPanel } from './reasons-panel';
import { SauceStation } from './sauce-station';
import { SaveNote } from './save-note';
import { SearStation } from './sear-station';
import { BenchSentence } from './sentence';
import { StageBoard } from './stage-board';
import { stationHeads } from './station-heads';
import { useFaults } from './use-faults';
import { VegetablesStation } from './vegetables-station';

/** px; with an alert above it the line makes room, so that the section stays in sight. */
const LINE_HEIGHT = 288;
const LINE_HEIGHT_UNDER_ALERT = 220;
const LINE_HEIGHT_WITH_STAGES = 272;
const SECTION_HEIGHT = 228;
const SECTION_HEIGHT_WITH_STAGES = 236;

/** The line gives way to what must be seen below it. */
function lineHeight(forecast: Forecast): number {
  if (alertsOf(forecast).length > 0) return LINE_HEIGHT_UNDER_ALERT;
  return forecast.stages.length > 0 ? LINE_HEIGHT_WITH_STAGES : LINE_HEIGHT;
}

/** A task put earlier by so many minutes; 0 takes it back to as late as it can be. */
function moveTask(plan: Plan, task: string, earlier: number): Plan {
  const others = Object.entries(plan.moved).filter(([id]) => id !== task);
  return { ...plan, moved: Object.fromEntries(earlier > 0 ? [...others, [task, earlier]] : others) };
}

/** The bench without a plan named: the one last open, or a word on how to get one. */
export function BenchDoor(): ReactNode {
  const last = usePreferences((state) => state.lastPlan);
  const braises = useBraises();
  if (braises.isPending) return <p className="room dim">Opening…</p>;
  if (braises.error) {
    return (
      <div className="room">
        <Trouble what="The plans cannot be shown." error={braises.error} again={() => void braises.refetch()} />
      </div>
    );
  }
  const plans = braises.data;
  const there = plans.find((plan) => plan.id === last) ?? plans[0];
  if (there) return <Navigate to={`/bench/${there.id}`} replace />;
  return (
    <Nothing
      title="The bench is empty"
      ways={[
        { label: 'Say what you have', to: '/' },
        { label: 'From a recipe', to: '/recipe' },
      ]}
    >
      A plan comes here from the sentence on Tonight, or from a recipe you paste.
    </Nothing>
  );
}

/** One plan on the bench. */
export function Bench(): ReactNode {
  const { id = '' } = useParams();
  const setLastPlan = usePreferences((state) => state.setLastPlan);
  const { open, close } = useBench.getState();
  const stored = useQuery({
    queryKey: keys.braise(id),
    queryFn: () => request<BraiseRecord>('GET', `/braises/${id}`),
    // The store is the truth while the bench is open; a refetch must not pull an older plan under the cook's hands.
    staleTime: Infinity,
    gcTime: 0,
  });
  const record = stored.data;
  const openId = useBench((state) => state.id);

  useEffect(() => {
    if (!record) return;
    open(record);
    setLastPlan(record.id);
  }, [record, open, setLastPlan]);
  useEffect(() => {
    const leaving = (): void => void flush(true);
    window.addEventListener('pagehide', leaving);
    return () => {
      window.removeEventListener('pagehide', leaving);
      close();
      void queryClient.invalidateQueries({ queryKey: keys.braises });
    };
  }, [id, close]);

  if (stored.error) {
    if (stored.error instanceof Refused && stored.error.status === 404) {
      return (
        <Nothing title="This plan is not here" ways={[{ label: 'Back to Tonight', to: '/' }]}>
          It was never kept, or not in this kitchen.
        </Nothing>
      );
    }
    return (
      <div className="room">
        <Trouble what="The plan cannot be opened." error={stored.error} again={() => void stored.refetch()} />
      </div>
    );
  }
  if (openId !== id) return <p className="room dim">Opening…</p>;
  return <OpenBench />;
}

function useBenchKeys(onStation: (index: number) => void, letterKeys: boolean): void {
  useKeys((event) => {
    if (isTyping(event.target)) return;
    const undoing = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    if (undoing && key === 'z') {
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    } else if (undoing && key === 'y') {
      event.preventDefault();
      redo();
    } else if (letterKeys && !undoing && !event.altKey && /^[1-6]$/.test(event.key)) {
      onStation(Number(event.key) - 1);
    }
  });
}

function OpenBench(): ReactNode {
  const { id, plan, dragged, edit, drag, save } = useBench();
  const settings = useSettings().data;
  const { print } = useUnits();
  const [station, setStation] = useState('meat');
  const [showCore, setShowCore] = useState(false);
  const shown = useMemo(
    () => (plan === null || dragged === null ? plan : { ...plan, pressureMinutes: dragged }),
    [plan, dragged],
  );
  const reckoning = useForecast(shown);
  const { forecast } = reckoning;
  /** While the handle is dragged the sentence and the line go first; what is around them follows as time allows. */
  const settled = useDeferredValue(forecast);
  const alternatives = useBeside('alternatives', plan);
  const odds = useBeside('dinner', plan);
  const faultAt = useFaults(reckoning, save);
  const canUndo = useStore(useBench.temporal, (state) => state.pastStates.length > 0);
  const canRedo = useStore(useBench.temporal, (state) => state.futureStates.length > 0);
  const faulty = reckoning.fault?.path.startsWith('meat') ?? false;
  const heads = useMemo(() => (plan ? stationHeads(plan, settled, print, faulty) : []), [plan, settled, print, faulty]);
  useBenchKeys((index) => setStation(heads[index]?.key ?? station), settings?.letterKeys ?? true);
  const body = useMemo(() => {
    if (plan === null) return null;
    const props = { plan, edit, faultAt, forecast: settled };
    const bodies: Readonly<Record<string, ReactNode>> = {
      meat: <MeatStation {...props} />,
      sear: <SearStation {...props} />,
      pot: <PotStation {...props} />,
      vegetables: <VegetablesStation {...props} />,
      release: <ReleaseStation plan={plan} edit={edit} faultAt={faultAt} alternatives={alternatives} />,
      sauce: <SauceStation {...props} />,
    };
    return bodies[station] ?? null;
  }, [plan, edit, faultAt, settled, alternatives, station]);
  const stations = useMemo(
    () => (
      <section className="vessel stations" aria-label="Stations">
        <Collapse
          ghost
          // One at a time, but not its `accordion`: that one claims to be tabs, and holds what tabs must not.
          activeKey={[station]}
          onChange={(open) => setStation(open.find((key) => key !== station) ?? '')}
          items={heads.map((head, i) => ({
            key: head.key,
            showArrow: false,
            label: (
              <span className="station-head">
                <span className="number">{i + 1}</span>
                <span className="title">{head.title}</span>
                <span className={`verdict ${head.tone}`}>
                  <span aria-hidden>{MARKS[head.tone]}</span> {head.verdict}
                </span>
                {station !== head.key && <span className="summary">{head.summary}</span>}
              </span>
            ),
            children: station === head.key ? body : null,
          }))}
        />
      </section>
    ),
    [heads, station, body],
  );
  const below = useMemo(
    () =>
      settled && plan ? (
        <div className={settled.stages.length > 0 ? 'bench-below staged' : 'bench-below'}>
          <section className="vessel panel" aria-label="The pot cut open">
            <SectionDrawing
              forecast={settled}
              height={settled.stages.length > 0 ? SECTION_HEIGHT_WITH_STAGES : SECTION_HEIGHT}
              onStation={setStation}
              beside={<StageBoard forecast={settled} edit={edit} />}
            />
          </section>
          <ReasonsPanel id={id ?? ''} plan={plan} forecast={settled} alternatives={alternatives} edit={edit} />
        </div>
      ) : null,
    [id, settled, plan, alternatives, edit],
  );
  if (plan === null) return null;

  return (
    <div className="bench">
      <h1 className="visually-hidden">{plan.name === '' ? 'Bench' : plan.name}</h1>
      <div className="bench-head">
        {forecast ? (
          <BenchSentence
            forecast={forecast}
            onServeAt={(serveAt) => edit((before) => ({ ...before, serveAt }))}
            onPropose={() => edit((before) => ({ ...before, pressureMinutes: null }))}
          />
        ) : (
          <p className="bench-sentence dim">Reckoning…</p>
        )}
        <div className="bench-actions">
          <SaveNote />
          <Button icon={<UndoOutlined />} aria-label="Undo" disabled={!canUndo} onClick={undo} />
          <Button icon={<RedoOutlined />} aria-label="Redo" disabled={!canRedo} onClick={redo} />
          {id !== null && <RehearseButton braiseId={id} disabled={forecast === null} />}
          {id !== null && <StartButton braiseId={id} forecast={forecast} />}
        </div>
      </div>
      {forecast && <BenchAlerts forecast={forecast} edit={edit} />}
      {reckoning.broken !== null && (
        <p role="alert" style={{ color: 'var(--ember)', marginBottom: 12 }}>
          The reckoning failed: {reckoning.broken}. The figures below are from before.
        </p>
      )}
      <div className="bench-grid">
        {stations}
        <div className="bench-right">
          <section className="vessel panel" aria-label="The line">
            <div className="panel-head">
              <h2>The line</h2>
              <Checkbox checked={showCore} onChange={(event) => setShowCore(event.target.checked)}>
                middle of the meat
              </Checkbox>
              {forecast && (
                <span className="dim" style={{ fontSize: 14 }}>
                  {printDuration(forecast.clock.totalMinutes)} in all, {printDuration(forecast.clock.handsOnMinutes)}{' '}
                  hands-on
                </span>
              )}
            </div>
            {forecast && (
              <Line
                forecast={forecast}
                minutes={shown?.pressureMinutes ?? forecast.pressureMinutes}
                height={lineHeight(forecast)}
                odds={odds}
                showCore={showCore}
                onMove={(task, earlier) => edit((before) => moveTask(before, task, earlier))}
                onStage={(stage, minutes) =>
                  edit((before) => ({ ...before, ...withStage(before, stage, { minutes }) }))
                }
                onDrag={drag}
                onDrop={(minutes) => {
                  drag(null);
                  edit((before) =>
                    before.pressureMinutes === minutes ? before : { ...before, pressureMinutes: minutes },
                  );
                }}
              />
            )}
          </section>
          {below}
        </div>
      </div>
    </div>
  );
}
