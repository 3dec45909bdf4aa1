import { InputNumber, type InputNumberProps } from 'antd';
import { useRef, useState, type ReactNode } from 'react';

type Props = Omit<InputNumberProps<number>, 'value' | 'defaultValue' | 'onChange' | 'onBlur' | 'onPressEnter'> & {
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
};

/**
 * A number that counts once its field is left, or Enter or one of its arrows is pressed: letter by letter 1480 would be
 * kept as 1, as 14 and as 148 first.
 */
export function NumberInput({ value, onChange, ...rest }: Props): ReactNode {
  const [typed, setTyped] = useState<number | null>(null);
  // Enter tells what was typed, set right into its range, in the same breath as it asks for it to be kept.
  const waits = useRef<{ readonly value: number | null } | null>(null);
  const [isTyping, setTyping] = useState(false);
  const commit = (): void => {
    const given = waits.current;
    waits.current = null;
    setTyping(false);
    if (given && given.value !== value) onChange(given.value);
  };
  return (
    <InputNumber<number>
      style={{ width: '100%' }}
      {...rest}
      value={isTyping ? typed : value}
      onChange={(next) => {
        waits.current = { value: next };
        setTyped(next);
        setTyping(true);
      }}
      onStep={commit}
      onBlur={commit}
      onPressEnter={commit}
    />
  );
}
