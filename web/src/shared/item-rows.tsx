import { CloseOutlined, PlusOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import type { ReactNode } from 'react';

interface Props<T> {
  readonly label: string;
  readonly items: readonly T[];
  /** What one is called, for the buttons that take it away. */
  readonly nameOf: (item: T) => string;
  readonly blank: () => T;
  readonly most: number;
  readonly addLabel: string;
  readonly onChange: (items: T[]) => void;
  readonly children: (item: T, change: (part: Partial<T>) => void, index: number) => ReactNode;
}

/** A list that is added to, changed and taken from, row by row. */
export function ItemRows<T>({ label, items, nameOf, blank, most, addLabel, onChange, children }: Props<T>): ReactNode {
  return (
    <div className="item-rows" role="group" aria-label={label}>
      <span className="label" aria-hidden>
        {label}
      </span>
      {items.length < most && (
        <Button className="item-add" icon={<PlusOutlined aria-hidden />} onClick={() => onChange([...items, blank()])}>
          {addLabel}
        </Button>
      )}
      {items.map((item, i) => (
        <div key={i} className="item-row">
          <div className="item-fields">
            {children(item, (part) => onChange(items.map((one, at) => (at === i ? { ...one, ...part } : one))), i)}
          </div>
          <Button
            type="text"
            icon={<CloseOutlined aria-hidden />}
            aria-label={`Take ${nameOf(item)} out`}
            onClick={() => onChange(items.filter((_, at) => at !== i))}
          />
        </div>
      ))}
    </div>
  );
}
