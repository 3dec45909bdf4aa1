import type { Forecast, Plan } from '@hervir/core';
import { useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { useSettings } from '../api/queries';
import { useUnits } from '../shared/use-units';
import { editPlan as edit, useBench } from '../state/bench/bench-store';
import { useBeside } from '../workers/use-beside';
import { useForecast } from '../workers/use-forecast';
import { BenchAlerts } from './alerts';
import { BenchHead } from './bench-head';
import { BenchLine } from './bench-line';
import { Everything } from './everything';
import { OpenStation } from './open-station';
import { Rail } from './rail';
import { stationHeads, type StationKey } from './station-heads';
import { useBenchKeys } from './use-bench-keys';
import { useFaults } from './use-faults';
import styles from './bench.module.css';
import { t } from '../language/t';

/** The plan as it is shown: with the minutes of a handle that is being dragged. */
function useShown(): Plan | null {
  const plan = useBench((state) => state.plan);
  const dragged = useBench((state) => state.dragged);
  return useMemo(
    () => (plan === null || dragged === null ? plan : { ...plan, pressureMinutes: dragged }),
    [plan, dragged],
  );
}

/** The plan on the bench: its sentence, its line, and the station that is open. */
export function OpenBench(): ReactNode {
  const { id, plan, save } = useBench();
  const { print } = useUnits();
  const letterKeys = useSettings().data?.letterKeys ?? true;
  const [station, setStation] = useState<StationKey>('meat');
  const [everything, setEverything] = useState(false);
  const shown = useShown();
  const reckoning = useForecast(shown);
  const { forecast, broken, fault } = reckoning;
  /** While the handle is dragged the sentence and the line go first; what is around them follows as time allows. */
  const settled = useDeferredValue<Forecast | null>(forecast);
  const alternatives = useBeside('alternatives', plan);
  const odds = useBeside('dinner', plan);
  const faultAt = useFaults(reckoning, save);
  const faulty = fault?.path.startsWith('meat') ?? false;
  const heads = useMemo(
    () => (plan ? stationHeads(plan, settled, print, faulty, odds) : []),
    [plan, settled, print, faulty, odds],
  );
  useBenchKeys({ onStation: setStation, onEverything: () => setEverything((open) => !open), letterKeys });
  const stations = useMemo(
    () =>
      plan && (
        <Rail heads={heads} open={station} onOpen={setStation}>
          <OpenStation
            id={id ?? ''}
            station={station}
            plan={plan}
            forecast={settled}
            alternatives={alternatives}
            edit={edit}
            faultAt={faultAt}
            onStation={(to) => {
              setStation(to);
              // What was pressed goes with its panel: the keyboard goes on from the station's tab.
              requestAnimationFrame(() =>
                document.querySelector<HTMLElement>('.bench [role="tab"][aria-selected="true"]')?.focus(),
              );
            }}
          />
        </Rail>
      ),
    [heads, station, id, plan, settled, alternatives, faultAt],
  );
  if (plan === null) return null;
  return (
    <div className="bench">
      <h1 className="visually-hidden">{plan.name === '' ? t('app.bench') : plan.name}</h1>
      <BenchHead id={id} forecast={forecast} edit={edit} />
      <BenchLine
        forecast={forecast}
        minutes={shown?.pressureMinutes ?? null}
        odds={odds}
        edit={edit}
        onEverything={() => setEverything(true)}
      />
      {/* Under the line: what comes and goes here does not move the handle under a finger. */}
      {forecast && <BenchAlerts forecast={forecast} edit={edit} />}
      {broken !== null && (
        <p role="alert" className={styles['bench-broken']}>
          {t('bench.the-reckoning-failed-the-figures', { broken })}
        </p>
      )}
      {stations}
      {settled && (
        <Everything
          open={everything}
          onClose={() => setEverything(false)}
          plan={plan}
          forecast={settled}
          alternatives={alternatives}
          edit={edit}
        />
      )}
    </div>
  );
}
