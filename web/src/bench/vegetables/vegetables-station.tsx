import { withStage } from '@hervir/core';
import { useMemo, useState, type ReactNode } from 'react';
import { SectionDrawing } from '../../shared/section/section';
import type { StationProps } from '../station';
import type { StationKey } from '../station-heads';
import { StationPanel } from '../station-panel';
import { AddButtons } from './add-buttons';
import { ChosenPanel } from './chosen-panel';
import { firstChosen, lanesOf, movedTo, type Chosen } from './lane-items';
import { Lanes } from './lanes';
import { withOneMore } from './plan-changes';
import { listOf } from './plan-lists';
import { t } from '../../language/t';

/** px */
const SECTION_HEIGHT = 200;
/** Poisonous raw. */
const BEANS: ReadonlySet<string> = new Set(['kidney-bean-soaked']);

interface Props extends Omit<StationProps, 'faultAt'> {
  readonly onStation: (station: StationKey) => void;
  readonly why: ReactNode;
}

/** Fourth station: the stages as lanes, what goes in at each and in which minutes it is right, and one of them opened. */
export function VegetablesStation({ plan, forecast, edit, onStation, why }: Props): ReactNode {
  // Places, windows and textures are of the plan that was reckoned; fields are of the plan as it is edited.
  const lanes = useMemo(() => (forecast ? lanesOf(forecast.plan, forecast) : []), [forecast]);
  const [wanted, setWanted] = useState<Chosen | null>(null);
  const chosen = wanted !== null && isThere(wanted, plan) ? wanted : firstChosen(lanes);
  return (
    <StationPanel
      station="vegetables"
      fields={
        <>
          {forecast && (
            <Lanes
              lanes={lanes}
              chosen={chosen}
              onChoose={setWanted}
              onMove={(item, place) => edit((before) => movedTo(before, item, place))}
              onMinutes={(place, minutes) =>
                edit((before) =>
                  place === 'start'
                    ? { ...before, pressureMinutes: minutes }
                    : { ...before, ...withStage(before, place, { minutes }) },
                )
              }
            />
          )}
          <AddButtons
            plan={plan}
            onAdd={(what) => {
              setWanted(withOneMore(plan, what).chosen);
              edit((before) => withOneMore(before, what).plan);
            }}
          />
          {plan.grains.some(({ grain }) => BEANS.has(grain)) && (
            <p className="caution-source">{t('bench.red-kidney-beans-are-poisonous')}</p>
          )}
          {why}
        </>
      }
      drawing={
        <ChosenPanel
          plan={plan}
          forecast={forecast}
          items={lanes.flatMap((lane) => lane.items)}
          chosen={chosen}
          onTouch={() => setWanted(chosen)}
          edit={edit}
        />
      }
      why={forecast ? <SectionDrawing forecast={forecast} height={SECTION_HEIGHT} onStation={onStation} /> : undefined}
    />
  );
}

/** What was chosen may have been taken out since, here or by an undo. */
function isThere(chosen: Chosen, plan: StationProps['plan']): boolean {
  if (chosen.kind !== 'stage') return chosen.index < listOf(plan, chosen.kind).length;
  // A stage that is only Hervir's has nothing of its own in the plan until it is changed.
  return plan.stages.some(({ id }) => id === chosen.place) || ['second-run', 'simmer'].includes(chosen.place);
}
