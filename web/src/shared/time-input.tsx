import { parseDinnerTime } from '@hervir/core';
import { Input } from 'antd';
import { useState, type ReactNode } from 'react';
import { printClock } from '@hervir/language';
import { language, t } from '../language/t';

interface Props {
  readonly label: string;
  /** HH:MM */
  readonly value: string;
  readonly onChange: (time: string) => void;
  /** Wide enough for 19:00; on a clock of twelve hours it is wider by itself. */
  readonly width: string;
  readonly describedBy?: string;
  /** Told what is wrong with what was typed, and null when it is mended; without it, what cannot be read is put back. */
  readonly onFault?: (fault: string | null) => void;
}

/** A letter of “p.m.”, em. */
const LETTER = 0.36;

/** The time of a dinner, typed: shown as the language's clock has it, read in either way; "6:30" is the evening. */
export function TimeInput({ label, value, onChange, width, describedBy, onFault }: Props): ReactNode {
  /** What is being typed; null while the value itself is shown. */
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? printClock(value, language());
  const read = parseDinnerTime(text);
  const more = printClock('22:30', language()).length - '22:30'.length;
  const commit = (): void => {
    if (read === undefined) {
      onFault?.(t('shared.is-no-time-of-day', { text }));
      return;
    }
    setTyped(null);
    onFault?.(null);
    if (read !== value) onChange(read);
  };
  return (
    <Input
      aria-label={label}
      aria-invalid={read === undefined}
      aria-describedby={describedBy}
      title={read === undefined ? t('shared.a-time-for-instance-19') : undefined}
      value={text}
      style={{ width: `calc(${width} + ${more * LETTER}em)` }}
      autoComplete="off"
      inputMode="numeric"
      onChange={(event) => setTyped(event.target.value)}
      onFocus={(event) => event.target.select()}
      onBlur={() => {
        if (read === undefined && onFault === undefined) setTyped(null);
        else commit();
      }}
      onPressEnter={commit}
    />
  );
}
