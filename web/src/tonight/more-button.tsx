import { MoreOutlined } from '@ant-design/icons';
import { Button, type ButtonProps } from 'antd';
import type { ReactNode } from 'react';

/** The three dots of a plan. */
export function MoreButton({ name, ...rest }: { readonly name: string } & ButtonProps): ReactNode {
  return (
    <Button
      type="text"
      icon={<MoreOutlined aria-hidden />}
      aria-label={`More for ${name}`}
      style={{ height: 'auto', width: 44 }}
      {...rest}
    />
  );
}
