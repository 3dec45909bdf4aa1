import { MoreOutlined } from '@ant-design/icons';
import { Button, type ButtonProps } from 'antd';
import type { ReactNode } from 'react';
import { t } from '../language/t';

/** The three dots of a plan. */
export function MoreButton({ name, ...rest }: { readonly name: string } & ButtonProps): ReactNode {
  return (
    <Button
      type="text"
      icon={<MoreOutlined aria-hidden />}
      aria-label={t('tonight.more-for', { name })}
      style={{ height: 'auto', width: 44 }}
      {...rest}
    />
  );
}
