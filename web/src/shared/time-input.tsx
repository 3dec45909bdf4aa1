import { parseClock } from '@hervir/core';
import { Input } from 'antd';
import { useState, type CSSProperties, type ReactNode } from 'react';

interface Props {
  readonly label: string;
  /** HH:MM */
  readonly value: string;
  readonly onChange: (time: string) => void;
  readonly style?: CSSProperties;
}

/** A time of day, typed: shown on 24 hours whatever the browser's language, read in either way. */
export function TimeInput({ label, value, onChange, style }: Props): ReactNode {
  /** What is being typed; null while the value itself is shown. */
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? value;
  const read = parseClock(text);
  const commit = (): void => {
    if (read === undefined) return;
    setTyped(null);
    if (read !== value) onChange(read);
  };
  return (
    <Input
      aria-label={label}
      aria-invalid={read === undefined}
      title={read === undefined ? 'A time, for instance 19:00 or 7 pm' : undefined}
      value={text}
      style={style}
      autoComplete="off"
      inputMode="numeric"
      onChange={(event) => setTyped(event.target.value)}
      onFocus={(event) => event.target.select()}
      onBlur={() => {
        if (read === undefined) setTyped(null);
        else commit();
      }}
      onPressEnter={commit}
    />
  );
}
