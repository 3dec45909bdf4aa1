import { LIMITS, meatFor, usuallyBoneIn, type Form } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { NumberInput } from '../shared/number-input';
import { useUnits } from '../shared/use-units';
import styles from './tonight.module.css';
import { rich, t } from '../language/t';

interface Props {
  readonly cut: string;
  readonly form: Form;
  readonly grams: number;
  /** How many the meat in the sentence feeds; null while that is not reckoned. */
  readonly feeds: number | null;
  readonly servings: number | undefined;
  readonly onServings: (servings: number) => void;
  readonly onGrams: (grams: number) => void;
}

/** From the number of people backwards: how much to buy of this cut, as it is bought. */
export function ForPeople({ cut, form, grams, feeds, servings, onServings, onGrams }: Props): ReactNode {
  const { print } = useUnits();
  const boneIn = usuallyBoneIn(cut, form);
  const wanted = servings === undefined ? null : Math.min(LIMITS.meatGrams.max, meatFor({ cut, boneIn }, servings));
  return (
    <div className={styles['for-people']} role="group" aria-label={t('tonight.how-much-for-how-many')}>
      <span>{feeds === null ? t('tonight.how-many-eat') : t('tonight.it-feeds-about-how-many', { feeds })}</span>
      <NumberInput
        aria-label={t('tonight.how-many-eat-2')}
        min={LIMITS.servings.min}
        max={LIMITS.servings.max}
        value={servings ?? null}
        placeholder="–"
        style={{ width: '4.5rem' }}
        onChange={(value) => value !== null && onServings(Math.round(value))}
      />
      {wanted !== null && (
        <span>
          {rich('tonight.about-as-bought-on-the', {
            mass: print('mass', wanted),
            strong: (words) => <strong>{words}</strong>,
            boneIn,
          })}
        </span>
      )}
      {wanted !== null && wanted !== grams && (
        <Button size="small" onClick={() => onGrams(wanted)}>
          {t('tonight.take', { mass: print('mass', wanted) })}
        </Button>
      )}
    </div>
  );
}
