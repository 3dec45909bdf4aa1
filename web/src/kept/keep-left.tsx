import { isPulled, KEPT_PLACES, LIMITS, type Kept, type KeptPlace, type Plan } from '@hervir/core';
import { Button, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { NumberInput } from '../shared/number-input';
import { useUnits } from '../shared/use-units';
import { wallClockOf } from '../shared/words';
import { useForecast } from '../workers/use-forecast';
import { useKeptActions } from './use-kept';
import styles from './kept-list.module.css';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastDone, toastTrouble } from '../shared/toast';

/** What of a meal is left, and where it goes: one press. */
export function KeepLeft({
  name,
  plan,
  now,
}: {
  readonly name: string;
  readonly plan: Plan;
  readonly now: Date;
}): ReactNode {
  const { forecast } = useForecast(plan);
  const { print } = useUnits();
  const actions = useKeptActions();
  const [portions, setPortions] = useState(1);
  const [place, setPlace] = useState<KeptPlace>('fridge');
  const [keeping, setKeeping] = useState(false);
  if (forecast === null) return null;
  const [least, most] = forecast.yield.cookedGrams;
  const each = ((least + most) / 2 + forecast.finish.sauceMl) / plan.servings;
  const grams = Math.round((each * portions) / 10) * 10;
  const kept: Kept = {
    name,
    cut: plan.meat.cut,
    portions,
    grams: Math.min(LIMITS.keptGrams.max, Math.max(LIMITS.keptGrams.min, grams)),
    pieceCm: isPulled(plan.target) ? 0 : Math.min(LIMITS.keptPieceCm.max, forecast.piece.thicknessCm),
    depthCm: plan.cookAhead?.depthCm ?? 5,
    place,
    since: wallClockOf(now),
    eatAt: null,
    warm: 'stove',
    gone: null,
  };
  const keep = async (): Promise<void> => {
    setKeeping(true);
    try {
      await actions.keep(kept);
      toastDone(t('kept.in-the-it-is-on', { name, mass: print('mass', kept.grams), place }));
    } catch (error) {
      toastTrouble(whyOf(error));
    } finally {
      setKeeping(false);
    }
  };
  return (
    <div className={styles['kept-choose']} role="group" aria-label={t('kept.what-is-left')}>
      <span>{t('kept.what-is-left-2')}</span>
      <NumberInput
        aria-label={t('kept.portions-left')}
        min={LIMITS.servings.min}
        max={LIMITS.servings.max}
        value={portions}
        style={{ width: '4.5rem' }}
        onChange={(value) => value !== null && setPortions(Math.round(value))}
      />
      <span>{t('kept.into-the', { portions })}</span>
      <Select
        aria-label={t('kept.where-it-is-kept')}
        value={place}
        options={KEPT_PLACES.map((value) => ({ value, label: value }))}
        onChange={setPlace}
      />
      <Button loading={keeping} onClick={() => void keep()}>
        {t('kept.keep-it')}
      </Button>
    </div>
  );
}
