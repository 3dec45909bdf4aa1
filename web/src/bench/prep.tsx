import {
  cutById,
  bowlsOf,
  cutSubstitutes,
  liquidWord,
  liquidSubstitutes,
  LIMITS,
  prepSteps,
  printDuration,
  printerFor,
} from '@hervir/core';
import { Button, Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { Choice, Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { changing, type StationProps } from './station';
import verdictsStyles from './verdicts.module.css';
import listsStyles from './lists.module.css';

/** Salting ahead, as cooks say it, in minutes. */
const AHEAD = [
  { value: 1440, label: 'the day before' },
  { value: 120, label: '2 h ahead' },
  { value: 60, label: '1 h ahead' },
  { value: 20, label: '20 min ahead' },
];

/** Hours that a marinade does something, and does not yet turn the outside to mush. Common practice. */
const MARINADE_HOURS = { least: 2, most: 24 };

/** What so many hours are good for: it goes a few millimetres deep, whatever one does. */
function marinadeNote(hours: number): string {
  const { least, most } = MARINADE_HOURS;
  if (hours < least) return `Under ${least} h it only wets the outside.`;
  if (hours > most) return `Over ${most} h sour ones make the outside mealy.`;
  return `Useful from ${least} to ${most} h; it goes a few millimetres deep.`;
}

/** Salt, marinade, rub; the board in order, bowls by moment, and what can stand in. */
export function Prep({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { system, print } = useUnits();
  const { meat } = plan;
  const change = changing(edit, 'meat');
  const placed = forecast ? { ...plan, ...forecast.placed } : plan;
  const steps = prepSteps(placed, printerFor(system));
  const bowls = forecast ? bowlsOf(forecast, printerFor(system)) : [];
  const liquids = [
    ...(plan.deglaze
      ? liquidSubstitutes(plan.deglaze.liquid).map((other) => ({
          ...other,
          of: `deglazing with ${liquidWord(plan.deglaze?.liquid ?? 'stock')}`,
          take: () =>
            edit((before) => ({ ...before, deglaze: before.deglaze && { ...before.deglaze, liquid: other.id } })),
        }))
      : []),
    ...plan.liquids.flatMap(({ liquid }, i) =>
      liquidSubstitutes(liquid).map((other) => ({
        ...other,
        of: liquidWord(liquid),
        take: () =>
          edit((before) => ({
            ...before,
            liquids: before.liquids.map((item, at) => (at === i ? { ...item, liquid: other.id } : item)),
          })),
      })),
    ),
  ];
  const { cured } = cutById(meat.cut);
  const wet = forecast?.saute.troubles.find(({ id }) => id === 'wet');
  return (
    <>
      {cured ? (
        <p className="field-note">Cured: it brings its own salt, none is added.</p>
      ) : (
        <Choice
          label="Salt"
          value={meat.salted}
          options={[
            { value: 'ahead', label: 'Ahead' },
            { value: 'just-before', label: 'At the pot' },
            { value: 'no', label: 'Not yet' },
          ]}
          onChange={(salted) => change({ salted, saltedMinutes: undefined })}
        />
      )}
      {!cured && meat.salted === 'ahead' && (
        <Field label="How long" note={wet?.text}>
          {(id) => (
            <Select
              id={id}
              value={meat.saltedMinutes ?? 1440}
              options={AHEAD}
              onChange={(saltedMinutes) => change({ saltedMinutes })}
            />
          )}
        </Field>
      )}
      <Field
        label="Marinade"
        fault={faultAt('meat.marinade.ml')}
        note={meat.marinade === null ? undefined : marinadeNote(meat.marinade.hours)}
      >
        {(id) =>
          meat.marinade === null ? (
            <Button id={id} onClick={() => change({ marinade: { ml: 150, hours: 12, then: 'poured-in' } })}>
              Add a marinade
            </Button>
          ) : (
            <div className="pair">
              <QuantityInput
                id={id}
                label="Marinade"
                kind="volume"
                value={meat.marinade.ml}
                range={LIMITS.marinadeMl}
                onChange={(ml) => ml !== undefined && meat.marinade && change({ marinade: { ...meat.marinade, ml } })}
              />
              <NumberInput
                aria-label="Hours in the marinade"
                min={LIMITS.marinadeHours.min}
                max={LIMITS.marinadeHours.max}
                value={meat.marinade.hours}
                suffix="h"
                onChange={(hours) =>
                  hours !== null && meat.marinade && change({ marinade: { ...meat.marinade, hours } })
                }
              />
            </div>
          )
        }
      </Field>
      {meat.marinade !== null && (
        <div className="field-rest">
          <Select
            aria-label="What becomes of the marinade"
            value={meat.marinade.then}
            options={[
              { value: 'poured-in' as const, label: 'poured in with the meat' },
              { value: 'boiled' as const, label: 'boiled first in the hot pot' },
              { value: 'thrown' as const, label: 'thrown away' },
            ]}
            popupMatchSelectWidth={220}
            onChange={(then) => meat.marinade && change({ marinade: { ...meat.marinade, then } })}
          />
          <QuantityInput
            label="Onion and herbs in the marinade"
            kind="mass"
            value={meat.marinade.solidsGrams ?? 0}
            range={LIMITS.ingredientGrams}
            suffix={<span className="dim">of onion and herbs</span>}
            onChange={(solidsGrams) =>
              solidsGrams !== undefined && meat.marinade && change({ marinade: { ...meat.marinade, solidsGrams } })
            }
          />
          <Button type="text" onClick={() => change({ marinade: null })}>
            No marinade
          </Button>
          <span className="caution-source">What held raw meat is cooked with it or thrown away.</span>
        </div>
      )}
      <Field label="Rub" fault={faultAt('meat.rub.grams')}>
        {(id) =>
          meat.rub === null ? (
            <Button id={id} onClick={() => change({ rub: { grams: 30, sugar: false } })}>
              Add a rub
            </Button>
          ) : (
            <div className="pair">
              <QuantityInput
                id={id}
                label="Rub"
                kind="mass"
                value={meat.rub.grams}
                range={LIMITS.rubGrams}
                onChange={(grams) => grams !== undefined && meat.rub && change({ rub: { ...meat.rub, grams } })}
              />
              <Button type="text" onClick={() => change({ rub: null })}>
                No rub
              </Button>
            </div>
          )
        }
      </Field>
      {meat.rub !== null && (
        <div className="field-rest">
          <NumberInput
            aria-label="Hours the rub is left on"
            min={LIMITS.marinadeHours.min}
            max={LIMITS.marinadeHours.max}
            value={meat.rub.hours ?? 0}
            suffix="h left on"
            style={{ width: '8.125rem' }}
            onChange={(hours) =>
              hours !== null && meat.rub && change({ rub: { ...meat.rub, hours: hours === 0 ? undefined : hours } })
            }
          />
          <Checkbox
            checked={meat.rub.sugar}
            onChange={(event) => meat.rub && change({ rub: { ...meat.rub, sugar: event.target.checked } })}
          >
            with sugar in it
          </Checkbox>
        </div>
      )}
      <section aria-label="Prep list" className={listsStyles['prep']}>
        <h3>Prep, in the order of the board</h3>
        <ol>
          {steps.map(({ id, text, minutes, meat: raw }) => (
            <li key={id}>
              {text} <span className="figure dim">{printDuration(Math.max(1, minutes))}</span>
              {raw && id === steps.find((step) => step.meat && step.when === 'board')?.id && (
                <small className="dim"> Raw meat from here: board, knife and hands washed after it.</small>
              )}
            </li>
          ))}
        </ol>
        {bowls.length > 0 && (
          <>
            <h3>Bowls, by when they go in</h3>
            <ul>
              {bowls.map(({ moment, items }) => (
                <li key={moment}>
                  <strong>{moment}:</strong>{' '}
                  {items.map(({ what, grams }) => `${what.toLowerCase()} ${print('mass', grams)}`).join(', ')}
                </li>
              ))}
            </ul>
          </>
        )}
        <h3>Could be instead</h3>
        <ul>
          {liquids.map(({ id, name, changes, of, take }) => (
            <li key={`${of}-${id}`}>
              <Button className={verdictsStyles['wrapping']} onClick={take}>
                {name}
              </Button>{' '}
              <span className="field-note">
                for {of}: {changes}
              </span>
            </li>
          ))}
          {cutSubstitutes(meat).map(({ id, name, changes }) => (
            <li key={id}>
              <Button
                className={verdictsStyles['wrapping']}
                onClick={() => change({ cut: id, pieces: undefined, thicknessCm: undefined })}
              >
                {name}
              </Button>{' '}
              <span className="field-note">{changes}</span>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}
