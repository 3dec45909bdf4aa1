import { CloseOutlined, PlusOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import styles from './item-rows.module.css';
import { t } from '../language/t';

type Row<T> = (item: T, change: (part: Partial<T>) => void, index: number) => ReactNode;

interface Props<T> {
  readonly label: string;
  readonly items: readonly T[];
  /** What one is called, for the buttons that open it and take it away. */
  readonly nameOf: (item: T) => string;
  readonly blank: () => T;
  readonly most: number;
  /** For who does not see whose button it is: it begins with “Add”. */
  readonly addLabel: string;
  readonly onChange: (items: T[]) => void;
  /** What it is has a name of a word or two. */
  readonly shortNames?: boolean;
  /** What it is and how much: always in sight. */
  readonly children: Row<T>;
  /** The rest of it in a few words, and behind them its fields; left out where there is no rest. */
  readonly rest?: { readonly words: (item: T) => string; readonly fields: Row<T> };
}

/** A list that is added to, changed and taken from, row by row; what is seldom changed of a row is a press away. */
export function ItemRows<T>(props: Props<T>): ReactNode {
  const { label, items, nameOf, blank, most, addLabel, onChange, children, rest, shortNames = false } = props;
  const [open, setOpen] = useState<number | null>(null);
  return (
    <div className={styles['rows']} role="group" aria-label={label}>
      <span className={styles['label']} aria-hidden>
        {label}
      </span>
      {items.length < most && (
        <Button icon={<PlusOutlined aria-hidden />} aria-label={addLabel} onClick={() => onChange([...items, blank()])}>
          {t('shared.add')}
        </Button>
      )}
      {items.map((item, i) => {
        const change = (part: Partial<T>): void =>
          onChange(items.map((one, at) => (at === i ? { ...one, ...part } : one)));
        return (
          <div key={i} className={styles['row']} data-rest={rest !== undefined} data-short={shortNames}>
            <div className="item-fields">
              {children(item, change, i)}
              {rest && (
                <button
                  type="button"
                  className={styles['more']}
                  aria-expanded={open === i}
                  aria-label={t('shared.more-of', { words: rest.words(item), nameOf: nameOf(item) })}
                  onClick={() => setOpen(open === i ? null : i)}
                >
                  {rest.words(item)}
                </button>
              )}
              {rest && open === i && rest.fields(item, change, i)}
            </div>
            <Button
              type="text"
              icon={<CloseOutlined aria-hidden />}
              aria-label={t('shared.take-out', { nameOf: nameOf(item) })}
              onClick={() => {
                setOpen(null);
                onChange(items.filter((_, at) => at !== i));
              }}
            />
          </div>
        );
      })}
    </div>
  );
}
