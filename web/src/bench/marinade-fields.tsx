import { LIMITS } from '@hervir/core';
import { Button, Select } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { changing, type StationProps } from './station';

/** Hours that a marinade does something, and does not yet turn the outside to mush. Common practice. */
const MARINADE_HOURS = { least: 2, most: 24 };

/** What so many hours are good for: it goes a few millimetres deep, whatever one does. */
function marinadeNote(hours: number): string {
  const { least, most } = MARINADE_HOURS;
  if (hours < least) return `Under ${least} h it only wets the outside.`;
  if (hours > most) return `Over ${most} h sour ones make the outside mealy.`;
  return `Useful from ${least} to ${most} h; it goes a few millimetres deep.`;
}

const THEN = [
  { value: 'poured-in' as const, label: 'poured in with the meat' },
  { value: 'boiled' as const, label: 'boiled first in the hot pot' },
  { value: 'thrown' as const, label: 'thrown away' },
];

/** What the meat lies in, for how long, and what becomes of it. */
export function MarinadeFields({ plan, edit, faultAt }: Omit<StationProps, 'forecast'>): ReactNode {
  const { marinade } = plan.meat;
  const change = changing(edit, 'meat');
  return (
    <>
      <Field
        label="Marinade"
        fault={faultAt('meat.marinade.ml')}
        note={marinade === null ? undefined : marinadeNote(marinade.hours)}
      >
        {(id) =>
          marinade === null ? (
            <Button id={id} onClick={() => change({ marinade: { ml: 150, hours: 12, then: 'poured-in' } })}>
              Add a marinade
            </Button>
          ) : (
            <div className="pair">
              <QuantityInput
                id={id}
                label="Marinade"
                kind="volume"
                value={marinade.ml}
                range={LIMITS.marinadeMl}
                onChange={(ml) => ml !== undefined && marinade && change({ marinade: { ...marinade, ml } })}
              />
              <NumberInput
                aria-label="Hours in the marinade"
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
            aria-label="What becomes of the marinade"
            value={marinade.then}
            options={THEN}
            popupMatchSelectWidth={220}
            onChange={(then) => marinade && change({ marinade: { ...marinade, then } })}
          />
          <QuantityInput
            label="Onion and herbs in the marinade"
            kind="mass"
            value={marinade.solidsGrams ?? 0}
            range={LIMITS.ingredientGrams}
            suffix={<span className="dim">of onion and herbs</span>}
            onChange={(solidsGrams) =>
              solidsGrams !== undefined && marinade && change({ marinade: { ...marinade, solidsGrams } })
            }
          />
          <Button type="text" onClick={() => change({ marinade: null })}>
            No marinade
          </Button>
          <span className="caution-source">What held raw meat is cooked with it or thrown away.</span>
        </div>
      )}
    </>
  );
}
