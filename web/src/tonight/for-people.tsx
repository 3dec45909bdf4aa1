import { LIMITS, meatFor, usuallyBoneIn, type Form } from '@hervir/core';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { NumberInput } from '../shared/number-input';
import { useUnits } from '../shared/use-units';
import styles from './tonight.module.css';

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
    <div className={styles['for-people']} role="group" aria-label="How much for how many">
      <span>{feeds === null ? 'How many eat?' : `It feeds about ${feeds}. How many eat?`}</span>
      <NumberInput
        aria-label="How many eat"
        min={LIMITS.servings.min}
        max={LIMITS.servings.max}
        value={servings ?? null}
        placeholder="–"
        style={{ width: '4.5rem' }}
        onChange={(value) => value !== null && onServings(Math.round(value))}
      />
      {wanted !== null && (
        <span>
          About <strong>{print('mass', wanted)}</strong> as bought, {boneIn ? 'on the bone' : 'without bone'}
        </span>
      )}
      {wanted !== null && wanted !== grams && (
        <Button size="small" onClick={() => onGrams(wanted)}>
          Take {print('mass', wanted)}
        </Button>
      )}
    </div>
  );
}
