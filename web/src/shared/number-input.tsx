import { InputNumber, type InputNumberProps } from 'antd';
import { useRef, useState, type ReactNode } from 'react';

type Props = Omit<InputNumberProps<number>, 'value' | 'defaultValue' | 'onChange' | 'onBlur' | 'onPressEnter'> & {
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
};

/** What is being typed: perhaps nothing, which is not the same as not typing. */
interface Typed {
  readonly value: number | null;
}

/**
 * A number that counts once its field is left, or Enter or one of its arrows is pressed: letter by letter 1480 would be
 * kept as 1, as 14 and as 148 first.
 */
export function NumberInput({ value, onChange, ...rest }: Props): ReactNode {
  const [typed, setTyped] = useState<Typed | null>(null);
  // Enter tells what was typed, set right into its range, in the same breath as it asks for it to be kept.
  const latest = useRef<Typed | null>(null);
  const type = (next: Typed | null): void => {
    latest.current = next;
    setTyped(next);
  };
  const commit = (): void => {
    const given = latest.current;
    type(null);
    if (given && given.value !== value) onChange(given.value);
  };
  return (
    <InputNumber<number>
      style={{ width: '100%' }}
      {...rest}
      value={typed ? typed.value : value}
      onChange={(next) => type({ value: next })}
      onStep={commit}
      onBlur={commit}
      onPressEnter={commit}
    />
  );
}
