import { APART_STEPS, liquidById, liquidWord, liquidSubstitutes, LIMITS, LIQUIDS, type Plan } from '@hervir/core';
import { Button, Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { useCookers } from '../api/queries';
import { Choice, Field } from '../shared/field';
import { ItemRows } from '../shared/item-rows';
import { QuantityInput } from '../shared/quantity-input';
import { NumberInput } from '../shared/number-input';
import { useUnits } from '../shared/use-units';
import type { StationProps } from './station';
import { WhenStage } from './when-stage';

const option = ({ id, name }: { id: string; name: string }): { value: string; label: string } => ({
  value: id,
  label: name,
});
const POURED = LIQUIDS.filter(({ kind }) => kind === 'liquid' || kind === 'sauce').map(option);
const DEGLAZING = LIQUIDS.filter(({ deglazes }) => deglazes).map(option);
const ADDED = LIQUIDS.filter(({ kind }) => kind !== 'liquid').map(option);
const SCHOOLS = {
  minimum: 'Minimum',
  'half-buried': 'Half',
  covered: 'Covered',
  submerged: 'Under',
} as const;
const APART = { toast: 'toast', soak: 'soak', saute: 'sauté', blend: 'blend', strain: 'strain' } as const;
/** Thawed before the evening, it is poured cold. */
const FROZEN = -18;
const HOT_C = 90;
const COLD_C = 20;

/** Third station: which pot, deglazing, liquid by school, and what is stirred in or laid on top. */
export function PotStation({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  return (
    <div className="fields-two">
      <div className="fields">
        <WhichPot plan={plan} edit={edit} faultAt={faultAt} />
        <Deglazing plan={plan} edit={edit} faultAt={faultAt} />
        <Choice
          label="Meat"
          value={plan.rack ? 'rack' : 'base'}
          options={[
            { value: 'base', label: 'On the base' },
            { value: 'rack', label: 'On a rack' },
          ]}
          onChange={(where) => edit((before) => ({ ...before, rack: where === 'rack' }))}
        />
        {plan.cooker.kind === 'stovetop' && (
          <Choice
            label="Come up on"
            value={plan.heat}
            options={[
              { value: 'full', label: 'Full flame' },
              { value: 'medium', label: 'Medium' },
            ]}
            onChange={(heat) => edit((before) => ({ ...before, heat }))}
          />
        )}
        {plan.cooker.kind === 'electric' && (
          <Field
            label="Starts later"
            note={plan.waitsMinutes > 0 ? 'Raw meat must not lie long in a warm cooker.' : undefined}
            fault={faultAt('waitsMinutes')}
          >
            {(id) => (
              <NumberInput
                id={id}
                min={LIMITS.waitsMinutes.min}
                max={LIMITS.waitsMinutes.max}
                value={plan.waitsMinutes}
                suffix="min"
                onChange={(waitsMinutes) => waitsMinutes !== null && edit((before) => ({ ...before, waitsMinutes }))}
              />
            )}
          </Field>
        )}
      </div>
      <div className="fields">
        <Poured plan={plan} forecast={forecast} edit={edit} faultAt={faultAt} />
        <Additions plan={plan} edit={edit} />
      </div>
    </div>
  );
}

function WhichPot({ plan, edit, faultAt }: Omit<StationProps, 'forecast'>): ReactNode {
  const cookers = useCookers().data ?? [];
  const own = cookers.find(({ cooker }) => cooker.name === plan.cooker.name);
  return (
    <Field
      label="Cooker"
      fault={faultAt('cooker.watts')}
      note={
        own || cookers.length === 0 ? undefined : 'As it was when this was planned; it is no longer among your cookers.'
      }
    >
      {(id) => (
        <Select
          id={id}
          value={own?.id ?? 'planned'}
          options={[
            ...(own ? [] : [{ value: 'planned', label: plan.cooker.name }]),
            ...cookers.map(({ id: value, cooker }) => ({ value, label: cooker.name })),
          ]}
          onChange={(chosen) => {
            const next = cookers.find((known) => known.id === chosen);
            if (next) edit((before) => ({ ...before, cooker: next.cooker }));
          }}
        />
      )}
    </Field>
  );
}

function Deglazing({ plan, edit, faultAt }: Omit<StationProps, 'forecast'>): ReactNode {
  const { deglaze } = plan;
  const set = (part: Partial<NonNullable<Plan['deglaze']>>): void =>
    edit((before) => ({
      ...before,
      deglaze: { liquid: 'stock', ml: 120, scraped: true, ...before.deglaze, ...part },
    }));
  const [instead] = deglaze ? liquidSubstitutes(deglaze.liquid) : [];
  const alcohol = deglaze !== null && liquidById(deglaze.liquid).alcoholFreeAlternative !== '';
  return (
    <>
      <Field label="Deglaze" fault={faultAt('deglaze.ml')}>
        {(id) => (
          <div className="pair">
            <Select
              id={id}
              value={deglaze?.liquid ?? 'no'}
              options={[{ value: 'no', label: 'Not at all' }, ...DEGLAZING]}
              popupMatchSelectWidth={240}
              onChange={(liquid) =>
                liquid === 'no' ? edit((before) => ({ ...before, deglaze: null })) : set({ liquid })
              }
            />
            {deglaze && (
              <QuantityInput
                label="How much to deglaze with"
                kind="volume"
                value={deglaze.ml}
                range={LIMITS.liquidMl}
                onChange={(ml) => ml !== undefined && set({ ml })}
              />
            )}
          </div>
        )}
      </Field>
      {deglaze && (
        <div className="field-rest">
          <Checkbox checked={deglaze.scraped} onChange={(event) => set({ scraped: event.target.checked })}>
            scraped clean
          </Checkbox>
          {alcohol && instead && (
            <Button className="wrapping" onClick={() => set({ liquid: instead.id })}>
              Without alcohol: {instead.name.toLowerCase()}
            </Button>
          )}
          <span className="field-note">
            {alcohol
              ? `Boil it until the raw smell is gone; it never boils off entirely.${instead ? ` ${instead.name}: ${instead.changes}.` : ''}`
              : liquidById(deglaze.liquid).note}
          </span>
        </div>
      )}
    </>
  );
}

function Poured({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { print } = useUnits();
  const schools = forecast?.liquid.schools ?? [];
  const first = plan.liquids[0];
  return (
    <>
      <ItemRows
        label="Liquid"
        items={plan.liquids}
        nameOf={({ liquid }) => liquidWord(liquid)}
        blank={(): Plan['liquids'][number] => ({
          liquid: plan.liquids.length === 0 ? 'stock' : 'water',
          ml: 200,
          temperatureC: COLD_C,
        })}
        most={12}
        addLabel="Add a liquid"
        onChange={(liquids) => edit((before) => ({ ...before, liquids }))}
      >
        {({ liquid, ml, temperatureC, frozen, stage }, change, i) => (
          <>
            <Select
              aria-label={i === 0 ? 'Liquid' : `Liquid ${i + 1}`}
              value={liquid}
              options={POURED}
              popupMatchSelectWidth={260}
              onChange={(next) => change({ liquid: next })}
            />
            <QuantityInput
              label={i === 0 ? 'How much' : `How much, liquid ${i + 1}`}
              kind="volume"
              value={ml}
              range={LIMITS.liquidMl}
              onChange={(next) => next !== undefined && change({ ml: next })}
            />
            <Select
              aria-label={`How warm, ${liquidWord(liquid)}`}
              value={frozen === true ? FROZEN : temperatureC >= 60 ? HOT_C : COLD_C}
              options={[
                { value: COLD_C, label: 'cold' },
                { value: HOT_C, label: 'hot' },
                { value: FROZEN, label: 'frozen' },
              ]}
              onChange={(next) =>
                change(
                  next === FROZEN ? { temperatureC: COLD_C, frozen: true } : { temperatureC: next, frozen: undefined },
                )
              }
            />
            <WhenStage plan={plan} of={liquidWord(liquid)} value={stage} onChange={(next) => change({ stage: next })} />
          </>
        )}
      </ItemRows>
      {(faultAt('liquids') ?? faultAt('liquids[0].ml')) !== undefined && (
        <span className="field-fault" role="alert">
          {faultAt('liquids') ?? faultAt('liquids[0].ml')}
        </span>
      )}
      {first && schools.length > 0 && (
        <div className="schools" role="group" aria-label="How much liquid, by school">
          {schools.map(({ school, pourMl }) => {
            const chosen = Math.abs(first.ml - pourMl) < 6;
            return (
              <button
                key={school}
                type="button"
                className="school"
                aria-pressed={chosen}
                onClick={() =>
                  edit((before) => ({
                    ...before,
                    liquids: before.liquids.map((item, i) => (i === 0 ? { ...item, ml: pourMl } : item)),
                  }))
                }
              >
                {SCHOOLS[school]}
                <span className="figure">{print('volume', pourMl)}</span>
              </button>
            );
          })}
        </div>
      )}
    </>
  );
}

function Additions({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>): ReactNode {
  return (
    <ItemRows
      label="Thick or sweet"
      items={plan.additions}
      nameOf={({ ingredient }) => liquidWord(ingredient)}
      blank={() => ({ ingredient: 'tomato-paste', grams: 40, when: 'on-top' as const })}
      most={20}
      addLabel="Add paste, flour, sauce…"
      onChange={(additions) => edit((before) => ({ ...before, additions }))}
    >
      {({ ingredient, grams, when, stage, apart }, change, i) => {
        const { name, kind, note } = liquidById(ingredient);
        return (
          <>
            <Select
              aria-label={`Addition ${i + 1}`}
              value={ingredient}
              options={ADDED}
              popupMatchSelectWidth={280}
              onChange={(next) => change({ ingredient: next, apart: undefined })}
            />
            <QuantityInput
              label={`How much ${name.toLowerCase()}`}
              kind="mass"
              value={grams}
              range={LIMITS.ingredientGrams}
              onChange={(next) => next !== undefined && change({ grams: next })}
            />
            <Select
              aria-label={`When, ${name.toLowerCase()}`}
              value={when}
              options={[
                { value: 'fried', label: 'fried first' },
                { value: 'stirred-in', label: 'stirred in' },
                { value: 'on-top', label: 'on top' },
                { value: 'after', label: 'after' },
              ]}
              popupMatchSelectWidth={140}
              onChange={(next) => change({ when: next })}
            />
            {when !== 'after' && when !== 'fried' && (
              <WhenStage
                plan={plan}
                of={name.toLowerCase()}
                value={stage}
                onChange={(next) => change({ stage: next })}
              />
            )}
            {note !== '' && <span className="field-note">{note}</span>}
            {(kind === 'sauce' || kind === 'paste') && (
              <div className="apart">
                <Checkbox
                  checked={apart !== undefined}
                  onChange={(event) =>
                    change({
                      apart: event.target.checked
                        ? { steps: ['toast', 'soak', 'blend', 'strain'], swillMl: 120 }
                        : undefined,
                    })
                  }
                >
                  made apart
                </Checkbox>
                {apart && (
                  <>
                    <Checkbox.Group
                      aria-label={`Steps of ${name.toLowerCase()}`}
                      value={apart.steps}
                      options={APART_STEPS.map((step) => ({ value: step, label: APART[step] }))}
                      onChange={(steps) =>
                        change({ apart: { ...apart, steps: APART_STEPS.filter((step) => steps.includes(step)) } })
                      }
                    />
                    <QuantityInput
                      label="Swill"
                      kind="volume"
                      value={apart.swillMl}
                      range={LIMITS.liquidMl}
                      suffix={<span className="dim">swill</span>}
                      onChange={(swillMl) => swillMl !== undefined && change({ apart: { ...apart, swillMl } })}
                    />
                    <p className="caution-source">
                      Blend half full at most, the lid vented and a cloth over it: hot liquid blows a closed lid.
                    </p>
                  </>
                )}
              </div>
            )}
          </>
        );
      }}
    </ItemRows>
  );
}
