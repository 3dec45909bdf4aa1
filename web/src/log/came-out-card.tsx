import { MOISTNESS, SAUCES, VEGETABLE_OUTCOMES, type LogItem } from '@hervir/contract';
import { GRADES, LIMITS, vegetableById, type Plan } from '@hervir/core';
import { Button, Input, Select, Upload } from 'antd';
import { useState, type ReactNode } from 'react';
import { Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { GRADE_WORDS } from '../shared/words';
import type { EntryActions } from './use-entry';
import styles from './log.module.css';
import { t, textOf } from '../language/t';
import { type Message, say } from '@hervir/language';

const MOIST_WORDS = { dry: say('log.dry'), moist: say('log.moist'), 'very-moist': say('log.very-moist') } as const;
const SAUCE_WORDS = {
  thin: say('log.too-thin'),
  right: say('log.as-it-should-be'),
  thick: say('log.too-thick'),
} as const;
const VEGETABLE_WORDS = {
  raw: say('log.raw'),
  crisp: say('log.crisp'),
  right: say('log.as-wanted-3'),
  soft: say('log.too-soft'),
  gone: say('log.gone-into-the-sauce'),
} as const;

interface Props {
  readonly item: LogItem;
  readonly entry: EntryActions;
}

/** How it came out, as those who ate it say; what is learnt goes by it. */
export function CameOutCard({ item, plan, entry }: Props & { readonly plan: Plan }): ReactNode {
  const [notes, setNotes] = useState(item.notes);
  const { outcome } = item;
  return (
    <section className="vessel side-card fields" aria-label={t('log.how-it-came-out')}>
      <h2>{t('log.how-it-came-out')}</h2>
      <Said
        label={t('log.meat')}
        unsaid={t('log.nobody-tried-it')}
        value={item.grade}
        words={GRADE_WORDS}
        of={GRADES}
        onSay={(grade) => void entry.change({ grade })}
      />
      <Said
        label={t('log.to-eat')}
        value={outcome.moistness}
        words={MOIST_WORDS}
        of={MOISTNESS}
        onSay={(moistness) => void entry.change({ outcome: { ...outcome, moistness } })}
      />
      <Said
        label={t('log.sauce')}
        value={outcome.sauce}
        words={SAUCE_WORDS}
        of={SAUCES}
        onSay={(sauce) => void entry.change({ outcome: { ...outcome, sauce } })}
      />
      {plan.vegetables.map(({ vegetable }) => (
        <Said
          key={vegetable}
          label={textOf(vegetableById(vegetable).name)}
          value={outcome.vegetables[vegetable] ?? null}
          words={VEGETABLE_WORDS}
          of={VEGETABLE_OUTCOMES}
          onSay={(how) => {
            const rest = Object.fromEntries(Object.entries(outcome.vegetables).filter(([name]) => name !== vegetable));
            void entry.change({
              outcome: { ...outcome, vegetables: how === null ? rest : { ...rest, [vegetable]: how } },
            });
          }}
        />
      ))}
      <Field label={t('log.cooked-meat')}>
        {() => (
          <QuantityInput
            label={t('log.cooked-meat-weighed')}
            kind="mass"
            value={item.cookedG ?? undefined}
            range={LIMITS.meatGrams}
            onChange={(cookedG) => cookedG !== undefined && void entry.change({ cookedG })}
          />
        )}
      </Field>
      <Field label={t('log.words')}>
        {(at) => (
          <Input.TextArea
            id={at}
            rows={3}
            maxLength={4000}
            value={notes}
            onChange={(event) => setNotes(event.target.value)}
            onBlur={() => notes !== item.notes && void entry.change({ notes })}
          />
        )}
      </Field>
      <Photo item={item} entry={entry} />
    </section>
  );
}

function Photo({ item, entry }: Props): ReactNode {
  return (
    <div className={styles['log-photo']}>
      {item.photo && <img src={`/api/log/${item.id}/photo`} alt={t('log.as-it-was-served', { name: item.name })} />}
      <Upload
        accept="image/*"
        showUploadList={false}
        beforeUpload={(file) => {
          void entry.keepPhoto(file);
          return false;
        }}
      >
        <Button>{item.photo ? t('log.another-photo') : t('log.add-a-photo')}</Button>
      </Upload>
      {item.photo && (
        <Button type="text" onClick={() => void entry.removePhoto()}>
          {t('log.delete-the-photo')}
        </Button>
      )}
    </div>
  );
}

/** One of a few words for how a thing came out, or none. */
function Said<T extends string>({
  label,
  value,
  words,
  of,
  unsaid = t('log.not-said'),
  onSay,
}: {
  readonly label: string;
  readonly value: T | null;
  readonly words: Readonly<Record<T, Message>>;
  readonly of: readonly T[];
  readonly unsaid?: string;
  readonly onSay: (value: T | null) => void;
}): ReactNode {
  return (
    <Field label={label}>
      {(at) => (
        <Select<T>
          id={at}
          allowClear
          placeholder={unsaid}
          value={value}
          options={of.map((one) => ({ value: one, label: textOf(words[one]) }))}
          onChange={(said: T | undefined) => onSay(said ?? null)}
        />
      )}
    </Field>
  );
}
