import { CopyOutlined, DeleteOutlined, EditOutlined } from '@ant-design/icons';
import { Dropdown } from 'antd';
import { useState, type ReactNode } from 'react';
import { MoreButton } from './more-button';
import { t } from '../language/t';

interface Props {
  readonly name: string;
  readonly onRename: () => void;
  readonly onCopy: () => void;
  readonly onDelete: () => void;
}

/** What can be done with a plan. It is fetched when first asked for, and so opens at once. */
export function PlanMenu({ name, onRename, onCopy, onDelete }: Props): ReactNode {
  const [open, setOpen] = useState(true);
  return (
    <Dropdown
      open={open}
      onOpenChange={setOpen}
      trigger={['click']}
      menu={{
        items: [
          { key: 'rename', icon: <EditOutlined aria-hidden />, label: t('tonight.rename'), onClick: onRename },
          { key: 'copy', icon: <CopyOutlined aria-hidden />, label: t('tonight.copy'), onClick: onCopy },
          { key: 'delete', icon: <DeleteOutlined aria-hidden />, label: 'Delete', onClick: onDelete },
        ],
      }}
    >
      <MoreButton name={name} autoFocus />
    </Dropdown>
  );
}
