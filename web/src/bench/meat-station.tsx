import { cutById, type Form, FORMS, LEAST_GRAMS, LIMITS, type Plan, type ThawWay } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { OtherCuts } from './other-cuts';
import { Prep } from './prep';
import { Choice, Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { SURE, sureWords } from '../shared/sure-words';
import { CUT_OPTIONS, FORM_NAMES } from '../shared/words';
import { changing, type StationProps } from './station';

const SALT_WORDS = { ahead: 'salted ahead', 'just-before': 'salted at the pot', no: 'not salted' } as const;

/** What is done to the meat before it is hot, in a line. */
function prepInWords({ meat }: Plan): string {
  const said: string[] = [cutById(meat.cut).cured ? 'cured' : SALT_WORDS[meat.salted]];
  if (meat.marinade) said.push('marinated');
  if (meat.rub) said.push(meat.rub.sugar ? 'rubbed, with sugar' : 'rubbed');
  return said.join(', ');
}

/** The first station: which meat, how much, cut how, from where, until when. */
export function MeatStation(props: StationProps): ReactNode {
  return (
    <div className="fields-two">
      <WhichMeat {...props} />
      <HowItIsWanted {...props} />
    </div>
  );
}

/** Which cut, in which form and size, and from where. */
function WhichMeat({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { meat } = plan;
  const cut = cutById(meat.cut);
  const change = changing(edit, 'meat');
  return (
    <div className="fields">
      <Field label="Cut" fault={faultAt('meat.cut')}>
        {(id) => (
          <Select
            id={id}
            value={meat.cut}
            showSearch={{ optionFilterProp: 'label' }}
            options={CUT_OPTIONS}
            onChange={(next) => {
              const { forms, boneShare } = cutById(next);
              const form: Form = forms.includes(meat.form) ? meat.form : (forms[0] ?? 'whole');
              // Another cut has another shape: what was measured was measured on the old one.
              change({
                cut: next,
                form,
                boneIn: boneShare > 0 && form !== 'chunks' && form !== 'bite-size',
                pieces: undefined,
                thicknessCm: undefined,
              });
            }}
          />
        )}
      </Field>
      <Choice
        label="Cut into"
        value={meat.form}
        options={FORMS.filter((form) => cut.forms.includes(form)).map((form) => ({
          value: form,
          label: FORM_NAMES[form],
        }))}
        fault={faultAt('meat.form')}
        onChange={(form) => change({ form, pieces: undefined, thicknessCm: undefined })}
      />
      <SizeFields plan={plan} forecast={forecast} edit={edit} faultAt={faultAt} />
      <Choice
        label="From"
        value={meat.startsFrom}
        options={[
          { value: 'fridge', label: 'Fridge' },
          { value: 'room', label: 'Room' },
          { value: 'frozen', label: 'Frozen' },
        ]}
        onChange={(startsFrom) => change({ startsFrom, thaw: startsFrom === 'frozen' ? undefined : meat.thaw })}
      />
    </div>
  );
}

/** How much of it, on the bone or not, in how many pieces and how thick. */
function SizeFields({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { meat } = plan;
  const cut = cutById(meat.cut);
  const change = changing(edit, 'meat');
  return (
    <>
      <Field label="As bought" fault={faultAt('meat.grams') ?? faultAt('meat.trimGrams')}>
        {(id) => (
          <div className="pair">
            <QuantityInput
              id={id}
              label="As bought"
              kind="mass"
              value={meat.grams}
              range={LIMITS.meatGrams}
              onChange={(grams) => grams !== undefined && change({ grams })}
            />
            <QuantityInput
              label="Trimmed off"
              kind="mass"
              value={meat.trimGrams}
              range={{ ...LIMITS.trimGrams, max: Math.min(LIMITS.trimGrams.max, meat.grams - LEAST_GRAMS) }}
              suffix={<span className="dim">off</span>}
              onChange={(trimGrams) => trimGrams !== undefined && change({ trimGrams })}
            />
          </div>
        )}
      </Field>
      {cut.boneShare > 0 && (
        <Choice
          label="Bone"
          value={meat.boneIn ? 'in' : 'out'}
          options={[
            { value: 'in', label: 'On the bone' },
            { value: 'out', label: 'Boned' },
          ]}
          onChange={(bone) => change({ boneIn: bone === 'in' })}
        />
      )}
      <Field label="Pieces" fault={faultAt('meat.pieces') ?? faultAt('meat.thicknessCm')}>
        {(id) => (
          <div className="pair">
            <NumberInput
              id={id}
              min={LIMITS.pieces.min}
              max={LIMITS.pieces.max}
              precision={0}
              value={meat.pieces ?? null}
              placeholder={forecast ? `about ${forecast.piece.count}` : ''}
              onChange={(pieces) => change({ pieces: pieces ?? undefined })}
            />
            <QuantityInput
              label="Thickness"
              kind="length"
              value={meat.thicknessCm}
              range={LIMITS.thicknessCm}
              derived={forecast?.piece.thicknessCm ?? 5}
              suffix={<span className="dim">thick</span>}
              onChange={(thicknessCm) => change({ thicknessCm })}
            />
          </div>
        )}
      </Field>
    </>
  );
}

/** How sure one may want to be, and what a plan asks for besides. */
const sureOptions = (own: number): { value: number; label: string }[] =>
  [...new Set([...SURE, own])]
    .sort((a, b) => a - b)
    .map((value) => ({ value, label: value === 0.5 ? `${sureWords(value)}, the middle estimate` : sureWords(value) }));

/** Whether it is thawed, until when it cooks, how sure; what else is in the pot, and what is done to it before. */
function HowItIsWanted({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { meat } = plan;
  const change = changing(edit, 'meat');
  return (
    <div className="fields">
      {meat.startsFrom !== 'frozen' && (
        <Choice<ThawWay | 'no'>
          label="Thaw first"
          value={meat.thaw ?? 'no'}
          options={[
            { value: 'no', label: 'No' },
            { value: 'fridge', label: 'In fridge' },
            { value: 'cold-water', label: 'In water' },
          ]}
          onChange={(thaw) => change({ thaw: thaw === 'no' ? undefined : thaw })}
        />
      )}
      <Choice
        label="Until"
        value={plan.target}
        options={[
          { value: 'slices', label: 'Slices' },
          { value: 'fork', label: 'Fork' },
          { value: 'pulls', label: 'Pulls' },
          { value: 'shreds', label: 'Shreds' },
        ]}
        onChange={(target) => edit((before) => ({ ...before, target }))}
      />
      <Field label="How sure">
        {(id) => (
          <Select
            id={id}
            value={plan.confidence}
            options={sureOptions(plan.confidence)}
            onChange={(confidence) => edit((before) => ({ ...before, confidence }))}
          />
        )}
      </Field>
      <OtherCuts plan={plan} forecast={forecast} edit={edit} faultAt={faultAt} />
      <details className="fold">
        <summary>Prep: {prepInWords(plan)}</summary>
        <div className="fields">
          <Prep plan={plan} forecast={forecast} edit={edit} faultAt={faultAt} />
        </div>
      </details>
    </div>
  );
}
