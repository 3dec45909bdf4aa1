import { Button } from 'antd';
import type { ReactNode } from 'react';
import { useHref, useNavigate } from 'react-router';

/** A way to another room that looks like what it stands beside: a link to who opens it in a tab of its own. */
export function LinkButton({ to, children }: { readonly to: string; readonly children: ReactNode }): ReactNode {
  const href = useHref(to);
  const navigate = useNavigate();
  return (
    <Button
      href={href}
      onClick={(event) => {
        if (event.ctrlKey || event.metaKey || event.shiftKey) return;
        event.preventDefault();
        void navigate(to);
      }}
    >
      {children}
    </Button>
  );
}
