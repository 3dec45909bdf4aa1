import { Input } from 'antd';
import dayjs from 'dayjs';
import { useState, type ReactNode } from 'react';
import { Field } from '../shared/field';
import { t } from '../language/t';

interface Props {
  /** YYYY-MM-DD */
  readonly value: string;
  /** Told a day that was, once it is left or Enter is pressed. */
  readonly onChange: (day: string) => void;
  /** Told whether what is typed is a day that was. */
  readonly onValid?: (valid: boolean) => void;
}

/** The day of a past cook: today or before. */
export function DayField({ value, onChange, onValid }: Props): ReactNode {
  const [typed, setTyped] = useState<string | null>(null);
  const today = dayjs().format('YYYY-MM-DD');
  const day = typed ?? value;
  const fault = day === '' || day > today ? t('log.is-still-to-come-or') : undefined;
  const type = (next: string): void => {
    setTyped(next);
    onValid?.(next !== '' && next <= today);
  };
  const commit = (): void => {
    if (typed === null || fault !== undefined) return;
    setTyped(null);
    if (typed !== value) onChange(typed);
  };
  return (
    <Field label={t('log.day')} fault={fault}>
      {(id) => (
        <Input
          id={id}
          type="date"
          aria-invalid={fault !== undefined}
          value={day}
          max={today}
          onChange={(event) => type(event.target.value)}
          onBlur={commit}
          onPressEnter={commit}
        />
      )}
    </Field>
  );
}
