import { cutById, LIMITS, type Forecast, type Plan } from '@hervir/core';
import { MinusOutlined, PlusOutlined } from '@ant-design/icons';
import { Button, Checkbox } from 'antd';
import type { ReactNode } from 'react';
import { Field } from '../shared/field';
import { NumberInput } from '../shared/number-input';
import { QuantityInput } from '../shared/quantity-input';
import { changing, type Edit } from './station';
import styles from './stages.module.css';
import { t } from '../language/t';

const MOST_FACES = 6;
/** What a face that the cook adds is given to begin with, minutes. */
const ANOTHER_FACE = 3;

interface Props {
  readonly plan: Plan;
  readonly forecast: Forecast | null;
  readonly edit: Edit;
}

/** To the half minute, as one counts at the pot. */
const halves = (minutes: number): number => Math.max(LIMITS.faceMinutes.min, Math.round(minutes * 2) / 2);

/** What a cook may want otherwise than Hervir: the faces and their minutes, the fat, flour on the meat, cutting after. */
export function OwnSear({ plan, forecast, edit }: Props): ReactNode {
  const { sear, meat } = plan;
  const ofMeat = changing(edit, 'meat');
  const ofSear = changing(edit, 'sear');
  const cutUp = meat.form !== 'whole' && cutById(meat.cut).forms.includes('whole');
  const said = sear.faceMinutes !== undefined || sear.fatMl !== undefined || meat.flourGrams !== undefined;
  return (
    <details className="fold" open={said || meat.cutAfterSear === true ? true : undefined}>
      <summary>{t('bench.faces-fat-flour')}</summary>
      <div className="fields">
        <FaceMinutes plan={plan} forecast={forecast} onChange={(faceMinutes) => ofSear({ faceMinutes })} />
        <Field label={t('bench.fat-for-it')}>
          {(id) => (
            <QuantityInput
              id={id}
              label={t('bench.fat-for-it')}
              kind="volume"
              value={sear.fatMl}
              range={LIMITS.panFatMl}
              onChange={(fatMl) => ofSear({ fatMl })}
            />
          )}
        </Field>
        <Field
          label={t('bench.flour-on-it')}
          note={meat.flourGrams ? t('bench.stirred-onto-the-seared-meat') : undefined}
        >
          {(id) => (
            <QuantityInput
              id={id}
              label={t('bench.flour-on-it')}
              kind="mass"
              value={meat.flourGrams}
              range={LIMITS.rubGrams}
              onChange={(flourGrams) => ofMeat({ flourGrams: flourGrams === 0 ? undefined : flourGrams })}
            />
          )}
        </Field>
        {cutUp && (
          <Checkbox
            checked={meat.cutAfterSear === true}
            onChange={({ target }) => ofMeat({ cutAfterSear: target.checked || undefined })}
          >
            {t('bench.seared-whole-cut-afterwards')}
          </Checkbox>
        )}
      </div>
    </details>
  );
}

/** Minutes of each face: Hervir's until the cook takes them over. */
function FaceMinutes({
  plan,
  forecast,
  onChange,
}: Omit<Props, 'edit'> & { readonly onChange: (minutes: number[] | undefined) => void }): ReactNode {
  const own = plan.sear.faceMinutes;
  const proposed = (forecast?.sear.faces ?? []).map(halves);
  if (own === undefined) {
    return (
      <Field label={t('bench.faces')}>
        {(id) => (
          <Button id={id} disabled={proposed.length === 0} onClick={() => onChange(proposed.slice(0, MOST_FACES))}>
            {t('bench.set-their-minutes')}
          </Button>
        )}
      </Field>
    );
  }
  return (
    <div className="field" role="group" aria-label={t('bench.minutes-of-each-face')}>
      <span className="label" aria-hidden>
        {t('bench.faces')}
      </span>
      <div className={styles['stacked']}>
        {own.map((minutes, i) => (
          <NumberInput
            key={i}
            aria-label={t('bench.minutes-of-face', { i: i + 1 })}
            min={LIMITS.faceMinutes.min}
            max={LIMITS.faceMinutes.max}
            step={0.5}
            value={minutes}
            suffix={t('bench.min-2')}
            onChange={(next) => next !== null && onChange(own.map((one, at) => (at === i ? next : one)))}
          />
        ))}
        <div className={styles['stage-own']}>
          <Button
            icon={<PlusOutlined aria-hidden />}
            aria-label={t('bench.another-face')}
            disabled={own.length >= MOST_FACES}
            onClick={() => onChange([...own, ANOTHER_FACE])}
          />
          <Button
            icon={<MinusOutlined aria-hidden />}
            aria-label={t('bench.one-face-less')}
            disabled={own.length <= 1}
            onClick={() => onChange(own.slice(0, -1))}
          />
          <Button type="text" onClick={() => onChange(undefined)}>
            {t('bench.as-hervir-would')}
          </Button>
        </div>
      </div>
    </div>
  );
}
