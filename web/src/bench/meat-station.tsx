import { cutById, type Form, FORMS, LEAST_GRAMS, LIMITS, type Plan, type ThawWay } from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { OtherCuts } from './other-cuts';
import { Prep } from './prep';
import { Choice, Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { SURE, sureWords } from '../shared/sure-words';
import { cutOptions } from '../shared/cut-options';
import { FORM_NAMES } from '../shared/words';
import { changing, type StationProps } from './station';
import { t, textOf } from '../language/t';
import { say } from '@hervir/language';
import { BY_NAME } from '../shared/by-name';

const SALT_WORDS = {
  ahead: say('bench.salted-ahead'),
  'just-before': say('bench.salted-at-the-pot'),
  no: say('bench.not-salted'),
} as const;

/** What is done to the meat before it is hot, in a line. */
function prepInWords({ meat }: Plan): string {
  const said: string[] = [textOf(cutById(meat.cut).cured ? t('bench.cured') : SALT_WORDS[meat.salted])];
  if (meat.marinade) said.push(t('bench.marinated'));
  if (meat.rub) said.push(meat.rub.sugar ? t('bench.rubbed-with-sugar') : t('bench.rubbed'));
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
      <Field label={t('bench.cut')} fault={faultAt('meat.cut')}>
        {(id) => (
          <Select
            id={id}
            value={meat.cut}
            showSearch={BY_NAME}
            options={cutOptions()}
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
        label={t('bench.cut-into')}
        value={meat.form}
        options={FORMS.filter((form) => cut.forms.includes(form)).map((form) => ({
          value: form,
          label: textOf(FORM_NAMES[form]),
        }))}
        fault={faultAt('meat.form')}
        onChange={(form) => change({ form, pieces: undefined, thicknessCm: undefined })}
      />
      <SizeFields plan={plan} forecast={forecast} edit={edit} faultAt={faultAt} />
      <Choice
        label={t('bench.from')}
        value={meat.startsFrom}
        options={[
          { value: 'fridge', label: t('bench.fridge') },
          { value: 'room', label: t('bench.room') },
          { value: 'frozen', label: t('bench.frozen') },
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
      <Field label={t('bench.as-bought')} fault={faultAt('meat.grams') ?? faultAt('meat.trimGrams')}>
        {(id) => (
          <div className="pair">
            <QuantityInput
              id={id}
              label={t('bench.as-bought')}
              kind="mass"
              value={meat.grams}
              range={LIMITS.meatGrams}
              onChange={(grams) => grams !== undefined && change({ grams })}
            />
            <QuantityInput
              label={t('bench.trimmed-off')}
              kind="mass"
              value={meat.trimGrams}
              range={{ ...LIMITS.trimGrams, max: Math.min(LIMITS.trimGrams.max, meat.grams - LEAST_GRAMS) }}
              suffix={<span className="dim">{t('bench.off')}</span>}
              onChange={(trimGrams) => trimGrams !== undefined && change({ trimGrams })}
            />
          </div>
        )}
      </Field>
      {cut.boneShare > 0 && (
        <Choice
          label={t('bench.bone')}
          value={meat.boneIn ? 'in' : 'out'}
          options={[
            { value: 'in', label: t('bench.on-the-bone') },
            { value: 'out', label: t('bench.boned') },
          ]}
          onChange={(bone) => change({ boneIn: bone === 'in' })}
        />
      )}
      <Field label={t('bench.pieces-2')} fault={faultAt('meat.pieces') ?? faultAt('meat.thicknessCm')}>
        {(id) => (
          <div className="pair">
            <NumberInput
              id={id}
              style={{ flex: '0 1 6rem' }}
              min={LIMITS.pieces.min}
              max={LIMITS.pieces.max}
              precision={0}
              value={meat.pieces ?? null}
              placeholder={forecast ? t('bench.about', { count: forecast.piece.count }) : ''}
              onChange={(pieces) => change({ pieces: pieces ?? undefined })}
            />
            <QuantityInput
              label={t('bench.thickness')}
              kind="length"
              value={meat.thicknessCm}
              range={LIMITS.thicknessCm}
              derived={forecast?.piece.thicknessCm ?? 5}
              suffix={<span className="dim">{t('bench.thick')}</span>}
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
    .map((value) => ({
      value,
      label: value === 0.5 ? t('bench.the-middle-estimate', { sureWords: sureWords(value) }) : sureWords(value),
    }));

/** Whether it is thawed, until when it cooks, how sure; what else is in the pot, and what is done to it before. */
function HowItIsWanted({ plan, forecast, edit, faultAt }: StationProps): ReactNode {
  const { meat } = plan;
  const change = changing(edit, 'meat');
  return (
    <div className="fields">
      {meat.startsFrom !== 'frozen' && (
        <Choice<ThawWay | 'no'>
          label={t('bench.thaw-first')}
          value={meat.thaw ?? 'no'}
          options={[
            { value: 'no', label: t('bench.no') },
            { value: 'fridge', label: t('bench.in-fridge') },
            { value: 'cold-water', label: t('bench.in-water') },
          ]}
          onChange={(thaw) => change({ thaw: thaw === 'no' ? undefined : thaw })}
        />
      )}
      <Choice
        label={t('bench.until')}
        value={plan.target}
        options={[
          { value: 'slices', label: t('bench.slices') },
          { value: 'fork', label: t('bench.fork') },
          { value: 'pulls', label: t('bench.pulls') },
          { value: 'shreds', label: t('bench.shreds') },
        ]}
        onChange={(target) => edit((before) => ({ ...before, target }))}
      />
      <Field label={t('bench.how-sure')}>
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
        <summary>{t('bench.prep', { prepInWords: prepInWords(plan) })}</summary>
        <div className="fields">
          <Prep plan={plan} forecast={forecast} edit={edit} faultAt={faultAt} />
        </div>
      </details>
    </div>
  );
}
