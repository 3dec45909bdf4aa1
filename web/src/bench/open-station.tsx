import type { Forecast } from '@hervir/core';
import type { ReactNode } from 'react';
import { SectionDrawing } from '../shared/section/section';
import { Verdict } from '../shared/verdict';
import type { Alternatives } from '../workers/forecast-more';
import { BaseVerdict } from './base-verdict';
import { ClockPanel } from './clock-panel';
import { CutWays } from './cut-ways';
import { LedgerTable } from './ledger';
import { MeatStation } from './meat-station';
import { PotStation } from './pot/pot-station';
import { ReleaseStation } from './release-station';
import { ReleaseWays } from './release-ways';
import { Remedies } from './remedies';
import { SauceDrawing, ToFinish } from './sauce/sauce-drawing';
import { SauceStation } from './sauce/sauce-station';
import { SearDrawing } from './sear-drawing';
import { SearStation } from './sear-station';
import type { StationProps } from './station';
import type { StationKey } from './station-heads';
import { StationPanel } from './station-panel';
import styles from './station-panel.module.css';
import { StationWhy } from './station-why';
import { VegetablesStation } from './vegetables/vegetables-station';
import { t, textOf } from '../language/t';

/** px */
const SECTION_HEIGHT = 218;

interface Props extends StationProps {
  readonly id: string;
  readonly station: StationKey;
  readonly alternatives: Alternatives | null;
  readonly onStation: (station: StationKey) => void;
}

/** The station that is open: one `case` for each. */
export function OpenStation(props: Props): ReactNode {
  const { id, station, plan, forecast, alternatives, edit, faultAt, onStation } = props;
  const own = { plan, forecast, edit, faultAt };
  const why = forecast ? <StationWhy station={station} forecast={forecast} /> : undefined;
  switch (station) {
    case 'meat':
      return (
        <StationPanel
          station={station}
          fields={<MeatStation {...own} />}
          drawing={<CutWays plan={plan} alternatives={alternatives} edit={edit} />}
          why={why}
        />
      );
    case 'sear':
      return (
        <StationPanel
          station={station}
          fields={<SearStation {...own} />}
          drawing={forecast ? <SearDrawing forecast={forecast} edit={edit} /> : undefined}
          why={why}
        />
      );
    case 'pot':
      return (
        <StationPanel
          station={station}
          fields={<PotStation {...own} />}
          drawing={
            forecast ? (
              <>
                <SectionDrawing forecast={forecast} height={SECTION_HEIGHT} onStation={onStation} />
                <div className={styles['folds']}>
                  <details className="fold">
                    <summary>{t('bench.every-millilitre')}</summary>
                    <LedgerTable forecast={forecast} />
                  </details>
                  {why}
                </div>
              </>
            ) : undefined
          }
          why={forecast ? <PotVerdicts forecast={forecast} edit={edit} /> : undefined}
        />
      );
    case 'vegetables':
      return <VegetablesStation plan={plan} forecast={forecast} edit={edit} onStation={onStation} why={why} />;
    case 'release':
      return (
        <StationPanel
          station={station}
          fields={<ReleaseStation plan={plan} edit={edit} faultAt={faultAt} ways={alternatives?.releases ?? null} />}
          drawing={alternatives ? <ReleaseWays ways={alternatives.releases} /> : undefined}
          why={why}
        />
      );
    case 'sauce':
      return (
        <StationPanel
          station={station}
          fields={<SauceStation {...own} />}
          drawing={forecast ? <SauceDrawing forecast={forecast} /> : undefined}
          why={
            forecast ? (
              <>
                <ToFinish forecast={forecast} />
                {why}
              </>
            ) : undefined
          }
        />
      );
    case 'clock':
      return (
        <StationPanel
          station={station}
          fields={forecast && <ClockPanel id={id} plan={plan} forecast={forecast} edit={edit} />}
        />
      );
  }
}

/** What the pot comes to: the base against its cut-out, and the fill. */
function PotVerdicts({
  forecast,
  edit,
}: {
  readonly forecast: Forecast;
  readonly edit: StationProps['edit'];
}): ReactNode {
  return (
    <>
      <BaseVerdict forecast={forecast} edit={edit} />
      <Verdict tone={forecast.fill.over ? 'wrong' : 'fits'}>{textOf(forecast.fill.text)}</Verdict>
      <Remedies remedies={forecast.fill.remedies} edit={edit} />
    </>
  );
}
