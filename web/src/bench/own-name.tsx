import { Input } from 'antd';
import type { ReactNode } from 'react';
import { t } from '../language/t';

interface Props {
  /** What it is called as long as the cook says nothing. */
  readonly of: string;
  readonly value: string | undefined;
  readonly onChange: (name: string | undefined) => void;
}

/** The cook's own name for something, as it stands on the card and in the guide. */
export function OwnName({ of, value, onChange }: Props): ReactNode {
  return (
    <Input
      className="own-name"
      aria-label={t('bench.own-name-of', { of })}
      value={value ?? ''}
      maxLength={80}
      placeholder={t('bench.own-name')}
      onChange={({ target }) => onChange(target.value.trim() === '' ? undefined : target.value)}
    />
  );
}
