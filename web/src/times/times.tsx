import { lowerFirst, type Message, say } from '@hervir/language';
import { PrinterOutlined } from '@ant-design/icons';
import {
  type Cut,
  CUTS,
  type ReleaseMethod,
  SPECIES,
  type Species,
  type TimesCell,
  type TimesFor,
  workingTemperatureC,
} from '@hervir/core';
import { usualCooker } from '../shared/usual-cooker';
import { useQueries } from '@tanstack/react-query';
import { Button, Segmented, Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { Trouble } from '../shared/trouble';
import { useKitchen } from '../shared/use-kitchen';
import { useUnits } from '../shared/use-units';
import { ANIMALS } from '../shared/cut-options';
import { FORM_NAMES, inSentence } from '../shared/words';
import { forecastWorker } from '../workers/forecast-worker';
import { CutPicture } from './cut-picture';
import { clsx } from 'clsx';
import styles from './times.module.css';
import { rich, t, textOf } from '../language/t';
import { labelled } from '../language/labelled';

type Show = Species | 'all';

const SHOWN: readonly { value: Show; label: Message }[] = [
  { value: 'all', label: say('times.all') },
  ...SPECIES.map((value) => ({ value, label: ANIMALS[value] })),
];

const RELEASES: readonly { value: ReleaseMethod; label: Message }[] = [
  { value: 'natural', label: say('times.by-itself') },
  { value: 'natural-then-quick', label: say('times.15-min-then-valve') },
  { value: 'quick', label: say('times.valve-at-once') },
];

const STARTS = [
  { value: 'fridge', label: say('times.from-the-fridge') },
  { value: 'room', label: say('times.from-the-room') },
  { value: 'frozen', label: say('times.from-frozen') },
] as const;

/** The wall chart of this kitchen: cuts down, sizes across, minutes until it slices, a fork slides in, it pulls apart. */
export function Times(): ReactNode {
  const kitchen = useKitchen();
  if (kitchen === null) return <p className="room dim">{t('app.opening')}</p>;
  if ('error' in kitchen) {
    return (
      <div className="room">
        <Trouble what={t('times.the-chart-cannot-be-drawn')} error={kitchen.error} again={kitchen.again} />
      </div>
    );
  }
  return <Chart {...kitchen} />;
}

type Kitchen = Extract<ReturnType<typeof useKitchen>, { settings: unknown }>;

function Chart({ cookers, settings }: Kitchen): ReactNode {
  const { print } = useUnits();
  const [cookerId, setCookerId] = useState<string | null>(null);
  const [release, setRelease] = useState<ReleaseMethod>('natural-then-quick');
  const [startsFrom, setStartsFrom] = useState<TimesFor['startsFrom']>('fridge');
  const [show, setShow] = useState<Show>('all');
  const [pictured, setPictured] = useState<{ readonly cut: string; readonly open: boolean } | null>(null);
  const chosen = cookers.find(({ id }) => id === cookerId) ?? cookers[0];
  const own = chosen?.cooker;
  const cooker = useMemo(() => own ?? usualCooker(), [own]);
  const given = useMemo<TimesFor>(
    () => ({
      cooker,
      kitchen: settings.kitchen,
      release: { method: release, naturalMinutes: 15 },
      confidence: settings.confidence,
      startsFrom,
    }),
    [cooker, settings.kitchen, settings.confidence, release, startsFrom],
  );
  const cuts = CUTS.filter((cut) => show === 'all' || cut.species === show);
  const rows = useQueries({
    queries: cuts.map((cut) => ({
      queryKey: ['times', cut.id, given],
      queryFn: () => forecastWorker('beside').timesRow(cut.id, given),
      staleTime: Infinity,
      gcTime: 10 * 60_000,
    })),
  });
  const waiting = rows.filter((row) => row.isPending).length;

  return (
    <div className="room times">
      <div className="times-head">
        <div>
          <h1>{t('app.times')}</h1>
          <p className="dim">
            {rich('times.minutes-under-pressure-for-at', {
              name: inSentence(cooker.name),
              altitude: print('altitude', settings.kitchen.altitudeM),
              temperature: print('temperature', workingTemperatureC(cooker.gaugeKPa, settings.kitchen)),
              em: (words) => <em>{words}</em>,
              confidence: Math.round(settings.confidence * 10),
            })}
          </p>
        </div>
        <Button icon={<PrinterOutlined aria-hidden />} onClick={() => window.print()} disabled={waiting > 0}>
          {t('times.print')}
        </Button>
      </div>
      <div className={styles['times-controls']}>
        {cookers.length > 1 && (
          <Select
            aria-label={t('times.cooker')}
            value={chosen?.id}
            style={{ minWidth: '10.625rem' }}
            options={cookers.map(({ id, cooker: { name } }) => ({ value: id, label: name }))}
            onChange={setCookerId}
          />
        )}
        <Select
          aria-label={t('times.let-down')}
          value={release}
          style={{ minWidth: '10.625rem' }}
          options={labelled(RELEASES)}
          onChange={setRelease}
        />
        <Select
          aria-label={t('times.starts-from')}
          value={startsFrom}
          style={{ minWidth: '9.375rem' }}
          options={labelled(STARTS)}
          onChange={setStartsFrom}
        />
        <Segmented<Show> className="choice" value={show} options={labelled(SHOWN)} onChange={setShow} name="animal" />
        <span className="dim" role="status">
          {waiting > 0 ? t('times.cuts-to-reckon', { waiting }) : ''}
        </span>
      </div>
      <div className="times-frame vessel" tabIndex={0} role="region" aria-label={t('times.the-chart')}>
        <table className={styles['times-table']}>
          <thead>
            <tr>
              <th scope="col">{t('times.cut')}</th>
              <th scope="col">{t('times.whole-small')}</th>
              <th scope="col">{t('times.whole-usual')}</th>
              <th scope="col">{t('times.whole-large')}</th>
              <th scope="col">{t('times.chunks')}</th>
              <th scope="col">{t('times.bite-size')}</th>
              <th scope="col">{t('times.as-it-comes')}</th>
            </tr>
          </thead>
          <tbody>
            {cuts.map((cut, i) => (
              <Row
                key={cut.id}
                cut={cut}
                cells={rows[i]?.data}
                first={cuts[i - 1]?.species !== cut.species}
                onPicture={() => setPictured({ cut: cut.id, open: true })}
              />
            ))}
          </tbody>
        </table>
      </div>
      <p className={clsx('dim', styles['times-note'])}>
        {rich('times.each-cell-slices-fork-pulls', {
          span: (words) => <span className={styles['on-screen']}>{words}</span>,
        })}
      </p>
      {pictured && (
        <CutPicture
          cutId={pictured.cut}
          given={given}
          open={pictured.open}
          onClose={() => setPictured({ ...pictured, open: false })}
        />
      )}
    </div>
  );
}

/** Which column a size belongs in. */
function columnOf(cell: TimesCell, cells: readonly TimesCell[]): number {
  if (cell.form === 'chunks') return 3;
  if (cell.form === 'bite-size') return 4;
  const wholes = cells.filter(({ form }) => form === 'whole');
  if (cell.form === 'whole') return wholes.length === 1 ? 1 : wholes.indexOf(cell);
  return 5;
}

function Row({
  cut,
  cells,
  first,
  onPicture,
}: {
  readonly cut: Cut;
  readonly cells: readonly TimesCell[] | undefined;
  readonly first: boolean;
  readonly onPicture: () => void;
}): ReactNode {
  const { print } = useUnits();
  return (
    <tr className={first ? styles['first-of-animal'] : undefined}>
      <th scope="row">
        <button type="button" className={styles['times-cut']} onClick={onPicture}>
          <span className="animal">{cut.species}</span> {lowerFirst(textOf(cut.name))}
          <span className="visually-hidden">{t('times.minutes-over-weight-2')}</span>
        </button>
      </th>
      {Array.from({ length: 6 }, (_, column) => {
        const here = cells?.filter((cell) => columnOf(cell, cells) === column) ?? [];
        return (
          <td key={column}>
            {cells === undefined ? (
              <span className="dim">…</span>
            ) : (
              here.map((cell) => (
                <div key={`${cell.form}-${cell.grams}`} className={styles['times-cell']}>
                  <span className="figure">
                    {cell.minutes.slices ?? '–'} · <b>{cell.minutes.fork ?? '–'}</b> · {cell.minutes.pulls ?? '–'}
                  </span>
                  <small>
                    {column === 5 ? `${lowerFirst(textOf(FORM_NAMES[cell.form]))}, ` : ''}
                    {cell.pieces === 1 ? print('mass', cell.grams) : print('length', cell.thicknessCm)}
                  </small>
                </div>
              ))
            )}
          </td>
        );
      })}
    </tr>
  );
}
