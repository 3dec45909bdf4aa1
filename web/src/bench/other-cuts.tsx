import { lowerFirst } from '@hervir/language';
import {
  cutById,
  cutTitle,
  type Forecast,
  FORMS,
  isHotPlace,
  LIMITS,
  type OtherMeat,
  placeName,
  type Plan,
  portionsOf,
} from '@hervir/core';
import { Select } from 'antd';
import type { ReactNode } from 'react';
import { ItemRows } from '../shared/item-rows';
import { QuantityInput } from '../shared/quantity-input';
import { useUnits } from '../shared/use-units';
import { Verdict } from '../shared/verdict';
import { cutOptions } from '../shared/cut-options';
import { FORM_NAMES, GRADE_WORDS } from '../shared/words';
import { OwnName } from './own-name';
import { placesOf } from './places';
import type { StationProps } from './station';
import { t, textOf } from '../language/t';
import { BY_NAME } from '../shared/by-name';

/** A second cut of the same animal in the usual form, as heavy as a second cut is. */
function another({ meat }: Plan): OtherMeat {
  const { species } = cutById(meat.cut);
  const cut =
    species === 'beef' && meat.cut !== 'beef-cheek'
      ? 'beef-cheek'
      : meat.cut === 'beef-cheek'
        ? 'beef-chuck'
        : meat.cut;
  const [form = 'whole'] = cutById(cut).forms;
  return {
    ...meat,
    id: undefined,
    name: undefined,
    cut,
    form,
    grams: 600,
    trimGrams: 0,
    pieces: undefined,
    thicknessCm: undefined,
    marinade: null,
    rub: null,
    goesIn: 'start',
    comesOut: 'end',
  };
}

/** What a cut comes to beside the first: its own odds. */
function OddsOf({ forecast, portion }: { readonly forecast: Forecast | null; readonly portion: string }): ReactNode {
  const { print } = useUnits();
  const meat = forecast?.meats.find((meat) => meat.portion === portion);
  if (!meat) return null;
  const { chance, grade, coreC, safe } = meat;
  const done = Math.round((chance.at + chance.past) * 10);
  return (
    <Verdict tone={!safe ? 'wrong' : chance.at + chance.past > 0.6 ? 'fits' : 'watch'}>
      {t('bench.in-10-done-in-the', {
        gradeWords: GRADE_WORDS[grade],
        value: Math.min(9, Math.max(1, done)),
        temperature: print('temperature', coreC),
        safe,
      })}
    </Verdict>
  );
}

/** Up to two further cuts in the same pot, each with its own weight, form and odds. */
export function OtherCuts({ plan, forecast, edit }: StationProps): ReactNode {
  const portions = portionsOf(plan);
  const stages = placesOf(plan).filter((place) => isHotPlace(plan, place));
  const named = stages.map((value) => ({ value, label: lowerFirst(textOf(placeName(plan, value))) }));
  return (
    <ItemRows
      label={t('bench.other-cuts-in-the-pot')}
      items={plan.otherMeats}
      nameOf={({ name, cut }) => textOf(name ?? cutTitle(cutById(cut)))}
      blank={() => another(plan)}
      most={2}
      addLabel={t('bench.add-another-cut')}
      onChange={(otherMeats) => edit((before) => ({ ...before, otherMeats }))}
    >
      {(item, change, i) => {
        const cut = cutById(item.cut);
        const called = item.name ?? cutTitle(cut);
        const portion = portions.find(({ kind, index }) => kind === 'meat' && index === i + 1);
        return (
          <>
            <Select
              aria-label={t('bench.other-cut', { i: i + 1 })}
              value={item.cut}
              showSearch={BY_NAME}
              options={cutOptions()}
              popupMatchSelectWidth={240}
              onChange={(next) => {
                const { forms, boneShare } = cutById(next);
                const form = forms.includes(item.form) ? item.form : (forms[0] ?? 'whole');
                change({ cut: next, form, boneIn: boneShare > 0 && form !== 'chunks' && form !== 'bite-size' });
              }}
            />
            <Select
              aria-label={t('bench.form-of', { called })}
              value={item.form}
              options={FORMS.filter((form) => cut.forms.includes(form)).map((form) => ({
                value: form,
                label: textOf(FORM_NAMES[form]),
              }))}
              popupMatchSelectWidth={140}
              onChange={(form) => change({ form, pieces: undefined, thicknessCm: undefined })}
            />
            <QuantityInput
              label={t('bench.how-much', { called })}
              kind="mass"
              value={item.grams}
              range={LIMITS.meatGrams}
              onChange={(grams) => grams !== undefined && change({ grams })}
            />
            <Select
              aria-label={t('bench.when-goes-in', { called })}
              value={item.goesIn}
              options={[{ value: 'start', label: t('bench.from-the-start') }, ...named]}
              popupMatchSelectWidth={180}
              onChange={(goesIn) => change({ goesIn })}
            />
            <Select
              aria-label={t('bench.when-comes-out', { called })}
              value={item.comesOut}
              options={[
                { value: 'end', label: t('bench.out-at-the-end') },
                ...named.map(({ value, label }) => ({ value, label: t('bench.out-before', { label }) })),
              ]}
              popupMatchSelectWidth={220}
              onChange={(comesOut) => change({ comesOut })}
            />
            <OwnName of={textOf(called)} value={item.name} onChange={(name) => change({ name })} />
            {portion && <OddsOf forecast={forecast} portion={portion.id} />}
          </>
        );
      }}
    </ItemRows>
  );
}
