import { APART_STEPS, liquidById, liquidWord, LIMITS, type Addition, type Plan } from '@hervir/core';
import { Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { ItemRows } from '../../shared/item-rows';
import { QuantityInput } from '../../shared/quantity-input';
import type { StationProps } from '../station';
import { WhenStage } from '../when-stage';
import { ADDED } from './liquid-options';
import styles from '../lists.module.css';

const APART = { toast: 'toast', soak: 'soak', saute: 'sauté', blend: 'blend', strain: 'strain' } as const;
const WHEN: Readonly<Record<Addition['when'], string>> = {
  fried: 'fried first',
  'stirred-in': 'stirred in',
  'on-top': 'on top',
  after: 'after',
};

const WHEN_OPTIONS = (Object.keys(WHEN) as Addition['when'][]).map((value) => ({ value, label: WHEN[value] }));

/** What is thick or sweet, and where it goes so that it does not lie on the base. */
export function Additions({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>): ReactNode {
  return (
    <ItemRows
      label="Thick or sweet"
      items={plan.additions}
      nameOf={({ ingredient }) => liquidWord(ingredient)}
      blank={() => ({ ingredient: 'tomato-paste', grams: 40, when: 'on-top' as const })}
      most={20}
      addLabel="Add paste, flour, sauce…"
      onChange={(additions) => edit((before) => ({ ...before, additions }))}
      rest={{
        words: ({ when, apart }) => (apart ? `${WHEN[when]}, made apart` : WHEN[when]),
        fields: (item, change) => <AdditionRest plan={plan} item={item} change={change} />,
      }}
    >
      {({ ingredient, grams }, change, i) => (
        <>
          <Select
            aria-label={`Addition ${i + 1}`}
            value={ingredient}
            options={ADDED}
            popupMatchSelectWidth={280}
            onChange={(next) => change({ ingredient: next, apart: undefined })}
          />
          <QuantityInput
            label={`How much ${liquidWord(ingredient)}`}
            kind="mass"
            value={grams}
            range={LIMITS.ingredientGrams}
            onChange={(next) => next !== undefined && change({ grams: next })}
          />
        </>
      )}
    </ItemRows>
  );
}

interface RestProps {
  readonly item: Addition;
  readonly change: (part: Partial<Addition>) => void;
}

/** Of an addition: when and at which stage it goes in, and how it is made where it has a pan of its own. */
function AdditionRest({ plan, item, change }: RestProps & { readonly plan: Plan }): ReactNode {
  const { ingredient, when, stage } = item;
  const { kind, note } = liquidById(ingredient);
  const name = liquidWord(ingredient);
  return (
    <>
      <Select<Addition['when']>
        aria-label={`When, ${name}`}
        value={when}
        options={WHEN_OPTIONS}
        popupMatchSelectWidth={140}
        onChange={(next) => change({ when: next })}
      />
      {when !== 'after' && when !== 'fried' && (
        <WhenStage plan={plan} of={name} value={stage} onChange={(next) => change({ stage: next })} />
      )}
      {note !== '' && <span className="field-note">{note}</span>}
      {(kind === 'sauce' || kind === 'paste') && <MadeApart item={item} change={change} />}
    </>
  );
}

/** A sauce or paste that is toasted, soaked, blended and strained by itself first. */
function MadeApart({ item: { ingredient, apart }, change }: RestProps): ReactNode {
  return (
    <div className={styles['apart']}>
      <Checkbox
        checked={apart !== undefined}
        onChange={({ target }) =>
          change({ apart: target.checked ? { steps: ['toast', 'soak', 'blend', 'strain'], swillMl: 120 } : undefined })
        }
      >
        made apart
      </Checkbox>
      {apart && (
        <>
          <Checkbox.Group
            aria-label={`Steps of ${liquidWord(ingredient)}`}
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
  );
}
