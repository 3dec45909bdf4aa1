import { lowerFirst } from '@hervir/language';
import { cutById, type Form, type TimesFor } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Drawer, Segmented } from 'antd';
import { useState, type ReactNode } from 'react';
import { Trouble } from '../shared/trouble';
import { FORM_NAMES } from '../shared/words';
import { forecastWorker } from '../workers/forecast-worker';
import { MinutesOverWeight } from './minutes-over-weight';
import { t, textOf } from '../language/t';

interface Props {
  readonly cutId: string;
  readonly given: TimesFor;
  readonly open: boolean;
  readonly onClose: () => void;
}

/** A row of the chart as a picture: minutes over weight, for one way of cutting at a time. */
export function CutPicture({ cutId, given, open, onClose }: Props): ReactNode {
  const cut = cutById(cutId);
  const [wanted, setWanted] = useState<Form | null>(null);
  const form = wanted !== null && cut.forms.includes(wanted) ? wanted : (cut.forms[0] ?? 'whole');
  const cells = useQuery({
    queryKey: ['times', 'over-weight', cutId, form, given],
    queryFn: () => forecastWorker('beside').timesOverWeight(cutId, form, given),
    enabled: open,
    staleTime: Infinity,
  });
  return (
    <Drawer
      title={t('times.minutes-for', { species: cut.species, name: lowerFirst(textOf(cut.name)) })}
      open={open}
      onClose={onClose}
      size="large"
    >
      {cut.forms.length > 1 && (
        <Segmented<Form>
          className="choice"
          aria-label={t('times.cut-into')}
          value={form}
          options={cut.forms.map((value) => ({ value, label: textOf(FORM_NAMES[value]) }))}
          onChange={setWanted}
        />
      )}
      {cells.error && (
        <Trouble what={t('times.the-picture-cannot-be-drawn')} error={cells.error} again={() => void cells.refetch()} />
      )}
      {cells.isPending && <p className="dim">{t('shared.reckoning')}</p>}
      {cells.data && <MinutesOverWeight key={`${cutId} ${form}`} cells={cells.data} />}
    </Drawer>
  );
}
