import { PrinterOutlined } from '@ant-design/icons';
import {
  CUTS,
  DEFAULT_COOKER,
  SPECIES,
  workingTemperatureC,
  type Cut,
  type Species,
  type TimesCell,
  type TimesFor,
  type ReleaseMethod,
  upperFirst,
} from '@hervir/core';
import { useQueries } from '@tanstack/react-query';
import { Button, Segmented, Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { Trouble } from '../shared/trouble';
import { useKitchen } from '../shared/use-kitchen';
import { useUnits } from '../shared/use-units';
import { FORM_NAMES, inSentence } from '../shared/words';
import { reckoner } from '../workers/reckoner';
import { CutPicture } from './cut-picture';
import { clsx } from 'clsx';
import styles from './times.module.css';

type Show = Species | 'all';

const SHOWN: readonly { value: Show; label: string }[] = [
  { value: 'all', label: 'All' },
  ...SPECIES.map((value) => ({ value, label: upperFirst(value) })),
];

const RELEASES: readonly { value: ReleaseMethod; label: string }[] = [
  { value: 'natural', label: 'by itself' },
  { value: 'natural-then-quick', label: '15 min, then valve' },
  { value: 'quick', label: 'valve at once' },
];

const STARTS = [
  { value: 'fridge', label: 'from the fridge' },
  { value: 'room', label: 'from the room' },
  { value: 'frozen', label: 'from frozen' },
] as const;

/** The wall chart of this kitchen: cuts down, sizes across, minutes until it slices, a fork slides in, it pulls apart. */
export function Times(): ReactNode {
  const kitchen = useKitchen();
  if (kitchen === null) return <p className="room dim">Opening…</p>;
  if ('error' in kitchen) {
    return (
      <div className="room">
        <Trouble what="The chart cannot be drawn." error={kitchen.error} again={kitchen.again} />
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
  const cooker = chosen?.cooker ?? DEFAULT_COOKER;
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
      queryFn: () => reckoner('beside').timesRow(cut.id, given),
      staleTime: Infinity,
      gcTime: 10 * 60_000,
    })),
  });
  const waiting = rows.filter((row) => row.isPending).length;

  return (
    <div className="room times">
      <div className="times-head">
        <div>
          <h1>Times</h1>
          <p className="dim">
            Minutes under pressure for {inSentence(cooker.name)} at {print('altitude', settings.kitchen.altitudeM)},
            where it works at {print('temperature', workingTemperatureC(cooker.gaugeKPa, settings.kitchen))}: until it{' '}
            <em>slices</em>, a <em>fork</em> slides in, it <em>pulls</em> apart. {Math.round(settings.confidence * 10)}{' '}
            in 10 are there by then.
          </p>
        </div>
        <Button icon={<PrinterOutlined aria-hidden />} onClick={() => window.print()} disabled={waiting > 0}>
          Print
        </Button>
      </div>
      <div className={styles['times-controls']}>
        {cookers.length > 1 && (
          <Select
            aria-label="Cooker"
            value={chosen?.id}
            style={{ minWidth: '10.625rem' }}
            options={cookers.map(({ id, cooker: { name } }) => ({ value: id, label: name }))}
            onChange={setCookerId}
          />
        )}
        <Select
          aria-label="Let down"
          value={release}
          style={{ minWidth: '10.625rem' }}
          options={[...RELEASES]}
          onChange={setRelease}
        />
        <Select
          aria-label="Starts from"
          value={startsFrom}
          style={{ minWidth: '9.375rem' }}
          options={[...STARTS]}
          onChange={setStartsFrom}
        />
        <Segmented<Show> className="choice" value={show} options={[...SHOWN]} onChange={setShow} name="animal" />
        <span className="dim" role="status">
          {waiting > 0 ? `${waiting} cuts to reckon…` : ''}
        </span>
      </div>
      <div className="times-frame vessel" tabIndex={0} role="region" aria-label="The chart">
        <table className={styles['times-table']}>
          <thead>
            <tr>
              <th scope="col">Cut</th>
              <th scope="col">Whole, small</th>
              <th scope="col">Whole, usual</th>
              <th scope="col">Whole, large</th>
              <th scope="col">Chunks</th>
              <th scope="col">Bite-size</th>
              <th scope="col">As it comes</th>
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
        Each cell: slices · fork · pulls. A dash: no length of run is sure enough. Heating up and letting down come on
        top. <span className={styles['on-screen']}>Press a cut for its minutes over weight.</span>
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
          <span className="animal">{cut.species}</span> {cut.name.toLowerCase()}
          <span className="visually-hidden">, minutes over weight</span>
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
                    {column === 5 ? `${FORM_NAMES[cell.form].toLowerCase()}, ` : ''}
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
