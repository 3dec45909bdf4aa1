import { APART_STEPS, liquidById, liquidWord, LIMITS, type Addition, type Plan } from '@hervir/core';
import { Checkbox, Select } from 'antd';
import type { ReactNode } from 'react';
import { ItemRows } from '../../shared/item-rows';
import { QuantityInput } from '../../shared/quantity-input';
import type { StationProps } from '../station';
import { WhenStage } from '../when-stage';
import { ADDED } from './liquid-options';
import styles from '../lists.module.css';
import { t, textOf } from '../../language/t';
import { type Message, say } from '@hervir/language';
import { labelled } from '../../language/labelled';

const APART = {
  toast: say('bench.apart-toast'),
  soak: say('bench.apart-soak'),
  saute: say('bench.apart-saute'),
  blend: say('bench.apart-blend'),
  strain: say('bench.apart-strain'),
} as const;
const WHEN: Readonly<Record<Addition['when'], Message>> = {
  fried: say('bench.fried-first'),
  'stirred-in': say('bench.stirred-in'),
  'on-top': say('bench.on-top'),
  after: say('bench.after'),
};

const WHEN_OPTIONS = (Object.keys(WHEN) as Addition['when'][]).map((value) => ({ value, label: WHEN[value] }));

/** What is thick or sweet, and where it goes so that it does not lie on the base. */
export function Additions({ plan, edit }: Pick<StationProps, 'plan' | 'edit'>): ReactNode {
  return (
    <ItemRows
      label={t('bench.thick-or-sweet')}
      items={plan.additions}
      nameOf={({ ingredient }) => textOf(liquidWord(ingredient))}
      blank={() => ({ ingredient: 'tomato-paste', grams: 40, when: 'on-top' as const })}
      most={20}
      addLabel={t('bench.add-paste-flour-sauce')}
      onChange={(additions) => edit((before) => ({ ...before, additions }))}
      rest={{
        words: ({ when, apart }) => textOf(apart ? t('bench.made-apart', { when: WHEN[when] }) : WHEN[when]),
        fields: (item, change) => <AdditionRest plan={plan} item={item} change={change} />,
      }}
    >
      {({ ingredient, grams }, change, i) => (
        <>
          <Select
            aria-label={t('bench.addition', { i: i + 1 })}
            value={ingredient}
            options={labelled(ADDED)}
            popupMatchSelectWidth={280}
            onChange={(next) => change({ ingredient: next, apart: undefined })}
          />
          <QuantityInput
            label={t('bench.how-much-2', { liquidWord: liquidWord(ingredient) })}
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
        aria-label={t('bench.when', { name })}
        value={when}
        options={labelled(WHEN_OPTIONS)}
        popupMatchSelectWidth={140}
        onChange={(next) => change({ when: next })}
      />
      {when !== 'after' && when !== 'fried' && (
        <WhenStage plan={plan} of={textOf(name)} value={stage} onChange={(next) => change({ stage: next })} />
      )}
      {note !== '' && <span className="field-note">{textOf(note)}</span>}
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
        {t('bench.made-apart-2')}
      </Checkbox>
      {apart && (
        <>
          <Checkbox.Group
            aria-label={t('bench.steps-of', { liquidWord: liquidWord(ingredient) })}
            value={apart.steps}
            options={APART_STEPS.map((step) => ({ value: step, label: textOf(APART[step]) }))}
            onChange={(steps) =>
              change({ apart: { ...apart, steps: APART_STEPS.filter((step) => steps.includes(step)) } })
            }
          />
          <QuantityInput
            label={t('bench.swill')}
            kind="volume"
            value={apart.swillMl}
            range={LIMITS.liquidMl}
            suffix={<span className="dim">{t('bench.swill-2')}</span>}
            onChange={(swillMl) => swillMl !== undefined && change({ apart: { ...apart, swillMl } })}
          />
          <p className="caution-source">{t('bench.blend-half-full-at-most')}</p>
        </>
      )}
    </div>
  );
}
