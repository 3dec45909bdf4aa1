import { parseQuantity, type QuantityKind } from '@hervir/language';
import type { Range } from '@hervir/core';
import { Input } from 'antd';
import { useState, type ReactNode } from 'react';
import { useUnits } from './use-units';
import { t } from '../language/t';

interface Props {
  readonly id?: string;
  readonly label: string;
  readonly kind: QuantityKind;
  /** In g, cm, °C or ml; undefined where nothing is said. */
  readonly value: number | undefined;
  readonly range: Range;
  readonly onChange: (value: number | undefined) => void;
  /** Shown where nothing is said: what is taken instead, in the same units. */
  readonly derived?: number;
  readonly suffix?: ReactNode;
  readonly describedBy?: string;
  readonly invalid?: boolean;
  /** As wide as what stands in it. */
  readonly fitText?: boolean;
  readonly onFault?: (fault: string | null) => void;
}

/**
 * A quantity in the cook's units, typed as kitchens write it ("1.6 kg", "3 lb 8 oz", "1½ in"). What cannot be read, or
 * is out of range, is said at the field and changes nothing.
 */
export function QuantityInput(props: Props): ReactNode {
  const { kind, value, range, onChange, derived, onFault } = props;
  const { system, print } = useUnits();
  const shown = value === undefined ? '' : print(kind, value);
  /** What is being typed; null while the value itself is shown, so that another unit or an undo shows at once. */
  const [typed, setTyped] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const text = typed ?? shown;

  const say = (next: string | null): void => {
    setFault(next);
    onFault?.(next);
  };

  const commit = (): void => {
    if (text.trim() === '' && derived !== undefined) {
      setTyped(null);
      say(null);
      if (value !== undefined) onChange(undefined);
      return;
    }
    // What was printed is rounded: leaving it untouched must not change the value.
    if (text === shown) {
      setTyped(null);
      say(null);
      return;
    }
    const read = parseQuantity(kind, text, system);
    const allowed = t('shared.to', { from: print(kind, range.min), to: print(kind, range.max) });
    if (read === undefined) say(t('shared.cannot-be-read-as-a', { text, allowed }));
    else if (!(read >= range.min && read <= range.max))
      say(t('shared.is-out-of-range', { amount: print(kind, read), allowed }));
    else {
      say(null);
      setTyped(null);
      onChange(read);
    }
  };

  const input = (
    <Input
      id={props.id}
      aria-label={props.id === undefined ? props.label : undefined}
      aria-invalid={fault !== null || props.invalid === true}
      aria-describedby={props.describedBy}
      value={text}
      placeholder={derived === undefined ? undefined : print(kind, derived)}
      suffix={props.suffix}
      style={props.fitText === true ? { width: `${Math.max(4, text.length) * 0.58 + 1.1}em` } : undefined}
      autoComplete="off"
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onPressEnter={commit}
      onFocus={(event) => event.target.select()}
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          setTyped(null);
          say(null);
        }
      }}
    />
  );
  // Where the room says the fault itself, the field stays inside its sentence.
  if (onFault !== undefined) return input;
  return (
    <div className="quantity">
      {input}
      {fault !== null && (
        <span className="field-fault" role="alert">
          {fault}
        </span>
      )}
    </div>
  );
}
