import { LIMITS } from '@hervir/core';
import { Button, Select } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { changing, type StationProps } from './station';
import { t } from '../language/t';
import { say } from '@hervir/language';
import { labelled } from '../language/labelled';

/** Hours that a marinade does something, and does not yet turn the outside to mush. Common practice. */
const MARINADE_HOURS = { least: 2, most: 24 };

/** What so many hours are good for: it goes a few millimetres deep, whatever one does. */
function marinadeNote(hours: number): string {
  const { least, most } = MARINADE_HOURS;
  if (hours < least) return t('bench.under-h-it-only-wets', { least });
  if (hours > most) return t('bench.over-h-sour-ones-make', { most });
  return t('bench.useful-from-to-h-it', { least, most });
}

const THEN = [
  { value: 'poured-in' as const, label: say('bench.poured-in-with-the-meat') },
  { value: 'boiled' as const, label: say('bench.boiled-first-in-the-hot') },
  { value: 'thrown' as const, label: say('bench.thrown-away') },
];

/** What the meat lies in, for how long, and what becomes of it. */
export function MarinadeFields({ plan, edit, faultAt }: Omit<StationProps, 'forecast'>): ReactNode {
  const { marinade } = plan.meat;
  const change = changing(edit, 'meat');
  return (
    <>
      <Field
        label={t('bench.marinade')}
        fault={faultAt('meat.marinade.ml')}
        note={marinade === null ? undefined : marinadeNote(marinade.hours)}
      >
        {(id) =>
          marinade === null ? (
            <Button id={id} onClick={() => change({ marinade: { ml: 150, hours: 12, then: 'poured-in' } })}>
              {t('bench.add-a-marinade')}
            </Button>
          ) : (
            <div className="pair">
              <QuantityInput
                id={id}
                label={t('bench.marinade')}
                kind="volume"
                value={marinade.ml}
                range={LIMITS.marinadeMl}
                onChange={(ml) => ml !== undefined && marinade && change({ marinade: { ...marinade, ml } })}
              />
              <NumberInput
                aria-label={t('bench.hours-in-the-marinade')}
                min={LIMITS.marinadeHours.min}
                max={LIMITS.marinadeHours.max}
                value={marinade.hours}
                suffix="h"
                onChange={(hours) => hours !== null && marinade && change({ marinade: { ...marinade, hours } })}
              />
            </div>
          )
        }
      </Field>
      {marinade !== null && (
        <div className="field-rest">
          <Select
            aria-label={t('bench.what-becomes-of-the-marinade')}
            value={marinade.then}
            options={labelled(THEN)}
            popupMatchSelectWidth={220}
            onChange={(then) => marinade && change({ marinade: { ...marinade, then } })}
          />
          <QuantityInput
            label={t('bench.onion-and-herbs-in-the')}
            kind="mass"
            value={marinade.solidsGrams ?? 0}
            range={LIMITS.ingredientGrams}
            suffix={<span className="dim">{t('bench.of-onion-and-herbs')}</span>}
            onChange={(solidsGrams) =>
              solidsGrams !== undefined && marinade && change({ marinade: { ...marinade, solidsGrams } })
            }
          />
          <Button type="text" onClick={() => change({ marinade: null })}>
            {t('bench.no-marinade')}
          </Button>
          <span className="caution-source">{t('bench.what-held-raw-meat-is')}</span>
        </div>
      )}
    </>
  );
}
